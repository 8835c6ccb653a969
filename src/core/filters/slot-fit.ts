import { filterFit, type FilterFit } from "../calculators/filter-fit";
import { ratingCrosswalk, type RatingCrosswalk } from "../calculators/rating-crosswalk";
import { atMost } from "../quantities/rounding";
import { actualSize, outgrows, type SizeMm } from "../quantities/size";
import { MEDIA, type MediaFacts } from "./media";
import type { AirSystem, FilterSlot } from "../inventory/inventory";

/** Of a clean filter where its box is gone, Pa: our choice, the middle of what boxes print. */
export const USUAL_DROP_PA = 50;
/** For media whose area does not matter to their life, m/s: our choice, the usual of a panel. */
const USUAL_VELOCITY_MS = 2;
const SECONDS_PER_HOUR = 3600;
const MM2_PER_M2 = 1_000_000;

export type SlotFit = FilterFit & {
  /** What was supposed, because nobody has measured or read it. */
  supposed: ("size" | "drop" | "airflow")[];
};

/**
 * How the filter sits in its slot, with what is known of it; null as long as the slot itself was
 * never measured. What is unknown is supposed, and named.
 *
 * @example fitOfSlot(slot(), undefined) // null
 */
export function fitOfSlot(
  slot: Pick<
    FilterSlot,
    "nominal" | "measured" | "opening" | "seat" | "media" | "filterCount" | "cleanDropPa"
  >,
  system: Pick<AirSystem, "airflowM3h"> | undefined,
): SlotFit | null {
  if (!slot.opening || !slot.nominal) return null;
  const filter = actualSize(slot.nominal.mm, slot.nominal.unit, slot.measured?.mm);
  const opening = withinTape(filter, slot.opening.mm);
  const facts: MediaFacts = MEDIA[slot.media];
  const areaM2 = (filter.w * filter.h) / MM2_PER_M2;
  const velocity = facts.referenceVelocityMs ?? USUAL_VELOCITY_MS;
  const airflowM3h = system?.airflowM3h
    ? system.airflowM3h / slot.filterCount
    : areaM2 * velocity * SECONDS_PER_HOUR;
  const dropPa = slot.cleanDropPa ?? USUAL_DROP_PA;
  const seat = isOrdinary(slot, filter, opening) ? "gasket" : slot.seat;
  const sized = ({ w, h, d }: SizeMm) => ({ w, h, depth: d });
  const fit = filterFit({
    slotMm: sized(opening),
    filterMm: sized(filter),
    spacer: false,
    dropPa,
    airflowM3h,
    efficiency: undefined,
    seat,
  });
  return {
    ...fit,
    supposed: [
      ...(slot.measured ? [] : (["size"] as const)),
      ...(slot.cleanDropPa === undefined ? (["drop"] as const) : []),
      ...(system?.airflowM3h ? [] : (["airflow"] as const)),
    ],
  };
}

/**
 * Printed inches are larger than the frame by custom, and slots are built for that: so much play in all, mm,
 * lies behind the lips of the rail. Half an inch of it is the custom, a quarter the slot’s. Our choice.
 */
const ORDINARY_PLAY_MM = 0.75 * 25.4;

/** Whether the gap about a filter is the one every such slot has: no air to speak of finds its way past. */
function isOrdinary(
  { nominal, measured, seat }: Pick<FilterSlot, "nominal" | "measured" | "seat">,
  filter: SizeMm,
  opening: SizeMm,
): boolean {
  // What somebody measured counts as it is.
  const isCustom = nominal?.unit === "in" && !measured && seat === "rail";
  const play = Math.max(opening.w - filter.w, opening.h - filter.h);
  return isCustom && atMost(play, ORDINARY_PLAY_MM);
}

/** A filter that is over by no more than a tape's error counts as just filling its slot. */
function withinTape(filter: SizeMm, opening: SizeMm): SizeMm {
  if (outgrows(filter, opening).length > 0) return opening;
  return {
    w: Math.max(filter.w, opening.w),
    h: Math.max(filter.h, opening.h),
    ...(opening.d === undefined ? {} : { d: Math.max(filter.d ?? 0, opening.d) }),
  };
}

/**
 * A slot's rating in the other schemes; null where it has none.
 *
 * @example crosswalkOfSlot({}) // null
 */
export const crosswalkOfSlot = (slot: Pick<FilterSlot, "rating">): RatingCrosswalk | null =>
  slot.rating ? ratingCrosswalk(slot.rating) : null;
