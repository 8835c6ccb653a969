"use server";

import { refresh } from "next/cache";
import { z } from "zod";
import { appStore } from "@/db/app-store";
import { markHomeDeleted } from "@/db/repositories/homes";
import { markContactDeleted } from "@/db/repositories/contacts";
import { markDriverDeleted } from "@/db/repositories/drivers";
import { writeAgain } from "@/db/repositories/history";
import { homeOfPart, markPartDeleted } from "@/db/repositories/parts";
import { markPhotoDeleted } from "@/db/repositories/photos";
import { homeOfRegister, markRegisterDeleted, markRoomDeleted } from "@/db/repositories/rooms";
import { homeOfUnit, markUnitDeleted } from "@/db/repositories/units";
import { now } from "@/lib/clock";

const thing = z.object({
  kind: z.enum(["home", "unit", "slot", "room", "register", "contact", "driver", "photo", "entry"]),
  homeId: z.string(),
  id: z.string(),
});
export type Thing = z.output<typeof thing>;

async function mark(raw: Thing, at: string | null): Promise<void> {
  const { kind, homeId, id } = thing.parse(raw);
  const store = await appStore();
  await store.write(async (tx) => {
    if (kind === "home") await markHomeDeleted(tx, id, at);
    else if (kind === "unit" && (await homeOfUnit(tx, id)) === homeId)
      await markUnitDeleted(tx, id, at);
    else if (kind === "slot" && (await homeOfPart(tx, id)) === homeId)
      await markPartDeleted(tx, id, at);
    else if (kind === "room") await markRoomDeleted(tx, homeId, id, at);
    else if (kind === "contact") await markContactDeleted(tx, homeId, id, at);
    else if (kind === "driver") await markDriverDeleted(tx, homeId, id, at);
    else if (kind === "entry" && at === null) await writeAgain(tx, homeId, id, now());
    else if (kind === "photo") await markPhotoDeleted(tx, homeId, id, at);
    else if (kind === "register" && (await homeOfRegister(tx, id)) === homeId)
      await markRegisterDeleted(tx, id, at);
  });
}

/** Takes something out of sight; everything recorded at it stays, and it can be brought back. */
export async function removeThing(raw: Thing): Promise<void> {
  await mark(raw, now().toISOString());
  refresh();
}

export async function bringBack(raw: Thing): Promise<void> {
  await mark(raw, null);
  refresh();
}
