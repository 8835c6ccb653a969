"use server";

import type { DriverFacts } from "@/core/inventory/inventory";
import { englishOf, inEnglish } from "@/content/english";
import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { formCommand, newHomeCommand } from "@/server/commands/form-command";
import { saveCalls } from "@/server/commands/contacts";
import * as homes from "@/server/commands/homes";
import { homeForm, LEVEL_CHOICES, newHomeForm } from "./home-form";
import { fieldsOfHome } from "./setup-queries";

export async function createHome(previous: FormState, form: FormData): Promise<FormState> {
  return newHomeCommand(form, async (tx, fields, at) => {
    const parsed = newHomeForm.safeParse(fields);
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { home, household, levels } = parsed.data;
    const { people, pets, smoking, dustyHobby, busyRoad } = household;
    const drivers: DriverFacts[] = [
      { kind: "people", count: people },
      ...(pets > 0 ? [{ kind: "shedding-pets" as const, count: pets }] : []),
      ...(smoking ? [{ kind: "indoor-smoking" as const }] : []),
      ...(dustyHobby ? [{ kind: "dusty-hobby" as const }] : []),
      ...(busyRoad ? [{ kind: "busy-road" as const }] : []),
    ];
    const chosen = LEVEL_CHOICES.filter(({ key }) => levels.includes(key)).map(
      ({ key: _, name, ...level }) => ({
        ...level,
        name: inEnglish(englishOf(home.home), name),
      }),
    );
    const id = await homes.addHome(tx, at, home.home, chosen, drivers, home.calls);
    return { to: `/homes/${id}/units/new` };
  });
}

export async function changeHome(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const theirs = overtaken(
      previous,
      form,
      fieldsOfHome(home.snapshot.home, home.snapshot.contacts),
    );
    if (theirs) return theirs;
    const parsed = homeForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    await homes.changeHome(home, parsed.data.home);
    await saveCalls(home, parsed.data.calls);
    return { to: `/homes/${homeId}` };
  });
}
