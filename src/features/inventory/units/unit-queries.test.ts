import { actOnDemo } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { appendEvent } from "@/db/repositories/history";
import { updateUnit } from "@/db/repositories/units";
import { plainDate } from "@/core/quantities/plain-date";
import { partSheetOf, unitHeadOf, unitSheetOf } from "./unit-queries";

jest.setTimeout(60_000);
const HOME = "sluice-house";
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

describe("a unit's sheet", () => {
  it("has its place, its air, its people, its parts and the newest of its record", async () => {
    const sheet = (await unitSheetOf(HOME, "cellar-furnace", false))!;
    expect([sheet.levelName, sheet.room!.name]).toEqual(["Cellar", "Furnace cellar"]);
    expect(sheet.runsWith.map(({ name }) => name)).toEqual([
      "Cellar humidifier",
      "Yard condenser",
      "Hall cleaner",
    ]);
    expect(sheet.contact!.role).toBe("technician");
    expect(sheet.filters.map(({ filterStatus }) => filterStatus.slot.id)).toEqual([
      "cellar-filter",
    ]);
    expect(sheet.parts).toHaveLength(13);
    const trap = sheet.parts.find(({ name }) => name === "Condensate trap")!;
    expect([trap.lastDone, trap.state]).toEqual(["2025-06-13", "past"]);
    expect(sheet.history.lines).toHaveLength(12);
    expect(sheet.history.total).toBeGreaterThan(80);
    // Each line of a unit says at which part it was.
    expect(sheet.history.lines[0]!.what).toMatch(/^(Filter|[A-Z][a-z ]+): /);
  });

  it("shows the whole record when asked, and what was just written at the top", async () => {
    await demo.store.write((tx) =>
      appendEvent(tx, HOME, {
        id: "hum",
        kind: "note",
        unitId: "cellar-furnace",
        date: plainDate("2026-03-14"),
        recordedAt: "2026-03-14T08:30:00Z",
        words: "hums at night",
      }),
    );
    const { history } = (await unitSheetOf(HOME, "cellar-furnace", true))!;
    expect(history.lines).toHaveLength(history.total);
    expect(history.lines[0]).toMatchObject({ what: "hums at night", isChange: false, details: [] });
  });

  it("is there for a unit out of service, with its slots by themselves", async () => {
    const { unit } = (await unitSheetOf(HOME, "purifier", false))!;
    await demo.store.write((tx) => updateUnit(tx, { ...unit, retiredOn: plainDate("2026-03-01") }));
    const sheet = (await unitSheetOf(HOME, "purifier", false))!;
    expect(sheet.filters).toEqual([]);
    expect(sheet.retiredSlots.map(({ id }) => id)).toEqual(["purifier-wrap", "purifier-hepa"]);
    expect((await partSheetOf(HOME, "purifier-hepa", false))!.kind).toBe("retired-slot");
    await demo.store.write((tx) => updateUnit(tx, unit));
    expect((await partSheetOf(HOME, "purifier-hepa", false))!.kind).toBe("slot");
  });

  it("is not there for another home's unit", async () => {
    expect(await unitSheetOf(HOME, "boat-boiler", false)).toBeNull();
    expect(await unitSheetOf("nowhere", "purifier", false)).toBeNull();
    expect(await partSheetOf(HOME, "boat-fine", false)).toBeNull();
  });
});

describe("a part's sheet", () => {
  it("has what a slot wears by, and its siblings", async () => {
    const sheet = (await partSheetOf(HOME, "mesh-left", false))!;
    if (sheet.kind !== "slot") throw new Error("a slot is a slot");
    expect(sheet.siblings.map(({ filterStatus }) => filterStatus.slot.id)).toEqual([
      "mesh-left",
      "mesh-right",
    ]);
    expect(sheet.drivers.map(({ words }) => words)).toContain("clay dust");
    expect(sheet.guide).toBe("Clean");
    expect(sheet.history.lines[0]!.what).not.toContain(":".concat(" mesh"));
    const filter = (await partSheetOf(HOME, "kiln-filter", false))!;
    expect(filter.kind === "slot" && filter.guide).toBe("Change");
  });

  it("knows when another part was last seen to", async () => {
    const sheet = (await partSheetOf(HOME, "dryer-dryer-duct", false))!;
    if (sheet.kind !== "part") throw new Error("a duct is a part");
    expect(sheet.lastDone).toBe("2025-01-24");
    expect(sheet.history.lines[0]!.what).toBe("Cleaned");
    const alarm = (await partSheetOf(HOME, "alarm-upper-batteries", false))!;
    expect(alarm.history.lines[0]!.what).toBe("Replaced");
  });

  it("is named for the pages under it", async () => {
    expect((await unitHeadOf(HOME, { partId: "hall-cells" }))!.partName).toBe("Cells");
    expect((await unitHeadOf(HOME, { unitId: "dryer" }))!.unit.name).toBe("Scullery dryer vent");
    expect(await unitHeadOf(HOME, { partId: "none" })).toBeNull();
  });
});
