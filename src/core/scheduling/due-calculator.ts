import { inUseOn, runDays } from "../climate/run-hours";
import { addMonths, fromDay, toDay, type DayNumber } from "../quantities/plain-date";
import { reaches } from "../quantities/rounding";
import { isAtLeast } from "../readings/reading-kinds";
import { laterFilters, wearSummary } from "../filters/wear";
import type { Trigger, DueTask, SimpleTrigger } from "./trigger";
import { YearTables } from "./year-tables";

/** When a job opens, is due and closes; a day is null when it lies beyond what is counted ahead. */
export type Dates = { opens: DayNumber | null; due: DayNumber | null; closes: DayNumber | null };

/**
 * The dates of a task: as it stands now, and what they would be were it done on some later day.
 * Null where nothing calls for it.
 */
export type DueCalculator = {
  now: () => Dates | null;
  after: (done: DayNumber) => Dates | null;
};

/** The days that will be asked about: `today`, and the span in which the job may be done. */
export type CalculationSpan = { today: DayNumber; from: DayNumber; until: DayNumber };

/** A window about an interval of so many days: a fifth before its end, a tenth after; our choice. */
const OPENS_AT_TENTHS = 8;
const CLOSES_AT_TENTHS = 11;
/** A job kept to a stretch of the year stays open at least so long once that begins, days. */
const LEAST_OPEN_DAYS = 3;
/** A stretch that does not come within this never comes, days. */
const STRETCH_WITHIN_DAYS = 400;
/** A job of a season is done three weeks either side. */
const SEASON_SLACK_DAYS = 21;
/** Done so long before its day or less, it was done for the season to come; our choice, two months. */
const SEASON_AHEAD_DAYS = 60;
/** Far enough to meet every turn of the year twice. */
const SEASON_SEARCH_DAYS = 800;
const AFTER_LEAST_OPEN_DAYS = 7;
const READING_OPEN_DAYS = 14;
/** Run hours are counted no further ahead than this, days. */
const HOURS_AHEAD_DAYS = 1095;
const HOURS_OPEN_SHARE = 0.8;
const HOURS_CLOSE_SHARE = 1.1;

const dayOf = (date: Parameters<typeof toDay>[0] | undefined): DayNumber | null =>
  date === undefined ? null : toDay(date);

/** A due calculator that differs between now and later only in when the job was last done. */
function counting(task: DueTask, dates: (done: DayNumber | null) => Dates | null): DueCalculator {
  return { now: () => dates(dayOf(task.lastDone)), after: dates };
}

type Of<K extends SimpleTrigger["kind"]> = Extract<SimpleTrigger, { kind: K }>;

function intervalEnd({ n, unit }: Of<"every">, base: DayNumber): DayNumber {
  switch (unit) {
    case "day":
      return base + n;
    case "week":
      return base + 7 * n;
    case "month":
      return toDay(addMonths(fromDay(base), n));
    case "year":
      return toDay(addMonths(fromDay(base), 12 * n));
  }
}

function every(trigger: Of<"every">, task: DueTask, span: CalculationSpan): DueCalculator {
  const since = dayOf(task.since);
  const isInside = insideTest(trigger, task, span);
  return counting(task, (done) => {
    const base = done ?? since;
    if (base === null) return null;
    const end = intervalEnd(trigger, base);
    const days = end - base;
    const opens = base + Math.floor((OPENS_AT_TENTHS * days) / 10);
    const closes = base + Math.ceil((CLOSES_AT_TENTHS * days) / 10);
    if (isInside(end)) return { opens, due: end, closes };
    for (let due = end + 1; due <= end + STRETCH_WITHIN_DAYS; due++)
      if (isInside(due))
        return { opens: due, due, closes: due + Math.max(LEAST_OPEN_DAYS, Math.ceil(days / 10)) };
    return null;
  });
}

function insideTest(
  trigger: Of<"every">,
  task: DueTask,
  span: CalculationSpan,
): (day: DayNumber) => boolean {
  const { within } = trigger;
  if (!within) return () => true;
  const { equipment, climate } = task;
  if (within === "inUse") return (day) => !equipment || inUseOn(equipment, day);
  if (!climate) throw new Error("every: a stretch of the year needs the climate");
  const first = dayOf(task.lastDone) ?? dayOf(task.since) ?? span.today;
  const last = intervalEnd(trigger, Math.max(span.until, first)) + STRETCH_WITHIN_DAYS;
  const years = task.years ?? new YearTables(climate);
  return years.stretchTest(within, Math.min(first, span.from), last);
}

function season(trigger: Of<"season">, task: DueTask, span: CalculationSpan): DueCalculator {
  if (!task.climate) throw new Error("season: the climate is needed");
  const { anchor, offsetDays } = trigger;
  const base = dayOf(task.lastDone) ?? dayOf(task.since);
  const from = Math.min(span.from, base ?? span.from) - Math.abs(offsetDays) - SEASON_SLACK_DAYS;
  const to = Math.max(span.until, base ?? 0) + Math.abs(offsetDays) + SEASON_SEARCH_DAYS;
  const turns = (task.years ?? new YearTables(task.climate)).seasons(from, to)[anchor];
  const since = dayOf(task.since);
  return counting(task, (done) => {
    const after = done ?? since;
    const turn = turns.find((day) =>
      after === null
        ? day + offsetDays + SEASON_SLACK_DAYS >= span.today
        : day + offsetDays - after > SEASON_AHEAD_DAYS,
    );
    if (turn === undefined) return null;
    const due = turn + offsetDays;
    return { opens: due - SEASON_SLACK_DAYS, due, closes: due + SEASON_SLACK_DAYS };
  });
}

function runHours(trigger: Of<"run-hours">, task: DueTask, span: CalculationSpan): DueCalculator {
  const { climate, equipment, actuals, measured } = task;
  if (!climate || !equipment) throw new Error("run-hours: climate and equipment are needed");
  const base = dayOf(task.lastDone) ?? dayOf(task.since);
  const since = dayOf(task.since);
  const from = Math.min(span.from, base ?? span.from);
  const to = Math.max(span.until, base ?? 0) + HOURS_AHEAD_DAYS;
  const { run } = runDays(climate, actuals, equipment, measured, from, to);
  const sum = new Float64Array(run.length + 1);
  for (let i = 0; i < run.length; i++) sum[i + 1] = sum[i]! + run[i]!;
  return counting(task, (done) => {
    const start = done ?? since;
    if (start === null) return null;
    const end = Math.max(span.today, start) + HOURS_AHEAD_DAYS;
    const reach = (hours: number): DayNumber | null => {
      let low = start;
      let high = end + 1;
      while (low < high) {
        const middle = (low + high) >> 1;
        if (reaches(sum[middle - from]! - sum[start - from]!, hours)) high = middle;
        else low = middle + 1;
      }
      return low <= end ? low : null;
    };
    return {
      opens: reach(HOURS_OPEN_SHARE * trigger.n),
      due: reach(trigger.n),
      closes: reach(HOURS_CLOSE_SHARE * trigger.n),
    };
  });
}

function age({ minYears, maxYears }: Of<"age">, task: DueTask): DueCalculator {
  const months = (years: number) => Math.floor(12 * years + 0.5);
  const dates = (made: DayNumber | null): Dates | null => {
    if (made === null) return null;
    const at = (years: number) => toDay(addMonths(fromDay(made), months(years)));
    return { opens: at(minYears), due: at((minYears + maxYears) / 2), closes: at(maxYears) };
  };
  // A replacement counts as new on the day it is fitted.
  return { now: () => dates(dayOf(task.manufactured)), after: dates };
}

function after({ event, days }: Of<"after">, task: DueTask): DueCalculator {
  const ends = task.events
    .filter((each) => each.kind === event)
    .map((each) => toDay(each.to ?? each.date));
  const end = ends.length === 0 ? null : Math.max(...ends);
  return counting(task, (done) => {
    if (end === null || (done !== null && done >= end)) return null;
    const due = end + days;
    return { opens: end, due, closes: due + Math.max(AFTER_LEAST_OPEN_DAYS, days) };
  });
}

function reading(trigger: Of<"reading">, task: DueTask): DueCalculator {
  const latest = task.readings
    .filter((each) => each.kind === trigger.reading)
    .reduce<DueTask["readings"][number] | null>(
      (last, each) => (last === null || each.date >= last.date ? each : last),
      null,
    );
  return counting(task, (done) => {
    if (!latest || !isAtLeast(latest.verdict, trigger.verdict)) return null;
    const due = toDay(latest.date);
    if (done !== null && done >= due) return null;
    return { opens: due, due, closes: due + READING_OPEN_DAYS };
  });
}

function wearing({ wear, wearDays }: DueTask, span: CalculationSpan): DueCalculator {
  if (!wear) throw new Error("wear: the wear input is needed");
  let later: ReturnType<typeof laterFilters> | null = null;
  return {
    now: () => {
      const { early, likely, late } = wearDays ?? wearSummary(wear);
      const day = (date: typeof early) => (date === null ? null : toDay(date));
      return { opens: day(early), due: day(likely), closes: day(late) };
    },
    after: (done) => {
      // A plan asks for no day beyond its end; whoever asks for one task sees past it.
      later ??= laterFilters(
        wear,
        span.from,
        span.until,
        wearDays ? span.until : undefined,
        wearDays !== undefined,
      );
      const { early, likely, late } = later(done);
      return { opens: early, due: likely, closes: late };
    },
  };
}

/**
 * Which of several dates comes first, as an index; null where none has a due day.
 *
 * @example soonest([null, { opens: null, due: 9, closes: null }, { opens: null, due: 4, closes: null }]) // 2
 */
export function soonest(dates: readonly (Dates | null)[]): number | null {
  let best: number | null = null;
  dates.forEach((each, i) => {
    if (each?.due == null) return;
    if (best === null || each.due < dates[best]!.due!) best = i;
  });
  return best;
}

/**
 * The dates of a task, by whatever its trigger counts: months, run hours, seasons, age, an event, a
 * reading, wear. Where nothing calls for it there are none.
 *
 * @throws when a trigger lacks the climate, equipment or wear it counts by: the schema lets none through
 * @source docs/sources.md#triggers
 * @example dueCalculator({ kind: "every", n: 1, unit: "week" }, { lastDone: "1970-01-01" }, { today: 0, from: 0, until: 9 }).after(1).due // 8
 */
export function dueCalculator(
  trigger: Trigger,
  task: DueTask,
  span: CalculationSpan,
): DueCalculator {
  switch (trigger.kind) {
    case "every":
      return every(trigger, task, span);
    case "run-hours":
      return runHours(trigger, task, span);
    case "season":
      return season(trigger, task, span);
    case "age":
      return age(trigger, task);
    case "after":
      return after(trigger, task);
    case "reading":
      return reading(trigger, task);
    case "wear":
      return wearing(task, span);
    case "earliest": {
      const works = trigger.of.map((each) => dueCalculator(each, task, span));
      const first = (dates: (Dates | null)[]) => {
        const index = soonest(dates);
        return index === null ? null : dates[index]!;
      };
      return {
        now: () => first(works.map((work) => work.now())),
        after: (done) => first(works.map((work) => work.after(done))),
      };
    }
  }
}
