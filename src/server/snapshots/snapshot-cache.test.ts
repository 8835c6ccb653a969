import { addDays } from "@/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { filterStatusOf } from "@/core/filters/filter-status";
import { JOBS } from "@/content/default-tasks";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { filterStatusesOf, homeStatus, reasonWords, scheduleNow } from "./snapshot-cache";
import { snapshot, today } from "../../../tests/demo-snapshot";

const look = (id: string, partId: string): HistoryEvent => ({
  id,
  kind: "look",
  unitId: "gallery",
  partId,
  date: today,
  recordedAt: "2026-03-14T08:30:00Z",
  look: { grade: "blocked" },
});
const by = (of: HomeSnapshot, slotId: string, on = today) =>
  filterStatusesOf(of, on).find(({ slot }) => slot.id === slotId)!;

describe("filter statuses that are kept", () => {
  it("are those that would be worked out", () => {
    for (const filterStatus of filterStatusesOf(snapshot, today))
      expect(filterStatus).toEqual(filterStatusOf(snapshot, filterStatus.slot, today, reasonWords));
  });

  it("are the same as long as nothing changes", () => {
    expect(filterStatusesOf(snapshot, today)).toBe(filterStatusesOf(snapshot, today));
  });

  it("are worked out anew only where something was seen", () => {
    const after = {
      ...snapshot,
      history: snapshot.history.with(look("seen", "gallery-bank")),
    };
    expect(by(after, "gallery-bank")).not.toBe(by(snapshot, "gallery-bank"));
    expect(by(after, "gallery-bank").wear!.percentNow).toBeGreaterThan(
      by(snapshot, "gallery-bank").wear!.percentNow,
    );
    expect(by(after, "cellar-filter")).toBe(by(snapshot, "cellar-filter"));
  });

  it("see a withdrawal, a changed slot, a new driver and another unit's place", () => {
    const seen = {
      ...snapshot,
      history: snapshot.history.with(look("seen", "gallery-bank")),
    };
    const undone: HistoryEvent = {
      id: "undone",
      kind: "withdrawn",
      partId: "gallery-bank",
      date: today,
      recordedAt: "2026-03-14T08:31:00Z",
      corrects: "seen",
    };
    const withdrawn = { ...seen, history: seen.history.with(undone) };
    expect(by(withdrawn, "gallery-bank").wear).toEqual(by(snapshot, "gallery-bank").wear);

    const finer = snapshot.slots.map((slot) =>
      slot.id === "gallery-bank" ? { ...slot, maxAgeDays: 30 } : slot,
    );
    expect(by({ ...snapshot, slots: finer }, "gallery-bank").wear!.likely).not.toBe(
      by(snapshot, "gallery-bank").wear!.likely,
    );

    const drivers = [
      ...snapshot.drivers,
      { id: "s", scope: "room" as const, roomId: "upper-bath", kind: "indoor-smoking" as const },
    ];
    const smoky = { ...snapshot, drivers };
    expect(by(smoky, "purifier-hepa").wear).toEqual(by(snapshot, "purifier-hepa").wear);
    const units = snapshot.units.map((unit) =>
      unit.id === "purifier" ? { ...unit, roomId: "upper-bath" } : unit,
    );
    const moved = by({ ...smoky, units }, "purifier-hepa").wear!.likely!;
    expect(moved < by(snapshot, "purifier-hepa").wear!.likely!).toBe(true);
  });

  it("are others on another day", () => {
    const tomorrow = by(snapshot, "cellar-filter", addDays(today, 1)).wear!;
    expect(tomorrow.percentNow).toBeGreaterThan(by(snapshot, "cellar-filter").wear!.percentNow);
  });
});

describe("jobs that are kept", () => {
  const jobsOf = (of: HomeSnapshot, unitId: string) =>
    scheduleNow(of, today).filter(({ task }) => task.unitId === unitId);

  it("are those that would be worked out, in the order of the jobs", () => {
    const status = homeStatus(snapshot, today);
    expect(status.jobs).toEqual(status.scheduleOf(status.tasks));
    const seen = { ...snapshot, history: snapshot.history.with(look("seen", "gallery-bank")) };
    const after = homeStatus(seen, today);
    expect(after.jobs).toEqual(after.scheduleOf(tasksOf(seen, JOBS)));
  });

  it("know what was recorded at a part while it stood in another machine", () => {
    const done = { kind: "done" as const, taskKey: "clean", unitId: "gone", date: today };
    const partId = "cellar-furnace-blower";
    const event = { ...look("earlier", partId), ...done, look: undefined } as HistoryEvent;
    const home = { ...snapshot, history: snapshot.history.with(event) };
    const blower = scheduleNow(home, today).find(({ task }) => task.id === `${partId}.clean`)!;
    expect(blower.lastDone).toBe(today);
  });

  it("are worked out anew for the unit in which something was seen or set", () => {
    const start = { ...snapshot };
    const before = jobsOf(start, "cellar-furnace");
    const gallery = jobsOf(start, "gallery");
    const seen = { ...start, history: start.history.with(look("seen", "gallery-bank")) };
    expect(jobsOf(seen, "cellar-furnace")[0]).toBe(before[0]);
    expect(jobsOf(seen, "gallery")).not.toEqual(gallery);
    const { key, partId, unitId } = before[0]!.task;
    const place = { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) };
    const off = { id: "off", key, ...place, changes: { isOff: true } };
    const set = { ...snapshot, tasks: [...snapshot.tasks, off] };
    expect(jobsOf(set, "cellar-furnace")[0]!.due).toBeNull();
  });
});
