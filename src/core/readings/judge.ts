import { z } from "zod";
import { optional, withDefault } from "../quantities/schemas";
import { roundPercent, roundPhysical } from "../quantities/rounding";
import {
  isWordKind,
  MEASURED_KINDS,
  plateBands,
  PLATE_UNITS,
  READING_KINDS,
  VERDICTS,
  WORD_KINDS,
  type Bands,
  type Grounds,
  type MeasuredKind,
  type ReadingKind,
  type Verdict,
} from "./reading-kinds";

/** Two strategies of when a capacitor goes: beyond its label (usually 6 %), or beyond 10 %. */
export const CAPACITOR_STRATEGIES = { label: 6, general: 10 } as const;
export type CapacitorStrategy = keyof typeof CAPACITOR_STRATEGIES;
export const READING_FLAGS = ["bulged", "leaking", "return-shut"] as const;

const ratedSchema = z.union([
  z.number(),
  z
    .strictObject({ min: z.number(), max: z.number() })
    .refine(({ min, max }) => min <= max, "starts above its end"),
]);

/** What a value is judged by, beside its kind. */
const judgedBy = {
  rated: optional(ratedSchema),
  limits: withDefault(
    z.strictObject({
      tolerancePercent: optional(z.number().positive().max(100)),
      finalRatio: optional(z.number().gt(1)),
      fogLimit: optional(z.number().min(0).max(100)),
    }),
    { tolerancePercent: undefined, finalRatio: undefined, fogLimit: undefined },
  ),
  school: optional(z.enum(Object.keys(CAPACITOR_STRATEGIES) as ["label", "general"])),
  flags: withDefault(z.array(z.enum(READING_FLAGS)), []),
  mode: optional(z.enum(["open", "loaded"])),
};
export const judgedBySchema = z.strictObject(judgedBy);

export const judgeInput = z
  .strictObject({
    kind: z.enum(READING_KINDS),
    value: optional(z.union([z.number(), z.string()])),
    unit: optional(z.string()),
    ...judgedBy,
  })
  .superRefine(checkReading);
export type JudgeInput = z.output<typeof judgeInput>;

export const judgeOutput = z.strictObject({
  verdict: z.enum(VERDICTS),
  deviation: z.number().nullable(),
  limit: z.number().nullable(),
  messageCode: z.string(),
  facts: z.record(z.string(), z.unknown()),
});
export type Judgement = z.output<typeof judgeOutput>;

const isSwollen = (input: Pick<JudgeInput, "kind" | "flags">) =>
  input.kind === "capacitor-uf" &&
  input.flags.some((flag) => flag === "bulged" || flag === "leaking");

/** Measured against a target that may be any temperature difference, 0 too. */
const isDifference = (kind: ReadingKind): boolean =>
  kind === "superheat-k" || kind === "subcooling-k";

/** What a reading must bring with it to be judged at all. */
function checkReading(input: JudgeInput, context: z.RefinementCtx): void {
  const { kind, value, unit, rated } = input;
  const problem = (path: string, message: string) =>
    context.addIssue({ code: "custom", path: [path], message });
  if (isWordKind(kind)) {
    const words = Object.keys(WORD_KINDS[kind]);
    if (typeof value !== "string" || !words.includes(value))
      problem("value", `say one of ${words.join(", ")}`);
    if (unit !== undefined) problem("unit", "words have no unit");
    return;
  }
  if (kind === "plate-range") {
    if (typeof value !== "number") problem("value", "a number is needed");
    if (!PLATE_UNITS.some((each) => each === unit))
      problem("unit", `give one of ${PLATE_UNITS.join(", ")}`);
    if (typeof rated !== "object") problem("rated", "give the plate’s range as min and max");
    return;
  }
  const facts: MeasuredKind = MEASURED_KINDS[kind];
  const { min, max } = facts.accepts;
  if (typeof value === "number") {
    if (value < min || value > max)
      problem("value", `${value} is out of range: between ${min} and ${max}`);
    else if (facts.whole && !Number.isInteger(value)) problem("value", "a whole number is needed");
  } else if (value !== undefined || !isSwollen(input)) problem("value", "a number is needed");
  // A swollen one is done for, whatever it reads: nothing needs measuring.
  const isSeenOnly = isSwollen(input) && value === undefined;
  if (unit !== facts.unit && !(isSeenOnly && unit === undefined))
    problem("unit", `this is measured in ${facts.unit}`);
  if (facts.rated === "band" && typeof rated !== "object")
    problem("rated", "give the plate’s range as min and max");
  const mayLack =
    facts.usualRated !== undefined || facts.ratedIsOptional === true || isSwollen(input);
  if (facts.rated === "value" && (rated !== undefined || !mayLack)) {
    if (typeof rated !== "number") problem("rated", "a single rated value is needed");
    else if (!isDifference(kind) && rated <= 0) problem("rated", "must be more than 0");
    else if (facts.whole && !Number.isInteger(rated)) problem("rated", "a whole number is needed");
    else if (kind === "closed-registers" && typeof value === "number" && value > rated)
      problem("value", `more are shut than the ${rated} there are`);
  }
  if (facts.rated === "none" && rated !== undefined)
    problem("rated", "this is not compared with a rated value");
}

function groundsOf({ kind, rated, limits, school, flags, mode }: JudgeInput): Grounds {
  const usual =
    kind in MEASURED_KINDS
      ? (MEASURED_KINDS[kind as keyof typeof MEASURED_KINDS] as MeasuredKind).usualRated
      : undefined;
  return {
    rated: typeof rated === "number" ? rated : (usual ?? null),
    range: typeof rated === "object" ? rated : null,
    tolerancePercent: limits.tolerancePercent ?? CAPACITOR_STRATEGIES[school ?? "label"],
    finalRatio: limits.finalRatio ?? 2,
    fogLimit: limits.fogLimit ?? null,
    mode: mode ?? "open",
    returnShut: flags.includes("return-shut"),
  };
}

const finite = (value: number) => (Number.isFinite(value) ? roundPhysical(value) : null);

/** The nearer end of what is watched: beyond it one acts. */
function limitOf(value: number, { watch }: Bands): number | null {
  const ends = [watch.low, watch.high].filter(Number.isFinite);
  const [nearest] = ends.sort((a, b) => Math.abs(value - a) - Math.abs(value - b));
  return nearest === undefined ? null : roundPhysical(nearest);
}

/**
 * Percent above or below a single rated value; else, and for differences of temperature, how far above (+)
 * or below (−) the sound band in the reading’s own unit.
 */
function deviationOf(
  kind: ReadingKind,
  value: number,
  rated: number | null,
  { sound }: Bands,
): number | null {
  if (rated !== null && !isDifference(kind)) return roundPercent((100 * (value - rated)) / rated);
  return roundPhysical(Math.min(0, value - sound.low) + Math.max(0, value - sound.high));
}

/** On which side of what is sound it lies, where both can be: too much may want something else than too little. */
function sideOf(value: number, { sound }: Bands, verdict: Verdict): { side?: "below" | "above" } {
  const isBoth = Number.isFinite(sound.low) && Number.isFinite(sound.high);
  if (verdict === "sound" || !isBoth) return {};
  return value < sound.low ? { side: "below" } : value > sound.high ? { side: "above" } : {};
}

const answer = (
  kind: ReadingKind,
  verdict: Verdict,
  rest: Pick<Judgement, "deviation" | "limit" | "facts">,
): Judgement => ({ verdict, messageCode: `${kind}.${verdict}`, ...rest });

/** Of a plate’s range one end may be all that anybody knows. */
const partRatedSchema = z.union([
  ratedSchema,
  z.strictObject({ min: z.number().optional(), max: z.number().optional() }),
]);

/** What a reading is kept with: as for judging, but of its plate as much as is known. */
export const keptBySchema = judgedBySchema.extend({ rated: optional(partRatedSchema) });
export type KeptReading = Omit<JudgeInput, "rated"> & {
  rated?: z.output<typeof partRatedSchema> | undefined;
};

/** A verdict; unknown as long as nobody has written down what it is compared with. */
export type KeptVerdict = Verdict | "unknown";
export type KeptJudgement = Omit<Judgement, "verdict"> & { verdict: KeptVerdict };

/**
 * How a reading stands as far as it can be told: without the figures of its plate it is unknown, and with one
 * end of a range only what lies beyond that end is told. Null for what could not be judged with them either.
 *
 * @param input value and unit as for `judge`
 * @example judgeKept({ kind: "temperature-rise-k", value: 60, unit: "K", rated: { max: 40 }, limits: {}, flags: [] }).verdict // "stop"
 */
export function judgeKept(input: KeptReading): KeptJudgement | null {
  const whole = judgeInput.safeParse(input);
  if (whole.success) return judge(whole.data);
  const { kind, value } = input;
  const isOfPlate = whole.error.issues.every(({ path }) => path[0] === "rated");
  if (!isOfPlate || isWordKind(kind) || typeof value !== "number") return null;
  const { rated } = input;
  if (typeof rated === "number") return null;
  const end = rated?.min ?? rated?.max;
  const unknown: KeptJudgement = {
    verdict: "unknown",
    deviation: null,
    limit: null,
    messageCode: `${kind}.unknown`,
    facts: { value, unit: input.unit, ...(rated ? { rated } : {}) },
  };
  if (end === undefined) return unknown;
  const range = { min: rated?.min ?? -Infinity, max: rated?.max ?? Infinity };
  const grounds = { ...groundsOf({ ...input, rated: undefined }), range };
  const bands = kind === "plate-range" ? oneEnded(range) : MEASURED_KINDS[kind].bands(grounds);
  const verdict = bands.verdict(value);
  return verdict === "sound"
    ? unknown
    : { ...unknown, verdict, messageCode: `${kind}.${verdict}`, limit: limitOf(value, bands) };
}

/** A share of a range that is not known can’t be watched: beyond the one end one acts. */
const oneEnded = ({ min, max }: { min: number; max: number }): Bands => {
  const span = { low: min, high: max };
  return {
    sound: span,
    watch: span,
    verdict: (value) => (value < min || value > max ? "act" : "sound"),
  };
};

/**
 * Whether a reading is fine: sound, to be watched, to be acted on, or a reason to stop and call. Values
 * come in the unit named with them and are turned into the kind's own; a bound belongs to the milder
 * verdict. Where a plate or limit is needed and missing the input is refused at its field.
 *
 * @source docs/sources.md#readings
 * @example judge(judgeInput.parse({ kind: "co-ppm", value: 30, unit: "ppm" })).verdict // "stop"
 */
export function judge(input: JudgeInput): Judgement {
  const { kind, value, unit } = input;
  if (isWordKind(kind)) {
    const verdicts: Readonly<Record<string, Verdict>> = WORD_KINDS[kind];
    const verdict = typeof value === "string" ? verdicts[value] : undefined;
    if (!verdict) throw new Error(`judge: ${kind} has no word ${String(value)}`);
    return answer(kind, verdict, { deviation: null, limit: null, facts: { word: value } });
  }
  if (typeof value !== "number")
    return answer(kind, "stop", { deviation: null, limit: null, facts: { flags: input.flags } });
  const grounds = groundsOf(input);
  if (isSwollen(input) && grounds.rated === null) {
    const facts = { value, unit, flags: input.flags };
    return answer(kind, "stop", { deviation: null, limit: null, facts });
  }
  const bands = kind === "plate-range" ? plateBands(grounds) : MEASURED_KINDS[kind].bands(grounds);
  const verdict = isSwollen(input) ? "stop" : bands.verdict(value);
  const facts = {
    value,
    unit,
    ...sideOf(value, bands, verdict),
    rated: grounds.rated ?? grounds.range,
    soundFrom: finite(bands.sound.low),
    soundTo: finite(bands.sound.high),
    watchFrom: finite(bands.watch.low),
    watchTo: finite(bands.watch.high),
    ...(input.flags.length > 0 ? { flags: input.flags } : {}),
  };
  return answer(kind, verdict, {
    deviation: deviationOf(kind, value, grounds.rated, bands),
    limit: limitOf(value, bands),
    facts,
  });
}
