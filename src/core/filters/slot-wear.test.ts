import fc from "fast-check";
import { addDays } from "../quantities/plain-date";
import { contextOf, driversOf, engineDriver, installedPeriodsOf } from "./slot-wear";
import type { HistoryEvent } from "../history/history-event";
import { type ScopedDriver } from "../inventory/inventory";
import { filterStatusOf } from "./filter-status";
import { daysLeft } from "./wear-status";
import {
  day,
  event,
  look,
  slot,
  snapshot,
  today,
  unit,
  wearOfSlot,
  wordsFor,
} from "../../../tests/small-home";

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
    const relief = filterStatus.causes.find(({ cause }) => cause === "relief")!;
    expect(addDays(filterStatus.wear!.likely!, relief.days!)).toBe(without.wear!.likely);
    expect(filterStatus.sentence).toContain("vacuuming it in place");
  });

  it("take a light that came on for a look that shows loaded, if the looks are not forgotten", () => {
    const lit = (value: string) =>
      event("reading", -5, { reading: { kind: "indicator-light", value } as never });
    const looks = (...events: HistoryEvent[]) => {
      const home = snapshot([event("fitted", -60), ...events]);
      return installedPeriodsOf(home, home.slots[0]!)[0]!.looks.map(({ grade }) => grade);
    };
    expect(looks(lit("on"))).toEqual(["loaded"]);
    expect(looks(lit("off"))).toEqual([]);
    expect(looks(lit("on"), event("forgotten", 0, { recordedAt: "2026-03-15T00:00:00Z" }))).toEqual(
      [],
    );
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
