"use server";

import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { unitCommand } from "@/server/commands/form-command";
import { changeMoney } from "@/server/commands/money";
import { moneyForm } from "./money-form";
import { fieldsOfMoney } from "./money-queries";

/** What a machine cost and a new one would, and what an hour of one’s own is worth. */
export async function saveMoney(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, fields) => {
    const { home: facts } = home.snapshot;
    const theirs = overtaken(previous, form, fieldsOfMoney(facts, unit));
    if (theirs) return theirs;
    const parsed = moneyForm(facts.currency).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    await changeMoney(home, unit, parsed.data);
    return { to: `/homes/${homeId}/units/${unitId}/costs` };
  });
}
