import { plainDate } from "@/core/quantities/plain-date";
import { previewJob, previewStrategy } from "./job-previews";
import { readHome } from "@/server/snapshots/read-home";
import { appendEvent } from "@/db/repositories/history";
import { actOnDemo, formOf, landing, nothingSent } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { addJob, changeJob, chooseStrategy, noteJobDone, resetJob } from "./jobs-actions";
import { NEW_JOB, jobFormOf } from "./job-form-values";
import { jobPageOf, jobsOf, jobsPageOf, placeNameOf } from "./jobs-queries";
import { strategiesOf } from "./strategies";

jest.mock(
  "next/navigation",
  () =>
    jest.requireActual<typeof import("../../../tests/acting")>("../../../tests/acting").navigation,
);
jest.mock("server-only", () => ({}));
jest.setTimeout(60_000);

const HOME = "sluice-house";
const DUCT = "dryer-dryer-duct.brush";
const FILTER = "cellar-filter.renew";
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const snapshot = async () => (await readHome(demo.store.db, HOME))!.snapshot;
const row = async (id: string) => (await jobPageOf(HOME, id))!.row;
const filled = async (id: string, extra: Record<string, string> = {}) => {
  const { values } = jobFormOf((await jobPageOf(HOME, id))!);
  // An unticked box sends nothing.
  const { isOff: _, ...rest } = values;
  return formOf({ ...rest, ...extra });
};

describe("the jobs of a home", () => {
  it("are listed with their own first, the rest by day, and what waits for a cause last", async () => {
    const page = (await jobsPageOf(HOME))!;
    expect(page.own.map((each) => each.name)).toEqual([
      "Press the test of every alarm",
      "Walk round: listen, look, feel",
      "Learn your shut-offs",
    ]);
    expect(page.coming[0]).toMatchObject({
      where: "Hall alarm",
      state: "past",
      due: "2 weeks over",
    });
    expect(page.waiting.some((each) => each.name === "Have the ducts cleaned")).toBe(true);
    expect(await jobsPageOf("nowhere")).toBeNull();
  });

  it("say how they come round, when they were last done, who does them and how long it takes", async () => {
    expect(await row(DUCT)).toMatchObject({
      where: "Scullery dryer vent, Dryer duct",
      how: "every year",
      last: "last Fri 24 Jan 2025, 14 months ago",
      window: "was due by 2 Mar",
      effort: "30 min",
    });
    expect((await row("kiln-furnace.visit")).effort).toBe("60 min, a licensed person");
    const jobs = await jobsOf(HOME, { unitId: "cellar-furnace" });
    expect(jobs.map((each) => each.name)).toEqual(["Look the furnace over", "Have it serviced"]);
  });
});

describe("noting a job done", () => {
  it("moves its next day, and says what is wrong with what was typed", async () => {
    const bad = formOf({ date: "2026-03-15", words: "", minutes: "ten", cost: "a lot" });
    const { errors } = await noteJobDone(HOME, "home.walk", nothingSent, bad);
    expect(Object.keys(errors).sort()).toEqual(["cost", "date", "minutes"]);
    const good = formOf({ date: "2026-03-14", words: "all quiet", minutes: "6", cost: "" });
    expect(await landing(noteJobDone(HOME, "home.walk", nothingSent, good))).toMatch(
      /^\/homes\/sluice-house\/jobs\?noted=/,
    );
    expect((await row("home.walk")).last).toBe("last Sat 14 Mar, today");
    const entry = (await snapshot()).history.entries.at(-1)!;
    expect(entry).toMatchObject({ kind: "done", taskKey: "walk", words: "all quiet", minutes: 6 });
    expect(entry).not.toHaveProperty("unitId");
  });
});

describe("changing how a job comes round", () => {
  it("keeps only what differs from the default, and gives it back", async () => {
    expect(await landing(changeJob(HOME, DUCT, nothingSent, await filled(DUCT)))).toBe(
      "/homes/sluice-house/parts/dryer-dryer-duct",
    );
    expect((await row(DUCT)).isChanged).toBe(false);
    const often = await filled(DUCT, {
      by: "every",
      n: "3",
      unit: "year",
      within: "",
      handsOn: "20",
    });
    await landing(changeJob(HOME, DUCT, nothingSent, often));
    expect(await row(DUCT)).toMatchObject({
      how: "every 3 years",
      state: "not-yet",
      isChanged: true,
    });
    const setting = (await snapshot()).tasks.find((task) => task.partId === "dryer-dryer-duct")!;
    expect(Object.keys(setting.changes).sort()).toEqual(["cadence", "handsOn"]);
    await landing(resetJob(HOME, DUCT));
    expect(await row(DUCT)).toMatchObject({ how: "every year", state: "past", isChanged: false });
  });

  it.each([
    [{ by: "season", anchor: "leafFall", offsetDays: "-10" }, "10 days before leaf fall"],
    [{ by: "run-hours", hours: "500" }, "every 500 hours of running"],
    [{ by: "every", n: "2", unit: "week", within: "snow" }, "every 2 weeks while snow lies"],
  ])("takes %j", async (fields, how) => {
    const id = "cellar-furnace-blower.clean";
    await landing(changeJob(HOME, id, nothingSent, await filled(id, fields)));
    const { values } = jobFormOf((await jobPageOf(HOME, id))!);
    expect((await row(id)).how).toBe(how);
    expect(values).toMatchObject(
      Object.fromEntries(Object.entries(fields).map(([key, value]) => [key, [value]])),
    );
  });

  it.each([
    [{ by: "every", n: "0" }, "n"],
    [{ by: "run-hours", hours: "lots" }, "hours"],
    [{ by: "season", offsetDays: "1000" }, "offsetDays"],
    [{ handsOn: "-1" }, "handsOn"],
    [{ waiting: "" }, "waiting"],
  ])("refuses %j at its field", async (fields, field) => {
    const { errors } = await changeJob(HOME, DUCT, nothingSent, await filled(DUCT, fields));
    expect(Object.keys(errors)).toEqual([field]);
  });

  it("shows what it makes of the dates before it is saved, and nothing for what cannot be read", async () => {
    const often = await filled(DUCT, { by: "every", n: "2", unit: "month" });
    expect(await previewJob(HOME, DUCT, often)).toMatchObject({
      due: "11 months over",
      moved: "10 months sooner than now",
    });
    expect((await row(DUCT)).how).toBe("every year");
    expect(await previewJob(HOME, DUCT, await filled(DUCT, { by: "every", n: "x" }))).toBeNull();
    const off = await filled(DUCT, { isOff: "on" });
    expect(await previewJob(HOME, DUCT, off)).toMatchObject({ due: "", rounds: 0 });
  });

  it("leaves a job out where it is not done", async () => {
    await landing(changeJob(HOME, DUCT, nothingSent, await filled(DUCT, { isOff: "on" })));
    expect(await row(DUCT)).toMatchObject({ state: "none", how: "switched off" });
    await landing(resetJob(HOME, DUCT));
  });
});

describe("a job for what not every household has", () => {
  const LAY_UP = "studio-pump.lay-up";

  it("comes round only once somebody switches it on, and can be switched off again", async () => {
    expect(await row(LAY_UP)).toMatchObject({ state: "none", how: "switched off" });
    await landing(changeJob(HOME, LAY_UP, nothingSent, await filled(LAY_UP, { isOff: "" })));
    const on = await row(LAY_UP);
    expect(on).toMatchObject({ how: "2 weeks after cooling ends", isOff: false });
    expect(on.due).not.toBe("");
    await landing(changeJob(HOME, LAY_UP, nothingSent, await filled(LAY_UP, { isOff: "on" })));
    expect(await row(LAY_UP)).toMatchObject({ how: "switched off", isChanged: false });
  });
});

describe("a job of one’s own", () => {
  const place = { unitId: "loft-ventilator", partId: "loft-ventilator-fan" };
  it("needs a name and a rhythm, and then comes round like any other", async () => {
    const blank = formOf({ ...NEW_JOB, name: "" });
    expect((await addJob(HOME, place, nothingSent, blank)).errors).toEqual({
      name: "Say what is done.",
    });
    const form = formOf({ ...NEW_JOB, name: "Oil its bearing", n: "6" });
    expect(await landing(addJob(HOME, place, nothingSent, form))).toBe(
      "/homes/sluice-house/parts/loft-ventilator-fan",
    );
    const [own] = (await jobsOf(HOME, place)).filter((each) => each.name === "Oil its bearing");
    expect(own).toMatchObject({
      how: "every 6 months",
      state: "not-yet",
      due: "in about 6 months",
    });
    const nameless = await filled(own!.id, { name: "" });
    expect((await changeJob(HOME, own!.id, nothingSent, nameless)).errors).toHaveProperty("name");
    await expect(landing(addJob(HOME, { unitId: "none" }, nothingSent, form))).resolves.toBe("/");
  });

  it("names the place it is for", async () => {
    expect((await placeNameOf(HOME, { unitId: undefined, partId: undefined }))!.name).toBe(
      "The whole home",
    );
    expect((await placeNameOf(HOME, { unitId: "dryer", partId: undefined }))!.name).toBe(
      "Scullery dryer vent",
    );
    expect(await placeNameOf(HOME, { unitId: undefined, partId: "none" })).toBeNull();
  });
});

describe("the strategies of a filter", () => {
  const choose = (fields: Record<string, string>) =>
    formOf({ school: "wear", n: "90", unit: "day", lookEvery: "30", ...fields });

  it("stand side by side, wear governing until somebody decides otherwise", async () => {
    const { cards, values, hasLearnt } = (await strategiesOf(HOME, "cellar-filter"))!;
    expect(cards.map(({ strategy, governs, says }) => [strategy, governs, says])).toEqual([
      ["wear", true, "Mon 16 Mar"],
      ["look", false, "look by Sun 22 Mar"],
      ["calendar", false, "Mon 6 Apr"],
    ]);
    expect(cards[2]!.why).toBe(
      "Every 45 days while it heats, or every 45 days while it cools, or every 3 months, from 20 Feb.",
    );
    expect([values["school"], hasLearnt]).toEqual([["wear"], true]);
    expect(await strategiesOf(HOME, "nothing")).toBeNull();
  });

  it("show how the dates would move, then move them, and go back", async () => {
    const calendar = choose({ school: "calendar", n: "2", unit: "month" });
    expect(await previewStrategy(HOME, FILTER, calendar)).toMatchObject({
      due: "in about 5 weeks",
      moved: "5 weeks later than now",
    });
    await landing(chooseStrategy(HOME, FILTER, nothingSent, calendar));
    const after = (await strategiesOf(HOME, "cellar-filter"))!;
    expect(after.cards.find((card) => card.governs)).toMatchObject({
      strategy: "calendar",
      says: "Mon 20 Apr",
    });
    // Left empty it is what the card says: usual for such a filter.
    await landing(chooseStrategy(HOME, FILTER, nothingSent, choose({ school: "calendar", n: "" })));
    const usual = (await strategiesOf(HOME, "cellar-filter"))!;
    expect(usual.cards.find((card) => card.governs)).toMatchObject({
      strategy: "calendar",
      says: "Mon 6 Apr",
    });
    expect(usual.values["n"]).toEqual([""]);
    const looks = choose({ school: "look", lookEvery: "14" });
    expect(await previewStrategy(HOME, FILTER, looks)).toMatchObject({
      due: "",
      look: "6 days over",
    });
    await landing(chooseStrategy(HOME, FILTER, nothingSent, choose({})));
    expect(
      (await snapshot()).tasks.find((task) => task.partId === "cellar-filter")!.changes,
    ).toEqual({});
    const bad = choose({ school: "look", lookEvery: "0" });
    expect((await chooseStrategy(HOME, FILTER, nothingSent, bad)).errors).toHaveProperty(
      "lookEvery",
    );
  });

  it("take the look of today as the reason to change where one looks first", async () => {
    const look = async () =>
      (await strategiesOf(HOME, "kiln-filter"))!.cards.find(({ strategy }) => strategy === "look")!;
    expect((await look()).why).toContain("Not looked at yet.");
    await demo.store.write((tx) =>
      appendEvent(tx, HOME, {
        ...{ id: "seen", kind: "look", unitId: "kiln-furnace", partId: "kiln-filter" },
        date: plainDate("2026-03-14"),
        recordedAt: "2026-03-14T08:40:00.000Z",
        look: { grade: "loaded" },
      }),
    );
    expect(await look()).toMatchObject({
      says: "change it now",
      why: "Last look 14 Mar, loaded. Changed at the first look at grey or worse.",
    });
  });
});
