import { AGENDA_DAYS } from "@/server/snapshots/agendas";
import { tasksOf, tasksOfUnit } from "@/core/scheduling/home-tasks";
import { standingsOf } from "@/server/snapshots/standings";
import { addDays, daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { spanWords } from "@/core/quantities/words";
import { agendaOf, type TaskStanding } from "@/core/scheduling/schedule";
import { dueWords, windowWords } from "@/presentation/schedule-words";
import type { HomeBook } from "@/core/inventory/inventory";
import { LOOK, taskId, type PlannedTask, type TaskChanges } from "@/core/scheduling/task";

/** A job’s dates as words, and how far they move from what they are. */
export type JobDates = {
  due: string;
  window: string;
  /** Rounds within two years. */
  rounds: number;
  moved: string | null;
  /** Of a filter that is looked at first: when the next look is. */
  look: string | null;
};

/** A job and the looks that go with it, as they would stand with other settings. */
export function standingsWith(
  book: HomeBook,
  task: PlannedTask,
  changes: TaskChanges,
  today: PlainDate,
): { job: TaskStanding | undefined; look: TaskStanding | undefined } {
  const others = book.tasks.filter(
    (each) => !(each.key === task.key && taskId(each, each.key) === task.id),
  );
  const { unitId, partId, key } = task;
  const place = { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) };
  const changed = { ...book, tasks: [...others, { id: "if", key, changes, ...place }] };
  const unit = book.units.find((each) => each.id === unitId);
  const tasks = unit ? tasksOfUnit(changed, unit) : tasksOf(changed).filter(isOfHome);
  const standings = standingsOf(book, today);
  const all = agendaOf(changed, tasks, standings, today, addDays(today, AGENDA_DAYS));
  return {
    job: all.find((each) => each.task.id === task.id),
    look: all.find((each) => each.task.id === taskId(task, LOOK) && each.task.id !== task.id),
  };
}

const isOfHome = (task: PlannedTask): boolean => task.unitId === undefined;

function movedWords(before: PlainDate | null, after: PlainDate | null): string | null {
  if (!before || !after || before === after) return null;
  const days = daysFrom(before, after);
  return `${spanWords(days)} ${days < 0 ? "sooner" : "later"} than now`;
}

export function whatIf(
  book: HomeBook,
  task: PlannedTask,
  changes: TaskChanges,
  today: PlainDate,
): JobDates {
  const now = book.tasks.find((each) => taskId(each, each.key) === task.id)?.changes ?? {};
  const before = standingsWith(book, task, now, today).job;
  const { job, look } = standingsWith(book, task, changes, today);
  const dates = job ?? { opens: null, due: null, closes: null, state: "none" as const };
  return {
    due: dueWords(dates, today),
    window: windowWords(dates, today),
    rounds: job?.ahead.length ?? 0,
    moved: movedWords(before?.due ?? null, job?.due ?? null),
    look: look?.due ? dueWords(look, today) : null,
  };
}
