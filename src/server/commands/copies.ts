import "server-only";
import { procedureWords } from "@/content/procedures/library";
import { appStore } from "@/db/app-store";
import { bringCopy, CopyProblem } from "@/db/backup";
import { COPY_KINDS, copiesBeside, type CopyKind } from "@/db/copies-beside";
import { indexProcedures } from "@/db/repositories/find";
import { putBackRunning } from "@/db/restore";
import { todayHere } from "@/lib/clock";
import { readEnv } from "@/lib/env";
import { readFirst } from "../files/read-aside";

/**
 * Puts a copy that lies beside the database in the place of everything; what was there becomes such a copy
 * itself. Only one of the list can be named, never a path.
 *
 * @returns what is wrong, in a sentence; null when it stands in its place
 */
export async function putBackCopy(kind: CopyKind, name: string): Promise<string | null> {
  const { AMBER_DB } = readEnv(process.env);
  const copy = copiesBeside(AMBER_DB).find((each) => each.kind === kind && each.name === name);
  if (!copy) return "That copy is not there any more.";
  try {
    await putBackRunning(copy.file, AMBER_DB, todayHere(), readFirst);
  } catch (error) {
    if (error instanceof CopyProblem) return error.message;
    throw error;
  }
  // An older copy holds the library’s procedures as they were worded then.
  const store = await appStore();
  await store.write((tx) => indexProcedures(tx, procedureWords()));
  return null;
}

export { COPY_KINDS, CopyProblem };

/** Lays a file that somebody chose among the copies; it answers its name there. */
export const takeInCopy = (write: (file: string) => Promise<void>): Promise<string> =>
  bringCopy(readEnv(process.env).AMBER_DB, todayHere(), write, readFirst);
