"use server";

import { emergency } from "@/content/emergencies";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import { invalid, singles, type FormState } from "@/lib/forms";
import { saveContact } from "@/server/commands/contacts";
import { formCommand } from "@/server/commands/form-command";
import { keepMain } from "@/server/commands/homes";
import { mainForm, numberForm } from "./number-form";

/** Writes the number of an emergency down where it was missing: it stands on every sheet from then on. */
export async function saveNumber(
  homeId: string,
  kind: string,
  unitId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const found = emergency(kind);
    if (!found) return { to: `/emergency/${homeId}` };
    const parsed = numberForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { phone } = parsed.data;
    const [role] = found.call;
    const nameless = home.snapshot.contacts.find((each) => each.role === role && !each.phone);
    const contact = nameless ?? { name: CONTACT_ROLE_WORDS[role], role };
    await saveContact(home, nameless?.id ?? null, { ...contact, phone });
    return { to: `/emergency/${homeId}/${kind}${unitId ? `?unit=${unitId}` : ""}` };
  });
}

/** Writes down where a main of the house is shut, where nobody had. */
export async function saveMain(
  homeId: string,
  kind: string,
  unitId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const found = emergency(kind);
    if (!found) return { to: `/emergency/${homeId}` };
    const parsed = mainForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { place, off } = parsed.data;
    await keepMain(home, found.shutOff.main, { place, ...(off ? { offPosition: off } : {}) });
    return { to: `/emergency/${homeId}/${kind}${unitId ? `?unit=${unitId}` : ""}` };
  });
}
