import fc from "fast-check";
import { climateSchema } from "../climate/climate";
import { equipmentSchema } from "../climate/run-hours";
import { addDays, plainDate } from "../quantities/plain-date";
import { MEDIA, MEDIA_KINDS } from "./media";
import {
  likelyOfPlace,
  SHORTER_LIFE_SHARE,
  wearOfPlace,
  wearSummaryOfPlace,
  type PlaceContext,
  type InstalledPeriod,
} from "./place-history";

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

describe("a place whose filters go early", () => {
  it("learns the same, and is never due later", () => {
    fc.assert(
      fc.property(installedPeriod, (drawn) => {
        const installedPeriods = installedPeriodsOf(drawn);
        const whole = wearSummaryOfPlace(context(1), installedPeriods, today)!;
        const short = wearSummaryOfPlace(context(SHORTER_LIFE_SHARE), installedPeriods, today)!;
        expect(short.belief.mu).toBeCloseTo(whole.belief.mu, 5);
        expect(short.belief.sd).toBeCloseTo(whole.belief.sd, 5);
        expect(short.looksUsed).toBe(whole.looksUsed);
        expect(short.bookDue).toBe(whole.bookDue);
        expect(short.likelyAtWholeLife).toBe(whole.likely);
        if (whole.likely) expect(short.likely! <= whole.likely).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it("says the same in short, at length, and as a bare day", () => {
    fc.assert(
      fc.property(installedPeriod, fc.constantFrom(1, SHORTER_LIFE_SHARE), (drawn, share) => {
        const installedPeriods = installedPeriodsOf(drawn);
        const { likely, early, late } = wearSummaryOfPlace(
          context(share),
          installedPeriods,
          today,
        )!;
        const long = wearOfPlace(context(share), installedPeriods, today)!;
        expect([long.early, long.likely, long.late]).toEqual([early, likely, late]);
        expect(likelyOfPlace(context(share), installedPeriods, today)).toBe(likely);
      }),
      { numRuns: 40 },
    );
  });

  it("is due by three quarters of its age where it hardly runs", () => {
    const still = { ...context(SHORTER_LIFE_SHARE) };
    still.equipment = { ...still.equipment, heats: false, cools: false };
    const [one] = installedPeriodsOf({ media: "pleated-25", age: 10, looks: [] });
    const { likely, limitedBy } = wearSummaryOfPlace(still, [one!], today)!;
    // 120 days, less a quarter: 90 from the day it went in.
    expect(MEDIA["pleated-25"].maxAgeDays).toBe(120);
    expect([likely, limitedBy]).toEqual([addDays(today, 80), "age"]);
  });

  it("has nothing to say before the first filter", () => {
    expect(wearSummaryOfPlace(context(1), [], today)).toBeNull();
    expect(wearOfPlace(context(0.75), [], today)).toBeNull();
    expect(likelyOfPlace(context(1), [], today)).toBeNull();
  });
});
