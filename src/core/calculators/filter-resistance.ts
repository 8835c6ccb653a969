import { z } from "zod";
import { positiveSchema, withDefault } from "../quantities/schemas";
import { roundLoad, roundPhysical } from "../quantities/rounding";

/** What a residential blower usually has to spare for everything outside it, Pa (0.5 in. w.g.). */
export const DEFAULT_BUDGET_PA = 125;
/** Face velocity at which a filter keeps its promised drop, m/s; practice: 300 ft/min. */
const DEFAULT_REFERENCE_VELOCITY_MS = 1.5;
/** The drop of fibrous media grows a little faster than the flow. */
const DROP_EXPONENT = 1.35;
const SECONDS_PER_HOUR = 3600;

export const filterResistanceInput = z.strictObject({
  /** As the box says, at `atVelocityMs`. */
  dropPa: positiveSchema,
  atVelocityMs: positiveSchema,
  airflowM3h: positiveSchema,
  faceAreaM2: positiveSchema,
  /** 0 clean, 1 due. */
  load: withDefault(z.number().min(0), 0),
  finalRatio: withDefault(z.number().gt(1), 2),
  budgetPa: withDefault(positiveSchema, DEFAULT_BUDGET_PA),
  referenceVelocityMs: withDefault(positiveSchema, DEFAULT_REFERENCE_VELOCITY_MS),
});

export const filterResistanceOutput = z.strictObject({
  faceVelocityMs: z.number(),
  cleanDropPa: z.number(),
  dropNowPa: z.number(),
  finalDropPa: z.number(),
  budgetShare: z.number(),
  minFaceAreaM2: z.number(),
});

/**
 * What a filter costs the blower at a house's own airflow: clean, as loaded as it is, and when due, in
 * Pa; the share of the blower's budget; and the least face area, m², at the reference velocity.
 *
 * @source docs/sources.md#fit; the drop grows with the flow to the power of 1.35
 * @example filterResistance({ dropPa: 50, atVelocityMs: 1.5, airflowM3h: 1620, faceAreaM2: 0.3, load: 1, finalRatio: 2, budgetPa: 125, referenceVelocityMs: 1.5 }).dropNowPa // 100
 */
export function filterResistance(
  input: z.output<typeof filterResistanceInput>,
): z.output<typeof filterResistanceOutput> {
  const flow = input.airflowM3h / SECONDS_PER_HOUR;
  const velocity = flow / input.faceAreaM2;
  const clean = input.dropPa * (velocity / input.atVelocityMs) ** DROP_EXPONENT;
  const now = clean * (1 + (input.finalRatio - 1) * input.load ** 2);
  return {
    faceVelocityMs: roundPhysical(velocity),
    cleanDropPa: roundPhysical(clean),
    dropNowPa: roundPhysical(now),
    finalDropPa: roundPhysical(clean * input.finalRatio),
    budgetShare: roundLoad(now / input.budgetPa),
    minFaceAreaM2: roundPhysical(flow / input.referenceVelocityMs),
  };
}
