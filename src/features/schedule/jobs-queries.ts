import "server-only";
import { isRenewedByIt } from "@/core/scheduling/trigger";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { slotTitle } from "@/presentation/slot-words";
import { filterStatusesOf } from "@/server/snapshots/snapshot-cache";
import type { PlainDate } from "@/core/quantities/plain-date";
import { bySoonestDue, type JobStatus } from "@/core/scheduling/schedule";
import type { Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";
import { jobRow, roundsWords, type JobRow } from "./job-rows";

/** What a job can be looked up by: everything of a home, of a unit, or of one part. */
export type JobsOf = { unitId?: string; partId?: string };

export async function jobsOf(homeId: string, of: JobsOf): Promise<JobRow[]> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return [];
  const today = todayIn(snapshot.home.timeZone);
  return scheduleNow(snapshot, today)
    .filter(({ task }) => task.unitId === of.unitId && task.partId === of.partId)
    .map((jobStatus) => jobRow(snapshot, jobStatus, today));
}

export type JobsPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  /** The home’s own, which belong to no unit. */
  own: JobRow[];
  /** Everything that has a day, the soonest first. */
  coming: JobRow[];
  /** What only something that happens would call for, and what was switched off. */
  waiting: JobRow[];
};

export async function jobsPageOf(homeId: string): Promise<JobsPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const all = [...scheduleNow(snapshot, today)].sort(bySoonestDue);
  const rows = (some: JobStatus[]) => some.map((jobStatus) => jobRow(snapshot, jobStatus, today));
  return {
    snapshot,
    today,
    own: rows(all.filter(({ task }) => !task.unitId && !task.partId)),
    coming: rows(all.filter(({ due, task }) => due !== null && task.unitId)),
    waiting: rows(all.filter(({ due, task }) => due === null && task.unitId)),
  };
}

export type JobPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  jobStatus: JobStatus;
  row: JobRow;
  /** The days of its coming rounds. */
  rounds: string;
  unitName: string | null;
  /** Done, there is a new machine, whose age is its own. */
  isRenewedByIt: boolean;
};

export async function jobPageOf(homeId: string, taskId: string): Promise<JobPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const jobStatus = scheduleNow(snapshot, today).find((each) => each.task.id === taskId);
  if (!jobStatus) return null;
  const row = jobRow(snapshot, jobStatus, today);
  return {
    ...{ snapshot, today, jobStatus, row, unitName: jobStatus.unit?.name ?? null },
    rounds: roundsWords(jobStatus.ahead, today),
    isRenewedByIt: isRenewedByIt(jobStatus.task),
  };
}

/** A place a job of one’s own may belong to, and how it is called; null where there is none. */
export async function placeNameOf(
  homeId: string,
  { unitId, partId }: { unitId: string | undefined; partId: string | undefined },
): Promise<{ place: JobsOf; name: string } | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const part = [...snapshot.slots, ...snapshot.parts].find((each) => each.id === partId);
  const unit = snapshot.units.find((each) => each.id === (part?.unitId ?? unitId));
  if ((partId && !part) || (unitId && !unit)) return null;
  return {
    place: { ...(unit ? { unitId: unit.id } : {}), ...(part ? { partId: part.id } : {}) },
    name: [unit?.name, part?.name].filter(Boolean).join(", ") || "The whole home",
  };
}

/** So many are said at the end of entering a unit; its page has the rest. */
const MOST_FIRST = 5;

/** What is due first at a unit, and the filters of which nobody has said yet when they went in. */
export async function firstDueOf(
  homeId: string,
  unitId: string,
): Promise<{ unit: Unit; rows: JobRow[]; unknown: { id: string; words: string }[] } | null> {
  const snapshot = await homeSnapshot(homeId);
  const unit = snapshot?.units.find((each) => each.id === unitId);
  if (!snapshot || !unit) return null;
  const today = todayIn(snapshot.home.timeZone);
  const rows = scheduleNow(snapshot, today)
    .filter(({ task, due }) => task.unitId === unitId && due !== null)
    .sort(bySoonestDue)
    .slice(0, MOST_FIRST)
    .map((jobStatus) => jobRow(snapshot, jobStatus, today));
  const unknown = filterStatusesOf(snapshot, today)
    .filter((filterStatus) => filterStatus.unit.id === unitId && filterStatus.fittedOn === null)
    .map(({ slot }) => ({ id: slot.id, words: `${slotTitle(slot)}: nobody has said yet.` }));
  return { unit, rows, unknown };
}
