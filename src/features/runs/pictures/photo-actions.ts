"use server";

import { bringBack, remove } from "@/server/commands/trash";

/** Takes a picture out of sight; it can be brought back for thirty days. */
export async function removePhoto(homeId: string, id: string): Promise<void> {
  await remove({ kind: "photo", homeId: String(homeId), id: String(id) });
}

export async function restorePhoto(homeId: string, id: string): Promise<void> {
  await bringBack({ kind: "photo", homeId: String(homeId), id: String(id) });
}
