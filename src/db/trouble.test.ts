import { createClient } from "@libsql/client";
import { openDemoStore, type DemoStore } from "../../tests/demo-store";
import { sql } from "drizzle-orm";
import { plainDate } from "@/core/quantities/plain-date";
import { route, StoreTrouble } from "@/lib/store-trouble";
import { openStore } from "./client";
import { appendEvent, listEventsOfPart } from "./repositories/history";
import { listHomes } from "./repositories/homes";
import { asTrouble, troubleOf } from "./trouble";

let demo: DemoStore;
beforeEach(async () => (demo = await openDemoStore()));
afterEach(() => demo.discard());

const PART = "cellar-filter";
const look = (id: string, words = "seen") =>
  demo.store.write((tx) =>
    appendEvent(tx, "sluice-house", {
      id,
      kind: "look",
      partId: PART,
      date: plainDate("2026-03-14"),
      recordedAt: "2026-03-14T08:30:00.000Z",
      words,
      look: { grade: "grey" },
    }),
  );
const looks = async () => (await listEventsOfPart(demo.store.db, PART)).map(({ id }) => id);

/** Another program that writes to the same file and takes its time. */
async function heldByAnother(): Promise<{ letGo: () => Promise<void> }> {
  const other = createClient({ url: `file:${demo.file}`, concurrency: 1 });
  const holds = await other.transaction("write");
  const letGo = async () => {
    await holds.commit();
    other.close();
  };
  return { letGo };
}

describe("a file that another program holds", () => {
  it("is read as ever, and a write waits for it while everybody else goes on", async () => {
    const { letGo } = await heldByAnother();
    let turns = 0;
    const counting = setInterval(() => turns++, 1);
    const waiting = look("waited");
    try {
      for (let i = 0; i < 20; i++) {
        expect(await demo.store.read(listHomes)).not.toHaveLength(0);
        expect(await demo.store.version()).toBeGreaterThan(0);
        await new Promise((resolve) => setTimeout(resolve, 5));
      }
      // A driver that waited by itself would have let nothing else happen.
      expect(turns).toBeGreaterThan(20);
      expect(await looks()).not.toContain("waited");
      expect(demo.store.isHeld()).toBe(true);
    } finally {
      clearInterval(counting);
      await letGo();
    }
    await waiting;
    expect(await looks()).toContain("waited");
    expect(demo.store.isHeld()).toBe(false);
  });

  it("is said to be busy when it stays held, to each who asked; then all goes on", async () => {
    const { letGo } = await heldByAnother();
    const told = await Promise.allSettled([look("one"), look("two"), look("three")]);
    expect(
      told.map((each) => each.status === "rejected" && (each.reason as StoreTrouble).digest),
    ).toEqual(["amber-busy", "amber-busy", "amber-busy"]);
    await letGo();
    await look("after");
    const kept = await looks();
    expect(kept).toContain("after");
    expect(kept).not.toContain("one");
  });

  it("may be opened meanwhile", async () => {
    const { letGo } = await heldByAnother();
    const second = await openStore(demo.file);
    expect(await listHomes(second.db)).not.toHaveLength(0);
    second.close();
    await letGo();
  });
});

describe("a disk that is full", () => {
  it("is said, loses nothing, and is written again once there is room", async () => {
    await look("before");
    const { rows } = await demo.store.client.execute("PRAGMA page_count");
    const full = Number(rows[0]!["page_count"]) + 2;
    await demo.store.write((tx) => tx.run(sql.raw(`PRAGMA max_page_count = ${full}`)));
    await expect(look("too much", "long ".repeat(20_000))).rejects.toMatchObject({
      digest: "amber-full",
    });
    expect(await looks()).toContain("before");
    expect(await looks()).not.toContain("too much");
    // The limit went with its connection: there is room again, and nobody started anything anew.
    await look("too much", "long ".repeat(20_000));
    expect(await looks()).toContain("too much");
  });
});

describe("what an error of the database means", () => {
  const coded = (code: string, message: string) => Object.assign(new Error(message), { code });
  it.each([
    ["busy", coded("SQLITE_BUSY", "database is locked")],
    ["busy", new Error("Failed query", { cause: coded("SQLITE_BUSY_SNAPSHOT", "") })],
    ["full", coded("SQLITE_FULL", "database or disk is full")],
    ["unwritable", coded("SQLITE_IOERR_WRITE", "disk I/O error")],
    ["unwritable", coded("SQLITE_READONLY", "attempt to write a readonly database")],
    [null, coded("SQLITE_CONSTRAINT", "UNIQUE constraint failed: homes.id")],
    [null, new Error("a mistake of ours")],
  ])("is %s", (trouble, error) => {
    expect(troubleOf(error)).toBe(trouble);
    if (!trouble) expect(asTrouble(error)).toBe(error);
  });

  it("is an answer to programs, with when to ask again; a mistake of ours is none", async () => {
    const answer = await route(() => Promise.reject(asTrouble(coded("SQLITE_FULL", ""))))();
    expect([answer.status, answer.headers.get("retry-after")]).toEqual([503, "2"]);
    expect(await answer.json()).toMatchObject({
      error: { code: "full", message: expect.stringMatching(/disk is full/) },
    });
    await expect(route(() => Promise.reject(new Error("ours")))()).rejects.toThrow("ours");
  });
});
