import type { Brief } from "./brief";
import { briefText } from "./brief";

const brief: Brief = {
  title: "Sluice House: brief for a visit",
  intro: "Yearly service, Mon 23 Mar; nobody yet.",
  bring: [{ id: "c", what: "Capacitor, 5 µF", why: "drifts" }],
  machines: [
    {
      id: "f",
      name: "Cellar furnace",
      facts: [
        ["Where", "Cellar"],
        ["Shut off", "switch left of the door"],
      ],
      readings: [
        {
          key: "c",
          name: "Capacitor",
          last: "4.77 µF (29 Sep)",
          before: "4.84 µF (30 Mar)",
          trend: "leaves its limits in May",
        },
        { key: "n", name: "Noise", last: "none", before: "", trend: "" },
      ],
    },
  ],
  deferred: ["Bearing dry; until 1 Jun"],
  questions: "Does it last?",
};

describe("the brief as a letter", () => {
  it("has everything of the sheet, a part a paragraph, a fact a line", () => {
    expect(briefText(brief).split("\n")).toEqual([
      "Sluice House: brief for a visit",
      "Yearly service, Mon 23 Mar; nobody yet.",
      "",
      "PLEASE BRING",
      "- Capacitor, 5 µF: drifts",
      "",
      "CELLAR FURNACE",
      "Where: Cellar",
      "Shut off: switch left of the door",
      "Capacitor: 4.77 µF (29 Sep); before: 4.84 µF (30 Mar); leaves its limits in May",
      "Noise: none",
      "",
      "PUT OFF BEFORE",
      "- Bearing dry; until 1 Jun",
      "",
      "WE WANT TO ASK",
      "Does it last?",
    ]);
  });

  it("has no heading over nothing", () => {
    const bare = { ...brief, bring: [], deferred: [], questions: "" };
    const text = briefText({ ...bare, machines: [] });
    expect(text).toBe("Sluice House: brief for a visit\nYearly service, Mon 23 Mar; nobody yet.");
  });
});
