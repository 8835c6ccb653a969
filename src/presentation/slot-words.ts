import { ratingWords } from "@/core/quantities/rating";
import type { FilterSlot } from "@/core/inventory/inventory";

/** “20x20x1” as it is said: “20×20×1”. */
export const sizeAsPrinted = (text: string): string => text.replace(/\s*[x*]\s*/gi, "×").trim();

/** “Filter 20×20×1, MERV 8” */
export function slotTitle(slot: FilterSlot): string {
  const count = slot.filterCount > 1 ? `${slot.filterCount} × ` : "";
  const size = `${count}${sizeAsPrinted(slot.nominal.text)}`;
  return [`${slot.name} ${size}`, slot.rating && ratingWords(slot.rating)]
    .filter(Boolean)
    .join(", ");
}
