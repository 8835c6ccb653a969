import "server-only";
import { backUp, copyName, type CopyContents } from "@/db/backup";
import { copiesBeside, type CopyBeside } from "@/db/copies-beside";
import type { PlainDate } from "@/core/quantities/plain-date";
import { readEnv } from "@/lib/env";
import { contentsAside } from "../files/read-aside";

/** Copies the running database into a folder; answers the file and what it is called. */
export async function copyDatabase(
  folder: string,
  today: PlainDate,
): Promise<{ file: string; name: string }> {
  const file = await backUp(readEnv(process.env).AMBER_DB, folder, today);
  return { file, name: copyName(today) };
}

/** What a copy is called, and what it holds; null where it cannot be read. */
export type CopyHere = Omit<CopyBeside, "file"> & { name: string; holds: CopyContents | null };

/** More than so many are never shown: seven days, a year of months, and those asked for. */
const MOST_SHOWN = 24;

/** The copies that lie beside the database, the newest first, with what each holds. */
export async function copiesHere(): Promise<CopyHere[]> {
  const found = copiesBeside(readEnv(process.env).AMBER_DB).slice(0, MOST_SHOWN);
  const holds = await contentsAside(found.map(({ file }) => file));
  return found.map(({ file: _, ...copy }, i) => ({ ...copy, holds: holds[i] ?? null }));
}
