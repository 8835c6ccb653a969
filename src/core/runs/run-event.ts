import { z } from "zod";
import { DIRECTIONS } from "../inventory/directions";
import { GRADES } from "../filters/belief";
import { identitySchema } from "../inventory/identity";

const base = { id: z.string().min(8).max(64), at: z.iso.datetime({ offset: true }) };
const step = z.string().min(1).max(64);
const MOST_LETTERS = 300;
const FEWEST_LETTERS = 3;
const said = (message: string) =>
  z
    .string()
    .trim()
    .min(FEWEST_LETTERS, message)
    .max(MOST_LETTERS, "Shorter, please: up to 300 letters.");

/** Why a job is not possible now. */
export const NOT_POSSIBLE = [
  "out-of-reach",
  "in-the-way",
  "wrong-size",
  "weather",
  "missing",
  "licensed",
  "found",
  "other",
] as const;
export type NotPossible = (typeof NOT_POSSIBLE)[number];

/** What puts a whole run on hold from outside its steps. */
export const ALARMS = ["gas", "co"] as const;
export type Alarm = (typeof ALARMS)[number];

export const PHOTO_MOMENTS = ["before", "after"] as const;
export type PhotoMoment = (typeof PHOTO_MOMENTS)[number];

/** How a CO alarm was found; what is not asked of it is left out. */
export const ALARM_STATES = ["quiet", "tested", "silent", "chirps"] as const;
export type AlarmState = (typeof ALARM_STATES)[number];

const alarmSeen = z.strictObject({
  place: z.string().min(1).max(64),
  state: z.enum(ALARM_STATES),
  /** Of one with a display. */
  ppm: z.number().min(0).max(10_000).optional(),
});
export type AlarmSeen = z.output<typeof alarmSeen>;

const MOST_PLACES = 200;
const MOST_COUNTED = 999;

const MOST_UNIT_LETTERS = 16;

const readingSeen = z.strictObject({
  value: z.union([z.number(), z.string().max(MOST_LETTERS)]),
  /** The unit it is judged in. */
  unit: z.string().max(MOST_UNIT_LETTERS).optional(),
  typed: z.strictObject({ value: z.string().max(40), unit: z.string().max(10) }).optional(),
  /** What it is judged by: the value or the range on its plate, and which capacitor strategy the home follows. */
  /** Of its plate as much as is known. */
  rated: z
    .union([z.number(), z.strictObject({ min: z.number().optional(), max: z.number().optional() })])
    .optional(),
  school: z.enum(["label", "general"]).optional(),
});
export type ReadingSeen = z.output<typeof readingSeen>;

const sizeSeen = z.strictObject({
  opening: z.string().min(1).max(60),
  /** The size to buy from now on, where that is another. */
  buy: z.string().min(1).max(60).optional(),
});

/** What was seen, measured or answered at a step. */
const seen = {
  grade: z.enum(GRADES).optional(),
  reading: readingSeen.optional(),
  choice: z.string().min(1).max(64).optional(),
  size: sizeSeen.optional(),
  /** The filter or machine it was seen at, where a job goes through the house. */
  place: z.string().max(64).optional(),
  /** The machine that filter sits in. */
  unit: z.string().max(64).optional(),
  /** The same thing seen at several machines. */
  each: z
    .array(z.strictObject({ place: z.string().min(1).max(64), value: z.string().max(64) }))
    .max(MOST_PLACES)
    .optional(),
  alarms: z.array(alarmSeen).max(MOST_PLACES).optional(),
  direction: z.enum(DIRECTIONS).optional(),
  /** Width across a cylinder, mm. */
  acrossMm: z.number().positive().max(2000).optional(),
  count: z.number().int().min(0).max(MOST_COUNTED).optional(),
  words: z.string().trim().min(1).max(MOST_LETTERS).optional(),
};
export type Seen = z.output<z.ZodObject<typeof seen>>;

/** One thing a person did in a run; made where it happens, never changed, possibly sent twice. */
export const runEventSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    ...base,
    kind: z.literal("done"),
    step,
    /** How often the run had gone back to repeat when this was done. */
    round: z.number().int().min(0).optional(),
    ...seen,
  }),
  /** Takes back the last thing done, if that was at this step. */
  z.strictObject({ ...base, kind: z.literal("back"), step }),
  z.strictObject({
    ...base,
    kind: z.literal("leave-open"),
    step,
    words: said("Say in a few words why it stays open."),
  }),
  /** A step for a licensed person, left to one: the rest waits for them. */
  z.strictObject({ ...base, kind: z.literal("handed-over"), step }),
  /** Not possible now: what is open is closed again, and the job is deferred. */
  z.strictObject({
    ...base,
    kind: z.literal("turned-back"),
    step,
    reason: z.enum(NOT_POSSIBLE),
    words: said("Say in a few words what is in the way."),
    /** When to try again. */
    until: z.iso.date().optional(),
  }),
  z.strictObject({ ...base, kind: z.literal("note"), step, words: said("Say it in a few words.") }),
  z.strictObject({
    ...base,
    kind: z.literal("photo"),
    step,
    photo: z.string().min(8).max(64),
    moment: z.enum(PHOTO_MOMENTS),
  }),
  /** What the plate of the machine or the part says, as far as somebody read it. */
  z.strictObject({
    ...base,
    kind: z.literal("plate"),
    step,
    of: z.enum(["unit", "part"]),
    identity: identitySchema,
  }),
  z.strictObject({ ...base, kind: z.literal("alarm"), alarm: z.enum(ALARMS) }),
  /** What put the run on hold has been seen to, and by whom. */
  z.strictObject({
    ...base,
    kind: z.literal("made-safe"),
    words: said("Say who made it safe, and how."),
  }),
  /** What was seen means stop: the machine is put together, and what feeds it stays off. */
  z.strictObject({
    ...base,
    kind: z.literal("kept-off"),
    words: said("Say why it stays off."),
  }),
  z.strictObject({
    ...base,
    kind: z.literal("finished"),
    minutes: z.number().int().min(0).max(6000).optional(),
    costMinor: z.number().int().min(0).optional(),
    used: z.array(z.string().max(80)).max(20).optional(),
  }),
  /** The finish taken back, within seconds. */
  z.strictObject({ ...base, kind: z.literal("undone") }),
  z.strictObject({ ...base, kind: z.literal("stopped") }),
]);
export type RunEvent = z.output<typeof runEventSchema>;

/** What a person does: an event without its name and time. */
type Undated<E> = E extends RunEvent ? Omit<E, "id" | "at"> : never;
export type Doing = Undated<RunEvent>;
