import fc from "fast-check";
import { compute } from "../compute/compute";
import { addDays, plainDate } from "../quantities/plain-date";
import { judge, judgeInput } from "./judge";
import {
  isAtLeast,
  MEASURED_KINDS,
  VERDICTS,
  WORD_KINDS,
  PLATE_UNITS,
  type MeasuredReading,
  type ReadingKind,
} from "./reading-kinds";
import { readingFigure, readingWords, unitsFor } from "./reading-units";
import { trend, trendInput } from "./trend";

const ask = (input: object) => judge(judgeInput.parse(input));
const refused = (input: object) => {
  const answer = compute("judge", JSON.stringify(input));
  return answer.ok ? null : answer.error;
};

describe("judging what is measured", () => {
  // Of 45 µF ± 6 %: sound within 1.62, watch within 2.7.
  const capacitor = (value: number) => ({ kind: "capacitor-uf", value, unit: "uF", rated: 45 });
  it.each([
    [capacitor(46.62), "sound", 3.6, 47.7],
    [capacitor(43.3), "watch", -3.8, 42.3],
    [capacitor(42.3), "watch", -6, 42.3],
    [capacitor(42.2), "act", -6.2, 42.3],
    [{ ...capacitor(42.2), school: "general" }, "watch", -6.2, 40.5],
    [
      { ...capacitor(42.2), school: "general", limits: { tolerancePercent: 5 } },
      "act",
      -6.2,
      42.75,
    ],
    [{ ...capacitor(45), flags: ["bulged"] }, "stop", 0, 42.3],
    [{ kind: "capacitor-uf", unit: "uF", rated: 45, flags: ["leaking"] }, "stop", null, null],
    [{ kind: "motor-amps", value: 9, unit: "A", rated: 10 }, "sound", -10, 10],
    [{ kind: "motor-amps", value: 9.5, unit: "A", rated: 10 }, "watch", -5, 10],
    [{ kind: "motor-amps", value: 10.1, unit: "A", rated: 10 }, "act", 1, 10],
    [{ kind: "thermocouple-mv", value: 17, unit: "mV" }, "sound", 0, 15],
    [{ kind: "thermocouple-mv", value: 15, unit: "mV" }, "watch", -2, 15],
    [{ kind: "thermocouple-mv", value: 14.9, unit: "mV" }, "act", -2.1, 15],
    [{ kind: "thermocouple-mv", value: 33, unit: "mV" }, "act", 1, 32],
    [{ kind: "thermocouple-mv", value: 12, unit: "mV", mode: "loaded" }, "sound", 0, 9],
    [{ kind: "thermocouple-mv", value: 8.9, unit: "mV", mode: "loaded" }, "act", -3.1, 9],
    [
      { kind: "temperature-rise-k", value: 40, unit: "K", rated: { min: 20, max: 40 } },
      "sound",
      0,
      42,
    ],
    [
      { kind: "temperature-rise-k", value: 18, unit: "K", rated: { min: 20, max: 40 } },
      "watch",
      -2,
      18,
    ],
    [
      { kind: "temperature-rise-k", value: 55, unit: "K", rated: { min: 20, max: 40 } },
      "act",
      15,
      42,
    ],
    [
      { kind: "temperature-rise-k", value: 55.1, unit: "K", rated: { min: 20, max: 40 } },
      "stop",
      15.1,
      42,
    ],
    [{ kind: "cooling-split-k", value: 13, unit: "K" }, "watch", 1, 14],
    [{ kind: "cooling-split-k", value: 5, unit: "K" }, "act", -3, 6],
    // Nobody gave the plate’s: 125 Pa.
    [{ kind: "static-pressure-pa", value: 100, unit: "Pa" }, "sound", -20, 125],
    [{ kind: "static-pressure-pa", value: 126, unit: "Pa" }, "act", 0.8, 125],
    [{ kind: "filter-drop", value: 79.9, unit: "Pa", rated: 50 }, "sound", 59.8, 100],
    [{ kind: "filter-drop", value: 80, unit: "Pa", rated: 50 }, "watch", 60, 100],
    [{ kind: "filter-drop", value: 100, unit: "Pa", rated: 50 }, "act", 100, 100],
    [
      { kind: "filter-drop", value: 70, unit: "Pa", rated: 50, limits: { finalRatio: 1.4 } },
      "act",
      40,
      70,
    ],
    [{ kind: "boiler-pressure-bar", value: 1.5, unit: "bar" }, "sound", 0, 0.8],
    [{ kind: "boiler-pressure-bar", value: 2.5, unit: "bar" }, "watch", 0.5, 2.5],
    [{ kind: "boiler-pressure-bar", value: 2.6, unit: "bar" }, "act", 0.6, 2.5],
    [{ kind: "boiler-pressure-bar", value: 3, unit: "bar" }, "stop", 1, 2.5],
    [{ kind: "co-ppm", value: 0, unit: "ppm" }, "sound", 0, 9],
    [{ kind: "co-ppm", value: 9, unit: "ppm" }, "watch", 9, 9],
    [{ kind: "co-ppm", value: 29.9, unit: "ppm" }, "act", 29.9, 9],
    [{ kind: "co-ppm", value: 30, unit: "ppm" }, "stop", 30, 9],
    [{ kind: "relative-humidity", value: 50, unit: "%" }, "sound", 0, 60],
    [{ kind: "relative-humidity", value: 42, unit: "%", limits: { fogLimit: 38 } }, "watch", 4, 60],
    [{ kind: "relative-humidity", value: 19, unit: "%", limits: { fogLimit: 38 } }, "act", -11, 20],
    [{ kind: "sensor-offset-k", value: -2, unit: "K" }, "watch", -1, -2],
    [{ kind: "heat-recovery-efficiency", value: 0.63, unit: "1", rated: 0.84 }, "watch", -25, 0.63],
    [{ kind: "heat-recovery-efficiency", value: 0.62, unit: "1", rated: 0.84 }, "act", -26.2, 0.63],
    [{ kind: "closed-registers", value: 3, unit: "1", rated: 18 }, "sound", -83.3, 6],
    [{ kind: "closed-registers", value: 6, unit: "1", rated: 18 }, "watch", -66.7, 6],
    [{ kind: "closed-registers", value: 7, unit: "1", rated: 18 }, "act", -61.1, 6],
    [
      { kind: "closed-registers", value: 0, unit: "1", rated: 18, flags: ["return-shut"] },
      "act",
      -100,
      6,
    ],
    [{ kind: "superheat-k", value: 9, unit: "K", rated: 6 }, "sound", 0, 11],
    [{ kind: "subcooling-k", value: 0.9, unit: "K", rated: 6 }, "act", -2.1, 1],
    [{ kind: "superheat-k", value: 10.5, unit: "K", rated: 6 }, "watch", 1.5, 11],
    [{ kind: "superheat-k", value: 4, unit: "K", rated: 0 }, "watch", 1, 5],
    // A swollen one is done for, whatever it reads and whatever is printed on it.
    [{ kind: "capacitor-uf", flags: ["bulged"] }, "stop", null, null],
    [{ kind: "capacitor-uf", value: 40, unit: "uF", flags: ["leaking"] }, "stop", null, null],
    [{ kind: "alarm-age-years", value: 5, unit: "yr" }, "watch", 0, 7],
    [{ kind: "alarm-age-years", value: 7, unit: "yr" }, "act", 2, 7],
    [{ kind: "clearance-m", value: 0.6, unit: "m" }, "watch", -0.3, 0.6],
    [{ kind: "plate-range", value: 3.4, unit: "kPa", rated: { min: 1, max: 3 } }, "act", 0.4, 3.1],
    [
      { kind: "plate-range", value: 3.1, unit: "kPa", rated: { min: 1, max: 3 } },
      "watch",
      0.1,
      3.1,
    ],
  ])("%j", (input, verdict, deviation, limit) => {
    const result = ask(input);
    expect([result.verdict, result.deviation, result.limit]).toEqual([verdict, deviation, limit]);
    expect(result.messageCode).toBe(`${input.kind}.${verdict}`);
  });

  it.each([
    [{ ...capacitor(501) }, ["value"]],
    [{ ...capacitor(40), unit: "A" }, ["unit"]],
    [{ kind: "capacitor-uf", value: 40, unit: "uF" }, ["rated"]],
    [{ ...capacitor(40), rated: 0 }, ["rated"]],
    [{ kind: "closed-registers", value: 19, unit: "1", rated: 18 }, ["value"]],
    [{ kind: "capacitor-uf", unit: "A", flags: ["bulged"] }, ["unit"]],
    [{ kind: "capacitor-uf", unit: "uF", rated: 45 }, ["value"]],
    [{ kind: "co-ppm", value: 3, unit: "ppm", rated: 3 }, ["rated"]],
    [{ kind: "temperature-rise-k", value: 30, unit: "K", rated: 40 }, ["rated"]],
    [{ kind: "closed-registers", value: 2.5, unit: "1", rated: 18 }, ["value"]],
    [{ kind: "flame", value: "blue" }, ["value"]],
    [{ kind: "flame", value: "steady-blue", unit: "K" }, ["unit"]],
    [{ kind: "plate-range", value: 3, unit: "mph", rated: { min: 1, max: 3 } }, ["unit"]],
    [{ kind: "plate-range", value: 3, unit: "V", rated: { min: 4, max: 3 } }, ["rated"]],
    [{ kind: "aura", value: 3, unit: "V" }, ["kind"]],
  ])("refuses %j", (input, path) => {
    expect(refused(input)?.path).toEqual(path);
  });
});

describe("what a reading can be", () => {
  // Beyond these it was misread or mistyped, whatever the machine.
  it.each([
    ["capacitor-uf", 0, 500],
    ["motor-amps", 0, 200],
    ["thermocouple-mv", 0, 100],
    ["temperature-rise-k", 0, 150],
    ["cooling-split-k", -10, 40],
    ["static-pressure-pa", 0, 2000],
    ["filter-drop", 0, 2000],
    ["boiler-pressure-bar", 0, 10],
    ["co-ppm", 0, 10_000],
    ["relative-humidity", 0, 100],
    ["sensor-offset-k", -40, 40],
    ["heat-recovery-efficiency", 0, 1.1],
    ["closed-registers", 0, 500],
    ["superheat-k", -5, 60],
    ["subcooling-k", -5, 60],
    ["alarm-age-years", 0, 50],
    ["clearance-m", 0, 100],
    ["flame-current-ua", 0, 100],
    ["valve-airflow", 0, 2000],
  ] as const)("%s: from %d to %d, both included", (kind, least, most) => {
    const { unit, rated } = MEASURED_KINDS[kind];
    const at = (value: number) =>
      refused({
        kind,
        unit,
        value,
        ...(rated === "value" ? { rated: kind === "closed-registers" ? 500 : 20 } : {}),
        ...(rated === "band" ? { rated: { min: 20, max: 40 } } : {}),
      })?.path;
    expect([least, most].map(at)).toEqual([undefined, undefined]);
    const step = kind === "closed-registers" ? 1 : 0.01;
    expect([least - step, most + step].map(at)).toEqual([["value"], ["value"]]);
  });

  it("says what was seen of a part that has no figure any more", () => {
    expect(ask({ kind: "capacitor-uf", unit: "uF", rated: 45, flags: ["leaking"] }).facts).toEqual({
      flags: ["leaking"],
    });
  });
});

describe("how a reading is written", () => {
  it.each([
    ["filter-drop", "us", 24.9089, "0.1 in. w.g.", "0.1"],
    ["filter-drop", "metric", 24.9089, "24.9 Pa", "24.9089"],
    ["boiler-pressure-bar", "us", 1.378952, "20 psi", "20"],
    ["clearance-m", "us", 0.6096, "2 ft", "2"],
    ["valve-airflow", "us", 33.98022, "20 cfm", "20"],
    ["temperature-rise-k", "us", 20, "36 °F", "36"],
    ["temperature-rise-k", "metric", 20, "20 °C", "20"],
    ["sensor-offset-k", "metric", -1.5, "−1.5 °C", "-1.5"],
    ["capacitor-uf", "us", 4.7912, "4.79 µF", "4.7912"],
    ["flame-current-ua", "metric", 2.5, "2.5 µA", "2.5"],
    ["alarm-age-years", "metric", 7, "7 years", "7"],
    ["heat-recovery-efficiency", "us", 0.615, "61.5 %", "61.5"],
    ["closed-registers", "us", 3, "3", "3"],
  ] as const)("%s, %s: %d is “%s”", (kind, system, value, words, figure) => {
    expect(readingWords(kind, value, system)).toBe(words);
    expect(readingFigure(kind, value, system)).toBe(figure);
  });

  it("offers the home’s own unit first, then the other; words and plates have their own", () => {
    const units = (kind: ReadingKind, system: "metric" | "us") =>
      unitsFor(kind, system).map(({ value }) => value);
    expect(units("filter-drop", "us")).toEqual(["inH2O", "Pa"]);
    expect(units("filter-drop", "metric")).toEqual(["Pa", "inH2O"]);
    expect(units("co-ppm", "us")).toEqual(["ppm"]);
    expect(units("flame", "us")).toEqual([]);
    expect(units("plate-range", "us")).toEqual([...PLATE_UNITS]);
    expect(unitsFor("plate-range", "us").every(({ per }) => per === 1)).toBe(true);
    expect(readingWords("flame", 3, "us")).toBe("3");
  });
});

describe("judging words", () => {
  it("knows every word of every kind, each kind with a sound one first", () => {
    for (const [kind, words] of Object.entries(WORD_KINDS)) {
      expect(Object.values(words)[0]).toBe("sound");
      for (const [value, verdict] of Object.entries(words))
        expect(ask({ kind, value, unit: null })).toEqual({
          verdict,
          deviation: null,
          limit: null,
          messageCode: `${kind}.${verdict}`,
          facts: { word: value },
        });
    }
  });

  it.each([
    ["flame", "sooting", "stop"],
    ["vent-pipe", "rusted-through", "stop"],
    ["noise", "squeal", "act"],
    ["water-at-unit", "old-stain", "watch"],
    ["coil", "iced", "act"],
    ["duct-debris", "dark", "stop"],
    ["drain", "cloudy", "watch"],
  ])("%s %s is %s", (kind, value, verdict) => {
    expect(ask({ kind, value }).verdict).toBe(verdict);
  });
});

it("never gets better the further a value leaves its sound band", () => {
  const kinds = Object.keys(MEASURED_KINDS) as MeasuredReading[];
  fc.assert(
    fc.property(
      fc.constantFrom(...kinds),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (kind, a, b) => {
        const { accepts, unit, rated } = MEASURED_KINDS[kind];
        const whole = kind === "closed-registers";
        const at = (share: number) => {
          // No more can be shut than there are.
          const most = kind === "closed-registers" ? 18 : accepts.max;
          const value = accepts.min + share * (most - accepts.min);
          return whole ? Math.round(value) : value;
        };
        const of = (value: number) =>
          ask({
            kind,
            unit,
            value,
            ...(rated === "value" ? { rated: whole ? 18 : 20 } : {}),
            ...(rated === "band" ? { rated: { min: 20, max: 40 } } : {}),
          });
        const { soundFrom, soundTo } = of(at(0)).facts as {
          soundFrom: number | null;
          soundTo: number | null;
        };
        const middle = Math.min(accepts.max, Math.max(accepts.min, soundTo ?? soundFrom!));
        const start = whole ? Math.floor(middle) : middle;
        // Two values on the same side of the band: the farther one is no better.
        const [near, far] = [at(a), at(b)].sort(
          (x, y) => Math.abs(x - start) - Math.abs(y - start),
        ) as [number, number];
        fc.pre((near - start) * (far - start) > 0);
        const outside =
          soundFrom === null || soundTo === null || near > soundTo || near < soundFrom;
        fc.pre(outside);
        fc.pre(!(soundFrom !== null && soundTo !== null && near < soundFrom !== far < soundFrom));
        expect(isAtLeast(of(far).verdict, of(near).verdict)).toBe(true);
        expect(VERDICTS).toContain(of(far).verdict);
      },
    ),
  );
});

describe("trend", () => {
  const yearly = [
    { date: "2024-01-01", value: 40 },
    { date: "2025-01-01", value: 39 },
    { date: "2026-01-01", value: 38 },
  ];
  const of = (series: object[], limit: number, direction: string) =>
    trend(trendInput.parse({ series, limit, direction }));

  it("draws a line through the medians, with a band of slopes", () => {
    // Slopes a year of 365.25 days: −1/(366 d), −1/(365 d), −2/(731 d) → −0.99795, −1.00068,
    // −0.99932. Tenths lie a fifth of the way in. From 39 on 1 Jan 2025 three down takes
    // 3 · 731/2 = 1096.5 days: the 1097th, 3 Jan 2028; the steeper 1095.3, the shallower 1097.7.
    expect(of(yearly, 36, "below")).toEqual({
      slopePerYear: -0.9993,
      low: -1.0004,
      high: -0.9982,
      crossing: { early: "2028-01-02", likely: "2028-01-03", late: "2028-01-04" },
      n: 3,
      confidence: "fair",
    });
  });

  it("takes no change of meter for drift, and says when it was", () => {
    // The second meter reads 2 more. Within each: −1 in 365 days, −1.00068 a year of 365.25. Through
    // the last meter’s middle, 39.5 half a year after 1 Jan 2026: 3.5 down takes 3.5 · 365 days.
    const series = [
      { date: "2023-01-01", value: 40, instrument: "old" },
      { date: "2024-01-01", value: 39, instrument: "old" },
      { date: "2026-01-01", value: 40, instrument: "new" },
      { date: "2027-01-01", value: 39, instrument: "new" },
    ];
    const found = of(series, 36, "below");
    expect(found).toMatchObject({ n: 4, confidence: "fair", meterChanges: ["2026-01-01"] });
    expect(found.slopePerYear).toBe(-1.0007);
    const crossing = 182.5 + 3.5 * 365;
    expect(found.crossing!.likely).toBe(addDays(plainDate("2026-01-01"), Math.ceil(crossing)));
    // Taken for one meter the two would hold each other level.
    const mixed = of(
      series.map(({ date, value }) => ({ date, value })),
      36,
      "below",
    );
    expect(Math.abs(mixed.slopePerYear!)).toBeLessThan(0.5);
    expect(mixed).not.toHaveProperty("meterChanges");
  });

  it("knows nothing of a new meter’s drift from one reading, but goes on with the old one’s", () => {
    const first = [
      { date: "2024-01-01", value: 40, instrument: "old" },
      { date: "2025-01-01", value: 39, instrument: "old" },
    ];
    const next = { date: "2026-01-01", value: 41, instrument: "new" };
    expect(of([...first, next], 36, "below")).toMatchObject({ n: 3, slopePerYear: -0.998 });
    expect(of([first[0]!, next], 36, "below")).toEqual({
      slopePerYear: null,
      low: null,
      high: null,
      crossing: null,
      n: 1,
      confidence: "none",
      meterChanges: ["2026-01-01"],
    });
  });

  it("moves no slope by an offset between two meters, whatever it is", () => {
    const point = fc.record({
      days: fc.integer({ min: 0, max: 3000 }),
      value: fc.integer({ min: -500, max: 500 }),
    });
    const series = fc.uniqueArray(point, { minLength: 2, maxLength: 8, selector: (p) => p.days });
    fc.assert(
      fc.property(series, series, fc.integer({ min: -100, max: 100 }), (old, fresh, offset) => {
        const at = (days: number) => addDays(plainDate("2020-01-01"), days);
        const read = (by: number) =>
          of(
            [
              ...old.map(({ days, value }) => ({
                date: at(days),
                value: value + by,
                instrument: "old",
              })),
              // All of the new meter’s come after.
              ...fresh.map(({ days, value }) => ({
                date: at(days + 3001),
                value,
                instrument: "new",
              })),
            ],
            -1000,
            "below",
          );
        const { slopePerYear, low, high, n, meterChanges, crossing } = read(offset);
        expect(read(0)).toMatchObject({ slopePerYear, low, high, n, meterChanges, crossing });
        expect(meterChanges).toHaveLength(1);
      }),
    );
  });

  it("tells the same by its contract, and nothing of meters where none is named", () => {
    const answer = compute(
      "trend",
      JSON.stringify({
        series: [
          { date: "2024-01-01", value: 10, instrument: "a" },
          { date: "2025-01-01", value: 9, instrument: "b" },
        ],
        limit: 5,
        direction: "below",
      }),
    );
    expect(answer).toMatchObject({
      ok: true,
      value: { slopePerYear: null, n: 1, meterChanges: ["2025-01-01"] },
    });
  });

  it("looks thirty years ahead of the last reading, and no day further", () => {
    // Half a unit in each of two years of 731 days together: thirty years are 10,957.5 days.
    const slow = [
      { date: "2024-01-01", value: 10 },
      { date: "2026-01-01", value: 8 },
    ];
    // From 9 at 31 Dec 2024, a day worth 2/731: the limit after 10,957 days from the last reading.
    const after = (days: number) => 9 - (2 / 731) * (days + 365.5);
    expect(of(slow, after(10_957), "below").crossing?.likely).toBe("2056-01-01");
    expect(of(slow, after(10_958), "below").crossing?.likely).toBeNull();
  });

  it("crosses on the last day it was read at the soonest", () => {
    // The line through the medians lies lower than the last reading, which is not beyond yet.
    const jumpy = [
      { date: "2024-01-01", value: 10 },
      { date: "2025-01-01", value: 5 },
      { date: "2026-01-01", value: 5.2 },
    ];
    expect(of(jumpy, 5.1, "below").crossing).toEqual({
      early: "2026-01-01",
      likely: "2026-01-01",
      late: "2026-01-01",
    });
  });

  it("crosses nothing when it runs away from the limit or stays level", () => {
    expect(of(yearly, 45, "above").crossing).toBeNull();
    expect(
      of(
        yearly.map((each) => ({ ...each, value: 40 })),
        36,
        "below",
      ).crossing,
    ).toBeNull();
  });

  it("leaves the late end open when one slope in ten runs away", () => {
    const uneven = [40, 38, 39.5, 36.5].map((value, i) => ({ date: `202${2 + i}-01-01`, value }));
    const { crossing, high } = of(uneven, 35, "below");
    expect(high).toBeGreaterThan(0);
    expect(crossing?.likely).not.toBeNull();
    expect(crossing?.late).toBeNull();
  });

  it("names the first of the readings that lie beyond, when the last one does", () => {
    const gone = [
      { date: "2022-01-01", value: 34 },
      ...yearly,
      { date: "2026-02-01", value: 35.5 },
      { date: "2026-03-01", value: 35 },
    ];
    const day = "2026-02-01";
    expect(of(gone, 36, "below").crossing).toEqual({ early: day, likely: day, late: day });
    expect(of([{ date: day, value: 35 }], 36, "below")).toMatchObject({
      slopePerYear: null,
      confidence: "none",
      crossing: { likely: day },
    });
  });

  it("says nothing of a line more than thirty years on, nor of no readings", () => {
    const slow = [
      { date: "2025-01-01", value: 40 },
      { date: "2026-01-01", value: 39.9 },
    ];
    expect(of(slow, 36, "below")).toMatchObject({
      confidence: "thin",
      crossing: { early: null, likely: null, late: null },
    });
    expect(of([], 36, "below")).toMatchObject({ n: 0, crossing: null, slopePerYear: null });
  });

  it("averages what was read on one day, whatever the order", () => {
    const twice = [
      { date: "2026-01-01", value: 37.5 },
      ...yearly.slice(0, 2),
      { date: "2026-01-01", value: 38.5 },
    ];
    expect(of(twice, 36, "below")).toEqual(of(yearly, 36, "below"));
  });

  it("finds the slope of any straight line, and one outlier bends it little", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -50, max: 50 }),
        fc.integer({ min: 5, max: 9 }),
        fc.nat({ max: 4 }),
        (perDay, n, odd) => {
          const line = Array.from({ length: n }, (_, i) => ({
            date: addDays(plainDate("2024-01-01"), 90 * i),
            value: 100 + (perDay / 1000) * 90 * i,
          }));
          const slope = (perDay / 1000) * 365.25;
          expect(of(line, 0, "below").slopePerYear).toBeCloseTo(slope, 3);
          if (n < 7) return;
          line[odd]!.value += 1000;
          expect(of(line, 0, "below").slopePerYear).toBeCloseTo(slope, 3);
        },
      ),
    );
  });
});
