import { z } from "zod";
import { optional, positiveSchema, shareSchema, withDefault } from "../quantities/schemas";
import { atMost, roundLoad, roundPhysical } from "../quantities/rounding";

const sizeSchema = z.strictObject({
  w: positiveSchema,
  h: positiveSchema,
  depth: optional(positiveSchema),
});

export const SEATS = ["open", "rail", "gasket"] as const;

export const filterFitInput = z.strictObject({
  slotMm: sizeSchema,
  filterMm: sizeSchema,
  /** Something fills the depth that the filter does not. */
  spacer: withDefault(z.boolean(), false),
  /** The filter's own drop at the full airflow, Pa. */
  dropPa: positiveSchema,
  airflowM3h: positiveSchema,
  efficiency: optional(shareSchema),
  seat: withDefault(z.enum(SEATS), "rail"),
});

const maybe = z.number().nullable();
export const filterFitOutput = z.strictObject({
  verdict: z.enum(["tight", "leaky", "wrong-size", "does-not-fit"]),
  gapMm: z.strictObject({ w: z.number(), h: z.number() }).nullable(),
  gapAreaM2: maybe,
  bypass: maybe,
  filterAirflowM3h: maybe,
  bypassAirflowM3h: maybe,
  dropPa: maybe,
  effectiveEfficiency: maybe,
});
export type FilterFit = z.output<typeof filterFitOutput>;

/** Share of the gap's area that air really finds, by how the frame is seated; practice. */
export const LEAK_SHARE = { open: 1, rail: 0.15, gasket: 0.03 } as const;
/** Contraction of a jet through a sharp gap, and the density of room air, kg/m³. */
const DISCHARGE = 0.6;
const AIR_DENSITY = 1.2;
/** The drop of fibrous media grows a little faster than the flow. */
const DROP_EXPONENT = 1.35;
const BISECTION_END = 1e-9;
const SECONDS_PER_HOUR = 3600;
const MM2_PER_M2 = 1_000_000;

const TIGHT_UP_TO = 0.01;
const LEAKY_UP_TO = 0.05;
/** A filter this much thinner than its slot rattles in it, mm. */
const LOOSE_DEPTH_MM = 3;

/** The share of the air that goes through the filter: where its drop drives just the rest past it. */
function throughFilter(leakM2: number, dropPa: number, airflowM3s: number): number {
  const excess = (share: number) =>
    share +
    (DISCHARGE * leakM2 * Math.sqrt((2 * dropPa * share ** DROP_EXPONENT) / AIR_DENSITY)) /
      airflowM3s -
    1;
  let low = 0;
  let high = 1;
  while (high - low > BISECTION_END) {
    const middle = (low + high) / 2;
    if (excess(middle) > 0) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/**
 * How a filter sits in its slot, and how much of the air slips past it. Sizes in mm, drop in Pa,
 * airflow in m³/h; shares from 0 to 1. A filter larger than its slot gets a verdict and no figures.
 *
 * @source docs/sources.md#fit; the gap works as one sharp-edged opening
 * @example filterFit({ slotMm: { w: 500, h: 500 }, filterMm: { w: 501, h: 500 }, spacer: false, dropPa: 50, airflowM3h: 1200, seat: "rail" }).verdict // "does-not-fit"
 */
export function filterFit(input: z.output<typeof filterFitInput>): FilterFit {
  const { slotMm: slot, filterMm: filter, dropPa, airflowM3h, efficiency } = input;
  const isDeeper =
    slot.depth !== undefined && filter.depth !== undefined && filter.depth > slot.depth;
  if (filter.w > slot.w || filter.h > slot.h || isDeeper)
    return {
      verdict: "does-not-fit",
      gapMm: null,
      gapAreaM2: null,
      bypass: null,
      filterAirflowM3h: null,
      bypassAirflowM3h: null,
      dropPa: null,
      effectiveEfficiency: null,
    };
  const gapAreaM2 = (slot.w * slot.h - filter.w * filter.h) / MM2_PER_M2;
  const share = throughFilter(
    gapAreaM2 * LEAK_SHARE[input.seat],
    dropPa,
    airflowM3h / SECONDS_PER_HOUR,
  );
  const bypass = 1 - share;
  const isLoose =
    !input.spacer &&
    slot.depth !== undefined &&
    filter.depth !== undefined &&
    !atMost(slot.depth - filter.depth, LOOSE_DEPTH_MM);
  const verdict = !atMost(bypass, LEAKY_UP_TO)
    ? "wrong-size"
    : isLoose || !atMost(bypass, TIGHT_UP_TO)
      ? "leaky"
      : "tight";
  return {
    verdict,
    gapMm: { w: roundPhysical(slot.w - filter.w), h: roundPhysical(slot.h - filter.h) },
    gapAreaM2: roundPhysical(gapAreaM2),
    bypass: roundLoad(bypass),
    filterAirflowM3h: roundPhysical(share * airflowM3h),
    bypassAirflowM3h: roundPhysical(bypass * airflowM3h),
    dropPa: roundPhysical(dropPa * share ** DROP_EXPONENT),
    effectiveEfficiency: efficiency === undefined ? null : roundLoad(efficiency * share),
  };
}
