import { eq, lt } from "drizzle-orm";
import type { Reader, Tx } from "../client";
import { commands } from "../schema";

export type DoneCommand = { id: string; digest: string; answer: string; doneAt: string };

export async function findCommand(db: Reader, id: string): Promise<DoneCommand | null> {
  const [row] = await db.select().from(commands).where(eq(commands.id, id));
  return row ?? null;
}

/** Keeps what a command came to, and lets go of those done before a day. */
export async function keepCommand(tx: Tx, command: DoneCommand, before: string): Promise<void> {
  await tx.delete(commands).where(lt(commands.doneAt, before));
  await tx.insert(commands).values(command);
}
