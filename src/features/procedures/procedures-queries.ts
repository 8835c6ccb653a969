import "server-only";
import { procedure, renewalOf } from "@/content/procedures/library";
import { slotTitle } from "@/content/slot-words";
import type { Procedure } from "@/core/procedures/procedure";
import { homeBook } from "@/db/home-book";

export type JobPlace = { slotId: string; words: string };

/** A procedure of the library, with the slots of a home at which it is done. */
export async function jobOf(
  homeId: string,
  procedureId: string,
): Promise<{ job: Procedure; places: JobPlace[] } | null> {
  const book = await homeBook(homeId);
  const job = procedure(procedureId);
  if (!book || !job) return null;
  const slots = book.slots.filter((slot) => renewalOf(slot.media)?.id === procedureId);
  const places = slots.map((slot) => {
    const unit = book.units.find((each) => each.id === slot.unitId);
    return { slotId: slot.id, words: `${unit?.name}: ${slotTitle(slot)}` };
  });
  return { job, places };
}
