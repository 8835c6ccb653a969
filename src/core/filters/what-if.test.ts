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
const ask = (change: Partial<typeof AS_IT_IS>, share = 1) =>
  whatIf(input, { ...AS_IT_IS, ...change }, share);
const usual = ask({});

describe("what if", () => {
  it("says what the engine says when nothing is changed", () => {
    const { early, likely, late } = wear(input);
    expect([usual.early, usual.likely, usual.late]).toEqual([early, likely, late]);
    const newOne = wear({ ...input, fittedOn: today }).likely!;
    expect(addDays(today, usual.newOneLasts!)).toBe(newOne);
    expect(usual.points[0]).toEqual({ x: toDay(input.fittedOn), y: 0 });
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

  it("makes a cold spring fill the filter sooner, a mild one later", () => {
    expect(ask({ warmerK: -4 }).likely! < usual.likely!).toBe(true);
    expect(ask({ warmerK: 3 }).likely! > usual.likely!).toBe(true);
  });

  it("lets a deeper filter last longer, by a share where lungs ask for it", () => {
    const deep = ask({ media: "pleated-100" });
    expect(deep.likely! > usual.likely!).toBe(true);
    expect(ask({ media: "pleated-100" }, 0.75).likely! < deep.likely!).toBe(true);
    expect(ask({ media: "pleated-100" }).newOneLasts!).toBeGreaterThan(usual.newOneLasts!);
  });

  it("narrows the band by looks, and moves its middle not at all", () => {
    const looked = ask({ lookEveryDays: 7 });
    expect(looked.likely).toBe(usual.likely);
    expect(looked.early! > usual.early!).toBe(true);
    expect(looked.late! < usual.late!).toBe(true);
  });
});
