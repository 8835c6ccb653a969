import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { procedureWords } from "@/content/procedures/library";
import { indexProcedures } from "@/db/repositories/find";
import { found } from "./find-queries";

jest.setTimeout(60_000);
let demo: DemoStore;
beforeAll(async () => {
  demo = await actOnDemo();
  await demo.store.write((tx) => indexProcedures(tx, procedureWords()));
});
afterAll(() => demo.discard());

const HOME = "sluice-house";
const titles = async (query: string, home = HOME) =>
  (await found(home, query)).map(({ group, title }) => `${group}: ${title}`);

describe("finding by size", () => {
  const cellar = ["Takes this size: Cellar furnace: filter 20×20×1, MERV 8"];
  const bank = ["Takes this size: Gallery unit: filter bank 4 × 20×25×2, MERV 8"];
  it.each([
    ["20x20", cellar],
    ["20 x 20 x 1", cellar],
    ['20×20×1 "', cellar],
    ["500x500", cellar],
    ["508 × 508 mm", cellar],
    ["19 1/2 x 19 1/2 x 7/8 in", cellar],
    ["20x25", bank],
    ["25 x 20 x 2 in", bank],
    ["63,5x50,8 cm", bank],
    ["400x400", []],
    ["20x20x4", []],
  ])("%s", async (query, expected) => {
    expect(await titles(query)).toEqual(expected);
  });
  it("says what to buy, and how many", async () => {
    expect((await found(HOME, "20x25"))[0]!.detail).toBe("buy 4 × 20×25×2");
  });
  it("keeps to its own home", async () => {
    expect(await titles("500x250", "boathouse")).toHaveLength(2);
    expect(await titles("500x250")).toEqual([]);
    expect(await titles("20x20", "nowhere")).toEqual([]);
  });
});

describe("finding by words", () => {
  it.each([
    ["loft vent", "Units: Loft ventilator"],
    ["CF-80", "Units: Cellar furnace"],
    ["hepa", "Parts: HEPA cylinder 290×290×300 mm, H13"],
    ["thermocouple", "Parts: Standing pilot and thermocouple"],
    [
      "coldest week",
      "Notes: Stopped in the coldest week: the filter was blocked, the limit had tripped. New filter, runs again.",
    ],
    ["quillon", "Contacts: Quillon Filters"],
    ["panel filter", "How it is done: Change the filter"],
  ])("%s", async (query, expected) => {
    expect(await titles(query)).toContain(expected);
  });
  it.each([
    ["gas", "Pages: How to shut things off"],
    ["main gas", "Pages: How to shut things off"],
    ["shut off", "Pages: How to shut things off"],
    ["shutoff valve", "Pages: How to shut things off"],
    ["stopcock", "Pages: How to shut things off"],
    ["warranty", "Pages: Cellar furnace: costs"],
    ["budget", "Pages: Cellar furnace: costs"],
    ["guarantee", "Pages: Cellar furnace: costs"],
    ["settings", "Pages: Home and climate"],
    ["vacation", "Pages: Who goes round"],
    ["flashlight", "Pages: Tools and consumables"],
    ["backup", "Pages: Go back to a copy"],
    ["when last", "Pages: When was it last done?"],
  ])("%s is found by what people call it: %s", async (query, expected) => {
    const all = await titles(query);
    expect(all).toContain(expected);
    // No word twice, and no more than fit under the field.
    expect(new Set(all).size).toBe(all.length);
    expect(all.length).toBeLessThanOrEqual(24);
  });
  it.each(["blows cold", "noisy", "beeps", "no heat", "odor", "leaking"])(
    "%s is something one notices",
    async (query) => {
      const signs = (await found(HOME, query)).filter(({ group }) => group === "Did you notice");
      expect(signs).not.toEqual([]);
      for (const { href } of signs)
        expect(href).toMatch(/^\/homes\/sluice-house\/noticed\?sign=[\w:-]+$/);
    },
  );
  it("has the home’s own things before pages and signs", async () => {
    const groups = (await found(HOME, "filter")).map(({ group }) => group);
    const firstPage = groups.findIndex((group) => group === "Pages" || group === "Did you notice");
    expect(groups.indexOf("Parts")).toBeGreaterThanOrEqual(0);
    expect(groups.slice(0, firstPage)).toContain("Parts");
    expect(groups.slice(firstPage)).not.toContain("Parts");
  });
  it("puts machines and parts before notes", async () => {
    const groups = (await found(HOME, "furnace")).map(({ group }) => group);
    expect(groups[0]).not.toBe("Notes");
    expect(groups.lastIndexOf("Parts")).toBeLessThan(
      groups.includes("Notes") ? groups.indexOf("Notes") : Infinity,
    );
  });
  it("leads to the page of what was found", async () => {
    const [unit] = await found(HOME, "studio heat");
    expect(unit!.href).toBe("/homes/sluice-house/units/studio-pump");
    const note = (await found(HOME, "honeydew rinsed"))[0]!;
    expect(note.href).toBe("/homes/sluice-house/parts/yard-condenser-condenser-coil");
    expect(note.detail).toBe("Yard condenser");
  });
  it("takes whatever is typed, and nothing for nothing", async () => {
    expect(await titles("   ")).toEqual([]);
    for (const odd of ["'; drop table units", '"', "AND", "*", "x".repeat(500), "¿qué?"])
      await expect(titles(odd)).resolves.toBeInstanceOf(Array);
    expect(await titles("loft vent")).toContain("Units: Loft ventilator");
  });
});
