import fc from "fast-check";
import { isoOf, shownDay } from "./day-text";

describe("a day as it is typed", () => {
  it.each([
    ["day-first", "14.03.2026", "2026-03-14"],
    ["day-first", "4.3.2026", "2026-03-04"],
    ["day-first", "4/3/2026", "2026-03-04"],
    ["day-first", "4 Mar 2026", "2026-03-04"],
    ["day-first", " 2026-03-04 ", "2026-03-04"],
    ["month-first", "03/04/2026", "2026-03-04"],
    ["month-first", "3-4-2026", "2026-03-04"],
    ["month-first", "Mar 4, 2026", "2026-03-04"],
    ["month-first", "2026-03-04", "2026-03-04"],
    ["month-first", "1 May 2017", "2017-05-01"],
    ["day-first", "May 1, 2017", "2017-05-01"],
    ["day-first", "1st of May 2017", "1st of May 2017"],
    ["day-first", "3rd September 2017", "2017-09-03"],
    ["day-first", "Sept. 2017", "2017-09-01"],
    ["month-first", "May 2017", "2017-05-01"],
    ["day-first", "may 2017", "2017-05-01"],
    ["day-first", "2017-05", "2017-05-01"],
    ["month-first", "5/2017", "2017-05-01"],
    ["day-first", "05.2017", "2017-05-01"],
  ] as const)("%s: “%s” is %s", (order, typed, iso) => expect(isoOf(typed, order)).toBe(iso));

  it.each([
    ["day-first", "03/14/2026"],
    ["month-first", "14/03/2026"],
    ["day-first", "31.02.2026"],
    ["day-first", "4.3.26"],
    ["day-first", "2017"],
    ["day-first", "13.2017"],
    ["day-first", "yesterday"],
    ["day-first", ""],
  ] as const)("%s: “%s” is none, and goes on as it was typed", (order, typed) => {
    expect(isoOf(typed, order)).toBe(typed);
    expect(shownDay(typed, order)).toBe(typed);
  });

  it("is the first of January where a year is all that is known, and only there", () => {
    expect(isoOf("2017", "day-first", true)).toBe("2017-01-01");
    expect(shownDay("2017", "month-first", true)).toBe("01/01/2017");
  });

  it("is read back as the same day in either order, whatever day it is", () => {
    fc.assert(
      fc.property(
        fc.date({
          min: new Date("1900-01-01"),
          max: new Date("2200-12-31"),
          noInvalidDate: true,
        }),
        fc.constantFrom("day-first" as const, "month-first" as const),
        (date, order) => {
          const iso = date.toISOString().slice(0, 10);
          expect(isoOf(shownDay(iso, order), order)).toBe(iso);
        },
      ),
    );
  });
});
