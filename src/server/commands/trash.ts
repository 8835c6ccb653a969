import "server-only";
import { sql } from "drizzle-orm";
import { z } from "zod";
import { markContactDeleted } from "@/db/repositories/contacts";
import { markDriverDeleted } from "@/db/repositories/drivers";
import { markHomeDeleted } from "@/db/repositories/homes";
import { homeOfPart, markPartDeleted } from "@/db/repositories/parts";
import { markPhotoDeleted } from "@/db/repositories/photos";
import { homeOfRegister, markRegisterDeleted, markRoomDeleted } from "@/db/repositories/rooms";
import { markOwnProcedureDeleted } from "@/db/repositories/own-procedures";
import { markSettingOff } from "@/db/repositories/settings";
import { markFindingDeleted, markVisitDeleted } from "@/db/repositories/visits";
import { markPersonDeleted } from "@/db/repositories/year";
import { homeOfUnit, markUnitDeleted } from "@/db/repositories/units";
import { writeAgain } from "@/db/repositories/history";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { now } from "@/lib/clock";

export const removableSchema = z.object({
  kind: z.enum([
    "home",
    "unit",
    "slot",
    "room",
    "register",
    "contact",
    "driver",
    "photo",
    "entry",
    "setting",
    "procedure",
    "visit",
    "finding",
    "person",
  ]),
  homeId: z.string(),
  id: z.string(),
});
/** Something that can be removed and brought back. */
export type Removable = z.output<typeof removableSchema>;

async function mark(tx: Tx, { kind, homeId, id }: Removable, at: string | null): Promise<void> {
  switch (kind) {
    case "home":
      return homeId === id ? markHomeDeleted(tx, id, at) : undefined;
    case "unit":
      return (await homeOfUnit(tx, id)) === homeId ? markUnitDeleted(tx, id, at) : undefined;
    case "slot":
      return (await homeOfPart(tx, id)) === homeId ? markPartDeleted(tx, id, at) : undefined;
    case "register":
      return (await homeOfRegister(tx, id)) === homeId
        ? markRegisterDeleted(tx, id, at)
        : undefined;
    case "room":
      return markRoomDeleted(tx, homeId, id, at);
    case "contact":
      return markContactDeleted(tx, homeId, id, at);
    case "driver":
      return markDriverDeleted(tx, homeId, id, at);
    case "photo":
      return markPhotoDeleted(tx, homeId, id, at);
    case "procedure":
      return markOwnProcedureDeleted(tx, homeId, id, at);
    case "visit":
      return markVisitDeleted(tx, homeId, id, at);
    case "finding":
      return markFindingDeleted(tx, homeId, id, at);
    case "person":
      return markPersonDeleted(tx, homeId, id, at);
    case "setting":
      return markSettingOff(tx, homeId, id, now(), at !== null);
    case "entry":
      return at === null ? writeAgain(tx, homeId, id, now()) : undefined;
  }
}

/** What comes of it where it is not there, or is of another kind. */
export const NOT_THERE = "That is not here any more, or is something else. Nothing was changed.";

/** How many rows of the database a write changed so far. */
async function changedSoFar(tx: Tx): Promise<number> {
  const row = await tx.get<{ n: number }>(sql`SELECT total_changes() AS n`);
  return row?.n ?? 0;
}

/** @returns what is wrong, in a sentence; null when it is done */
async function marked(target: unknown, at: string | null): Promise<string | null> {
  const known = removableSchema.safeParse(target);
  if (!known.success) return NOT_THERE;
  const { write } = await appStore();
  return write(async (tx) => {
    const before = await changedSoFar(tx);
    await mark(tx, known.data, at);
    return (await changedSoFar(tx)) > before ? null : NOT_THERE;
  });
}

/**
 * Takes something out of sight; everything recorded at it stays, and it can be brought back.
 *
 * @returns what is wrong, in a sentence; null when it is done
 */
export const remove = (target: unknown): Promise<string | null> =>
  marked(target, now().toISOString());

/** @returns what is wrong, in a sentence; null when it is back */
export const bringBack = (target: unknown): Promise<string | null> => marked(target, null);
