"use server";

import { refresh } from "next/cache";
import { randomUUID } from "node:crypto";
import { UNIT_KIND_IDS, unitKind } from "@/content/unit-kinds";
import {
  DAY_WORDS,
  invalid,
  isDay,
  overtaken,
  readPastDay,
  refused,
  type FormState,
} from "@/lib/forms";
import { formCommand, houseOf, unitCommand, pressCommand } from "@/server/commands/form-command";
import { inHome, unitIn } from "@/server/commands/home-command";
import * as filters from "@/server/commands/filters";
import { fieldsOfIdentity, identityForm } from "../parts/identity-form";
import * as units from "@/server/commands/units";
import { partForm } from "../parts/part-form";
import { partFieldsOf, unitFieldsOf } from "./unit-pages";
import { freeName } from "@/core/quantities/words";
import { unitForm } from "./unit-form";

export async function changeUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const { snapshot, today } = home;
    const theirs = overtaken(previous, form, unitFieldsOf({ snapshot, unit, today }));
    if (theirs) return theirs;
    const schema = unitForm({
      ...snapshot,
      kind: unit.kind,
      system: snapshot.home.unitSystem,
      today,
    });
    const parsed = schema.safeParse(typed);
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { shutOffs, ...facts } = parsed.data;
    await units.changeUnit(home, unit, {
      ...facts,
      shutOffs: shutOffs.map((off) => ({ id: randomUUID(), ...off })),
    });
    return { to: `/homes/${homeId}/units/${unitId}` };
  });
}

/** A second one of the same; `commandId` is made where the button is drawn. */
export async function copyUnit(homeId: string, unitId: string, commandId: string): Promise<void> {
  await pressCommand(homeId, { id: commandId, asks: ["copy", unitId] }, async (home) => {
    const unit = unitIn(home, unitId);
    if (!unit) return houseOf(homeId);
    const { units: inService, retired } = home.snapshot;
    const taken = [...inService, ...retired].map((each) => each.name);
    const id = await units.copyUnit(home, unit, freeName(unit.name, taken));
    return { to: `/homes/${homeId}/units/${id}/edit` };
  });
}

/** Takes a unit out of service; its record stays to be read. */
export async function retireUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const on = readPastDay((typed["date"]?.[0] ?? "").trim(), home.today);
    if (!isDay(on)) return refused(previous, typed, { date: DAY_WORDS[on] });
    await units.retireUnit(home, unit, on);
    return { to: `/homes/${homeId}/units/${unitId}` };
  });
}

export async function backIntoService(homeId: string, unitId: string): Promise<void> {
  await inHome(homeId, async (home) => {
    const unit = unitIn(home, unitId);
    if (unit) await units.backIntoService(home, unit);
  });
  refresh();
}

/** A new machine in the place of an old one; one that has a successor already keeps it. */
export async function replaceUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    if (unit.successorId) return { to: `/homes/${homeId}/units/${unit.successorId}` };
    const on = readPastDay((typed["date"]?.[0] ?? "").trim(), home.today);
    if (!isDay(on)) return refused(previous, typed, { date: DAY_WORDS[on] });
    const kind = unitKind(UNIT_KIND_IDS.find((id) => id === typed["kind"]?.[0]) ?? unit.kind);
    const id = await units.replaceUnit(home, unit, on, kind, typed["keeps"] ?? []);
    return { to: `/homes/${homeId}/units/${id}/set-up/plate` };
  });
}

export async function createPart(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return unitCommand(homeId, unitId, form, async (home, unit, typed) => {
    const { snapshot, today } = home;
    const system = snapshot.home.unitSystem;
    const parsed = partForm({ rooms: snapshot.rooms, system, today }).safeParse(typed);
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { kind, ...facts } = parsed.data;
    const id = await units.addPart(home, unit.id, kind, facts);
    return { to: `/homes/${homeId}/parts/${id}` };
  });
}

/** What a plate says, of a part or of a filter’s slot. */
export async function changeIdentity(
  homeId: string,
  partId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { slots, parts } = home.snapshot;
    const slot = slots.find(({ id }) => id === partId);
    const part = parts.find(({ id }) => id === partId);
    const found = slot ?? part;
    if (!found) return houseOf(homeId);
    const theirs = overtaken(previous, form, fieldsOfIdentity(found.identity ?? {}));
    if (theirs) return theirs;
    const parsed = identityForm.safeParse(typed);
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    if (slot) await filters.changeSlot(home, slot, { ...slot, identity: parsed.data });
    if (part) await units.changePart(home, part, { ...part, identity: parsed.data });
    return { to: `/homes/${homeId}/parts/${partId}` };
  });
}

export async function changePart(
  homeId: string,
  partId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { snapshot, today } = home;
    const part = snapshot.parts.find((each) => each.id === partId);
    if (!part) return houseOf(homeId);
    const theirs = overtaken(previous, form, partFieldsOf(snapshot, part));
    if (theirs) return theirs;
    const { kind } = part;
    const system = snapshot.home.unitSystem;
    const parsed = partForm({ kind, rooms: snapshot.rooms, system, today }).safeParse(typed);
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { kind: _, ...facts } = parsed.data;
    await units.changePart(home, part, facts);
    return { to: `/homes/${homeId}/parts/${partId}` };
  });
}
