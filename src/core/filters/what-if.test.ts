import { addDays, plainDate, toDay } from "../quantities/plain-date";
import { wear } from "./wear";
import { wearInput } from "./wear-schema";
import { AS_IT_IS, whatIf } from "./what-if";

const today = plainDate("2026-03-14");
const input = wearInput.parse({
  today,
  fittedOn: "2026-02-20",
  climate: {
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
  },
  equipment: { heats: true, cools: true, fan: { mode: "auto" } },
  slot: { media: "pleated-25", airSide: "recirculated", rating: { scheme: "MERV", class: "8" } },
  drivers: [{ kind: "shedding-pets", count: 1, id: "dog" }],
  looks: [],
});
const ask = (change: Partial<typeof AS_IT_IS>, of = input) =>
  whatIf(of, { ...AS_IT_IS, ...change });
const usual = ask({});

describe("what if", () => {
  it("says what the engine says when nothing is changed", () => {
    const { early, likely, late } = wear(input);
    expect([usual.early, usual.likely, usual.late]).toEqual([early, likely, late]);
    const newOne = wear({ ...input, fittedOn: today }).likely!;
    expect(addDays(today, usual.newOneLasts!)).toBe(newOne);
    expect(usual.points[0]).toEqual({ x: toDay(input.fittedOn), y: 0 });
  });

  it("goes on from what was seen, vacuumed and spared", () => {
    const seen = wearInput.parse({
      ...input,
      looks: [{ date: "2026-03-06", grade: "loaded" }],
      reliefs: [{ date: "2026-03-08" }],
      lifeShare: 0.75,
    });
    const { early, likely, late, percentNow } = wear(seen);
    const asked = ask({}, seen);
    expect([asked.early, asked.likely, asked.late]).toEqual([early, likely, late]);
    const now = asked.points.find(({ x }) => x === toDay(today))!;
    expect(100 * now.y).toBeCloseTo(percentNow, 1);
  });

  it("brings another animal in from today on, and leaves what has been as it was", () => {
    const four = ask({ pets: 4 });
    expect(four.likely! < usual.likely!).toBe(true);
    expect(four.newOneLasts!).toBeLessThan(usual.newOneLasts!);
    const past = (points: { x: number; y: number }[]) =>
      points.filter(({ x }) => x <= toDay(today));
    expect(past(four.points)).toEqual(past(usual.points));
    // The same number is no change: one animal until yesterday, one from today.
    expect(ask({ pets: 1 }).likely).toBe(usual.likely);
  });

  it("makes a cold spring fill the filter sooner, a mild one later, and leaves the winter past", () => {
    const [cold, mild] = [ask({ warmerK: -4 }), ask({ warmerK: 3 })];
    expect(cold.likely! < usual.likely!).toBe(true);
    expect(mild.likely! > usual.likely!).toBe(true);
    const until = ({ points }: typeof cold) => points.filter(({ x }) => x <= toDay(today));
    expect(until(cold)).toEqual(until(usual));
    expect(until(mild)).toEqual(until(usual));
  });

  it("puts another filter in today, which lasts by its own medium, a share of it for lungs", () => {
    const deep = ask({ media: "pleated-100" });
    expect(deep.points[0]).toEqual({ x: toDay(today), y: 0 });
    expect(deep.newOneLasts!).toBeGreaterThan(2 * usual.newOneLasts!);
    expect(addDays(today, deep.newOneLasts!)).toBe(deep.likely);
    const spared = ask({ media: "pleated-100" }, { ...input, lifeShare: 0.75 });
    expect(spared.likely! < deep.likely!).toBe(true);
  });

  it("narrows the band by looks, and moves its middle not at all", () => {
    const ageless = { ...input, slot: { ...input.slot, maxAgeDays: 900 } };
    const [looked, unlooked] = [ask({ lookEveryDays: 7 }, ageless), ask({}, ageless)];
    expect(looked.likely).toBe(unlooked.likely);
    expect(looked.early! > unlooked.early!).toBe(true);
    expect(looked.late! < unlooked.late!).toBe(true);
  });
});
