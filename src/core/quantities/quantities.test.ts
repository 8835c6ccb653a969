import fc from "fast-check";
import { moneyFigure, moneyWords, readMoney } from "./money";
import { isBelow, reaches, roundTo } from "./rounding";
import { ratingWords, readRating, toMerv, type RatingScheme } from "./rating";
import { actualSize, isRound, outgrows, readSize, sizeWords } from "./size";
import {
  differenceFromKelvin,
  differenceToKelvin,
  fromCelsius,
  readFigures,
  toCelsius,
} from "./temperature";
import {
  awayWords,
  bandWords,
  betweenWords,
  countWords,
  dateWords,
  monthDayWords,
  listWords,
  longDate,
  spanWords,
} from "./words";
import { addDays, plainDate } from "./plain-date";

describe("rounding", () => {
  it.each([
    [2.5, 0, 3],
    [-2.5, 0, -3],
    [1.005, 2, 1.01],
    [-1.005, 2, -1.01],
    [0.00004, 4, 0],
    [-0.00004, 4, 0],
    [10.71428, 4, 10.7143],
  ])("takes half away from zero: %d to %d places is %d", (value, places, rounded) => {
    expect(roundTo(places)(value)).toBe(rounded);
  });

  it("compares with a tolerance, and either reaches or is below, never both", () => {
    expect(reaches(1 - 5e-10, 1)).toBe(true);
    expect(reaches(1 - 5e-9, 1)).toBe(false);
    fc.assert(
      fc.property(fc.double({ noNaN: true }), fc.double({ noNaN: true }), (value, bound) => {
        expect(reaches(value, bound)).toBe(!isBelow(value, bound));
      }),
    );
  });
});

describe("ratings", () => {
  it.each<[RatingScheme, string, number | null]>([
    ["MERV", "8", 8],
    ["MERV", "17", null],
    ["MERV", "0", null],
    ["MERV", "08", null],
    ["EN779", "G4", 8],
    ["EN779", "M6", 12],
    ["EN779", "F9", 15],
    ["EN779", "G5", null],
    ["EN1822", "H13", 16],
    ["EN1822", "H15", null],
    ["ISO16890", "Coarse 75", 6],
    ["ISO16890", "Coarse 80", 8],
    ["ISO16890", "ePM10 55", 10],
    ["ISO16890", "ePM10 60", 12],
    ["ISO16890", "ePM2.5 60", 12],
    ["ISO16890", "ePM2.5 65", 13],
    ["ISO16890", "ePM1 60", 13],
    ["ISO16890", "ePM1 75", 14],
    ["ISO16890", "ePM1 80", 15],
    ["ISO16890", "ePM1 45", null],
    ["ISO16890", "ePM1 67", null],
  ])("%s %s is about MERV %s", (scheme, name, merv) => {
    expect(toMerv({ scheme, class: name })).toBe(merv);
  });

  it.each([
    ["merv8", "MERV 8"],
    ["MERV 13", "MERV 13"],
    ["8", "MERV 8"],
    ["g4", "G4"],
    ["h13", "H13"],
    ["epm1 50", "ePM1 50"],
    ["ePM2,5 65 %", "ePM2.5 65"],
    ["ISO 16890 coarse 60%", "Coarse 60"],
  ])("reads “%s” as %s", (text, words) => {
    expect(ratingWords(readRating(text)!)).toBe(words);
  });

  it.each(["MERV 17", "G9", "very fine", "ePM1 30", ""])("does not know “%s”", (text) => {
    expect(readRating(text)).toBeNull();
  });
});

describe("sizes", () => {
  it.each([
    ["20x20x1", { w: 508, h: 508, d: 25.4 }, "in"],
    ["20 x 25 x 4 in", { w: 508, h: 635, d: 101.6 }, "in"],
    ["500×500×48", { w: 500, h: 500, d: 48 }, "mm"],
    ["19 1/2 x 24 1/2", { w: 495.3, h: 622.3 }, "in"],
    ['19-1/2x24-1/2x3/4"', { w: 495.3, h: 622.3, d: 19.05 }, "in"],
    ["49,5*49,5*2,2 cm", { w: 495, h: 495, d: 22 }, "cm"],
    ["495 x 495 x 22mm", { w: 495, h: 495, d: 22 }, "mm"],
    ['20"x25"x4"', { w: 508, h: 635, d: 101.6 }, "in"],
    ["20”x25”x4”", { w: 508, h: 635, d: 101.6 }, "in"],
    ["500mmx500mm", { w: 500, h: 500 }, "mm"],
    ["20inx25in", { w: 508, h: 635 }, "in"],
    ["20in.x25in.x1in.", { w: 508, h: 635, d: 25.4 }, "in"],
    ["ø200 × 300 mm", { w: 200, h: 300 }, "mm"],
    ["dia. 8 x 12 in", { w: 203.2, h: 304.8 }, "in"],
  ])("reads %s", (text, mm, unit) => {
    expect(readSize(text)).toEqual({ ok: true, mm, unit });
  });

  it.each([
    ["20x0x1", "zero"],
    ["0 x 20 in", "zero"],
    ["20", "unreadable"],
    ["big", "unreadable"],
    ["20x20x1x4", "unreadable"],
    ["-20x20", "unreadable"],
    ["20 in x 500 mm", "unreadable"],
    ["300x300 in", "too-large"],
    ["80x80x5", "which-unit"],
  ])("refuses %s as %s", (text, why) => {
    expect(readSize(text)).toEqual({ ok: false, why });
  });

  it("asks the home's unit only where the figures leave it open", () => {
    expect(readSize("80x80x5", "mm")).toMatchObject({ unit: "mm" });
    expect(readSize("61x61x5", "mm")).toMatchObject({ unit: "mm" });
    expect(readSize("20x20x1", "mm")).toMatchObject({ unit: "in" });
    // Fifty could be inches or centimetres there: it is asked.
    expect(readSize("50x50x5", "mm")).toEqual({ ok: false, why: "which-unit" });
    expect(readSize("50x50x5", "in")).toMatchObject({ unit: "in" });
    expect(readSize("80x80x5", "in")).toEqual({ ok: false, why: "which-unit" });
    expect(isRound("ø200 × 300 mm")).toBe(true);
    expect(isRound("20x20x1")).toBe(false);
  });

  it("makes a nominal inch filter half an inch smaller, and believes a tape", () => {
    const nominal = { w: 508, h: 508, d: 25.4 };
    const actual = actualSize(nominal, "in");
    expect(actual.w).toBeCloseTo(495.3, 9);
    expect(actual.d).toBe(25.4);
    expect(actualSize(nominal, "mm")).toEqual(nominal);
    expect(actualSize(nominal, "in", { w: 490, h: 490 })).toEqual({ w: 490, h: 490 });
  });

  it("says in which direction a filter is too large, forgiving a millimetre", () => {
    expect(outgrows({ w: 509, h: 508, d: 25 }, { w: 508, h: 508, d: 26 })).toEqual([]);
    expect(outgrows({ w: 512, h: 500, d: 30 }, { w: 508, h: 508, d: 26 })).toEqual([
      "width",
      "depth",
    ]);
  });

  it("writes what it reads", () => {
    fc.assert(
      fc.property(
        fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 1, max: 700 }))),
        (sixteenths) => {
          const [w, h, d] = sixteenths.map((n) => (n / 16) * 25.4) as [number, number, number];
          const read = readSize(sizeWords({ w, h, d }, "in"));
          expect(read.ok && read.mm.w).toBeCloseTo(w, 2);
          expect(read.ok && read.mm.d).toBeCloseTo(d, 2);
        },
      ),
    );
    expect(sizeWords({ w: 495.3, h: 622.3, d: 19.05 }, "in")).toBe("19 1/2×24 1/2×3/4 in");
    expect(sizeWords({ w: 495.3, h: 495 }, "mm")).toBe("495×495 mm");
  });
});

describe("temperatures and money", () => {
  it("converts a temperature with its offset and a difference without", () => {
    expect(fromCelsius(0, "F")).toBe(32);
    expect(toCelsius(-40, "F")).toBe(-40);
    expect(differenceFromKelvin(10, "F")).toBe(18);
    expect(differenceToKelvin(18, "F")).toBe(10);
    fc.assert(
      fc.property(fc.integer({ min: -80, max: 80 }), (c) => {
        expect(toCelsius(fromCelsius(c, "F"), "F")).toBeCloseTo(c, 9);
      }),
    );
  });

  it("reads figures as they are pasted, with any minus", () => {
    expect(readFigures("−9, 2.5; 7\n–1")).toEqual([-9, 2.5, 7, -1]);
    expect(readFigures("3 °C 4°F")).toEqual([3, 4]);
    expect(readFigures("")).toEqual([]);
    expect(readFigures("3 mild 4")).toBeNull();
  });

  it("keeps money in the smallest unit of its currency", () => {
    expect(readMoney("18.50", "EUR")).toBe(1850);
    expect(readMoney("18,5", "EUR")).toBe(1850);
    expect(readMoney("1800", "JPY")).toBe(1800);
    expect(readMoney("18.5", "JPY")).toBeNull();
    expect(readMoney("18.505", "EUR")).toBeNull();
    expect(readMoney("-3", "EUR")).toBeNull();
    expect(moneyWords({ minor: 950, currency: "EUR" })).toBe("€9.50");
    expect(moneyFigure(950, "EUR")).toBe("9.50");
  });
});

describe("words", () => {
  const today = plainDate("2026-03-14");
  it("names days as people say them", () => {
    expect(dateWords(today, today)).toBe("Sat 14 Mar");
    expect(monthDayWords("05-02")).toBe("2 May");
    expect(dateWords(plainDate("2027-01-02"), today)).toBe("Sat 2 Jan 2027");
    expect(longDate(today)).toBe("Saturday 14 March");
  });

  it.each([
    [0, "today"],
    [1, "tomorrow"],
    [9, "in 9 days"],
    [21, "in about 3 weeks"],
    [150, "in about 5 months"],
    [-1, "1 day over"],
    [-9, "9 days over"],
  ])("says how far off %d days are: %s", (days, words) => {
    expect(awayWords(addDays(today, days), today)).toBe(words);
  });

  it("counts coarsely what is long", () => {
    expect([1, 13, 14, 75, 76, 365].map(spanWords)).toEqual([
      "1 day", "13 days", "2 weeks", "11 weeks", "2 months", "12 months",
    ]); // prettier-ignore
  });

  it("writes a band once where both ends are alike", () => {
    const [a, b] = [plainDate("2026-03-12"), plainDate("2026-03-20")];
    expect(bandWords(a, b, today)).toBe("12 – 20 Mar");
    expect(betweenWords(a, b, today)).toBe("between 12 and 20 Mar");
    expect(betweenWords(a, a, today)).toBe("on 12 Mar");
    expect(bandWords(plainDate("2026-02-28"), b, today)).toBe("28 Feb – 20 Mar");
  });

  it("joins lists and counts small things in words", () => {
    expect(listWords(["a"])).toBe("a");
    expect(listWords(["a", "b", "c"])).toBe("a, b and c");
    expect([0, 1, 9, 10].map(countWords)).toEqual(["no", "one", "nine", "10"]);
  });
});
