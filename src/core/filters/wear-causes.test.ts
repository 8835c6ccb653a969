import fc from "fast-check";
import { addDays, daysFrom, plainDate } from "../quantities/plain-date";
import { wearSummary } from "./wear";
import { wearCauses, wholeDays } from "./wear-causes";
import { wearInput } from "./wear-schema";

const climate = {
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
};
/** A fan at half speed: twelve hours each day, whatever the weather. 550 rated hours end on day 46. */
const steady = {
  today: "2026-02-01",
  fittedOn: "2026-01-01",
  climate,
  equipment: { heats: false, cools: false, fan: { mode: "continuous", level: 0.5 } },
  slot: { media: "pleated-25", airSide: "recirculated" },
  drivers: [],
  looks: [],
};
const of = (more: object) => wearCauses(wearInput.parse({ ...steady, ...more }));

describe("the causes of a due day", () => {
  it("share what they do together, and what cannot be split goes to the first", () => {
    // Due on day 46 by the book, 36 with the hobby (15.6 h a day), 33 with smoke (16.8), 26 with both
    // (21.84). The hobby: half of 46 − 36 and of 33 − 26, 8.5 days; smoke half of 13 and of 10, 11.5.
    // On day 26 the filter is at 56.73 % by the book, 73.75, 79.42 and 103.24.
    const drivers = [{ kind: "dusty-hobby", id: "kiln" }, { kind: "indoor-smoking" }];
    expect(of({ drivers })).toEqual({
      bookDue: "2026-02-16",
      likely: "2026-01-27",
      totalDays: 20,
      causes: [
        { cause: "driver", kind: "indoor-smoking", days: 11, points: 26.1 },
        { cause: "driver", kind: "dusty-hobby", id: "kiln", days: 9, points: 20.4 },
      ],
    });
  });

  it("may pull either way: lungs bring it nearer, a vacuumed filter is due later", () => {
    // Three quarters of the life: day 35 instead of 46. Three tenths of 240 h off on day 20: day 52.
    // Both: (412.5 + 72) / 12, day 41.
    const reliefs = [{ date: "2026-01-21" }];
    expect(of({ lifeShare: 0.75, reliefs }).causes).toEqual([
      { cause: "breathing", days: 11, points: 27.6 },
      { cause: "relief", days: -6, points: -15.3 },
    ]);
  });

  it("name the place’s own pace, and the weather as it was against the usual", () => {
    // 1.2 times as fast: 14.4 h a day, day 39, on which the book has 85.09 %: 17.02 more.
    expect(of({ belief: { mu: Math.log(1.2) } }).causes).toEqual([
      { cause: "place", days: 7, points: 17 },
    ]);
    // Twenty hours on each of ten days: 80 more, so (550 − 80) / 12, day 40.
    const measured = Array.from({ length: 10 }, (_, i) => ({
      date: addDays(plainDate("2026-01-02"), i),
      hours: 20,
    }));
    expect(of({ measured }).causes).toMatchObject([{ cause: "weather", days: 6 }]);
  });

  it("are none where nothing differs, and have no days where none is due in time", () => {
    expect(of({})).toMatchObject({ totalDays: 0, causes: [] });
    const drivers = [{ kind: "indoor-smoking" }];
    const never = of({
      drivers,
      horizonDays: 5,
      slot: { ...steady.slot, baseHours: 90_000, maxAgeDays: 3000 },
    });
    expect(never).toMatchObject({ bookDue: null, likely: null, totalDays: null });
    expect(never.causes.every(({ days, points }) => days === null && points === null)).toBe(true);
  });

  it("count points where age sets both days", () => {
    const drivers = [{ kind: "indoor-smoking" }];
    const old = of({ drivers, slot: { ...steady.slot, maxAgeDays: 20 } });
    expect(old.totalDays).toBe(0);
    // 20 days of 12 h: 43.6 %, and 1.4 times that.
    expect(old.causes).toEqual([
      { cause: "driver", kind: "indoor-smoking", days: 0, points: 17.5 },
    ]);
  });

  it("are eight at the most: the least of the drivers stand together", () => {
    const drivers = [
      { kind: "dusty-region" },
      { kind: "busy-road" },
      { kind: "people", count: 3 },
      { kind: "shedding-pets", count: 1 },
      { kind: "dryer-or-litter-beside" },
      { kind: "cooking-grease" },
      { kind: "dusty-hobby" },
      { kind: "indoor-smoking" },
      { kind: "building-nearby", from: "2026-01-05" },
      { kind: "moved-in", on: "2026-01-03" },
    ];
    const { causes, totalDays } = of({
      drivers,
      slot: { ...steady.slot, baseHours: 2000, maxAgeDays: 365 },
    });
    expect(causes).toHaveLength(8);
    expect(causes.filter(({ kind }) => kind === "other")).toHaveLength(1);
    // Kitchen grease and a third person add a twentieth each; a road and building nearby a tenth.
    expect(causes.map(({ kind }) => kind)).not.toContain("cooking-grease");
    expect(causes.map(({ kind }) => kind)).toContain("indoor-smoking");
    expect(causes.reduce((sum, { days }) => sum + days!, 0)).toBe(totalDays);
  });

  it("add up to the difference between the engine’s own two days, whatever acts", () => {
    const day = (i: number) => addDays(plainDate("2025-10-01"), i);
    fc.assert(
      fc.property(
        fc.record({
          drivers: fc.subarray([
            { kind: "dusty-hobby" },
            { kind: "shedding-pets", count: 2 },
            { kind: "shedding-pets", count: 1, from: "2025-11-01" },
            { kind: "renovation", from: "2025-11-10", to: "2025-12-01" },
            { kind: "bypass", fraction: 0.4 },
            { kind: "moved-in", on: "2025-09-20" },
          ]),
          mu: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
          lifeShare: fc.constantFrom(1, 0.75),
          grade: fc.constantFrom("light", "grey", "loaded"),
          lookOn: fc.integer({ min: 20, max: 90 }),
          reliefs: fc.subarray([{ date: day(30) }, { date: day(60), share: 0.5 }]),
          colder: fc.integer({ min: -8, max: 8 }),
          media: fc.constantFrom("pleated-25", "washable-panel", "humidifier-panel", "pleated-100"),
        }),
        ({ drivers, mu, lifeShare, grade, lookOn, reliefs, colder, media }) => {
          const input = wearInput.parse({
            today: day(100),
            fittedOn: day(0),
            climate,
            actuals: Array.from({ length: 60 }, (_, i) => ({ date: day(i), meanC: 3 + colder })),
            equipment: { heats: true, cools: true, fan: { mode: "minimum", hours: 3 } },
            slot: { media, airSide: "recirculated" },
            drivers,
            belief: { mu },
            looks: [{ date: day(lookOn), grade }],
            reliefs,
            lifeShare,
          });
          const { bookDue, likely, totalDays, causes } = wearCauses(input);
          const engine = wearSummary(input);
          expect([bookDue, likely]).toEqual([engine.bookDue, engine.likely]);
          expect(totalDays).toBe(bookDue && likely ? daysFrom(likely, bookDue) : null);
          if (totalDays !== null)
            expect(causes.reduce((sum, { days }) => sum + days!, 0)).toBe(totalDays);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("whole days", () => {
  it("keep their sum, and no share is off by a day or more", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -900, max: 900 }), { minLength: 1, maxLength: 8 }),
        (tenths) => {
          const sum = tenths.reduce((total, each) => total + each, 0);
          const total = Math.round(sum / 10) || 0;
          const shares = tenths.map((each) => each / 10 + (total - sum / 10) / tenths.length);
          const days = wholeDays(shares, total);
          expect(days.reduce((all, each) => all + each, 0)).toBe(total);
          days.forEach((each, i) => expect(Math.abs(each - shares[i]!)).toBeLessThan(1 + 1e-6));
        },
      ),
    );
  });
});
