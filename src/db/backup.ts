import {
  existsSync,
  mkdirSync,
  renameSync,
  rmSync,
  copyFileSync,
  openSync,
  fsyncSync,
  closeSync,
} from "node:fs";
import path from "node:path";
import { pathToFileURL } from "node:url";
import { createClient, type Client } from "@libsql/client";
import type { PlainDate } from "@/core/quantities/plain-date";

/** What stands beside a database while it is written; a log left by another file is fatal to it. */
const LOGS = ["-wal", "-shm"] as const;

/** A copy that cannot be made or put back, in words for whoever asked. */
export class CopyProblem extends Error {}

/** What a copy made on a day is called, in the folder and as a download. */
export const copyName = (today: PlainDate): string => `amber-lintel-${today}.db`;

/** The first of name.db, name-2.db, name-3.db that no file in the folder has yet. */
function freeName(folder: string, name: string): string {
  for (let nth = 1; ; nth++) {
    const file = path.join(folder, nth === 1 ? name : name.replace(/\.db$/, `-${nth}.db`));
    if (!existsSync(file)) return file;
  }
}

async function inFile<T>(file: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = createClient({ url: pathToFileURL(file).href, timeout: 5000, concurrency: 1 });
  try {
    return await work(client);
  } finally {
    client.close();
  }
}

/**
 * Writes everything of a database, its pictures too, into one file of the folder, named by the
 * day, and gives its path. Consistent while others read and write.
 */
export async function backUp(file: string, folder: string, today: PlainDate): Promise<string> {
  if (!existsSync(file)) throw new CopyProblem(`There is no database at ${file} yet.`);
  mkdirSync(folder, { recursive: true });
  const copy = freeName(folder, copyName(today));
  await inFile(file, (client) => client.execute({ sql: "VACUUM INTO ?", args: [copy] }));
  return copy;
}

/** What is wrong with a file as a copy of this application's database; undefined when it is whole. */
async function problemOf(file: string, migrationsKnown: number): Promise<string | undefined> {
  try {
    return await inFile(file, async (client) => {
      const check = await client.execute("PRAGMA integrity_check");
      if (check.rows[0]?.["integrity_check"] !== "ok") return "it is damaged";
      const applied = await client.execute("SELECT count(*) AS n FROM __drizzle_migrations");
      await client.execute("SELECT id FROM homes LIMIT 1");
      return Number(applied.rows[0]?.["n"]) > migrationsKnown
        ? "a newer version of Amber Lintel wrote it: update this one first"
        : undefined;
    });
  } catch {
    return "it is no copy made by Amber Lintel, or it is damaged";
  }
}

/** Folds the log into a database nobody else has open, and leaves it without one. */
async function fold(file: string): Promise<void> {
  try {
    await inFile(file, (client) => client.execute("PRAGMA journal_mode = DELETE"));
  } catch (error) {
    if (/locked|busy/i.test(String(error)))
      throw new CopyProblem("Amber Lintel is running on this database: stop it first.");
    // A damaged file cannot be folded; it is kept aside as it is, with its log.
  }
}

function copyToDisk(from: string, to: string): void {
  copyFileSync(from, to);
  const handle = openSync(to, "r+");
  fsyncSync(handle);
  closeSync(handle);
}

/**
 * Puts a copy in the place of a database. The present one is kept beside it, with its log if it
 * cannot be folded in; its path is given back, or null when there was none. Nothing is touched
 * when the copy is not whole or the database is in use.
 */
export async function putBack(
  copy: string,
  file: string,
  today: PlainDate,
  migrationsKnown: number,
): Promise<string | null> {
  if (!existsSync(copy)) throw new CopyProblem(`There is no file ${copy}.`);
  if (path.resolve(copy) === path.resolve(file))
    throw new CopyProblem("That is the database itself, not a copy of it.");
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  // Checked where it will lie: what was looked at is what is put in place.
  const fresh = `${file}.coming`;
  for (const end of ["", ...LOGS]) rmSync(`${fresh}${end}`, { force: true });
  copyToDisk(copy, fresh);
  try {
    const problem = await problemOf(fresh, migrationsKnown);
    if (problem) throw new CopyProblem(`${copy} is not put back: ${problem}.`);
    await fold(fresh);
    if (existsSync(file)) await fold(file);
  } catch (error) {
    for (const end of ["", ...LOGS]) rmSync(`${fresh}${end}`, { force: true });
    throw error;
  }
  const aside = existsSync(file)
    ? freeName(path.dirname(file), `before-restore-${today}.db`)
    : null;
  for (const end of ["", ...LOGS])
    if (existsSync(`${file}${end}`)) {
      if (aside) renameSync(`${file}${end}`, `${aside}${end}`);
      else rmSync(`${file}${end}`);
    }
  renameSync(fresh, file);
  return aside;
}
