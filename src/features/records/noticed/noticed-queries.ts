import "server-only";
import type { PlainDate } from "@/core/quantities/plain-date";
import { todayIn } from "@/lib/clock";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

/** What a form about something seen at a machine offers: the machines, and the day. */
export async function noticedPageOf(
  homeId: string,
): Promise<{ today: PlainDate; units: { value: string; label: string }[] } | null> {
  const snapshot = await homeSnapshot(homeId);
  return (
    snapshot && {
      today: todayIn(snapshot.home.timeZone),
      units: snapshot.units.map(({ id, name }) => ({ value: id, label: name })),
    }
  );
}
