import { copyFileSync, existsSync, rmSync } from "node:fs";
import path from "node:path";
import { createClient } from "@libsql/client";
import type { PlainDate } from "@/core/quantities/plain-date";
import { asideName, backUp, CopyProblem, type ReadFirst } from "./backup";
import { whenFree } from "./client";

const quoted = (name: unknown) => `"${String(name)}"`;

/**
 * Puts what a copy holds in the place of everything, while the app runs: in one write, so that whoever reads
 * sees all of the one or all of the other, and a kill in the middle changes nothing. What was there until then
 * lies in a file beside, as it was.
 *
 * @throws CopyProblem with a sentence where the copy is none; then nothing was touched
 * @returns the path of what was there before
 */
export async function putBackRunning(
  copy: string,
  file: string,
  today: PlainDate,
  readFirst: ReadFirst,
): Promise<string> {
  if (!existsSync(copy)) throw new CopyProblem("That copy is not there any more.");
  const coming = `${file}.coming`;
  const discard = () => {
    for (const end of ["", "-wal", "-shm"]) rmSync(`${coming}${end}`, { force: true });
  };
  discard();
  try {
    // Looked at and brought to the present schema where nobody else has it: the copy itself stays as it is.
    copyFileSync(copy, coming);
    const problem = await readFirst(coming);
    if (problem) throw new CopyProblem(`That copy is not put back: ${problem}.`);
    const aside = await backUp(file, path.dirname(file), today, asideName(today));
    await takeOver(file, coming);
    return aside;
  } finally {
    discard();
  }
}

/** Replaces the rows of every table by those of another file of the same schema, in one write. */
async function takeOver(file: string, coming: string): Promise<void> {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  try {
    await client.execute({ sql: "ATTACH ? AS coming", args: [coming] });
    const write = await whenFree(() => client.transaction("write"));
    const names = async (query: string) =>
      (await write.execute(query)).rows.map((row) => String(row[0]));
    await write.execute("PRAGMA defer_foreign_keys = ON");
    // What triggers would work out stands in the copy already.
    const triggers = (
      await write.execute("SELECT name, sql FROM main.sqlite_schema WHERE type = 'trigger'")
    ).rows.map(({ name, sql }) => ({ name, sql: String(sql) }));
    for (const { name } of triggers) await write.execute(`DROP TRIGGER main.${quoted(name)}`);
    const tables = await names(
      "SELECT name FROM main.sqlite_schema WHERE type = 'table' AND sql NOT LIKE 'CREATE VIRTUAL%' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'search_words%' AND name NOT IN ('__drizzle_migrations', 'unreadable_texts')",
    );
    for (const table of tables) await write.execute(`DELETE FROM main.${quoted(table)}`);
    for (const table of tables) {
      const columns = (await names(`SELECT name FROM pragma_table_info('${table}')`)).map(quoted);
      await write.execute(
        `INSERT INTO main.${quoted(table)} (${columns.join()}) SELECT ${columns.join()} FROM coming.${quoted(table)}`,
      );
    }
    await write.execute("INSERT INTO search_words (search_words) VALUES ('rebuild')");
    for (const { sql } of triggers) await write.execute(sql);
    // Who remembers what was read before sees by this number that it is of no use any more.
    const { rows } = await write.execute("PRAGMA main.user_version");
    await write.execute(`PRAGMA main.user_version = ${Number(rows[0]![0]) + 1}`);
    await write.commit();
  } finally {
    client.close();
  }
}
