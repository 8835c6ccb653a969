import { isolatorOf } from "./inventory";
import { unit } from "../../../tests/small-home";

describe("a unit's isolator", () => {
  it.each([
    ["switch", "switch-off"],
    ["breaker", "breaker-off"],
    ["disconnect", "disconnect-out"],
    ["plug", "disconnect-out"],
  ] as const)("is what its %s leaves open: %s", (kind, end) => {
    expect(
      isolatorOf({
        ...unit,
        shutOffs: [
          { id: "gas", kind: "gas-cock", place: "behind" },
          { id: "x", kind, place: "here" },
        ],
      }),
    ).toBe(end);
  });
  it("is taken for a switch where nothing is written down", () => {
    expect(isolatorOf(unit)).toBe("switch-off");
  });
});
