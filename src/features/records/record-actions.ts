"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { z } from "zod";
import { earliestFitting } from "@/core/inventory/plausible";
import type { FilterSlot, HomeBook, Unit } from "@/core/inventory/inventory";
import { GRADES } from "@/core/filters/belief";
import { historyOf } from "@/core/history/record";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { appendEvent, findEvent, findSuccessor } from "@/db/repositories/history";
import { insertSlot, listSlots, updateSlot } from "@/db/repositories/parts";
import { now, todayIn } from "@/lib/clock";
import type { UnitSystem } from "@/core/quantities/length";
import { unitsFor } from "@/core/readings/reading-units";
import { doneForm } from "@/lib/done-form";
import {
  DAY_WORDS,
  fieldsOf,
  type FormState,
  invalid,
  isDay,
  overtaken,
  pastDay,
  readDecimal,
  readPastDay,
  refused,
  singles,
} from "@/lib/forms";
import { leadOn, leadOnNoted } from "@/lib/lead-on";
import type { PlainDate } from "@/core/quantities/plain-date";
import { slotForm } from "@/features/inventory/filters/slot-form";
import { slotFieldsOf } from "@/features/inventory/filters/slot-queries";
import { appendFitting } from "@/features/inventory/filters/slot-writes";

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
  const parsed = slotForm(book, todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { fittedOn, ...rest } = parsed.data;
  const earliest = earliestFitting(unit);
  if (fittedOn && earliest && fittedOn < earliest)
    return refused(previous, fields, { fittedOn: LONG_BEFORE });
  const slot: FilterSlot = { id: randomUUID(), unitId, ...rest };
  const at = now().toISOString();
  const store = await appStore();
  await store.write(async (tx) => {
    await insertSlot(tx, slot, at);
    if (fittedOn) await appendFitting(tx, homeId, slot, { date: fittedOn, recordedAt: at });
  });
  leadOn(`/homes/${homeId}/parts/${slot.id}`);
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
  const theirs = overtaken(previous, form, slotFieldsOf({ book, slot }));
  if (theirs) return theirs;
  const parsed = slotForm(book, todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const changed: FilterSlot = { ...parsed.data, id: slot.id, unitId: slot.unitId };
  const store = await appStore();
  await store.write(async (tx) => {
    await updateSlot(tx, changed);
  });
  leadOn(`/homes/${homeId}/parts/${slotId}`);
}

const LONG_BEFORE = "That is long before its machine was here. Look at the year again.";

/** A past day on which something may have been fitted in a unit: not long before that was made. */
const fittingDay = (today: PlainDate, unit: Unit | undefined) =>
  pastDay(today).refine((date) => {
    const earliest = unit && earliestFitting(unit);
    return !earliest || date >= earliest;
  }, LONG_BEFORE);

const changedForm = (today: PlainDate, unit: Unit | undefined) =>
  z.object({
    date: fittingDay(today, unit),
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
  const unit = book.units.find(({ id }) => id === slot.unitId);
  const parsed = changedForm(todayIn(book.home.timeZone), unit).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { date, grade, words } = parsed.data;
  const recordedAt = now().toISOString();
  const itemBefore = historyOf(book, slotId).findLast(
    (event) => event.itemId !== undefined && event.date <= date,
  )?.itemId;
  const store = await appStore();
  const id = await store.write(async (tx) => {
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
    return appendFitting(
      tx,
      homeId,
      slot,
      { date, recordedAt, ...(words ? { words } : {}) },
      itemBefore,
    );
  });
  leadOnNoted(`/homes/${homeId}/parts/${slotId}`, id);
}

/** That a part of another kind than a filter slot was seen to. */
export async function notePartDone(
  homeId: string,
  partId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  const part = book?.parts.find((each) => each.id === partId);
  if (!book || !part) redirect("/");
  const parsed = doneForm(todayIn(book.home.timeZone), book.home.currency).safeParse(
    singles(fields),
  );
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  const id = randomUUID();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id,
      kind: "done",
      unitId: part.unitId,
      partId,
      recordedAt: now().toISOString(),
      ...parsed.data,
    }),
  );
  leadOnNoted(`/homes/${homeId}/parts/${partId}`, id);
}

const noteForm = (today: PlainDate) =>
  z.object({
    date: pastDay(today),
    words: z.string().min(1, "Write the note.").max(1000, "Shorter, please: up to 1000 letters."),
    partId: z.string().optional(),
    /** A breakdown is a note that stands out, and is explained. */
    brokeDown: z.string().optional(),
  });

/** Words for the record of a unit, or of one of its parts. */
export async function writeNote(
  homeId: string,
  unitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const parsed = noteForm(todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { date, words, partId, brokeDown } = parsed.data;
  const part = [...book.slots, ...book.retiredSlots, ...book.parts].find(
    (each) => each.id === partId && each.unitId === unitId,
  );
  if (![...book.units, ...book.retired].some((unit) => unit.id === unitId)) redirect("/");
  const store = await appStore();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id: randomUUID(),
      kind: brokeDown ? "breakdown" : "note",
      unitId,
      ...(part ? { partId: part.id } : {}),
      date,
      recordedAt: now().toISOString(),
      words,
    }),
  );
  leadOn(part ? `/homes/${homeId}/parts/${part.id}` : `/homes/${homeId}/units/${unitId}`);
}

/** A look by eye, by the drop across the filter, or by both: the drop counts for more. */
const lookForm = (book: HomeBook, today: PlainDate) =>
  z
    .object({
      slotId: z.string().min(1, "Choose which filter you looked at."),
      date: z.string(),
      grade: z.enum([...GRADES, ""]).default(""),
      drop: z.string().default(""),
    })
    .transform((fields, context) => {
      const problem = (path: string, message: string) =>
        context.addIssue({ code: "custom", path: [path], message });
      const date = readPastDay(fields.date, today);
      if (!isDay(date)) problem("date", DAY_WORDS[date]);
      const { unitSystem } = book.home;
      const pressureDropPa = fields.drop === "" ? undefined : readDrop(fields.drop, unitSystem);
      const slot = book.slots.find((each) => each.id === fields.slotId);
      if (pressureDropPa === null)
        problem("drop", "Write the drop as a number, 0 or more, of what a filter can take.");
      else if (pressureDropPa !== undefined && slot && slot.cleanDropPa === undefined)
        problem("drop", "What it drops when clean is not written down for this filter yet.");
      if (fields.grade === "" && fields.drop === "")
        problem("grade", "Choose the picture that comes nearest, or write the drop.");
      if (!isDay(date) || pressureDropPa === null || context.issues.length > 0) return z.NEVER;
      return {
        slotId: fields.slotId,
        date,
        look: {
          ...(fields.grade === "" ? {} : { grade: fields.grade }),
          ...(pressureDropPa === undefined ? {} : { pressureDropPa }),
        },
      };
    });

const MOST_PA = 2000;
/** A pressure drop in the home’s unit, as Pa; null for what is none. */
function readDrop(text: string, system: UnitSystem): number | null {
  const value = readDecimal(text);
  const pa = value === null ? -1 : value * unitsFor("filter-drop", system)[0]!.per;
  return pa >= 0 && pa <= MOST_PA ? Number(pa.toPrecision(8)) : null;
}

/** How a filter looks, without changing it. */
export async function noteLook(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const parsed = lookForm(book, todayIn(book.home.timeZone)).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  const slot = (await listSlots(store.db, homeId)).find((each) => each.id === parsed.data.slotId);
  if (!slot) redirect("/");
  const id = randomUUID();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id,
      kind: "look",
      unitId: slot.unitId,
      partId: slot.id,
      date: parsed.data.date,
      recordedAt: now().toISOString(),
      look: parsed.data.look,
    }),
  );
  leadOnNoted(`/homes/${homeId}/parts/${slot.id}`, id);
}

/** Forgets what the looks at a slot taught of its pace: from here on it is the book’s again. */
export async function forgetLooks(homeId: string, slotId: string): Promise<void> {
  const book = await homeBook(homeId);
  const slot = book?.slots.find((each) => each.id === slotId);
  if (!book || !slot) redirect("/");
  const store = await appStore();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id: randomUUID(),
      kind: "forgotten",
      unitId: slot.unitId,
      partId: slotId,
      date: todayIn(book.home.timeZone),
      recordedAt: now().toISOString(),
    }),
  );
  leadOn(`/homes/${homeId}/parts/${slotId}`);
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
  const parsed = changedForm(todayIn(book.home.timeZone), undefined).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  const id = randomUUID();
  const at = await store.write(async (tx) => {
    const event = await findEvent(tx, homeId, eventId);
    if (!event || (await findSuccessor(tx, eventId))) return event;
    const { date, words, grade } = parsed.data;
    await appendEvent(tx, homeId, {
      ...event,
      id,
      date,
      recordedAt: now().toISOString(),
      corrects: eventId,
      words: words || undefined,
      ...(event.look && grade ? { look: { ...event.look, grade } } : {}),
    });
    return event;
  });
  if (!at?.unitId) leadOn(`/homes/${homeId}/house`);
  leadOnNoted(`/homes/${homeId}/${at.partId ? `parts/${at.partId}` : `units/${at.unitId}`}`, id);
}
