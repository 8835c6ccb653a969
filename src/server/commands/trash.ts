import "server-only";
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

/** Takes something out of sight; everything recorded at it stays, and it can be brought back. */
export async function remove(target: Removable): Promise<void> {
  const { write } = await appStore();
  await write((tx) => mark(tx, target, now().toISOString()));
}

export async function bringBack(target: Removable): Promise<void> {
  const { write } = await appStore();
  await write((tx) => mark(tx, target, null));
}
