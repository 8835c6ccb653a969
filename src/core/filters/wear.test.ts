import fc from "fast-check";
import { compute } from "../compute/compute";
import { daysFrom, plainDate, addDays, type PlainDate } from "../quantities/plain-date";
import { beforePutAway, beliefAfter, likelyDue, wear, wearSummary } from "./wear";
import { wearCauses } from "./wear-causes";
import { ratedHours } from "./wear-course";
import { slotSchema, wearInput, type WearResult } from "./wear-schema";

const climate = {
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
};
const equipment = { heats: true, cools: true, fan: { mode: "auto" } };
/** Runs ten hours every day of the year: figures can be worked by hand. */
const tenHours = { heats: false, cools: false, fan: { mode: "minimum", hours: 10 } };
const slot = {
  media: "pleated-25",
  rating: { scheme: "MERV", class: "8" },
  airSide: "recirculated",
};
const dogAndClay = [
  { id: "dog", kind: "shedding-pets", count: 1 },
  { id: "clay", kind: "dusty-hobby" },
];

const raw = (extra: object = {}) => ({
  today: "2026-03-14",
  fittedOn: "2026-01-18",
  climate,
  equipment,
  slot,
  drivers: [],
  looks: [],
  ...extra,
});
const of = (extra: object = {}): WearResult => wear(wearInput.parse(raw(extra)));
const ten = (extra: object = {}) => of({ equipment: tenHours, ...extra });

describe("wear at ten hours a day, by hand", () => {
  it("is due when its hours are spent: 550 h last 55 days", () => {
    const result = ten();
    expect(result.likely).toBe("2026-03-14");
    expect(result.limitedBy).toBe("load");
    expect(result.percentNow).toBe(100);
  });

  it("is early and late by all that is not known: factors e^±0.60453 with nothing seen", () => {
    // √(0.40² + 0.15² + 0.20²)·1.2816 = 0.60453. 55/1.8304 = 30.05 → 31 days; 55·1.8304 = 100.7 → 101
    const result = ten();
    expect(daysFrom(plainDate("2026-01-18"), result.early!)).toBe(31);
    expect(daysFrom(plainDate("2026-01-18"), result.late!)).toBe(101);
  });

  it("multiplies the kinds of dust, and the strongest of each kind counts", () => {
    // 1.15 · 1.3 = 1.495; 550/14.95 = 36.8 → 37 days
    const result = ten({
      drivers: [...dogAndClay, { id: "puppy", kind: "shedding-pets", count: 0 }],
    });
    expect(result.days[0]!.multiplier).toBe(1.495);
    expect(daysFrom(plainDate("2026-01-18"), result.likely!)).toBe(37);
  });

  it("says what each driver brought forward: without the dog 550/13 = 42.3 → 43 days, without clay 48", () => {
    const result = ten({ drivers: dogAndClay });
    expect(result.drivers).toEqual([
      { id: "dog", kind: "shedding-pets", daysBroughtForward: 43 - 37 },
      { id: "clay", kind: "dusty-hobby", daysBroughtForward: 48 - 37 },
    ]);
    expect(result.bookDue).toBe("2026-03-14");
  });

  it("takes building work, its aftermath and its end off together", () => {
    // Ten days at 30, thirty at 15: 300 + 250/15 = 16.7 → 10 + 17 = 27 days; without it 55.
    const renovation = { kind: "renovation", from: "2026-01-18", to: "2026-01-27" };
    const result = ten({ drivers: [renovation] });
    expect(result.days[9]!.multiplier).toBe(3);
    expect(result.days[10]!.multiplier).toBe(1.5);
    expect(result.days[39]!.multiplier).toBe(1.5);
    expect(result.days[40]!.multiplier).toBe(1);
    expect(daysFrom(plainDate("2026-01-18"), result.likely!)).toBe(27);
    expect(result.drivers[0]).toEqual({ kind: "renovation", daysBroughtForward: 28 });
  });

  it("has no aftermath while building goes on", () => {
    const result = ten({ drivers: [{ kind: "renovation", from: "2026-01-20" }] });
    expect(result.days.slice(0, 4).map((day) => day.multiplier)).toEqual([1, 1, 3, 3]);
    expect(result.days.at(-1)!.multiplier).toBe(3);
  });

  it("is limited by age when it runs too little, at equality by load", () => {
    const seldom = { heats: false, cools: false, fan: { mode: "minimum", hours: 1 } };
    const result = of({ equipment: seldom });
    expect(daysFrom(plainDate("2026-01-18"), result.likely!)).toBe(120);
    expect(result.limitedBy).toBe("age");
    const tie = ten({ slot: { ...slot, maxAgeDays: 55 } });
    expect(tie.likely).toBe("2026-03-14");
    expect(tie.limitedBy).toBe("load");
  });

  it("ages what is cleaned by the hours it runs, an hour a day at most, and the rest only in use", () => {
    const everyDay = { heats: false, cools: false, fan: { mode: "minimum", hours: 0.5 } };
    const mesh = { media: "head-mesh", airSide: "recirculated" };
    // 45 days of age at half a day each are 90; its 250 h would last 500 days.
    const half = of({ equipment: everyDay, slot: mesh });
    expect([daysFrom(plainDate("2026-01-18"), half.likely!), half.limitedBy]).toEqual([90, "age"]);
    const oneHour = { ...everyDay, fan: { mode: "minimum", hours: 1 } };
    expect(daysFrom(plainDate("2026-01-18"), of({ equipment: oneHour, slot: mesh }).likely!)).toBe(
      45,
    );
    const winterOnly = { ...tenHours, inUse: [{ from: "10-01", to: "01-31" }] };
    const stored = of({ equipment: winterOnly, slot: { ...slot, maxAgeDays: 20 } });
    // 18 to 31 January are 14 days; six more begin on 1 October.
    expect(stored.likely).toBe("2026-10-07");
  });

  it("goes on to the horizon and no further", () => {
    const never = { heats: false, cools: false, fan: { mode: "auto" }, inUse: [] };
    const result = of({ equipment: never, horizonDays: 100 });
    expect(result).toMatchObject({
      early: null,
      likely: null,
      late: null,
      limitedBy: null,
      weatherDays: null,
    });
    expect(result.days.at(-1)!.date).toBe(addDays(plainDate("2026-03-14"), 100));
    expect(result.days[0]!.date).toBe("2026-01-18");
  });

  it("counts the horizon from fitting where that is still to come", () => {
    const result = ten({ fittedOn: "2026-04-01", horizonDays: 60 });
    expect(result.days).toHaveLength(61);
    expect(result.percentNow).toBe(0);
  });

  it("leaves weather and dust out of the rated day", () => {
    const measured = [
      { date: "2026-01-18", hours: 24 },
      { date: "2026-01-19", hours: 24 },
    ];
    const result = ten({ measured });
    // 28 hours more in two days: 550 are spent three days sooner (2.8, rounded up from the start).
    expect(result.likely).toBe("2026-03-12");
    expect(result.weatherDays).toBe(2);
    expect(result.bookDue).toBe("2026-03-14");
  });
});

describe("wear in a real winter, against an independent calculation", () => {
  it("without looks", () => {
    expect(of({ drivers: dogAndClay })).toMatchObject({
      early: "2026-02-07",
      likely: "2026-02-24",
      late: "2026-04-09",
      bookDue: "2026-03-18",
      looksUsed: 0,
      belief: { mu: 0, sd: 0.4 },
    });
  });

  it("with one look: light grey where it is rated at 0.6456", () => {
    // r = ln 0.30 − ln 0.645637 = −0.766456; S = 0.16 + 0.0225 + 0.16. Place: r·0.16/S, sd √(0.16 − 0.16²/S);
    // this filter: r·0.1825/S = −0.408402, so e^−0.408402·(its load of 1.4171) = 0.942.
    const result = of({ drivers: dogAndClay, looks: [{ date: "2026-02-10", grade: "light" }] });
    expect(result).toMatchObject({
      early: "2026-02-22",
      likely: "2026-03-19",
      late: "2026-05-18",
      percentNow: 94.2,
      looksUsed: 1,
      belief: { mu: -0.358052, sd: 0.291985 },
      drivers: [
        { id: "dog", daysBroughtForward: 13 },
        { id: "clay", daysBroughtForward: 32 },
      ],
    });
  });

  it("wears a humidifier's panel by heating hours alone, whatever the dust", () => {
    const panel = { media: "humidifier-panel", airSide: "recirculated" };
    const result = of({ slot: panel, drivers: dogAndClay });
    expect(result.likely).toBe("2027-01-18");
    expect(result.limitedBy).toBe("age");
    expect(result.days[0]!.multiplier).toBe(1);
    expect(result.days.find((day) => day.date === "2026-07-15")!.runHours).toBe(0.0658);
  });

  it("works where January is summer", () => {
    const monthlyMeanC = [...climate.monthlyMeanC.slice(6), ...climate.monthlyMeanC.slice(0, 6)];
    const south = of({
      climate: { ...climate, monthlyMeanC },
      fittedOn: "2026-07-18",
      today: "2026-07-20",
    });
    const north = of({ today: "2026-01-20" });
    const life = (result: WearResult, from: PlainDate) => daysFrom(from, result.likely!);
    expect(
      Math.abs(life(south, plainDate("2026-07-18")) - life(north, plainDate("2026-01-18"))),
    ).toBeLessThanOrEqual(1);
  });

  it("counts the leap day", () => {
    const leap = ten({ fittedOn: "2024-02-01", today: "2024-02-02" });
    expect(leap.likely).toBe("2024-03-27");
    expect(leap.days.map((day) => day.date)).toContain("2024-02-29");
  });

  it("gives the chain's shortcut the same day as the whole calculation", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 700 }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        (shift, mu) => {
          const fittedOn = addDays(plainDate("2025-01-01"), shift);
          const input = wearInput.parse(
            raw({ today: fittedOn, fittedOn, drivers: dogAndClay, belief: { mu, sd: 0.2 } }),
          );
          expect(likelyDue(input)).toBe(wear(input).likely);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe("a filter vacuumed where it sits", () => {
  const fitted = plainDate("2026-01-18");
  const days = (result: WearResult) => daysFrom(fitted, result.likely!);

  it("loses a share of what it holds and stays the same filter", () => {
    // Twenty days hold 200 of 550 h; vacuumed they hold 140: 410 more at ten a day are 41 days.
    const result = ten({ reliefs: [{ date: "2026-02-07" }] });
    expect(days(result)).toBe(20 + 41);
    expect(result.days[20]!.load).toBeCloseTo(140 / 550, 6);
    expect(result.days[19]!.load).toBeCloseTo(190 / 550, 6);
    expect(result.percentNow).toBe(89.1); // (140 + 350) / 550
    expect(result.bookDue).toBe("2026-03-14");
    const old = ten({ slot: { ...slot, maxAgeDays: 50 }, reliefs: [{ date: "2026-02-07" }] });
    expect([days(old), old.limitedBy]).toEqual([50, "age"]);
  });

  it("counts both of two on a day, and none of the day it went in or of tomorrow", () => {
    // 0.7 · 0.5 of 200 h are 70: 480 more, 48 days.
    const two = [{ date: "2026-02-07" }, { date: "2026-02-07", share: 0.5 }];
    expect(days(ten({ reliefs: two }))).toBe(20 + 48);
    expect(days(ten({ reliefs: [{ date: "2026-01-18" }, { date: "2026-03-15" }] }))).toBe(55);
  });

  it("is due from its last vacuuming on, though it was full before", () => {
    // Sixty days hold 600 h; 420 are left; 130 more are 13 days.
    const late = ten({ today: "2026-03-20", reliefs: [{ date: "2026-03-19" }] });
    expect(days(late)).toBe(60 + 13);
    // At the factor of the early day too: never before the vacuuming.
    expect(late.early).toBe("2026-03-19");
  });

  it("was looked at before it was vacuumed that day", () => {
    const looks = [{ date: "2026-02-07", grade: "light" }];
    const same = ten({ looks, reliefs: [{ date: "2026-02-07" }] });
    expect(same.belief).toEqual(ten({ looks }).belief);
    const later = ten({ looks, reliefs: [{ date: "2026-02-06" }] });
    expect(later.belief.mu).toBeGreaterThan(same.belief.mu);
  });

  it("tells of drivers and weather with what was taken off taken off", () => {
    const reliefs = [{ date: "2026-02-07" }];
    // Clay: 13 a day; 260 · 0.7 = 182; 368 / 13 = 28.3 → 49 days in all, 61 without it.
    const result = ten({ drivers: [dogAndClay[1]], reliefs });
    expect(days(result)).toBe(49);
    expect(result.drivers[0]!.daysBroughtForward).toBe(61 - 49);
  });

  it("refuses a share that is none", () => {
    expect(() => ten({ reliefs: [{ date: "2026-02-07", share: 1.2 }] })).toThrow();
  });
});

describe("rated hours", () => {
  const hours = (extra: object) => ratedHours(slotSchema.parse({ ...slot, ...extra }));
  it.each([
    ["MERV", "8", 550],
    ["MERV", "10", 522.5],
    ["MERV", "11", 467.5],
    ["MERV", "13", 412.5],
    ["MERV", "16", 357.5],
    ["EN779", "F7", 412.5],
    ["ISO16890", "ePM1 80", 357.5],
  ])("shrink with a finer rating: %s %s lasts %d h", (scheme, name, expected) => {
    expect(hours({ rating: { scheme, class: name } })).toBeCloseTo(expected, 9);
  });
  it("stretch with area over what the airflow wants, from half to twice", () => {
    // 1800 m³/h at 2 m/s want 0.25 m².
    expect(hours({ faceAreaM2: 0.3, airflowM3h: 1800 })).toBeCloseTo(660, 9);
    expect(hours({ faceAreaM2: 2, airflowM3h: 1800 })).toBe(1100);
    expect(hours({ faceAreaM2: 0.01, airflowM3h: 1800 })).toBe(275);
    expect(hours({ faceAreaM2: 0.3 })).toBe(550);
  });
  it("are the maker's where the maker gives them, whatever else is known", () => {
    expect(
      hours({
        baseHours: 900,
        rating: { scheme: "MERV", class: "13" },
        faceAreaM2: 2,
        airflowM3h: 1800,
      }),
    ).toBe(900);
  });
  it("are not shortened by the rating of what is no panel", () => {
    expect(hours({ media: "vent-fine", rating: { scheme: "EN779", class: "F7" } })).toBe(6000);
  });
});

describe("learning", () => {
  it("leaves out what is too early, too late, or still new", () => {
    const looks = [
      { date: "2026-01-18", grade: "blocked" }, // on the day it went in
      { date: "2026-01-19", grade: "blocked" }, // load 0.018: still new
      { date: "2026-03-15", grade: "blocked" }, // tomorrow
    ];
    expect(ten({ looks })).toMatchObject({ looksUsed: 0, belief: { mu: 0, sd: 0.4 } });
  });

  it("counts a look from a load of 0.05 on", () => {
    // Three days at ten hours: 30/550 = 0.0545; two: 0.0364.
    expect(ten({ looks: [{ date: "2026-01-20", grade: "clean" }] }).looksUsed).toBe(0);
    expect(ten({ looks: [{ date: "2026-01-21", grade: "clean" }] }).looksUsed).toBe(1);
  });

  it("believes a gauge before an eye", () => {
    // 60 Pa over 30 clean at ratio 2 is a load of 1 with s 0.25; rated it is at 0.5 after 27.5 days.
    const look = { date: "2026-02-15", grade: "clean", pressureDropPa: 60 };
    const result = ten({ slot: { ...slot, cleanDropPa: 30 }, looks: [look] });
    // L1 = 28·10/550 = 0.509091; mu = −ln 0.509091 · 0.16/(0.16 + 0.0225 + 0.0625) = 0.4409
    expect(result.belief).toEqual({ mu: 0.4409, sd: 0.235606 });
  });

  it("puts no order on looks but their dates", () => {
    const looks = [
      { date: "2026-03-01", grade: "loaded" },
      { date: "2026-02-01", grade: "light" },
    ];
    expect(of({ looks }).belief).toEqual(of({ looks: [...looks].reverse() }).belief);
  });

  it("hands the next filter what it learned, unrounded", () => {
    const input = wearInput.parse(raw({ looks: [{ date: "2026-02-10", grade: "light" }] }));
    const { belief } = wear(input);
    expect(beliefAfter(input).mu).toBeCloseTo(belief.mu, 6);
    expect(beliefAfter(input).sd).toBeCloseTo(belief.sd, 6);
  });
});

describe("what always holds", () => {
  const grade = fc.constantFrom(
    "clean",
    "light",
    "grey",
    "loaded",
    "blocked",
    "collapsed",
    "white-powder",
  );
  const look = fc.record({
    date: fc.integer({ min: 1, max: 55 }).map((day) => addDays(plainDate("2026-01-18"), day)),
    grade,
  });
  const driver = fc.oneof(
    fc.record({ kind: fc.constant("shedding-pets"), count: fc.integer({ min: 0, max: 9 }) }),
    fc.record({ kind: fc.constant("people"), count: fc.integer({ min: 0, max: 12 }) }),
    fc.constantFrom(
      { kind: "dusty-hobby" },
      { kind: "indoor-smoking" },
      { kind: "busy-road" },
      { kind: "cooking-grease" },
    ),
    fc.constant({ kind: "renovation", from: "2026-02-01", to: "2026-02-20" }),
    fc.constant({ kind: "duct-cleaning", on: "2026-02-05" }),
  );
  const side = fc.constantFrom("recirculated", "outdoor", "extract");

  it("load never falls", () => {
    fc.assert(
      fc.property(
        fc.array(driver, { maxLength: 4 }),
        side,
        fc.array(look, { maxLength: 4 }),
        (drivers, airSide, looks) => {
          const { days } = of({ drivers, looks, slot: { ...slot, airSide } });
          expect(days.every((day, i) => day.load >= (days[i - 1]?.load ?? 0))).toBe(true);
        },
      ),
      { numRuns: 30 },
    );
  });

  it("more dust never delays", () => {
    fc.assert(
      fc.property(fc.array(driver, { maxLength: 3 }), driver, side, (drivers, another, airSide) => {
        const due = (list: object[]) => of({ drivers: list, slot: { ...slot, airSide } }).likely!;
        expect(due([...drivers, another]) <= due(drivers)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it("a look never makes a belief less sure, and early ≤ likely ≤ late", () => {
    fc.assert(
      fc.property(fc.array(look, { maxLength: 5 }), look, (looks, another) => {
        const before = of({ looks });
        const after = of({ looks: [...looks, another] });
        expect(after.belief.sd).toBeLessThanOrEqual(before.belief.sd);
        expect(after.belief.sd).toBeGreaterThanOrEqual(0.08);
        expect(after.early! <= after.likely! && after.likely! <= after.late!).toBe(true);
      }),
      { numRuns: 50 },
    );
  });

  it("a dirtier grade never puts the due day off", () => {
    const order = ["clean", "light", "grey", "loaded", "blocked", "collapsed"];
    const due = order.map(
      (each) => ten({ looks: [{ date: "2026-02-15", grade: each }] }).belief.mu,
    );
    // A vague “clean” moves a belief less than a sharp “light”, so compare what is said, not how loud.
    expect(due.slice(1)).toEqual([...due.slice(1)].sort((a, b) => a - b));
  });

  it("air that slips past spares the filter", () => {
    const some = ten({ drivers: [{ kind: "bypass", fraction: 0.1 }] });
    expect(daysFrom(ten().likely!, some.likely!)).toBeGreaterThan(0);
    expect(some.drivers[0]!.daysBroughtForward).toBeLessThan(0);
  });
});

describe("refusals", () => {
  it.each([
    ["a look at nothing", { looks: [{ date: "2026-02-01" }] }, ["looks", 0, "grade"]],
    [
      "a pressure with nothing to compare",
      { looks: [{ date: "2026-02-01", pressureDropPa: 40 }] },
      ["looks", 0, "pressureDropPa"],
    ],
    [
      "a rating that does not exist",
      { slot: { ...slot, rating: { scheme: "MERV", class: "17" } } },
      ["slot", "rating", "class"],
    ],
    ["a medium nobody knows", { slot: { ...slot, media: "straw" } }, ["slot", "media"]],
    ["an area of nothing", { slot: { ...slot, faceAreaM2: 0 } }, ["slot", "faceAreaM2"]],
    ["a final ratio of one", { slot: { ...slot, finalRatio: 1 } }, ["slot", "finalRatio"]],
    ["a belief without spread", { belief: { mu: 0, sd: 0 } }, ["belief", "sd"]],
    [
      "building work without a beginning",
      { drivers: [{ kind: "renovation" }] },
      ["drivers", 0, "from"],
    ],
    [
      "smoke without a beginning",
      { drivers: [{ kind: "smoke-episode", to: "2026-01-20" }] },
      ["drivers", 0, "from"],
    ],
    [
      "a driver that ends before it begins",
      { drivers: [{ kind: "busy-road", from: "2026-02-01", to: "2026-01-01" }] },
      ["drivers", 0, "to"],
    ],
    ["half a dog", { drivers: [{ kind: "shedding-pets", count: 0.5 }] }, ["drivers", 0, "count"]],
    ["a key on the wrong driver", { drivers: [{ kind: "dusty-hobby", count: 2 }] }, ["drivers", 0]],
    ["a driver nobody knows", { drivers: [{ kind: "ghosts" }] }, ["drivers", 0, "kind"]],
    [
      "a grade nobody knows",
      { looks: [{ date: "2026-02-01", grade: "filthy" }] },
      ["looks", 0, "grade"],
    ],
  ])("%s, with the path to it", (_, wrong, path) => {
    expect(compute("wear", JSON.stringify(raw(wrong)))).toMatchObject({
      ok: false,
      error: { code: "invalid-input", path },
    });
  });

  it("takes an optional null for absent", () => {
    const withNulls = raw({
      belief: null,
      measured: null,
      horizonDays: null,
      slot: { ...slot, baseHours: null },
    });
    expect(compute("wear", JSON.stringify(withNulls))).toEqual({ ok: true, value: of() });
  });
});

describe("what was seen full", () => {
  const day = (n: number) => addDays(plainDate("2026-01-18"), n);
  const seen = (looks: object[], extra: object = {}) => ten({ looks, today: day(40), ...extra });

  it("is due from the first such look on, at any load", () => {
    // One day of ten hours is a load of 0.018: too little to learn from, and full all the same.
    const result = seen([{ date: day(1), grade: "blocked" }]);
    expect(result).toMatchObject({ early: day(1), likely: day(1), late: day(1) });
    expect(result).toMatchObject({ limitedBy: "look", looksUsed: 0, percentNow: 100 });
    const twice = seen([
      { date: day(20), grade: "collapsed" },
      { date: day(10), grade: "white-powder" },
    ]);
    expect([twice.likely, twice.limitedBy]).toEqual([day(10), "look"]);
  });

  it("by its pressure, which weighs more than its grade", () => {
    const withDrop = { slot: { ...slot, cleanDropPa: 40, finalRatio: 2 } };
    const full = { date: day(2), grade: "light", pressureDropPa: 80 };
    expect(seen([full], withDrop).limitedBy).toBe("look");
    const not = { date: day(2), grade: "blocked", pressureDropPa: 79 };
    expect(seen([not], withDrop).limitedBy).not.toBe("look");
  });

  it("counts neither on the day it was fitted, nor ahead of today, nor before a relief", () => {
    expect(seen([{ date: day(0), grade: "blocked" }]).limitedBy).not.toBe("look");
    expect(seen([{ date: day(41), grade: "blocked" }]).limitedBy).not.toBe("look");
    const relieved = { reliefs: [{ date: day(5), share: 0.3 }] };
    expect(seen([{ date: day(5), grade: "blocked" }], relieved).limitedBy).not.toBe("look");
    expect(seen([{ date: day(6), grade: "blocked" }], relieved).likely).toBe(day(6));
  });

  it("moves neither the book’s day nor what others bring it forward", () => {
    const drivers = { drivers: dogAndClay };
    const without = seen([], drivers);
    const result = seen([{ date: day(1), grade: "blocked" }], drivers);
    expect([result.bookDue, result.drivers]).toEqual([without.bookDue, without.drivers]);
    expect(result.weatherDays).toBe(0);
  });

  it("is a cause of its own among those that add up", () => {
    const causes = wearCauses(
      wearInput.parse(
        raw({
          equipment: tenHours,
          today: day(40),
          drivers: dogAndClay,
          looks: [{ date: day(20), grade: "blocked" }],
        }),
      ),
    );
    expect(causes.likely).toBe(day(20));
    const look = causes.causes.find(({ cause }) => cause === "look")!;
    expect([look.days! > 0, look.points]).toEqual([true, 0]);
    expect(causes.causes.reduce((sum, { days }) => sum + days!, 0)).toBe(causes.totalDays);
  });

  it("is due of a coil that was seen matted", () => {
    const coil = { slot: { media: "outdoor-coil", airSide: "outdoor" } };
    expect(seen([{ date: day(3), grade: "matted" }], coil).likely).toBe(day(3));
    expect(seen([{ date: day(3), grade: "dusty" }], coil).limitedBy).not.toBe("look");
  });
});

describe("paper that ages only while it is used", () => {
  const stands = {
    measured: [] as object[],
    equipment: { heats: false, cools: false, fan: { mode: "auto" } },
  };
  const paper = (agesInUse: boolean) => of({ ...stands, slot: { ...slot, agesInUse } });

  it("never grows too old where it never runs", () => {
    expect(daysFrom(plainDate("2026-01-18"), paper(false).likely!)).toBe(120);
    expect(paper(true).likely).toBeNull();
  });

  it("counts the days it runs, and those only", () => {
    // Half an hour every other day ages it by half a day each: 120 days of use take 480.
    const half = { heats: false, cools: false, fan: { mode: "minimum", hours: 0.25 } };
    const result = of({ equipment: half, slot: { ...slot, agesInUse: true }, horizonDays: 900 });
    expect(daysFrom(plainDate("2026-01-18"), result.likely!)).toBe(480);
    expect(result.limitedBy).toBe("age");
  });
});

describe("the day before a machine is put away", () => {
  const cooler = { heats: false, cools: true, fan: { mode: "auto" } };
  const mesh = { media: "portable-mesh", airSide: "recirculated" };
  const inputAt = (today: PlainDate, fittedOn: PlainDate, actuals: object[] = []) =>
    wearInput.parse(raw({ equipment: cooler, slot: mesh, today, fittedOn, actuals }));

  it("ends the window of what may be due before or after the winter", () => {
    const input = inputAt(plainDate("2026-08-10"), plainDate("2026-08-10"));
    const whole = wearSummary(input);
    expect(daysFrom(whole.early!, whole.late!)).toBeGreaterThan(200);
    const put = beforePutAway(input, whole);
    expect(put.early).toBe(whole.early);
    expect(put.late! < "2026-10-15").toBe(true);
    expect(put.likely! <= put.late!).toBe(true);
  });

  it("leaves alone what has no long stretch in its window", () => {
    const ran = wearInput.parse(raw({ equipment: tenHours }));
    const { early: e, likely: l, late: t } = wearSummary(ran);
    expect(beforePutAway(ran, wearSummary(ran))).toEqual({ early: e, likely: l, late: t });
  });

  it("moves no day by months from one night to the next, whatever the weather", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.array(fc.integer({ min: -5, max: 5 }), { minLength: 25, maxLength: 25 }),
        (offset, noise) => {
          const fittedOn = addDays(plainDate("2026-07-01"), offset);
          let before: { early: PlainDate; likely: PlainDate } | null = null;
          noise.forEach((_, n) => {
            const actuals = noise
              .slice(0, n)
              .map((by, i) => ({ date: addDays(fittedOn, i), meanC: 20 + by }));
            const input = inputAt(addDays(fittedOn, n), fittedOn, actuals);
            const whole = wearSummary(input);
            const { likely } = beforePutAway(input, whole);
            // As long as its early day stays on this side of the winter, so does its likely one.
            if (before && before.early < "2026-10-01" && whole.early! < "2026-10-01")
              expect(Math.abs(daysFrom(before.likely, likely!))).toBeLessThan(60);
            before = { early: whole.early!, likely: likely! };
          });
        },
      ),
      { numRuns: 20 },
    );
  });
});
