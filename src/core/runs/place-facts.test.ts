import type { HistoryEvent } from "@/core/history/history-event";
import { HistoryRecord } from "@/core/history/history-record";
import { procedure, PROCEDURES } from "@/content/procedures/library";
import { plainDate } from "@/core/quantities/plain-date";
import { snapshot, today } from "../../../tests/demo-snapshot";
import { doneToday, factsOf, mildnessOf, needsLicence, tryAgainOn } from "./place-facts";
import { spokenOf } from "@/features/runs/guide/read-aloud";

const unitAt = (id: string) => snapshot.units.find((unit) => unit.id === id)!;
const slotAt = (id: string) => snapshot.slots.find((slot) => slot.id === id)!;

describe("what is true of a place", () => {
  it("decides its steps: arrow unknown, size never measured, a light to reset", () => {
    const slot = { ...slotAt("cellar-filter"), direction: "unknown" as const, indicator: true };
    const unmeasured = { ...slot, opening: undefined, measured: undefined };
    expect(factsOf(snapshot, { unit: unitAt("cellar-furnace"), slot: unmeasured })).toEqual([
      "direction-unknown",
      "direction-unasked",
      "size-unknown",
      "has-indicator",
      "has-filters",
      "door-switch",
      "plastic-vent",
      "has-float",
      "coil-fixed",
      "has-exchanger",
      "in-use",
    ]);
    const measured = { ...slot, opening: { text: "20x20x1", mm: { w: 508, h: 508, d: 25.4 } } };
    expect(factsOf(snapshot, { unit: unitAt("cellar-furnace"), slot: measured })).not.toContain(
      "size-unknown",
    );
  });

  it("looks for the blower with the power off where its door stops it", () => {
    const unit = unitAt("cellar-furnace");
    const slot = {
      ...slotAt("cellar-filter"),
      direction: "unknown" as const,
      slotPlace: "blower-compartment" as const,
    };
    const isSwitch = ({ kind }: { kind: string }) => kind === "door-switch";
    expect(snapshot.parts.some((part) => part.unitId === unit.id && isSwitch(part))).toBe(true);
    // Whether somebody wrote the switch down or not: no hand goes where a wheel turns.
    const unwritten = { ...snapshot, parts: snapshot.parts.filter((part) => !isSwitch(part)) };
    for (const house of [snapshot, unwritten]) {
      const facts = factsOf(house, { unit, slot });
      expect(facts).toContain("direction-behind-door");
      expect(facts).not.toContain("direction-unknown");
    }
    expect(factsOf(snapshot, { unit, slot: { ...slot, direction: "either" } })).not.toContain(
      "direction-behind-door",
    );
  });

  it("knows a sealed heating from one open to a header tank", () => {
    const boiler = { ...unitAt("cellar-furnace"), kind: "boiler", attributes: {} };
    const nothing = { units: [], slots: [], parts: [] };
    expect(factsOf(nothing, { unit: boiler })).toContain("sealed-system");
    const open = { ...boiler, attributes: { water: "header-tank" } };
    expect(factsOf(nothing, { unit: open })).toContain("header-tank");
    expect(factsOf(nothing, { unit: open })).not.toContain("sealed-system");
    expect(factsOf(nothing, {})).toEqual(["coil-fixed", "in-use"]);
    expect(factsOf(nothing, {}, true)).toEqual(["coil-fixed", "stored"]);
  });
});

describe("whether a day is mild enough", () => {
  const usual = { ...snapshot, actuals: [] };

  it("goes by the normals where nothing was noted of late, and names the day from which it is", () => {
    // Halfway through March −1, through April 7: 5 °C come three quarters of the way, on 7 April.
    const mild = mildnessOf(usual, { leastC: 5 }, plainDate("2026-03-15"));
    expect(mild).toMatchObject({ meanC: -1, isObserved: false, isMild: false });
    expect(mild.from).toBe("2026-04-08");
    expect(mildnessOf(usual, { leastC: 5 }, plainDate("2026-07-15"))).toMatchObject({
      meanC: 21,
      isMild: true,
      from: null,
    });
  });

  it("judges the afternoon where that is what counts: half the day’s range above its mean", () => {
    const job = { leastC: 16, at: "afternoon" as const };
    // Through May 13, a range of 10: 18 in the afternoon, when the day’s mean is 13.
    expect(mildnessOf(usual, job, plainDate("2026-05-15"))).toMatchObject({
      meanC: 18,
      isMild: true,
    });
    expect(mildnessOf(usual, { leastC: 16 }, plainDate("2026-05-15")).isMild).toBe(false);
  });

  it("goes by the day that was noted, while that is fresh", () => {
    const noted = (date: string) => ({
      ...snapshot,
      actuals: [{ date: plainDate(date), meanC: 9 }],
    });
    expect(mildnessOf(noted("2026-03-13"), { leastC: 5 }, today)).toMatchObject({
      meanC: 9,
      isObserved: true,
      isMild: true,
    });
    expect(mildnessOf(noted("2026-03-01"), { leastC: 5 }, today).isObserved).toBe(false);
  });
});

describe("around a job", () => {
  it("knows what was done today at the same air, and not what was withdrawn", () => {
    const unit = unitAt("cellar-furnace");
    const coil = snapshot.parts.find(
      ({ unitId, kind }) => unitId === unit.id && kind === "evaporator-coil",
    )!;
    const done = {
      id: "coil",
      kind: "done" as const,
      unitId: unit.id,
      partId: coil.id,
      taskKey: "clean",
      date: today,
      recordedAt: "2026-03-14T08:00:00Z",
    };
    const with_ = (...events: HistoryEvent[]) => ({
      ...snapshot,
      history: new HistoryRecord(events),
    });
    expect(doneToday(with_(done), unit, today)).toEqual(new Set(["evaporator-coil:clean"]));
    expect(doneToday(with_(done), unitAt("loft-ventilator"), today).size).toBe(0);
    const withdrawn = { ...done, id: "not", kind: "withdrawn" as const, corrects: "coil" };
    expect(doneToday(with_(done, withdrawn), unit, today).size).toBe(0);
  });

  it("tries again in a week, where nobody says otherwise", () => {
    expect(tryAgainOn(today)).toBe("2026-03-21");
  });

  it("asks who does it only where something is for licensed people", () => {
    const asked = PROCEDURES.filter(needsLicence);
    // Every licensed job, and an owner’s that may come upon something licensed.
    expect(asked).toEqual(
      expect.arrayContaining(PROCEDURES.filter(({ who }) => who === "licensed")),
    );
    expect(asked.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["polish-flame-sensor", "rinse-outdoor-coil", "check-gas-hose"]),
    );
    expect(asked.map(({ id }) => id)).not.toContain("change-panel-filter");
  });

  it("reads a step aloud with its caution first, as sentences", () => {
    const step = procedure("change-panel-filter")!.steps.find(({ id }) => id === "power-off")!;
    expect(spokenOf(step)).toMatch(
      /^Take care\. A switch worked by the door does not count.*\. Switch the power off\. At the unit’s own switch\./,
    );
  });
});
