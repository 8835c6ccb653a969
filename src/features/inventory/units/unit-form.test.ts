import { problemsOf } from "@/lib/forms";
import { withFields } from "@/server/commands/units";
import type { Unit } from "@/core/inventory/inventory";
import { partForm } from "../parts/part-form";
import { freeName } from "@/core/quantities/words";
import { levelFor, nameFor } from "./unit-names";
import { asksForCooling, progress, stepAfter, stepsOf } from "../guided-add/set-up";
import { airflowText, systemForm } from "../air-systems/system-form";
import { readPapers, readPlace, readPlate, readUnitAttributes, readShutOffs } from "./unit-form";
import { snapshot, today } from "../../../../tests/demo-snapshot";

const furnace = snapshot.units[0]!;

describe("the steps of entering a unit", () => {
  it("leave out what a kind does not have", () => {
    expect(stepsOf("condensing-furnace")).toEqual([
      "plate",
      "place",
      "shut-off",
      "filters",
      "parts",
    ]);
    expect(stepsOf("boiler")).toEqual(["plate", "place", "shut-off", "parts"]);
    expect(stepsOf("co-alarm")).toEqual(["plate", "place", "parts"]);
    expect(stepAfter("boiler", "shut-off")).toBe("parts");
    expect(stepAfter("boiler", "parts")).toBeUndefined();
  });
  it("go on, never back, and end", () => {
    const at = (setUpStep: Unit["setUpStep"]): Unit => withFields(furnace, { setUpStep });
    expect(progress(at("plate"), "plate")).toBe("place");
    expect(progress(at("filters"), "plate")).toBe("filters");
    expect(progress(at("parts"), "parts")).toBeUndefined();
    expect(progress(at(undefined), "plate")).toBeUndefined();
  });
  it("ask a furnace whether it cools, and nothing that does anyway", () => {
    expect(asksForCooling("condensing-furnace")).toBe(true);
    for (const kind of ["rooftop", "boiler", "ventilator", "humidifier"])
      expect([kind, asksForCooling(kind)]).toEqual([kind, false]);
  });
  it("begin with a name nobody has, on the level such machines stand on", () => {
    expect(freeName("Furnace", [])).toBe("Furnace");
    expect(freeName("Furnace", ["furnace", "Furnace 2"])).toBe("Furnace 3");
    expect(freeName("Furnace 2", ["Furnace 2"])).toBe("Furnace 3");
    expect(nameFor("ducts", snapshot)).toBe("Ducts 2");
    expect(levelFor("condensing-furnace", snapshot.levels).id).toBe("cellar");
    expect(levelFor("split-cooling", snapshot.levels).id).toBe("yard");
    expect(
      levelFor(
        "ventilator",
        snapshot.levels.filter(({ id }) => id === "ground"),
      ).id,
    ).toBe("ground");
  });
});

describe("what is typed of a unit", () => {
  const asked = { kind: "condensing-furnace", system: "metric" as const, today };
  it("is read from its plate, with the answers of its kind", () => {
    const { values, problems } = readPlate(
      {
        name: [" Old one "],
        make: ["Northgate"],
        "q-position": ["upflow"],
        fittedOn: ["2014-09-14"],
      },
      asked,
    );
    expect(problems).toEqual({});
    expect(values).toMatchObject({
      name: "Old one",
      make: "Northgate",
      attributes: { position: "upflow" },
      fittedOn: "2014-09-14",
    });
    expect(values).not.toHaveProperty("model");
  });
  it("is refused field by field", () => {
    const long = "x".repeat(200);
    const { problems } = readPlate(
      { name: [""], serial: [long], "q-position": ["sidewise"], fittedOn: ["2026-03-15"] },
      asked,
    );
    expect(Object.keys(problems).sort()).toEqual(["fittedOn", "name", "q-position", "serial"]);
    expect(Object.keys(readPlate({ name: [long] }, asked).problems)).toEqual(["name"]);
  });
  it("wants a level there is, and a room on that level", () => {
    expect(readPlace({ levelId: ["moon"] }, snapshot).problems).toHaveProperty("levelId");
    expect(
      readPlace({ levelId: ["cellar"], roomId: ["upper-bath"] }, snapshot).problems,
    ).toHaveProperty("roomId");
    expect(readPlace({ levelId: ["upper"], roomId: ["upper-bath"] }, snapshot).values).toEqual({
      levelId: "upper",
      roomId: "upper-bath",
    });
  });
  it("keeps papers, warranty and who services it", () => {
    const typed = {
      papers: ["green folder"],
      warrantyEndsOn: ["2030-01-01"],
      warrantyRegistered: ["no"],
      contactId: ["sluice-technician"],
    };
    expect(readPapers(typed, snapshot).values).toEqual({
      papers: "green folder",
      warrantyEndsOn: "2030-01-01",
      warrantyRegistered: false,
      contactId: "sluice-technician",
    });
    expect(readPapers({ warrantyEndsOn: ["soon"] }, snapshot).problems).toHaveProperty(
      "warrantyEndsOn",
    );
    expect(readPapers({ contactId: ["nobody"] }, snapshot).values.contactId).toBeUndefined();
  });
  it("reads the shut-offs that say where, in order", () => {
    expect(
      readShutOffs({
        shutOffKind: ["switch", "breaker", "gas-cock"],
        shutOffPlace: [" by the door ", "", "behind it"],
        shutOffPosition: ["down", "", ""],
      }).values,
    ).toEqual([
      { kind: "switch", place: "by the door", offPosition: "down" },
      { kind: "gas-cock", place: "behind it" },
    ]);
  });
  it("loses no shut-off that was half typed, and names what is too long at its own row", () => {
    const { problems } = readShutOffs({
      shutOffKind: ["switch", "breaker"],
      shutOffPlace: ["", "x".repeat(201)],
      shutOffPosition: ["0 is off", "y".repeat(121)],
    });
    expect(Object.keys(problems).sort()).toEqual([
      "shutOffPlace-0",
      "shutOffPlace-1",
      "shutOffPosition-1",
    ]);
  });
  it("asks a part what its kind wants to know", () => {
    const form = partForm({ rooms: [], system: "metric", today });
    const duct = { kind: ["dryer-duct"], name: ["Duct"] };
    expect(form.parse({ ...duct, "q-length": ["3,1 m"] })).toEqual({
      kind: "dryer-duct",
      name: "Duct",
      attributes: { length: "3.1" },
    });
    const wrong = form.safeParse({ ...duct, name: [""], "q-length": ["far"] });
    expect(problemsOf(wrong.error)).toEqual({
      name: "Give it a name.",
      "q-length": "A length, such as 6.5 m or 21 ft.",
    });
    expect(problemsOf(form.safeParse({ name: ["Duct"], kind: ["of gold"] }).error)).toEqual({
      kind: "Choose what it is.",
    });
    expect(readUnitAttributes([], {}, "us", today)).toEqual({ values: {}, problems: {} });
  });
});

describe("the form of an air system", () => {
  const fields = {
    name: "Air",
    heats: "on",
    fanMode: "auto",
    fanHours: "",
    fanLevel: "",
    airflow: "",
    useShare: "",
    heatBalance: "",
    coolBalance: "",
    inUseFrom: "",
    inUseTo: "",
  };
  it("reads figures in the home's own units", () => {
    const us = systemForm("us").parse({
      ...fields,
      airflow: "1000",
      heatBalance: "61",
      useShare: "60",
    });
    // 1000 cfm are 1699 m³/h; 61 °F are 16.1 °C.
    expect(us.airflowM3h).toBeCloseTo(1699.01, 2);
    expect(airflowText(us.airflowM3h!, "us")).toBe("1000");
    expect(us.equipment.heatBalanceC).toBeCloseTo(16.11, 2);
    expect(us.equipment.useShare).toBe(0.6);
    const metric = systemForm("metric").parse({
      ...fields,
      fanMode: "continuous",
      fanLevel: "40",
      inUseFrom: "05-20",
      inUseTo: "09-20",
    });
    expect(metric.equipment.fan.level).toBe(0.4);
    expect(metric.equipment.inUse).toEqual([{ from: "05-20", to: "09-20" }]);
    expect(
      systemForm("metric").parse({ ...fields, fanMode: "continuous" }).equipment.fan.level,
    ).toBe(0.35);
  });
  it.each([
    [{ name: "" }, "name"],
    [{ fanMode: "minimum" }, "fanHours"],
    [{ fanMode: "minimum", fanHours: "25" }, "fanHours"],
    [{ fanMode: "sometimes" }, "fanMode"],
    [{ airflow: "-4" }, "airflow"],
    [{ useShare: "120" }, "useShare"],
    [{ inUseFrom: "05-20" }, "inUseTo"],
    [{ inUseFrom: "02-30", inUseTo: "05-01" }, "inUseFrom"],
  ])("answers %j at its field", (wrong, field) => {
    const parsed = systemForm("metric").safeParse({ ...fields, ...wrong });
    expect(parsed.error!.issues.map((issue) => issue.path[0])).toEqual([field]);
  });
});
