import { z } from "zod";
import { toMerv, type Rating } from "../quantities/rating";
import { ratingSchema } from "../quantities/schemas";

export const ratingCrosswalkInput = ratingSchema;

const maybe = z.number().nullable();
export const ratingCrosswalkOutput = z.strictObject({
  nearest: z.strictObject({
    MERV: z.string(),
    EN779: z.string(),
    ISO16890: z.string(),
    EN1822: z.string().nullable(),
  }),
  /** Percent, of grains of 0.3 to 1, 1 to 3 and 3 to 10 µm; null where none is promised. */
  minimumEfficiency: z.strictObject({ e1: maybe, e2: maybe, e3: maybe }),
  approximate: z.literal(true),
});
export type RatingCrosswalk = z.output<typeof ratingCrosswalkOutput>;

/** The nearest classes of the other schemes, from the least MERV they stand for, the finest first. */
const FROM_MERV = [
  { from: 16, EN779: "F9", ISO16890: "ePM1 80", EN1822: "E10" },
  { from: 15, EN779: "F9", ISO16890: "ePM1 80", EN1822: null },
  { from: 14, EN779: "F8", ISO16890: "ePM1 65", EN1822: null },
  { from: 13, EN779: "F7", ISO16890: "ePM1 50", EN1822: null },
  { from: 11, EN779: "M6", ISO16890: "ePM10 60", EN1822: null },
  { from: 9, EN779: "M5", ISO16890: "ePM10 50", EN1822: null },
  { from: 7, EN779: "G4", ISO16890: "Coarse 80", EN1822: null },
  { from: 5, EN779: "G3", ISO16890: "Coarse 60", EN1822: null },
  { from: 1, EN779: "G2", ISO16890: "Coarse 60", EN1822: null },
] as const;

/** @source docs/sources.md#ratings; from MERV 8 on */
const MINIMUM: Readonly<Record<number, readonly [number | null, number, number]>> = {
  8: [null, 20, 70],
  9: [null, 35, 75],
  10: [null, 50, 80],
  11: [20, 65, 85],
  12: [35, 80, 90],
  13: [50, 85, 90],
  14: [75, 90, 95],
  15: [85, 90, 95],
  16: [95, 95, 95],
};
/** At the grain it lets through most easily. */
const HEPA: Readonly<Record<string, number>> = {
  H13: 99.95,
  H14: 99.995,
  U15: 99.9995,
  U16: 99.99995,
  U17: 99.999995,
};

/**
 * A rating in the other schemes, about: the test methods measure different things. Efficiencies are
 * percent of grains of 0.3 to 1, 1 to 3 and 3 to 10 µm; null where none is promised.
 *
 * @throws when the scheme has no such class: a mistake of ours, the schema lets none through
 * @source docs/sources.md#ratings
 * @example ratingCrosswalk({ scheme: "MERV", class: "13" }).nearest.EN779 // "F7"
 */
export function ratingCrosswalk(rating: Rating): RatingCrosswalk {
  const merv = toMerv(rating);
  if (merv === null) throw new Error(`ratingCrosswalk: ${rating.scheme} has no ${rating.class}`);
  const { EN779, ISO16890, EN1822 } = FROM_MERV.find((row) => merv >= row.from)!;
  const hepa = HEPA[rating.class];
  const [e1, e2, e3] = hepa ? [hepa, hepa, hepa] : (MINIMUM[merv] ?? [null, null, null]);
  return {
    nearest: { MERV: String(merv), EN779, ISO16890, EN1822, [rating.scheme]: rating.class },
    minimumEfficiency: { e1, e2, e3 },
    approximate: true,
  };
}
