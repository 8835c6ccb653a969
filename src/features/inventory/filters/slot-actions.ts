"use server";

import { earliestInstallation } from "@/core/inventory/plausible";
import { invalid, LONG_BEFORE, overtaken, refused, singles, type FormState } from "@/lib/forms";
import * as filters from "@/server/commands/filters";
import { formCommand } from "@/server/commands/form-command";
import { slotForm } from "./slot-form";
import { slotFieldsOf } from "./slot-queries";

export async function createSlot(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const unit = home.snapshot.units.find((each) => each.id === unitId);
    if (!unit) return { to: "/" };
    const parsed = slotForm(home.snapshot, home.today).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { fittedOn, ...facts } = parsed.data;
    const earliest = earliestInstallation(unit);
    if (fittedOn && earliest && fittedOn < earliest)
      return refused(previous, fields, { fittedOn: LONG_BEFORE });
    const id = await filters.addSlot(home, unitId, facts, fittedOn);
    return { to: `/homes/${homeId}/parts/${id}` };
  });
}

export async function changeSlot(
  homeId: string,
  slotId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const { snapshot } = home;
    const slot = snapshot.slots.find((each) => each.id === slotId);
    if (!slot) return { to: "/" };
    const theirs = overtaken(previous, form, slotFieldsOf({ snapshot, slot }));
    if (theirs) return theirs;
    const parsed = slotForm(snapshot, home.today).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { fittedOn: _, ...facts } = parsed.data;
    await filters.changeSlot(home, slot, facts);
    return { to: `/homes/${homeId}/parts/${slotId}` };
  });
}
