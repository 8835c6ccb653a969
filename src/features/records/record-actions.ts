"use server";

import type { Unit } from "@/core/inventory/inventory";
import { judgeInput } from "@/core/readings/judge";
import { earliestInstallation } from "@/core/inventory/plausible";
import { doneForm } from "@/lib/done-form";
import { invalid, singles, type FormState } from "@/lib/forms";
import { changesOf } from "@/core/history/replacement";
import { VACUUM } from "@/core/filters/slot-wear";
import { follow, formCommand, houseOf, pressCommand } from "@/server/commands/form-command";
import { inHome, placeIn, unitIn } from "@/server/commands/home-command";
import * as records from "@/server/commands/records";
import { changedForm, lookForm, noteForm } from "./record-forms";

const earliestOf = (unit: Unit | undefined) => (unit && earliestInstallation(unit)) ?? undefined;

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
    const parsed = changedForm(home.today, earliestOf(unitIn(home, slot.unitId))).safeParse(
      singles(fields),
    );
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
    const { date, words, partId } = parsed.data;
    if (!unitIn(home, unitId)) return { to: "/" };
    const place = partId ? placeIn(home, partId) : undefined;
    const part = place?.unitId === unitId ? place : undefined;
    await records.record(home, {
      kind: "note",
      unitId,
      ...(part ? { partId: part.id } : {}),
      date,
      words,
    });
    return { to: `/homes/${homeId}/${part ? `parts/${part.id}` : `units/${unitId}`}` };
  });
}

/** How a filter looks, without changing it. */
export async function noteLook(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const parsed = lookForm(
      home.snapshot.slots.map((slot) => ({
        ...slot,
        changedOn: changesOf(home.snapshot.history, slot.id),
      })),
      home.snapshot.home.unitSystem,
      home.today,
    ).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { slotId, date, look, isAtNew } = parsed.data;
    const slot = home.snapshot.slots.find((each) => each.id === slotId);
    if (!slot) return { to: "/" };
    const { id: partId, unitId } = slot;
    const item = isAtNew
      ? home.snapshot.history
          .ofPart(slotId)
          .findLast((event) => event.kind === "fitted" && event.date === date)?.itemId
      : undefined;
    const noted = await records.record(home, {
      kind: "look",
      ...{ unitId, partId, date, look },
      ...(item ? { itemId: item } : {}),
    });
    return { to: `/homes/${homeId}/parts/${partId}`, noted };
  });
}

/** That a filter was vacuumed where it sits today: lighter, and no newer. */
export async function noteVacuumed(
  homeId: string,
  slotId: string,
  commandId: string,
): Promise<void> {
  await pressCommand(homeId, { id: commandId, asks: ["vacuumed", slotId] }, async (home) => {
    const slot = home.snapshot.slots.find((each) => each.id === slotId);
    if (!slot) return houseOf(homeId);
    const { id: partId, unitId } = slot;
    const place = { unitId, partId, taskKey: VACUUM };
    const noted = await records.record(home, { kind: "done", ...place, date: home.today });
    return { to: `/homes/${homeId}/parts/${slotId}`, noted };
  });
}

/** That the light of a filter came on today: it is due, and its pace learns of it. */
export async function noteLight(homeId: string, slotId: string, commandId: string): Promise<void> {
  await pressCommand(homeId, { id: commandId, asks: ["light", slotId] }, async (home) => {
    const slot = home.snapshot.slots.find((each) => each.id === slotId && each.indicator);
    if (!slot) return houseOf(homeId);
    const noted = await records.record(home, {
      kind: "reading",
      ...{ unitId: slot.unitId, partId: slotId, date: home.today },
      reading: judgeInput.parse({ kind: "indicator-light", value: "on" }),
    });
    return { to: `/homes/${homeId}/parts/${slotId}`, noted };
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
