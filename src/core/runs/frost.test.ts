import { plainDate } from "../quantities/plain-date";
import { snapshot } from "../../../tests/demo-snapshot";
import type { HomeEnd } from "./home-ends";
import { freezesOn, offInFrost } from "./frost";

const end = (unit: string, kind: HomeEnd["end"]): HomeEnd => ({
  id: `${unit}-${kind}`,
  unit,
  end: kind,
  since: "2026-01-15T09:00:00Z",
  blockedBy: [],
  isDrying: false,
});
const usual = { ...snapshot, actuals: [] };
const january = plainDate("2026-01-15");
const july = plainDate("2026-07-15");

describe("a machine left off in frost", () => {
  it("is one that heats, its power or its gas off, on a day that freezes", () => {
    const open = [
      end("cellar-furnace", "switch-off"),
      end("kiln-furnace", "gas-shut"),
      end("loft-ventilator", "switch-off"),
      end("studio-pump", "panel-off"),
    ];
    expect(offInFrost(usual, open, january).map(({ id }) => id)).toEqual([
      "cellar-furnace",
      "kiln-furnace",
    ]);
    expect(offInFrost(usual, open, july)).toEqual([]);
    expect(offInFrost(usual, [], january)).toEqual([]);
  });
  it("goes by a day that was noted of late before it goes by the usual one", () => {
    const noted = (date: string, meanC: number) => ({
      ...snapshot,
      actuals: [{ date: plainDate(date), meanC }],
    });
    // −9 is usual in mid-January.
    expect(freezesOn(usual, january)).toBe(true);
    expect(freezesOn(noted("2026-01-14", 9), january)).toBe(false);
    expect(freezesOn(noted("2026-01-01", 9), january)).toBe(true);
    expect(freezesOn(noted("2026-07-14", -2), july)).toBe(true);
  });
});
