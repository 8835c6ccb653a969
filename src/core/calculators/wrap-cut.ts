import { z } from "zod";
import { positiveSchema, withDefault } from "../quantities/schemas";
import { reaches, roundLoad, roundPhysical } from "../quantities/rounding";

/** How far a wrap laps over itself, so that no air slips through its seam, mm; our choice. */
const DEFAULT_OVERLAP_MM = 25;

export const wrapCutInput = z.strictObject({
  diameterMm: positiveSchema,
  heightMm: positiveSchema,
  sheetMm: z.strictObject({ w: positiveSchema, h: positiveSchema }),
  overlapMm: withDefault(z.number().min(0), DEFAULT_OVERLAP_MM),
});
export const wrapCutOutput = z.strictObject({
  lengthMm: z.number(),
  heightMm: z.number(),
  /** Wraps out of one sheet; none when it is too small either way. */
  pieces: z.number().int(),
  rotated: z.boolean(),
  wasteShare: z.number(),
});

/** How often `part` goes into `whole`, forgiving the last bits. */
function times(whole: number, part: number): number {
  const floor = Math.floor(whole / part);
  return reaches(whole, (floor + 1) * part) ? floor + 1 : floor;
}

/**
 * How to cut a sheet of pre-filter into wraps for a cylinder, the better way round. Lengths in mm; no
 * pieces at all where the sheet is too small either way.
 *
 * @example wrapCut({ diameterMm: 100, heightMm: 200, sheetMm: { w: 1020, h: 400 }, overlapMm: 25 }).pieces // 6
 */
export function wrapCut(input: z.output<typeof wrapCutInput>): z.output<typeof wrapCutOutput> {
  const { diameterMm, heightMm, sheetMm, overlapMm } = input;
  const lengthMm = Math.PI * diameterMm + overlapMm;
  const along = times(sheetMm.w, lengthMm) * times(sheetMm.h, heightMm);
  const across = times(sheetMm.w, heightMm) * times(sheetMm.h, lengthMm);
  const pieces = Math.max(along, across);
  return {
    lengthMm: roundPhysical(lengthMm),
    heightMm: roundPhysical(heightMm),
    pieces,
    rotated: across > along,
    wasteShare: roundLoad(1 - (pieces * lengthMm * heightMm) / (sheetMm.w * sheetMm.h)),
  };
}
