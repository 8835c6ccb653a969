import { z } from "zod";
import { daysFrom, readPlainDate, type PlainDate } from "../quantities/plain-date";
import {
  countSchema,
  dateSchema,
  optional,
  positiveSchema,
  withDefault,
} from "../quantities/schemas";

/** What a round costs, minutes: the time and the nuisance that people would rather not have. */
export const costSchema = z.strictObject({
  /** Getting ready, and putting away. */
  setup: withDefault(z.number().min(0), 15),
  /** A day that is none of the preferred ones. */
  weekday: withDefault(z.number().min(0), 10),
  /** Each unit that is without power meanwhile. */
  powerDown: withDefault(z.number().min(0), 5),
  /** A technician’s day, and each home on it. */
  callOut: withDefault(z.number().min(0), 150),
  visit: withDefault(z.number().min(0), 20),
  /** A day late, and in how many days lateness squared comes to as many minutes again. */
  lateDay: withDefault(z.number().min(0), 2),
  lateSquare: withDefault(positiveSchema.int(), 7),
  /** An occurrence moved from where it was published, and a round that was not there. */
  stability: withDefault(z.number().min(0), 3),
  newRound: withDefault(z.number().min(0), 15),
  /** Somebody else does it in the place of whoever does it otherwise, each time. */
  otherCrew: withDefault(z.number().min(0), 5),
  /** What a minor unit of money is worth, minutes. */
  minutesPerMoney: withDefault(z.number().min(0), 0.01),
});

const spanSchema = z
  .strictObject({ from: dateSchema, to: dateSchema })
  .refine(({ from, to }) => from <= to, { path: ["to"], message: "ends before it starts" });
/** 1 Monday to 7 Sunday. */
const weekdaySchema = z.number().int().min(1).max(7);
const daysSchema = z.union([
  z.array(dateSchema),
  z.strictObject({
    weekdays: z.array(weekdaySchema),
    except: withDefault(z.array(z.union([dateSchema, spanSchema])), []),
  }),
]);

const crewSchema = z.strictObject({
  id: z.string().min(1),
  kind: z.enum(["owner", "technician"]),
  capMinutes: positiveSchema,
  /** Whether the cap is of each home’s round, or of the crew’s whole day. */
  capScope: z.enum(["home-day", "day"]),
  days: daysSchema,
  /** Empty: every day is liked. */
  preferred: withDefault(z.array(weekdaySchema), []),
});

const windowSchema = z.strictObject({
  opens: dateSchema.nullable(),
  due: dateSchema.nullable(),
  closes: dateSchema.nullable(),
});

/**
 * A column of a table of days. There are a hundred thousand of them in a home’s tables and a few hundred
 * different ones, so that each is looked at once.
 */
const columnSchema = z
  .array(z.string().nullable())
  .superRefine((dates, context) => {
    const known = new Set<string | null>([null]);
    dates.forEach((date, i) => {
      if (known.has(date)) return;
      if (readPlainDate(date!) === null)
        context.addIssue({
          code: "custom",
          path: [i],
          message: "not a day: write it as YYYY-MM-DD",
        });
      known.add(date);
    });
  })
  .transform((dates) => dates as (PlainDate | null)[]);

const taskSchema = z.strictObject({
  id: z.string().min(1),
  unit: z.string().min(1),
  crew: z.string().min(1),
  /** Crews that may do it in its crew’s place. */
  others: withDefault(z.array(z.string().min(1)), []),
  /** No round is made for it: it hangs on one that is there, or is done in passing. */
  light: withDefault(z.boolean(), false),
  handsOn: z.number().min(0),
  waiting: withDefault(z.number().min(0), 0),
  /** A wait of a day or more ends with a second, short errand between these hours. */
  returns: optional(
    z
      .strictObject({
        minHours: positiveSchema,
        maxHours: positiveSchema,
        minutes: z.number().min(0),
      })
      .refine(({ minHours, maxHours }) => minHours <= maxHours, {
        path: ["maxHours"],
        message: "less than minHours",
      }),
  ),
  powerOff: withDefault(z.boolean(), false),
  outdoor: withDefault(z.boolean(), false),
  lastDone: dateSchema,
  /** The window that comes first, where it does not follow from `lastDone`; null: nothing calls. */
  first: z.union([windowSchema, z.null()]).optional(),
  /** By the day it is done, counted from `from`: the window of the one after. */
  windows: z.strictObject({
    from: dateSchema,
    opens: columnSchema,
    due: columnSchema,
    closes: columnSchema,
  }),
  allowed: optional(z.array(spanSchema)),
  /** The price of what it takes, minor units: thrown away early it is wasted. */
  consumable: withDefault(z.number().min(0), 0),
  criticality: withDefault(z.number().min(0), 1),
});

const pinSchema = z.strictObject({ task: z.string(), n: countSchema, day: dateSchema });
const publishedSchema = pinSchema.extend({ crew: z.string().min(1).nullish() });
const roundSchema = z.strictObject({ crew: z.string(), home: z.string(), day: dateSchema });

/** No plan is longer than so many days, nor has more tasks: a table of windows stands behind each. */
const MOST_DAYS = 1100;
const MOST_TASKS = 2000;
const MOST_ITERATIONS = 1_000_000;

const planShape = {
  today: dateSchema,
  horizonEnd: dateSchema,
  seed: withDefault(z.number().int(), 1),
  iterations: withDefault(z.number().int().min(0).max(MOST_ITERATIONS), 1000),
  /** Only a brake: whoever has a clock stops the search by it. */
  maxMs: optional(positiveSchema),
  cost: z
    .union([costSchema, z.null()])
    .optional()
    .transform((cost) => cost ?? costSchema.parse({})),
  crews: z.array(crewSchema).min(1),
  units: z.array(
    z.strictObject({
      id: z.string().min(1),
      home: z.string().min(1),
      level: withDefault(z.number(), 0),
    }),
  ),
  tasks: z.array(taskSchema).max(MOST_TASKS),
  pins: withDefault(z.array(pinSchema), []),
  lockedRounds: withDefault(z.array(roundSchema), []),
  previous: withDefault(z.array(publishedSchema), []),
};
const planObject = z.strictObject(planShape);
export type PlanInput = z.output<typeof planObject>;
export type PlanTask = PlanInput["tasks"][number];
export type Crew = PlanInput["crews"][number];

/** Whether a crew may do a task: its own, and those in its place. */
const mayDo = (tasks: readonly PlanTask[], id: string, crew: string): boolean =>
  tasks.some((task) => task.id === id && (task.crew === crew || task.others.includes(crew)));

/** What no schema of a single field can say: names that are not there, tables that are too short. */
function checkPlan(input: PlanInput, context: z.RefinementCtx): void {
  const { today, horizonEnd, crews, units, tasks } = input;
  const problem = (path: (string | number)[], message: string) =>
    context.addIssue({ code: "custom", path, message });
  if (horizonEnd < today) return problem(["horizonEnd"], "ends before today");
  if (daysFrom(today, horizonEnd) > MOST_DAYS)
    return problem(["horizonEnd"], `no plan is longer than ${MOST_DAYS} days`);
  const twice = (key: string, ids: readonly string[]) =>
    ids.forEach((id, i) => {
      if (ids.indexOf(id) !== i) problem([key, i, "id"], `“${id}” is there twice`);
    });
  const names = { crews: crews.map(({ id }) => id), units: units.map(({ id }) => id) };
  const taskIds = tasks.map(({ id }) => id);
  twice("crews", names.crews);
  twice("units", names.units);
  twice("tasks", taskIds);
  tasks.forEach((task, i) => {
    if (!names.crews.includes(task.crew)) problem(["tasks", i, "crew"], "no such crew");
    task.others.forEach((crew, nth) => {
      if (!names.crews.includes(crew)) problem(["tasks", i, "others", nth], "no such crew");
    });
    if (!names.units.includes(task.unit)) problem(["tasks", i, "unit"], "no such unit");
    const { from, opens, due, closes } = task.windows;
    const rows = daysFrom(from, horizonEnd) + 1;
    const at = ["tasks", i, "windows"];
    if (from > today) problem([...at, "from"], "begins after today");
    if (due.length < rows) problem([...at, "due"], `has ${due.length} rows of ${rows}`);
    if (opens.length !== due.length || closes.length !== due.length)
      problem(at, "opens, due and closes are of different lengths");
    if (task.first === undefined && (task.lastDone < from || daysFrom(from, task.lastDone) >= rows))
      problem([...at, "from"], "has no row of the day it was last done; give `first`");
  });
  for (const key of ["pins", "previous"] as const)
    input[key].forEach(({ task }, i) => {
      if (!taskIds.includes(task)) problem([key, i, "task"], "no such task");
    });
  const homes = units.map(({ home }) => home);
  input.previous.forEach(({ task, crew }, i) => {
    if (crew && !mayDo(tasks, task, crew))
      problem(["previous", i, "crew"], "no crew that may do it");
  });
  input.lockedRounds.forEach(({ crew, home }, i) => {
    if (!names.crews.includes(crew)) problem(["lockedRounds", i, "crew"], "no such crew");
    if (!homes.includes(home)) problem(["lockedRounds", i, "home"], "no such home");
  });
}

export const planInput = planObject.superRefine(checkPlan);

const occurrenceSchema = z.strictObject({
  task: z.string(),
  day: dateSchema,
  /** Who does it, where that is not the task’s own crew. */
  crew: z.string().min(1).nullish(),
});
export type Occurrence = z.output<typeof occurrenceSchema>;
export const evaluateInput = z
  .strictObject({ input: planInput, occurrences: z.array(occurrenceSchema) })
  .superRefine(({ input, occurrences }, context) =>
    occurrences.forEach(({ task, day, crew }, i) => {
      const problem = (key: string, message: string) =>
        context.addIssue({ code: "custom", path: ["occurrences", i, key], message });
      if (!input.tasks.some(({ id }) => id === task)) problem("task", "no such task");
      else if (crew && !mayDo(input.tasks, task, crew)) problem("crew", "no crew that may do it");
      if (day < input.today) problem("day", "before today");
    }),
  );

/** From this weight on a job keeps people from harm: it is never late while there is a day in its window. */
export const SAFETY_CRITICALITY = 2;

/** Costs in centi-minutes, whole: sums are exact. */
const costsSchema = z.strictObject({
  total: z.number().int(),
  setup: z.number().int(),
  callOut: z.number().int(),
  powerDown: z.number().int(),
  early: z.number().int(),
  late: z.number().int(),
  stability: z.number().int(),
});

export const PLAN_CONFLICTS = [
  "pin-before-opens",
  "pin-not-allowed",
  "pin-past",
  "over-cap",
  "no-day",
  "before-opens",
  "not-allowed",
  "off-day",
  "twice",
  "missing",
  "pin-missed",
  "late-safety",
] as const;
const conflictSchema = z.strictObject({
  kind: z.enum(PLAN_CONFLICTS),
  task: z.string().optional(),
  crew: z.string().optional(),
  home: z.string().optional(),
  day: dateSchema.optional(),
});
export type PlanConflict = z.output<typeof conflictSchema>;
const overdueSchema = z.strictObject({ task: z.string(), day: dateSchema, days: countSchema });

export const evaluateOutput = z.strictObject({
  cost: costsSchema,
  overdue: z.array(overdueSchema),
  conflicts: z.array(conflictSchema),
});
export type Evaluation = z.output<typeof evaluateOutput>;

export const planOutput = z.strictObject({
  rounds: z.array(
    z.strictObject({
      crew: z.string(),
      home: z.string(),
      day: dateSchema,
      tasks: z.array(z.string()),
      /** Tasks whose second errand falls on this round. */
      returns: z.array(z.string()),
      minutes: z.number(),
      poweredDown: z.array(z.string()),
      /** Minutes over the cap of its scope. */
      overCap: z.number(),
    }),
  ),
  occurrences: z.array(
    z.strictObject({
      task: z.string(),
      day: dateSchema,
      opens: dateSchema.nullable(),
      due: dateSchema.nullable(),
      closes: dateSchema.nullable(),
      pinned: z.boolean(),
      /** What being early or late costs, centi-minutes. */
      early: z.number().int(),
      late: z.number().int(),
      /** Who does it, where that is not the task’s own crew. */
      crew: z.string().optional(),
      /** It hangs on a round that is there for others: it costs nothing. */
      light: z.literal(true).optional(),
    }),
  ),
  /** What is light and found no round to hang on. */
  inPassing: z.array(z.strictObject({ task: z.string(), day: dateSchema, crew: z.string() })),
  cost: costsSchema,
  overdue: z.array(overdueSchema),
  conflicts: z.array(conflictSchema),
  /** No plan costs less, centi-minutes. */
  lowerBound: z.number().int(),
  iterations: countSchema,
  truncated: z.boolean(),
});
export type Plan = z.output<typeof planOutput>;
