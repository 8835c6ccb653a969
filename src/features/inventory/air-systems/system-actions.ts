"use server";

import { invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import * as airSystems from "@/server/commands/air-systems";
import { formCommand } from "@/server/commands/form-command";
import { systemFieldsOf } from "../units/unit-pages";
import { systemForm } from "./system-form";

/** How an air system runs, and which machines run together in it. */
export async function changeSystem(
  homeId: string,
  systemId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { snapshot } = home;
    const system = snapshot.systems.find((each) => each.id === systemId);
    if (!system) return { to: "/" };
    const running = snapshot.units.filter((unit) => unit.systemId === systemId);
    const now = systemFieldsOf(snapshot, { system, members: running });
    const theirs = overtaken(previous, form, now);
    if (theirs) return theirs;
    const parsed = systemForm(snapshot.home.unitSystem).safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const members = typed["members"] ?? [];
    if (!snapshot.units.some((unit) => members.includes(unit.id)))
      return refused(previous, typed, { members: "One machine has to run in it." });
    const { equipment, airflowM3h, name } = parsed.data;
    await airSystems.changeSystem(home, system, { name, equipment, airflowM3h, members });
    return { to: `/homes/${homeId}/systems` };
  });
}
