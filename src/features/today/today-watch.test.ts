import { agendaNow } from "@/content/agendas";
import { watchOf } from "./today-watch";
import { book, today } from "../../../tests/demo-book";

const agenda = agendaNow(book, today);

describe("what is on watch", () => {
  it("puts the worst first: a core that keeps too little, a capacitor that drifts, a warranty", () => {
    expect(watchOf(book, today, agenda).map(({ verdict, href }) => [verdict, href])).toEqual([
      ["act", "parts/loft-ventilator-recovery-core"],
      ["watch", "parts/cellar-furnace-capacitor"],
      ["watch", "units/yard-condenser"],
    ]);
  });
  it("misses an alarm on a lived-in level, and speaks of a shut return", () => {
    const units = book.units.filter(({ id }) => id !== "alarm-upper");
    const registers = book.registers.map((each) =>
      each.role === "return" ? { ...each, isShut: true } : each,
    );
    const words = watchOf({ ...book, units, registers }, today, agenda).map((each) => each.words);
    expect(words).toContain("No carbon monoxide alarm on: Upper floor.");
    expect(words).toContain("A return is shut or blocked: open it.");
  });
});
