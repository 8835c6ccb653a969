import fc from "fast-check";
import {
  addMonths,
  addDays,
  civil,
  datesBetween,
  dayIn,
  dayNumber,
  daysFrom,
  fromDay,
  plainDate,
  readPlainDate,
  toDay,
  weekday,
} from "./plain-date";

const anyDay = fc.integer({ min: -400_000, max: 400_000 });

describe("plain dates", () => {
  it.each([
    ["2026-02-28", true],
    ["2024-02-29", true],
    ["2026-02-29", false],
    ["1900-02-29", false],
    ["2000-02-29", true],
    ["2026-13-01", false],
    ["2026-00-10", false],
    ["2026-04-31", false],
    ["26-04-30", false],
    ["2026-4-3", false],
    ["", false],
  ])("knows whether %s exists: %s", (text, exists) => {
    expect(readPlainDate(text) !== null).toBe(exists);
  });

  it("counts days from 1 January 1970, before and after", () => {
    expect(toDay(plainDate("1970-01-01"))).toBe(0);
    expect(toDay(plainDate("1969-12-31"))).toBe(-1);
    expect(toDay(plainDate("2026-03-14"))).toBe(20_526);
  });

  it("steps over leap days only where there are any", () => {
    expect(addDays(plainDate("2024-02-28"), 1)).toBe("2024-02-29");
    expect(addDays(plainDate("2025-02-28"), 1)).toBe("2025-03-01");
    expect(daysFrom(plainDate("2024-01-01"), plainDate("2025-01-01"))).toBe(366);
  });

  it("agrees with the platform's calendar on every day", () => {
    fc.assert(
      fc.property(anyDay, (day) => {
        const date = new Date(day * 86_400_000);
        expect(civil(day)).toEqual({
          year: date.getUTCFullYear(),
          month: date.getUTCMonth() + 1,
          day: date.getUTCDate(),
        });
        expect(weekday(fromDay(day))).toBe(date.getUTCDay());
      }),
    );
  });

  it("goes there and back", () => {
    fc.assert(
      fc.property(fc.integer({ min: -200_000, max: 200_000 }), (day) => {
        const { year, month, day: dayOfMonth } = civil(day);
        expect(dayNumber(year, month, dayOfMonth)).toBe(day);
        expect(toDay(fromDay(day))).toBe(day);
      }),
    );
  });

  it("finds the local day of an instant in its own zone", () => {
    const lateEvening = Date.parse("2026-03-14T23:30:00Z");
    expect(dayIn("Etc/UTC", lateEvening)).toBe("2026-03-14");
    expect(dayIn("Etc/GMT-3", lateEvening)).toBe("2026-03-15");
    expect(dayIn("Etc/GMT+10", Date.parse("2026-03-14T03:00:00Z"))).toBe("2026-03-13");
  });

  it("lists a span with both its ends", () => {
    const days = datesBetween(toDay(plainDate("2024-02-28")), toDay(plainDate("2024-03-01")));
    expect(days).toEqual(["2024-02-28", "2024-02-29", "2024-03-01"]);
  });

  it("throws on a date in our own code that does not exist", () => {
    expect(() => plainDate("2026-02-30")).toThrow("2026-02-30");
  });
});

describe("months on", () => {
  it.each([
    ["2026-01-31", 1, "2026-02-28"],
    ["2024-01-31", 1, "2024-02-29"],
    ["2024-02-29", 12, "2025-02-28"],
    ["2026-03-31", -1, "2026-02-28"],
    ["2026-12-15", 1, "2027-01-15"],
    ["2019-02-28", 84, "2026-02-28"],
    ["2026-05-10", 0, "2026-05-10"],
  ])("%s and %d months are %s", (from, months, to) => {
    expect(addMonths(plainDate(from), months)).toBe(to);
  });
});
