import { randomUUID } from "node:crypto";
import { HistoryRecord } from "@/core/history/history-record";
import type { Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { RENEW } from "@/core/scheduling/task";
import { saveTask } from "@/db/repositories/tasks";
import { findDraft } from "@/db/repositories/units";
import { actOnDemo, formOf, landing, nothingSent } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import {
  backIntoService,
  changePart,
  changeUnit,
  copyUnit,
  createPart,
  replaceUnit,
  retireUnit,
} from "./unit-actions";
import {
  beginUnit,
  keepTyped,
  saveParts,
  savePlace,
  savePlate,
  saveShutOffs,
} from "../guided-add/set-up-actions";
import { changeSystem } from "../air-systems/system-actions";

jest.mock(
  "next/navigation",
  () =>
    jest.requireActual<typeof import("../../../../tests/acting")>("../../../../tests/acting")
      .navigation,
);
jest.setTimeout(60_000);

const HOME = "sluice-house";
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const snapshot = async (): Promise<HomeSnapshot> => (await demo.read(HOME)).snapshot;
const unitAt = async (id: string): Promise<Unit> => {
  const { units, retired } = await snapshot();
  return [...units, ...retired].find((unit) => unit.id === id)!;
};
const idIn = (path: string): string => /units\/([^/]+)/.exec(path)![1]!;

describe("entering a unit", () => {
  let id: string;

  it("has it from the first press, with a name, a level and hours of its own", async () => {
    const to = await landing(beginUnit(HOME, nothingSent, formOf({ kind: "condensing-furnace" })));
    id = idIn(to);
    expect(to).toBe(`/homes/${HOME}/units/${id}/set-up/plate`);
    const unit = await unitAt(id);
    expect(unit).toMatchObject({ name: "Furnace", levelId: "cellar", setUpStep: "plate" });
    const system = (await snapshot()).systems.find((each) => each.id === unit.systemId)!;
    expect(system).toMatchObject({ name: "Furnace", ducted: true });
    expect(system.equipment).toMatchObject({ heats: true, cools: false });
  });

  it("keeps what is typed, drops it once the step is saved, and goes on", async () => {
    const typed = {
      name: "Second furnace",
      make: "Northgate",
      fittedOn: "2030-01-01",
      cools: "on",
    };
    await keepTyped(HOME, id, "plate", formOf(typed));
    expect((await findDraft(demo.store.db, id, "plate"))!["fittedOn"]).toEqual(["2030-01-01"]);
    const refusal = await savePlate(HOME, id, nothingSent, formOf(typed));
    expect(refusal.errors).toEqual({ fittedOn: "That day is still to come." });
    expect(refusal.values["name"]).toEqual(["Second furnace"]);
    expect((await unitAt(id)).name).toBe("Furnace");
    const good = formOf({ ...typed, fittedOn: "2019-10-01" });
    expect(await landing(savePlate(HOME, id, nothingSent, good))).toMatch(/set-up\/place$/);
    expect(await findDraft(demo.store.db, id, "plate")).toBeNull();
    const unit = await unitAt(id);
    expect(unit).toMatchObject({ name: "Second furnace", make: "Northgate", setUpStep: "place" });
    const system = (await snapshot()).systems.find((each) => each.id === unit.systemId)!;
    expect(system).toMatchObject({ name: "Second furnace", equipment: { cools: true } });
  });

  it("joins the air of another, which can then do what both can", async () => {
    const form = formOf({
      levelId: "stable",
      roomId: "stable-kiln-shed",
      runsWith: "kiln-furnace-air",
    });
    await landing(savePlace(HOME, id, nothingSent, form));
    expect(await unitAt(id)).toMatchObject({
      levelId: "stable",
      roomId: "stable-kiln-shed",
      systemId: "kiln-furnace-air",
      setUpStep: "shut-off",
    });
    const kiln = (await snapshot()).systems.find((each) => each.id === "kiln-furnace-air")!;
    expect(kiln.equipment).toMatchObject({ heats: true, cools: true, useShare: 0.6 });
  });

  it("takes the shut-offs, and an earlier step again without losing its place", async () => {
    const offs = { shutOffKind: ["switch", "gas-cock"], shutOffPlace: ["by the door", "behind"] };
    await landing(saveShutOffs(HOME, id, nothingSent, formOf(offs)));
    await landing(savePlate(HOME, id, nothingSent, formOf({ name: "Second furnace" })));
    const unit = await unitAt(id);
    expect(unit.setUpStep).toBe("filters");
    expect(unit.make).toBe("Northgate");
    expect(unit.shutOffs.map(({ place }) => place)).toEqual(["by the door", "behind"]);
  });

  it("ends with its parts, as many as were counted, and none twice", async () => {
    const wrong = formOf({ part: "capacitor", "count-capacitor": "many" });
    expect((await saveParts(HOME, id, nothingSent, wrong)).errors).toHaveProperty(
      "count-capacitor",
    );
    const parts = formOf({ part: ["blower", "capacitor", "moon"], "count-capacitor": "2" });
    expect(await landing(saveParts(HOME, id, nothingSent, parts))).toBe(
      `/homes/${HOME}/when-last?unit=${id}`,
    );
    await landing(saveParts(HOME, id, nothingSent, parts));
    const names = (await snapshot()).parts
      .filter((part) => part.unitId === id)
      .map((part) => part.name);
    expect(names).toEqual(["Blower", "Capacitor 1", "Capacitor 2"]);
    expect((await unitAt(id)).setUpStep).toBeUndefined();
  });

  it("is refused for no kind, and for a home that is not there", async () => {
    const refusal = await beginUnit(HOME, nothingSent, formOf({ kind: "steam-engine" }));
    expect(refusal.errors).toEqual({ kind: "Choose what kind of unit it is." });
    const form = formOf({ kind: "ducts" });
    expect(await landing(beginUnit("nowhere", nothingSent, form))).toBe("/");
  });
});

describe("changing a unit", () => {
  const fields = { kind: "portable-cooler", name: "Box-room cooler", levelId: "upper" };

  it("writes down that it moved, and forgets what was emptied", async () => {
    const moved = formOf({
      ...fields,
      levelId: "ground",
      roomId: "ground-study",
      papers: "drawer",
    });
    await landing(changeUnit(HOME, "box-cooler", nothingSent, moved));
    const unit = await unitAt("box-cooler");
    expect(unit).toMatchObject({ levelId: "ground", roomId: "ground-study", papers: "drawer" });
    expect(unit).not.toHaveProperty("make");
    expect(unit.shutOffs).toEqual([]);
    expect((await snapshot()).history.entries.at(-1)).toMatchObject({
      kind: "note",
      unitId: "box-cooler",
      words: "Moved from Upper floor to Ground floor",
    });
    const count = (await snapshot()).history.entries.length;
    await landing(
      changeUnit(HOME, "box-cooler", nothingSent, formOf({ ...fields, levelId: "ground" })),
    );
    expect((await snapshot()).history.entries).toHaveLength(count);
  });

  it("says everything that is wrong at once, and changes nothing", async () => {
    const before = await unitAt("purifier");
    const bad = { kind: "portable-purifier", name: "", levelId: "moon", warrantyEndsOn: "soon" };
    const { errors } = await changeUnit(HOME, "purifier", nothingSent, formOf(bad));
    expect(Object.keys(errors).sort()).toEqual(["levelId", "name", "warrantyEndsOn"]);
    expect(await unitAt("purifier")).toEqual(before);
  });

  it("leads away from a unit of another home", async () => {
    const form = formOf(fields);
    expect(await landing(changeUnit(HOME, "boat-boiler", nothingSent, form))).toBe(
      `/homes/${HOME}/house`,
    );
  });
});

describe("two alike", () => {
  it("share what they are, and nothing that happened", async () => {
    const id = idIn(await landing(copyUnit(HOME, "loft-ventilator", randomUUID())));
    const [copy, original] = [await unitAt(id), await unitAt("loft-ventilator")];
    expect(copy).toMatchObject({
      name: "Loft ventilator 2",
      make: "Tarn",
      access: original.access,
    });
    expect(copy.systemId).not.toBe(original.systemId);
    const { slots, parts, history } = await snapshot();
    expect(slots.filter((slot) => slot.unitId === id).map((slot) => slot.name)).toEqual([
      "Extract filter",
      "Supply filter",
    ]);
    const count = (unitId: string) => parts.filter((part) => part.unitId === unitId).length;
    expect(count(id)).toBe(count("loft-ventilator"));
    expect(history.entries.filter((event) => event.unitId === id)).toEqual([]);
  });

  it("stay in one air system where the first one ran with others", async () => {
    const id = idIn(await landing(copyUnit(HOME, "humidifier", randomUUID())));
    expect((await unitAt(id)).systemId).toBe("cellar-furnace-air");
  });
});

describe("out of service", () => {
  it("is a day that has come, and can be undone", async () => {
    const later = await retireUnit(HOME, "gallery", nothingSent, formOf({ date: "2026-03-15" }));
    expect(later.errors).toEqual({
      date: "That day is still to come. Give today or an earlier day.",
    });
    await landing(retireUnit(HOME, "gallery", nothingSent, formOf({ date: "2026-03-01" })));
    expect((await snapshot()).retired.map(({ id }) => id)).toContain("gallery");
    expect((await snapshot()).slots.map(({ id }) => id)).not.toContain("gallery-bank");
    await backIntoService(HOME, "gallery");
    expect((await snapshot()).slots.map(({ id }) => id)).toContain("gallery-bank");
  });

  it("leaves a successor with the place, the shut-offs and what stays in the house", async () => {
    await demo.store.write((tx) =>
      saveTask(
        tx,
        HOME,
        {
          id: "by-calendar",
          unitId: "cellar-furnace",
          partId: "cellar-filter",
          key: RENEW,
          changes: { school: "calendar" },
        },
        "2026-03-14T08:00:00.000Z",
      ),
    );
    const before = await snapshot();
    const form = formOf({ kind: "ducted-heat-pump", date: "2026-03-10", keeps: ["cellar-filter"] });
    const id = idIn(await landing(replaceUnit(HOME, "cellar-furnace", nothingSent, form)));
    const [old, successor] = [await unitAt("cellar-furnace"), await unitAt(id)];
    expect(old).toMatchObject({ name: "Cellar furnace, the old one", successorId: id });
    expect(successor).toMatchObject({
      name: "Cellar furnace",
      kind: "ducted-heat-pump",
      levelId: "cellar",
      contactId: "sluice-technician",
      fittedOn: "2026-03-10",
      setUpStep: "plate",
      systemId: "cellar-furnace-air",
    });
    expect(successor.shutOffs.map(({ place }) => place)).toEqual(
      old.shutOffs.map(({ place }) => place),
    );
    expect(successor).not.toHaveProperty("serial");
    const after = await snapshot();
    const record = (of: HomeSnapshot) =>
      new HistoryRecord(of.history.entries.filter((event) => event.partId === "cellar-filter"))
        .counted;
    expect(after.slots.find((slot) => slot.id === "cellar-filter")!.unitId).toBe(id);
    expect(record(after)).toEqual(record(before));
    // What was changed of its jobs goes with it.
    expect(after.tasks.find((task) => task.partId === "cellar-filter")).toMatchObject({
      unitId: id,
      changes: { school: "calendar" },
    });
    expect(after.parts.filter((part) => part.unitId === "cellar-furnace")).toHaveLength(13);
  });
});

describe("parts of any kind on any unit", () => {
  it("are added and changed, with what their kind is asked", async () => {
    const form = formOf({ kind: "condensate-line", name: "Drain hose", "q-length": "2 m" });
    const to = await landing(createPart(HOME, "dryer", nothingSent, form));
    const id = /parts\/(.+)$/.exec(to)![1]!;
    const part = async () => (await snapshot()).parts.find((each) => each.id === id)!;
    expect(await part()).toMatchObject({ unitId: "dryer", attributes: { length: "2" } });
    const better = formOf({ name: "Drain hose", place: "behind the drum", "q-length": "" });
    await landing(changePart(HOME, id, nothingSent, better));
    expect(await part()).toMatchObject({ place: "behind the drum", attributes: {} });
  });
  it("are refused without a kind or a name", async () => {
    const none = await createPart(HOME, "dryer", nothingSent, formOf({ name: "Thing" }));
    expect(none.errors).toEqual({ kind: "Choose what it is." });
    const nameless = formOf({ kind: "belt", name: " " });
    expect((await createPart(HOME, "dryer", nothingSent, nameless)).errors).toEqual({
      name: "Give it a name.",
    });
    const id = "dryer-dryer-duct";
    expect((await changePart(HOME, id, nothingSent, formOf({ name: "" }))).errors).toHaveProperty(
      "name",
    );
  });
});

describe("an air system", () => {
  const fields = {
    name: "Stable air",
    heats: "on",
    fanMode: "minimum",
    fanHours: "6",
    fanLevel: "",
    airflow: "1500",
    useShare: "60",
    heatBalance: "16",
    coolBalance: "18",
    inUseFrom: "",
    inUseTo: "",
  };
  it("takes machines in, and lets those go that leave, with hours of their own", async () => {
    const form = formOf({ ...fields, members: ["studio-pump"] });
    expect(await landing(changeSystem(HOME, "kiln-furnace-air", nothingSent, form))).toBe(
      `/homes/${HOME}/systems`,
    );
    const { systems } = await snapshot();
    expect(systems.find(({ id }) => id === "kiln-furnace-air")).toMatchObject({
      name: "Stable air",
      airflowM3h: 1500,
      equipment: { fan: { mode: "minimum", hours: 6 }, useShare: 0.6, heatOversize: 1.4 },
    });
    expect((await unitAt("studio-pump")).systemId).toBe("kiln-furnace-air");
    const left = await unitAt("kiln-furnace");
    expect(left.systemId).not.toBe("kiln-furnace-air");
    expect(systems.find(({ id }) => id === left.systemId)).toMatchObject({
      name: "Kiln-shed furnace",
    });
  });
  it("can't be left empty", async () => {
    const refusal = await changeSystem(HOME, "gallery-air", nothingSent, formOf(fields));
    expect(refusal.errors).toEqual({ members: "One machine has to run in it." });
  });
});
