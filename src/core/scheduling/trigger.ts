import type { WearSummary } from "../filters/wear";
import type { YearTables } from "./year-tables";
import { z } from "zod";
import { climateSchema, actualsSchema, SEASONS } from "../climate/climate";
import { equipmentSchema, measuredSchema } from "../climate/run-hours";
import { checkSpan, countSchema, dateSchema, optional, withDefault } from "../quantities/schemas";
import { READING_KINDS, VERDICTS } from "../readings/reading-kinds";
import { wearInput } from "../filters/wear-schema";

export const SPAN_UNITS = ["day", "week", "month", "year"] as const;
/** Stretches of the year, or of a unit’s use, to which a job can be kept. */
export const WITHIN = ["heating", "cooling", "snow", "growth", "inUse"] as const;

const readingKindSchema = z.enum(READING_KINDS);

/** No job is counted further than a hundred years: calendars end, and tables would never. */
const MOST_YEARS = 100;
const DAYS_PER_YEAR = 365.25;
const YEARS_OF = {
  day: 1 / DAYS_PER_YEAR,
  week: 7 / DAYS_PER_YEAR,
  month: 1 / 12,
  year: 1,
} as const;
/** A turn of the season is never anchored by more than a year. */
const MOST_OFFSET_DAYS = 366;

const simpleTriggers = [
  z
    .strictObject({
      kind: z.literal("every"),
      n: z.number().int().positive(),
      unit: z.enum(SPAN_UNITS),
      within: optional(z.enum(WITHIN)),
    })
    .refine(({ n, unit }) => n * YEARS_OF[unit] <= MOST_YEARS, {
      path: ["n"],
      message: "longer than a hundred years",
    }),
  z.strictObject({ kind: z.literal("run-hours"), n: z.number().positive() }),
  z.strictObject({
    kind: z.literal("season"),
    anchor: z.enum(SEASONS),
    offsetDays: withDefault(z.number().int().min(-MOST_OFFSET_DAYS).max(MOST_OFFSET_DAYS), 0),
  }),
  z
    .strictObject({
      kind: z.literal("age"),
      minYears: z.number().positive(),
      maxYears: z.number().positive().max(MOST_YEARS),
    })
    .refine(({ minYears, maxYears }) => minYears <= maxYears, {
      path: ["maxYears"],
      message: "ends before it starts",
    }),
  z.strictObject({
    kind: z.literal("after"),
    event: z.string().min(1),
    days: countSchema.max(MOST_YEARS * DAYS_PER_YEAR),
  }),
  z.strictObject({ kind: z.literal("wear") }),
  z.strictObject({
    kind: z.literal("reading"),
    reading: readingKindSchema,
    verdict: z.enum(["watch", "act"]),
  }),
] as const;

export type SimpleTrigger = z.output<(typeof simpleTriggers)[number]>;
export type Trigger = SimpleTrigger | { kind: "earliest"; of: Trigger[] };

/** How often, or upon what, a job comes round. */
export const triggerSchema: z.ZodType<Trigger> = z.lazy(() =>
  z.discriminatedUnion("kind", [
    ...simpleTriggers,
    z.strictObject({ kind: z.literal("earliest"), of: z.array(triggerSchema).min(1) }),
  ]),
);

/**
 * The triggers a trigger is made of.
 *
 * @example partsOf({ kind: "earliest", of: [{ kind: "wear" }] }) // [{"kind":"wear"}]
 */
export const partsOf = (trigger: Trigger): SimpleTrigger[] =>
  trigger.kind === "earliest" ? trigger.of.flatMap(partsOf) : [trigger];

/**
 * Whether a job puts a new machine in the place of the old one: it comes round by the age of the whole machine.
 *
 * @example isRenewedByIt({ trigger: { kind: "age", minYears: 5, maxYears: 7 }, unitId: "hall-alarm" }) // true
 */
export const isRenewedByIt = ({
  trigger,
  unitId,
  partId,
}: {
  trigger: Trigger;
  unitId?: string | undefined;
  partId?: string | undefined;
}): boolean =>
  unitId !== undefined &&
  partId === undefined &&
  partsOf(trigger).some(({ kind }) => kind === "age");

/** What a job’s dates follow from, but for the day it is asked. */
const taskShape = {
  cadence: triggerSchema,
  lastDone: optional(dateSchema),
  /** From when the job is owed where it was never done. */
  since: optional(dateSchema),
  climate: optional(climateSchema),
  actuals: actualsSchema,
  equipment: optional(equipmentSchema),
  measured: measuredSchema,
  manufactured: optional(dateSchema),
  events: withDefault(
    z.array(
      z
        .strictObject({ kind: z.string().min(1), date: dateSchema, to: optional(dateSchema) })
        .superRefine(({ date, to }, context) => checkSpan({ from: date, to }, context)),
    ),
    [],
  ),
  readings: withDefault(
    z.array(
      z.strictObject({ kind: readingKindSchema, date: dateSchema, verdict: z.enum(VERDICTS) }),
    ),
    [],
  ),
  wear: optional(wearInput),
};

const taskObject = z.strictObject(taskShape);
/** A task with what its caller worked out for others too, so that it is worked out once. */
export type DueTask = z.output<typeof taskObject> & {
  /** Of its climate. */
  years?: YearTables;
  /** What its wear comes to. */
  wearDays?: WearDates;
};
type WearDates = Pick<WearSummary, "early" | "likely" | "late">;

/** Refuses a trigger that lacks what it counts by. */
function checkNeeds(task: DueTask, context: z.RefinementCtx): void {
  const need = (key: "climate" | "equipment" | "wear", why: string) => {
    if (task[key] === undefined)
      context.addIssue({ code: "custom", path: [key], message: `${why} needs ${key}` });
  };
  for (const trigger of partsOf(task.cadence)) {
    if (trigger.kind === "season") need("climate", "a season");
    if (trigger.kind === "wear") need("wear", "wear");
    if (trigger.kind === "run-hours") {
      need("climate", "counting run hours");
      need("equipment", "counting run hours");
    }
    if (trigger.kind === "every" && trigger.within === "inUse") need("equipment", "a spell of use");
    else if (trigger.kind === "every" && trigger.within) need("climate", "a stretch of the year");
  }
}

export const taskSchema = taskObject.superRefine(checkNeeds);
export const dueInput = z.strictObject({ today: dateSchema, ...taskShape }).superRefine(checkNeeds);
export type DueInput = z.output<typeof dueInput>;
