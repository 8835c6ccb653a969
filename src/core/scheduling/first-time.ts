import { toDay, type DayNumber, type PlainDate } from "../quantities/plain-date";
import type { Dates } from "./due-calculator";
import { RENEW, type PlannedTask } from "./task";
import { partsOf, type Trigger } from "./trigger";
import { weatherOf } from "./weather-calls";

/** Minutes of work and jobs that one week takes at most. Our choice: an hour and a half is a morning. */
export const CALM_MINUTES = 90;
export const CALM_JOBS = 5;
const WEEK_DAYS = 7;
/** A week’s job may be done in that week, and closes two weeks later. Our choice. */
const CALM_OPEN_DAYS = 20;
/** What only a technician may do waits for one visit, days: nobody comes sooner. Our choice. */
const VISIT_DAYS = 28;

/** A job nobody is known to have done before its machine was entered here. */
export type Unknown = {
  task: Pick<PlannedTask, "id" | "isSafety" | "handsOn" | "who">;
  /** The day on which it was entered. */
  entered: PlainDate;
};

/** So long before the heating a machine is serviced; nearer to it something is switched over. */
const SERVICE_DAYS = 14;

/**
 * Whether a job comes round by the calendar or by its hours, so that it is owed where nobody knows when it was
 * done: not what waits for an event, a reading, its weather or its part of the year, and not what is turned
 * over between two seasons.
 *
 * @example isOwedAnew({ kind: "every", n: 1, unit: "year" }, false) // true
 */
export function isOwedAnew(trigger: Trigger, isSafety: boolean): boolean {
  return partsOf(trigger).some((each) => {
    if (weatherOf(each) !== null) return false;
    if (each.kind === "every") return isSafety || !each.within;
    if (each.kind === "run-hours") return true;
    if (each.kind === "age") return isSafety;
    if (each.kind !== "season") return false;
    return isSafety || (each.anchor === "heatingStart" && each.offsetDays <= -SERVICE_DAYS);
  });
}

/**
 * Whether nobody has said of a job when it was last done, though it comes round: it is asked about. A filter’s
 * change is known from its fitting, and what goes by the age of a thing from the date on it.
 *
 * @example isPastUnknown({ lastDone: "2026-03-01", isFirstTime: false, task: { key: "rinse", trigger: { kind: "wear" }, isSafety: true } }) // false
 */
export const isPastUnknown = ({
  lastDone,
  isFirstTime,
  task,
}: {
  lastDone: PlainDate | null;
  isFirstTime: boolean;
  task: Pick<PlannedTask, "key" | "trigger" | "isSafety" | "isOff" | "isOwn">;
}): boolean =>
  lastDone === null &&
  !task.isOff &&
  !task.isOwn &&
  task.key !== RENEW &&
  (isFirstTime || partsOf(task.trigger).some(({ kind }) => kind !== "age")) &&
  isOwedAnew(task.trigger, task.isSafety);

/**
 * When each job of unknown past is due for the first time. Never done is not fresh: it is due soon, but nobody
 * does forty jobs on the first Saturday. What keeps people safe comes first, then what is quickly done; each
 * week from the day of entry takes up to `CALM_JOBS` of them and `CALM_MINUTES`. A technician’s wait for one
 * visit.
 *
 * @returns by the job’s id
 * @example firstTimes([{ task: { id: "a", isSafety: false, handsOn: 5, who: "owner" }, entered: "1970-01-01" }]).get("a").due // 6
 */
export function firstTimes(jobs: readonly Unknown[]): Map<string, Dates> {
  const times = new Map<string, Dates>();
  const weeks = new Map<number, { count: number; minutes: number }>();
  const first = Math.min(...jobs.map(({ entered }) => toDay(entered)));
  const weekOf = (day: DayNumber) => Math.floor((day - first) / WEEK_DAYS);
  const inOrder = jobs.toSorted(
    (a, b) =>
      toDay(a.entered) - toDay(b.entered) ||
      Number(b.task.isSafety) - Number(a.task.isSafety) ||
      a.task.handsOn - b.task.handsOn,
  );
  for (const { task, entered } of inOrder) {
    const from = toDay(entered);
    if (task.who === "licensed") {
      const due = from + VISIT_DAYS;
      times.set(task.id, { opens: from, due, closes: due + CALM_OPEN_DAYS });
      continue;
    }
    let week = weekOf(from);
    const isFull = () => {
      const { count, minutes } = weeks.get(week) ?? { count: 0, minutes: 0 };
      return count === CALM_JOBS || (count > 0 && minutes + task.handsOn > CALM_MINUTES);
    };
    while (isFull()) week++;
    const { count, minutes } = weeks.get(week) ?? { count: 0, minutes: 0 };
    weeks.set(week, { count: count + 1, minutes: minutes + task.handsOn });
    const opens = Math.max(from, first + week * WEEK_DAYS);
    times.set(task.id, { opens, due: opens + WEEK_DAYS - 1, closes: opens + CALM_OPEN_DAYS });
  }
  return times;
}
