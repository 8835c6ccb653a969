import { plainDate } from "@/core/quantities/plain-date";
import { jobRow } from "@/features/schedule/job-rows";
import { jobTitle } from "@/presentation/task-words";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { actOnDemo } from "./acting";
import type { DemoStore } from "./demo-store";

jest.setTimeout(60_000);
const today = plainDate("2026-03-14");
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const jobs = async (home: string) => {
  const { snapshot } = await demo.read(home);
  return { snapshot, all: scheduleNow(snapshot, today) };
};
const twice = (words: string[]) => words.filter((each, i) => words.indexOf(each) !== i);

describe("rows that read alike", () => {
  it.each(["sluice-house", "boathouse"])("there are none among the jobs of %s", async (home) => {
    const { snapshot, all } = await jobs(home);
    expect(all.length).toBeGreaterThan(20);
    expect(twice(all.map(jobTitle))).toEqual([]);
    const rows = all.map((job) => jobRow(snapshot, job, today));
    expect(twice(rows.map(({ where, name }) => `${where}: ${name}`))).toEqual([]);
  });

  it("machines of one name are told apart by where they stand", async () => {
    await demo.store.client.execute(
      "UPDATE units SET name = 'Alarm' WHERE id IN ('alarm-ground', 'alarm-cellar')",
    );
    const { all } = await jobs("sluice-house");
    const titles = all.filter(({ unit }) => unit?.name === "Alarm").map(jobTitle);
    expect(titles).toContain("Alarm, Ground floor: replace the alarm");
    expect(titles.every((title) => /^Alarm, (Ground floor|Cellar)[^:]*: /.test(title))).toBe(true);
    expect(twice(titles)).toEqual([]);
    // One that stands alone needs no more than its name.
    expect(all.map(jobTitle).some((title) => title.startsWith("Cellar furnace: "))).toBe(true);
  });

  it("of one name in one room, and parts of one name and no place, have a number each", async () => {
    await demo.store.client.batch([
      "UPDATE units SET name = 'Alarm', level_id = 'cellar', room_id = NULL WHERE id IN ('alarm-ground', 'alarm-cellar')",
      "UPDATE parts SET name = 'Core', place = NULL WHERE unit_id = 'cellar-furnace'",
    ]);
    const { snapshot, all } = await jobs("sluice-house");
    const titles = all.map(jobTitle);
    expect(titles).toContain("Alarm, Cellar, no. 1: replace the alarm");
    expect(titles).toContain("Alarm, Cellar, no. 2: replace the alarm");
    expect(twice(titles)).toEqual([]);
    const rows = all.map((job) => jobRow(snapshot, job, today));
    expect(twice(rows.map(({ where, name }) => `${where}: ${name}`))).toEqual([]);
  });
});
