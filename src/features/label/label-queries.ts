import "server-only";
import { stintsOf, wearOfSlot } from "@/core/register/part-wear";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";

/** What the label of the filter now in a slot says. */
export async function labelOf(homeId: string, slotId: string) {
  const book = await homeBook(homeId);
  const slot = book?.slots.find((each) => each.id === slotId);
  const unit = book?.units.find((each) => each.id === slot?.unitId);
  if (!book || !slot || !unit) return null;
  const wear = wearOfSlot(book, slot, todayIn(book.home.timeZone));
  return {
    unit,
    slot,
    fittedOn: stintsOf(book, slot).at(-1)?.startedOn ?? null,
    due: wear?.likely ?? null,
  };
}
