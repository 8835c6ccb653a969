import { sluiceHouse } from "@/content/demo/demo-homes";
import { plainDate } from "@/core/quantities/plain-date";
import { levelForm, roomForm } from "./rooms-form";
import { ruleOfAThird } from "./rooms-queries";

const today = plainDate("2026-03-14");
const { book } = sluiceHouse(today, new Date("2026-03-14T08:30:00Z"));

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
    expect(ruleOfAThird(book.registers)).toEqual({
      words: "Four of 18 registers shut; a third, 6, may be.",
      verdict: "watch",
    });
    const shut = book.registers.map((each) => ({ ...each, isShut: true }));
    expect(ruleOfAThird(shut)!.words).toBe(
      "18 of 18 registers shut; a third, 6, may be: open 12 at least. A return is never shut or blocked: open it.",
    );
  });
});
