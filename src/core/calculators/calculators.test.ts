import fc from "fast-check";
import { compute } from "../compute/compute";
import { addDays, plainDate } from "../quantities/plain-date";
import { wear } from "../filters/wear";
import { wearInput } from "../filters/wear-schema";

const ask = (name: string, input: object): Record<string, unknown> => {
  const answer = compute(name, JSON.stringify(input));
  if (!answer.ok)
    throw new Error(`${name}: ${answer.error.message} at ${answer.error.path.join(".")}`);
  return answer.value as Record<string, unknown>;
};
const refused = (name: string, input: object) => {
  const answer = compute(name, JSON.stringify(input));
  return answer.ok ? null : answer.error.path;
};

describe("filter-resistance", () => {
  const box = { dropPa: 50, atVelocityMs: 1.5, airflowM3h: 1800, faceAreaM2: 0.25 };
  it("takes the box’s drop to the house’s airflow, its load and its budget", () => {
    // 0.5 m³/s through 0.25 m² is 2 m/s: 50·(2/1.5)^1.35 = 50·1.47465 = 73.7325; half loaded 1.25
    // times that, due twice; 0.5/1.5 m² would keep to the box’s velocity.
    const result = ask("filter-resistance", { ...box, load: 0.5 });
    expect(result).toMatchObject({ faceVelocityMs: 2, minFaceAreaM2: 0.3333 });
    expect(result.cleanDropPa).toBeCloseTo(73.7, 1);
    expect(result.dropNowPa).toBeCloseTo(1.25 * (result.cleanDropPa as number), 3);
    expect(result.finalDropPa).toBeCloseTo(2 * (result.cleanDropPa as number), 3);
    expect(result.budgetShare).toBeCloseTo((result.dropNowPa as number) / 125, 5);
  });
  it("is the box’s own drop at the box’s velocity, and refuses no area", () => {
    expect(ask("filter-resistance", { ...box, faceAreaM2: 1 / 3 }).cleanDropPa).toBe(50);
    expect(refused("filter-resistance", { ...box, faceAreaM2: 0 })).toEqual(["faceAreaM2"]);
    expect(refused("filter-resistance", { ...box, finalRatio: 1 })).toEqual(["finalRatio"]);
  });
});

it("airflow: 20 kW that warm the air by 30 K move 20000/(0.335·30) = 1990 m³/h", () => {
  expect(ask("airflow", { heatOutputW: 20000, temperatureRiseK: 30 })).toEqual({
    airflowM3h: 1990.0498,
  });
  expect(refused("airflow", { heatOutputW: 20000, temperatureRiseK: 0 })).toEqual([
    "temperatureRiseK",
  ]);
});

describe("humidity-limit", () => {
  const cold = { indoorC: 21, outdoorC: -9 };
  it("finds the fog line of a modern pane at its cold edge", () => {
    // 0.13·1.4 + 0.12 = 0.302 of 30 K: glass at 11.94 °C. Saturation there 13.94 hPa, at 21 °C
    // 24.81 hPa: 56.2 %. At 60 % the dew point is 12.96 °C: it fogs.
    const result = ask("humidity-limit", { ...cold, uValue: "double", indoorRh: 60 });
    expect(result).toMatchObject({
      glassC: 11.94,
      rhMax: 56.2,
      advice: 45,
      floored: false,
      fogs: true,
    });
    expect(result.dewPointC).toBeCloseTo(12.95, 1);
    expect(ask("humidity-limit", { ...cold, uValue: 1.4, indoorRh: 50 }).fogs).toBe(false);
  });
  it("advises no less than 20 percent, and says that it would have", () => {
    // Single: 0.741 of 30 K, glass at −1.23 °C; 5.588/24.81 = 22.5 %, less 3 is under 20.
    expect(ask("humidity-limit", { ...cold, uValue: "single" })).toEqual({
      glassC: -1.23,
      rhMax: 22.5,
      advice: 20,
      floored: true,
      dewPointC: null,
      fogs: null,
    });
    expect(ask("humidity-limit", { ...cold, outdoorC: 30, uValue: 2.8 }).rhMax).toBe(100);
  });
  it("fogs exactly above the fog line, whatever the weather", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -30, max: 15 }),
        fc.constantFrom("single", "old-double", "double", "triple"),
        fc.integer({ min: 5, max: 95 }),
        (outdoorC, uValue, indoorRh) => {
          const { rhMax, fogs } = ask("humidity-limit", {
            indoorC: 21,
            outdoorC,
            uValue,
            indoorRh,
          });
          if (Math.abs((rhMax as number) - indoorRh) > 0.1)
            expect(fogs).toBe(indoorRh > (rhMax as number));
        },
      ),
    );
    expect(refused("humidity-limit", { ...cold, uValue: "quadruple" })).toEqual(["uValue"]);
    expect(refused("humidity-limit", { ...cold, uValue: 1, indoorRh: 0 })).toEqual(["indoorRh"]);
  });
});

it("heat-recovery: from −5 to 16 on the way to 21 is 21 of 26 K; under 5 K it says nothing", () => {
  expect(ask("heat-recovery", { supplyC: 16, outdoorC: -5, extractC: 21 })).toEqual({
    efficiency: 0.807692,
  });
  expect(ask("heat-recovery", { supplyC: 19, outdoorC: 16, extractC: 21 }).efficiency).toBe(0.6);
  expect(refused("heat-recovery", { supplyC: 19, outdoorC: 16.1, extractC: 21 })).toEqual([
    "extractC",
  ]);
});

describe("wrap-cut", () => {
  it("cuts the better way round", () => {
    // π·200 + 25 = 653.3 mm by 300: out of 1000 × 700 one piece lengthwise … and 2 high; turned
    // three across (3·300) of one length (653.3 ≤ 700).
    const cylinder = { diameterMm: 200, heightMm: 300, sheetMm: { w: 1000, h: 700 } };
    const result = ask("wrap-cut", cylinder);
    expect(result).toMatchObject({ lengthMm: 653.3185, heightMm: 300, pieces: 3, rotated: true });
    expect(result.wasteShare).toBeCloseTo(1 - (3 * 653.3185 * 300) / 700000, 5);
    expect(ask("wrap-cut", { ...cylinder, sheetMm: { w: 700, h: 600 } })).toMatchObject({
      pieces: 2,
      rotated: false,
    });
    expect(ask("wrap-cut", { ...cylinder, sheetMm: { w: 600, h: 600 } })).toMatchObject({
      pieces: 0,
      wasteShare: 1,
    });
    expect(refused("wrap-cut", { ...cylinder, diameterMm: -1 })).toEqual(["diameterMm"]);
  });
});

describe("dose and dilution", () => {
  it("doses by the radiators, or by the boiler", () => {
    expect(
      ask("dose", { radiatorLitres: [12, 8.5, 9.5], labelPercent: 1, filterBodyL: 0.25 }),
    ).toEqual({
      systemL: 30,
      source: "radiators",
      doseL: 0.3,
      // 0.1875 L a filling.
      bodyFills: 2,
    });
    expect(ask("dose", { boilerKw: 18, labelPercent: 0.5 })).toEqual({
      systemL: 180,
      source: "boiler",
      doseL: 0.9,
      bodyFills: null,
    });
    // 0.15 L of 0.2 L bodies filled three quarters is one, to the last bit.
    expect(ask("dose", { radiatorLitres: 30, labelPercent: 0.5, filterBodyL: 0.2 }).bodyFills).toBe(
      1,
    );
    expect(refused("dose", { labelPercent: 1 })).toEqual(["radiatorLitres"]);
    expect(refused("dose", { radiatorLitres: 30, labelPercent: 0 })).toEqual(["labelPercent"]);
  });
  it("mixes one part to four in two litres as 0.4 and 1.6", () => {
    expect(ask("dilution", { waterParts: 4, tankL: 2 })).toEqual({
      concentrateL: 0.4,
      waterL: 1.6,
    });
    expect(refused("dilution", { waterParts: 0, tankL: 2 })).toEqual(["waterParts"]);
  });
});

it("duct-pull: from the top down, out and back at 0.3 m/s with five minutes for each run", () => {
  const runs = [
    { name: "hall", lengthM: 9 },
    { name: "loft", lengthM: 4.5, level: 2 },
    { lengthM: 9, level: 0 },
  ];
  expect(ask("duct-pull", { runs })).toEqual({
    order: [
      { name: "loft", level: 2, minutes: 5.5 },
      { name: "hall", level: 0, minutes: 6 },
      { name: null, level: 0, minutes: 6 },
    ],
    minutes: 17.5,
  });
  expect(refused("duct-pull", { runs, speedMs: 0 })).toEqual(["speedMs"]);
});

it("diy-or-pro: what a job of one’s own saves, and when its tools are paid", () => {
  // Half an hour at 20.00 and 5.00 of material against 60.00: 45.00 saved a job.
  const job = {
    perYear: 2,
    minutes: 30,
    materials: 500,
    tools: 10000,
    proPrice: 6000,
    hourValue: 2000,
  };
  expect(ask("diy-or-pro", job)).toEqual({
    diyPerYear: 3000,
    proPerYear: 12000,
    savedPerYear: 9000,
    jobsToPayTools: 3,
  });
  expect(ask("diy-or-pro", { ...job, proPrice: 1500 }).jobsToPayTools).toBeNull();
  expect(ask("diy-or-pro", { ...job, tools: 0 }).jobsToPayTools).toBe(0);
});

describe("buy", () => {
  const today = "2026-03-14";
  const dates = ["2026-04-01", "2026-07-01", "2026-10-01", "2027-01-01", "2027-06-01"];
  const of = (extra: object) =>
    ask("buy", {
      today,
      needs: [{ item: "20x20x1", dates }],
      stock: [],
      offers: [{ item: "20x20x1", pack: 1, price: 1200 }],
      ...extra,
    });
  it("buys what the year wants beyond the stock, a week before the first is missing", () => {
    expect(of({ stock: [{ item: "20x20x1", count: 1 }] })).toEqual({
      orders: [
        {
          item: "20x20x1",
          packs: 3,
          units: 3,
          price: 3600,
          by: "2026-06-24",
          coversUntil: "2027-01-01",
        },
      ],
      unmet: [],
      total: 3600,
    });
    expect(of({ stock: [{ item: "20x20x1", count: 4 }] })).toEqual({
      orders: [],
      unmet: [],
      total: 0,
    });
    expect(of({ leadDays: 60 }).orders).toMatchObject([{ by: today }]);
    expect(of({ offers: [] }).unmet).toEqual(["20x20x1"]);
  });
  it("takes more where that is cheaper, and fewer where it is the same", () => {
    // Four singles 4800; a break at six of 700 makes 4200; a case of four at 4300 loses to it.
    const single = { item: "20x20x1", pack: 1, price: 1200, breaks: [{ minPacks: 6, price: 700 }] };
    const offers = [single, { item: "20x20x1", pack: 4, price: 4300 }];
    expect(of({ offers }).orders).toMatchObject([
      { packs: 6, units: 6, price: 4200, coversUntil: "2027-06-01" },
    ]);
    const level = [{ ...single, breaks: [{ minPacks: 6, price: 800 }] }];
    expect(of({ offers: level }).orders).toMatchObject([{ packs: 4, price: 4800 }]);
    expect(of({ offers: [...level, offers[1]] }).orders).toMatchObject([
      { packs: 1, units: 4, price: 4300 },
    ]);
  });
  it("buys no more than keeps", () => {
    // Ordered on 25 March it keeps until 23 July.
    expect(of({ shelfLifeDays: 120 }).orders).toMatchObject([
      { packs: 2, by: "2026-03-25", coversUntil: "2026-07-01" },
    ]);
    // From stock until July; ordered on 24 September it keeps until 22 January, today it would be July.
    const stock = [{ item: "20x20x1", count: 2 }];
    expect(of({ stock, shelfLifeDays: 120 }).orders).toMatchObject([
      { packs: 2, by: "2026-09-24", coversUntil: "2027-01-01" },
    ]);
    expect(of({ shelfLifeDays: 6 })).toMatchObject({ orders: [], unmet: ["20x20x1"] });
    expect(of({ shelfLifeDays: 7 }).orders).toMatchObject([{ packs: 1 }]);
  });
  it("never pays more than for singles, and always meets the need", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 6 }),
        fc.array(
          fc.record({
            minPacks: fc.integer({ min: 2, max: 9 }),
            price: fc.integer({ min: 1, max: 900 }),
          }),
          { maxLength: 3 },
        ),
        (needed, pack, breaks) => {
          const many = Array.from({ length: needed }, (_, i) =>
            addDays(plainDate("2026-03-20"), 20 * i),
          );
          const { orders } = ask("buy", {
            today,
            needs: [{ item: "x", dates: many }],
            stock: [],
            offers: [{ item: "x", pack, price: 900, breaks }],
          }) as { orders: { units: number; price: number }[] };
          expect(orders[0]!.units).toBeGreaterThanOrEqual(needed);
          expect(orders[0]!.price).toBeLessThanOrEqual(Math.ceil(needed / pack) * 900);
        },
      ),
    );
  });
});

describe("compare-filters", () => {
  const place = {
    today: "2026-03-14",
    fittedOn: "2026-03-14",
    climate: { monthlyMeanC: Array(12).fill(0), heatingDesignC: -20, coolingDesignMeanC: 26 },
    equipment: { heats: false, cools: false, fan: { mode: "continuous", level: 0.5 } },
    drivers: [],
  };
  const slot = (media: string) => ({ media, airSide: "recirculated" });
  it("sets changes, cost, minutes and payback side by side", () => {
    // 12 h a day: 25 mm lasts 550/12 → 46 days, 100 mm 2200/12 → 184 days: 365.25/46 and 365.25/184 changes
    // a year. 7940.22 against 5955.16: 1985.05 saved, a frame of 8000 in 4.03 years. Within three years
    // (1096 days) lie 23 and 5 changes.
    const result = ask("compare-filters", {
      wear: place,
      options: [
        { name: "shallow", slot: slot("pleated-25"), price: 1000 },
        {
          name: "deep",
          slot: slot("pleated-100"),
          price: 12000,
          packOf: 4,
          changeMinutes: 15,
          conversionCost: 8000,
        },
      ],
    });
    expect(result.options).toEqual([
      {
        name: "shallow",
        changes: 23,
        changesPerYear: 7.9402,
        costPerYear: 7940.2174,
        minutesPerYear: 79.4022,
        paybackYears: null,
      },
      {
        name: "deep",
        changes: 5,
        changesPerYear: 1.9851,
        costPerYear: 5955.163,
        minutesPerYear: 29.7758,
        paybackYears: 4.0301,
      },
    ]);
  });
  it("changes as often as the engine would, one filter after another", () => {
    const options = [{ name: "x", slot: slot("pleated-50"), price: 1 }];
    const drivers = [{ kind: "shedding-pets", count: 2 }];
    const [row] = ask("compare-filters", { wear: { ...place, drivers }, options, years: 2 })
      .options as {
      changes: number;
    }[];
    let fittedOn = plainDate("2026-03-14");
    let changes = 0;
    for (;;) {
      const { likely } = wear(
        wearInput.parse({ ...place, drivers, looks: [], slot: slot("pleated-50"), fittedOn }),
      );
      if (likely === null || likely > "2028-03-14") break;
      fittedOn = likely;
      changes++;
    }
    expect(row!.changes).toBe(changes);
  });
  it("refuses a slot in the place and an unknown medium", () => {
    const options = [{ name: "x", slot: slot("pleated-25"), price: 1 }];
    expect(
      refused("compare-filters", { wear: { ...place, slot: slot("pleated-25") }, options }),
    ).toEqual(["wear", "slot"]);
    expect(
      refused("compare-filters", {
        wear: place,
        options: [{ name: "x", slot: slot("wool"), price: 1 }],
      }),
    ).toEqual(["options", 0, "slot", "media"]);
    expect(refused("compare-filters", { wear: { ...place, today: "soon" }, options })).toEqual([
      "wear",
      "today",
    ]);
  });
});
