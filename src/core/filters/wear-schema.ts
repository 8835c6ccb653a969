import { z } from "zod";
import { actualsSchema, climateSchema } from "../climate/climate";
import { equipmentSchema, measuredSchema } from "../climate/run-hours";
import {
  countSchema,
  dateSchema,
  MOST_SPAN_DAYS,
  optional,
  positiveSchema,
  ratingSchema,
  shareSchema,
  withDefault,
} from "../quantities/schemas";
import { daysFrom } from "../quantities/plain-date";
import { beliefSchema, COIL_GRADES, FINAL_RATIO, FIRST_BELIEF, GRADES } from "./belief";
import { AIR_SIDES, driverSchema, type DriverKind } from "./drivers";
import { isCoil, WEARING_KINDS } from "./media";

/** The filter that an indoor coil sits behind. */
const upstreamSchema = z.strictObject({
  /** Of none there is no filter. */
  rating: optional(ratingSchema),
  /** Share of the air that slips past its frame. */
  bypass: withDefault(shareSchema, 0),
});

export const slotSchema = z.strictObject({
  media: z.enum(WEARING_KINDS),
  rating: optional(ratingSchema),
  airSide: z.enum(AIR_SIDES),
  /** All filters of the slot together, m². */
  faceAreaM2: optional(positiveSchema),
  airflowM3h: optional(positiveSchema),
  baseHours: optional(positiveSchema),
  maxAgeDays: optional(z.number().int().min(1)),
  /** Its age counts only days on which it ran: paper that stands dry and still does not grow old. */
  agesInUse: optional(z.boolean()),
  cleanDropPa: optional(positiveSchema),
  finalRatio: withDefault(z.number().gt(1), FINAL_RATIO),
  /** Of an indoor coil only; without it a tight filter of MERV 8 is supposed. */
  upstream: optional(upstreamSchema),
});
export type WearSlot = z.output<typeof slotSchema>;

const lookSchema = z.strictObject({
  date: dateSchema,
  grade: optional(z.enum([...GRADES, "dusty", "matted"])),
  pressureDropPa: optional(z.number().min(0)),
});
export type WearLook = z.output<typeof lookSchema>;

/** What vacuuming a filter on the spot takes off its load. */
export const RELIEF_SHARE = 0.3;

const reliefSchema = z.strictObject({
  date: dateSchema,
  share: withDefault(z.number().min(0).max(1), RELIEF_SHARE),
});
export type Relief = z.output<typeof reliefSchema>;

/** Three years: further ahead nobody plans a filter. */
const DEFAULT_HORIZON_DAYS = 1095;

export const wearInput = z
  .strictObject({
    today: dateSchema,
    fittedOn: dateSchema,
    climate: climateSchema,
    actuals: actualsSchema,
    equipment: equipmentSchema,
    measured: measuredSchema,
    slot: slotSchema,
    drivers: z.array(driverSchema),
    belief: withDefault(
      z.strictObject({
        mu: withDefault(beliefSchema.shape.mu, FIRST_BELIEF.mu),
        sd: withDefault(beliefSchema.shape.sd, FIRST_BELIEF.sd),
      }),
      FIRST_BELIEF,
    ),
    looks: z.array(lookSchema),
    reliefs: withDefault(z.array(reliefSchema), []),
    /** The share of its load and age at which it is due: three quarters where lungs ask for it. */
    lifeShare: withDefault(z.number().gt(0).max(1), 1),
    horizonDays: withDefault(countSchema.max(MOST_SPAN_DAYS), DEFAULT_HORIZON_DAYS),
  })
  .superRefine((input, context) => {
    if (input.slot.upstream && input.slot.media !== "indoor-coil")
      context.addIssue({
        code: "custom",
        path: ["slot", "upstream"],
        message: "only an indoor coil sits behind a filter",
      });
    if (daysFrom(input.fittedOn, input.today) > MOST_SPAN_DAYS)
      context.addIssue({
        code: "custom",
        path: ["fittedOn"],
        message: "more than a hundred years ago",
      });
    input.looks.forEach((look, i) => {
      const problem = (path: string, message: string) =>
        context.addIssue({ code: "custom", path: ["looks", i, path], message });
      if (look.grade === undefined && look.pressureDropPa === undefined)
        problem("grade", "a look needs a grade or a pressure drop");
      const isOfCoil = COIL_GRADES.some((grade) => grade === look.grade);
      const isOfFilter = GRADES.some((grade) => grade === look.grade);
      if (look.grade !== undefined && !(isCoil(input.slot.media) ? isOfCoil : isOfFilter))
        problem("grade", "a coil is clean, dusty or matted, and no filter is");
      if (look.pressureDropPa !== undefined && input.slot.cleanDropPa === undefined)
        problem("pressureDropPa", "a pressure drop needs the slot's cleanDropPa to compare with");
    });
  });
export type WearInput = z.output<typeof wearInput>;

const maybeDate = dateSchema.nullable();
export const wearOutput = z.strictObject({
  early: maybeDate,
  likely: maybeDate,
  late: maybeDate,
  limitedBy: z.enum(["load", "age", "look"]).nullable(),
  percentNow: z.number(),
  belief: z.strictObject({ mu: z.number(), sd: z.number() }),
  looksUsed: z.number(),
  days: z.array(
    z.strictObject({
      date: dateSchema,
      runHours: z.number(),
      multiplier: z.number(),
      load: z.number(),
    }),
  ),
  drivers: z.array(
    z.strictObject({
      id: z.string().optional(),
      kind: z.string().transform((kind) => kind as DriverKind),
      daysBroughtForward: z.number().nullable(),
    }),
  ),
  bookDue: maybeDate,
  weatherDays: z.number().nullable(),
});
export type WearResult = z.output<typeof wearOutput>;
