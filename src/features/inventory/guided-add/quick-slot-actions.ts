"use server";

import { earliestInstallation } from "@/core/inventory/plausible";
import type { SetUpStep } from "@/core/inventory/inventory";
import { refused, type FormState } from "@/lib/forms";
import { addSlot } from "@/server/commands/filters";
import { formCommand } from "@/server/commands/form-command";
import { endStep } from "@/server/commands/units";
import { readQuickSlots, slotsToAsk } from "./quick-slots";

/** Enters the filter slots of a unit that is being set up, and goes on to `next`. */
export async function saveFilters(
  homeId: string,
  unitId: string,
  next: { step: SetUpStep | undefined; href: string },
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { snapshot, today } = home;
    const unit = snapshot.units.find((each) => each.id === unitId);
    if (!unit) return { to: "/" };
    const { values, problems } = readQuickSlots(
      typed,
      slotsToAsk(unit, snapshot),
      snapshot.home.unitSystem === "us" ? "in" : "mm",
      today,
      earliestInstallation(unit),
    );
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    for (const [i, { slot, fittedOn }] of values.entries())
      await addSlot(home, unitId, slot, fittedOn, i);
    const step = unit.setUpStep === "filters" ? { setUpStep: next.step } : {};
    await endStep(home, unit, "filters", step);
    return { to: next.href };
  });
}
