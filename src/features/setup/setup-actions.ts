"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { unitKind } from "@/content/unit-kinds";
import { equipmentSchema, type Equipment } from "@/core/climate/run-hours";
import type { DriverFacts, Level, Unit } from "@/core/register/register";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertDriver } from "@/db/repositories/drivers";
import { findHome, insertHome, insertLevel, updateHome } from "@/db/repositories/homes";
import {
  insertSystem,
  insertUnit,
  listSystems,
  listUnits,
  updateSystem,
  updateUnit,
} from "@/db/repositories/units";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, singles, type FormState } from "@/lib/forms";
import { homeForm, householdForm, LEVEL_CHOICES, levelsForm } from "./home-form";
import { readShutOffs, unitForm } from "./unit-form";

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
  redirect(`/homes/${id}`);
}

export async function changeHome(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const home = homeForm.safeParse(singles(fields));
  if (!home.success) return invalid(previous, fields, home.error);
  const store = await appStore();
  const before = await findHome(store.db, homeId);
  if (!before) redirect("/");
  const climate = { ...home.data.climate, spreadC: before.climate.spreadC };
  await store.write((tx) => updateHome(tx, { id: homeId, ...home.data, climate }));
  redirect(`/homes/${homeId}`);
}

type UnitFields = ReturnType<typeof unitForm.parse>;

function equipmentOf(fields: UnitFields, before: Equipment | null): Equipment {
  const kind = unitKind(fields.kind);
  const { fan } = kind.equipment;
  // A part-load level belongs to the kind (a purifier on its quiet step), not to the form.
  const level =
    fields.fanMode === "continuous"
      ? kind.ducted && fan.mode === "auto"
        ? 0.35
        : fan.level
      : undefined;
  return equipmentSchema.parse({
    ...before,
    heats: Boolean(fields.heats),
    cools: Boolean(fields.cools),
    fan: {
      mode: fields.fanMode,
      hours: fields.fanMode === "minimum" ? Number(fields.fanHours.replace(",", ".")) : undefined,
      level,
    },
  });
}

const unitOf = (fields: UnitFields, list: Record<string, string[]>) => ({
  levelId: fields.levelId,
  kind: fields.kind,
  name: fields.name,
  ...(fields.makeModel ? { makeModel: fields.makeModel } : {}),
  ...(fields.access ? { access: fields.access } : {}),
  shutOffs: readShutOffs(list).map((off) => ({ id: randomUUID(), ...off })),
});

export async function createUnit(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const parsed = unitForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  if (!book.levels.some((level) => level.id === parsed.data.levelId))
    return {
      attempt: previous.attempt + 1,
      values: fields,
      errors: { levelId: "Choose where it stands." },
    };
  const systemId = randomUUID();
  const unit: Unit = { id: randomUUID(), systemId, ...unitOf(parsed.data, fields) };
  const store = await appStore();
  await store.write(async (tx) => {
    await insertSystem(tx, homeId, {
      id: systemId,
      name: unit.name,
      ducted: unitKind(unit.kind).ducted,
      equipment: equipmentOf(parsed.data, null),
    });
    await insertUnit(tx, homeId, unit, now().toISOString());
  });
  redirect(`/homes/${homeId}/units/${unit.id}/slots/new`);
}

export async function changeUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const parsed = unitForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  await store.write(async (tx) => {
    const unit = (await listUnits(tx, homeId)).find((each) => each.id === unitId);
    const system = (await listSystems(tx, homeId)).find((each) => each.id === unit?.systemId);
    if (!unit || !system) return;
    await updateUnit(tx, { id: unit.id, systemId: unit.systemId, ...unitOf(parsed.data, fields) });
    await updateSystem(tx, { ...system, equipment: equipmentOf(parsed.data, system.equipment) });
  });
  redirect(`/homes/${homeId}/units/${unitId}`);
}
