import { sluiceHouse } from "@/content/demo/demo-homes";
import { plainDate } from "@/core/quantities/plain-date";
import type { Unit } from "@/core/register/register";
import { contactForm } from "../contacts/contacts-form";
import { effectsOf } from "../household/driver-effects";
import { levelForm, roomForm } from "../rooms/rooms-form";
import { ruleOfAThird } from "../rooms/rooms-queries";
import { quickFieldsOf, readQuickSlots, slotsToAsk } from "../slot/quick-slots";
import { watchOf } from "../today/today-watch";
import { partFields, readPart } from "./part-form";
import { freeName, levelFor, nameFor } from "./register-names";
import { asksForCooling, progress, stepAfter, stepsOf } from "./set-up";
import { systemForm } from "./system-form";
import {
  readPapers,
  readPlace,
  readPlate,
  readQuestions,
  readShutOffs,
  withFields,
} from "./unit-form";
import { partKind } from "@/content/part-kinds";

const today = plainDate("2026-03-14");
const { book } = sluiceHouse(today, new Date("2026-03-14T08:30:00Z"));
const furnace = book.units[0]!;

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
    expect(nameFor("ducts", book)).toBe("Ducts 2");
    expect(levelFor("condensing-furnace", book.levels).id).toBe("cellar");
    expect(levelFor("split-cooling", book.levels).id).toBe("yard");
    expect(
      levelFor(
        "ventilator",
        book.levels.filter(({ id }) => id === "ground"),
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
      answers: { position: "upflow" },
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
    expect(readPlace({ levelId: ["moon"] }, book).problems).toHaveProperty("levelId");
    expect(
      readPlace({ levelId: ["cellar"], roomId: ["upper-bath"] }, book).problems,
    ).toHaveProperty("roomId");
    expect(readPlace({ levelId: ["upper"], roomId: ["upper-bath"] }, book).values).toEqual({
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
    expect(readPapers(typed, book).values).toEqual({
      papers: "green folder",
      warrantyEndsOn: "2030-01-01",
      warrantyRegistered: false,
      contactId: "sluice-technician",
    });
    expect(readPapers({ warrantyEndsOn: ["soon"] }, book).problems).toHaveProperty(
      "warrantyEndsOn",
    );
    expect(readPapers({ contactId: ["nobody"] }, book).values.contactId).toBeUndefined();
  });
  it("reads the shut-offs that say where, in order", () => {
    expect(
      readShutOffs({
        shutOffKind: ["switch", "breaker", "gas-cock"],
        shutOffPlace: [" by the door ", "", "behind it"],
        shutOffPosition: ["down", "off", ""],
      }),
    ).toEqual([
      { kind: "switch", place: "by the door", offPosition: "down" },
      { kind: "gas-cock", place: "behind it" },
    ]);
  });
  it("asks a part what its kind wants to know", () => {
    const fields = partFields(book, partKind("dryer-duct"));
    expect(readPart({ name: ["Duct"], "q-length": ["3,1 m"] }, fields).values).toEqual({
      name: "Duct",
      answers: { length: "3.1" },
    });
    expect(readPart({ name: [""], "q-length": ["far"] }, fields).problems).toEqual({
      name: "Give it a name.",
      "q-length": "A length, such as 6.5 m or 21 ft.",
    });
    expect(readQuestions([], {}, "us", today)).toEqual({ values: {}, problems: {} });
  });
});

describe("the quick entry of filters", () => {
  const bare: Unit = { ...furnace, id: "new", kind: "ventilator" };
  const asked = slotsToAsk(bare, book);
  it("asks for the usual slots that are not there yet", () => {
    expect(asked.map(({ usual }) => usual.name)).toEqual(["Extract filter", "Supply filter"]);
    expect(slotsToAsk({ ...furnace }, book).map(({ usual }) => usual.name)).toEqual([
      "Return grille filter",
    ]);
    expect(quickFieldsOf(asked, {})).toEqual({ has: ["0", "1"] });
    const typed = { has: [], "nominal-0": ["x"] };
    expect(quickFieldsOf(asked, typed)).toBe(typed);
  });
  it("takes what is ticked, and leaves the rest", () => {
    const typed = { has: ["1"], "nominal-0": ["junk"], "nominal-1": ["420x180x25 mm"] };
    const { values, problems } = readQuickSlots(typed, asked, "mm", today);
    expect(problems).toEqual({});
    expect(values).toHaveLength(1);
    expect(values[0]!.slot).toMatchObject({ media: "vent-fine", airSide: "outdoor", seat: "rail" });
  });
  it("answers a bad size and a day to come at their fields", () => {
    const typed = {
      has: ["0", "1"],
      "nominal-0": [""],
      "nominal-1": ["20x"],
      "fittedOn-1": ["2027-01-01"],
    };
    expect(Object.keys(readQuickSlots(typed, asked, "mm", today).problems)).toEqual([
      "nominal-0",
      "nominal-1",
      "fittedOn-1",
    ]);
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
    expect(us.airflowM3h).toBe(1699);
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

describe("rooms, levels and contacts", () => {
  it("are refused where something is missing or makes no sense", () => {
    expect(roomForm.safeParse({ name: "", levelId: "x" }).success).toBe(false);
    expect(levelForm.safeParse({ name: "Tower", place: "inside", storey: "40" }).success).toBe(
      false,
    );
    expect(levelForm.parse({ name: "Cellar", place: "inside", storey: "-1" }).storey).toBe(-1);
    const contact = { name: "A", role: "technician", phone: "", email: "", note: "" };
    expect(contactForm.parse(contact)).toEqual({ name: "A", role: "technician" });
    for (const wrong of [{ phone: "call me" }, { email: "a@" }, { role: "friend" }, { name: "" }])
      expect([wrong, contactForm.safeParse({ ...contact, ...wrong }).success]).toEqual([
        wrong,
        false,
      ]);
  });
  it("say how many registers are shut, in words", () => {
    expect(ruleOfAThird([])).toBeNull();
    expect(ruleOfAThird(book.registers)).toEqual({
      words: "Four of 18 registers shut; a third, 6, may be.",
      verdict: "watch",
    });
    const shut = book.registers.map((each) => ({ ...each, isShut: true }));
    expect(ruleOfAThird(shut)!.words).toBe(
      "18 of 18 registers shut; a third, 6, may be: open 12 at least. A return is never shut or blocked: open it.",
    );
  });
});

describe("what is on watch", () => {
  it("puts the worst first: a spent alarm before one that may be, and a warranty", () => {
    expect(watchOf(book, today).map(({ verdict, href }) => [verdict, href])).toEqual([
      ["act", "units/alarm-ground"],
      ["watch", "units/alarm-stable"],
      ["watch", "units/yard-condenser"],
    ]);
  });
  it("misses an alarm on a lived-in level, and speaks of a shut return", () => {
    const units = book.units.filter(({ id }) => id !== "alarm-upper");
    const registers = book.registers.map((each) =>
      each.role === "return" ? { ...each, isShut: true } : each,
    );
    const words = watchOf({ ...book, units, registers }, today).map((each) => each.words);
    expect(words).toContain("No carbon monoxide alarm on: Upper floor.");
    expect(words).toContain("A return is shut or blocked: open it.");
  });
});

describe("what a driver would change", () => {
  it("are the due days that move, the furthest first, and none where it does not act", () => {
    const smoker = { id: "new", scope: "home" as const, kind: "indoor-smoking" as const };
    const effects = effectsOf(book, smoker, today);
    expect(effects.length).toBeGreaterThan(5);
    expect(effects.every((effect) => effect.daysSooner > 0)).toBe(true);
    const sizes = effects.map((effect) => effect.daysSooner);
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    const there = { ...smoker, scope: "room" as const, roomId: "upper-reading-room" };
    expect(
      effectsOf(book, there, today)
        .map((effect) => effect.slotId)
        .sort(),
    ).toEqual(["purifier-hepa"]);
  });
  it("is told of a change as well, against what it is now", () => {
    const dog = book.drivers.find(({ id }) => id === "dog")!;
    expect(effectsOf(book, dog, today)).toEqual([]);
    expect(effectsOf(book, { ...dog, count: 4 }, today).length).toBeGreaterThan(3);
  });
});
