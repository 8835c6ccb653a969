import { homeStatus } from "@/server/snapshots/snapshot-cache";
import { movedBy } from "@/presentation/moved";
import { leadsOf } from "@/presentation/lead-words";
import { LeadPanel } from "@/ui/lead-panel";
import { homeSnapshot, tasksNow } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";

/** What the entry named in the address moved and leads to, as long as it is the newest of the home. */
export async function MovedNotice({
  homeId,
  noted,
}: {
  homeId: string;
  noted: string | string[] | undefined;
}) {
  const snapshot = typeof noted === "string" ? await homeSnapshot(homeId) : null;
  if (!snapshot || typeof noted !== "string") return null;
  const newest = snapshot.history.entries.at(-1);
  const event = snapshot.history.entries.find(({ id }) => id === noted);
  if (!event || event.recordedAt !== newest?.recordedAt) return null;
  const lines = movedBy(homeStatus(snapshot, todayIn(snapshot.home.timeZone)), noted);
  const leads = leadsOf([event], snapshot, tasksNow(snapshot));
  if (lines.length === 0 && leads.length === 0) return null;
  return (
    <div role="status" className="mb-4 flex flex-col gap-3">
      {lines.length > 0 && (
        <div className="border-l-4 border-ink bg-surface px-4 py-2.5">
          {lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      )}
      <LeadPanel leads={leads} />
    </div>
  );
}
