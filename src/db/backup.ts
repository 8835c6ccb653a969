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
import { ASIDE, BROUGHT, COPY_FOLDERS } from "./copies-beside";
import { WAITS_MS } from "./file-check";
import { asTrouble } from "./trouble";

/** What stands beside a database while it is written; a log left by another file is fatal to it. */
const LOGS = ["-wal", "-shm"] as const;

/** A copy that cannot be made or put back, in words for whoever asked. */
export class CopyProblem extends Error {}

/** What a copy made on a day is called, in the folder and as a download. */
export const copyName = (today: PlainDate): string => `amber-lintel-${today}.db`;

/** What stood there until a copy was put back is called so, with the day. */
export const asideName = (today: PlainDate): string => `${ASIDE}${today}.db`;

/** The first of name.db, name-2.db, name-3.db that no file in the folder has yet. */
function freeName(folder: string, name: string): string {
  for (let nth = 1; ; nth++) {
    const file = path.join(folder, nth === 1 ? name : name.replace(/\.db$/, `-${nth}.db`));
    if (!existsSync(file)) return file;
  }
}

export async function inFile<T>(file: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = createClient({ url: pathToFileURL(file).href, timeout: WAITS_MS, concurrency: 1 });
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
export async function backUp(
  file: string,
  folder: string,
  today: PlainDate,
  name = copyName(today),
): Promise<string> {
  if (!existsSync(file)) throw new CopyProblem(`There is no database at ${file} yet.`);
  mkdirSync(folder, { recursive: true });
  const copy = freeName(folder, name);
  // What is cut short, by a kill or a full disk, never counts as a copy.
  const coming = `${copy}.coming`;
  rmSync(coming, { force: true });
  try {
    await copyAside(file, coming);
    toDisk(coming);
    renameSync(coming, copy);
  } catch (error) {
    rmSync(coming, { force: true });
    throw asTrouble(error);
  }
  return copy;
}

const COPIES = `
  const { workerData } = require("node:worker_threads");
  const Database = require("libsql");
  const db = new Database(workerData.file, { timeout: ${WAITS_MS} });
  try { db.prepare("VACUUM INTO ?").run(workerData.copy); } finally { db.close(); }
`;

/** Copies in a thread of its own: the driver is synchronous, and all pages would stand still meanwhile. */
const copyAside = (file: string, copy: string): Promise<void> =>
  new Promise((resolve, reject) => {
    // Asked for by name: the bundler would else look for a file to make of it.
    const { Worker } = process.getBuiltinModule("node:worker_threads");
    const worker = new Worker(COPIES, { eval: true, workerData: { file, copy } });
    worker.once("error", reject);
    worker.once("exit", () => resolve());
  });

/** What is wrong with a file as a copy of this application's database; undefined when it is whole. */
export async function problemOf(
  file: string,
  migrationsKnown: number,
): Promise<string | undefined> {
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

/**
 * Reads a file as the app would, where nobody else has it, and brings it to the present schema.
 *
 * @returns what is wrong with it, in words; null where every page of it would open
 */
export type ReadFirst = (file: string) => Promise<string | null>;

/** What a copy holds: the names of its homes, and how many entries. */
export type CopyContents = { homes: string[]; entries: number };

/** What a copy holds; null where it cannot be read. */
export async function contentsOf(file: string): Promise<CopyContents | null> {
  try {
    return await inFile(file, async (client) => {
      const homes = await client.execute(
        "SELECT name FROM homes WHERE deleted_at IS NULL ORDER BY created_at, id",
      );
      const entries = await client.execute("SELECT count(*) AS n FROM events");
      return {
        homes: homes.rows.map((row) => String(row["name"])),
        entries: Number(entries.rows[0]?.["n"]),
      };
    });
  } catch {
    return null;
  }
}

/** Folds the log into a database nobody else has open, and leaves it without one. */
async function fold(file: string): Promise<void> {
  try {
    await inFile(file, (client) => client.execute("PRAGMA journal_mode = DELETE"));
  } catch (error) {
    if (/locked|busy/i.test(String(error)))
      throw new CopyProblem(
        "Amber Lintel, or another program, has this database open: stop it first.",
      );
    // A damaged file cannot be folded; it is kept aside as it is, with its log.
  }
}

/** Waits until a file lies on the disk itself. */
function toDisk(file: string): void {
  const handle = openSync(file, "r+");
  fsyncSync(handle);
  closeSync(handle);
}

/**
 * Puts a copy in the place of a database, once it was read. The present one is kept beside it, with its log if it
 * cannot be folded in; its path is given back, or null when there was none. Nothing is touched
 * when the copy is not whole or the database is in use.
 */
export async function putBack(
  copy: string,
  file: string,
  today: PlainDate,
  readFirst: ReadFirst,
): Promise<string | null> {
  if (!existsSync(copy)) throw new CopyProblem(`There is no file ${copy}.`);
  if (path.resolve(copy) === path.resolve(file))
    throw new CopyProblem("That is the database itself, not a copy of it.");
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  // Checked where it will lie: what was looked at is what is put in place.
  const fresh = `${file}.coming`;
  for (const end of ["", ...LOGS]) rmSync(`${fresh}${end}`, { force: true });
  copyFileSync(copy, fresh);
  toDisk(fresh);
  try {
    const problem = await readFirst(fresh);
    if (problem) throw new CopyProblem(`${copy} is not put back: ${problem}.`);
    await fold(fresh);
    if (existsSync(file)) await fold(file);
  } catch (error) {
    for (const end of ["", ...LOGS]) rmSync(`${fresh}${end}`, { force: true });
    throw error;
  }
  const aside = existsSync(file) ? freeName(path.dirname(file), asideName(today)) : null;
  for (const end of ["", ...LOGS])
    if (existsSync(`${file}${end}`)) {
      if (aside) renameSync(`${file}${end}`, `${aside}${end}`);
      else rmSync(`${file}${end}`);
    }
  renameSync(fresh, file);
  return aside;
}

/** How a copy is called that somebody brought from elsewhere. */
const broughtName = (today: PlainDate): string => `${BROUGHT}${today}.db`;

/**
 * Lays a file that somebody chose among the copies, once it was looked at: nothing of it is put back yet.
 *
 * @param write fills the file at the path it is given
 * @returns its name among the copies that were asked for
 * @throws CopyProblem where it is no whole file of this app
 */
export async function bringCopy(
  database: string,
  today: PlainDate,
  write: (file: string) => Promise<void>,
  readFirst: ReadFirst,
): Promise<string> {
  const folder = path.join(path.dirname(database), COPY_FOLDERS.asked);
  mkdirSync(folder, { recursive: true });
  const file = freeName(folder, broughtName(today));
  const coming = `${file}.coming`;
  const read = `${file}.read`;
  try {
    await write(coming);
    // What is read is brought to the present schema; what was brought stays as it is.
    copyFileSync(coming, read);
    const problem = await readFirst(read);
    if (problem) throw new CopyProblem(`That file is not taken: ${problem}. Nothing was changed.`);
    for (const log of LOGS) rmSync(`${coming}${log}`, { force: true });
    toDisk(coming);
    renameSync(coming, file);
    return path.basename(file);
  } finally {
    for (const each of [coming, read])
      for (const rest of ["", ...LOGS]) rmSync(`${each}${rest}`, { force: true });
  }
}
