import fc from "fast-check";
import { addDays, daysFrom, plainDate } from "../quantities/plain-date";
import { equipmentSchema } from "../climate/run-hours";
import { climateSchema } from "../climate/climate";
import { scheduleOf } from "../scheduling/schedule";
import { HistoryRecord } from "../history/history-record";
import { replacementOf } from "../history/replacement";
import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { washRecoveryCore } from "@/content/procedures/wash-recovery-core";
import { jobOf, walk } from "../../../tests/run-events";
import { replayRun } from "../runs/run";
import { endsOfHome, leftOpenOf } from "../runs/home-ends";
import { lintelOf } from "../timeline/lintel";
import {
  contextOf,
  driversOf,
  engineDriver,
  faceAreaM2,
  installedPeriodsOf,
  wearOfSlot,
} from "./slot-wear";
import { isolatorOf, type FilterSlot, type ScopedDriver, type Unit } from "../inventory/inventory";
import { type HomeSnapshot } from "../history/home-snapshot";
import { type HistoryEvent } from "../history/history-event";
import { bySoonest, daysLeft, fillBand, filterStatusOf } from "./filter-status";
import { planned, RENEW } from "../scheduling/task";

const today = plainDate("2026-03-14");
const day = (offset: number) => addDays(today, offset);

const slot = (extra: Partial<FilterSlot> = {}): FilterSlot => ({
  id: "slot",
  unitId: "furnace",
  name: "Filter",
  slotPlace: "return-duct",
  cutToSize: false,
  seat: "rail",
  media: "pleated-25",
  rating: { scheme: "MERV", class: "8" },
  airSide: "recirculated",
  filterCount: 1,
  nominal: { text: "20x20x1", unit: "in", mm: { w: 508, h: 508, d: 25.4 } },
  direction: "right",
  indicator: false,
  ...extra,
});

const unit: Unit = {
  id: "furnace",
  levelId: "cellar",
  systemId: "air",
  kind: "condensing-furnace",
  name: "Cellar furnace",
  attributes: {},
  shutOffs: [],
};

/** The change of each filter of a home, by its wear. */
const schedule = (home: HomeSnapshot) => {
  const change = { key: RENEW, name: "Change the filter", trigger: { kind: "wear" as const } };
  const definition = { ...change, who: "owner" as const, handsOn: 10, waiting: 0 };
  const tasks = home.slots.map(({ id, unitId }) =>
    planned(definition, { unitId, partId: id, kind: "filter" }, undefined),
  );
  const filterStatuses = home.slots.map((each) => filterStatusOf(home, each, today, wordsFor));
  return scheduleOf(home, tasks, filterStatuses, today, day(730));
};

let ordinal = 0;
const event = (
  kind: HistoryEvent["kind"],
  offset: number,
  extra: Partial<HistoryEvent> = {},
): HistoryEvent => ({
  id: `e${++ordinal}`,
  kind,
  partId: "slot",
  unitId: "furnace",
  date: day(offset),
  recordedAt: `2026-03-14T08:00:0${ordinal % 10}Z`,
  ...extra,
});
const look = (offset: number, grade: "clean" | "light" | "grey" | "loaded" | "blocked") =>
  event("look", offset, { look: { grade } });

const snapshot = (events: HistoryEvent[], extra: Partial<HomeSnapshot> = {}): HomeSnapshot => ({
  home: {
    id: "home",
    name: "Home",
    timeZone: "Etc/UTC",
    unitSystem: "metric",
    currency: "EUR",
    climate: climateSchema.parse({
      monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
      heatingDesignC: -24,
      coolingDesignMeanC: 26,
    }),
  },
  levels: [{ id: "cellar", name: "Cellar", storey: -1, place: "inside" }],
  systems: [
    {
      id: "air",
      name: "Furnace",
      ducted: true,
      equipment: equipmentSchema.parse({ heats: true, cools: true, fan: { mode: "auto" } }),
    },
  ],
  rooms: [],
  registers: [],
  contacts: [],
  units: [unit],
  retired: [],
  slots: [slot()],
  retiredSlots: [],
  parts: [],
  items: [],
  drivers: [],
  tasks: [],
  history: new HistoryRecord(events),
  actuals: [],
  measured: [],
  ...extra,
});
const wordsFor = (driver: ScopedDriver) => driver.label ?? driver.kind;

describe("the history that counts", () => {
  it("takes the last correction, leaves out what was withdrawn, and what was put back counts again", () => {
    const fitted = event("fitted", -40);
    const corrected = event("fitted", -38, { corrects: fitted.id });
    const withdrawn = event("withdrawn", -38, { corrects: corrected.id });
    const again = event("fitted", -38, { corrects: withdrawn.id });
    const ids = (list: HistoryEvent[]) => new HistoryRecord(list).counted.map((each) => each.id);
    expect(ids([fitted])).toEqual([fitted.id]);
    expect(ids([fitted, corrected])).toEqual([corrected.id]);
    expect(ids([fitted, corrected, withdrawn])).toEqual([]);
    expect(ids([fitted, corrected, withdrawn, again])).toEqual([again.id]);
  });

  it("goes by date and keeps the order recorded within a day", () => {
    const [late, early, same] = [event("fitted", -1), event("fitted", -9), look(-1, "grey")];
    expect(new HistoryRecord([late, early, same]).counted).toEqual([early, late, same]);
  });

  it("never changes the record it reads", () => {
    const list = Object.freeze([event("fitted", -3), event("fitted", -9)]);
    expect(() => new HistoryRecord(list).counted).not.toThrow();
  });
});

describe("installed periods of a slot", () => {
  it("run from fitting to fitting, and the look at the change belongs to the old filter", () => {
    const home = snapshot([
      event("fitted", -60),
      look(-30, "light"),
      look(-5, "loaded"),
      event("fitted", -5),
      look(-1, "clean"),
    ]);
    const installedPeriods = installedPeriodsOf(home, home.slots[0]!);
    expect(
      installedPeriods.map((installedPeriod) => [
        installedPeriod.startedOn,
        installedPeriod.looks.map((each) => each.grade),
      ]),
    ).toEqual([
      [day(-60), ["light", "loaded"]],
      [day(-5), ["clean"]],
    ]);
  });

  it("are relieved by each vacuuming, which puts the due day off and is said so", () => {
    const vacuumed = (ago: number) => event("done", ago, { taskKey: "vacuum" });
    const washed = event("done", -12, { taskKey: "something-else" });
    const home = snapshot([
      event("fitted", -60),
      vacuumed(-50),
      event("fitted", -40),
      vacuumed(-40),
      vacuumed(-20),
      washed,
      vacuumed(-10),
    ]);
    const slot = home.slots[0]!;
    expect(
      installedPeriodsOf(home, slot).map(({ reliefs }) => reliefs.map(({ date }) => date)),
    ).toEqual([[day(-50)], [day(-20), day(-10)]]);
    const plain = snapshot([event("fitted", -60), event("fitted", -40)]);
    const filterStatus = filterStatusOf(home, slot, today, wordsFor);
    const without = filterStatusOf(plain, slot, today, wordsFor);
    expect(filterStatus.wear!.likely! > without.wear!.likely!).toBe(true);
    expect(filterStatus.wear!.bookDue).toBe(without.wear!.bookDue);
    const reason = filterStatus.reasons.find(({ words }) => words === "vacuuming it in place")!;
    expect(addDays(filterStatus.wear!.likely!, reason.daysSooner)).toBe(without.wear!.likely);
    expect(filterStatus.sentence).toContain("vacuuming it in place");
  });

  it("remember what each filter was, though the slot takes another now", () => {
    const items = [
      { id: "old", partId: "slot", media: "fibreglass-25" as const, sizeText: "20x20x1" },
    ];
    const home = snapshot([event("fitted", -60, { itemId: "old" }), event("fitted", -5)], {
      items,
    });
    expect(
      installedPeriodsOf(home, home.slots[0]!).map((installedPeriod) => installedPeriod.slot.media),
    ).toEqual(["fibreglass-25", "pleated-25"]);
  });

  it("have no wear before the first fitting is known", () => {
    const home = snapshot([look(-3, "grey")]);
    expect(wearOfSlot(home, home.slots[0]!, today)).toBeNull();
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect([filterStatus.sentence, daysLeft(filterStatus, today)]).toEqual([
      "No change recorded yet.",
      null,
    ]);
  });

  it("teach the next filter: a place seen blocked too soon loads fast from the start", () => {
    const seen = snapshot([event("fitted", -50), look(-30, "blocked"), event("fitted", -20)]);
    const blind = snapshot([event("fitted", -50), event("fitted", -20)]);
    const fast = wearOfSlot(seen, seen.slots[0]!, today)!;
    const usual = wearOfSlot(blind, blind.slots[0]!, today)!;
    expect(fast.likely! < usual.likely!).toBe(true);
    expect(fast.belief.mu).toBeGreaterThan(0);
    expect(usual.belief.mu).toBe(0);
    // A filter's worth of time makes the memory a little less sure.
    expect(fast.belief.sd).toBeLessThan(0.4);
  });
});

describe("drivers in their scope", () => {
  const scoped: ScopedDriver[] = [
    { id: "home", scope: "home", kind: "dusty-hobby" },
    { id: "here", scope: "system", systemId: "air", kind: "busy-road" },
    { id: "there", scope: "system", systemId: "elsewhere", kind: "busy-road" },
    { id: "rail", scope: "part", partId: "slot", kind: "bypass", fraction: 0.02 },
    { id: "other", scope: "part", partId: "another", kind: "bypass", fraction: 0.5 },
  ];
  it("reach the slots they should", () => {
    const home = snapshot([], { drivers: scoped });
    expect(driversOf(home, home.slots[0]!).map((driver) => driver.id)).toEqual([
      "home",
      "here",
      "rail",
    ]);
    expect(contextOf(home, home.slots[0]!, today).drivers).toHaveLength(3);
  });
  it("become the engine's own form, a single day under its name", () => {
    expect(engineDriver({ id: "a", scope: "home", kind: "duct-cleaning", from: day(-3) })).toEqual({
      id: "a",
      kind: "duct-cleaning",
      on: day(-3),
    });
    expect(engineDriver({ id: "b", scope: "home", kind: "people", count: 4 })).toMatchObject({
      kind: "people",
      count: 4,
    });
  });
});

describe("a room's driver", () => {
  const dusty: ScopedDriver = { id: "d", scope: "room", roomId: "hall", kind: "dusty-hobby" };
  it("reaches what stands in the room, and a grille there whose unit does not", () => {
    const inRoom = snapshot([], { drivers: [dusty], units: [{ ...unit, roomId: "hall" }] });
    expect(driversOf(inRoom, inRoom.slots[0]!)).toEqual([dusty]);
    const grille = slot({ slotPlace: "wall-grille", roomId: "hall" });
    expect(driversOf(snapshot([], { drivers: [dusty] }), grille)).toEqual([dusty]);
    const elsewhere = slot({ slotPlace: "wall-grille", roomId: "study" });
    expect(driversOf(inRoom, elsewhere)).toEqual([]);
  });
});

describe("a breathing trouble in the home", () => {
  const lungs: ScopedDriver = { id: "lungs", scope: "home", kind: "breathing-trouble" };
  const filterStatus = (extra: Partial<HomeSnapshot>, events = [event("fitted", -20)]) => {
    const home = snapshot(events, extra);
    return filterStatusOf(home, home.slots[0]!, today, wordsFor);
  };

  it("brings a filter of breathed air due after three quarters of its load", () => {
    const [with_, without] = [filterStatus({ drivers: [lungs] }), filterStatus({})];
    // The same load against three quarters of the life: 4/3 as full.
    expect(with_.wear!.percentNow).toBeCloseTo((without.wear!.percentNow * 4) / 3, 0);
    expect(with_.wear!.likely! < without.wear!.likely!).toBe(true);
    expect(with_.wear!.likelyAtWholeLife).toBe(without.wear!.likely);
    expect(with_.wear!.bookDue).toBe(without.wear!.bookDue);
    expect(with_.reasons).toContainEqual({
      words: "easier breathing",
      daysSooner: daysFrom(with_.wear!.likely!, without.wear!.likely!),
    });
  });

  it("leaves what is learnt of the place alone: it fills no faster for it", () => {
    const events = [event("fitted", -30), look(-12, "grey"), look(-4, "loaded")];
    const [with_, without] = [filterStatus({ drivers: [lungs] }, events), filterStatus({}, events)];
    expect(with_.wear!.belief).toEqual(without.wear!.belief);
    expect(with_.wear!.looksUsed).toBe(2);
    expect(with_.wear!.percentNow).toBeCloseTo((without.wear!.percentNow * 4) / 3, 0);
  });

  it("takes a quarter off the age, too, rounded down", () => {
    const slots = [slot({ maxAgeDays: 25 })];
    expect(filterStatus({ slots }).wear!.likely).toBe(day(-20 + 25));
    expect(filterStatus({ slots, drivers: [lungs] }).wear!.likely).toBe(day(-20 + 18));
  });

  it.each([
    ["stale air", slot({ airSide: "extract" }), lungs],
    ["a water panel", slot({ media: "humidifier-panel" }), lungs],
    ["one that has passed", slot(), { ...lungs, to: day(-1) }],
    ["one still to come", slot(), { ...lungs, from: day(1) }],
  ] as const)("changes nothing for %s", (_, at, driver) => {
    expect(filterStatus({ slots: [at], drivers: [driver] }).wear!.likelyAtWholeLife).toBeNull();
  });

  it("shortens the changes ahead as well", () => {
    const pegs = (drivers: ScopedDriver[]) => {
      const home = snapshot([event("fitted", -20)], { drivers });
      return lintelOf(home, schedule(home), today).pegs.length;
    };
    expect(pegs([lungs])).toBeGreaterThan(pegs([]));
  });
});

describe("the status of a filter", () => {
  const drivers: ScopedDriver[] = [
    { id: "dog", scope: "home", kind: "shedding-pets", count: 1, label: "the dog" },
    { id: "clay", scope: "home", kind: "dusty-hobby", label: "clay dust" },
  ];
  it("says how much sooner than rated, and for what, the strongest first", () => {
    const home = snapshot([event("fitted", -20)], { drivers });
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect(filterStatus.sentence).toMatch(
      /^\d+ (days|weeks|months) sooner than the book: clay dust .+, the dog .+\.$/,
    );
    const [first, second] = filterStatus.reasons;
    expect(first!.daysSooner).toBeGreaterThan(second!.daysSooner);
  });

  it("speaks of the weather it had: a cold February brings it forward", () => {
    const actuals = Array.from({ length: 60 }, (_, i) => ({ date: day(i - 60), meanC: -16 }));
    const home = snapshot([event("fitted", -50)], { actuals });
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect(filterStatus.sentence).toContain("a cold February");
    expect(filterStatus.wear!.weatherDays).toBeGreaterThan(0);
    const mild = snapshot([event("fitted", -50)], {
      actuals: actuals.map((each) => ({ ...each, meanC: 0 })),
    });
    expect(filterStatusOf(mild, mild.slots[0]!, today, wordsFor).sentence).toMatch(
      /later than the book: a mild February/,
    );
  });

  it("names the place's own pace when looks taught one", () => {
    const home = snapshot([event("fitted", -20), look(-10, "loaded"), look(-5, "blocked")]);
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect(filterStatus.reasons.map((reason) => reason.words)).toContain("this slot’s own pace");
  });

  it("has nothing to explain at the rated pace", () => {
    const home = snapshot([event("fitted", -45)]);
    expect(filterStatusOf(home, home.slots[0]!, today, wordsFor).sentence).toBe(
      "When the book says.",
    );
  });

  it("says so when age decides", () => {
    const home = snapshot([event("fitted", -20)], { slots: [slot({ maxAgeDays: 25 })] });
    expect(filterStatusOf(home, home.slots[0]!, today, wordsFor).sentence).toMatch(/^By its age/);
  });

  it("sorts the soonest first, what was never recorded before all", () => {
    const home = snapshot([event("fitted", -20)], { slots: [slot(), slot({ id: "unknown" })] });
    const sorted = home.slots
      .map((each) => filterStatusOf(home, each, today, wordsFor))
      .sort(bySoonest);
    expect(sorted.map((each) => each.slot.id)).toEqual(["unknown", "slot"]);
  });

  it("has a band about its fill", () => {
    const home = snapshot([event("fitted", -20)]);
    const { wear } = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    const band = fillBand(wear!);
    expect(band.low).toBeCloseTo((wear!.percentNow / 100) * Math.exp(-1.2816 * 0.4), 6);
    expect(band.high).toBeGreaterThan(wear!.percentNow / 100);
  });

  it("knows the area that air passes", () => {
    expect(faceAreaM2(slot({ filterCount: 4 }))).toBeCloseTo(4 * 0.508 * 0.508, 9);
  });
});

describe("the lintel", () => {
  it("runs from 30 days ago to 335 ahead, heating below and cooling above", () => {
    const home = snapshot([event("fitted", -20)]);
    const lintel = lintelOf(home, schedule(home), today);
    expect([lintel.from, lintel.to, lintel.heating.length]).toEqual([day(-30), day(335), 366]);
    const january = lintel.heating[30 + 307]!;
    expect(january).toBeGreaterThan(9);
    expect(lintel.cooling[30 + 307]).toBe(0);
    expect(Math.max(...lintel.cooling)).toBeGreaterThan(8);
  });

  it("hangs a peg for each change ahead, in order, each as far on as a filter lasts", () => {
    const home = snapshot([event("fitted", -20)]);
    const { pegs } = lintelOf(home, schedule(home), today);
    expect(pegs.length).toBeGreaterThanOrEqual(3);
    expect(pegs.every((peg, i) => i === 0 || peg.due > pegs[i - 1]!.due)).toBe(true);
    expect(pegs.some((peg) => peg.past)).toBe(false);
  });

  it("lets what is past its day fall, and goes on from today", () => {
    const home = snapshot([event("fitted", -110)]);
    const { pegs } = lintelOf(home, schedule(home), today);
    expect(pegs.map((peg) => peg.past).slice(0, 2)).toEqual([true, false]);
    expect(pegs[1]!.due > today).toBe(true);
  });

  it("shows all systems where none is ducted, and no hours where there is no unit", () => {
    const systems = snapshot([]).systems.map((system) => ({ ...system, ducted: false }));
    const home = snapshot([], { systems });
    expect(Math.max(...lintelOf(home, [], today).heating)).toBeGreaterThan(5);
    const empty = snapshot([], { units: [], slots: [] });
    expect(Math.max(...lintelOf(empty, [], today).heating)).toBe(0);
  });
});

describe("a renewal", () => {
  const happened = { date: today, recordedAt: "2026-03-14T08:30:00Z" };
  const ids = { event: "event", item: "item" };
  it("brings a new item in at the price of all its filters", () => {
    const { event: made, item } = replacementOf(
      slot({ filterCount: 4, priceMinor: 950 }),
      ids,
      happened,
    );
    expect(item).toMatchObject({
      id: "item",
      media: "pleated-25",
      sizeText: "20x20x1",
      priceMinor: 950,
    });
    expect(made).toMatchObject({ kind: "fitted", itemId: "item", costMinor: 3800, date: today });
  });
  it("puts a cleaned one back as the same item, unless there was none", () => {
    const washable = slot({ media: "washable-panel" });
    expect(replacementOf(washable, ids, happened, "before")).toMatchObject({
      item: null,
      event: { kind: "cleaned", itemId: "before" },
    });
    expect(replacementOf(washable, ids, happened).event.kind).toBe("fitted");
  });
});

describe("the ends of a home", () => {
  const at = "2026-03-14T08:00:00Z";
  const entry = (id: string, end: "switch-off" | "panel-off" | "part-drying", extra: object = {}) => ({
    id, unit: "furnace", part: undefined, end, at, action: "open" as const, readyAt: undefined, after: undefined, ...extra,
  }); // prettier-ignore
  const now = "2026-03-14T09:00:00Z";

  it("join what outlived its run with the runs going on", () => {
    const job = jobOf(changePanelFilter);
    const going = [{ job, state: replayRun(job, walk(job, { until: "old-one-out" })) }];
    const ends = endsOfHome(
      now,
      [entry("old", "switch-off", { words: "waiting for a part" })],
      going,
    );
    expect(ends.open.map(({ id, runId, words }) => [id, runId, words])).toEqual([
      ["old", undefined, "waiting for a part"],
      ["run-1:power", "run-1", undefined],
      ["run-1:door", "run-1", undefined],
    ]);
    expect(ends.open.map(({ label }) => label)).toEqual([undefined, "power off", "cover off"]);
    expect(ends.open[0]!.blockedBy).toEqual(["run-1:door"]);
    expect(ends.order).toEqual(["run-1:door", "run-1:power", "old"]);
  });

  it("are one thing for each run, with what dries before the rest, and each for itself after it", () => {
    const core = jobOf(washRecoveryCore);
    const state = replayRun(core, walk(core, { until: "is-it-dry" }));
    const old = { unit: "boiler", words: "no washer" };
    const left = leftOpenOf(
      endsOfHome(now, [entry("old", "part-drying", old)], [{ job: core, state }]),
    );
    expect(left.map(({ id, runId, ends }) => [id, runId, ends.length])).toEqual([
      ["run-1", "run-1", 6],
      ["old", undefined, 1],
    ]);
    expect(left[0]!.drying).toMatchObject({ label: "core drying", readyAt: expect.any(String) });
    expect(left[0]!.ends[0]!.label).toBe("windows open");
    expect(left[1]!.drying).toBeUndefined();
  });

  it("stand in the order recorded, though the device that closed one had a slow clock", () => {
    const opened = entry("door", "panel-off", { at: "2026-03-14T08:30:05Z" });
    const closed = { ...opened, action: "close" as const, at: "2026-03-14T08:29:00Z" };
    expect(endsOfHome(now, [opened, closed], []).open).toEqual([]);
    const again = { ...opened, at: "2026-03-14T08:00:00Z" };
    expect(endsOfHome(now, [opened, closed, again], []).open.map((end) => end.id)).toEqual([
      "door",
    ]);
  });

  it("say what is drying still", () => {
    const drying = entry("core", "part-drying", { readyAt: "2026-03-15T06:00:00Z" });
    expect(endsOfHome(now, [drying], []).open[0]!.isDrying).toBe(true);
    expect(endsOfHome("2026-03-15T06:00:00Z", [drying], []).open[0]!.isDrying).toBe(false);
  });
});

describe("a unit's isolator", () => {
  it.each([
    ["switch", "switch-off"],
    ["breaker", "breaker-off"],
    ["disconnect", "disconnect-out"],
    ["plug", "disconnect-out"],
  ] as const)("is what its %s leaves open: %s", (kind, end) => {
    expect(
      isolatorOf({
        ...unit,
        shutOffs: [
          { id: "gas", kind: "gas-cock", place: "behind" },
          { id: "x", kind, place: "here" },
        ],
      }),
    ).toBe(end);
  });
  it("is taken for a switch where nothing is written down", () => {
    expect(isolatorOf(unit)).toBe("switch-off");
  });
});

describe("whatever was recorded", () => {
  it("can be replayed in any order of entry with the same result", () => {
    const events = [
      event("fitted", -90),
      look(-60, "grey"),
      event("fitted", -50),
      look(-20, "light"),
      look(-8, "grey"),
    ];
    const expected = wearOfSlot(snapshot(events), slot(), today);
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: 5 }), (shuffled) => {
        const home = snapshot(shuffled);
        expect(wearOfSlot(home, home.slots[0]!, today)).toEqual(expected);
        expect(home.history.ofPart("slot")).toHaveLength(5);
      }),
      { numRuns: 20 },
    );
  });
});
