import fc from "fast-check";
import { compute } from "../compute/compute";
import { runHours, runHoursInput } from "./run-hours";

const climate = {
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
};
const still = { ...climate, spreadC: 0 };
const furnace = { heats: true, cools: true, fan: { mode: "auto" } };
const of = (extra: object) =>
  runHours(
    runHoursInput.parse({
      climate: still,
      equipment: furnace,
      from: "2026-01-15",
      to: "2026-01-15",
      ...extra,
    }),
  );
const hoursOn = (date: string, extra: object = {}) =>
  of({ from: date, to: date, ...extra }).days[0]!;

describe("run hours", () => {
  it("rise in a straight line below the balance temperature", () => {
    // 24/1.4 · (16 − (−9)) / (16 − (−24)) = 17.142857 · 0.625 = 10.7143
    expect(hoursOn("2026-01-15")).toEqual({
      date: "2026-01-15",
      heatingHours: 10.7143,
      coolingHours: 0,
      runHours: 10.7143,
      source: "model",
    });
    // 24/1.4 · (16 − 7) / 40 = 3.8571
    expect(hoursOn("2026-04-15").heatingHours).toBe(3.8571);
    // 24/1.2 · (21 − 18) / (26 − 18) = 7.5
    expect(hoursOn("2026-07-15").coolingHours).toBe(7.5);
  });

  it("average over the scatter of real days where only a normal is known", () => {
    // Beyond the bend the average is more than the value at the average. Calculated independently.
    expect(hoursOn("2026-07-15", { climate })).toMatchObject({
      heatingHours: 0.0658,
      coolingHours: 8.8836,
    });
    expect(hoursOn("2026-05-15", { climate })).toMatchObject({
      heatingHours: 1.5229,
      coolingHours: 0.3836,
    });
    // An actual is no normal: nothing scatters about it.
    const actuals = [{ date: "2026-07-15", meanC: 21 }];
    expect(hoursOn("2026-07-15", { climate, actuals }).coolingHours).toBe(7.5);
  });

  it("never run past a day, however cold", () => {
    const actuals = [{ date: "2026-01-15", meanC: -60 }];
    expect(hoursOn("2026-01-15", { actuals }).runHours).toBe(24);
  });

  it("divide by five kelvin at least where design and balance nearly meet", () => {
    // 24/1.4 · (16 − 12) / 5 = 13.7143
    const mild = { ...still, monthlyMeanC: new Array(12).fill(12), heatingDesignC: 13 };
    expect(hoursOn("2026-01-15", { climate: mild }).heatingHours).toBe(13.7143);
  });

  it.each([
    ["auto", { mode: "auto" }, 5.3571],
    ["a minimum below what it runs", { mode: "minimum", hours: 3 }, 5.3571],
    ["a minimum above", { mode: "minimum", hours: 8 }, 8],
    ["day and night", { mode: "continuous" }, 24],
    ["day and night at part load", { mode: "continuous", level: 0.35 }, 8.4],
  ])("take the share in use before the fan's rule: %s", (_, fan, run) => {
    expect(hoursOn("2026-01-15", { equipment: { ...furnace, useShare: 0.5, fan } }).runHours).toBe(
      run,
    );
  });

  it("are none outside the spells of use, which may wrap over new year", () => {
    const winter = { ...furnace, inUse: [{ from: "10-01", to: "03-31" }] };
    expect(hoursOn("2026-01-15", { equipment: winter }).runHours).toBe(10.7143);
    expect(hoursOn("2026-03-31", { equipment: winter }).runHours).toBeGreaterThan(0);
    expect(hoursOn("2026-04-01", { equipment: winter }).runHours).toBe(0);
    expect(hoursOn("2026-01-15", { equipment: { ...furnace, inUse: [] } }).runHours).toBe(0);
    const leapDay = { ...furnace, inUse: [{ from: "02-29", to: "02-29" }] };
    expect(hoursOn("2024-02-29", { equipment: leapDay }).runHours).toBeGreaterThan(0);
  });

  it("are what a meter read, in use or not; heating and cooling stay the model's", () => {
    const measured = [
      { date: "2026-01-15", hours: 3 },
      { date: "2026-01-15", hours: 4.5 },
    ];
    expect(hoursOn("2026-01-15", { measured })).toMatchObject({
      heatingHours: 10.7143,
      runHours: 4.5,
      source: "measured",
    });
    expect(hoursOn("2026-01-15", { measured, equipment: { ...furnace, inUse: [] } }).runHours).toBe(
      4.5,
    );
  });

  it("add up to their total before anything is rounded", () => {
    const { days, totalHours } = of({ climate, from: "2025-01-01", to: "2025-12-31" });
    const sum = days.reduce((total, day) => total + day.runHours, 0);
    expect(days).toHaveLength(365);
    expect(Math.abs(sum - totalHours)).toBeLessThan(365 * 0.00005);
  });

  it("never fall as it gets colder below both balances, nor leave a day's 24", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -50, max: 15 }),
        fc.integer({ min: 0, max: 20 }),
        (meanC, colder) => {
          const at = (value: number) =>
            hoursOn("2026-01-15", { actuals: [{ date: "2026-01-15", meanC: value }] }).runHours;
          expect(at(meanC - colder)).toBeGreaterThanOrEqual(at(meanC));
          expect(at(meanC)).toBeLessThanOrEqual(24);
        },
      ),
    );
  });

  it.each([
    [
      "a minimum without hours",
      { equipment: { ...furnace, fan: { mode: "minimum" } } },
      ["equipment", "fan", "hours"],
    ],
    [
      "a fan nobody knows",
      { equipment: { ...furnace, fan: { mode: "breeze" } } },
      ["equipment", "fan", "mode"],
    ],
    ["a share above one", { equipment: { ...furnace, useShare: 1.2 } }, ["equipment", "useShare"]],
    [
      "an oversize of nothing",
      { equipment: { ...furnace, heatOversize: 0 } },
      ["equipment", "heatOversize"],
    ],
    [
      "25 measured hours",
      { measured: [{ date: "2026-01-15", hours: 25 }] },
      ["measured", 0, "hours"],
    ],
    [
      "a day of use that does not exist",
      { equipment: { ...furnace, inUse: [{ from: "02-30", to: "03-01" }] } },
      ["equipment", "inUse", 0, "from"],
    ],
  ])("refuse %s, and say where", (_, wrong, path) => {
    const input = { climate, equipment: furnace, from: "2026-01-15", to: "2026-01-15", ...wrong };
    expect(compute("run-hours", JSON.stringify(input))).toMatchObject({
      ok: false,
      error: { path },
    });
  });
});
