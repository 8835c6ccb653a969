import { plainDate } from "../quantities/plain-date";
import { clockBehind } from "./clock-behind";

const made = (...days: string[]) => days.map((day) => ({ recordedAt: `${day}T08:30:00Z` }));
const today = plainDate("2026-03-14");

describe("a clock that is behind", () => {
  it.each<[string, string[], string | null]>([
    ["nothing was entered", [], null],
    ["the newest entry is of today", ["2026-03-01", "2026-03-14"], null],
    ["it is of tomorrow: another device’s zone", ["2026-03-15"], null],
    ["it is of the day after", ["2026-03-14", "2026-03-16"], "2026-03-16"],
    ["one before the last is of next year", ["2027-01-01", "2026-03-14"], "2027-01-01"],
    [
      "that one has gone out of sight",
      ["2027-01-01", ...Array<string>(10).fill("2026-03-14")],
      null,
    ],
  ])("%s", (_, days, told) => {
    expect(clockBehind(made(...days), today, "Etc/UTC")).toBe(told);
  });

  it("is told by the home’s own days", () => {
    const late = [{ recordedAt: "2026-03-15T23:30:00Z" }];
    expect(clockBehind(late, today, "Etc/UTC")).toBeNull();
    expect(clockBehind(late, today, "Asia/Tokyo")).toBe("2026-03-16");
  });
});
