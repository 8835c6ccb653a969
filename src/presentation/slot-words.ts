import { PRINTED_SIZES } from "@/content/unit-kinds";
import { ratingWords } from "@/core/quantities/rating";
import type { FilterSlot } from "@/core/inventory/inventory";

/** “20x20x1” as it is said: “20×20×1”. */
export const sizeAsPrinted = (text: string): string => text.replace(/\s*[x*]\s*/gi, "×").trim();

type Sized = Pick<FilterSlot, "filterCount" | "nominal" | "identity">;

/** What one asks for in a shop, with how many: “4 × 20×20×2”, or by its model; null where nobody knows either. */
export function sizeToBuy({ filterCount, nominal, identity }: Sized): string | null {
  const one = nominal ? sizeAsPrinted(nominal.text) : identity?.model;
  return one === undefined ? null : `${filterCount > 1 ? `${filterCount} × ` : ""}${one}`;
}

/** “Filter 20×20×1, MERV 8” */
export function slotTitle(slot: FilterSlot): string {
  const several = slot.filterCount > 1 ? `${slot.filterCount} of them` : null;
  return [
    [slot.name, sizeToBuy(slot) ?? several].filter(Boolean).join(" "),
    slot.rating && ratingWords(slot.rating),
  ]
    .filter(Boolean)
    .join(", ");
}

/** What is still to be read off it; null where nothing is, or where no size is printed on its kind. */
export const sizeMissing = ({ nominal, identity, media }: FilterSlot): string | null =>
  nominal || identity?.model ? null : PRINTED_SIZES.includes(media) ? SIZE_UNKNOWN : MODEL_UNKNOWN;

const SIZE_UNKNOWN = "Its size is not known yet: it is printed on the frame.";
const MODEL_UNKNOWN =
  "What to buy for it is not known yet: a number on it, or on its machine, says so.";
