import { spawn } from "node:child_process";
import { openStore } from "@/db/client";
import { inHome } from "@/server/commands/home-command";
import { recordReplacement } from "@/server/commands/records";
import { plainDate } from "@/core/quantities/plain-date";
import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { homeNow, homeStatus } from "./snapshot-cache";

jest.setTimeout(90_000);
const HOME = "sluice-house";
const today = plainDate("2026-03-14");
const TIMES = 100;
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const now = async () => (await homeNow(HOME))!;

describe("100 readings over 100 writings", () => {
  it("hold no entry twice, miss none, and are of one moment", async () => {
    const before = (await now()).snapshot.history.entries.length;
    // Each writes two entries and an item in one go: a look at the old filter, and the new one.
    const write = () =>
      inHome(HOME, (home) => {
        const slot = home.snapshot.slots.find(({ id }) => id === "cellar-filter")!;
        return recordReplacement(home, slot, { date: today, grade: "grey" });
      });
    const written = new Set<string>();
    const acknowledged: { at: number; ids: number }[] = [];
    const reads: Promise<void>[] = [];
    const writes = Array.from({ length: TIMES }, async () => {
      written.add((await write())!);
    });
    for (let i = 0; i < TIMES; i++) {
      const known = new Set(written);
      reads.push(
        now().then(({ snapshot, ordinal }) => {
          const { entries } = snapshot.history;
          const ids = entries.map(({ id }) => id);
          expect(new Set(ids).size).toBe(ids.length);
          // What was acknowledged before it was asked is in it.
          for (const id of known) expect(ids).toContain(id);
          const added = entries.slice(before);
          const of = (kind: string) => added.filter((each) => each.kind === kind);
          expect(of("fitted")).toHaveLength(of("look").length);
          const items = new Set(snapshot.items.map(({ id }) => id));
          for (const { itemId } of of("fitted")) expect(items.has(itemId!)).toBe(true);
          acknowledged.push({ at: ordinal, ids: ids.length });
        }),
      );
      await new Promise((resolve) => setImmediate(resolve));
    }
    await Promise.all([...writes, ...reads]);
    expect((await now()).snapshot.history.entries).toHaveLength(before + 2 * TIMES);
    // A reading that goes further holds more, and none goes back.
    const sorted = acknowledged.sort((a, b) => a.at - b.at).map(({ ids }) => ids);
    expect(sorted).toEqual([...sorted].sort((a, b) => a - b));
    expect(reads).toHaveLength(TIMES);
  });
});

describe("two processes on one file", () => {
  /** Another process that writes until it is killed; answers what was acknowledged to it. */
  const other = (writer: string) =>
    new Promise<string[]>((resolve, reject) => {
      const child = spawn("node_modules/.bin/tsx", ["scripts/crash-writer.ts", demo.file, writer], {
        detached: true,
      });
      let said = "";
      child.stdout.on("data", (chunk: Buffer) => {
        said += chunk.toString();
        if (said.split("\n").length > 5 && child.pid) process.kill(-child.pid, "SIGKILL");
      });
      child.on("error", reject);
      child.on("close", () => resolve(said.split("\n").slice(0, -1)));
    });

  it("agree at the next request", async () => {
    const before = homeStatus((await now()).snapshot, today);
    const ids = await other("beside");
    expect(ids.length).toBeGreaterThan(3);
    const { snapshot } = await now();
    const there = new Set(snapshot.history.entries.map(({ id }) => id));
    expect(ids.filter((id) => !there.has(id))).toEqual([]);
    const slot = (status: typeof before) =>
      status.filters.find((each) => each.slot.id === "kiln-filter");
    // What the other one did not touch is not even worked out anew.
    expect(slot(homeStatus(snapshot, today))).toBe(slot(before));
  });

  it("keep their reading as long as nobody writes", async () => {
    const first = (await now()).snapshot;
    expect((await now()).snapshot).toBe(first);
    const beside = await openStore(demo.file);
    await beside.write((tx) =>
      tx.run("UPDATE units SET note = 'said elsewhere' WHERE id = 'gallery'"),
    );
    beside.close();
    const after = (await now()).snapshot;
    expect(after.units.find(({ id }) => id === "gallery")!.note).toBe("said elsewhere");
    expect(after.slots).toBe(first.slots);
  });
});
