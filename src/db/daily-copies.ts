import { existsSync, readdirSync, rmSync } from "node:fs";
import path from "node:path";
import type { PlainDate } from "@/core/quantities/plain-date";
import { backUp, copyName } from "./backup";
import { COPY_FOLDERS } from "./copies-beside";

/** So many of the last days are kept each, and of older months their last copy. */
const DAYS_KEPT = 7;
const COPY = /^amber-lintel-(\d{4}-\d{2})-\d{2}\.db$/;

/**
 * Which copies are let go: all but those of the last days and the last one of each month before them. A file
 * of another name is none of ours.
 *
 * @param names of files in the folder of daily copies
 */
export function copiesLetGo(names: readonly string[]): string[] {
  const copies = names
    .filter((name) => COPY.test(name))
    .toSorted()
    .reverse();
  const older = copies.slice(DAYS_KEPT);
  const month = (name: string) => COPY.exec(name)![1]!;
  return older.filter((name, i) => i > 0 && month(older[i - 1]!) === month(name));
}

/**
 * Makes the copy of a day beside a database, where it has none yet, and lets go of old ones.
 *
 * @returns the path of a copy that was made; null where there was one
 */
export async function copyOfTheDay(file: string, today: PlainDate): Promise<string | null> {
  const folder = path.join(path.dirname(file), COPY_FOLDERS.daily);
  if (existsSync(path.join(folder, copyName(today)))) return null;
  const copy = await backUp(file, folder, today);
  for (const name of copiesLetGo(readdirSync(folder))) rmSync(path.join(folder, name));
  return copy;
}
