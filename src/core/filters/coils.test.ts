import { daysFrom, plainDate } from "../quantities/plain-date";
import { compute } from "../compute/compute";
import { coilDust } from "./media";
import { wear } from "./wear";
import { wearCauses } from "./wear-causes";
import { wearInput } from "./wear-schema";

const climate = {
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
};
/** A blower at a steady 2400 h a year. */
const blower = {
  heats: false,
  cools: false,
  fan: { mode: "continuous", level: 2400 / 24 / 365.25 },
};
const raw = {
  today: "2026-01-01",
  fittedOn: "2026-01-01",
  climate,
  equipment: blower,
  slot: { media: "indoor-coil", airSide: "recirculated" },
  drivers: [],
  looks: [],
  horizonDays: 7300,
};
const years = (upstream: object | undefined, more: object = {}) => {
  const slot = { ...raw.slot, upstream };
  const { likely } = wear(wearInput.parse({ ...raw, slot, ...more }));
  return Number((daysFrom(plainDate(raw.fittedOn), likely!) / 365.25).toFixed(2));
};
const merv = (rating: string) => ({ scheme: "MERV", class: rating });

describe("an indoor coil", () => {
  // 24,000 h at 2400 a year; past MERV 8 go 7 % of the coarse dust, with 5 % past its frame 11.65 %,
  // with 15 % 20.95 %; past MERV 4 a quarter, past MERV 13 1.5 %, which no age of 20 years lets end.
  it.each([
    [undefined, 10],
    [{ rating: merv("8") }, 10],
    [{ rating: merv("8"), bypass: 0.05 }, 6.01],
    [{ rating: merv("8"), bypass: 0.15 }, 3.34],
    [{ rating: merv("4") }, 2.8],
    [{ rating: { scheme: "EN779", class: "G3" } }, 4.67],
    [{}, 0.7],
    [{ rating: merv("13") }, 19.99],
  ])("behind %j is matted after %d years", (upstream, expected) => {
    expect(years(upstream)).toBe(expected);
  });

  it("sits behind its filter in the book too", () => {
    const behind = (upstream: object | undefined) =>
      wear(wearInput.parse({ ...raw, slot: { ...raw.slot, upstream } }));
    for (const upstream of [
      undefined,
      { rating: merv("8"), bypass: 0.05 },
      { rating: merv("4") },
    ]) {
      const { bookDue, likely } = behind(upstream);
      expect(bookDue).toBe(likely);
    }
  });

  it("takes the dust of its house, and what slips past the frame spares it nothing", () => {
    expect(years(undefined, { drivers: [{ kind: "dusty-hobby" }] })).toBe(7.69);
    const bypass = [{ kind: "bypass", fraction: 0.5 }];
    expect(years(undefined, { drivers: bypass })).toBe(10);
    const { causes } = wearCauses(wearInput.parse({ ...raw, drivers: bypass }));
    expect(causes).toEqual([]);
  });

  it("lets past what each rating does, and all where there is none", () => {
    const shares = [null, 1, 4, 5, 8, 9, 11, 13, 20].map((each) =>
      Number((0.07 * coilDust(each, 0)).toFixed(4)),
    );
    expect(shares).toEqual([1, 0.25, 0.25, 0.15, 0.07, 0.05, 0.03, 0.015, 0.015]);
    expect(0.07 * coilDust(8, 1)).toBeCloseTo(1);
  });
});

describe("an outdoor coil", () => {
  it("wears by the hours of cooling and three tenths of those of heating, whatever the fan", () => {
    const days = (heats: boolean, fan: object) => {
      const equipment = { heats, cools: true, fan };
      const slot = { media: "outdoor-coil", airSide: "outdoor" };
      const measured = [{ date: "2026-01-02", hours: 24 }];
      const result = wear(wearInput.parse({ ...raw, equipment, slot, measured, horizonDays: 365 }));
      return result.days.map(({ runHours }) => runHours);
    };
    const both = days(true, { mode: "auto" });
    const cooling = days(false, { mode: "auto" });
    expect(days(true, { mode: "continuous" })).toEqual(both);
    // At −9 °C in the middle of January: 24/1.4 · (16 + 9)/(16 + 24) = 10.7 h, of which three tenths.
    expect(cooling[14]).toBe(0);
    expect(both[14]).toBeCloseTo(0.3 * 10.714, 1);
    // In the middle of July hardly a day is cold enough to heat.
    expect(both[195]! - cooling[195]!).toBeLessThan(0.05);
  });
});

describe("looks at coils", () => {
  const at = (media: string, grade: string) => {
    const slot = { media, airSide: "recirculated" };
    const looks = [{ date: "2028-01-01", grade }];
    return compute("wear", JSON.stringify({ ...raw, today: "2028-01-01", slot, looks }));
  };

  it("have grades of their own, and teach as those at filters do", () => {
    const belief = (grade: string) => {
      const answer = at("indoor-coil", grade);
      return answer.ok ? (answer.value as { belief: { mu: number } }).belief.mu : null;
    };
    // A fifth of its life is over: dusty says 0.55, matted 1.1, and clean at most 0.2.
    expect(belief("dusty")!).toBeGreaterThan(0.3);
    expect(belief("matted")!).toBeGreaterThan(belief("dusty")!);
    expect(belief("clean")!).toBe(0);
  });

  it.each([
    ["indoor-coil", "grey"],
    ["outdoor-coil", "white-powder"],
    ["pleated-25", "dusty"],
    ["pleated-25", "matted"],
  ])("of %s are never %s", (media, grade) => {
    const answer = at(media, grade);
    expect(answer.ok ? null : answer.error.path).toEqual(["looks", 0, "grade"]);
  });

  it("only an indoor coil sits behind a filter", () => {
    const slot = { media: "pleated-25", airSide: "recirculated", upstream: { bypass: 0.1 } };
    const answer = compute("wear", JSON.stringify({ ...raw, slot }));
    expect(answer.ok ? null : answer.error.path).toEqual(["slot", "upstream"]);
  });
});
