import { listRemoved, listWithdrawn, type Removed } from "@/server/snapshots/beside";
import "server-only";
import { HOUSEHOLD_WORDS } from "@/content/words";
import { dayIn } from "@/core/quantities/plain-date";
import { dateWords } from "@/core/quantities/words";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { historyLines } from "@/presentation/history-rows";
import { todayIn } from "@/lib/clock";

/** Everything taken out of sight in a home, things and entries, the latest first. */
export async function removedOf(homeId: string): Promise<Removed[]> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return [];
  const { timeZone } = snapshot.home;
  const today = todayIn(timeZone);
  const removed = await listRemoved(homeId, {
    nameOf: (kind) =>
      Object.hasOwn(HOUSEHOLD_WORDS, kind)
        ? HOUSEHOLD_WORDS[kind as keyof typeof HOUSEHOLD_WORDS].name
        : kind,
    dayOf: (instant) => dateWords(dayIn(timeZone, Date.parse(instant)), today),
  });
  const entries = (await listWithdrawn(homeId)).map(({ event, withdrawal }): Removed => {
    const [line] = historyLines(snapshot, [event], today, true);
    const name = `${line!.when}: ${line!.what}`;
    return { kind: "entry", id: withdrawal.id, name, deletedAt: withdrawal.recordedAt };
  });
  return [...removed, ...entries].sort((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1));
}
