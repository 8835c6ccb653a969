import type { Client } from "@libsql/client";
import { readMigrationFiles } from "drizzle-orm/migrator";
import { MIGRATIONS } from "./client";

/** Two ways of writing the same statement are one. */
const plain = (sql: string): string =>
  sql
    .replace(/--> statement-breakpoint/g, "")
    .replace(/\s+/g, " ")
    .replace(/; ?$/, "")
    .trim();

/** Every trigger and table of words the migrations have ever made, as the file remembers it. */
const ownStatements = (): Set<string> =>
  new Set(
    readMigrationFiles({ migrationsFolder: MIGRATIONS })
      .flatMap(({ sql }) => sql.map(plain))
      .filter((sql) => /^CREATE (TRIGGER|VIRTUAL TABLE)/.test(sql)),
  );

/**
 * What a file holds that would run by itself and that no migration of ours has made: a view in the place of a
 * table may have no end, and a trigger writes what nobody entered.
 *
 * @returns what it is, in words; null where all of it is ours
 */
export async function foreignIn(client: Client): Promise<string | null> {
  const { rows } = await client.execute("SELECT type, name, sql FROM sqlite_schema");
  const own = ownStatements();
  for (const { type, name, sql } of rows) {
    if (type === "view") return `it holds a view (${String(name)}), which no copy of ours does`;
    const isRun = type === "trigger" || /^CREATE VIRTUAL/i.test(String(sql));
    if (isRun && !own.has(plain(String(sql))))
      return `it holds something that would run by itself (${String(name)}), which no copy of ours does`;
  }
  return null;
}
