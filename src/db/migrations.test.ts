import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { HistoryRecord } from "@/core/history/history-record";
import { replayRun } from "@/core/runs/run";
import { plainDate } from "@/core/quantities/plain-date";
import { readHome } from "@/server/snapshots/read-home";
import { sluiceHouse } from "../../demo/demo-homes";
import { enterHome } from "../../scripts/demo-data";
import { NOW } from "../../tests/demo-template";
import { migrateStore, openStore, type Db, type Store } from "./client";
import { foreignIn } from "./own-schema";
import { listEventsAfter } from "./repositories/history";
import { listNotices, markNoticeRead } from "./repositories/homes";
import { listParts, listSlots } from "./repositories/parts";
import { findRun, jobOfRun, listEndEntries, listRunEvents } from "./repositories/runs";
import { listTasks } from "./repositories/tasks";

const FOLDER = "src/db/migrations";
/** The last migration before runs kept their procedure, and before homes were told anything. */
const BEFORE = 5;
const BEFORE_NOTICES = 10;
const today = plainDate(NOW.slice(0, 10));

/** The migrations as they were up to one of them. */
function migrationsUpTo(last: number, folder: string): string {
  const copy = path.join(folder, "migrations");
  cpSync(FOLDER, copy, { recursive: true });
  const journal = path.join(copy, "meta/_journal.json");
  const { entries, ...rest } = JSON.parse(readFileSync(journal, "utf8")) as {
    entries: { idx: number }[];
  };
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, last + 1) }));
  return copy;
}

describe("a database of before runs kept their procedure", () => {
  it("keeps its runs, their events and what they left open, and goes on with them", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-old-"));
    const store = await openStore(path.join(folder, "old.db"));
    await migrateStore(store, migrationsUpTo(BEFORE, folder));
    const at = "2026-01-02T09:00:00.000Z";
    const step = (id: string, name: string, extra: object = {}) =>
      JSON.stringify({ id: `event-${id}`, at, kind: "done", step: name, ...extra });
    const rows = [
      `INSERT INTO homes (id, name, time_zone, unit_system, currency, monthly_mean_c, heating_design_c, cooling_design_mean_c, daily_range_k, spread_k, created_at) VALUES ('h', 'Old', 'Etc/UTC', 'metric', 'EUR', '[1,1,1,1,1,1,1,1,1,1,1,1]', -20, 20, '10', 4.5, '${at}')`,
      `INSERT INTO levels (id, home_id, name, storey, place) VALUES ('l', 'h', 'Cellar', -1, 'inside')`,
      `INSERT INTO air_systems (id, home_id, name, ducted, equipment) VALUES ('s', 'h', 'Air', 1, '{}')`,
      `INSERT INTO units (id, home_id, level_id, system_id, kind, name, created_at) VALUES ('u', 'h', 'l', 's', 'condensing-furnace', 'Furnace', '${at}')`,
      `INSERT INTO parts (id, unit_id, kind, name, created_at) VALUES ('p', 'u', 'filter', 'Filter', '${at}')`,
      `INSERT INTO tasks (id, home_id, unit_id, part_id, created_at) VALUES ('t', 'h', 'u', 'p', '${at}')`,
      `INSERT INTO runs (id, home_id, unit_id, part_id, task_id, procedure_id, facts, isolator, started_at) VALUES ('r', 'h', 'u', 'p', 't', 'change-panel-filter', '{"directionKnown":true,"indicator":true}', 'switch-off', '${at}')`,
      ...["new-one-at-hand", "power-off", "open-slot", "old-one-out"].map(
        (name, i) =>
          `INSERT INTO run_events (id, run_id, ordinal, at, event) VALUES ('event-000${i}', 'r', ${i + 1}, '${at}', '${step(`000${i}`, name)}')`,
      ),
      `INSERT INTO run_events (id, run_id, ordinal, at, event) VALUES ('event-0009', 'r', 9, '${at}', '${step("0009", "look", { grade: "grey" })}')`,
      `INSERT INTO loose_end_entries (end_id, home_id, unit_id, end, at, action, run_id, words) VALUES ('r:old', 'h', 'u', 'panel-off', '${at}', 'open', 'r', 'no screw')`,
    ];
    for (const row of rows) await store.client.execute(row);

    await migrateStore(store);
    const run = (await findRun(store.db, "r"))!;
    expect(run).toMatchObject({
      unitId: "u",
      partId: "p",
      taskKey: "renew",
      variant: null,
      qualification: "owner",
      facts: ["has-indicator"],
    });
    const state = replayRun(jobOfRun(run), await listRunEvents(store.db, "r"));
    // Its own steps of then: no attribute that came later.
    expect([state.refused, state.current?.id]).toEqual([[], "dust-slot"]);
    expect(state.ends.open.map(({ end }) => end)).toEqual(["switch-off", "panel-off", "part-out"]);
    expect(await listEndEntries(store.db, "h")).toMatchObject([{ id: "r:old", words: "no screw" }]);
    const broken = await store.client.execute("PRAGMA foreign_key_check");
    expect(broken.rows).toEqual([]);
    store.close();
    rmSync(folder, { recursive: true });
  });
});

/** What dates follow from and no migration may lose. */
const keptOf = async (db: Db, homeId: string) => ({
  events: await listEventsAfter(db, homeId, 0),
  slots: await listSlots(db, homeId),
  parts: await listParts(db, homeId),
  tasks: await listTasks(db, homeId),
});

/** Copies what a database holds into the tables and columns that an older one has. */
async function copyInto(old: Store, full: string): Promise<void> {
  const names = async (sql: string) =>
    (await old.client.execute(sql)).rows.map(({ name }) => String(name));
  const tables = (await names("SELECT name FROM sqlite_master WHERE type = 'table'")).filter(
    (name) => !/^(sqlite_|__|search_)/.test(name),
  );
  await old.client.execute("PRAGMA foreign_keys = OFF");
  await old.client.execute(`ATTACH '${full}' AS kept`);
  for (const table of tables) {
    const columns = (await names(`SELECT name FROM pragma_table_info('${table}')`)).join(", ");
    await old.client.execute(
      `INSERT INTO ${table} (${columns}) SELECT ${columns} FROM kept.${table}`,
    );
  }
}

describe("a home of before its dates were worked out anew", () => {
  it("keeps every look, override and date, and is told once", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-dates-"));
    // Entered as it is entered today, then put into the tables of then, as far as they had columns.
    const full = await openStore(path.join(folder, "full.db"));
    await migrateStore(full);
    const made = sluiceHouse(today, new Date(`${today}T08:30:00Z`)).snapshot;
    // Nobody wrote then with what a thing was measured, on which visit, and what else a breakdown was.
    const entries = made.history.entries.map((entry) => {
      const { visitId: _, sign: ___, breakdown: ____, reading, ...event } = entry;
      const { conditions: __, ...taken } = reading ?? ({} as NonNullable<typeof reading>);
      return { ...event, ...(reading ? { reading: taken } : {}) };
    });
    const snapshot = { ...made, history: new HistoryRecord(entries) };
    await full.write((tx) => enterHome(tx, { snapshot, runs: [], photos: [] }, new Date(NOW)));
    const before = await keptOf(full.db, snapshot.home.id);
    await full.client.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    full.close();
    const file = path.join(folder, "old.db");
    const old = await openStore(file);
    await migrateStore(old, migrationsUpTo(BEFORE_NOTICES, folder));
    await copyInto(old, path.join(folder, "full.db"));
    old.close();

    const store = await openStore(file);
    await migrateStore(store);
    expect(await keptOf(store.db, snapshot.home.id)).toEqual(before);
    const after = await readHome(store.db, snapshot.home.id);
    expect(after!.snapshot.history.ofKind("look").length).toBeGreaterThan(100);
    expect(await listNotices(store.db, snapshot.home.id)).toEqual(["dates-anew"]);
    await store.write((tx) => markNoticeRead(tx, snapshot.home.id, "dates-anew", NOW));
    expect(await listNotices(store.db, snapshot.home.id)).toEqual([]);
    store.close();
    rmSync(folder, { recursive: true });
  });

  it("leaves a new home alone", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-new-"));
    const store = await openStore(path.join(folder, "new.db"));
    await migrateStore(store);
    const { snapshot } = sluiceHouse(today, new Date(`${today}T08:30:00Z`));
    await store.write((tx) => enterHome(tx, { snapshot, runs: [], photos: [] }, new Date(NOW)));
    expect(await listNotices(store.db, snapshot.home.id)).toEqual([]);
    store.close();
    rmSync(folder, { recursive: true });
  });
});

describe("every schema there ever was", () => {
  it("holds nothing that runs by itself but what is ours", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-own-"));
    const store = await openStore(path.join(folder, "own.db"));
    const { entries } = JSON.parse(
      readFileSync(path.join(FOLDER, "meta/_journal.json"), "utf8"),
    ) as { entries: unknown[] };
    for (let last = 0; last < entries.length; last++) {
      await migrateStore(store, migrationsUpTo(last, folder));
      expect([last, await foreignIn(store.client)]).toEqual([last, null]);
    }
    const { rows } = await store.client.execute(
      "SELECT count(*) AS n FROM sqlite_schema WHERE type = 'trigger'",
    );
    expect(Number(rows[0]!["n"])).toBeGreaterThan(10);
    store.close();
    rmSync(folder, { recursive: true });
  });
});
