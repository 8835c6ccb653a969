import "server-only";
import { randomUUID } from "node:crypto";
import { CONTACT_ROLE_WORDS } from "@/content/words";
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

/** Whom to call, as the forms of a home ask for it; empty where nobody said. */
export type Calls = { gasPhone: string; technicianName: string; technicianPhone: string };

/** The contacts that follow from it. */
export function contactsFrom({
  gasPhone,
  technicianName,
  technicianPhone,
}: Calls): Omit<Contact, "id">[] {
  const technician = technicianName || technicianPhone;
  return [
    ...(gasPhone ? [{ role: "gas" as const, name: CONTACT_ROLE_WORDS.gas, phone: gasPhone }] : []),
    ...(technician
      ? [
          {
            role: "technician" as const,
            name: technicianName || CONTACT_ROLE_WORDS.technician,
            ...(technicianPhone ? { phone: technicianPhone } : {}),
          },
        ]
      : []),
  ];
}

/** Writes down whom to call: the first of each role is the one that is changed, and none is ever taken out. */
export async function saveCalls(home: OpenHome, calls: Calls): Promise<void> {
  const wanted = contactsFrom(calls);
  for (const role of ["gas", "technician"] as const) {
    const before = home.snapshot.contacts.find((each) => each.role === role);
    const now = wanted.find((each) => each.role === role);
    if (before) {
      const { id, phone: _, ...kept } = before;
      const name = role === "technician" && now ? now.name : before.name;
      await saveContact(home, id, { ...kept, name, ...(now?.phone ? { phone: now.phone } : {}) });
    } else if (now) await saveContact(home, null, now);
  }
}
