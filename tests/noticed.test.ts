import { plainDate } from "@/core/quantities/plain-date";
import { HOUSEHOLD } from "@/core/visits/visit";
import { saveMoney } from "@/features/money/money-actions";
import { costsOf, diyFactsOf } from "@/features/money/money-queries";
import { saveBreakdown } from "@/features/records/breakdowns/breakdown-actions";
import {
  breakdownOf,
  breakdownsOf,
  newBreakdownOf,
} from "@/features/records/breakdowns/breakdown-queries";
import { noteReading } from "@/features/records/readings/readings-actions";
import { noteGone, noteNoticed, noteSeenTo } from "@/features/records/noticed/noticed-actions";
import { todayOf } from "@/features/today/today-queries";
import { briefOf, briefText } from "@/features/visits/brief";
import { planPageOf, visitOf } from "@/features/visits/visit-queries";
import { COMMAND_ID } from "@/lib/forms";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { actOnDemo, formOf, landing, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";

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

const home = async () => (await demo.read(HOME)).snapshot;
const notice = (sign: string, unitId = "", fields: Record<string, string> = {}) =>
  noteNoticed(HOME, nothingSent, formOf({ sign, unitId, date: today, words: "", ...fields }));
const gone = (eventId: string) => landing(noteGone(HOME, eventId, crypto.randomUUID()));
const jobs = async () => scheduleNow(await home(), today);
const job = async (id: string) => (await jobs()).find(({ task }) => task.id === id)!;

describe("something noticed", () => {
  it("is kept in the householder’s words and ours, and brings a look forward", async () => {
    const before = await job("cellar-filter.look");
    const to = await landing(notice("air:weak", "cellar-furnace", { words: "upstairs only" }));
    expect(to).toMatch(/^\/homes\/sluice-house\/units\/cellar-furnace\?noted=/);
    const event = (await home()).history.noticed.at(-1)!;
    expect(event).toMatchObject({
      ...{ kind: "noticed", sign: "air:weak", unitId: "cellar-furnace", words: "upstairs only" },
    });
    expect(before.called).toBeNull();
    expect(await job("cellar-filter.look")).toMatchObject({ due: today, state: "due" });
    // Seen on Today, with the way to say that it has gone.
    const watch = (await todayOf(HOME))!.watch.find(({ gone: id }) => id === event.id);
    expect(watch).toMatchObject({ verdict: "watch", unitId: "cellar-furnace" });
    expect(watch?.words).toBe("Cellar furnace: the air is weak, noticed 14 Mar.");
    await gone(event.id);
    expect((await job("cellar-filter.look")).called).toBeNull();
    expect((await todayOf(HOME))!.watch.some(({ gone: id }) => id === event.id)).toBe(false);
  });

  it("stops where safety says so: what smells burnt is left off until it was seen to", async () => {
    await landing(notice("smell:burning", "cellar-furnace"));
    const [worst] = (await todayOf(HOME))!.watch;
    expect(worst).toMatchObject({
      verdict: "stop",
      unitId: "cellar-furnace",
      now: "Switch it off where it is, and leave it off.",
    });
    expect(await job("cellar-furnace.visit")).toMatchObject({ due: today });
    const isStopped = async () =>
      (await todayOf(HOME))!.watch.some(({ verdict }) => verdict === "stop");
    // No press lets it go, nor a better smell the next hour: somebody says who saw to it, and what was found.
    expect(worst!.gone).toBeUndefined();
    expect(await gone(worst!.stop!)).toBe(`/homes/${HOME}/stops/${worst!.stop}`);
    const reading = { place: "cellar-furnace", kind: "smell", word: "none", date: today };
    await landing(noteReading(HOME, nothingSent, formOf(reading)));
    expect([await isStopped(), await job("cellar-furnace.visit")]).toMatchObject([
      true,
      { due: today },
    ]);
    const seenTo = (fields: Record<string, string>) =>
      noteSeenTo(HOME, worst!.stop!, nothingSent, formOf({ date: today, ...fields }));
    expect(Object.keys((await seenTo({ by: "", found: "" })).errors)).toEqual(["by", "found"]);
    expect((await seenTo({ by: "Tarn", found: "x", date: "2026-03-13" })).errors).toHaveProperty(
      "date",
    );
    expect(await isStopped()).toBe(true);
    await landing(seenTo({ by: "Tarn", found: "a belt that slipped, replaced" }));
    expect(await isStopped()).toBe(false);
    // All of it stays in the record, by whom and with what.
    expect((await home()).history.noticed.slice(-2)).toMatchObject([
      { sign: "smell:burning" },
      {
        sign: "smell:none",
        seenBy: "Tarn",
        words: "Seen to by Tarn: a belt that slipped, replaced",
      },
    ]);
  });

  it("of gas leads out of the house, wherever it smells", async () => {
    expect(await landing(notice("smell:gas"))).toBe("/emergency/sluice-house/gas");
    expect((await home()).history.noticed.at(-1)).toMatchObject({ sign: "smell:gas" });
  });

  it("of a light is of the filter that has it, which is due then", async () => {
    const lit = (await home()).slots.filter(({ indicator }) => indicator);
    const alone = lit.find(
      (slot) => lit.filter(({ unitId }) => unitId === slot.unitId).length === 1,
    );
    await landing(notice("light:on", (alone ?? lit[0]!).unitId));
    const event = (await home()).history.noticed.at(-1)!;
    expect(event).toMatchObject({ sign: "light:on", reading: { value: "on" } });
    expect(event.partId).toBe(alone?.id);
    const due = (await jobs()).filter(
      ({ task, due: on }) => task.unitId === event.unitId && task.key === "renew" && on === today,
    );
    expect(due.length).toBeGreaterThan(0);
  });

  it("of a machine asks which, and loses nothing", async () => {
    const refused = await notice("water:fresh", "", { words: "a puddle" });
    expect(refused.errors).toEqual({ unitId: "Choose the machine it is at." });
    expect(refused.values["words"]).toEqual(["a puddle"]);
    expect((await notice("tea", "boiler")).errors).toMatchObject({
      sign: "Choose what comes nearest.",
      unitId: "That machine is not there.",
    });
  });

  it("is written down once, however often it is sent", async () => {
    const count = async () => (await home()).history.noticed.length;
    const before = await count();
    const form = { sign: "room:cold", unitId: "", date: today, words: "" };
    for (let i = 0; i < 2; i++)
      await landing(noteNoticed(HOME, nothingSent, formOf({ ...form, [COMMAND_ID]: "once" })));
    expect(await count()).toBe(before + 1);
  });

  it("is told to the technician, and asked", async () => {
    await landing(notice("noise:squeal", "cellar-furnace", { words: "when cold" }));
    const text = briefText(briefOf((await visitOf(HOME, "visit-next", HOUSEHOLD))!));
    expect(text).toContain("Noticed: it squeals, since 14 Mar “when cold”");
    expect(text).toMatch(/4\.77 µF .*; before: .*; at this pace it leaves its limits between/);
    expect(text).toMatch(/PLEASE BRING\n- .*[Cc]apacitor/);
    expect((await planPageOf(HOME))!.asks[0]).toBe(
      "Cellar furnace: it squeals, since 14 Mar “when cold”. What is it?",
    );
  });
});

describe("a breakdown", () => {
  const stop = (fields: Record<string, string> = {}, eventId?: string) =>
    saveBreakdown(
      HOME,
      { unitId: "kiln-furnace", ...(eventId ? { eventId } : {}) },
      nothingSent,
      formOf({ date: today, words: "Cold shed.", ...fields }),
    );

  it("knows its weather and what stood that day: the forgotten filter on a bitter day", async () => {
    const page = (await breakdownOf(HOME, "kiln-stopped"))!;
    expect(page.stood[0]).toMatch(/^−20 °C that day, usually −8 °C$/);
    expect(page.stood.join("\n")).toMatch(
      /the filter was 1\d\d % full, \d+ (days|weeks|months) over/,
    );
    expect(page.jobs[0]!.label).toMatch(/\(was due by then\)$/);
    expect(page.values["prevented"]).toEqual(["kiln-filter.renew"]);
    const [row] = (await breakdownsOf(HOME))!.rows;
    expect(row).toMatchObject({
      ...{ unit: "Kiln-shed furnace", daysWithout: "2 days" },
      lesson: "Would have prevented it: change the filter.",
    });
  });

  it("brings forward the job that follows, and can be added to later", async () => {
    const to = await landing(stop({ follows: "kiln-furnace-belt.look" }));
    expect(to).toMatch(/units\/kiln-furnace\?noted=/);
    expect(await job("kiln-furnace-belt.look")).toMatchObject({ due: today });
    const { id } = (await home()).history.ofKind("breakdown").at(-1)!;
    await landing(stop({ found: "Belt slack", cost: "120", daysWithout: "1" }, id));
    const [latest, ...others] = (await home()).history.ofKind("breakdown").toReversed();
    expect(latest).toMatchObject({
      ...{ corrects: id, costMinor: 12000, words: "Cold shed." },
      breakdown: { found: "Belt slack", daysWithout: 1 },
    });
    expect(others.map((each) => each.id)).not.toContain(id);
  });

  it("says at its field what is wrong", async () => {
    const refused = await stop({
      ...{ words: "", cost: "cheap", daysWithout: "-1" },
      ...{ prevented: "otherwise", follows: "cellar-filter.renew", date: "2030-01-01" },
    });
    expect(Object.keys(refused.errors).sort()).toEqual([
      ...["cost", "date", "daysWithout", "follows", "preventedWords", "words"],
    ]);
  });

  it("is of machines that are there", async () => {
    expect(await newBreakdownOf(HOME, "boiler", "")).toBeNull();
    const sent = saveBreakdown(HOME, { unitId: "boiler" }, nothingSent, formOf({}));
    expect(await landing(sent)).toBe("/homes/sluice-house/house");
  });
});

describe("money", () => {
  it("knows of a job what it takes, how often, and who may do it", async () => {
    expect(await diyFactsOf(HOME, "kiln-filter.renew")).toMatchObject({
      ...{ materialsMinor: 890, hourMinor: 2000, isLicensed: false },
    });
    expect((await diyFactsOf(HOME, "cellar-furnace.visit"))?.isLicensed).toBe(true);
    expect(await diyFactsOf(HOME, "nothing")).toBeNull();
  });

  it("keeps what a machine cost and a new one would, and what an hour is worth", async () => {
    const send = (fields: Record<string, string>) =>
      saveMoney(HOME, "kiln-furnace", nothingSent, formOf(fields));
    await landing(send({ purchase: "3200", replacement: "4100,50", hour: "30" }));
    const page = (await costsOf(HOME, "kiln-furnace"))!;
    expect(page.unit).toMatchObject({ purchaseMinor: 320000, replacementMinor: 410050 });
    expect(page.home.hourMinor).toBe(3000);
    // The visit of the bitter day is a repair of that year, and the machine stood still for two days.
    expect(page.years.find(({ year }) => year === 2025)).toMatchObject({
      ...{ repairs: 19500, breakdowns: 1, daysWithout: 2 },
    });
    await landing(send({ purchase: "", replacement: "", hour: "" }));
    const emptied = (await costsOf(HOME, "kiln-furnace"))!;
    expect(emptied.unit.purchaseMinor).toBeUndefined();
    expect(emptied.home.hourMinor).toBeUndefined();
    expect((await send({ purchase: "dear" })).errors["purchase"]).toMatch(/amount in EUR/);
  });
});
