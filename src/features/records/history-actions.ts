"use server";

import { refresh } from "next/cache";
import { inHome } from "@/server/commands/home-command";
import * as records from "@/server/commands/records";

/** Takes an entry out of what counts; the record keeps it, and the withdrawal. */
export async function withdrawEntry(homeId: string, eventId: string): Promise<string | null> {
  const id = await inHome(homeId, (home) => records.withdrawEntry(home, eventId));
  refresh();
  return id;
}

/** Undoes a withdrawal. */
export async function restoreEntry(homeId: string, withdrawalId: string): Promise<void> {
  await inHome(homeId, (home) => records.restoreEntry(home, withdrawalId));
  refresh();
}
