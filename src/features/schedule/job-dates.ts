import { JOBS } from "@/content/default-tasks";
import { tasksOf, tasksOfUnit } from "@/core/scheduling/home-tasks";
import { homeStatus } from "@/server/snapshots/snapshot-cache";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { spanWords } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { JobDates } from "./job-dates-schema";
import { dueWords, windowWords } from "@/presentation/schedule-words";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { LOOK, taskId, type PlannedTask, type TaskChanges } from "@/core/scheduling/task";

/** A job and the looks that go with it, as they would stand with other settings. */
export function jobStatusesWith(
  snapshot: HomeSnapshot,
  task: PlannedTask,
  changes: TaskChanges,
  today: PlainDate,
): { job: JobStatus | undefined; look: JobStatus | undefined } {
  const others = snapshot.tasks.filter(
    (each) => !(each.key === task.key && taskId(each, each.key) === task.id),
  );
  const { unitId, partId, key } = task;
  const place = { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) };
  const changed = { ...snapshot, tasks: [...others, { id: "if", key, changes, ...place }] };
  const unit = snapshot.units.find((each) => each.id === unitId);
  const tasks = unit ? tasksOfUnit(changed, unit, JOBS) : tasksOf(changed, JOBS).filter(isOfHome);
  const lookId = taskId(task, LOOK);
  const two = homeStatus(snapshot, today)
    .of(changed)
    .scheduleOf(tasks, new Set([task.id, lookId]));
  return {
    job: two.find((each) => each.task.id === task.id),
    look: two.find((each) => each.task.id === lookId && each.task.id !== task.id),
  };
}

const isOfHome = (task: PlannedTask): boolean => task.unitId === undefined;

function movedWords(before: PlainDate | null, after: PlainDate | null): string | null {
  if (!before || !after || before === after) return null;
  const days = daysFrom(before, after);
  return `${spanWords(days)} ${days < 0 ? "sooner" : "later"} than now`;
}

export function whatIf(
  snapshot: HomeSnapshot,
  task: PlannedTask,
  changes: TaskChanges,
  today: PlainDate,
): JobDates {
  const now = snapshot.tasks.find((each) => taskId(each, each.key) === task.id)?.changes ?? {};
  const before = jobStatusesWith(snapshot, task, now, today).job;
  const { job, look } = jobStatusesWith(snapshot, task, changes, today);
  const dates = job ?? { opens: null, due: null, closes: null, state: "none" as const };
  return {
    due: dueWords(dates, today),
    window: windowWords(dates, today),
    rounds: job?.ahead.length ?? 0,
    moved: movedWords(before?.due ?? null, job?.due ?? null),
    look: look?.due ? dueWords(look, today) : null,
  };
}
