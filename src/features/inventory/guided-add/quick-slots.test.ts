import type { Unit } from "@/core/inventory/inventory";
import { quickFieldsOf, readQuickSlots, slotsToAsk } from "./quick-slots";
import { snapshot, today } from "../../../../tests/demo-snapshot";

const furnace = snapshot.units[0]!;

describe("the quick entry of filters", () => {
  const bare: Unit = { ...furnace, id: "new", kind: "ventilator" };
  const slots = slotsToAsk(bare, snapshot);
  it("asks for the usual slots that are not there yet", () => {
    expect(slots.map(({ usual }) => usual.name)).toEqual(["Extract filter", "Supply filter"]);
    expect(slotsToAsk({ ...furnace }, snapshot).map(({ usual }) => usual.name)).toEqual([
      "Return grille filter",
    ]);
    expect(quickFieldsOf(slots, {})).toEqual({ has: ["0", "1"] });
    const typed = { has: [], "nominal-0": ["x"] };
    expect(quickFieldsOf(slots, typed)).toBe(typed);
  });
  it("takes what is ticked, and leaves the rest", () => {
    const typed = { has: ["1"], "nominal-0": ["junk"], "nominal-1": ["420x180x25 mm"] };
    const { values, problems } = readQuickSlots(typed, slots, "mm", today);
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
    expect(Object.keys(readQuickSlots(typed, slots, "mm", today).problems)).toEqual([
      "nominal-0",
      "nominal-1",
      "fittedOn-1",
    ]);
  });
});
