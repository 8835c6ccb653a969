import { JOBS } from "@/content/default-tasks";
import { day, event, snapshot, today, unit } from "../../../tests/small-home";
import { HistoryRecord } from "../history/history-record";
import type { HistoryEvent } from "../history/history-event";
import { tasksOf } from "../scheduling/home-tasks";
import { scheduleOf } from "../scheduling/schedule";
import { beforeAndAfter } from "./before-after";
import { judgeInput } from "./judge";
import { nextJobFor, watchedReadings } from "./watch";

const read = (offset: number, taken: object, extra: Partial<HistoryEvent> = {}): HistoryEvent =>
  event("reading", offset, { partId: undefined, reading: judgeInput.parse(taken), ...extra });
const capacitor = { unitId: "furnace", partId: "cap" };
const farads = (offset: number, value: number) =>
  read(offset, { kind: "capacitor-uf", value, unit: "uF", rated: 5 }, { partId: "cap" });

const home = (events: HistoryEvent[]) =>
  snapshot(events, {
    units: [{ ...unit, kind: "split-cooling" }],
    parts: [{ id: "cap", unitId: "furnace", kind: "capacitor", name: "Capacitor", attributes: {} }],
  });
const watched = (events: HistoryEvent[]) => {
  const at = home(events);
  const schedule = scheduleOf(at, tasksOf(at, JOBS), new Map(), today, day(60));
  return {
    schedule,
    list: watchedReadings(at, schedule, day(365)).map(
      ({ reading, isDrifting }) => `${reading.taken.kind} ${isDrifting ? "drifts" : "is off"}`,
    ),
  };
};

describe("readings on watch", () => {
  it("are those that are not sound, and those that leave their limits within a year", () => {
    expect(watched([farads(-10, 4.5)]).list).toEqual(["capacitor-uf is off"]);
    expect(watched([farads(-10, 5)]).list).toEqual([]);
    // 0.15 a year from 4.9: the limit of 4.7 is sixteen months away. Faster, it is within the year.
    expect(watched([farads(-730, 5.2), farads(-365, 5.05), farads(0, 4.9)]).list).toEqual([]);
    expect(watched([farads(-730, 5.4), farads(-365, 5.15), farads(0, 4.9)]).list).toEqual([
      "capacitor-uf drifts",
    ]);
  });

  it("are settled by the job that puts them right, and lead to it until then", () => {
    const { schedule } = watched([farads(-10, 4.5)]);
    expect(nextJobFor(schedule, capacitor, "capacitor-uf")?.task.key).toBe("replace");
    expect(nextJobFor(schedule, capacitor, "noise")).toBeNull();
    const replaced = event("done", -3, { partId: "cap", taskKey: "replace" });
    expect(watched([farads(-10, 4.5), replaced]).list).toEqual([]);
  });
});

describe("before and after a cleaning", () => {
  const split = (offset: number, value: number, recordedAt?: string) =>
    read(offset, { kind: "cooling-split-k", value, unit: "K" }, recordedAt ? { recordedAt } : {});
  const cleaned = (offset: number, recordedAt = "2026-03-14T10:00:00Z") =>
    event("done", offset, { partId: "coil", taskKey: "clean", recordedAt });
  const pairs = (...events: HistoryEvent[]) =>
    beforeAndAfter(new HistoryRecord(events), ["furnace"]).map(
      ({ event: done, before, after }) =>
        `${done.date}: ${before.taken.value} ${after.taken.value}`,
    );

  it("has the last value before and the first since", () => {
    expect(pairs(split(-80, 5), split(-60, 6), cleaned(-50), split(-40, 9), split(-2, 10))).toEqual(
      [`${day(-50)}: 6 9`],
    );
  });
  it("goes by the order in which things were written down on one day", () => {
    const [early, late] = ["2026-03-14T09:00:00Z", "2026-03-14T11:00:00Z"];
    expect(pairs(split(0, 6, early), cleaned(0), split(0, 9, late))).toEqual([`${today}: 6 9`]);
    expect(pairs(split(0, 6, late), cleaned(0), split(0, 9, late))).toEqual([]);
  });
  it("has nothing without both, or with one from long ago", () => {
    expect(pairs(split(-60, 6), cleaned(-50))).toEqual([]);
    expect(pairs(split(-900, 6), cleaned(-50), split(-40, 9))).toEqual([]);
    expect(pairs(split(-60, 6), cleaned(-300), cleaned(-250), split(-10, 9))).toEqual([]);
  });
  it("gives the last of several cleanings between the same two values", () => {
    expect(pairs(split(-60, 6), cleaned(-50), cleaned(-45), split(-40, 9))).toEqual([
      `${day(-45)}: 6 9`,
    ]);
  });
});
