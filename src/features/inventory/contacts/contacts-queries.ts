import "server-only";
import type { Contact } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export type ContactRow = {
  id: string;
  contact: Contact;
  /** The machines they service, by name. */
  services: string;
};

export async function contactsOf(
  homeId: string,
): Promise<{ snapshot: HomeSnapshot; rows: ContactRow[] } | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const rows = snapshot.contacts.map((contact) => ({
    id: contact.id,
    contact,
    services: snapshot.units
      .filter((unit) => unit.contactId === contact.id)
      .map((unit) => unit.name)
      .join(", "),
  }));
  return { snapshot, rows };
}

/** A contact as its form shows it. */
export const fieldsOfContact = (contact: Contact): Record<string, string[]> => ({
  name: [contact.name],
  role: [contact.role],
  phone: [contact.phone ?? ""],
  email: [contact.email ?? ""],
  note: [contact.note ?? ""],
});
