import { triggerSchema } from "@/core/scheduling/trigger";
import { MEASURED_KINDS, READING_KINDS, WORD_KINDS } from "@/core/readings/reading-kinds";
import { readingWords, unitsFor } from "@/core/readings/reading-units";
import { PART_KINDS } from "@/content/part-kinds";
import { PART_READINGS, READING_WORDS, SEEN_WORDS, UNIT_READINGS } from "@/content/reading-words";
import { readWords } from "./reading-advice";
import { triggerWords } from "./task-words";
import { UNIT_KINDS } from "@/content/unit-kinds";

describe("how a job comes round, in words", () => {
  it.each([
    [{ kind: "every", n: 1, unit: "year" }, "every year"],
    [{ kind: "every", n: 2, unit: "month", within: "cooling" }, "every 2 months while it cools"],
    [{ kind: "run-hours", n: 500 }, "every 500 hours of running"],
    [{ kind: "season", anchor: "heatingStart", offsetDays: -28 }, "4 weeks before heating starts"],
    [{ kind: "season", anchor: "coolingEnd", offsetDays: 14 }, "2 weeks after cooling ends"],
    [{ kind: "season", anchor: "firstWarmDay" }, "on the first warm day"],
    [{ kind: "season", anchor: "snowFrom" }, "when snow comes"],
    [{ kind: "age", minYears: 5, maxYears: 7 }, "5 to 7 years after it was made"],
    [
      { kind: "after", event: "renovation", days: 14 },
      "within 2 weeks after building work has ended",
    ],
    [{ kind: "after", event: "grey-look", days: 0 }, "at a look that finds it dusty all over"],
    [{ kind: "after", event: "flood", days: 1 }, "within 1 day after flood"],
    [{ kind: "wear" }, "by its wear"],
    [{ kind: "reading", reading: "coil", verdict: "act" }, "when the coil looks bad"],
    [
      { kind: "reading", reading: "boiler-pressure-bar", verdict: "act" },
      "when the heating’s pressure is out of its limits",
    ],
    [{ kind: "reading", reading: "duct-amount", verdict: "act" }, "when much lies in the ducts"],
    [{ kind: "reading", reading: "wires", verdict: "act" }, "when wires or their ends look bad"],
    [
      { kind: "earliest", of: [{ kind: "wear" }, { kind: "every", n: 1, unit: "day" }] },
      "by its wear, or every day",
    ],
  ])("%j: %s", (trigger, words) => {
    expect(triggerWords(triggerSchema.parse(trigger))).toBe(words);
  });
});

describe("the words of readings", () => {
  it("are there for every kind, with what to do, and for every word that is seen", () => {
    for (const kind of READING_KINDS) {
      const { name, how, act } = READING_WORDS[kind];
      expect([name, how, act].every((words) => words.length > 3)).toBe(true);
      expect(how).toMatch(/\.$/);
    }
    for (const words of Object.values(WORD_KINDS))
      for (const word of Object.keys(words)) expect(SEEN_WORDS[word]).toBeDefined();
  });

  it("name what is usually read at kinds there are", () => {
    const parts = PART_KINDS.map(({ id }) => id as string);
    const units = UNIT_KINDS.map(({ id }) => id as string);
    expect(Object.keys(PART_READINGS).every((kind) => parts.includes(kind))).toBe(true);
    expect(Object.keys(UNIT_READINGS).every((kind) => units.includes(kind))).toBe(true);
  });

  it.each([
    ["capacitor-uf", 4.786, "metric", "4.79 µF"],
    ["cooling-split-k", 10, "us", "18 °F"],
    ["cooling-split-k", -2.5, "metric", "−2.5 °C"],
    ["static-pressure-pa", 124.5445, "us", "0.5 in. w.g."],
    ["heat-recovery-efficiency", 0.61, "metric", "61 %"],
    ["closed-registers", 6, "metric", "6"],
    ["alarm-age-years", 5, "metric", "5 years"],
  ] as const)("write %s %d in %s as %s", (kind, value, system, words) => {
    expect(readingWords(kind, value, system)).toBe(words);
  });

  it("keep to one unit that is judged, whatever is typed", () => {
    for (const kind of READING_KINDS)
      for (const system of ["metric", "us"] as const) {
        const units = unitsFor(kind, system);
        expect(units.length > 0).toBe(kind in MEASURED_KINDS || kind === "plate-range");
        for (const { per } of units) expect(per).toBeGreaterThan(0);
      }
    expect(readWords({ kind: "coil", value: "matted" }, "metric")).toBe("matted");
    expect(readWords({ kind: "capacitor-uf", value: undefined }, "metric")).toBe(
      "bulged or leaking",
    );
  });
});
