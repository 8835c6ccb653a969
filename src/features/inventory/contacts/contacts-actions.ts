"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertContact, updateContact } from "@/db/repositories/contacts";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { fieldsOfContact } from "./contacts-queries";
import { contactForm } from "./contacts-form";

export async function saveContact(
  homeId: string,
  contactId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const before = book.contacts.find(({ id }) => id === contactId);
  const theirs = before && overtaken(previous, form, fieldsOfContact(before));
  if (theirs) return theirs;
  const parsed = contactForm.safeParse(singles(typed));
  if (!parsed.success) return invalid(previous, typed, parsed.error);
  const contact = { id: contactId ?? randomUUID(), ...parsed.data };
  const { write } = await appStore();
  await write((tx) =>
    contactId
      ? updateContact(tx, homeId, contact)
      : insertContact(tx, homeId, contact, now().toISOString()),
  );
  leadOn(`/homes/${homeId}/contacts`);
}
