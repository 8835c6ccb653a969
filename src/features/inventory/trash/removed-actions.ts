"use server";

import { refresh } from "next/cache";
import * as trash from "@/server/commands/trash";
import { removableSchema, type Removable } from "@/server/commands/trash";

/** Takes something out of sight; everything recorded at it stays, and it can be brought back. */
export async function removeThing(target: Removable): Promise<void> {
  await trash.remove(removableSchema.parse(target));
  refresh();
}

export async function bringBack(target: Removable): Promise<void> {
  await trash.bringBack(removableSchema.parse(target));
  refresh();
}
