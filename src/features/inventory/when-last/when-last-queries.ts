import "server-only";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { Unit } from "@/core/inventory/inventory";
import { earliestInstallation } from "@/core/inventory/plausible";
import type { PlainDate } from "@/core/quantities/plain-date";
import { isPastUnknown } from "@/core/scheduling/first-time";
import type { JobStatus } from "@/core/scheduling/schedule";
import { todayIn } from "@/lib/clock";
import { jobTitle, triggerWords } from "@/presentation/task-words";
import { homeSnapshot, scheduleNow } from "@/server/snapshots/snapshot-cache";
import type { AskedJob } from "./when-last-form";

/** The jobs of a home, or of one machine, of which nobody has said when they were last done; safety first. */
export const unknownJobs = (
  snapshot: HomeSnapshot,
  today: PlainDate,
  unitId?: string,
): JobStatus[] =>
  scheduleNow(snapshot, today)
    .filter((job) => (unitId === undefined || job.task.unitId === unitId) && isPastUnknown(job))
    .toSorted((a, b) => Number(b.task.isSafety) - Number(a.task.isSafety));

export const askedOf = ({ task, unit }: JobStatus): AskedJob => ({
  id: task.id,
  earliest: unit && earliestInstallation(unit),
});

export type WhenLastPage = {
  homeName: string;
  unit: Unit | null;
  today: PlainDate;
  rows: { id: string; words: string; often: string; isSafety: boolean }[];
};

/** What is asked of the past of a home, or of one machine in it; null where there is none of that name. */
export async function whenLastOf(homeId: string, unitId?: string): Promise<WhenLastPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const unit = snapshot?.units.find(({ id }) => id === unitId) ?? null;
  if (!snapshot || (unitId && !unit)) return null;
  const today = todayIn(snapshot.home.timeZone);
  const rows = unknownJobs(snapshot, today, unitId).map((job) => ({
    id: job.task.id,
    words: unit ? job.task.name : jobTitle(job),
    often: triggerWords(job.task.trigger),
    isSafety: job.task.isSafety,
  }));
  return { homeName: snapshot.home.name, unit, today, rows };
}
