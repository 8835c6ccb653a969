import { listWalkStops } from "@/db/repositories/walk";
import { COMMAND_ID } from "@/lib/forms";
import sharp from "sharp";
import { actOnDemo, formOf, landing, nothingSent } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { postHomePhoto } from "../units/picture-api";
import { listPicturesOf } from "../units/picture-queries";
import { endWalk, keepStop, resumeWalk, seeMains, seePast, seePlace } from "./walk-actions";
import { stopOf, walkEndOf, walkHref, walkOf, walkUnderWay, walkWords } from "./walk-queries";

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

const home = async () => (await demo.read(HOME)).snapshot;
const see = (stop: string, fields: Record<string, string | string[]>) =>
  landing(seePlace(HOME, stop, nothingSent, formOf(fields)));

describe("walking through the house", () => {
  it("is not under way before anybody began it", async () => {
    expect(await walkUnderWay(HOME)).toBeNull();
    expect((await walkOf(HOME))!.on).toEqual({ stop: "mains" });
  });

  it("writes the mains down and goes on to the top of the house", async () => {
    const form = formOf({ mainWater: "cellar, street side", mainWaterOff: "across" });
    expect(await landing(seeMains(HOME, nothingSent, form))).toBe(`/homes/${HOME}/walk/level-loft`);
    expect((await home()).home.mains).toEqual({
      water: { place: "cellar, street side", offPosition: "across" },
    });
  });

  it("enters rooms in the order they were typed, and once though sent twice", async () => {
    const before = (await home()).rooms.length;
    const fields = { rooms: "Pantry\nBoot room", [COMMAND_ID]: "walk-rooms-1" };
    await see("level-ground", fields);
    await see("level-ground", fields);
    expect((await home()).rooms.slice(before).map(({ name }) => name)).toEqual([
      "Pantry",
      "Boot room",
    ]);
  });

  it("enters what was found: small things whole, machines half, filters at theirs", async () => {
    const pantry = (await home()).rooms.find(({ name }) => name === "Pantry")!;
    const to = await see(`room-${pantry.id}`, {
      sleeps: "on",
      supply: "2",
      find: ["co-alarm", "portable-purifier", "wall-grille", "room-valve"],
      "made-co-alarm": "2024-05-01",
      "nominal-wall-grille": "20x20x1",
      "unit-wall-grille": "cellar-furnace",
      "unit-room-valve": "loft-ventilator",
    });
    const { rooms, registers, units, parts, slots } = await home();
    expect(rooms.find(({ id }) => id === pantry.id)!.sleeps).toBe(true);
    expect(registers.filter(({ roomId }) => roomId === pantry.id)).toHaveLength(2);
    const [alarm, purifier] = units.filter(({ roomId }) => roomId === pantry.id);
    expect(alarm).toMatchObject({
      name: "Pantry carbon monoxide alarm",
      attributes: { "made-on": "2024-05-01" },
    });
    expect(alarm).not.toHaveProperty("setUpStep");
    expect(parts.filter(({ unitId }) => unitId === alarm!.id).map(({ kind }) => kind)).toEqual([
      "batteries",
      "alarm-display",
    ]);
    expect(purifier).toMatchObject({ kind: "portable-purifier", setUpStep: "plate" });
    expect(to).toBe(`/homes/${HOME}/units/${purifier!.id}/set-up/plate`);
    expect(slots.find(({ roomId }) => roomId === pantry.id)).toMatchObject({
      unitId: "cellar-furnace",
      slotPlace: "wall-grille",
    });
    expect(
      parts.find(({ unitId, kind }) => unitId === "loft-ventilator" && kind === "room-valves")!
        .place,
    ).toMatch(/Pantry$/);
  });

  it("begins one machine for all that belongs to one not found yet", async () => {
    const before = (await home()).units.length;
    const pantry = (await home()).rooms.find(({ name }) => name === "Boot room")!;
    await see(`room-${pantry.id}`, {
      find: ["valve-filter", "dryer-flap"],
      "nominal-valve-filter": "100x100x10 mm",
      "unit-valve-filter": "",
    });
    // The house has a ventilator and a dryer's vent: nothing is begun beside them.
    expect((await home()).units).toHaveLength(before);
  });

  it("refuses nothing away: what is wrong is said, and nothing of it is entered", async () => {
    const before = await home();
    const sent = await seePlace(
      HOME,
      "level-cellar",
      nothingSent,
      formOf({ rooms: "Coal hole", find: "ceiling-grille", "nominal-ceiling-grille": "20x" }),
    );
    expect(sent.errors).toHaveProperty("nominal-ceiling-grille");
    expect(sent.values["rooms"]).toEqual(["Coal hole"]);
    expect((await home()).rooms).toEqual(before.rooms);
  });

  it("leads a stop of another home, or none, back to the walk", async () => {
    for (const stop of ["room-boathouse-kitchen", "level-none", "end"])
      expect(await see(stop, { rooms: "Nowhere" })).toBe(`/homes/${HOME}/walk`);
    expect((await home()).rooms.some(({ name }) => name === "Nowhere")).toBe(false);
    await keepStop(HOME, "level-none", formOf({ rooms: "Nowhere" }));
    expect((await listWalkStops(demo.store.db, HOME)).map(({ stop }) => stop)).not.toContain(
      "level-none",
    );
  });

  it("keeps what is typed, goes on there, and drops it once it is saved", async () => {
    await keepStop(HOME, "level-cellar", formOf({ rooms: "Coal h" }));
    expect((await walkUnderWay(HOME))!.words).toBe("Cellar");
    expect((await stopOf(HOME, "level-cellar"))!.initial).toEqual({ rooms: ["Coal h"] });
    await see("level-cellar", { rooms: "Coal hole" });
    expect((await stopOf(HOME, "level-cellar"))!.initial).toEqual({});
  });

  it("enters the past once, and offers the looks that it makes worth while", async () => {
    const past = {
      before: "others",
      movedIn: "2026-02-01",
      trace: ["indoor-smoking", "renovation"],
      worksFrom: "2025-11-01",
      worksTo: "2025-12-01",
    };
    const before = (await home()).drivers.length;
    await landing(seePast(HOME, nothingSent, formOf(past)));
    await landing(seePast(HOME, nothingSent, formOf(past)));
    expect((await home()).drivers).toHaveLength(before + 3);
    const { past: offered } = (await walkEndOf(HOME))!;
    expect(offered.whys).toHaveLength(2);
    expect(offered.looks.map(({ words }) => words)).toEqual(
      expect.arrayContaining(["Cellar furnace: look at the indoor coil"]),
    );
    expect((await stopOf(HOME, "past"))!.initial).toMatchObject({
      before: ["others"],
      movedIn: ["2026-02-01"],
      trace: ["indoor-smoking", "renovation"],
    });
  });

  it("keeps a picture of a place or machine of this home, and of no other", async () => {
    const bytes = await sharp({
      create: { width: 8, height: 8, channels: 3, background: "#abc" },
    })
      .png()
      .toBuffer();
    const send = async (about: Record<string, string>, homeId = HOME) => {
      const form = new FormData();
      for (const [name, value] of Object.entries(about)) form.set(name, value);
      form.set("file", new File([new Uint8Array(bytes)], "plate.png"));
      return (await postHomePhoto(homeId, new Request("http://h/", { method: "POST", body: form })))
        .status;
    };
    const id = "picture-of-the-walk";
    expect(await send({ id, stop: "level-loft" })).toBe(201);
    expect(await send({ id, stop: "level-loft" })).toBe(201);
    expect((await stopOf(HOME, "level-loft"))!.pictures.map((each) => each.id)).toEqual([id]);
    expect(await send({ id: `${id}-2`, unitId: "cellar-furnace" })).toBe(201);
    expect((await listPicturesOf("cellar-furnace")).map((each) => each.id)).toContain(`${id}-2`);
    expect(await send({ id: `${id}-3`, unitId: "boiler" })).toBe(404);
    expect(await send({ id: `${id}-3`, stop: "level-none" })).toBe(404);
    expect(await send({ id: `${id}-3`, unitId: "cellar-furnace" }, "nowhere")).toBe(404);
    expect(await send({ stop: "level-loft" })).toBe(400);
  });

  it("says where each stop leads, and how it is called", async () => {
    const page = (await walkOf(HOME))!;
    expect(walkHref(HOME, null)).toBe(`/homes/${HOME}/walk`);
    expect(walkHref(HOME, { stop: "mains" })).toBe(`/homes/${HOME}/walk/mains`);
    expect(walkHref(HOME, { unitId: "u", step: "filters" })).toBe(
      `/homes/${HOME}/units/u/set-up/filters`,
    );
    expect(walkWords({ stop: "past" }, page)).toBe("What was before");
    expect(walkWords({ stop: "level-yard" }, page)).toBe("Yard");
    expect(walkWords({ stop: "room-ground-hall" }, page)).toBe("Hall");
    expect(walkWords({ unitId: "cellar-furnace", step: "plate" }, page)).toBe("Cellar furnace");
    expect(walkWords({ stop: "room-none" }, page)).toBe("");
  });

  it("asks each place for what it may hide, and a yard for no rooms", async () => {
    const asked = async (stop: string) => (await stopOf(HOME, stop))!.place!;
    const kitchen = await asked("room-ground-kitchen");
    expect(kitchen.likely.map(({ id }) => id)).toContain("range-hood");
    expect(kitchen.others.map(({ id }) => id)).toContain("portable-purifier");
    const yard = await asked("level-yard");
    expect(yard.likely.map(({ id }) => id)).not.toContain("thermostat");
    expect(yard.machines.map(({ id }) => id)).toContain("yard-condenser");
    const vent = yard.likely.find(({ id }) => id === "plastic-vent")!;
    expect(vent.owners.map(({ id }) => id)).toEqual(["cellar-furnace"]);
    expect(await stopOf(HOME, "room-none")).toBeNull();
    expect(await stopOf("nowhere", "mains")).toBeNull();
  });

  it("ends on purpose, says what is not known, and can be taken up again", async () => {
    expect((await walkEndOf(HOME))!.gaps.map(({ words }) => words)).toEqual(
      expect.arrayContaining([
        "Pantry portable air purifier is half entered",
        "Where is the main gas valve?",
      ]),
    );
    await landing(endWalk(HOME));
    expect(await walkUnderWay(HOME)).toBeNull();
    await landing(resumeWalk(HOME));
    expect((await walkUnderWay(HOME))!.seen).toBeGreaterThan(4);
  });
});
