import { z } from "zod";
import { daysFrom, fromDay, toDay, type DayNumber, type PlainDate } from "../quantities/plain-date";
import { dateSchema, withDefault } from "../quantities/schemas";
import { taskSchema, type DueTask } from "./trigger";
import { dueCalculator, type DueCalculator, type Dates } from "./due-calculator";
import { asDates } from "./due";

/** Windows are given for every day: further ahead there would be too many. */
const MOST_DAYS = 10_958;

export const chainInput = z
  .strictObject({
    today: dateSchema,
    until: dateSchema,
    task: taskSchema,
    /** Days that are fixed: pinned by hand, or of a published round. */
    fixed: withDefault(
      z.array(z.strictObject({ n: z.number().int().positive(), day: dateSchema })),
      [],
    ),
  })
  .superRefine(({ today, until }, context) => {
    const problem = (message: string) =>
      context.addIssue({ code: "custom", path: ["until"], message });
    if (until < today) problem("ends before it starts");
    else if (daysFrom(today, until) > MOST_DAYS) problem("no chain is longer than thirty years");
  });

/** Why a fixed day cannot be kept: it lies behind today, or not after the round before it. */
const CONFLICTS = ["past", "not-after-the-one-before"] as const;

export const chainOutput = z.strictObject({
  occurrences: z.array(
    z.strictObject({
      n: z.number().int(),
      opens: dateSchema.nullable(),
      due: dateSchema,
      closes: dateSchema.nullable(),
      day: dateSchema,
    }),
  ),
  /** Fixed days that cannot be kept, and why. */
  conflicts: z.array(
    z.strictObject({ n: z.number().int(), day: dateSchema, why: z.enum(CONFLICTS) }),
  ),
  windows: z.strictObject({
    from: dateSchema,
    opens: z.array(dateSchema.nullable()),
    due: z.array(dateSchema.nullable()),
    closes: z.array(dateSchema.nullable()),
  }),
});
export type Chain = z.output<typeof chainOutput>;

/** One coming round of a job; `n` counts from 1, the next. `day` is when it is taken to be done. */
export type Occurrence = Dates & {
  n: number;
  due: DayNumber;
  day: DayNumber;
  /** The day it was fixed to and cannot be kept. */
  conflict?: { day: DayNumber; why: (typeof CONFLICTS)[number] };
};

export type FixedDays = ReadonlyMap<number, DayNumber>;
const NO_FIXED_DAYS: FixedDays = new Map();

/**
 * The coming rounds of a job up to `until`, each counted from the day the one before is done: its
 * fixed day, else its due day; none before today, nor on the day of the one before. A fixed day that
 * cannot be kept is named, and the round lies where it would without.
 *
 * @example occurrencesOf(dueCalculatorOf(weekly, 0, 20), 0, 20).map(({ day }) => day) // [7, 14]
 */
export function occurrencesOf(
  work: DueCalculator,
  today: DayNumber,
  until: DayNumber,
  fixedDays: FixedDays = NO_FIXED_DAYS,
): Occurrence[] {
  const occurrences: Occurrence[] = [];
  let dates = work.now();
  let before = -Infinity;
  for (let n = 1; dates !== null && dates.due !== null; n++) {
    const fixed = fixedDays.get(n);
    const why = fixed === undefined ? null : whyNot(fixed, today, before);
    // A job due again on the day it was done would make the chain endless.
    const day: DayNumber =
      fixed !== undefined && why === null ? fixed : Math.max(today, dates.due, before + 1);
    if (day > until) break;
    occurrences.push({
      ...{ n, opens: dates.opens, due: dates.due, closes: dates.closes, day },
      ...(fixed !== undefined && why !== null ? { conflict: { day: fixed, why } } : {}),
    });
    before = day;
    dates = work.after(day);
  }
  return occurrences;
}

function whyNot(
  fixed: DayNumber,
  today: DayNumber,
  before: number,
): (typeof CONFLICTS)[number] | null {
  if (fixed < today) return "past";
  return fixed <= before ? "not-after-the-one-before" : null;
}

/**
 * The due calculator of a job over the days from today to `until`, and back to the earliest day that is
 * fixed.
 *
 * @example dueCalculatorOf(weekly, 0, 100).now().due // 7
 */
export const dueCalculatorOf = (
  task: DueTask,
  today: DayNumber,
  until: DayNumber,
  fixedDays: FixedDays = NO_FIXED_DAYS,
): DueCalculator =>
  dueCalculator(task.cadence, task, { today, from: Math.min(today, ...fixedDays.values()), until });

/**
 * The rounds of a job ahead, and what each possible day of doing it would make of the next: done early
 * or late, every later round moves with it where the trigger counts from the last time.
 *
 * @example chain({ today: "1970-01-01", until: "1970-01-20", task: weekly, fixed: [] }).occurrences[0].day // "1970-01-08"
 */
export function chain(input: z.output<typeof chainInput>): Chain {
  const today = toDay(input.today);
  const until = toDay(input.until);
  const fixedDays = new Map(input.fixed.map(({ n, day }) => [n, toDay(day)]));
  const work = dueCalculatorOf(input.task, today, until, fixedDays);
  const windows = {
    opens: [] as (PlainDate | null)[],
    due: [] as (PlainDate | null)[],
    closes: [] as (PlainDate | null)[],
  };
  for (let done = today; done <= until; done++) {
    const { opens, due, closes } = asDates(work.after(done));
    windows.opens.push(opens);
    windows.due.push(due);
    windows.closes.push(closes);
  }
  const occurrences = occurrencesOf(work, today, until, fixedDays);
  return {
    occurrences: occurrences.map(({ n, opens, due, closes, day }) => ({
      n,
      ...asDates({ opens, due, closes }),
      due: fromDay(due),
      day: fromDay(day),
    })),
    conflicts: occurrences.flatMap(({ n, conflict }) =>
      conflict ? [{ n, day: fromDay(conflict.day), why: conflict.why }] : [],
    ),
    windows: { from: input.today, ...windows },
  };
}
