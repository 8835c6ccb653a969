import { climateSchema } from "../climate/climate";
import { fromDay, plainDate, toDay } from "../quantities/plain-date";
import { AIR_SIDES, driverSchema, dustMultipliers, type AirSide } from "./drivers";

// Growth by the seven-day mean of 9 °C and more: from the middle of May into October.
const climate = climateSchema.parse({
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
});
const from = toDay(plainDate("2026-01-01"));
const multipliers = (side: AirSide, drivers: object[], size = 200) =>
  dustMultipliers(
    drivers.map((driver) => driverSchema.parse(driver)),
    side,
    from,
    size,
    climate,
  );
const onEachSide = (driver: object) =>
  AIR_SIDES.map((side) => Number(multipliers(side, [driver], 1)[0]!.toFixed(6)));

describe("dust multipliers", () => {
  // recirculated, outdoor, extract
  it.each([
    [{ kind: "shedding-pets", count: 2 }, [1.3, 1, 1.2]],
    [{ kind: "shedding-pets", count: 9 }, [1.6, 1, 1.4]],
    [{ kind: "people", count: 2 }, [1, 1, 1]],
    [{ kind: "people", count: 5 }, [1.15, 1, 1.09]],
    [{ kind: "indoor-smoking" }, [1.4, 1, 1.3]],
    [{ kind: "dusty-hobby" }, [1.3, 1, 1.2]],
    [{ kind: "renovation", from: "2026-01-01" }, [3, 1.2, 2]],
    [{ kind: "duct-cleaning", on: "2026-01-01" }, [3, 1, 1]],
    [{ kind: "moved-in", on: "2026-01-01" }, [1.4, 1, 1.2]],
    [{ kind: "dusty-region" }, [1.25, 1.5, 1.1]],
    [{ kind: "busy-road" }, [1.1, 1.4, 1.05]],
    [{ kind: "smoke-episode", from: "2026-01-01" }, [1.5, 3, 1.2]],
    [{ kind: "dryer-or-litter-beside" }, [1.15, 1, 1.1]],
    [{ kind: "cooking-grease" }, [1.05, 1, 1.3]],
    [{ kind: "bypass", fraction: 0.2 }, [0.8, 0.8, 0.8]],
    [{ kind: "building-nearby", from: "2026-01-01" }, [1.1, 2.5, 1.05]],
    [{ kind: "dryer-vent-near" }, [1, 1.4, 1]],
  ])("of %j are %j", (driver, expected) => {
    expect(onEachSide(driver)).toEqual(expected);
  });

  it.each([
    [{ kind: "duct-cleaning", on: "2026-01-10" }, 9, 14],
    [{ kind: "moved-in", on: "2026-01-10" }, 9, 120],
    [{ kind: "smoke-episode", from: "2026-01-10", to: "2026-01-12" }, 9, 3],
    [{ kind: "busy-road", to: "2026-01-05" }, 0, 5],
    [{ kind: "busy-road", from: "2026-06-20" }, 170, 30],
  ])("of %j act on the days they should", (driver, first, days) => {
    const acting = [...multipliers("outdoor", [driver])]
      .map((value, i) => (value > 1 ? i : -1))
      .filter((i) => i >= 0);
    const inside = [...multipliers("recirculated", [driver])]
      .map((value, i) => (value > 1 ? i : -1))
      .filter((i) => i >= 0);
    const seen = inside.length > 0 ? inside : acting;
    expect([seen[0], seen.length]).toEqual([first, days]);
  });

  it("of seed fluff act on days of growth, and within its own days where it has some", () => {
    const days = (driver: object) => {
      const acting = [...multipliers("outdoor", [{ kind: "seed-fluff", ...driver }], 365)];
      const on = acting.flatMap((value, i) => (value > 1 ? [i] : []));
      expect(new Set(acting)).toEqual(new Set([1, 1.6]));
      return [on[0]!, on.at(-1)!].map((i) => fromDay(from + i));
    };
    // Between 7 °C on 15 April and 13 °C on 15 May a day warms by 0.2 K: 9 °C on the 25th, and the
    // mean of the week ending three days later; down from 15 to 8 °C by 7/30 K a day.
    expect(days({})).toEqual(["2026-04-28", "2026-10-13"]);
    expect(days({ from: "2026-06-01", to: "2026-06-20" })).toEqual(["2026-06-01", "2026-06-20"]);
    expect([...multipliers("recirculated", [{ kind: "seed-fluff" }], 365)]).not.toContain(1.6);
  });

  it("take the strongest of a kind on each day: work beats the aftermath of work", () => {
    const values = multipliers("recirculated", [
      { kind: "renovation", from: "2026-01-01", to: "2026-01-10" },
      { kind: "renovation", from: "2026-01-20", to: "2026-01-25" },
    ]);
    expect([
      values[9],
      values[10],
      values[18],
      values[19],
      values[24],
      values[25],
      values[54],
      values[55],
    ]).toEqual([3, 1.5, 1.5, 3, 3, 1.5, 1.5, 1]);
  });

  it("stay between a half and six", () => {
    const dusty = [
      { kind: "renovation", from: "2026-01-01" },
      { kind: "duct-cleaning", on: "2026-01-01" },
      { kind: "indoor-smoking" },
    ];
    expect(multipliers("recirculated", dusty, 1)[0]).toBe(6);
    expect(multipliers("recirculated", [{ kind: "bypass", fraction: 0.9 }], 1)[0]).toBe(0.5);
  });
});
