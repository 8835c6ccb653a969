"use server";

import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import * as contacts from "@/server/commands/contacts";
import { formCommand } from "@/server/commands/form-command";
import { contactForm } from "./contacts-form";
import { fieldsOfContact } from "./contacts-queries";

export async function saveContact(
  homeId: string,
  contactId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const before = home.snapshot.contacts.find(({ id }) => id === contactId);
    const theirs = before && overtaken(previous, form, fieldsOfContact(before));
    if (theirs) return theirs;
    const parsed = contactForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    await contacts.saveContact(home, contactId, parsed.data);
    return { to: `/homes/${homeId}/contacts` };
  });
}
