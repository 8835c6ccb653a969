import { procedure } from "@/content/procedures/library";
import { bringList } from "./bring-list";

const of = (id: string, words: string, variant: string | null = null) => ({
  words,
  procedure: procedure(id)!,
  setting: { facts: [], variant },
});

describe("what a house has to have", () => {
  it("names each thing once, what most jobs ask for first", () => {
    const { tools, consumables } = bringList([
      of("bleed-radiators", "Radiators"),
      of("test-heating-water", "Water"),
      of("new-lid-ring", "Lid"),
    ]);
    expect(tools[0]).toEqual({ thing: "bleed key", jobs: ["Lid", "Radiators", "Water"] });
    expect(tools.map(({ thing }) => thing)).toContain("bucket");
    expect(new Set(tools.map(({ thing }) => thing)).size).toBe(tools.length);
    expect(consumables.map(({ thing }) => thing)).toContain("inhibitor test strip");
  });

  it("asks only for what the chosen way takes", () => {
    const things = (variant: string) =>
      bringList([of("rinse-outdoor-coil", "Coil", variant)]).consumables.map(({ thing }) => thing);
    expect(things("foam")).toContain("foaming coil cleaner");
    expect(things("water")).toEqual([]);
  });
});
