"use server";

import { refresh } from "next/cache";
import { HOUSEHOLD_WORDS } from "@/content/words";
import type { HouseholdKind } from "@/core/inventory/inventory";
import { invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import { inHome } from "@/server/commands/home-command";
import * as household from "@/server/commands/household";
import { driverForm, isPlaceKnown } from "./household-form";
import { fieldsOfDriver } from "./household-queries";

export async function saveDriver(
  homeId: string,
  driverId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const before = home.snapshot.drivers.find(({ id }) => id === driverId);
    const theirs = before && overtaken(previous, form, fieldsOfDriver(before));
    if (theirs) return theirs;
    const parsed = driverForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    if (!isPlaceKnown(parsed.data, home.snapshot))
      return refused(previous, fields, { scope: "Choose where it acts." });
    await household.saveDriver(home, driverId, parsed.data);
    return { to: `/homes/${homeId}/household` };
  });
}

export async function removeDriver(homeId: string, driverId: string): Promise<void> {
  await inHome(homeId, (home) => household.removeDriver(home, driverId));
  refresh();
}

export async function bringDriverBack(homeId: string, driverId: string): Promise<void> {
  await inHome(homeId, (home) => household.bringDriverBack(home, driverId));
  refresh();
}

const isKind = (kind: string): kind is HouseholdKind => Object.hasOwn(HOUSEHOLD_WORDS, kind);

/** “No” is an answer too: the question is not asked again. */
export async function answerNo(homeId: string, kind: string): Promise<void> {
  if (!isKind(kind)) return;
  await inHome(homeId, (home) => household.answerNo(home, kind));
  refresh();
}

export async function askAgain(homeId: string, kind: string): Promise<void> {
  if (!isKind(kind)) return;
  await inHome(homeId, (home) => household.askAgain(home, kind));
  refresh();
}
