import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { plainDate } from "@/core/quantities/plain-date";
import { prepareCopy } from "@/server/files/prepare-copy";
import { readHome } from "@/server/snapshots/read-home";
import { openDemoStore, type DemoStore } from "../../tests/demo-store";
import { backUp } from "./backup";
import { openStore } from "./client";
import { appendEvent } from "./repositories/history";
import { findByWords } from "./repositories/find";
import { markHomeDeleted } from "./repositories/homes";
import { putBackRunning } from "./restore";

jest.setTimeout(60_000);
const DAY = plainDate("2026-03-14");
const HOME = "sluice-house";

let demo: DemoStore;
beforeEach(async () => (demo = await openDemoStore()));
afterEach(() => demo.discard());

const note = (id: string, words: string) =>
  demo.store.write((tx) =>
    appendEvent(tx, HOME, {
      id,
      kind: "note",
      unitId: "cellar-furnace",
      date: DAY,
      recordedAt: "2026-03-14T08:30:00.000Z",
      words,
    }),
  );
const read = () => demo.store.read((db) => readHome(db, HOME));
/** Everything a file holds, table by table. */
async function contents(file: string): Promise<Record<string, unknown[]>> {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  const tables = await client.execute(
    "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'search_words_%' ORDER BY name",
  );
  const all: Record<string, unknown[]> = {};
  for (const { name } of tables.rows)
    all[String(name)] = (await client.execute(`SELECT * FROM "${String(name)}"`)).rows.map((row) =>
      JSON.stringify(row),
    );
  client.close();
  return all;
}

describe("a copy put back while the app runs", () => {
  it("takes the place of everything, row for row, and what was there lies beside", async () => {
    await note("kept", "Heard a rattle");
    const copy = await backUp(demo.file, path.join(path.dirname(demo.file), "copies"), DAY);
    const before = await contents(copy);
    await note("later", "Written after the copy");
    await demo.store.write((tx) => markHomeDeleted(tx, HOME, "2026-03-14T09:00:00.000Z"));
    const remembered = await read();
    expect(remembered).toBeNull();

    const aside = await putBackRunning(copy, demo.file, DAY, prepareCopy);

    expect(await contents(demo.file)).toEqual(before);
    expect(path.basename(aside)).toBe("before-restore-2026-03-14.db");
    const was = await contents(aside);
    expect(was["events"]).toHaveLength(before["events"]!.length + 1);
    expect(existsSync(`${demo.file}.coming`)).toBe(false);
    // And that can be put back as well.
    await putBackRunning(aside, demo.file, DAY, prepareCopy);
    expect(await contents(demo.file)).toEqual(was);
  });

  it("is seen by who remembers what was read before, and found and written to as ever", async () => {
    const copy = await backUp(demo.file, path.join(path.dirname(demo.file), "copies"), DAY);
    for (let i = 0; i < 3; i++) await note(`n${i}`, "Gone with the copy");
    const remembered = await read();
    const another = await openStore(demo.file);
    await putBackRunning(copy, demo.file, DAY, prepareCopy);
    await note("again", "Marmalade on the sight glass");
    const fresh = await another.read((db) => readHome(db, HOME, remembered));
    const ids = fresh!.snapshot.history.entries.map(({ id }) => id);
    expect(ids).toContain("again");
    expect(ids).not.toContain("n0");
    const found = await another.read((db) => findByWords(db, HOME, ["marmalade"], 5));
    expect(found.map(({ refId }) => refId)).toEqual(["again"]);
    another.close();
  });

  it("is refused where it is none, and then nothing was touched", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-none-"));
    const bad = path.join(folder, "copy-2026-03-01.db");
    writeFileSync(bad, "scrambled");
    const before = await contents(demo.file);
    await expect(putBackRunning(bad, demo.file, DAY, prepareCopy)).rejects.toThrow(
      /no copy made by/,
    );
    await expect(putBackRunning(`${bad}.no`, demo.file, DAY, prepareCopy)).rejects.toThrow(
      /not there/,
    );
    expect(await contents(demo.file)).toEqual(before);
    expect(readFileSync(bad, "utf8")).toBe("scrambled");
    rmSync(folder, { recursive: true, force: true });
  });
});
