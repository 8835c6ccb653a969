"use server";

import { randomUUID } from "node:crypto";
import { partKind } from "@/content/part-kinds";
import { unitKind } from "@/content/unit-kinds";
import { equipmentSchema } from "@/core/climate/run-hours";
import { SET_UP_STEPS, type SetUpStep, type Unit } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { homeBook } from "@/db/home-book";
import { insertPart } from "@/db/repositories/parts";
import {
  dropDraft,
  insertSystem,
  insertUnit,
  saveDraft,
  updateSystem,
  updateUnit,
} from "@/db/repositories/units";
import { now, todayIn } from "@/lib/clock";
import { fieldsOf, invalid, readWhole, refused, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { bookOf, unitAt } from "../units/unit-access";
import { levelFor, nameFor } from "../units/unit-names";
import { asksForCooling, progress, stepAfter } from "./set-up";
import { kindForm, readPlace, readPlate, readShutOffs, withFields } from "../units/unit-form";

type Typed = Record<string, string[]>;

/** Begins a unit: it is there at once, named after its kind, and can be finished any time. */
export async function beginUnit(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const parsed = kindForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const book = await bookOf(homeId);
  const kind = unitKind(parsed.data.kind);
  const unit: Unit = {
    id: randomUUID(),
    levelId: levelFor(kind.id, book.levels).id,
    systemId: randomUUID(),
    kind: kind.id,
    name: nameFor(kind.id, book),
    answers: {},
    shutOffs: [],
    setUpStep: "plate",
  };
  const { write } = await appStore();
  await write(async (tx) => {
    await insertSystem(tx, homeId, {
      id: unit.systemId,
      name: unit.name,
      ducted: kind.ducted,
      equipment: equipmentSchema.parse(kind.equipment),
    });
    await insertUnit(tx, homeId, unit, now().toISOString());
  });
  leadOn(`/homes/${homeId}/units/${unit.id}/set-up/plate`);
}

/** Keeps what is typed at a step, right or wrong, until the step is saved. */
export async function keepTyped(
  homeId: string,
  unitId: string,
  step: SetUpStep,
  form: FormData,
): Promise<void> {
  const book = await homeBook(homeId);
  if (!book?.units.some((unit) => unit.id === unitId) || !SET_UP_STEPS.includes(step)) return;
  const { write } = await appStore();
  await write((tx) => saveDraft(tx, unitId, step, fieldsOf(form), now().toISOString()));
}

/** Ends a step: writes it down, drops its draft, and goes to the next. */
async function endStep(
  homeId: string,
  unit: Unit,
  step: SetUpStep,
  work: (tx: Tx, changed: Unit) => Promise<void>,
  fields: Partial<Unit> = {},
): Promise<never> {
  const changed = withFields(unit, { ...fields, setUpStep: progress(unit, step) });
  const { write } = await appStore();
  await write(async (tx) => {
    await updateUnit(tx, changed);
    await work(tx, changed);
    await dropDraft(tx, unit.id, step);
  });
  const next = stepAfter(unit.kind, step);
  const sheet = `/homes/${homeId}/units/${unit.id}`;
  leadOn(`${sheet}/set-up/${next ?? "done"}`);
}

export async function savePlate(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const system = book.systems.find((each) => each.id === unit.systemId);
  const { values, problems } = readPlate(typed, {
    kind: unit.kind,
    system: book.home.unitSystem,
    today: todayIn(book.home.timeZone),
  });
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  return endStep(
    homeId,
    unit,
    "plate",
    async (tx) => {
      if (!system) return;
      const cools = asksForCooling(unit.kind) ? Boolean(typed["cools"]) : system.equipment.cools;
      await updateSystem(tx, {
        ...system,
        name: system.name === unit.name ? values.name : system.name,
        equipment: { ...system.equipment, cools },
      });
    },
    values as Partial<Unit>,
  );
}

export async function savePlace(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const { values, problems } = readPlace(typed, book);
  const partner = book.systems.find((system) => system.id === typed["runsWith"]?.[0]);
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  const own = book.systems.find((system) => system.id === unit.systemId);
  return endStep(
    homeId,
    unit,
    "place",
    async (tx) => {
      if (!partner || !own || partner.id === own.id) return;
      // What one machine of a system can do, the system can.
      await updateSystem(tx, {
        ...partner,
        equipment: {
          ...partner.equipment,
          heats: partner.equipment.heats || own.equipment.heats,
          cools: partner.equipment.cools || own.equipment.cools,
        },
      });
    },
    { ...values, ...(partner ? { systemId: partner.id } : {}) } as Partial<Unit>,
  );
}

export async function saveShutOffs(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const { unit } = await unitAt(homeId, unitId);
  const typed = fieldsOf(form);
  const { values, problems } = readShutOffs(typed);
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  const shutOffs = values.map((off) => ({ id: randomUUID(), ...off }));
  return endStep(homeId, unit, "shut-off", async () => {}, { shutOffs });
}

const MOST_OF_A_KIND = 60;

export async function saveParts(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const { book, unit } = await unitAt(homeId, unitId);
  const wanted = partsTyped(typed);
  const tooMany = wanted.find(({ count }) => count === null);
  if (tooMany)
    return refused(previous, typed, {
      [`count-${tooMany.kind}`]: `A whole number, 1 to ${MOST_OF_A_KIND}.`,
    });
  const at = now();
  return endStep(homeId, unit, "parts", async (tx) => {
    let nth = 0;
    for (const { kind, count } of wanted) {
      const has = book.parts.filter((part) => part.unitId === unit.id && part.kind === kind).length;
      for (let i = has; i < (count ?? 1); i++) {
        const { name } = partKind(kind);
        // Rows entered in one instant still need an order.
        const createdAt = new Date(at.getTime() + nth++).toISOString();
        await insertPart(
          tx,
          {
            id: randomUUID(),
            unitId: unit.id,
            kind,
            name: (count ?? 1) > 1 ? `${name} ${i + 1}` : name,
            answers: {},
          },
          createdAt,
        );
      }
    }
  });
}

const partsTyped = (typed: Typed): { kind: string; count: number | null }[] =>
  (typed["part"] ?? [])
    .filter((kind) => partKind(kind).id === kind)
    .map((kind) => ({
      kind,
      count: readWhole(typed[`count-${kind}`]?.[0] || "1", 1, MOST_OF_A_KIND),
    }));
