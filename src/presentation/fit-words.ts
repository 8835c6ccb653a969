import type { RatingScheme } from "@/core/quantities/rating";
import { MM_PER_INCH } from "@/core/quantities/size";
import { listWords } from "@/core/quantities/words";
import type { RatingCrosswalk } from "@/core/calculators/rating-crosswalk";
import { readingWords } from "@/core/readings/reading-units";
import { USUAL_DROP_PA, type SlotFit } from "@/core/filters/slot-fit";

/** “MERV 8 is about G4, Coarse 80.” and what it lets through at least. */
export function crosswalkWords(crosswalk: RatingCrosswalk, own: RatingScheme): string {
  const { nearest, minimumEfficiency } = crosswalk;
  const others = [
    own === "MERV" ? null : `MERV ${nearest.MERV}`,
    own === "EN779" ? null : nearest.EN779,
    own === "ISO16890" ? null : nearest.ISO16890,
    own === "EN1822" ? null : nearest.EN1822,
  ].filter((each) => each !== null);
  const { e2, e3 } = minimumEfficiency;
  const holds =
    e3 === null
      ? ""
      : ` It holds back at least ${e3} % of coarse dust${e2 === null || e2 === e3 ? "" : `, ${e2} % of fine`}.`;
  return `About ${listWords(others)}.${holds}`;
}

/** What was taken for granted where nobody measured it. */
const takenFor = {
  size: () => "it is half an inch smaller than printed, as such frames are",
  drop: (unit: "in" | "mm") =>
    `a clean one takes ${readingWords("filter-drop", USUAL_DROP_PA, unit === "in" ? "us" : "metric")}`,
  airflow: () => "the air goes at its usual speed",
} as const;

/** Up to this share a filter that fills its slot counts as tight; here only its depth is wrong. */
const TIGHT_SHARE = 0.01;

const percent = (share: number) => `${Math.round(share * 1000) / 10} %`;

/** What a fit means, in a sentence or two, and what was supposed for it. */
export function fitWords(fit: SlotFit, unit: "in" | "mm"): string {
  if (!fit.gapMm || fit.bypass === null)
    return "It does not fit: the filter is larger than the slot. Measure both once more.";
  const length = (mm: number) =>
    unit === "in" ? `${Math.round((mm / MM_PER_INCH) * 16) / 16} in` : `${Math.round(mm)} mm`;
  const gap = `${length(fit.gapMm.w)} of play in width and ${length(fit.gapMm.h)} in height`;
  const slips = `about ${percent(fit.bypass)} of the air slips past`;
  const head =
    fit.verdict === "tight"
      ? `Sits tight: ${gap}, ${slips}.`
      : fit.verdict === "leaky"
        ? fit.bypass <= TIGHT_SHARE
          ? `Loose: thinner than its slot, it can tip; ${slips}. A spacer behind it mends it.`
          : `Leaks: ${gap}, ${slips} and its dust lands on the coil. A strip of foam at the frame mends it.`
        : `The wrong size: ${gap}, ${slips}. It nearly fits, and that is what ruins coils.`;
  return fit.supposed.length === 0
    ? head
    : `${head} Not measured, so we take it that ${listWords(fit.supposed.map((each) => takenFor[each](unit)))}.`;
}
