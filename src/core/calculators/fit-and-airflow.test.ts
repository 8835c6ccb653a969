import fc from "fast-check";
import { compute } from "../compute/compute";
import { filterFit, filterFitInput } from "./filter-fit";
import { ratingCrosswalk } from "./rating-crosswalk";
import { registersInput, registersVerdict } from "./registers";

const cellar = {
  slotMm: { w: 508, h: 508, depth: 26 },
  filterMm: { w: 495, h: 495, depth: 25 },
  dropPa: 48,
  airflowM3h: 1800,
};
const fit = (extra: object = {}) => filterFit(filterFitInput.parse({ ...cellar, ...extra }));

describe("filter-fit", () => {
  it("finds the air that slips past a rail", () => {
    // Gap (508² − 495²)/10⁶ = 0.013039 m², leak 0.0019559 m². With x the share through the filter:
    // x + 0.6·0.0019559·√(2·48·x^1.35/1.2)/0.5 = 1 → x + 0.0209925·x^0.675 = 1. At x = 0.97945
    // that is 0.97945 + 0.0209925·0.986081 = 1.00015, at 0.9793 it is 0.99999: x ≈ 0.97930.
    const result = fit({ efficiency: 0.7 });
    expect(result.gapMm).toEqual({ w: 13, h: 13 });
    expect(result.gapAreaM2).toBe(0.013);
    expect(result.bypass).toBeCloseTo(0.0207, 4);
    expect(result.verdict).toBe("leaky");
    expect(result.effectiveEfficiency).toBeCloseTo(0.7 * (1 - result.bypass!), 5);
    expect(result.dropPa).toBeCloseTo(48 * (1 - result.bypass!) ** 1.35, 3);
  });

  it("solves what it says it solves", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 508 }),
        fc.integer({ min: 5, max: 200 }),
        fc.constantFrom("open", "rail", "gasket"),
        (side, dropPa, seat) => {
          const result = fit({ filterMm: { w: side, h: side }, dropPa, seat });
          const leak = result.gapAreaM2! * { open: 1, rail: 0.15, gasket: 0.03 }[seat as "open"];
          const past = 0.6 * leak * Math.sqrt((2 * result.dropPa!) / 1.2) * 3600;
          expect(result.filterAirflowM3h! + result.bypassAirflowM3h!).toBeCloseTo(1800, 2);
          // The gap's area is given to four places: allow for it.
          expect(Math.abs(past - result.bypassAirflowM3h!)).toBeLessThan(
            0.6 * 0.00006 * Math.sqrt(dropPa / 0.6) * 3600 + 0.5,
          );
        },
      ),
    );
  });

  it("is tight behind a gasket, a wrong size with a hand's width free", () => {
    expect(fit({ seat: "gasket" }).verdict).toBe("tight");
    expect(fit({ filterMm: { w: 400, h: 495, depth: 25 } }).verdict).toBe("wrong-size");
    expect(fit({ filterMm: cellar.slotMm }).bypass).toBe(0);
  });

  it("is leaky at best when it is thinner than its slot by more than 3 mm, unless spaced", () => {
    const thin = { filterMm: { w: 507, h: 507, depth: 22 } };
    expect(fit(thin).verdict).toBe("leaky");
    expect(fit({ ...thin, spacer: true }).verdict).toBe("tight");
    expect(fit({ filterMm: { w: 507, h: 507, depth: 23 } }).verdict).toBe("tight");
  });

  it.each([
    { w: 509, h: 400 },
    { w: 400, h: 509 },
    { w: 400, h: 400, depth: 27 },
  ])("does not fit when it is larger in any way: %j", (filterMm) => {
    expect(fit({ filterMm })).toEqual({
      verdict: "does-not-fit",
      gapMm: null,
      gapAreaM2: null,
      bypass: null,
      filterAirflowM3h: null,
      bypassAirflowM3h: null,
      dropPa: null,
      effectiveEfficiency: null,
    });
  });

  it("lets less past the better it is seated, and more the dirtier it is", () => {
    const [gasket, rail, open] = ["gasket", "rail", "open"].map((seat) => fit({ seat }).bypass!);
    expect(gasket! < rail! && rail! < open!).toBe(true);
    expect(fit({ dropPa: 96 }).bypass!).toBeGreaterThan(rail!);
  });

  it("refuses a size of nothing", () => {
    const input = { ...cellar, slotMm: { w: 0, h: 508 } };
    expect(compute("filter-fit", JSON.stringify(input))).toMatchObject({
      ok: false,
      error: { path: ["slotMm", "w"] },
    });
  });
});

describe("rating-crosswalk", () => {
  it.each([
    [
      "MERV",
      "8",
      { MERV: "8", EN779: "G4", ISO16890: "Coarse 80", EN1822: null },
      { e1: null, e2: 20, e3: 70 },
    ],
    [
      "MERV",
      "3",
      { MERV: "3", EN779: "G2", ISO16890: "Coarse 60", EN1822: null },
      { e1: null, e2: null, e3: null },
    ],
    [
      "MERV",
      "16",
      { MERV: "16", EN779: "F9", ISO16890: "ePM1 80", EN1822: "E10" },
      { e1: 95, e2: 95, e3: 95 },
    ],
    [
      "EN779",
      "F7",
      { MERV: "13", EN779: "F7", ISO16890: "ePM1 50", EN1822: null },
      { e1: 50, e2: 85, e3: 90 },
    ],
    [
      "ISO16890",
      "ePM2.5 60",
      { MERV: "12", EN779: "M6", ISO16890: "ePM2.5 60", EN1822: null },
      { e1: 35, e2: 80, e3: 90 },
    ],
    [
      "EN1822",
      "H13",
      { MERV: "16", EN779: "F9", ISO16890: "ePM1 80", EN1822: "H13" },
      { e1: 99.95, e2: 99.95, e3: 99.95 },
    ],
    [
      "EN1822",
      "U17",
      { MERV: "16", EN779: "F9", ISO16890: "ePM1 80", EN1822: "U17" },
      { e1: 99.999995, e2: 99.999995, e3: 99.999995 },
    ],
  ] as const)("%s %s", (scheme, name, nearest, minimumEfficiency) => {
    expect(ratingCrosswalk({ scheme, class: name })).toEqual({
      nearest,
      minimumEfficiency,
      approximate: true,
    });
  });

  it("keeps the class it was given, and comes back to it from its nearest MERV within one class", () => {
    const there = ratingCrosswalk({ scheme: "EN779", class: "M6" });
    expect(there.nearest.EN779).toBe("M6");
    expect(ratingCrosswalk({ scheme: "MERV", class: there.nearest.MERV }).nearest.EN779).toBe("M6");
  });

  it("refuses a class that does not exist", () => {
    expect(
      compute("rating-crosswalk", JSON.stringify({ scheme: "EN779", class: "G9" })),
    ).toMatchObject({
      ok: false,
      error: { path: ["class"] },
    });
  });
});

describe("registers", () => {
  const verdict = (input: object) => registersVerdict(registersInput.parse(input));
  it.each([
    // A third of 18 is 6, a sixth 3: up to 3 sound, up to 6 watch, from 7 on act.
    [
      { total: 18, closed: 0 },
      { closedShare: 0, maxClosed: 6, mustOpen: 0, verdict: "sound" },
    ],
    [
      { total: 18, closed: 3 },
      { closedShare: 0.166667, maxClosed: 6, mustOpen: 0, verdict: "sound" },
    ],
    [
      { total: 18, closed: 4 },
      { closedShare: 0.222222, maxClosed: 6, mustOpen: 0, verdict: "watch" },
    ],
    [
      { total: 18, closed: 6 },
      { closedShare: 0.333333, maxClosed: 6, mustOpen: 0, verdict: "watch" },
    ],
    [
      { total: 18, closed: 7 },
      { closedShare: 0.388889, maxClosed: 6, mustOpen: 1, verdict: "act" },
    ],
    // Ten: a third is 3 and a bit, so 3 may be shut and the fourth has to be opened.
    [
      { total: 10, closed: 4 },
      { closedShare: 0.4, maxClosed: 3, mustOpen: 1, verdict: "act" },
    ],
    [
      { total: 2, closed: 1 },
      { closedShare: 0.5, maxClosed: 0, mustOpen: 1, verdict: "act" },
    ],
    // A return is never shut, however few of the others are.
    [
      { total: 18, closed: 0, returns: 4, returnsShut: 1 },
      { closedShare: 0, maxClosed: 6, mustOpen: 0, verdict: "act" },
    ],
  ])("judges %j", (input, expected) => {
    expect(verdict(input)).toEqual(expected);
  });
  it.each([
    [{ total: 0, closed: 0 }, ["total"]],
    [{ total: 4, closed: 5 }, ["closed"]],
    [{ total: 4, closed: 1.5 }, ["closed"]],
    [{ total: 4, closed: 1, returns: 1, returnsShut: 2 }, ["returnsShut"]],
    [{ total: 4, closed: 1, windows: 2 }, []],
  ])("refuses %j", (input, path) => {
    expect(registersInput.safeParse(input).error!.issues[0]!.path).toEqual(path);
  });
  it("asks for no opening that would not be enough, and for none too many", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), fc.nat(80), (total, shut) => {
        const closed = Math.min(total, shut);
        const { mustOpen } = verdict({ total, closed });
        expect(verdict({ total, closed: closed - mustOpen }).verdict).not.toBe("act");
        if (mustOpen > 0)
          expect(verdict({ total, closed: closed - mustOpen + 1 }).verdict).toBe("act");
      }),
    );
  });
});
