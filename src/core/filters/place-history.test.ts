import fc from "fast-check";
import { climateSchema } from "../climate/climate";
import { equipmentSchema } from "../climate/run-hours";
import { addDays, plainDate } from "../quantities/plain-date";
import { MEDIA, MEDIA_KINDS } from "./media";
import {
  hasChanged,
  priorBelief,
  SHORTER_LIFE_SHARE,
  wearInputNow,
  type InstalledPeriod,
  type PlaceContext,
} from "./place-history";
import { driverSchema } from "./drivers";
import { likelyDue, wear, wearSummary } from "./wear";

const today = plainDate("2026-03-14");
const context = (lifeShare: number): PlaceContext => ({
  climate: climateSchema.parse({
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
  }),
  actuals: [],
  equipment: equipmentSchema.parse({ heats: true, cools: true, fan: { mode: "auto" } }),
  measured: [],
  drivers: [],
  lifeShare,
});
const grades = ["light", "grey", "loaded", "blocked"] as const;
const installedPeriod = fc.record({
  media: fc.constantFrom(...MEDIA_KINDS),
  age: fc.integer({ min: 3, max: 40 }),
  looks: fc.uniqueArray(
    fc.record({ ago: fc.integer({ min: 0, max: 30 }), grade: fc.constantFrom(...grades) }),
    { selector: (look) => look.ago, maxLength: 3 },
  ),
});
type Drawn = {
  media: (typeof MEDIA_KINDS)[number];
  age: number;
  looks: { ago: number; grade: (typeof grades)[number] }[];
};
const installedPeriodsOf = ({ media, age, looks }: Drawn): InstalledPeriod[] => [
  {
    startedOn: addDays(today, -age),
    reliefs: [],
    slot: {
      media,
      rating: undefined,
      airSide: "recirculated",
      faceAreaM2: undefined,
      airflowM3h: undefined,
      baseHours: undefined,
      maxAgeDays: undefined,
      agesInUse: undefined,
      cleanDropPa: undefined,
      finalRatio: 2,
      upstream: undefined,
    },
    looks: looks
      .filter((look) => look.ago < age)
      .map(({ ago, grade }) => ({
        date: addDays(today, -ago),
        grade,
        pressureDropPa: undefined,
      })),
  },
];

const summaryOf = (context: PlaceContext, installedPeriods: InstalledPeriod[]) =>
  wearSummary(wearInputNow(context, installedPeriods, today)!);

describe("a place whose filters go early", () => {
  it("learns the same, and is never due later", () => {
    fc.assert(
      fc.property(installedPeriod, (drawn) => {
        const installedPeriods = installedPeriodsOf(drawn);
        const whole = summaryOf(context(1), installedPeriods);
        const short = summaryOf(context(SHORTER_LIFE_SHARE), installedPeriods);
        expect(short.belief).toEqual(whole.belief);
        expect(short.looksUsed).toBe(whole.looksUsed);
        expect(short.bookDue).toBe(whole.bookDue);
        if (whole.likely) expect(short.likely! <= whole.likely).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it("says the same in short, at length, and as a bare day", () => {
    fc.assert(
      fc.property(installedPeriod, fc.constantFrom(1, SHORTER_LIFE_SHARE), (drawn, share) => {
        const input = wearInputNow(context(share), installedPeriodsOf(drawn), today)!;
        const { likely, early, late } = wearSummary(input);
        const long = wear(input);
        expect([long.early, long.likely, long.late]).toEqual([early, likely, late]);
        expect(likelyDue(input)).toBe(likely);
      }),
      { numRuns: 40 },
    );
  });

  it("is due by three quarters of its age where it hardly runs", () => {
    const still = { ...context(SHORTER_LIFE_SHARE) };
    still.equipment = { ...still.equipment, heats: false, cools: false };
    const [one] = installedPeriodsOf({ media: "pleated-25", age: 10, looks: [] });
    const { likely, limitedBy } = summaryOf(still, [one!]);
    // 120 days, less a quarter: 90 from the day it went in.
    expect(MEDIA["pleated-25"].maxAgeDays).toBe(120);
    expect([likely, limitedBy]).toEqual([addDays(today, 80), "age"]);
  });

  it("has nothing to say before the first filter", () => {
    expect(wearInputNow(context(1), [], today)).toBeNull();
  });
});

describe("what a place passes on where something lasting came or went", () => {
  const dog = (from?: number, to?: number) =>
    driverSchema.parse({
      ...{ kind: "shedding-pets", count: 1 },
      ...(from === undefined ? {} : { from: addDays(today, from) }),
      ...(to === undefined ? {} : { to: addDays(today, to) }),
    });
  const [after, until] = [addDays(today, -60), addDays(today, -20)];

  it.each([
    ["came with the filter that went", dog(-60), false],
    ["came the day after", dog(-59), true],
    ["came on the day of the next", dog(-20), true],
    ["came later", dog(-19), false],
    ["went while it was in", dog(undefined, -30), true],
    // Its last day was the day before the next filter: it ended with that filter's first day.
    ["was last there the day before the next", dog(undefined, -21), true],
    ["was there on the day of the next", dog(undefined, -20), false],
    ["is always there", dog(), false],
    [
      "is building work, which passes",
      driverSchema.parse({ kind: "renovation", from: addDays(today, -40) }),
      false,
    ],
  ])("%s", (_, driver, expected) => {
    expect(hasChanged([driver], after, until)).toBe(expected);
  });

  it("is as much wider", () => {
    const [one] = installedPeriodsOf({ media: "pleated-25", age: 60, looks: [] });
    const two = [one!, { ...one!, startedOn: until }];
    const sd = (drivers: PlaceContext["drivers"]) =>
      priorBelief({ ...context(1), drivers }, two).sd;
    expect(sd([])).toBeCloseTo(Math.sqrt(0.4 ** 2 + 0.05 ** 2), 12);
    expect(sd([dog(-40)])).toBeCloseTo(Math.sqrt(0.4 ** 2 + 0.15 ** 2), 12);
  });
});
