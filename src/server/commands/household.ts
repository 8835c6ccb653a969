import "server-only";
import { randomUUID } from "node:crypto";
import type { HouseholdKind, ScopedDriver } from "@/core/inventory/inventory";
import {
  insertDriver,
  markDriverDeleted,
  recordNo,
  takeBackNo,
  updateDriver,
} from "@/db/repositories/drivers";
import { createdAt, type OpenHome } from "./home-command";

/** What there is to say of a driver: everything but its id. */
export type DriverChange = ScopedDriver extends infer D
  ? D extends ScopedDriver
    ? Omit<D, "id">
    : never
  : never;

/**
 * Enters a driver, or changes one; what was answered with no is no longer.
 *
 * @returns false where the home has no such driver
 */
export async function saveDriver(
  home: OpenHome,
  driverId: string | null,
  change: DriverChange,
): Promise<boolean> {
  const { tx, homeId, snapshot } = home;
  if (driverId === null)
    await insertDriver(tx, homeId, { ...change, id: randomUUID() }, createdAt(home));
  else if (snapshot.drivers.some(({ id }) => id === driverId))
    await updateDriver(tx, homeId, { ...change, id: driverId });
  else return false;
  await takeBackNo(tx, homeId, change.kind);
  return true;
}

export const removeDriver = (home: OpenHome, driverId: string): Promise<void> =>
  markDriverDeleted(home.tx, home.homeId, driverId, createdAt(home));

export const bringDriverBack = ({ tx, homeId }: OpenHome, driverId: string): Promise<void> =>
  markDriverDeleted(tx, homeId, driverId, null);

/** That something is not so in this household: it is not asked again. */
export const answerNo = (home: OpenHome, kind: HouseholdKind): Promise<void> =>
  recordNo(home.tx, home.homeId, kind, createdAt(home));

export const askAgain = ({ tx, homeId }: OpenHome, kind: HouseholdKind): Promise<void> =>
  takeBackNo(tx, homeId, kind);
