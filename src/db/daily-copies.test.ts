import { mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import { copyDemo } from "../../tests/demo-store";
import { copiesLetGo, copyOfTheDay } from "./daily-copies";
import { openStore } from "./client";

const today = plainDate("2026-03-14");
const name = (days: number) => `amber-lintel-${addDays(today, -days)}.db`;

jest.setTimeout(30_000);

describe("copies of every day", () => {
  it("keep the last seven days, then the last of each month", () => {
    const year = Array.from({ length: 400 }, (_, i) => name(i));
    const letGo = new Set(copiesLetGo(year));
    const kept = year.filter((each) => !letGo.has(each));
    expect(kept.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6].map(name));
    // Of the thirteen months before, the latest copy of each.
    expect(kept.slice(7, 10)).toEqual([
      "amber-lintel-2026-03-07.db",
      "amber-lintel-2026-02-28.db",
      "amber-lintel-2026-01-31.db",
    ]);
    expect(new Set(kept.slice(7).map((each) => each.slice(13, 20))).size).toBe(kept.length - 7);
  });

  it("leave alone what is not theirs, and go on the same whatever was let go before", () => {
    const names = [
      "notes.txt",
      "amber-lintel-2020-01-01-2.db",
      ...Array.from({ length: 40 }, (_, i) => name(i)),
    ];
    const letGo = copiesLetGo(names);
    expect(letGo.every((each) => /^amber-lintel-\d{4}-\d{2}-\d{2}\.db$/.test(each))).toBe(true);
    expect(copiesLetGo(names.filter((each) => !letGo.includes(each)))).toEqual([]);
  });

  it("are made once a day beside the file, whole, while it is in use", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-daily-"));
    const store = await openStore(copyDemo(folder));
    try {
      const file = path.join(folder, "demo.db");
      writeFileSync(path.join(folder, "keep.txt"), "");
      const copy = await copyOfTheDay(file, today);
      expect(copy).toBe(path.join(folder, "daily-copies", name(0)));
      expect(await copyOfTheDay(file, today)).toBeNull();
      for (let i = 1; i <= 9; i++) await copyOfTheDay(file, addDays(today, i));
      expect(readdirSync(path.join(folder, "daily-copies"))).toHaveLength(8);
      const copied = await openStore(copy!.replace(name(0), name(-9)));
      const { rows } = await copied.client.execute("SELECT count(*) AS n FROM events");
      expect(Number(rows[0]!["n"])).toBeGreaterThan(300);
      copied.close();
    } finally {
      store.close();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
