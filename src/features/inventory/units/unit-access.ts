import "server-only";
import { redirect } from "next/navigation";
import type { HomeBook, Unit } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";

/** The book of a home that is there; leads to the start where it is not. */
export async function bookOf(homeId: string): Promise<HomeBook> {
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  return book;
}

/** A unit of this home, in service or out of it; leads to the house where there is none. */
export async function unitAt(
  homeId: string,
  unitId: string,
): Promise<{ book: HomeBook; unit: Unit }> {
  const book = await bookOf(homeId);
  const unit = [...book.units, ...book.retired].find((each) => each.id === unitId);
  if (!unit) redirect(`/homes/${homeId}/house`);
  return { book, unit };
}
