"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertSlot } from "@/db/repositories/parts";
import { dropDraft, updateUnit } from "@/db/repositories/units";
import { earliestFitting } from "@/core/inventory/plausible";
import type { SetUpStep } from "@/core/inventory/inventory";
import { now, todayIn } from "@/lib/clock";
import { fieldsOf, refused, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { appendFitting } from "../filters/slot-writes";
import { readQuickSlots, slotsToAsk } from "./quick-slots";

/** Enters the filter slots of a unit that is being set up, and goes on to `next`. */
export async function saveFilters(
  homeId: string,
  unitId: string,
  next: { step: SetUpStep | undefined; href: string },
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const book = await homeBook(homeId);
  const unit = book?.units.find((each) => each.id === unitId);
  if (!book || !unit) redirect("/");
  const today = todayIn(book.home.timeZone);
  const { values, problems } = readQuickSlots(
    typed,
    slotsToAsk(unit, book),
    book.home.unitSystem === "us" ? "in" : "mm",
    today,
    earliestFitting(unit),
  );
  if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
  const at = now();
  const { write } = await appStore();
  await write(async (tx) => {
    for (const [i, { slot: fields, fittedOn }] of values.entries()) {
      const slot = { ...fields, id: randomUUID(), unitId };
      // Rows entered in one instant still need an order.
      const createdAt = new Date(at.getTime() + i).toISOString();
      await insertSlot(tx, slot, createdAt);
      if (fittedOn)
        await appendFitting(tx, homeId, slot, { date: fittedOn, recordedAt: createdAt });
    }
    if (unit.setUpStep === "filters") {
      const { setUpStep: _, ...entered } = unit;
      await updateUnit(tx, next.step ? { ...unit, setUpStep: next.step } : entered);
    }
    await dropDraft(tx, unitId, "filters");
  });
  leadOn(next.href);
}
