import { and, asc, eq, isNull } from "drizzle-orm";
import type { Register, Room } from "@/core/inventory/inventory";
import type { Reader, Tx } from "../client";
import { registers, rooms } from "../schema";

export async function listRooms(db: Reader, homeId: string): Promise<Room[]> {
  return db
    .select({ id: rooms.id, levelId: rooms.levelId, name: rooms.name, sleeps: rooms.sleeps })
    .from(rooms)
    .where(and(eq(rooms.homeId, homeId), isNull(rooms.deletedAt)))
    .orderBy(asc(rooms.createdAt), asc(rooms.id));
}

export async function insertRoom(
  tx: Tx,
  homeId: string,
  room: Room,
  createdAt: string,
): Promise<void> {
  await tx.insert(rooms).values({ ...room, homeId, createdAt });
}

export async function updateRoom(tx: Tx, homeId: string, room: Room): Promise<void> {
  const { id, levelId, name, sleeps } = room;
  await tx
    .update(rooms)
    .set({ levelId, name, sleeps })
    .where(and(eq(rooms.id, id), eq(rooms.homeId, homeId)));
}

export async function markRoomDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(rooms)
    .set({ deletedAt: at })
    .where(and(eq(rooms.id, id), eq(rooms.homeId, homeId)));
}

/** The registers of a home's rooms, in the order they were entered. */
export async function listRegisters(db: Reader, homeId: string): Promise<Register[]> {
  const rows = await db
    .select({ register: registers })
    .from(registers)
    .innerJoin(rooms, eq(rooms.id, registers.roomId))
    .where(and(eq(rooms.homeId, homeId), isNull(rooms.deletedAt), isNull(registers.deletedAt)))
    .orderBy(asc(registers.createdAt), asc(registers.id));
  return rows.map(({ register: { id, roomId, role, place, isShut } }) => ({
    id,
    roomId,
    role,
    isShut,
    ...(place === null ? {} : { place }),
  }));
}

export async function insertRegister(tx: Tx, register: Register, createdAt: string): Promise<void> {
  await tx.insert(registers).values({ ...register, createdAt });
}

export async function setRegisterShut(tx: Tx, id: string, isShut: boolean): Promise<void> {
  await tx.update(registers).set({ isShut }).where(eq(registers.id, id));
}

export async function markRegisterDeleted(tx: Tx, id: string, at: string | null): Promise<void> {
  await tx.update(registers).set({ deletedAt: at }).where(eq(registers.id, id));
}

export async function homeOfRegister(db: Reader, id: string): Promise<string | null> {
  const rows = await db
    .select({ homeId: rooms.homeId })
    .from(registers)
    .innerJoin(rooms, eq(rooms.id, registers.roomId))
    .where(eq(registers.id, id));
  return rows[0]?.homeId ?? null;
}
