"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import type { DriverFacts, Level } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import { insertDriver } from "@/db/repositories/drivers";
import { findHome, insertHome, insertLevel, updateHome } from "@/db/repositories/homes";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { homeFieldsOf } from "./setup-queries";
import { homeForm, householdForm, LEVEL_CHOICES, levelsForm } from "./home-form";

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
  const fields = fieldsOf(form);
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
  const id = randomUUID();
  const at = now().toISOString();
  const { people, pets, smoking, dustyHobby, busyRoad } = household.data;
  const drivers: DriverFacts[] = [
    { kind: "people", count: people },
    ...(pets > 0 ? [{ kind: "shedding-pets" as const, count: pets }] : []),
    ...(smoking ? [{ kind: "indoor-smoking" as const }] : []),
    ...(dustyHobby ? [{ kind: "dusty-hobby" as const }] : []),
    ...(busyRoad ? [{ kind: "busy-road" as const }] : []),
  ];
  const store = await appStore();
  await store.write(async (tx) => {
    await insertHome(tx, { id, ...home.data }, at);
    for (const { key, name, storey, place } of LEVEL_CHOICES)
      if (levels.data.includes(key))
        await insertLevel(tx, id, { id: randomUUID(), name, storey, place } satisfies Level);
    for (const driver of drivers)
      await insertDriver(tx, id, { ...driver, id: randomUUID(), scope: "home" }, at);
  });
  leadOn(`/homes/${id}`);
}

export async function changeHome(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const standing = await homeFieldsOf(homeId);
  const theirs = standing && overtaken(previous, form, standing);
  if (theirs) return theirs;
  const home = homeForm.safeParse(singles(fields));
  if (!home.success) return invalid(previous, fields, home.error);
  const store = await appStore();
  const before = await findHome(store.db, homeId);
  if (!before) redirect("/");
  const climate = { ...home.data.climate, spreadC: before.climate.spreadC };
  await store.write((tx) => updateHome(tx, { id: homeId, ...home.data, climate }));
  leadOn(`/homes/${homeId}`);
}
