"use server";

import type { DriverFacts } from "@/core/inventory/inventory";
import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { formCommand, newHomeCommand } from "@/server/commands/form-command";
import * as homes from "@/server/commands/homes";
import { homeForm, householdForm, LEVEL_CHOICES, levelsForm } from "./home-form";
import { fieldsOfHome } from "./setup-queries";

/** Merges the problems of several schemas into one answer, so that all show at once. */
function allProblems(
  previous: FormState,
  fields: Record<string, string[]>,
  states: FormState[],
): FormState {
  const errors = Object.assign({}, ...states.map((state) => state.errors));
  return { attempt: previous.attempt + 1, values: fields, errors };
}

export async function createHome(previous: FormState, form: FormData): Promise<FormState> {
  return newHomeCommand(form, async (tx, fields, at) => {
    const home = homeForm.safeParse(singles(fields));
    const household = householdForm.safeParse(singles(fields));
    const levels = levelsForm.safeParse(fields["levels"] ?? []);
    if (!home.success || !household.success || !levels.success) {
      const states = [home, household].flatMap((part) =>
        part.success ? [] : [invalid(previous, fields, part.error)],
      );
      const levelState = levels.success
        ? []
        : [{ ...previous, errors: { levels: levels.error.issues[0]!.message } }];
      return allProblems(previous, fields, [...states, ...levelState]);
    }
    const { people, pets, smoking, dustyHobby, busyRoad } = household.data;
    const drivers: DriverFacts[] = [
      { kind: "people", count: people },
      ...(pets > 0 ? [{ kind: "shedding-pets" as const, count: pets }] : []),
      ...(smoking ? [{ kind: "indoor-smoking" as const }] : []),
      ...(dustyHobby ? [{ kind: "dusty-hobby" as const }] : []),
      ...(busyRoad ? [{ kind: "busy-road" as const }] : []),
    ];
    const chosen = LEVEL_CHOICES.filter(({ key }) => levels.data.includes(key)).map(
      ({ key: _, ...level }) => level,
    );
    const id = await homes.addHome(tx, at, home.data, chosen, drivers);
    return { to: `/homes/${id}` };
  });
}

export async function changeHome(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const theirs = overtaken(previous, form, fieldsOfHome(home.snapshot.home));
    if (theirs) return theirs;
    const parsed = homeForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    await homes.changeHome(home, parsed.data);
    return { to: `/homes/${homeId}` };
  });
}
