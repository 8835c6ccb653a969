import type { Client } from "@libsql/client";

/** Columns whose name ends so hold a day, but for the one that names a procedure. */
const A_DAY = /(_on|horizon_end)$/;
const NO_DAY = new Set(["based_on"]);
const AN_INSTANT = /(^|_)at$/;

/**
 * The first day or instant in a file that is none: “2026-02-31”, or a word. SQLite writes a real day back as it
 * stands, and any other differently.
 *
 * @returns where it stands and what it says, in words; null where each is one
 */
export async function oddDayIn(client: Client): Promise<string | null> {
  const tables = await client.execute(
    "SELECT name FROM sqlite_schema WHERE type = 'table' AND sql NOT LIKE 'CREATE VIRTUAL%' AND name NOT LIKE '\\_\\_%' ESCAPE '\\'",
  );
  for (const { name } of tables.rows) {
    const table = String(name);
    const columns = await client.execute(`SELECT name FROM pragma_table_info('${table}')`);
    for (const row of columns.rows) {
      const column = String(row["name"]);
      const isDay = A_DAY.test(column) && !NO_DAY.has(column);
      if (!isDay && !AN_INSTANT.test(column)) continue;
      const isOdd = isDay
        ? `date("${column}") IS NOT "${column}"`
        : `julianday("${column}") IS NULL`;
      const odd = await client.execute(
        `SELECT "${column}" AS said FROM "${table}" WHERE "${column}" IS NOT NULL AND ${isOdd} LIMIT 1`,
      );
      const [first] = odd.rows;
      if (first) return `“${String(first["said"])}” in ${table} is no day`;
    }
  }
  return null;
}
