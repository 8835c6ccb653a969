import { UNIT_LIFE } from "@/content/unit-life";
import { unitKind } from "@/content/unit-kinds";
import { day, event, slot, snapshot, today, unit } from "../../../tests/small-home";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { Visit } from "../visits/visit";
import { totalOf, unitCosts, worthOf } from "./unit-costs";

const visit = (extra: Partial<Visit>): Visit => ({
  id: "v",
  reason: "yearly",
  unitIds: ["furnace"],
  on: day(-30),
  endedAt: "2026-02-12T10:00:00Z",
  ...extra,
});
const costs = (events: Parameters<typeof snapshot>[0], extra: Partial<HomeSnapshot> = {}) =>
  unitCosts(snapshot(events, extra), "furnace", today).at(-1)!;

describe("what a machine costs", () => {
  it("has its filters at their own price, else at what one costs there", () => {
    const slots = [slot({ priceMinor: 900, filterCount: 2 })];
    const fitted = [event("fitted", -5), event("fitted", -2, { costMinor: 1500 })];
    // Two at 9.00, and one change that was noted with its bill.
    expect(costs(fitted, { slots }).filters).toBe(2 * 900 + 1500);
  });

  it("shares a visit among its machines, and takes what was done on it from its bill", () => {
    const visits = [visit({ costMinor: 9001, unitIds: ["furnace", "other"] })];
    const done = event("done", -30, { visitId: "v", costMinor: 4000, minutes: 60 });
    expect(costs([done], { visits })).toMatchObject({ visits: 4501, jobs: 0, minutes: 0 });
  });

  it("counts no visit that is only planned", () => {
    const { endedAt: _, ...planned } = visit({ costMinor: 9000 });
    expect(totalOf(costs([], { visits: [planned] }))).toBe(0);
  });

  it("counts the bill of a breakdown once, the greater of the two", () => {
    const stopped = event("breakdown", -28, { costMinor: 20000, breakdown: { daysWithout: 2 } });
    const visits = [visit({ reason: "breakdown", costMinor: 19500 })];
    expect(costs([stopped], { visits })).toMatchObject({
      ...{ repairs: 20000, visits: 0, breakdowns: 1, daysWithout: 2 },
    });
    // A visit half a year away sent a bill of its own.
    const other = [visit({ reason: "breakdown", costMinor: 19500, on: day(-70) })];
    expect(costs([stopped], { visits: other }).repairs).toBe(39500);
  });

  it("counts one’s own minutes by what an hour is worth", () => {
    const { home } = snapshot([]);
    const done = event("done", -3, { minutes: 45, costMinor: 350 });
    expect(costs([done], { home: { ...home, hourMinor: 2000 } })).toMatchObject({
      ...{ own: 1500, minutes: 45, jobs: 350 },
    });
    expect(costs([done]).own).toBe(0);
  });

  it("has every year from the first to this one", () => {
    const old = event("done", -800, { costMinor: 100 });
    expect(unitCosts(snapshot([old]), "furnace", today).map(({ year }) => year)).toEqual([
      2024, 2025, 2026,
    ]);
    expect(unitCosts(snapshot([]), unit.id, today)).toHaveLength(1);
  });
});

describe("repair or replace", () => {
  const life = { min: 15, max: 25 };
  const ask = (ageYears: number, repairMinor: number, repairsPerYear = 0) =>
    worthOf({
      ...{ ageYears, life, repairMinor, repairsPerYear },
      replacementMinor: 400000,
      runningPerYear: 10000,
    });
  it("spreads the repair over the years it has left, the new one over a usual life", () => {
    // 20 years usual: 10 left. 50,000 / 10 + 10,000 against 400,000 / 20 + 10,000.
    expect(ask(10, 50000)).toEqual({
      ...{ yearsLeft: 10, keepPerYear: 15000, replacePerYear: 30000, advice: "repair" },
    });
  });
  it("replaces what is past its life or keeps breaking down", () => {
    expect(ask(24, 50000)).toMatchObject({ yearsLeft: 1, keepPerYear: 60000, advice: "replace" });
    expect(ask(10, 50000, 40000).advice).toBe("replace");
  });
  it("does not decide where both cost about the same", () => {
    expect(ask(10, 190000).advice).toBe("even");
  });
  it("knows the life of kinds there are, shortest before longest", () => {
    for (const [kind, { min, max }] of Object.entries(UNIT_LIFE)) {
      expect(unitKind(kind).id).toBe(kind);
      expect(min).toBeLessThan(max);
    }
  });
});
