import { BRITISH } from "../../tests/two-englishes";
import { englishOf, inEnglish, procedureInEnglish } from "./english";
import { lintProcedures } from "@/core/runs/lint";
import { PROCEDURES, procedureIn } from "./procedures/library";

const wordsOf = (value: unknown): string[] =>
  typeof value === "string"
    ? [value]
    : typeof value === "object" && value !== null
      ? Object.values(value).flatMap(wordsOf)
      : [];

describe("the English of a home", () => {
  it("goes by its units", () => {
    expect(englishOf({ unitSystem: "us" })).toBe("us");
    expect(englishOf({ unitSystem: "metric" })).toBe("gb");
  });

  it.each([
    ["Torch on it: light grey, or mould", "Flashlight on it: light gray, or mold"],
    ["Clear a metre all round", "Clear three feet all round"],
    ["Nothing within a metre and a half", "Nothing within five feet"],
    ["Half a metre before the front", "A foot and a half before the front"],
    ["A litre at a time; after each litre", "A quart at a time; after each quart"],
    ["Pour half a litre in", "Pour a pint in"],
    ["How hot is the water at the nearest tap?", "How hot is the water at the nearest faucet?"],
    ["Fibreglass, 25 mm (1 in)", "Fiberglass, 1 in (25 mm)"],
    // A tap with a finger is one everywhere, and so is the water a machine heats.
    ["Hot: tap before you touch", "Hot: tap before you touch"],
    ["heats the tap water", "heats the tap water"],
  ])("says %j as %j where there are inches, and leaves it elsewhere", (british, american) => {
    expect(inEnglish("us", british)).toBe(american);
    expect(inEnglish("gb", british)).toBe(british);
  });

  it("of every procedure leaves nothing British in what is read, and no name by which steps meet is changed", () => {
    for (const each of PROCEDURES) {
      const read = procedureInEnglish("us", each);
      const ids = (of: typeof each) =>
        of.steps.map(({ id, closes, waitsFor, starts }) => [id, closes, waitsFor, starts?.key]);
      expect(ids(read)).toEqual(ids(each));
    }
    const american = PROCEDURES.map((each) => procedureInEnglish("us", each));
    const texts = american.flatMap((read) => [
      read.title,
      ...read.steps.flatMap(({ title, detail, why, caution, tools, consumables }) =>
        wordsOf([title, detail, why, caution, tools, consumables]),
      ),
    ]);
    expect(texts.filter((text) => BRITISH.test(text))).toEqual([]);
    expect(lintProcedures({ procedures: american }).faults).toEqual([]);
  });

  it("leaves what somebody wrote for their own house as they wrote it", () => {
    const own = { ...PROCEDURES[0]!, id: "own-1", title: "By torch" };
    const home = {
      ownProcedures: [{ id: "own-1", procedure: own, jobs: [] }],
      home: { unitSystem: "us" as const },
    };
    expect(procedureIn(home, "own-1")!.title).toBe("By torch");
  });
});
