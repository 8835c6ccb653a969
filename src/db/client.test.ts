import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { sql } from "drizzle-orm";
import { migrateStore, openStore, type Store } from "./client";
import { listHomes } from "./repositories/homes";

let folder: string;
let store: Store;

beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), "amber-db-"));
  store = await openStore(path.join(folder, "deep", "test.db"));
  await migrateStore(store);
});
afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

const pragma = async (
  run: (statement: string) => Promise<{ rows: ArrayLike<Record<string, unknown>> }>,
  name: string,
) => Object.values((await run(`PRAGMA ${name}`)).rows[0]!)[0];

describe("every connection of the store", () => {
  it("keeps foreign keys, holds nobody up over a busy file, and logs ahead, however many are open", async () => {
    // Transactions that overlap each hold a connection of their own.
    const open = await Promise.all(
      Array.from({ length: 4 }, () => store.client.transaction("read")),
    );
    try {
      for (const connection of open) {
        const run = (statement: string) => connection.execute(statement);
        expect(await pragma(run, "foreign_keys")).toBe(1);
        // The driver would wait with the whole process: waiting is done outside of it.
        expect(await pragma(run, "busy_timeout")).toBe(0);
        expect(await pragma(run, "journal_mode")).toBe("wal");
        // 2 is FULL: what was acknowledged survives a power cut too.
        expect(await pragma(run, "synchronous")).toBe(2);
      }
    } finally {
      for (const connection of open) connection.close();
    }
  });

  it("refuses a row that points at nothing", async () => {
    const orphan = store.write((tx) =>
      tx.run(
        sql`insert into levels (id, home_id, name, storey, place) values ('l', 'nowhere', 'Loft', 3, 'inside')`,
      ),
    );
    await expect(orphan).rejects.toThrow();
  });

  it.each([
    [
      "a home without a name",
      "insert into homes (id, name, time_zone, unit_system, currency, monthly_mean_c, heating_design_c, cooling_design_mean_c, daily_range_k, spread_k, created_at, deleted_at, observed_version, local_rules) values ('h', ' ', 'Etc/UTC', 'metric', 'EUR', '[]', 0, 0, '10', 4.5, '2026-01-01T08:00:00.000Z', null, 0, null)",
    ],
    [
      "a withdrawal of nothing",
      "insert into events (id, ordinal, home_id, kind, happened_on, recorded_at) values ('e', 1, 'h', 'withdrawn', '2026-01-01', 'now')",
    ],
    ["a look at nothing", "insert into looks (event_id) values ('e')"],
  ])("refuses %s", async (_, statement) => {
    await store.write((tx) =>
      tx.run(
        sql.raw(
          "insert into homes (id, name, time_zone, unit_system, currency, monthly_mean_c, heating_design_c, cooling_design_mean_c, daily_range_k, spread_k, created_at, deleted_at, observed_version, local_rules) values ('h0', 'Home', 'Etc/UTC', 'metric', 'EUR', '[]', 0, 0, '10', 4.5, '2026-01-01T08:00:00.000Z', null, 0, null)",
        ),
      ),
    );
    await expect(
      store.write((tx) => tx.run(sql.raw(statement.replace("'h',", "'h0',")))),
    ).rejects.toThrow();
  });
});

describe("writing", () => {
  it("takes one transaction after another, and a failed one leaves nothing and stops none", async () => {
    const insert = (id: string) =>
      sql`insert into homes (id, name, time_zone, unit_system, currency, monthly_mean_c, heating_design_c, cooling_design_mean_c, daily_range_k, spread_k, created_at, deleted_at, observed_version, local_rules) values (${id}, 'Home', 'Etc/UTC', 'metric', 'EUR', '[1,1,1,1,1,1,1,1,1,1,1,1]', 0, 0, '10', 4.5, '2026-01-01T08:00:00.000Z', null, 0, null)`;
    const outcomes = await Promise.allSettled(
      Array.from({ length: 20 }, (_, i) =>
        store.write(async (tx) => {
          await tx.run(insert(`home-${String(i).padStart(2, "0")}`));
          if (i % 5 === 4) throw new Error("changed my mind");
        }),
      ),
    );
    expect(outcomes.filter((outcome) => outcome.status === "rejected")).toHaveLength(4);
    expect(await listHomes(store.db)).toHaveLength(16);
  });

  it("migrates a second time without touching what is there", async () => {
    await store.write((tx) =>
      tx.run(
        sql`insert into homes (id, name, time_zone, unit_system, currency, monthly_mean_c, heating_design_c, cooling_design_mean_c, daily_range_k, spread_k, created_at, deleted_at, observed_version, local_rules) values ('h', 'Kept', 'Etc/UTC', 'metric', 'EUR', '[1,1,1,1,1,1,1,1,1,1,1,1]', 0, 0, '10', 4.5, '2026-01-01T08:00:00.000Z', null, 0, null)`,
      ),
    );
    await migrateStore(store);
    expect((await listHomes(store.db)).map((home) => home.name)).toEqual(["Kept"]);
  });
});
