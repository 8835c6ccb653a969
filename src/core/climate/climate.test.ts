import fc from "fast-check";
import { compute } from "../compute/compute";
import { plainDate, toDay } from "../quantities/plain-date";
import { climateInput, climateDays, normalOn, normals } from "./climate";

/** Long cold winters, humid summers: the monthly means of the demo's made-up town. */
const MONTHS = [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6];
const climate = { monthlyMeanC: MONTHS, heatingDesignC: -24, coolingDesignMeanC: 26 };
const of = (extra: object) => climateDays(climateInput.parse({ climate, ...extra }));

describe("normals", () => {
  // Straight lines between the 15ths, by hand: 1 January lies 17 of 31 days from 15 December,
  // −6 − 3·17/31 = −7.6452; 28 February 13 of 28 days on: −7 + 6·13/28 = −4.2143; in a leap year
  // 29 February 14 of 29 days on: −7 + 6·14/29 = −4.1034.
  it.each([
    ["2026-01-15", -9],
    ["2026-01-01", -7.6452],
    ["2026-02-28", -4.2143],
    ["2024-02-29", -4.1034],
    ["2025-12-31", -7.5484],
  ])("on %s are %d °C", (date, mean) => {
    expect(normalOn(MONTHS, toDay(plainDate(date)))).toBeCloseTo(mean, 4);
  });

  it("are the same a day at a time and a span at a time", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -3000, max: 30_000 }),
        fc.integer({ min: 0, max: 800 }),
        (from, length) => {
          const span = normals(MONTHS, from, from + length);
          expect(span[0]).toBeCloseTo(normalOn(MONTHS, from), 9);
          expect(span[length]).toBeCloseTo(normalOn(MONTHS, from + length), 9);
        },
      ),
    );
  });
});

describe("climate", () => {
  // From a calculation of its own, outside this code base, in plain date arithmetic.
  it("finds the turns of a northern year", () => {
    const { seasons } = of({ from: "2026-01-01", to: "2026-12-31" });
    expect(seasons).toEqual({
      heatingStart: ["2026-09-23"],
      heatingEnd: ["2026-05-25"],
      coolingStart: ["2026-06-19"],
      coolingEnd: ["2026-08-31"],
      firstWarmDay: ["2026-05-28"],
      firstFrost: ["2026-10-29"],
      lastFrost: ["2026-04-08"],
      leafFall: ["2026-10-14"],
      snowFrom: ["2026-11-27"],
      snowTo: ["2026-03-18"],
    });
  });

  it("finds them half a year later where the summer is in January", () => {
    const southern = [...MONTHS.slice(6), ...MONTHS.slice(0, 6)];
    const { seasons } = of({
      climate: { ...climate, monthlyMeanC: southern },
      from: "2026-01-01",
      to: "2026-12-31",
    });
    expect(seasons.heatingStart).toEqual(["2026-03-23"]);
    expect(seasons.heatingEnd).toEqual(["2026-11-24"]);
    expect(seasons.coolingEnd).toEqual(["2026-03-02"]);
    expect(seasons.snowFrom).toEqual(["2026-05-27"]);
    expect(seasons.leafFall).toEqual(["2026-04-14"]);
  });

  it("has no season where nothing is ever crossed", () => {
    const { seasons } = of({
      climate: { ...climate, monthlyMeanC: new Array(12).fill(16) },
      from: "2026-01-01",
      to: "2027-12-31",
    });
    expect(Object.values(seasons).flat()).toEqual([]);
  });

  it("takes the last actual of a day, and no season moves for it", () => {
    const actuals = [
      { date: "2026-01-15", meanC: -20 },
      { date: "2026-01-15", meanC: -21.5 },
    ];
    const span = { from: "2026-01-14", to: "2026-01-16" };
    expect(of({ actuals, ...span }).days[1]).toEqual({
      date: "2026-01-15",
      meanC: -21.5,
      source: "actual",
    });
    const year = { from: "2026-01-01", to: "2026-12-31" };
    const hot = [...new Array(30)].map((_, i) => ({
      date: `2026-04-${String(i + 1).padStart(2, "0")}`,
      meanC: 25,
    }));
    expect(of({ actuals: hot, ...year }).seasons).toEqual(of(year).seasons);
  });

  it("crosses every bound as often up as down, within one", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -30, max: 35 }), { minLength: 12, maxLength: 12 }),
        (months) => {
          const { seasons } = of({
            climate: { ...climate, monthlyMeanC: months },
            from: "2025-01-01",
            to: "2027-12-31",
          });
          expect(
            Math.abs(seasons.heatingStart.length - seasons.heatingEnd.length),
          ).toBeLessThanOrEqual(1);
          expect(
            Math.abs(seasons.firstFrost.length - seasons.lastFrost.length),
          ).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 40 },
    );
  });

  it.each([
    [
      "eleven months",
      { climate: { ...climate, monthlyMeanC: MONTHS.slice(1) } },
      ["climate", "monthlyMeanC"],
    ],
    ["an unknown key", { climate: { ...climate, snow: 3 } }, ["climate"]],
    ["a span that ends before it starts", { from: "2026-02-01", to: "2026-01-01" }, ["to"]],
    ["a day that does not exist", { to: "2026-02-30" }, ["to"]],
    ["a required null", { climate: null }, ["climate"]],
    ["a negative spread", { climate: { ...climate, spreadC: -1 } }, ["climate", "spreadC"]],
  ])("refuses %s, and says where", (_, wrong, path) => {
    const input = { climate, from: "2026-01-01", to: "2026-01-31", ...wrong };
    expect(compute("climate", JSON.stringify(input))).toMatchObject({
      ok: false,
      error: { code: "invalid-input", path },
    });
  });
});
