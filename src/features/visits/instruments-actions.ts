"use server";

import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import * as visits from "@/server/commands/visits";
import { instrumentForm } from "./instruments-form";
import { fieldsOfInstrument } from "./visit-queries";

/** Enters an instrument, or changes what is said of one. */
export async function saveInstrument(
  homeId: string,
  instrumentId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const before = home.snapshot.instruments.find(({ id }) => id === instrumentId);
    const theirs = before && overtaken(previous, form, fieldsOfInstrument(before));
    if (theirs) return theirs;
    const parsed = instrumentForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { name, note } = parsed.data;
    const facts = { name, ...(note ? { note } : {}) };
    if (before) await visits.changeInstrument(home, { id: before.id, ...facts });
    else await visits.addInstrument(home, facts);
    return { to: `/homes/${homeId}/instruments` };
  });
}
