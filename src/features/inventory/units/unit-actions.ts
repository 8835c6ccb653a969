"use server";

import { randomUUID } from "node:crypto";
import { refresh } from "next/cache";
import { redirect } from "next/navigation";
import { PART_KIND_IDS, partKind } from "@/content/part-kinds";
import { UNIT_KIND_IDS, unitKind } from "@/content/unit-kinds";
import { equipmentSchema } from "@/core/climate/run-hours";
import type { Part, Unit } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import { appendEvent } from "@/db/repositories/history";
import { insertPart, insertSlot, movePartsToUnit, updatePart } from "@/db/repositories/parts";
import { insertSystem, insertUnit, updateUnit } from "@/db/repositories/units";
import { now, todayIn } from "@/lib/clock";
import {
  DAY_WORDS,
  fieldsOf,
  isDay,
  overtaken,
  readPastDay,
  refused,
  type FormState,
} from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { partFields, readPart } from "../parts/part-form";
import { bookOf, unitAt } from "./unit-access";
import { partFieldsOf, unitFieldsOf } from "./unit-pages";
import { freeName } from "./unit-names";
import { readPapers, readPlace, readPlate, readShutOffs, withFields } from "./unit-form";

export async function changeUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const today = todayIn(book.home.timeZone);
  const theirs = overtaken(previous, form, unitFieldsOf({ book, unit, today }));
  if (theirs) return theirs;
  const kind = UNIT_KIND_IDS.find((id) => id === typed["kind"]?.[0]) ?? unit.kind;
  const plate = readPlate(typed, { kind, system: book.home.unitSystem, today });
  const place = readPlace(typed, book);
  const papers = readPapers(typed, book);
  const offs = readShutOffs(typed);
  const problems = {
    ...plate.problems,
    ...place.problems,
    ...papers.problems,
    ...offs.problems,
  };
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  const emptied = { make: undefined, model: undefined, serial: undefined, refrigerant: undefined };
  const shutOffs = offs.values.map((off) => ({ id: randomUUID(), ...off }));
  const changed = withFields(unit, {
    ...emptied,
    access: undefined,
    papers: undefined,
    note: undefined,
    ...plate.values,
    ...place.values,
    ...papers.values,
    kind,
    shutOffs,
  });
  const level = (id: string) => book.levels.find((each) => each.id === id)?.name ?? "";
  const at = now().toISOString();
  const { write } = await appStore();
  await write(async (tx) => {
    await updateUnit(tx, changed);
    if (changed.levelId !== unit.levelId)
      await appendEvent(tx, homeId, {
        id: randomUUID(),
        kind: "note",
        unitId,
        date: today,
        recordedAt: at,
        words: `Moved from ${level(unit.levelId)} to ${level(changed.levelId)}`,
      });
  });
  leadOn(`/homes/${homeId}/units/${unitId}`);
}

/** A second one of the same, with its slots and parts, and a record of its own. */
export async function copyUnit(homeId: string, unitId: string): Promise<void> {
  const { book, unit } = await unitAt(homeId, unitId);
  const id = randomUUID();
  const taken = [...book.units, ...book.retired].map((each) => each.name);
  const ownSystem = book.systems.find((system) => system.id === unit.systemId);
  const isShared = book.units.some((each) => each.id !== unitId && each.systemId === unit.systemId);
  const name = freeName(unit.name, taken);
  const { serial: _, setUpStep: __, retiredOn: ___, successorId: ____, ...alike } = unit;
  const copy: Unit = {
    ...alike,
    id,
    name,
    systemId: isShared ? unit.systemId : randomUUID(),
    shutOffs: unit.shutOffs.map((off) => ({ ...off, id: randomUUID() })),
  };
  const at = now();
  const created = (i: number) => new Date(at.getTime() + i).toISOString();
  const { write } = await appStore();
  await write(async (tx) => {
    if (!isShared && ownSystem)
      await insertSystem(tx, homeId, { ...ownSystem, id: copy.systemId, name });
    await insertUnit(tx, homeId, copy, created(0));
    const slots = book.slots.filter((slot) => slot.unitId === unitId);
    for (const [i, slot] of slots.entries())
      await insertSlot(tx, { ...slot, id: randomUUID(), unitId: id }, created(i));
    const parts = book.parts.filter((part) => part.unitId === unitId);
    for (const [i, part] of parts.entries())
      await insertPart(tx, { ...part, id: randomUUID(), unitId: id }, created(i));
  });
  leadOn(`/homes/${homeId}/units/${id}/edit`);
}

/** Takes a unit out of service; its record stays to be read. */
export async function retireUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const on = readPastDay((typed["date"]?.[0] ?? "").trim(), todayIn(book.home.timeZone));
  if (!isDay(on)) return refused(previous, typed, { date: DAY_WORDS[on] });
  const { write } = await appStore();
  await write(async (tx) => updateUnit(tx, { ...unit, retiredOn: on }));
  leadOn(`/homes/${homeId}/units/${unitId}`);
}

export async function backIntoService(homeId: string, unitId: string): Promise<void> {
  const { unit } = await unitAt(homeId, unitId);
  const { write } = await appStore();
  await write((tx) => updateUnit(tx, withFields(unit, { retiredOn: undefined })));
  refresh();
}

/**
 * A new machine in the place of an old one. What belongs to the house goes over with its record;
 * what belonged to the old machine retires with it.
 */
export async function replaceUnit(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const on = readPastDay((typed["date"]?.[0] ?? "").trim(), todayIn(book.home.timeZone));
  if (!isDay(on)) return refused(previous, typed, { date: DAY_WORDS[on] });
  const kind = unitKind(UNIT_KIND_IDS.find((id) => id === typed["kind"]?.[0]) ?? unit.kind);
  const goingOver = typed["keeps"] ?? [];
  const own = [...book.slots, ...book.parts].filter(
    (part) => part.unitId === unitId && goingOver.includes(part.id),
  );
  const { levelId, roomId, systemId, access, contactId, shutOffs, name } = unit;
  const isShared = book.units.some((each) => each.id !== unitId && each.systemId === systemId);
  const successor = withFields(
    {
      id: randomUUID(),
      levelId,
      systemId: isShared ? systemId : randomUUID(),
      kind: kind.id,
      name,
      answers: {},
      shutOffs: shutOffs.map((off) => ({ ...off, id: randomUUID() })),
      setUpStep: "plate",
    },
    { roomId, access, contactId, fittedOn: on },
  );
  const at = now().toISOString();
  const { write } = await appStore();
  await write(async (tx) => {
    if (!isShared)
      await insertSystem(tx, homeId, {
        id: successor.systemId,
        name,
        ducted: kind.ducted,
        equipment: equipmentSchema.parse({
          ...kind.equipment,
          cools:
            kind.equipment.cools ||
            (book.systems.find((system) => system.id === systemId)?.equipment.cools ?? false),
        }),
      });
    await insertUnit(tx, homeId, successor, at);
    await movePartsToUnit(
      tx,
      own.map((part) => part.id),
      successor.id,
    );
    await updateUnit(tx, {
      ...unit,
      name: `${name}, the old one`,
      retiredOn: on,
      successorId: successor.id,
    });
  });
  leadOn(`/homes/${homeId}/units/${successor.id}/set-up/plate`);
}

export async function createPart(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const kind = PART_KIND_IDS.find((id) => id === typed["kind"]?.[0]);
  if (!kind) return refused(previous, typed, { kind: "Choose what it is." });
  const { values, problems } = readPart(typed, partFields(book, partKind(kind)));
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  const part: Part = { id: randomUUID(), unitId: unit.id, kind, ...values };
  const { write } = await appStore();
  await write((tx) => insertPart(tx, part, now().toISOString()));
  leadOn(`/homes/${homeId}/parts/${part.id}`);
}

export async function changePart(
  homeId: string,
  partId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const book = await bookOf(homeId);
  const part = book.parts.find((each) => each.id === partId);
  if (!part) redirect(`/homes/${homeId}/house`);
  const theirs = overtaken(previous, form, partFieldsOf(book, part));
  if (theirs) return theirs;
  const { values, problems } = readPart(typed, partFields(book, partKind(part.kind)));
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  const { write } = await appStore();
  await write((tx) =>
    updatePart(tx, { id: part.id, unitId: part.unitId, kind: part.kind, ...values }),
  );
  leadOn(`/homes/${homeId}/parts/${partId}`);
}
