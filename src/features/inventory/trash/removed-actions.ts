"use server";

import { refresh } from "next/cache";
import * as trash from "@/server/commands/trash";
import type { Removable } from "@/server/commands/trash";

/**
 * Takes something out of sight; everything recorded at it stays, and it can be brought back.
 *
 * @returns what is wrong, in a sentence; null when it is done
 */
export async function removeThing(target: Removable): Promise<string | null> {
  const problem = await trash.remove(target);
  refresh();
  return problem;
}

/** @returns what is wrong, in a sentence; null when it is back */
export async function bringBack(target: Removable): Promise<string | null> {
  const problem = await trash.bringBack(target);
  refresh();
  return problem;
}
