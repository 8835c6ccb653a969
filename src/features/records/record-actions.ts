"use server";

import { z } from "zod";
import { GRADES } from "@/core/filters/belief";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { earliestInstallation } from "@/core/inventory/plausible";
import type { Unit } from "@/core/inventory/inventory";
import type { UnitSystem } from "@/core/quantities/length";
import type { PlainDate } from "@/core/quantities/plain-date";
import { unitsFor } from "@/core/readings/reading-units";
import { doneForm } from "@/lib/done-form";
import {
  DAY_WORDS,
  invalid,
  isDay,
  LONG_BEFORE,
  pastDay,
  readDecimal,
  readPastDay,
  singles,
  type FormState,
} from "@/lib/forms";
import { follow, formCommand } from "@/server/commands/form-command";
import { inHome, placeIn, unitIn } from "@/server/commands/home-command";
import * as records from "@/server/commands/records";

/** A past day on which something may have been fitted in a unit: not long before that was made. */
const installationDay = (today: PlainDate, unit: Unit | undefined) =>
  pastDay(today).refine((date) => {
    const earliest = unit && earliestInstallation(unit);
    return !earliest || date >= earliest;
  }, LONG_BEFORE);

const changedForm = (today: PlainDate, unit: Unit | undefined) =>
  z.object({
    date: installationDay(today, unit),
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
  return formCommand(homeId, form, async (home, fields) => {
    const slot = home.snapshot.slots.find((each) => each.id === slotId);
    if (!slot) return { to: "/" };
    const parsed = changedForm(home.today, unitIn(home, slot.unitId)).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { date, grade, words } = parsed.data;
    const noted = await records.recordReplacement(home, slot, {
      date,
      ...(words ? { words } : {}),
      ...(grade ? { grade } : {}),
    });
    return { to: `/homes/${homeId}/parts/${slotId}`, noted };
  });
}

/** That a part of another kind than a filter slot was seen to. */
export async function notePartDone(
  homeId: string,
  partId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const part = home.snapshot.parts.find((each) => each.id === partId);
    if (!part) return { to: "/" };
    const { currency } = home.snapshot.home;
    const parsed = doneForm(home.today, currency).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const noted = await records.record(home, {
      kind: "done",
      unitId: part.unitId,
      partId,
      ...parsed.data,
    });
    return { to: `/homes/${homeId}/parts/${partId}`, noted };
  });
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
  return formCommand(homeId, form, async (home, fields) => {
    const parsed = noteForm(home.today).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { date, words, partId, brokeDown } = parsed.data;
    if (!unitIn(home, unitId)) return { to: "/" };
    const place = partId ? placeIn(home, partId) : undefined;
    const part = place?.unitId === unitId ? place : undefined;
    await records.record(home, {
      kind: brokeDown ? "breakdown" : "note",
      unitId,
      ...(part ? { partId: part.id } : {}),
      date,
      words,
    });
    return { to: `/homes/${homeId}/${part ? `parts/${part.id}` : `units/${unitId}`}` };
  });
}

/** A look by eye, by the drop across the filter, or by both: the drop counts for more. */
const lookForm = (snapshot: HomeSnapshot, today: PlainDate) =>
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
      const { unitSystem } = snapshot.home;
      const pressureDropPa = fields.drop === "" ? undefined : readDrop(fields.drop, unitSystem);
      const slot = snapshot.slots.find((each) => each.id === fields.slotId);
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
  return formCommand(homeId, form, async (home, fields) => {
    const parsed = lookForm(home.snapshot, home.today).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { slotId, date, look } = parsed.data;
    const slot = home.snapshot.slots.find((each) => each.id === slotId);
    if (!slot) return { to: "/" };
    const { id: partId, unitId } = slot;
    const noted = await records.record(home, { kind: "look", unitId, partId, date, look });
    return { to: `/homes/${homeId}/parts/${partId}`, noted };
  });
}

/** Forgets what the looks at a slot taught of its pace: from here on it is the rated pace again. */
export async function forgetLooks(homeId: string, slotId: string): Promise<void> {
  const lead = await inHome(homeId, async (home) => {
    const slot = home.snapshot.slots.find((each) => each.id === slotId);
    if (!slot) return { to: "/" };
    const { id: partId, unitId } = slot;
    await records.record(home, { kind: "forgotten", unitId, partId, date: home.today });
    return { to: `/homes/${homeId}/parts/${slotId}` };
  });
  follow(lead);
}

/** Writes an entry anew with another day or grade, pointing at the one it corrects. */
export async function correctEntry(
  homeId: string,
  eventId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const parsed = changedForm(home.today, undefined).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { date, words, grade } = parsed.data;
    const corrected = await records.correctEntry(home, eventId, {
      date,
      words,
      grade: grade || undefined,
    });
    const at = corrected?.event ?? home.snapshot.history.entries.find(({ id }) => id === eventId);
    if (!at?.unitId) return { to: `/homes/${homeId}/house` };
    const to = `/homes/${homeId}/${at.partId ? `parts/${at.partId}` : `units/${at.unitId}`}`;
    return corrected ? { to, noted: corrected.id } : { to };
  });
}
