import { and, asc, eq, isNull } from "drizzle-orm";
import type { Contact, ContactRole } from "@/core/inventory/inventory";
import type { Reader, Tx } from "../client";
import { withoutNulls } from "../columns";
import { contacts } from "../schema";

export async function listContacts(db: Reader, homeId: string): Promise<Contact[]> {
  const rows = await db
    .select()
    .from(contacts)
    .where(and(eq(contacts.homeId, homeId), isNull(contacts.deletedAt)))
    .orderBy(asc(contacts.createdAt), asc(contacts.id));
  return rows.map(({ id, name, role, phone, email, note }) => ({
    id,
    name,
    role: role as ContactRole,
    ...withoutNulls({ phone, email, note }),
  }));
}

const toRow = ({ name, role, phone, email, note }: Contact) => ({
  name,
  role,
  phone: phone ?? null,
  email: email ?? null,
  note: note ?? null,
});

export async function insertContact(
  tx: Tx,
  homeId: string,
  contact: Contact,
  createdAt: string,
): Promise<void> {
  await tx.insert(contacts).values({ id: contact.id, homeId, ...toRow(contact), createdAt });
}

export async function updateContact(tx: Tx, homeId: string, contact: Contact): Promise<void> {
  await tx
    .update(contacts)
    .set(toRow(contact))
    .where(and(eq(contacts.id, contact.id), eq(contacts.homeId, homeId)));
}

export async function markContactDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(contacts)
    .set({ deletedAt: at })
    .where(and(eq(contacts.id, id), eq(contacts.homeId, homeId)));
}
