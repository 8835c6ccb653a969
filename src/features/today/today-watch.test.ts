import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { addDays } from "@/core/quantities/plain-date";
import { judgeInput } from "@/core/readings/judge";
import type { HistoryEvent } from "@/core/history/history-event";
import { watchOf } from "./today-watch";
import { snapshot, today } from "../../../tests/demo-snapshot";

const schedule = scheduleNow(snapshot, today);

describe("what is on watch", () => {
  it("puts the worst first: a core that keeps too little, what was put off, drifts or is dusted, a warranty", () => {
    expect(watchOf(snapshot, today, schedule).map(({ verdict, href }) => [verdict, href])).toEqual([
      ["act", "parts/loft-ventilator-recovery-core"],
      ["watch", "visits/visit-166#finding-capacitor"],
      ["watch", "parts/kiln-furnace-pilot"],
      ["watch", "parts/cellar-furnace-capacitor"],
      ["watch", "parts/cellar-furnace-evaporator-coil"],
      ["watch", "units/yard-condenser"],
    ]);
  });

  it("asks at an act for what one can do oneself first, at a stop for a call and a visit made for it", () => {
    const at = (id: string, kind: "flame-current-ua" | "flame", value: number | string) => ({
      ...{ id, kind: "reading" as const, unitId: "cellar-furnace", date: today },
      partId: "cellar-furnace-flame-sensor",
      recordedAt: `${today}T08:00:00.000Z`,
      reading: judgeInput.parse({ kind, value, ...(kind === "flame" ? {} : { unit: "uA" }) }),
    });
    const seen = (event: HistoryEvent) => {
      const home = { ...snapshot, history: snapshot.history.with(event) };
      return watchOf(home, today, scheduleNow(home, today)).find(
        ({ unitId }) => unitId === "cellar-furnace",
      )!;
    };
    const weak = seen(at("weak", "flame-current-ua", 0.5));
    expect([weak.verdict, weak.call]).toEqual(["act", undefined]);
    expect(weak.next!.words).toMatch(/polish/i);
    const soot = seen(at("soot", "flame", "sooting"));
    expect(soot.verdict).toBe("stop");
    expect(soot.call?.phone).toMatch(/^\+99/);
    // The service in nine days is none that was made for it.
    expect(soot.next).toMatchObject({ words: "Make a visit for it" });
    const made = {
      ...{ id: "made", reason: "breakdown" as const, unitIds: ["cellar-furnace"] },
      on: addDays(today, 1),
    };
    const home = {
      ...snapshot,
      visits: [...snapshot.visits, made],
      history: snapshot.history.with(at("soot", "flame", "sooting")),
    };
    expect(watchOf(home, today, scheduleNow(home, today))[0]!.next!.words).toMatch(
      /^The visit made for it/,
    );
  });

  it("misses an alarm on a lived-in level, and speaks of a shut return", () => {
    const units = snapshot.units.filter(({ id }) => id !== "alarm-upper");
    const registers = snapshot.registers.map((each) =>
      each.role === "return" ? { ...each, isShut: true } : each,
    );
    const words = watchOf({ ...snapshot, units, registers }, today, schedule).map(
      (each) => each.words,
    );
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
      const home = { ...snapshot, history: snapshot.history.with(...events) };
      return watchOf(home, today, scheduleNow(home, today)).map(({ href }) => href);
    };
    const places = [`parts/${coil.partId}`, `parts/${seal.partId}`];
    expect(hrefs(...bad)).toEqual(expect.arrayContaining(places));
    for (const place of places) expect(hrefs(...bad, ...right)).not.toContain(place);
  });
});
