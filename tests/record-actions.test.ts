import { JOBS } from "@/content/default-tasks";
import { HistoryRecord } from "@/core/history/history-record";
import { listNotices } from "@/db/repositories/homes";
import { putNoticeAway } from "@/features/today/notice-actions";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { wearOfSlot } from "./small-home";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { RENEW } from "@/core/scheduling/task";
import { plainDate } from "@/core/quantities/plain-date";
import { appendEvent } from "@/db/repositories/history";
import { updateSlot } from "@/db/repositories/parts";
import { actOnDemo, formOf, landing, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";
import { saveFilters } from "@/features/inventory/guided-add/quick-slot-actions";
import {
  correctEntry,
  forgetLooks,
  noteChanged,
  noteLook,
  notePartDone,
  noteLight,
  noteVacuumed,
  writeNote,
} from "../src/features/records/record-actions";
import { changeSlot, createSlot } from "@/features/inventory/filters/slot-actions";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(60_000);

const HOME = "sluice-house";
const today = plainDate("2026-03-14");
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const snapshot = async () => (await demo.read(HOME)).snapshot;
const slot = async (id: string) => (await snapshot()).slots.find((each) => each.id === id)!;
const record = async (partId: string) =>
  new HistoryRecord((await snapshot()).history.entries).counted.filter(
    (event) => event.partId === partId,
  );
const fields = {
  name: "Grille filter",
  slotPlace: "ceiling-grille",
  roomId: "upper-landing",
  note: "",
  place: "over the stairs",
  nominal: "20 x 25 x 4 in",
  measured: "",
  opening: "",
  filterCount: "1",
  media: "pleated-100",
  rating: "MERV 11",
  airSide: "recirculated",
  direction: "up",
  directionMark: "",
  seat: "rail",
  cleanDrop: "",
  indicatorReset: "",
  price: "31",
  baseHours: "",
  maxAgeDays: "",
  fittedOn: "2026-01-02",
};

describe("a slot", () => {
  it("is entered elsewhere than at its unit, with the filter in it and the job of changing it", async () => {
    const to = await landing(createSlot(HOME, "cellar-furnace", nothingSent, formOf(fields)));
    const id = /parts\/(.+)$/.exec(to)![1]!;
    expect(await slot(id)).toMatchObject({
      unitId: "cellar-furnace",
      slotPlace: "ceiling-grille",
      roomId: "upper-landing",
      nominal: { mm: { w: 508, h: 635, d: 101.6 } },
      priceMinor: 3100,
    });
    expect((await record(id)).map(({ kind, date, costMinor }) => [kind, date, costMinor])).toEqual([
      ["fitted", "2026-01-02", 3100],
    ]);
    const job = tasksOf(await snapshot(), JOBS).find((task) => task.partId === id);
    expect([job?.key, job?.procedureIds]).toEqual([RENEW, ["change-panel-filter"]]);
  });

  it("is changed, and keeps its record", async () => {
    const before = await record("vent-supply");
    const form = formOf({ ...fields, name: "Supply filter", media: "vent-fine", rating: "F7" });
    await landing(changeSlot(HOME, "vent-supply", nothingSent, form));
    expect(await slot("vent-supply")).toMatchObject({
      unitId: "loft-ventilator",
      media: "vent-fine",
    });
    expect(await record("vent-supply")).toEqual(before);
  });

  it("is refused with what was typed, and nothing is written", async () => {
    const count = (await snapshot()).slots.length;
    const bad = { ...fields, nominal: "20x0", fittedOn: "2026-04-01" };
    const refusal = await createSlot(HOME, "cellar-furnace", nothingSent, formOf(bad));
    expect(Object.keys(refusal.errors).sort()).toEqual(["fittedOn", "nominal"]);
    expect(refusal.values["nominal"]).toEqual(["20x0"]);
    expect((await snapshot()).slots).toHaveLength(count);
    expect(await landing(createSlot(HOME, "boat-heater", nothingSent, formOf(fields)))).toBe("/");
  });
});

describe("the quick entry", () => {
  it("enters every slot that is ticked and leads on", async () => {
    const to = { step: "parts" as const, href: "/next" };
    const form = formOf({
      has: ["0"],
      "nominal-0": "500x500x48",
      "slotPlace-0": "wall-grille",
      "media-0": "pleated-50",
      "fittedOn-0": "2026-02-01",
    });
    expect(await landing(saveFilters(HOME, "ducts", to, nothingSent, form))).toBe("/next");
    const made = (await snapshot()).slots.find((each) => each.unitId === "ducts")!;
    expect(made).toMatchObject({
      name: "Return grille filter",
      slotPlace: "wall-grille",
      media: "pleated-50",
      nominal: { text: "500x500x48", unit: "mm", mm: { w: 500, h: 500, d: 48 } },
    });
    expect((await record(made.id)).map(({ kind }) => kind)).toEqual(["fitted"]);
    const none = formOf({});
    expect(await landing(saveFilters(HOME, "ducts", to, nothingSent, none))).toBe("/next");
  });
});

describe("what was done and seen", () => {
  it("is a change on a day that has passed, with the look at the old one before it", async () => {
    const form = formOf({ date: "2026-03-12", grade: "loaded", words: "in a hurry" });
    const led = await landing(noteChanged(HOME, "kiln-filter", nothingSent, form));
    const noted = (await record("kiln-filter")).findLast(
      ({ kind }) => kind === "cleaned" || kind === "fitted",
    )!;
    expect(led).toBe(`/homes/${HOME}/parts/kiln-filter?noted=${noted.id}`);
    const last = (await record("kiln-filter")).slice(-2);
    expect(last.map(({ kind }) => kind)).toEqual(["look", "fitted"]);
    expect(last[1]).toMatchObject({ words: "in a hurry", costMinor: 890 });
    const wear = wearOfSlot(await snapshot(), await slot("kiln-filter"), today)!;
    expect(wear.days[0]!.date).toBe("2026-03-12");
  });

  it("is a wash where the medium goes back: the same mesh, with no cost", async () => {
    const before = (await record("mesh-right")).findLast(({ kind }) => kind === "cleaned")!;
    await landing(noteChanged(HOME, "mesh-right", nothingSent, formOf({ date: "2026-03-13" })));
    const after = (await record("mesh-right")).at(-1)!;
    expect(after).toMatchObject({ kind: "cleaned", date: "2026-03-13", itemId: before.itemId });
    expect(after).not.toHaveProperty("costMinor");
  });

  it("is a look, from today or before, at a filter of this home", async () => {
    const look = { slotId: "gallery-bank", date: "2026-03-14", grade: "grey" };
    await landing(noteLook(HOME, nothingSent, formOf(look)));
    expect((await record("gallery-bank")).at(-1)).toMatchObject({
      kind: "look",
      look: { grade: "grey" },
    });
    const { errors } = await noteLook(HOME, nothingSent, formOf({ ...look, date: "", grade: "" }));
    expect(Object.keys(errors).sort()).toEqual(["date", "grade"]);
    const foreign = formOf({ ...look, slotId: "boat-fine" });
    expect(await landing(noteLook(HOME, nothingSent, foreign))).toBe("/");
  });

  it("is a look by the drop across it, where the clean drop is known", async () => {
    const look = { slotId: "gallery-bank", date: "2026-03-14", grade: "", drop: "64,5" };
    const { errors } = await noteLook(HOME, nothingSent, formOf(look));
    expect(errors).toEqual({
      drop: "What it drops when clean is not written down for this filter yet.",
    });
    const known = await slot("cellar-filter");
    await demo.store.write((tx) => updateSlot(tx, { ...known, cleanDropPa: 48 }));
    const drop = (text: string) => formOf({ ...look, slotId: "cellar-filter", drop: text });
    expect((await noteLook(HOME, nothingSent, drop("-3"))).errors).toEqual({
      drop: "Write the drop as a number, 0 or more, of what a filter can take.",
    });
    const belief = async () =>
      wearOfSlot(await snapshot(), await slot("cellar-filter"), today)!.belief;
    const before = await belief();
    await landing(noteLook(HOME, nothingSent, drop("64,5")));
    expect((await record("cellar-filter")).at(-1)!.look).toEqual({ pressureDropPa: 64.5 });
    // √((64.5/48 − 1)/1) = 0.586: it is only a little fuller than half, so the place is slower.
    const after = await belief();
    expect(after.sd).toBeLessThan(before.sd);
    expect(after.mu).toBeLessThan(before.mu);
  });

  it("teaches nothing any more once it is forgotten, until that is taken back", async () => {
    const pace = async () => wearOfSlot(await snapshot(), await slot("mesh-left"), today)!.belief;
    const learnt = await pace();
    expect(learnt.mu).toBeGreaterThan(0.3);
    await landing(forgetLooks(HOME, "mesh-left"));
    expect(await pace()).toEqual({ mu: 0, sd: expect.any(Number) as number });
    const entry = (await record("mesh-left")).at(-1)!;
    await demo.store.write((tx) =>
      appendEvent(tx, HOME, {
        ...{ id: "take-back", kind: "withdrawn", corrects: entry.id, partId: "mesh-left" },
        date: today,
        recordedAt: "2026-03-14T09:30:00.000Z",
      }),
    );
    expect(await pace()).toEqual(learnt);
  });

  it("is a part seen to, with what it took", async () => {
    const id = "dryer-dryer-duct";
    const form = formOf({ date: "2026-03-01", words: "two handfuls", minutes: "20", cost: "4,50" });
    await landing(notePartDone(HOME, id, nothingSent, form));
    expect((await record(id)).at(-1)).toMatchObject({
      kind: "done",
      unitId: "dryer",
      words: "two handfuls",
      minutes: 20,
      costMinor: 450,
    });
    const bad = formOf({ date: "tomorrow", words: "", minutes: "1.5", cost: "cheap" });
    // The base shape is right, so that each field answers for itself.
    const { errors } = await notePartDone(HOME, id, nothingSent, bad);
    expect(Object.keys(errors)).toContain("date");
    const worse = formOf({ date: "2026-03-01", words: "", minutes: "1.5", cost: "cheap" });
    expect(Object.keys((await notePartDone(HOME, id, nothingSent, worse)).errors).sort()).toEqual([
      "cost",
      "minutes",
    ]);
  });

  it("is a note about a unit, or about one of its own parts", async () => {
    const note = { date: "2026-03-14", words: "hums", partId: "cellar-furnace-blower" };
    expect(await landing(writeNote(HOME, "cellar-furnace", nothingSent, formOf(note)))).toMatch(
      /parts\/cellar-furnace-blower$/,
    );
    // A part of another unit is not taken for one of this.
    expect(await landing(writeNote(HOME, "gallery", nothingSent, formOf(note)))).toMatch(
      /units\/gallery$/,
    );
    expect((await snapshot()).history.entries.at(-1)).not.toHaveProperty("partId");
    const empty = formOf({ date: "2026-03-14", words: "" });
    expect((await writeNote(HOME, "gallery", nothingSent, empty)).errors).toEqual({
      words: "Write the note.",
    });
  });

  it("is corrected by another entry, once", async () => {
    const wrong = (await record("vent-extract")).findLast(({ kind }) => kind === "look")!;
    const form = formOf({ date: wrong.date, grade: "blocked", words: "looked again" });
    expect(await landing(correctEntry(HOME, wrong.id, nothingSent, form))).toMatch(
      /parts\/vent-extract\?noted=/,
    );
    const right = (await record("vent-extract")).find(({ corrects }) => corrects === wrong.id)!;
    expect(right).toMatchObject({ look: { grade: "blocked" }, words: "looked again" });
    const count = (await snapshot()).history.entries.length;
    await landing(correctEntry(HOME, wrong.id, nothingSent, form));
    expect((await snapshot()).history.entries).toHaveLength(count);
  });
});

describe("a filter vacuumed on the spot", () => {
  it("is noted at one press, twice pressed once, and is due later without being new", async () => {
    const before = wearOfSlot(await snapshot(), await slot("cellar-filter"), today)!;
    const entries = (await record("cellar-filter")).length;
    for (const _ of [1, 2])
      expect(await landing(noteVacuumed(HOME, "cellar-filter", "press-1"))).toMatch(
        new RegExp(`^/homes/${HOME}/parts/cellar-filter`),
      );
    expect(await record("cellar-filter")).toHaveLength(entries + 1);
    const after = wearOfSlot(await snapshot(), await slot("cellar-filter"), today)!;
    expect(after.likely! > before.likely!).toBe(true);
    expect(after.days[0]).toEqual(before.days[0]);
    expect(await landing(noteVacuumed(HOME, "boat-fine", "press-2"))).toBe(`/homes/${HOME}/house`);
    // A press under the name of another one writes nothing.
    const all = (await snapshot()).history.entries.length;
    expect(await landing(noteLight(HOME, "heater-filters", "press-1"))).toBe(`/homes/${HOME}`);
    expect((await snapshot()).history.entries).toHaveLength(all);
  });
});

describe("the light of a filter", () => {
  const renewal = async () => {
    const home = await snapshot();
    const jobs = scheduleNow(home, today);
    return jobs.find(({ task }) => task.id === "heater-filters.renew")!;
  };

  it("makes it due the day it comes on, at one press, and teaches its pace, until a new one is in", async () => {
    const { indicator } = await slot("heater-filters");
    expect(indicator).toBe(true);
    const before = wearOfSlot(await snapshot(), await slot("heater-filters"), today)!;
    expect((await renewal()).due! > today).toBe(true);
    for (const _ of [1, 2])
      expect(await landing(noteLight(HOME, "heater-filters", "light-1"))).toMatch(
        new RegExp(`^/homes/${HOME}/parts/heater-filters`),
      );
    const lit = (await record("heater-filters")).filter(
      ({ reading }) => reading?.kind === "indicator-light",
    );
    expect(lit).toHaveLength(1);
    expect((await renewal()).due).toBe(today);
    const after = wearOfSlot(await snapshot(), await slot("heater-filters"), today)!;
    expect(after.looksUsed).toBe(before.looksUsed + 1);
    // “Loaded” at what was half full: it fills faster than was thought.
    expect(after.percentNow).toBeGreaterThan(before.percentNow);
    await landing(
      noteChanged(HOME, "heater-filters", nothingSent, formOf({ date: today, grade: "" })),
    );
    expect((await renewal()).due! > today).toBe(true);
  });

  it("is not pressed at a filter that has none", async () => {
    expect(await landing(noteLight(HOME, "kiln-filter", "light-2"))).toBe(`/homes/${HOME}/house`);
  });
});

describe("what a home is told once", () => {
  it("is put away for good, and an unknown word does nothing", async () => {
    const told = () => listNotices(demo.store.db, HOME);
    await demo.store.client.execute(
      `INSERT INTO home_notices (home_id, kind) VALUES ('${HOME}', 'dates-anew')`,
    );
    await putNoticeAway(HOME, "something-else");
    expect(await told()).toEqual(["dates-anew"]);
    await putNoticeAway(HOME, "dates-anew");
    await putNoticeAway(HOME, "dates-anew");
    expect(await told()).toEqual([]);
  });
});
