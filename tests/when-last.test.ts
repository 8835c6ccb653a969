import { plainDate } from "@/core/quantities/plain-date";
import { todayOf } from "@/features/today/today-queries";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { actOnDemo, formOf, led, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";
import { saveWhenLast } from "@/features/inventory/when-last/when-last-actions";
import { lastField, NEVER_FIELD } from "@/features/inventory/when-last/when-last-form";
import { whenLastOf } from "@/features/inventory/when-last/when-last-queries";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(60_000);

const HOME = "boathouse";
const today = plainDate("2026-03-14");
let demo: DemoStore;
beforeAll(async () => {
  demo = await actOnDemo();
  // A home that was taken over: nobody knows what was done in it.
  await demo.store.client.execute({
    sql: "DELETE FROM events WHERE kind = 'done' AND unit_id IN (SELECT id FROM units WHERE home_id = ?)",
    args: [HOME],
  });
});
afterAll(() => demo.discard());

const rows = async (unitId?: string) => (await whenLastOf(HOME, unitId))!.rows;
const jobs = async () => scheduleNow((await demo.read(HOME)).snapshot, today);
const save = (typed: Record<string, string | string[]>, unitId: string | null = null) =>
  led(saveWhenLast(HOME, unitId, nothingSent, formOf(typed)));

describe("when each job was last done", () => {
  it("is asked of what nobody has dated, safety first, and Today counts the same", async () => {
    const all = await rows();
    expect(all.length).toBeGreaterThan(3);
    const order = all.map(({ isSafety }) => isSafety);
    expect(order).toEqual(order.toSorted((a, b) => Number(b) - Number(a)));
    expect((await todayOf(HOME))!.undated).toBe(all.length);
    const unit = (await jobs()).find(({ task }) => task.id === all[0]!.id)!.task.unitId;
    for (const { id } of await rows(unit)) expect(all.map((row) => row.id)).toContain(id);
    expect(await whenLastOf(HOME, "nobody")).toBeNull();
  });

  it("leads nowhere for a machine that is not of this home", async () => {
    const events = (await demo.read(HOME)).snapshot.history.entries.length;
    expect(await save({}, "cellar-furnace")).toBe("/");
    expect(await save({}, "\u0000")).toBe("/");
    expect((await demo.read(HOME)).snapshot.history.entries).toHaveLength(events);
  });

  it("is not asked of an alarm whose date of make is known", async () => {
    const alarms = (await jobs()).filter(({ task }) => /^boat-alarm-.*\.replace$/.test(task.id));
    expect(alarms.length).toBeGreaterThan(0);
    const asked = (await rows()).map(({ id }) => id);
    for (const { task, lastDone, isFirstTime } of alarms)
      expect([task.id, asked.includes(task.id)]).toEqual([task.id, !lastDone && isFirstTime]);
    expect(alarms.some(({ isFirstTime }) => !isFirstTime)).toBe(true);
  });

  it("takes a day of long ago and “never”, and leaves what nobody knows open", async () => {
    const [first, second, third, ...rest] = await rows();
    const to = await save({
      [lastField(first!.id)]: "2025-05-01",
      [lastField(second!.id)]: "2024-01-01",
      [NEVER_FIELD]: [third!.id],
    });
    expect(to).toBe(`/homes/${HOME}`);
    const after = await rows();
    expect(after.map(({ id }) => id)).toEqual([third!, ...rest].map(({ id }) => id));
    const dated = await jobs();
    const last = (id: string) => dated.find(({ task }) => task.id === id)!.lastDone;
    expect(last(first!.id)).toBe("2025-05-01");
    expect(last(second!.id)).toBe("2024-01-01");
    const { history } = (await demo.read(HOME)).snapshot;
    expect(history.entries.at(-1)!.words).toContain("never done, as far as anybody knows");
    expect((await todayOf(HOME))!.undated).toBe(after.length);
  });

  it("shows at its field what is no day, and loses nothing typed", async () => {
    const [first, second] = await rows();
    const typed = {
      [lastField(first!.id)]: "when it rained",
      [lastField(second!.id)]: "2023-06-01",
    };
    const to = await save(typed);
    if (typeof to === "string") throw new Error(to);
    expect(Object.keys(to.errors)).toEqual([lastField(first!.id)]);
    expect(to.values[lastField(second!.id)]).toEqual(["2023-06-01"]);
    expect((await rows())[1]!.id).toBe(second!.id);
    expect(await save({ [lastField(first!.id)]: "2031-05-01" })).toMatchObject({
      errors: { [lastField(first!.id)]: expect.any(String) },
    });
  });
});
