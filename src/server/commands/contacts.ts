import "server-only";
import { randomUUID } from "node:crypto";
import type { Contact } from "@/core/inventory/inventory";
import { insertContact, updateContact } from "@/db/repositories/contacts";
import { createdAt, type OpenHome } from "./home-command";

/**
 * Enters a contact, or changes one.
 *
 * @returns false where the home has no such contact
 */
export async function saveContact(
  home: OpenHome,
  contactId: string | null,
  change: Omit<Contact, "id">,
): Promise<boolean> {
  const { tx, homeId, snapshot } = home;
  if (contactId === null) {
    await insertContact(tx, homeId, { id: randomUUID(), ...change }, createdAt(home));
    return true;
  }
  if (!snapshot.contacts.some(({ id }) => id === contactId)) return false;
  await updateContact(tx, homeId, { id: contactId, ...change });
  return true;
}
