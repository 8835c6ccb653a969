import {
  accessSync,
  constants,
  existsSync,
  openSync,
  readSync,
  closeSync,
  statSync,
} from "node:fs";
import path from "node:path";
import { createClient, type Client } from "@libsql/client";
import { copiesBeside } from "./copies-beside";
import { troubleOf } from "./trouble";

/** “AmLi”, written into the head of every file of this app; files from before it have none. */
export const APPLICATION_ID = 0x41_6d_4c_69;
const HEAD_BYTES = 100;
const APPLICATION_ID_AT = 68;
const MAGIC = "SQLite format 3\0";

export type FileProblem = "no-folder" | "read-only" | "foreign" | "damaged" | "newer" | "locked";
/** Why a file is not opened, in one sentence with what to do. */
export type FileRefused = { why: FileProblem; sentence: string };

/** How long another program may hold the file while the app starts, ms. */
export const WAITS_MS = 5000;

const canWrite = (name: string): boolean => {
  try {
    accessSync(name, constants.W_OK);
    return true;
  } catch {
    return false;
  }
};

/** The first bytes of a file, as many as there are. */
function headOf(file: string): Buffer {
  const head = Buffer.alloc(HEAD_BYTES);
  const opened = openSync(file, "r");
  try {
    return head.subarray(0, readSync(opened, head, 0, HEAD_BYTES, 0));
  } finally {
    closeSync(opened);
  }
}

const PAGE_SIZE_AT = 16;
const CHANGES_AT = 24;
const PAGES_AT = 28;
const VALID_FOR_AT = 92;
/** In the head a page of 65,536 bytes is written as 1. */
const LARGEST_PAGE = 65_536;

/**
 * Whether pages are missing at the end of a file, by the size its own head names. A file beside which a log waits
 * to be carried over may be shorter for the moment.
 */
function isCutShort(file: string, head: Buffer): boolean {
  const log = `${file}-wal`;
  if (existsSync(log) && statSync(log).size > 0) return false;
  const isTold = head.readUInt32BE(CHANGES_AT) === head.readUInt32BE(VALID_FOR_AT);
  const written = head.readUInt16BE(PAGE_SIZE_AT);
  const pageSize = written === 1 ? LARGEST_PAGE : written;
  return isTold && statSync(file).size < head.readUInt32BE(PAGES_AT) * pageSize;
}

/** The newest copy that lies where copies are made, by the day in its name. */
const latestCopy = (file: string): string | null =>
  copiesBeside(file).find(({ kind }) => kind !== "aside")?.file ?? null;

/**
 * Looks at a database before anything is done with it: whether it is there to be written, ours, whole, and
 * no newer than this app. Nothing is changed. Null where it may be opened, as may one that is not there yet.
 *
 * @param known how many migrations this app knows
 */
export async function refusedFile(file: string, known: number): Promise<FileRefused | null> {
  const folder = path.dirname(path.resolve(file));
  // The folder of the app’s own data is made on its first start.
  const isUsual = folder === path.resolve("data");
  const refuse = (why: FileProblem, sentence: string): FileRefused => ({ why, sentence });
  if (!existsSync(folder))
    return isUsual
      ? null
      : refuse(
          "no-folder",
          `The folder ${folder} is not there: make it, or set AMBER_DB to another file.`,
        );
  const isThere = existsSync(file);
  if (!canWrite(folder) || (isThere && !canWrite(file)))
    return refuse(
      "read-only",
      `${file} cannot be written: give this user the right to, or set AMBER_DB to another file.`,
    );
  if (!isThere || statSync(file).size === 0) return null;
  const foreign = refuse(
    "foreign",
    `${file} is no file of Amber Lintel and was left as it is: set AMBER_DB to another one.`,
  );
  const head = headOf(file);
  if (head.length < HEAD_BYTES || head.toString("latin1", 0, MAGIC.length) !== MAGIC)
    return foreign;
  const id = head.readUInt32BE(APPLICATION_ID_AT);
  if (id !== 0 && id !== APPLICATION_ID) return foreign;
  const copy = latestCopy(file);
  const damaged = refuse(
    "damaged",
    copy
      ? `${file} is damaged and was left as it is: put the latest copy back with: npm run restore -- ${copy}`
      : `${file} is damaged and was left as it is: put a copy of it in its place.`,
  );
  if (isCutShort(file, head)) return damaged;
  // One connection: what begins on it is rolled back on it.
  const client = createClient({ url: `file:${file}`, timeout: WAITS_MS, concurrency: 1 });
  try {
    const migrations = await migrationsIn(client);
    if (migrations === null) return foreign;
    if (migrations > known)
      return refuse(
        "newer",
        `${file} was written by a newer Amber Lintel and was left as it is: bring this one up to date, or set AMBER_DB to another file.`,
      );
    // All of it, tables against their indexes too: what follows writes, and on a damaged page it would lose more.
    const { rows } = await client.execute("PRAGMA integrity_check(1)");
    if (rows[0]?.["integrity_check"] !== "ok") return damaged;
    // Whether it may be written is seen by beginning to.
    await (await client.transaction("write")).rollback();
    return null;
  } catch (error) {
    return troubleOf(error) === "busy"
      ? refuse("locked", `${file} is held by another program: stop that, and start again.`)
      : damaged;
  } finally {
    client.close();
  }
}

/**
 * How many migrations a database has had; null where it has none of ours. One that was killed on its very first
 * start has no table yet, or only the one in which migrations are counted.
 */
async function migrationsIn(client: Client): Promise<number | null> {
  const { rows } = await client.execute("SELECT name FROM sqlite_schema WHERE type = 'table'");
  const tables = new Set(rows.map(({ name }) => String(name)));
  const isCounted = tables.delete("__drizzle_migrations");
  if (tables.size === 0) return 0;
  if (!isCounted || !tables.has("homes")) return null;
  const counted = await client.execute("SELECT count(*) AS n FROM __drizzle_migrations");
  return Number(counted.rows[0]?.["n"]);
}

/** Writes into the head of a file whose it is, where that does not stand there yet. */
export async function markOurs(client: Client): Promise<void> {
  const { rows } = await client.execute("PRAGMA application_id");
  if (Number(rows[0]?.["application_id"]) !== APPLICATION_ID)
    await client.execute(`PRAGMA application_id = ${APPLICATION_ID}`);
}

/**
 * Texts that are no UTF-8: whatever wrote them, reading one ends the process. What can be read of each takes
 * its place, and its bytes are kept in a table beside.
 *
 * @returns how many there were
 */
export async function mendTexts(client: Client, at: string): Promise<number> {
  const tables = await client.execute(
    "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'search_words%' AND sql NOT LIKE 'CREATE VIRTUAL%'",
  );
  let mended = 0;
  for (const { name: table } of tables.rows) {
    const columns = await client.execute(
      `SELECT name FROM pragma_table_info('${String(table)}') WHERE lower(type) = 'text'`,
    );
    for (const { name: column } of columns.rows) {
      // Only texts with letters beyond the plain ones can be wrong; their bytes are looked at here.
      const found = await client.execute(
        `SELECT rowid AS id, CAST("${String(column)}" AS BLOB) AS bytes FROM "${String(table)}" WHERE "${String(column)}" GLOB '*[^ -~]*'`,
      );
      for (const { id, bytes } of found.rows) {
        const held = Buffer.from(bytes as ArrayBuffer);
        const text = held.toString("utf8");
        if (Buffer.from(text, "utf8").equals(held)) continue;
        await client.batch(
          [
            "CREATE TABLE IF NOT EXISTS unreadable_texts (place text NOT NULL, bytes blob NOT NULL, found_at text NOT NULL)",
            {
              sql: "INSERT INTO unreadable_texts VALUES (?, ?, ?)",
              args: [`${String(table)}.${String(column)} ${String(id)}`, held, at],
            },
            {
              sql: `UPDATE "${String(table)}" SET "${String(column)}" = ? WHERE rowid = ?`,
              args: [text, id as number],
            },
          ],
          "write",
        );
        mended++;
      }
    }
  }
  return mended;
}
