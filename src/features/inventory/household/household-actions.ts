"use server";

import { randomUUID } from "node:crypto";
import { refresh } from "next/cache";
import { redirect } from "next/navigation";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import {
  insertDriver,
  markDriverDeleted,
  recordNo,
  takeBackNo,
  updateDriver,
} from "@/db/repositories/drivers";
import { HOUSEHOLD_WORDS } from "@/content/words";
import type { HouseholdKind } from "@/core/inventory/inventory";
import { now, todayIn } from "@/lib/clock";
import { fieldsOf, invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { effectsOf, type Effect } from "./driver-effects";
import { driverForm, isPlaceKnown } from "./household-form";
import { fieldsOfDriver } from "./household-queries";

export async function saveDriver(
  homeId: string,
  driverId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const before = book.drivers.find(({ id }) => id === driverId);
  const theirs = before && overtaken(previous, form, fieldsOfDriver(before));
  if (theirs) return theirs;
  const parsed = driverForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const driver = { ...parsed.data, id: driverId ?? randomUUID() };
  if (!isPlaceKnown(driver, book))
    return refused(previous, fields, { scope: "Choose where it acts." });
  const store = await appStore();
  await store.write(async (tx) => {
    if (driverId) await updateDriver(tx, homeId, driver);
    else await insertDriver(tx, homeId, driver, now().toISOString());
    await takeBackNo(tx, homeId, driver.kind);
  });
  leadOn(`/homes/${homeId}/household`);
}

export async function removeDriver(homeId: string, driverId: string): Promise<void> {
  const store = await appStore();
  await store.write((tx) => markDriverDeleted(tx, homeId, driverId, now().toISOString()));
  refresh();
}

export async function bringDriverBack(homeId: string, driverId: string): Promise<void> {
  const store = await appStore();
  await store.write((tx) => markDriverDeleted(tx, homeId, driverId, null));
  refresh();
}

/** What saving the form as it stands would change, in days; null as long as it can't be read. */
export async function previewDriver(
  homeId: string,
  driverId: string | null,
  form: FormData,
): Promise<Effect[] | null> {
  const parsed = driverForm.safeParse(singles(fieldsOf(form)));
  const book = await homeBook(homeId);
  if (!parsed.success || !book || !isPlaceKnown(parsed.data, book)) return null;
  const driver = { ...parsed.data, id: driverId ?? "the new one" };
  return effectsOf(book, driver, todayIn(book.home.timeZone));
}

const isKind = (kind: string): kind is HouseholdKind => Object.hasOwn(HOUSEHOLD_WORDS, kind);

/** “No” is an answer too: the question is not asked again. */
export async function answerNo(homeId: string, kind: string): Promise<void> {
  if (!isKind(kind) || !(await homeBook(homeId))) return;
  const store = await appStore();
  await store.write((tx) => recordNo(tx, homeId, kind, now().toISOString()));
  refresh();
}

export async function askAgain(homeId: string, kind: string): Promise<void> {
  if (!isKind(kind)) return;
  const store = await appStore();
  await store.write((tx) => takeBackNo(tx, homeId, kind));
  refresh();
}
