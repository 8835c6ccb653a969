import { plainDate } from "@/core/quantities/plain-date";
import { headline, seasonLine } from "./today-words";
import { snapshot } from "../../../tests/demo-snapshot";

describe("the sentence at the top", () => {
  it.each([
    [{ open: 0, past: 0, soon: 0, units: 0 }, "Nothing to look after yet."],
    [{ open: 0, past: 0, soon: 0, units: 3 }, "All is well, nothing is due."],
    [{ open: 1, past: 0, soon: 0, units: 3 }, "One thing is left open."],
    [{ open: 0, past: 1, soon: 0, units: 3 }, "One job is past its time."],
    [
      { open: 0, past: 2, soon: 1, units: 3 },
      "Two jobs are past their time and one is due this week.",
    ],
    [
      { open: 2, past: 1, soon: 3, units: 9 },
      "Two things are left open, one job is past its time and three are due this week.",
    ],
    [{ open: 12, past: 0, soon: 0, units: 3 }, "12 things are left open."],
  ])("for %j reads “%s”", (counts, sentence) => {
    expect(headline(counts)).toBe(sentence);
  });
});

describe("the line on the season", () => {
  it.each([
    ["2026-03-14", "Heating season, −1 °C is usual today, heating ends about 25 May"],
    ["2026-06-01", "Between seasons, 16 °C is usual today, cooling starts about 19 Jun"],
    ["2026-07-15", "Cooling season, 21 °C is usual today, cooling ends about 31 Aug"],
    ["2026-10-15", "Heating season, 8 °C is usual today, heating ends about 25 May 2027"],
  ])("on %s reads “%s”", (date, line) => {
    expect(seasonLine(snapshot, plainDate(date))).toBe(line);
  });
  it("speaks °F where the home does", () => {
    const us = { ...snapshot, home: { ...snapshot.home, unitSystem: "us" as const } };
    expect(seasonLine(us, plainDate("2026-07-15"))).toContain("70 °F is usual today");
  });
});
