import "server-only";
import type { Contact, HomeBook } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";

export type ContactRow = { contact: Contact; units: { id: string; name: string }[] };

export async function contactsOf(
  homeId: string,
): Promise<{ book: HomeBook; rows: ContactRow[] } | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const rows = book.contacts.map((contact) => ({
    contact,
    units: book.units.filter((unit) => unit.contactId === contact.id),
  }));
  return { book, rows };
}

/** A contact as its form shows it. */
export const fieldsOfContact = (contact: Contact): Record<string, string[]> => ({
  name: [contact.name],
  role: [contact.role],
  phone: [contact.phone ?? ""],
  email: [contact.email ?? ""],
  note: [contact.note ?? ""],
});
