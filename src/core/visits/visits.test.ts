import { day, event, snapshot, today, unit } from "../../../tests/small-home";
import { HistoryRecord } from "../history/history-record";
import type { HistoryEvent } from "../history/history-event";
import type { Part } from "../inventory/inventory";
import { judgeInput } from "../readings/judge";
import { goingOf, seriesByPlace } from "../readings/going";
import { likelyParts, type PartFacts } from "./likely-parts";
import { HOUSEHOLD, isBack, mayWrite, visitState } from "./visit";

const part = (kind: string, extra: Partial<Part> = {}): Part => ({
  id: kind,
  unitId: "furnace",
  kind,
  name: kind,
  attributes: {},
  ...extra,
});
const read = (partId: string | undefined, offset: number, taken: object): HistoryEvent =>
  event("reading", offset, {
    partId,
    reading: judgeInput.parse(taken),
  });
const capacitor = (offset: number, value: number) =>
  read("capacitor", offset, { kind: "capacitor-uf", value, unit: "uF", rated: 5 });
const FACTS: PartFacts = {
  lifeYears: { igniter: 7, capacitor: 12 },
  pointsTo: { "noise:squeal": ["belt"] },
};
const likely = (events: HistoryEvent[], parts: Part[], until = day(365), fittedOn = day(-3000)) =>
  likelyParts(
    snapshot(events, {
      parts,
      units: [{ ...unit, fittedOn }],
      history: new HistoryRecord(events),
    }),
    ["furnace"],
    FACTS,
    today,
    until,
  ).map(({ part: { id }, because }) => `${id}: ${because}`);

describe("the parts likely to be needed", () => {
  // Of 5 µF ± 6 %: sound down to 4.82, watched down to 4.7.
  it("are what was read past its limit or near it", () => {
    expect(likely([capacitor(-200, 4.76)], [part("capacitor")])).toEqual(["capacitor: read"]);
    expect(likely([capacitor(-200, 4.95)], [part("capacitor")])).toEqual([]);
  });

  it("are what drifts past its limit before the next visit", () => {
    // 0.06 a year from 4.88: the 4.7 is reached in three years.
    const drifting = [capacitor(-730, 5), capacitor(-365, 4.94), capacitor(0, 4.88)];
    expect(likely(drifting, [part("capacitor")])).toEqual([]);
    expect(likely(drifting, [part("capacitor")], day(3 * 366))).toEqual(["capacitor: drifts"]);
  });

  it("are not those replaced since", () => {
    const done = event("done", -10, { partId: "capacitor", taskKey: "replace" });
    expect(likely([capacitor(-200, 4.6), done], [part("capacitor")])).toEqual([]);
  });

  it("are what a sound points to within the year, and what is past its usual life", () => {
    const squeal = read(undefined, -30, { kind: "noise", value: "squeal" });
    const parts = [part("igniter"), part("belt")];
    expect(likely([squeal], parts)).toEqual(["belt: seen", "igniter: age"]);
    const since = read(undefined, -10, { kind: "noise", value: "quiet" });
    expect(likely([squeal, since], parts)).toEqual(["igniter: age"]);
    expect(likely([{ ...squeal, date: day(-400) }], parts)).toEqual(["igniter: age"]);
    // 7 years are 2557 days.
    expect(likely([], parts, day(365), day(-2556))).toEqual([]);
    expect(likely([], parts, day(365), day(-2557))).toEqual(["igniter: age"]);
  });

  it("name each part once, by its strongest reason", () => {
    const old = part("capacitor", { identity: { madeOn: day(-5000) } });
    expect(likely([capacitor(-20, 4.5)], [old])).toEqual(["capacitor: read"]);
  });
});

describe("where readings of a place are going", () => {
  const history = (events: HistoryEvent[]) => new HistoryRecord(events).readings;
  it("takes the limit on the side they go to", () => {
    const falling = goingOf(history([capacitor(-365, 5), capacitor(0, 4.9)]))!;
    expect([falling.falls, falling.limit]).toEqual([true, 4.7]);
    const rising = goingOf(history([capacitor(-365, 5), capacitor(0, 5.1)]))!;
    expect([rising.falls, rising.limit]).toEqual([false, 5.3]);
    expect(goingOf(history([capacitor(0, 5)]))).toBeNull();
  });
  it("keeps each place and kind apart, the oldest first", () => {
    const events = [
      capacitor(-10, 4.9),
      capacitor(-20, 5),
      read(undefined, -5, { kind: "noise", value: "bang" }),
    ];
    const series = seriesByPlace(history(events));
    expect(series.map((each) => each.map(({ taken }) => taken.value))).toEqual([
      [5, 4.9],
      ["bang"],
    ]);
  });
});

describe("a visit and what was found on it", () => {
  it("is planned, under way, over", () => {
    expect(visitState({})).toBe("planned");
    expect(visitState({ beganAt: "a" })).toBe("under-way");
    expect(visitState({ beganAt: "a", endedAt: "b" })).toBe("over");
  });
  it("is open to its technician until it is over, and to the household always", () => {
    const technician = { kind: "technician", visitId: "v" } as const;
    expect(mayWrite(technician, { id: "v" })).toBe(true);
    expect(mayWrite(technician, { id: "w" })).toBe(false);
    expect(mayWrite(technician, { id: "v", endedAt: "b" })).toBe(false);
    expect(mayWrite(HOUSEHOLD, { id: "v", endedAt: "b" })).toBe(true);
  });
  it.each([
    [{ decision: "open" }, true],
    [{ decision: "now" }, true],
    [{ decision: "now", settledOn: day(-1) }, false],
    [{ decision: "declined" }, false],
    [{ decision: "watch", until: day(14) }, true],
    [{ decision: "watch", until: day(15) }, false],
    [{ decision: "watch", until: day(-3), settledOn: day(-2) }, false],
  ] as const)("comes back in its time: %j", (finding, back) => {
    expect(isBack(finding, day(14))).toBe(back);
  });
});
