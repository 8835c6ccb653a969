import { z } from "zod";
import { positiveSchema, withDefault } from "../quantities/schemas";
import { roundPhysical } from "../quantities/rounding";

export const dilutionInput = z.strictObject({
  concentrateParts: withDefault(positiveSchema, 1),
  waterParts: positiveSchema,
  tankL: positiveSchema,
});
export const dilutionOutput = z.strictObject({ concentrateL: z.number(), waterL: z.number() });

/**
 * What fills a sprayer, from the parts on the label.
 *
 * @example dilution({ concentrateParts: 1, waterParts: 4, tankL: 2 }) // {"concentrateL":0.4,"waterL":1.6}
 */
export function dilution(input: z.output<typeof dilutionInput>): z.output<typeof dilutionOutput> {
  const { concentrateParts, waterParts, tankL } = input;
  const parts = concentrateParts + waterParts;
  return {
    concentrateL: roundPhysical((tankL * concentrateParts) / parts),
    waterL: roundPhysical((tankL * waterParts) / parts),
  };
}
