"use server";

import { peopleOf } from "@/core/planning/year";
import { invalid, overtaken, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import { savePerson as keepPerson } from "@/server/commands/year";
import { fieldsOfPerson, personForm } from "./person-form";

/** Enters somebody who goes round, or changes their days. */
export async function savePerson(
  homeId: string,
  personId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const before = peopleOf(home.snapshot.year).find(({ id }) => id === personId);
    const theirs = before && overtaken(previous, form, fieldsOfPerson(before));
    if (theirs) return theirs;
    const parsed = personForm.safeParse(fields);
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    await keepPerson(home, personId, parsed.data);
    return { to: `/homes/${homeId}/year/people` };
  });
}
