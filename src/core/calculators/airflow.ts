import { z } from "zod";
import { positiveSchema } from "../quantities/schemas";
import { roundPhysical } from "../quantities/rounding";

export const airflowInput = z.strictObject({
  heatOutputW: positiveSchema,
  /** Supply minus return, K. */
  temperatureRiseK: positiveSchema,
});
export const airflowOutput = z.strictObject({ airflowM3h: z.number() });

/** Heat that a cubic metre of room air takes up per kelvin, Wh: density times specific heat. */
const AIR_WH_PER_M3K = 0.335;

/**
 * The air a furnace moves, from the heat it gives and how much warmer the air leaves it.
 *
 * @source docs/sources.md#air
 * @example airflow({ heatOutputW: 20000, temperatureRiseK: 30 }) // {"airflowM3h":1990.0498}
 */
export const airflow = (input: z.output<typeof airflowInput>): z.output<typeof airflowOutput> => ({
  airflowM3h: roundPhysical(input.heatOutputW / (AIR_WH_PER_M3K * input.temperatureRiseK)),
});
