import { levelForm, roomForm } from "./rooms-form";
import { ruleOfAThird } from "./rooms-queries";
import { snapshot } from "../../../../tests/demo-snapshot";

describe("rooms and levels", () => {
  it("are refused where something is missing or makes no sense", () => {
    expect(roomForm.safeParse({ name: "", levelId: "x" }).success).toBe(false);
    expect(levelForm.safeParse({ name: "Tower", place: "inside", storey: "40" }).success).toBe(
      false,
    );
    expect(levelForm.parse({ name: "Cellar", place: "inside", storey: "-1" }).storey).toBe(-1);
  });
  it("say how many registers are shut, in words", () => {
    expect(ruleOfAThird([])).toBeNull();
    expect(ruleOfAThird(snapshot.registers)).toEqual({
      words: "Four of 18 registers shut; a third, 6, may be.",
      verdict: "watch",
    });
    const shut = snapshot.registers.map((each) => ({ ...each, isShut: true }));
    expect(ruleOfAThird(shut)!.words).toBe(
      "18 of 18 registers shut; a third, 6, may be: open 12 at least. A return is never shut or blocked: open it.",
    );
  });
});
