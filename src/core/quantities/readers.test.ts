import fc from "fast-check";
import { readDecimal, readWhole } from "@/lib/forms";
import { isoOf, readDayText } from "@/ui/day-text";
import { readMoney } from "./money";
import { readPlainDate } from "./plain-date";
import { readRating } from "./rating";
import { isRound, readSize } from "./size";

const LETTERS = 100_000;
const READERS: Record<string, (text: string) => unknown> = {
  "a size": (text) => readSize(text, "mm").ok,
  "something round": (text) => isRound(text),
  "a day": readPlainDate,
  "a day as a home writes it": (text) => readDayText(text, "day-first"),
  "a day for the form": (text) => (isoOf(text, "month-first") === text ? null : "another"),
  "a rating": readRating,
  money: (text) => readMoney(text, "EUR"),
  "a whole number": (text) => readWhole(text, 0, 9),
  "a decimal": readDecimal,
};

/** What makes a careless reader go over a text again and again. */
const piece = fc.constantFrom(
  " ",
  "\t",
  "1",
  "0",
  "in",
  "in ",
  "mm.",
  "x",
  " x",
  "20 ",
  "1/",
  "ø",
  "-",
  "2026-",
  "MERV ",
  "€",
  ",",
  ".",
  "\u00a0",
);

describe.each(Object.entries(READERS))("%s of a hundred thousand letters", (_, read) => {
  it("is none, and found to be none at once", () => {
    fc.assert(
      fc.property(piece, piece, fc.boolean(), (first, then, isMixed) => {
        const unit = isMixed ? first + then : first;
        const text = `?${unit.repeat(LETTERS / unit.length)}${then}?`;
        // Going over it for each of its letters would take minutes: Jest would give it up.
        expect([null, false]).toContain(read(text));
      }),
      { numRuns: 60 },
    );
  });
});
