import { replayRun } from "@/core/runs/run";
import { appStore } from "@/db/app-store";
import { appendEvent } from "@/db/repositories/history";
import { findRun, jobOfRun, listRunEvents } from "@/db/repositories/runs";
import { plainDate } from "@/core/quantities/plain-date";
import { actOnDemo, formOf, landing, nothingSent } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { event } from "../../../../tests/run-events";
import type { Store } from "@/db/client";
import { updateUnit } from "@/db/repositories/units";
import { insertPart } from "@/db/repositories/parts";
import { prepareIn, prepareOf, readyOn } from "../prepare/prepare-queries";
import { deferJob, startRun } from "./run-actions";
import { recordRunEvents } from "@/server/commands/run-record";
import { readRun, runsBefore } from "@/server/snapshots/read-runs";
import { runSheetOf, runWith } from "../guide/run-queries";

jest.mock("next/navigation", () => jest.requireActual("../../../../tests/acting").navigation);
jest.setTimeout(120_000);

const HOME = "sluice-house";
const LINE = "cellar-furnace-condensate-line.flush";
const COIL = "yard-condenser-condenser-coil.clean";
let demo: DemoStore;
beforeAll(async () => {
  demo = await actOnDemo();
});
afterAll(() => demo.discard());

const ready = async (jobId: string, way?: string) => (await prepareOf(HOME, jobId, way))!;
const ticked = async (jobId: string, extra: Record<string, string> = {}) =>
  formOf({
    ...Object.fromEntries((await ready(jobId)).checks.map(({ id }) => [`check-${id}`, "on"])),
    ...extra,
  });

describe("before a job", () => {
  it("says what to bring, how long it takes, and what has to be so: hose, tap, a mild day", async () => {
    const prepared = await ready(COIL, "rinse-outdoor-coil.foam");
    expect(prepared.way).toMatchObject({ variant: "foam", handsOn: 45, waiting: 10 });
    expect(prepared.tools).toEqual(expect.arrayContaining(["a pump sprayer", "a fin comb"]));
    expect(prepared.consumables).toEqual(["foaming coil cleaner"]);
    expect(prepared.checks.map(({ id }) => id)).toEqual(["hose", "tap", "isolator", "mild"]);
    const mild = prepared.checks.at(-1)!;
    expect(mild.words).toBe("It is 5\u00a0°C or more outside, and stays so");
    expect(mild.hint).toContain("Water freezes in the fins and bends them.");
  });

  it("names the machines that hang on the same shut-off, where it turns that off", async () => {
    const { units } = (await ready("humidifier-panel.renew")).snapshot;
    const at = units.find(({ id }) => id === "humidifier")!;
    const breaker = { id: "both", kind: "breaker" as const, place: "Number 7, hall cupboard" };
    const { write } = await appStore();
    await write((tx) => updateUnit(tx, { ...at, shutOffs: [breaker] }));
    const { checks } = await ready("humidifier-panel.renew");
    expect(checks.find(({ id }) => id === "together")?.words).toBe(
      "Cellar furnace may stand still meanwhile",
    );
    await write((tx) => updateUnit(tx, at));
    expect((await ready("humidifier-panel.renew")).checks).toEqual([]);
  });

  it("asks for a safe way up where it is high, and that the household knows", async () => {
    const roof = await ready("gallery-bank.renew");
    expect(roof.checks.map(({ id }) => id)).toEqual(["size", "roof"]);
    // Nobody said that roof is safely reached: it is for licensed or building staff.
    expect([roof.job.task.who, roof.needsLicence]).toEqual(["licensed", true]);
    const form = await ticked("gallery-bank.renew");
    const alone = await startRun(
      HOME,
      "gallery-bank.renew",
      "change-panel-filter",
      nothingSent,
      form,
    );
    expect(alone.errors["qualification"]).toContain("roof is safely reached");
    expect(roof.consumables[0]).toMatch(/^a new filter bank 4 × /);
    const loft = await prepareOf(HOME, "loft-ventilator-recovery-core.wash", undefined);
    expect(loft?.checks.map(({ id }) => id)).toEqual([
      "days",
      "bath",
      "alone",
      "mild",
      "household",
    ]);
    // Two days to dry: back together on the sixteenth.
    expect(readyOn(loft!)).toBe("2026-03-16");
    expect(loft?.going).toBe("demo-core-run");
  });

  it("has a part’s own tool among what to bring, and where it hangs", async () => {
    const { snapshot, going } = await demo.read("boathouse");
    const own = { tool: "Lid key", toolHangs: "On the return pipe" };
    const parts = snapshot.parts.map((part) =>
      part.kind === "magnetic-filter" ? { ...part, identity: own } : part,
    );
    const before = runsBefore(demo.store.db, "boathouse");
    const today = plainDate("2026-03-14");
    const grounds = { snapshot: { ...snapshot, parts }, going, today, before };
    const start = await prepareIn(grounds, "boat-boiler-magnetic-filter.clean", undefined);
    expect(start!.tools[0]).toBe("its own lid key (on the return pipe)");
  });

  it("leads through no job that is not there", async () => {
    expect(await prepareOf(HOME, "nowhere.brush", undefined)).toBeNull();
  });

  it("never offers bleach where a burner makes the water acid", async () => {
    const acid = await ready(LINE);
    const bleach = acid.ways.find(({ variant }) => variant === "bleach");
    expect(bleach?.barred).toContain("acid");
    const way = "flush-condensate-line.bleach";
    const refused = await startRun(HOME, LINE, way, nothingSent, await ticked(LINE));
    expect(refused.errors["form"]).toContain("acid");
  });

  it("keeps bleach from the line on the day the coil above it was cleaned", async () => {
    const store = await appStore();
    const kiln = await kilnLine(store);
    const bleach = async () =>
      (await ready(kiln, "flush-condensate-line.bleach")).ways.find(
        ({ variant }) => variant === "bleach",
      );
    expect((await bleach())?.barred).toBeNull();
    const entry = {
      unitId: "kiln-furnace",
      partId: "kiln-coil",
      date: plainDate("2026-03-14"),
      recordedAt: "2026-03-14T08:00:00Z",
    };
    await store.write((tx) =>
      appendEvent(tx, HOME, { ...entry, id: "coil-today", kind: "done", taskKey: "clean" }),
    );
    expect((await bleach())?.barred).toContain("cleaned today");
    const refused = await startRun(
      HOME,
      kiln,
      "flush-condensate-line.bleach",
      nothingSent,
      await ticked(kiln),
    );
    expect(refused.errors["form"]).toContain("cleaned today");
    await store.write((tx) =>
      appendEvent(tx, HOME, {
        ...entry,
        id: "coil-not",
        kind: "withdrawn",
        corrects: "coil-today",
      }),
    );
    expect((await bleach())?.barred).toBeNull();
    // Nor on the day vinegar went down it, though no tick says so.
    const way = "flush-condensate-line.vinegar";
    const to = await landing(startRun(HOME, kiln, way, nothingSent, await ticked(kiln)));
    const first = event({
      kind: "done",
      step: "power-off",
      round: 0,
      at: "2026-03-14T08:30:00.000Z",
    });
    await recordRunEvents(to.replace("/runs/", ""), [first], new Date("2026-03-14T08:31:00Z"));
    expect((await bleach())?.barred).toContain("Vinegar went down this drain today");
  });
});

/** A condensate line and a coil at a furnace that makes no water itself. */
async function kilnLine(store: Store): Promise<string> {
  const part = (id: string, kind: string) => ({
    id,
    unitId: "kiln-furnace",
    kind,
    name: kind,
    attributes: {},
  });
  await store.write(async (tx) => {
    await insertPart(tx, part("kiln-line", "condensate-line"), "2025-01-01T00:00:00Z");
    await insertPart(tx, part("kiln-coil", "evaporator-coil"), "2025-01-01T00:00:00Z");
  });
  return "kiln-line.flush";
}

describe("a start", () => {
  it("is refused at each thing that is not so yet, and keeps what was ticked", async () => {
    const form = formOf({ "check-hose": "on" });
    const answer = await startRun(HOME, COIL, "rinse-outdoor-coil.water", nothingSent, form);
    expect(Object.keys(answer.errors).sort()).toEqual([
      "ask-top",
      "check-isolator",
      "check-mild",
      "check-tap",
    ]);
    expect(answer.values["check-hose"]).toEqual(["on"]);
  });

  it("keeps the procedure as it is now, its way and who may do it, and is one however often it is pressed", async () => {
    const start = async () =>
      landing(
        startRun(
          HOME,
          COIL,
          "rinse-outdoor-coil.foam",
          nothingSent,
          await ticked(COIL, { qualification: "licensed", "ask-top": "off" }),
        ),
      );
    const to = await start();
    expect(await start()).toBe(to);
    const id = to.replace("/runs/", "");
    const run = (await findRun(demo.store.db, id))!;
    expect(run).toMatchObject({
      unitId: "yard-condenser",
      taskKey: "clean",
      variant: "foam",
      qualification: "licensed",
      isolator: "disconnect-out",
    });
    expect(run.procedure.id).toBe("rinse-outdoor-coil");
    const state = replayRun(jobOfRun(run), await listRunEvents(demo.store.db, id));
    expect(state.steps.map((step) => step.id)).toContain("foam");
    // What was asked of the place decides its steps, and is remembered there.
    expect(state.steps.map((step) => step.id)).toContain("guard-off");
    expect((await ready(COIL)).asks).toEqual([]);
    const known = runWith((await runSheetOf(id))!);
    expect(known.title).toBe("Yard condenser, outdoor coil");
    expect(known.rules).toContain("Gas and refrigerant only by licensed people");
    expect(known.finish.consumables).toEqual(["foaming coil cleaner"]);
  });

  it("of a walk through the house belongs to no machine, and asks which one", async () => {
    const form = await ticked("home.walk");
    const to = await landing(startRun(HOME, "home.walk", "walk-round", nothingSent, form));
    const sheet = (await runSheetOf(to.replace("/runs/", "")))!;
    expect([sheet.run.unitId, sheet.run.partId]).toEqual([null, null]);
    const known = runWith(sheet);
    expect(known.places.alarms).toHaveLength(4);
    expect(known.hasGas).toBe(true);
    // The hardest-worked filter first.
    const first = sheet.snapshot.slots.find(({ id }) => id === known.places.filters[0]!.value);
    expect(first).toBeDefined();
  });

  it("shows what was noted the last time", async () => {
    const form = await ticked(LINE);
    const way = "flush-condensate-line.vinegar";
    const to = await landing(startRun(HOME, LINE, way, nothingSent, form));
    const note = event({ kind: "note", step: "brush", words: "the brush is too short" });
    const given = [note, event({ kind: "stopped" })].map((each) => ({
      ...each,
      at: "2026-03-14T08:30:00.000Z",
    }));
    await recordRunEvents(to.replace("/runs/", ""), given, new Date("2026-03-14T08:30:00Z"));
    const next = await ready(LINE);
    expect(next.lastTime).toEqual(["Sat 14 Mar: the brush is too short"]);
    // The strategy is remembered.
    expect(next.way.variant).toBe("vinegar");
  });
});

describe("a job put off before it was begun", () => {
  it("asks for a day to come, keeps what was typed, and needs no words once a reason is chosen", async () => {
    const form = formOf({ reason: "weather", words: "no", until: "2026-03-01" });
    const answer = await deferJob(HOME, LINE, nothingSent, form);
    expect(Object.keys(answer.errors)).toEqual(["until"]);
    expect(answer.values["words"]).toEqual(["no"]);
  });

  it("is said before the next time, and stays due as it was", async () => {
    const before = (await ready(LINE)).job.due;
    const form = formOf({ reason: "missing", words: "no brush that long", until: "2026-03-20" });
    expect(await landing(deferJob(HOME, LINE, nothingSent, form))).toBe(`/homes/${HOME}`);
    const { job, lastTime } = await ready(LINE);
    expect(job.due).toBe(before);
    expect(job.deferral).toMatchObject({ until: "2026-03-20", words: "no brush that long" });
    expect(lastTime[0]).toBe("Sat 14 Mar, not possible: no brush that long");
  });

  it("leads back instead where something of it is open", async () => {
    const job = "loft-ventilator-recovery-core.wash";
    const form = formOf({ reason: "weather", words: "", until: "2026-03-20" });
    expect(await landing(deferJob(HOME, job, nothingSent, form))).toBe("/runs/demo-core-run");
    const { state } = (await readRun(demo.store.db, "demo-core-run"))!;
    expect(state.aborted).toMatchObject({ reason: "weather", words: "The weather" });
    expect(state.ends.open.length).toBeGreaterThan(3);
  });
});
