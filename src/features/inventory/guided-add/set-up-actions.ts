"use server";

import { randomUUID } from "node:crypto";
import { partKind } from "@/content/part-kinds";
import { unitKind } from "@/content/unit-kinds";
import { SET_UP_STEPS, type SetUpStep, type Unit } from "@/core/inventory/inventory";
import { fieldsOf, invalid, readWhole, refused, singles, type FormState } from "@/lib/forms";
import { formCommand, unitCommand } from "@/server/commands/form-command";
import { inHome, type Lead, type OpenHome } from "@/server/commands/home-command";
import * as units from "@/server/commands/units";
import { kindForm, readPlace, readPlate, readShutOffs } from "../units/unit-form";
import { levelFor, nameFor } from "../units/unit-names";
import { asksForCooling, nextHref, progress } from "./set-up";

type Typed = Record<string, string[]>;

/** Begins a unit: it is there at once, named after its kind, and can be finished any time. */
export async function beginUnit(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const parsed = kindForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { snapshot } = home;
    const kind = unitKind(parsed.data.kind).id;
    const levelId = levelFor(kind, snapshot.levels).id;
    const id = await units.beginUnit(home, { kind, levelId, name: nameFor(kind, snapshot) });
    return { to: `/homes/${homeId}/units/${id}/set-up/plate` };
  });
}

/** Keeps what is typed at a step, right or wrong, until the step is saved. */
export async function keepTyped(
  homeId: string,
  unitId: string,
  step: SetUpStep,
  form: FormData,
): Promise<void> {
  if (!SET_UP_STEPS.includes(step)) return;
  await inHome(homeId, (home) => units.keepDraft(home, unitId, step, fieldsOf(form)));
}

/** Ends a step: writes it down and leads to the next. */
async function endStep(
  home: OpenHome,
  unit: Unit,
  step: SetUpStep,
  change: units.UnitChange,
): Promise<Lead> {
  await units.endStep(home, unit, step, { ...change, setUpStep: progress(unit, step) });
  return { to: nextHref(home.homeId, unit, step) };
}

export async function savePlate(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const system = home.snapshot.home.unitSystem;
    const { values, problems } = readPlate(typed, { kind: unit.kind, system, today: home.today });
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    const cools = asksForCooling(unit.kind) ? Boolean(typed["cools"]) : undefined;
    await units.plateOfSystem(home, unit, { name: values.name, cools });
    return endStep(home, unit, "plate", values);
  });
}

export async function savePlace(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const { values, problems } = readPlace(typed, home.snapshot);
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    const partner = home.snapshot.systems.find(({ id }) => id === typed["runsWith"]?.[0]);
    if (partner) await units.joinSystem(home, unit, partner.id);
    const systemId = partner?.id ?? unit.systemId;
    return endStep(home, unit, "place", { ...values, systemId });
  });
}

export async function saveShutOffs(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const { values, problems } = readShutOffs(typed);
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    const shutOffs = values.map((off) => ({ id: randomUUID(), ...off }));
    return endStep(home, unit, "shut-off", { shutOffs });
  });
}

const MOST_OF_A_KIND = 60;

export async function saveParts(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const { wanted, problems } = partsTyped(typed);
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    await units.addMissingParts(home, unitId, wanted);
    return endStep(home, unit, "parts", {});
  });
}

function partsTyped(typed: Typed): {
  wanted: units.WantedParts[];
  problems: Record<string, string>;
} {
  const wanted: units.WantedParts[] = [];
  const problems: Record<string, string> = {};
  for (const kind of typed["part"] ?? []) {
    if (partKind(kind).id !== kind) continue;
    const count = readWhole(typed[`count-${kind}`]?.[0] || "1", 1, MOST_OF_A_KIND);
    if (count === null) problems[`count-${kind}`] = `A whole number, 1 to ${MOST_OF_A_KIND}.`;
    else wanted.push({ kind, count });
  }
  return { wanted, problems };
}
