"use server";

import type { z } from "zod";
import { emergency, type Emergency } from "@/content/emergencies";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import { invalid, singles, type FormState } from "@/lib/forms";
import { saveContact } from "@/server/commands/contacts";
import { formCommand } from "@/server/commands/form-command";
import type { OpenHome } from "@/server/commands/home-command";
import { keepMain } from "@/server/commands/homes";
import { mainForm, numberForm } from "./number-form";

/** The card something was missing on. */
type Card = { homeId: string; kind: string; unitId: string | null };

/** Writes down what was missing on a card, and leads back to it. */
function saveOnCard<S extends z.ZodType>(
  { homeId, kind, unitId }: Card,
  schema: S,
  keep: (home: OpenHome, found: Emergency, read: z.output<S>) => Promise<unknown>,
  [previous, form]: [FormState, FormData],
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const found = emergency(kind);
    if (!found) return { to: `/emergency/${homeId}` };
    const parsed = schema.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    await keep(home, found, parsed.data);
    return { to: `/emergency/${homeId}/${kind}${unitId ? `?unit=${unitId}` : ""}` };
  });
}

/** Writes the number of an emergency down where it was missing: it stands on every sheet from then on. */
export async function saveNumber(
  homeId: string,
  kind: string,
  unitId: string | null,
  ...sent: [FormState, FormData]
): Promise<FormState> {
  return saveOnCard(
    { homeId, kind, unitId },
    numberForm,
    async (home, { call: [role] }, { phone }) => {
      const nameless = home.snapshot.contacts.find((each) => each.role === role && !each.phone);
      const contact = nameless ?? { name: CONTACT_ROLE_WORDS[role], role };
      await saveContact(home, nameless?.id ?? null, { ...contact, phone });
    },
    sent,
  );
}

/** Writes down where a main of the house is shut, where nobody had. */
export async function saveMain(
  homeId: string,
  kind: string,
  unitId: string | null,
  ...sent: [FormState, FormData]
): Promise<FormState> {
  return saveOnCard(
    { homeId, kind, unitId },
    mainForm,
    (home, { shutOff: { main } }, { place, off }) =>
      keepMain(home, main, { place, ...(off ? { offPosition: off } : {}) }),
    sent,
  );
}
