import { z } from "zod";
import { fromDay, toDay, type DayNumber } from "../quantities/plain-date";
import { dateSchema } from "../quantities/schemas";
import { wearSummary } from "../filters/wear";
import type { Trigger, DueInput, DueTask } from "./trigger";
import { dueCalculator, soonest, type CalculationSpan, type Dates } from "./due-calculator";

export const DUE_STATES = ["not-yet", "open", "due", "past", "none"] as const;
export type DueState = (typeof DUE_STATES)[number];

const maybeDate = dateSchema.nullable();
export const datesSchema = z.strictObject({
  opens: maybeDate,
  due: maybeDate,
  closes: maybeDate,
});
export const dueOutput = z.strictObject({
  ...datesSchema.shape,
  state: z.enum(DUE_STATES),
  reason: z.strictObject({ code: z.string(), facts: z.record(z.string(), z.unknown()) }),
});
export type DueResult = z.output<typeof dueOutput>;

/**
 * Day numbers as days of the calendar; null stays null.
 *
 * @example asDates({ opens: null, due: 0, closes: 1 }) // { opens: null, due: "1970-01-01", closes: "1970-01-02" }
 */
export const asDates = (dates: Dates | null): z.output<typeof datesSchema> => {
  const date = (day: DayNumber | null) => (day === null ? null : fromDay(day));
  return {
    opens: date(dates?.opens ?? null),
    due: date(dates?.due ?? null),
    closes: date(dates?.closes ?? null),
  };
};

/**
 * How a job stands on a day: what has no due day in sight is not yet open, whatever else is known; the
 * day it closes still counts as due.
 *
 * @example stateOn({ opens: 1, due: 5, closes: 9 }, 10) // "past"
 */
export function stateOn(dates: Dates | null, today: DayNumber): DueState {
  if (!dates) return "none";
  if (dates.due === null || dates.opens === null || today < dates.opens) return "not-yet";
  if (today < dates.due) return "open";
  if (dates.closes === null || today <= dates.closes) return "due";
  return "past";
}

/** What the dates were counted from, for the words beside them. */
function factsOf(trigger: Trigger, task: DueTask, span: CalculationSpan): Record<string, unknown> {
  const base = task.lastDone ?? task.since ?? null;
  switch (trigger.kind) {
    case "every":
      return { base, n: trigger.n, unit: trigger.unit, within: trigger.within ?? null };
    case "run-hours":
      return { base, hours: trigger.n };
    case "season":
      return { base, anchor: trigger.anchor, offsetDays: trigger.offsetDays };
    case "age":
      return { manufactured: task.manufactured ?? null, ...trigger };
    case "after":
      return { event: trigger.event, days: trigger.days };
    case "reading": {
      const readings = task.readings.filter((each) => each.kind === trigger.reading);
      const latest = readings.reduce((last, each) => (each.date >= last.date ? each : last));
      return { ...latest };
    }
    case "wear": {
      const { limitedBy, percentNow, looksUsed } = wearSummary(task.wear!);
      return { limitedBy, percentNow, looksUsed };
    }
    case "earliest": {
      const index = soonest(trigger.of.map((each) => dueCalculator(each, task, span).now()));
      const governing = trigger.of[index!]!;
      return { governs: index, code: governing.kind, ...factsOf(governing, task, span) };
    }
  }
}

/**
 * When a job opens, is due and closes, how that stands today, and what it was counted from.
 *
 * @source docs/sources.md#triggers
 * @example due({ today: "1970-01-02", ...weekly }).due // "1970-01-08"
 */
export function due(input: DueInput): DueResult {
  const { today: date, cadence, ...rest } = input;
  const today = toDay(date);
  const task = { cadence, ...rest };
  const span: CalculationSpan = { today, from: today, until: today };
  const dates = dueCalculator(cadence, task, span).now();
  return {
    ...asDates(dates),
    state: stateOn(dates, today),
    reason: dates
      ? { code: cadence.kind, facts: factsOf(cadence, task, span) }
      : { code: "none", facts: {} },
  };
}
