import "server-only";
import { randomUUID } from "node:crypto";
import type { Level, Register, Room } from "@/core/inventory/inventory";
import { insertLevel } from "@/db/repositories/homes";
import { insertRegister, insertRoom, setRegisterShut, updateRoom } from "@/db/repositories/rooms";
import { createdAt, type OpenHome } from "./home-command";

/**
 * Enters a room, or changes one.
 *
 * @returns false where the home has no such room or level
 */
export async function saveRoom(
  home: OpenHome,
  roomId: string | null,
  change: Omit<Room, "id">,
): Promise<boolean> {
  const { tx, homeId, snapshot } = home;
  if (!snapshot.levels.some(({ id }) => id === change.levelId)) return false;
  if (roomId === null) {
    await insertRoom(tx, homeId, { id: randomUUID(), ...change }, createdAt(home));
    return true;
  }
  if (!snapshot.rooms.some(({ id }) => id === roomId)) return false;
  await updateRoom(tx, homeId, { id: roomId, ...change });
  return true;
}

export const addLevel = ({ tx, homeId }: OpenHome, level: Omit<Level, "id">): Promise<void> =>
  insertLevel(tx, homeId, { id: randomUUID(), ...level });

/** @returns false where the home has no such room */
export async function addRegister(
  home: OpenHome,
  register: Omit<Register, "id">,
): Promise<boolean> {
  if (!home.snapshot.rooms.some(({ id }) => id === register.roomId)) return false;
  await insertRegister(home.tx, { id: randomUUID(), ...register }, createdAt(home));
  return true;
}

/** Opens or shuts a register; nothing where the home has none of that id. */
export async function turnRegister(
  { tx, snapshot }: OpenHome,
  registerId: string,
  isShut: boolean,
): Promise<void> {
  if (snapshot.registers.some(({ id }) => id === registerId))
    await setRegisterShut(tx, registerId, isShut);
}
