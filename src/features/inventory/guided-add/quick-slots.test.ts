import type { Unit } from "@/core/inventory/inventory";
import { quickFieldsOf, readQuickSlots, slotsToAsk } from "./quick-slots";
import { book, today } from "../../../../tests/demo-book";

const furnace = book.units[0]!;

describe("the quick entry of filters", () => {
  const bare: Unit = { ...furnace, id: "new", kind: "ventilator" };
  const asked = slotsToAsk(bare, book);
  it("asks for the usual slots that are not there yet", () => {
    expect(asked.map(({ usual }) => usual.name)).toEqual(["Extract filter", "Supply filter"]);
    expect(slotsToAsk({ ...furnace }, book).map(({ usual }) => usual.name)).toEqual([
      "Return grille filter",
    ]);
    expect(quickFieldsOf(asked, {})).toEqual({ has: ["0", "1"] });
    const typed = { has: [], "nominal-0": ["x"] };
    expect(quickFieldsOf(asked, typed)).toBe(typed);
  });
  it("takes what is ticked, and leaves the rest", () => {
    const typed = { has: ["1"], "nominal-0": ["junk"], "nominal-1": ["420x180x25 mm"] };
    const { values, problems } = readQuickSlots(typed, asked, "mm", today);
    expect(problems).toEqual({});
    expect(values).toHaveLength(1);
    expect(values[0]!.slot).toMatchObject({ media: "vent-fine", airSide: "outdoor", seat: "rail" });
  });
  it("answers a bad size and a day to come at their fields", () => {
    const typed = {
      has: ["0", "1"],
      "nominal-0": [""],
      "nominal-1": ["20x"],
      "fittedOn-1": ["2027-01-01"],
    };
    expect(Object.keys(readQuickSlots(typed, asked, "mm", today).problems)).toEqual([
      "nominal-0",
      "nominal-1",
      "fittedOn-1",
    ]);
  });
});
