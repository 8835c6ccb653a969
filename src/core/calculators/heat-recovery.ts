import { z } from "zod";
import { isBelow, roundLoad } from "../quantities/rounding";

/** Nearer to each other than this, K, two air streams say nothing of what passes between them. */
const LEAST_DIFFERENCE_K = 5;

/**
 * Temperatures at a ventilator, °C. Refused within 5 K between the air leaving the house and outdoors:
 * a thermometer's error would be as large as what is recovered.
 */
export const heatRecoveryInput = z
  .strictObject({ supplyC: z.number(), outdoorC: z.number(), extractC: z.number() })
  .superRefine(({ extractC, outdoorC }, context) => {
    if (isBelow(Math.abs(extractC - outdoorC), LEAST_DIFFERENCE_K))
      context.addIssue({
        code: "custom",
        path: ["extractC"],
        message: "less than 5 K from outdoors: measure on a colder or hotter day",
      });
  });
export const heatRecoveryOutput = z.strictObject({ efficiency: z.number() });

/**
 * How much of the way from outdoors to the air leaving the house the fresh air is brought: 0 none, 1
 * all of it; above 1 where a duct draws heat from elsewhere. Temperatures in °C.
 *
 * @source docs/sources.md#ventilators
 * @example heatRecovery({ supplyC: 17, outdoorC: 5, extractC: 21 }) // { efficiency: 0.75 }
 */
export const heatRecovery = ({
  supplyC,
  outdoorC,
  extractC,
}: z.output<typeof heatRecoveryInput>): z.output<typeof heatRecoveryOutput> => ({
  efficiency: roundLoad((supplyC - outdoorC) / (extractC - outdoorC)),
});
