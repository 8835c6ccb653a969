import "server-only";
import { randomUUID } from "node:crypto";
import type { DriverFacts, Home, Level, Main } from "@/core/inventory/inventory";
import type { Tx } from "@/db/client";
import { insertContact } from "@/db/repositories/contacts";
import { insertDriver } from "@/db/repositories/drivers";
import { insertHome, insertLevel, markNoticeRead, updateHome } from "@/db/repositories/homes";
import { contactsFrom, type Calls } from "./contacts";
import { createdAt, type OpenHome } from "./home-command";

/** Enters a home with its levels and what is known of its household; answers its id. */
export async function addHome(
  tx: Tx,
  at: Date,
  home: Omit<Home, "id">,
  levels: readonly Omit<Level, "id">[],
  drivers: readonly DriverFacts[],
  calls: Calls,
): Promise<string> {
  const id = randomUUID();
  const createdAt = at.toISOString();
  await insertHome(tx, { id, ...home }, createdAt);
  for (const level of levels) await insertLevel(tx, id, { id: randomUUID(), ...level });
  for (const driver of drivers)
    await insertDriver(tx, id, { ...driver, id: randomUUID(), scope: "home" }, createdAt);
  for (const contact of contactsFrom(calls))
    await insertContact(tx, id, { id: randomUUID(), ...contact }, createdAt);
  return id;
}

/** Changes what is written of a home; how far its days scatter stays. */
export const changeHome = (
  { tx, snapshot: { home } }: OpenHome,
  change: Omit<Home, "id">,
): Promise<void> => {
  const climate = { ...change.climate, spreadC: home.climate.spreadC };
  const { hourMinor } = home;
  const kept = { id: home.id, ...(hourMinor === undefined ? {} : { hourMinor }) };
  return updateHome(tx, { ...kept, ...change, climate });
};

/** That somebody has read what their home was told once. */
export const readNotice = (home: OpenHome, kind: string): Promise<void> =>
  markNoticeRead(home.tx, home.homeId, kind, createdAt(home));

/** Where one main of the house is shut; the others stay as they were. */
export const keepMain = (
  { tx, snapshot: { home } }: OpenHome,
  main: Main,
  where: { place: string; offPosition?: string },
): Promise<void> => updateHome(tx, { ...home, mains: { ...home.mains, [main]: where } });
