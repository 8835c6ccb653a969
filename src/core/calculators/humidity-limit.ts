import { z } from "zod";
import { optional } from "../quantities/schemas";
import { clamp, isBelow, roundPercent, roundPhysical } from "../quantities/rounding";

/** Heat through a pane, W/m²K; practice, glass with its spacer. */
export const PANES = { single: 5.7, "old-double": 2.8, double: 1.4, triple: 0.8 } as const;
export type Pane = keyof typeof PANES;

export const humidityLimitInput = z.strictObject({
  indoorC: z.number(),
  outdoorC: z.number(),
  uValue: z.union([z.number().positive(), z.enum(Object.keys(PANES) as [Pane, ...Pane[]])]),
  /** Percent. */
  indoorRh: optional(z.number().positive().max(100)),
});
export const humidityLimitOutput = z.strictObject({
  glassC: z.number(),
  rhMax: z.number(),
  advice: z.number(),
  floored: z.boolean(),
  dewPointC: z.number().nullable(),
  fogs: z.boolean().nullable(),
});

/** Resistance from room air to the glass, m²K/W. */
const INNER_RESISTANCE = 0.13;
/** How much colder a well insulated pane is at its edge, as a share of the whole difference. */
const COLD_EDGE_SHARE = 0.12;
/** U-values between which the cold edge comes in, W/m²K. */
const EDGE_FROM_U = 2.8;
const EDGE_OVER_U = 1.4;
/** Percent below the fog line that is advised, the most, and the least that people bear. */
const MARGIN = 3;
const MOST_ADVISED = 45;
const LEAST_ADVISED = 20;
/** Magnus constants over water. */
const A = 17.62;
const B = 243.12;

/** Saturation pressure, hPa. */
const saturation = (celsius: number) => 6.112 * Math.exp((A * celsius) / (B + celsius));

/**
 * How moist the air may be before its coldest pane fogs, in percent, the pane's temperature in °C, and
 * what is advised: 3 percent less, within 20 and 45. `dewPointC` and `fogs` are null without a reading.
 *
 * @source docs/sources.md#humidity
 * @example humidityLimit({ indoorC: 20, outdoorC: 20, uValue: "double", indoorRh: 50 }) // { glassC: 20, rhMax: 100, advice: 45, floored: false, dewPointC: 9.2552, fogs: false }
 */
export function humidityLimit(
  input: z.output<typeof humidityLimitInput>,
): z.output<typeof humidityLimitOutput> {
  const { indoorC, outdoorC, indoorRh } = input;
  const u = typeof input.uValue === "number" ? input.uValue : PANES[input.uValue];
  const edge = COLD_EDGE_SHARE * clamp((EDGE_FROM_U - u) / EDGE_OVER_U, 0, 1);
  const glass = indoorC - (INNER_RESISTANCE * u + edge) * (indoorC - outdoorC);
  const rhMax = Math.min(100, (100 * saturation(glass)) / saturation(indoorC));
  const wanted = Math.min(MOST_ADVISED, rhMax - MARGIN);
  const floored = isBelow(wanted, LEAST_ADVISED);
  const moist =
    indoorRh === undefined ? null : Math.log(indoorRh / 100) + (A * indoorC) / (B + indoorC);
  const dewPoint = moist === null ? null : (B * moist) / (A - moist);
  return {
    glassC: roundPhysical(glass),
    rhMax: roundPercent(rhMax),
    advice: roundPercent(floored ? LEAST_ADVISED : wanted),
    floored,
    dewPointC: dewPoint === null ? null : roundPhysical(dewPoint),
    fogs: dewPoint === null ? null : isBelow(glass, dewPoint),
  };
}
