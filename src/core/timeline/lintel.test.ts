import { wearByPart } from "./home-status";
import { scheduleOf } from "../scheduling/schedule";
import { lintelOf } from "./lintel";
import { type HomeSnapshot } from "../history/home-snapshot";
import { filterStatusOf } from "../filters/filter-status";
import { planned, RENEW } from "../scheduling/task";
import { today, day, event, snapshot, wordsFor } from "../../../tests/small-home";

/** The change of each filter of a home, by its wear. */
const schedule = (home: HomeSnapshot) => {
  const change = { key: RENEW, name: "Change the filter", trigger: { kind: "wear" as const } };
  const definition = { ...change, who: "owner" as const, handsOn: 10, waiting: 0 };
  const tasks = home.slots.map(({ id, unitId }) =>
    planned(definition, { unitId, partId: id, kind: "filter" }, undefined),
  );
  const filterStatuses = home.slots.map((each) => filterStatusOf(home, each, today, wordsFor));
  return scheduleOf(home, tasks, wearByPart(filterStatuses), today, day(730));
};

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
