import "server-only";
import { listNotices } from "@/server/snapshots/beside";
import { NOTICE_KINDS, type NoticeKind } from "./notices";
import { procedureIn } from "@/content/procedures/library";
import { filterSummary, type FilterSummary } from "@/presentation/filter-status";
import { pathOfTask } from "@/presentation/task-words";
import { clockBehind } from "@/core/history/clock-behind";
import type { PlainDate } from "@/core/quantities/plain-date";
import { inSentence } from "@/core/quantities/words";
import type { Procedure } from "@/core/runs/procedure";
import type { JobStatus } from "@/core/scheduling/schedule";
import { isPastUnknown } from "@/core/scheduling/first-time";
import { todayOrder, type When } from "@/core/scheduling/today-order";
import type { Part } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { RENEW } from "@/core/scheduling/task";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";
import type { HomeStatus } from "@/core/timeline/home-status";
import { todayIn } from "@/lib/clock";
import { watchOf, type Watch } from "./today-watch";
import { seasonLine } from "./today-words";

/** A job with everything a page says of it; `status` where it renews a filter. */
export type TodayJob = {
  job: JobStatus;
  part: Part | undefined;
  status: FilterSummary | undefined;
  procedure: Procedure | null;
};

export type Today = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  season: string;
  past: number;
  soon: number;
  /** What to do next: the first of the order; null when nothing is near. */
  next: TodayJob | null;
  /** The rest of it, in the same order. */
  closer: (TodayJob & { when: When })[];
  watch: Watch[];
  /** Jobs nobody is known to have done: they are asked about again, calmly. */
  undated: number;
  /** The day of an entry that is still to come by this computer’s clock. */
  clockBehind: PlainDate | null;
  /** What cannot be read, and where it belongs. */
  problems: { words: string; path: string }[];
};

/** What this home has not been told yet. */
export const noticesOf = async (homeId: string): Promise<NoticeKind[]> => {
  const kinds = await listNotices(homeId);
  return NOTICE_KINDS.filter((kind) => kinds.includes(kind));
};

export async function todayOf(homeId: string): Promise<Today | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const status = homeStatus(snapshot, todayIn(snapshot.home.timeZone));
  return shownOnce(status, "today", () => todayShown(status));
}

function todayShown(status: HomeStatus): Today {
  const { snapshot, today, jobs: schedule } = status;
  const order = todayOrder(schedule, today);
  const withAll = (job: JobStatus): TodayJob => ({
    job,
    part: snapshot.parts.find((each) => each.id === job.task.partId),
    status:
      job.task.key === RENEW && job.task.partId
        ? (filterSummary(status, job.task.partId) ?? undefined)
        : undefined,
    procedure: job.task.procedureIds[0] ? procedureIn(snapshot, job.task.procedureIds[0]) : null,
  });
  const lead = order.find(({ when }) => when === "past" || when === "now");
  return {
    snapshot,
    today,
    season: seasonLine(snapshot, today),
    watch: watchOf(snapshot, today, schedule),
    undated: schedule.filter(isPastUnknown).length,
    clockBehind: clockBehind(snapshot.history.entries, today, snapshot.home.timeZone),
    past: order.filter(({ when }) => when === "past").length,
    soon: order.filter(({ when }) => when === "now").length,
    next: lead ? withAll(lead.job) : null,
    closer: order
      .filter((each) => each !== lead)
      .map(({ job, when }) => ({ ...withAll(job), when })),
    problems: schedule.flatMap(({ task, unit, problem }) =>
      problem
        ? [
            {
              words: `${unit?.name ?? "The home"}, ${inSentence(task.name)}: ${problem}`,
              path: pathOfTask(task),
            },
          ]
        : [],
    ),
  };
}
