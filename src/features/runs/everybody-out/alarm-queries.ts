import "server-only";
import type { Contact } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";

export type AlarmSheet = { homeName: string; contacts: Contact[]; rules: string | undefined };

/** Whom to call when everybody is out: the gas line first, then who knows the machines. */
export async function alarmSheetOf(homeId: string): Promise<AlarmSheet | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const roles = ["gas", "technician", "landlord"] as const;
  return {
    homeName: book.home.name,
    contacts: roles.flatMap((role) =>
      book.contacts.filter((each) => each.role === role && each.phone),
    ),
    rules: book.home.localRules,
  };
}
