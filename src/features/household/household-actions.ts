"use server";

import { randomUUID } from "node:crypto";
import { refresh } from "next/cache";
import { redirect } from "next/navigation";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertDriver, markDriverDeleted, updateDriver } from "@/db/repositories/drivers";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, singles, type FormState } from "@/lib/forms";
import { driverForm } from "./household-form";

export async function saveDriver(
  homeId: string,
  driverId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const parsed = driverForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const driver = { ...parsed.data, id: driverId ?? randomUUID() };
  const isKnown =
    driver.scope === "home" ||
    (driver.scope === "system" && book.systems.some((system) => system.id === driver.systemId)) ||
    (driver.scope === "part" && book.slots.some((slot) => slot.id === driver.partId));
  if (!isKnown)
    return {
      attempt: previous.attempt + 1,
      values: fields,
      errors: { scope: "Choose where it acts." },
    };
  const store = await appStore();
  await store.write((tx) =>
    driverId
      ? updateDriver(tx, homeId, driver)
      : insertDriver(tx, homeId, driver, now().toISOString()),
  );
  redirect(`/homes/${homeId}/household`);
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
