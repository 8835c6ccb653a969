"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { unitKind } from "@/content/unit-kinds";
import { equipmentSchema } from "@/core/climate/run-hours";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertSystem, updateSystem, updateUnit } from "@/db/repositories/units";
import { fieldsOf, invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { systemFieldsOf } from "../units/unit-pages";
import { systemForm } from "./system-form";

/** How an air system runs, and which machines run together in it. */
export async function changeSystem(
  homeId: string,
  systemId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const book = await homeBook(homeId);
  const system = book?.systems.find((each) => each.id === systemId);
  if (!book || !system) redirect("/");
  const running = book.units.filter((unit) => unit.systemId === systemId);
  const theirs = overtaken(previous, form, systemFieldsOf(book, { system, members: running }));
  if (theirs) return theirs;
  const parsed = systemForm(book.home.unitSystem).safeParse(singles(typed));
  if (!parsed.success) return invalid(previous, typed, parsed.error);
  const members = typed["members"] ?? [];
  if (!book.units.some((unit) => members.includes(unit.id)))
    return refused(previous, typed, { members: "One machine has to run in it." });
  const joining = book.units.filter(
    (unit) => members.includes(unit.id) && unit.systemId !== systemId,
  );
  const leaving = book.units.filter(
    (unit) => !members.includes(unit.id) && unit.systemId === systemId,
  );
  const { equipment, airflowM3h, name } = parsed.data;
  const changed = {
    id: system.id,
    ducted: system.ducted,
    name,
    equipment: {
      ...equipment,
      heatOversize: system.equipment.heatOversize,
      coolOversize: system.equipment.coolOversize,
    },
    ...(airflowM3h === undefined ? {} : { airflowM3h }),
  };
  const { write } = await appStore();
  await write(async (tx) => {
    await updateSystem(tx, changed);
    for (const unit of joining) await updateUnit(tx, { ...unit, systemId });
    for (const unit of leaving) {
      const kind = unitKind(unit.kind);
      const own = {
        id: randomUUID(),
        name: unit.name,
        ducted: kind.ducted,
        equipment: equipmentSchema.parse(kind.equipment),
      };
      await insertSystem(tx, homeId, own);
      await updateUnit(tx, { ...unit, systemId: own.id });
    }
  });
  leadOn(`/homes/${homeId}/systems`);
}
