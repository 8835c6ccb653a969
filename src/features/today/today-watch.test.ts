import { agendaNow } from "@/server/snapshots/agendas";
import { judgeInput } from "@/core/readings/judge";
import type { HistoryEvent } from "@/core/inventory/inventory";
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

  it("lets go of what was put right: a coil that was rinsed, a seal that was replaced", () => {
    const at = (id: string, more: Partial<HistoryEvent>): HistoryEvent => ({
      ...{ id, kind: "done", date: today, recordedAt: `${today}T08:00:00.000Z` },
      ...more,
    });
    const coil = { unitId: "yard-condenser", partId: "yard-condenser-condenser-coil" };
    const seal = { unitId: "loft-ventilator", partId: "loft-ventilator-cover-seal" };
    const seen = (kind: "coil" | "seal", value: string) =>
      judgeInput.parse({ kind, value }) as HistoryEvent["reading"];
    const bad = [
      at("matted", { ...coil, kind: "reading", reading: seen("coil", "matted") }),
      at("leaks", { ...seal, kind: "reading", reading: seen("seal", "leaking") }),
    ];
    const right = [
      at("rinsed", { ...coil, taskKey: "clean" }),
      at("new-seal", { ...seal, taskKey: "replace" }),
    ];
    const hrefs = (...events: HistoryEvent[]) => {
      const home = { ...book, events: [...book.events, ...events] };
      return watchOf(home, today, agendaNow(home, today)).map(({ href }) => href);
    };
    const places = [`parts/${coil.partId}`, `parts/${seal.partId}`];
    expect(hrefs(...bad)).toEqual(expect.arrayContaining(places));
    for (const place of places) expect(hrefs(...bad, ...right)).not.toContain(place);
  });
});
