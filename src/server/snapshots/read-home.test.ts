import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { plainDate } from "@/core/quantities/plain-date";
import type { HistoryEvent } from "@/core/history/history-event";
import { copyDemo } from "../../../tests/demo-store";
import { migrateStore, openStore, type Store } from "@/db/client";
import { findBySize, findByWords, indexProcedures } from "@/db/repositories/find";
import { appendEvent } from "@/db/repositories/history";
import { readHome } from "./read-home";
import { findRun } from "@/db/repositories/runs";
import { markPartDeleted, movePartsToUnit, updatePart } from "@/db/repositories/parts";
import { dropDraft, findDraft, saveDraft, updateUnit } from "@/db/repositories/units";

const HOME = "sluice-house";
const today = plainDate("2026-03-14");

let folder: string;
let store: Store;
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), "amber-register-"));
  store = await openStore(copyDemo(folder));
});
afterAll(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

const snapshot = async () => (await readHome(store.db, HOME))!.snapshot;
const note = (id: string, words: string, extra: Partial<HistoryEvent> = {}): HistoryEvent => ({
  id,
  kind: "note",
  unitId: "gallery",
  date: today,
  recordedAt: "2026-03-14T08:30:00Z",
  words,
  ...extra,
});
const titles = async (...words: string[]) =>
  (await findByWords(store.db, HOME, words, 20)).map((row) => row.title);

describe("finding", () => {
  it("knows units by make, model, serial and note, and parts by what they answer", async () => {
    expect(await titles("northg", "y-36")).toEqual(["Yard condenser"]);
    expect(await titles("ng-8041-0277")).toEqual(["Cellar furnace"]);
    expect(await titles("a", "38")).toContain("Drive belt");
    expect(await titles("amber", "tag")).toEqual([
      "Cold house in the morning: somebody had left the switch with the amber tag off.",
    ]);
    expect(await titles("nothing", "such")).toEqual([]);
  });

  it("finds a part by the number its seal kit is bought by, and by its own tool", async () => {
    const part = (await snapshot()).parts.find(({ id }) => id === "cellar-furnace-blower")!;
    const identity = { sealNumber: "QX-1277", tool: "long hex key" };
    await store.write((tx) => updatePart(tx, { ...part, identity }));
    expect(await titles("qx-1277")).toEqual([part.name]);
    expect(await titles("hex", "key")).toEqual([part.name]);
    await store.write((tx) => updatePart(tx, part));
    expect(await titles("qx-1277")).toEqual([]);
  });

  it("takes quotes, stars and brackets for what they are: no words", async () => {
    for (const odd of ['"', "*", "(", "a OR b", 'x" NEAR "y'])
      await expect(titles(odd)).resolves.toBeInstanceOf(Array);
  });

  it("hears of a new name at once, and of the parts under it", async () => {
    const unit = (await snapshot()).units.find(({ id }) => id === "gallery")!;
    await store.write((tx) => updateUnit(tx, { ...unit, name: "Skylight unit" }));
    expect(await titles("skylight")).toContain("Skylight unit");
    expect(await titles("skylight", "bank")).toEqual(["Filter bank"]);
    await store.write((tx) => updateUnit(tx, unit));
    expect(await titles("skylight")).toEqual([]);
  });

  it("forgets a corrected note, keeps the correction, and drops what was withdrawn", async () => {
    await store.write((tx) => appendEvent(tx, HOME, note("n1", "squeaks at dawn")));
    expect(await titles("squeaks")).toEqual(["squeaks at dawn"]);
    await store.write((tx) =>
      appendEvent(tx, HOME, note("n2", "squeaks at dusk", { corrects: "n1" })),
    );
    expect(await titles("squeaks")).toEqual(["squeaks at dusk"]);
    const { words: _, ...withdrawn } = note("n3", "", { kind: "withdrawn", corrects: "n2" });
    await store.write((tx) => appendEvent(tx, HOME, withdrawn));
    expect(await titles("squeaks")).toEqual([]);
  });

  it("does not show what was removed, and shows it again when it is back", async () => {
    await store.write((tx) => markPartDeleted(tx, "kiln-filter", "2026-03-14"));
    expect(await findBySize(store.db, HOME, { w: 406.4, h: 635 }, 7)).toEqual([]);
    expect(await titles("kiln", "filter")).not.toContain("Filter");
    await store.write((tx) => markPartDeleted(tx, "kiln-filter", null));
    expect((await findBySize(store.db, HOME, { w: 635, h: 406.4 }, 7))[0]!.partId).toBe(
      "kiln-filter",
    );
  });

  it("goes by depth where one is given, and by the measured size as well", async () => {
    const slots = async (size: { w: number; h: number; d?: number }) =>
      (await findBySize(store.db, HOME, size, 7)).map((slot) => slot.partId);
    expect(await slots({ w: 508, h: 508, d: 25.4 })).toEqual(["cellar-filter"]);
    expect(await slots({ w: 508, h: 508, d: 100 })).toEqual([]);
    expect(await slots({ w: 495, h: 495 })).toEqual(["cellar-filter"]);
    expect(await slots({ w: 180, h: 420 })).toEqual(["vent-extract", "vent-supply"]);
  });

  it("keeps the library's procedures in step", async () => {
    const change = { id: "change", title: "Change the filter", words: "slide it out" };
    await store.write((tx) =>
      indexProcedures(tx, [change, { ...change, id: "old", title: "Old job" }]),
    );
    expect(await titles("slide")).toContain("Old job");
    await store.write((tx) => indexProcedures(tx, [{ ...change, title: "Change a panel" }]));
    expect(await titles("slide")).toEqual(["Change a panel"]);
  });
});

describe("reading a home again", () => {
  it("keeps what did not change as the same objects, and adds what was recorded", async () => {
    const before = (await readHome(store.db, HOME))!;
    await store.write((tx) => appendEvent(tx, HOME, note("again", "seen again")));
    const after = (await readHome(store.db, HOME, before))!;
    expect(after.snapshot.units).toBe(before.snapshot.units);
    expect(after.snapshot.slots).toBe(before.snapshot.slots);
    expect(after.snapshot.actuals).toBe(before.snapshot.actuals);
    expect(after.snapshot.history.entries.slice(0, -1)).toEqual(before.snapshot.history.entries);
    expect(after.snapshot.history.entries.at(-1)!.id).toBe("again");
    expect((await readHome(store.db, HOME))!.snapshot).toEqual(after.snapshot);
    const idle = (await readHome(store.db, HOME, after))!;
    expect(idle.snapshot.history.entries).toBe(after.snapshot.history.entries);
  });

  it("changes its version with every write of any process, and with none of its own readings", async () => {
    const first = await store.version();
    await snapshot();
    expect(await store.version()).toBe(first);
    await store.write((tx) => appendEvent(tx, HOME, note("v1", "one")));
    const second = await store.version();
    expect(second).not.toBe(first);
    const other = await openStore(path.join(folder, "demo.db"));
    await other.write((tx) => appendEvent(tx, HOME, note("v2", "two")));
    other.close();
    expect(await store.version()).not.toBe(second);
  });
});

describe("a unit half entered", () => {
  it("keeps what was typed, right or wrong, until its step is saved", async () => {
    const typed = { "nominal-0": ["20x"], has: ["0", "1"] };
    await store.write((tx) => saveDraft(tx, "gallery", "filters", typed, "now"));
    await store.write((tx) => saveDraft(tx, "gallery", "filters", { ...typed, has: [] }, "later"));
    expect(await findDraft(store.db, "gallery", "filters")).toEqual({ ...typed, has: [] });
    expect(await findDraft(store.db, "gallery", "plate")).toBeNull();
    await store.write((tx) => dropDraft(tx, "gallery", "filters"));
    expect(await findDraft(store.db, "gallery", "filters")).toBeNull();
  });
});

describe("a unit out of service", () => {
  it("goes with its slots, but for those handed over with their record", async () => {
    const before = await snapshot();
    const unit = before.units.find(({ id }) => id === "loft-ventilator")!;
    await store.write(async (tx) => {
      await movePartsToUnit(tx, ["vent-supply"], "gallery");
      await updateUnit(tx, { ...unit, retiredOn: today, successorId: "gallery" });
    });
    const after = await snapshot();
    expect(after.units.map(({ id }) => id)).not.toContain("loft-ventilator");
    expect(after.retired).toEqual([{ ...unit, retiredOn: today, successorId: "gallery" }]);
    expect(after.retiredSlots.map(({ id }) => id)).toEqual(["vent-extract"]);
    expect(after.slots.find(({ id }) => id === "vent-supply")!.unitId).toBe("gallery");
    expect(after.history.entries.filter(({ partId }) => partId === "vent-supply")).toEqual(
      before.history.entries.filter(({ partId }) => partId === "vent-supply"),
    );
    expect(after.parts).toEqual(before.parts);
  });
});

describe("a database of the first days", () => {
  it("comes to the present schema with everything in it, and can be searched", async () => {
    const file = path.join(folder, "first.db");
    const client = createClient({ url: `file:${file}` });
    const journal = JSON.parse(readFileSync("src/db/migrations/meta/_journal.json", "utf8")) as {
      entries: { tag: string; when: number }[];
    };
    const first = journal.entries[0]!;
    const statements = readFileSync(`src/db/migrations/${first.tag}.sql`, "utf8");
    for (const statement of statements.split("--> statement-breakpoint"))
      await client.execute(statement);
    await client.executeMultiple(`
      create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric);
      insert into __drizzle_migrations (hash, created_at) values ('first', ${first.when});
      insert into homes values ('h', 'Home', 'Etc/UTC', 'metric', 'EUR',
        '[1,1,1,1,1,1,1,1,1,1,1,1]', -5, 20, '10', 4.5, '2026-01-01T08:00:00.000Z', null);
      insert into levels values ('l', 'h', 'Cellar', -1, 'inside');
      insert into air_systems values ('s', 'h', 'Air', 1,
        '{"heats":true,"cools":false,"fan":{"mode":"auto"}}');
      insert into units values ('u', 'h', 'l', 's', 'condensing-furnace', 'Old furnace',
        'Northgate CF-70', 'mind the step', '2026-01-01T08:00:00.000Z', null);
      insert into parts values ('p', 'u', 'filter-slot', 'Filter', 'left', '2026-01-01T08:00:00.000Z', null);
      insert into filter_slots (part_id, media, air_side, filter_count, nominal_text, nominal_unit,
        nominal_width_mm, nominal_height_mm, direction, indicator)
        values ('p', 'pleated-25', 'recirculated', 1, '20x20', 'in', 508, 508, 'right', 0);
      insert into drivers values ('d', 'h', 'part', null, 'p', 'bypass', null, 0.02, null, null,
        'rail', '2026-01-01T08:00:00.000Z', null);
      insert into events (id, ordinal, home_id, unit_id, part_id, kind, happened_on, recorded_at, words)
        values ('e', 1, 'h', 'u', 'p', 'note', '2026-01-01', '2026-01-01T08:00:00.000Z', 'sings in the morning');
      insert into tasks (id, home_id, unit_id, part_id, procedure_id, cadence, also_satisfies, created_at)
        values ('t', 'h', 'u', 'p', 'change-panel-filter', '{"kind":"wear"}', '[]', '2026-01-01T08:00:00.000Z');
      insert into runs (id, home_id, unit_id, part_id, task_id, procedure_id, facts, isolator, started_at)
        values ('r', 'h', 'u', 'p', 't', 'change-panel-filter', '{"directionKnown":true,"indicator":false}', 'switch-off', '2026-01-01T08:00:00.000Z');`);
    client.close();
    const old = await openStore(file);
    await migrateStore(old);
    const { snapshot: kept } = (await readHome(old.db, "h"))!;
    expect(kept.units[0]).toMatchObject({
      name: "Old furnace",
      model: "Northgate CF-70",
      access: "mind the step",
      attributes: {},
    });
    expect(kept.slots[0]).toMatchObject({ id: "p", seat: "rail", slotPlace: "elsewhere" });
    expect(kept.drivers[0]).toMatchObject({ scope: "part", partId: "p", fraction: 0.02 });
    expect(kept.history.entries).toHaveLength(1);
    expect(kept.home.enteredOn).toBe("2026-01-01");
    // The job a run was of is the renewal of its filter, with nothing changed.
    expect(kept.tasks).toEqual([
      { id: "t", unitId: "u", partId: "p", key: "renew", changes: {}, enteredOn: "2026-01-01" },
    ]);
    expect((await findRun(old.db, "r"))!.taskId).toBe("t");
    expect((await findByWords(old.db, "h", ["sings"], 5))[0]!.title).toBe("sings in the morning");
    expect((await findByWords(old.db, "h", ["northgate"], 5))[0]!.title).toBe("Old furnace");
    old.close();
  });
});

describe("the number of the register", () => {
  /** What a reading goes on from by other means, or does not hold. */
  const NOT_COUNTED =
    /^(__|sqlite_|search_|events$|looks$|readings$|breakdowns$|items$|weather_days$|measured_hours$|runs$|run_events$|loose_end_entries$|photos$|photo_files$|commands$|household_answers$|home_notices$|walk_stops$|register_number$)/;
  const names = async (sql: string) =>
    (await store.client.execute(sql)).rows.map(({ name }) => String(name));
  const number = async () => (await readHome(store.db, HOME))!.registerNumber;

  it("goes up with every change to each table that a home is read from", async () => {
    const tables = (await names("SELECT name FROM sqlite_master WHERE type = 'table'")).filter(
      (name) => !NOT_COUNTED.test(name),
    );
    expect(tables).toContain("parts");
    const triggers = await names("SELECT name FROM sqlite_master WHERE type = 'trigger'");
    for (const table of tables) {
      for (const action of ["insert", "update", "delete"])
        expect(triggers).toContain(`${table}_${action}_counted`);
      const column = (await names(`SELECT name FROM pragma_table_info('${table}')`))[0]!;
      const before = await number();
      const { rowsAffected } = await store.client.execute(
        `UPDATE ${table} SET ${column} = ${column}`,
      );
      expect(await number()).toBeGreaterThanOrEqual(before + rowsAffected);
    }
  });

  it("stays where only the record grows, and the register with it", async () => {
    const before = (await readHome(store.db, HOME))!;
    await store.write((tx) => appendEvent(tx, HOME, note("only-a-note", "Quiet.")));
    const after = (await readHome(store.db, HOME, before))!;
    expect(after.registerNumber).toBe(before.registerNumber);
    expect(after.snapshot.parts).toBe(before.snapshot.parts);
    expect(after.snapshot.history.entries.at(-1)!.id).toBe("only-a-note");
  });
});
