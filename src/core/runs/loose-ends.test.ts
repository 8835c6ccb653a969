import fc from "fast-check";
import { compute } from "../compute/compute";
import { END_KINDS, looseEnds, looseEndsInput, safeEnds, type EndKind } from "./loose-ends";

type Entry = {
  id: string;
  part?: string;
  end?: EndKind;
  unit?: string;
  at: number;
  action?: string;
  readyAt?: string;
  after?: string[];
};
const at = (hour: number) => `2026-03-14T${String(hour).padStart(2, "0")}:00:00Z`;
const log = (entries: Entry[]) =>
  entries.map(({ end = "panel-off", unit = "furnace", action = "open", at: hour, ...rest }) => ({
    end,
    unit,
    action,
    at: at(hour),
    ...rest,
  }));
const of = (entries: Entry[], now = at(20)) =>
  looseEnds(looseEndsInput.parse({ now, log: log(entries) }));
const refused = (entries: Entry[]) =>
  compute("loose-ends", JSON.stringify({ now: at(20), log: log(entries) }));

const filterChange: Entry[] = [
  { id: "power", end: "switch-off", at: 1 },
  { id: "door", end: "panel-off", at: 2 },
  { id: "filter", end: "part-out", at: 3 },
];

describe("loose ends", () => {
  it("are listed longest open first, and closed last opened first", () => {
    const result = of(filterChange);
    expect(result.open.map((end) => end.id)).toEqual(["power", "door", "filter"]);
    expect(result.open[0]).toEqual({
      id: "power",
      unit: "furnace",
      end: "switch-off",
      since: at(1),
    });
    expect(result.order).toEqual(["filter", "door", "power"]);
  });

  it("are gone once closed", () => {
    const result = of([...filterChange, { id: "filter", end: "part-out", at: 4, action: "close" }]);
    expect(result.order).toEqual(["door", "power"]);
  });

  it("put the power last, even if it went off last", () => {
    const result = of([
      { id: "door", end: "panel-off", at: 1 },
      { id: "power", end: "switch-off", at: 2 },
    ]);
    expect(result.order).toEqual(["door", "power"]);
    expect(result.blocked).toEqual([{ id: "power", by: ["door"], why: "power-comes-last" }]);
  });

  it.each<EndKind>([
    "panel-off",
    "part-out",
    "part-drying",
    "sensor-out",
    "drain-open",
    "bleed-open",
    "valve-shut",
    "valve-open",
  ])("keep every isolator of the unit off while there is a %s", (end) => {
    for (const isolator of ["switch-off", "breaker-off", "disconnect-out"] as const) {
      const { blocked } = of([
        { id: "power", end: isolator, at: 1 },
        { id: "it", end, at: 2 },
      ]);
      expect(blocked).toContainEqual({ id: "power", by: ["it"], why: "power-comes-last" });
    }
  });

  it.each<EndKind>(["window-open", "alarm-muted", "light-unreset", "setting-changed", "gas-shut"])(
    "do not keep the power off for a %s",
    (end) => {
      expect(
        of([
          { id: "power", end: "switch-off", at: 1 },
          { id: "it", end, at: 2 },
        ]).blocked,
      ).toEqual([]);
    },
  );

  it("let a switch inside the machine back on whatever is open: it isolates nothing", () => {
    const cells: Entry = { id: "cells", end: "part-out", at: 3 };
    const of_ = (part?: string) =>
      of([{ id: "inner", end: "switch-off", at: 2, ...(part ? { part } : {}) }, cells]).blocked;
    expect(of_("cell-supply")).toEqual([]);
    expect(of_()).toEqual([{ id: "inner", by: ["cells"], why: "power-comes-last" }]);
  });

  it("do not keep the power off for a valve that is shut for the season", () => {
    const water: Entry = { id: "water", end: "valve-shut", at: 1, action: "park" };
    const power: Entry = { id: "power", end: "switch-off", at: 2 };
    expect(of([water, power]).blocked).toEqual([]);
    expect(of([{ ...water, action: "open" }, power]).blocked).toHaveLength(1);
  });

  it("mind only their own unit's power", () => {
    const { blocked } = of([
      { id: "power", end: "switch-off", at: 1 },
      { id: "elsewhere", end: "panel-off", unit: "ventilator", at: 2 },
    ]);
    expect(blocked).toEqual([]);
  });

  it("hold a drying part until it is dry, to the minute", () => {
    const drying: Entry[] = [{ id: "core", end: "part-drying", at: 1, readyAt: at(12) }];
    expect(of(drying, at(11)).blocked).toEqual([{ id: "core", by: [], why: "still-drying" }]);
    expect(of(drying, at(12)).blocked).toEqual([]);
    expect(of(drying, at(11)).open[0]).toMatchObject({ id: "core", readyAt: at(12) });
  });

  it("wait for what a step says comes first", () => {
    const result = of([
      { id: "valve", end: "valve-shut", at: 1, after: ["bleed"] },
      { id: "bleed", end: "bleed-open", at: 0 },
    ]);
    expect(result.order).toEqual(["bleed", "valve"]);
    expect(result.blocked).toEqual([{ id: "valve", by: ["bleed"], why: "after-another" }]);
  });

  it("set aside what is parked, but its open panel still keeps the power off", () => {
    const result = of([
      { id: "power", end: "breaker-off", at: 1 },
      { id: "door", end: "panel-off", at: 2 },
      { id: "door", end: "panel-off", at: 3, action: "park" },
    ]);
    expect(result.parked.map((end) => end.id)).toEqual(["door"]);
    expect(result.order).toEqual(["power"]);
    expect(result.blocked).toEqual([{ id: "power", by: ["door"], why: "power-comes-last" }]);
  });

  it("can be parked outright and woken by closing", () => {
    const parked: Entry = { id: "water", end: "valve-shut", at: 1, action: "park" };
    expect(of([parked]).parked).toHaveLength(1);
    expect(of([parked, { ...parked, at: 2, action: "close" }]).parked).toEqual([]);
  });

  it("may be opened again after closing", () => {
    const again = ["open", "close", "open"].map((action, i) => ({ id: "door", at: i, action }));
    expect(of(again).open[0]!.since).toBe(at(2));
  });

  it("go by the time they happened, not by the order they arrived", () => {
    const shuffled = of([...filterChange].reverse());
    expect(shuffled).toEqual(of(filterChange));
  });

  it.each<[string, Entry[], number]>([
    ["closing what isn't open", [{ id: "door", at: 1, action: "close" }], 0],
    [
      "opening twice",
      [
        { id: "door", at: 1 },
        { id: "door", at: 2 },
      ],
      1,
    ],
    [
      "closing twice",
      [
        { id: "door", at: 1 },
        { id: "door", at: 2, action: "close" },
        { id: "door", at: 3, action: "close" },
      ],
      2,
    ],
    [
      "parking twice",
      [
        { id: "door", at: 1, action: "park" },
        { id: "door", at: 2, action: "park" },
      ],
      1,
    ],
    [
      "an end that changes its kind",
      [
        { id: "door", at: 1 },
        { id: "door", end: "part-out", at: 2, action: "close" },
      ],
      1,
    ],
    [
      "ends that wait for each other",
      [
        { id: "a", at: 1, after: ["b"] },
        { id: "b", at: 2, after: ["a"] },
      ],
      0,
    ],
  ])("refuse %s, at its entry", (_, entries, index) => {
    expect(refused(entries)).toMatchObject({ ok: false, error: { path: ["log", index] } });
  });

  it("refuse a kind nobody knows", () => {
    expect(refused([{ id: "x", end: "roof-off" as EndKind, at: 1 }])).toMatchObject({
      ok: false,
      error: { path: ["log", 0, "end"] },
    });
  });

  it.each<[EndKind, EndKind, string]>([
    ["gas-shut", "sensor-out", "gas-comes-last"],
    ["gas-shut", "part-out", "gas-comes-last"],
    ["valve-shut", "panel-off", "water-comes-last"],
    ["valve-shut", "part-out", "water-comes-last"],
    ["valve-shut", "drain-open", "water-comes-last"],
  ])("in a run keep %s for a %s, beyond the contract", (supply, end, why) => {
    const entries: Entry[] = [
      { id: "supply", end: supply, at: 1 },
      { id: "it", end, at: 2 },
    ];
    const input = looseEndsInput.parse({ now: at(20), log: log(entries) });
    expect(safeEnds(input).blocked).toContainEqual({ id: "supply", by: ["it"], why });
    expect(looseEnds(input).blocked).toEqual([]);
  });

  it("put together from several devices pass over what cannot have happened, and lose nothing open", () => {
    const entries: Entry[] = [
      { id: "door", at: 1 },
      { id: "door", at: 2 },
      { id: "never", at: 3, action: "close" },
      { id: "a", at: 4, after: ["b"] },
      { id: "b", at: 5, after: ["a"] },
    ];
    const { open, order } = safeEnds({ now: at(20), log: log(entries) as never });
    expect(open.map(({ id }) => id)).toEqual(["door", "a", "b"]);
    expect([...order].sort()).toEqual(["a", "b", "door"]);
  });

  it("always have an order that breaks no rule", () => {
    const anyLog = fc.array(
      fc.record({
        end: fc.constantFrom(...END_KINDS),
        unit: fc.constantFrom("furnace", "ventilator"),
        at: fc.integer({ min: 0, max: 19 }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anyLog, (ends) => {
        const entries: Entry[] = ends.map((end, i) => ({ id: `end-${i}`, ...end }));
        const { order, open } = of(entries);
        expect([...order].sort()).toEqual(open.map((end) => end.id).sort());
        // Close them in that order: at every step the next one must be free.
        const left = [...entries];
        for (const id of order) {
          const { blocked } = of(left);
          expect(blocked.find((block) => block.id === id)).toBeUndefined();
          left.splice(
            left.findIndex((entry) => entry.id === id),
            1,
          );
        }
      }),
      { numRuns: 60 },
    );
  });
});
