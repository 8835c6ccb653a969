"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { z } from "zod";
import { renewalOf } from "@/content/procedures/library";
import { fittingOf, type Happened } from "@/core/register/fitting";
import type { FilterSlot } from "@/core/register/register";
import { GRADES } from "@/core/wear/belief";
import { historyOf } from "@/core/register/part-wear";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { homeBook } from "@/db/home-book";
import { appendEvent, findEvent, findSuccessor } from "@/db/repositories/history";
import { insertItem, insertSlot, listSlots, updateSlot } from "@/db/repositories/parts";
import { insertWearTask, listTasks } from "@/db/repositories/tasks";
import { now, todayIn } from "@/lib/clock";
import { fieldsOf, invalid, pastDay, singles, type FormState } from "@/lib/forms";
import type { PlainDate } from "@/core/quantities/plain-date";
import { slotForm } from "./slot-form";

/** A slot whose medium the library can renew step by step has a task for it. */
async function ensureTask(tx: Tx, homeId: string, slot: FilterSlot, at: string): Promise<void> {
  const job = renewalOf(slot.media);
  if (!job) return;
  const has = (await listTasks(tx, homeId)).some(
    (task) => task.partId === slot.id && task.procedureId === job.id,
  );
  if (has) return;
  const ids = { id: randomUUID(), unitId: slot.unitId, partId: slot.id, procedureId: job.id };
  await insertWearTask(tx, homeId, ids, at);
}

export async function createSlot(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  const unit = book?.units.find((each) => each.id === unitId);
  if (!book || !unit) redirect("/");
  const parsed = slotForm(book.home, todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { fittedOn, ...rest } = parsed.data;
  const slot: FilterSlot = { id: randomUUID(), unitId, ...rest };
  const at = now().toISOString();
  const store = await appStore();
  await store.write(async (tx) => {
    await insertSlot(tx, slot, at);
    await ensureTask(tx, homeId, slot, at);
    if (fittedOn) await appendFitting(tx, homeId, slot, { date: fittedOn, recordedAt: at });
  });
  redirect(`/homes/${homeId}/units/${unitId}?slot=${slot.id}`);
}

export async function changeSlot(
  homeId: string,
  slotId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  const slot = book?.slots.find((each) => each.id === slotId);
  if (!book || !slot) redirect("/");
  const parsed = slotForm(book.home, todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const changed: FilterSlot = { ...parsed.data, id: slot.id, unitId: slot.unitId };
  const store = await appStore();
  await store.write(async (tx) => {
    await updateSlot(tx, changed);
    await ensureTask(tx, homeId, changed, now().toISOString());
  });
  redirect(`/homes/${homeId}/units/${slot.unitId}?slot=${slotId}`);
}

async function appendFitting(
  tx: Tx,
  homeId: string,
  slot: FilterSlot,
  happened: Happened,
  itemBefore?: string,
): Promise<void> {
  const ids = { event: randomUUID(), item: randomUUID() };
  const { event, item } = fittingOf(slot, ids, happened, itemBefore);
  if (item) await insertItem(tx, item);
  await appendEvent(tx, homeId, event);
}

const doneForm = (today: PlainDate) =>
  z.object({
    date: pastDay(today),
    grade: z.enum([...GRADES, ""]).optional(),
    words: z.string().max(300, "Shorter, please: up to 300 letters.").optional(),
  });

/** A change made without the app, on a day that has passed. */
export async function noteChanged(
  homeId: string,
  slotId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  const slot = book?.slots.find((each) => each.id === slotId);
  if (!book || !slot) redirect("/");
  const parsed = doneForm(todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { date, grade, words } = parsed.data;
  const recordedAt = now().toISOString();
  const itemBefore = historyOf(book, slotId).findLast(
    (event) => event.itemId !== undefined && event.date <= date,
  )?.itemId;
  const store = await appStore();
  await store.write(async (tx) => {
    if (grade)
      await appendEvent(tx, homeId, {
        id: randomUUID(),
        kind: "look",
        unitId: slot.unitId,
        partId: slotId,
        ...(itemBefore ? { itemId: itemBefore } : {}),
        date,
        recordedAt,
        look: { grade },
      });
    await appendFitting(
      tx,
      homeId,
      slot,
      { date, recordedAt, ...(words ? { words } : {}) },
      itemBefore,
    );
  });
  redirect(`/homes/${homeId}/units/${slot.unitId}?slot=${slotId}`);
}

const lookForm = (today: PlainDate) =>
  z.object({
    slotId: z.string().min(1, "Choose which filter you looked at."),
    date: pastDay(today),
    grade: z.enum(GRADES, "Choose the picture that comes nearest."),
  });

/** How a filter looks, without changing it. */
export async function noteLook(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const parsed = lookForm(todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  const slot = (await listSlots(store.db, homeId)).find((each) => each.id === parsed.data.slotId);
  if (!slot) redirect("/");
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id: randomUUID(),
      kind: "look",
      unitId: slot.unitId,
      partId: slot.id,
      date: parsed.data.date,
      recordedAt: now().toISOString(),
      look: { grade: parsed.data.grade },
    }),
  );
  redirect(`/homes/${homeId}/units/${slot.unitId}?slot=${slot.id}`);
}

/** Writes an entry anew with another day or grade, pointing at the one it corrects. */
export async function correctEntry(
  homeId: string,
  eventId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const parsed = doneForm(todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  const unitId = await store.write(async (tx) => {
    const event = await findEvent(tx, homeId, eventId);
    if (!event || (await findSuccessor(tx, eventId))) return event?.unitId;
    const { date, words, grade } = parsed.data;
    await appendEvent(tx, homeId, {
      ...event,
      id: randomUUID(),
      date,
      recordedAt: now().toISOString(),
      corrects: eventId,
      words: words || undefined,
      ...(event.look && grade ? { look: { ...event.look, grade } } : {}),
    });
    return event.unitId;
  });
  redirect(unitId ? `/homes/${homeId}/units/${unitId}` : `/homes/${homeId}`);
}
