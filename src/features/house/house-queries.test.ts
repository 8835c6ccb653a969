import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { houseOf } from "./house-queries";

jest.setTimeout(60_000);
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

describe("the picture of the house", () => {
  it("names what is due soon, past, open or spent, and lets the others be figures", async () => {
    const {
      drawn: { units },
    } = (await houseOf("sluice-house", ["loft-ventilator"]))!;
    const by = (id: string) => units.find((unit) => unit.id === id)!;
    expect(by("loft-ventilator")).toMatchObject({ words: "left open", speaksUp: true });
    expect(by("alarm-ground")).toMatchObject({
      words: "replace the alarm: 2 weeks over",
      speaksUp: true,
    });
    expect(by("alarm-upper")).toMatchObject({ words: "", speaksUp: false, fill: null });
    expect(by("cellar-furnace").speaksUp).toBe(true);
    expect(by("humidifier").speaksUp).toBe(false);
    expect(by("humidifier").words).toMatch(/^water panel in about \d+ months$/);
  });

  it("selects the unit asked for, else the one that is due first", async () => {
    const first = (await houseOf("sluice-house", []))!.selected!;
    expect(first.unit.id).toBe("cellar-furnace");
    expect(first.filters[0]!.due).toMatch(/^(tomorrow|in \d days)$/);
    const asked = (await houseOf("sluice-house", [], "gallery"))!.selected!;
    expect(asked.unit.id).toBe("gallery");
    expect(asked.others).toBe(8);
    expect((await houseOf("sluice-house", [], "boat-boiler"))!.selected!.unit.id).toBe(
      "cellar-furnace",
    );
    expect((await houseOf("boathouse", [], "boat-alarm-upper"))!.selected!.filters).toEqual([]);
    expect(await houseOf("nowhere", [])).toBeNull();
  });
});
