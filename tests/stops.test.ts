import { stopsByUnit } from "@/server/snapshots/stops";
import { endsOfHome } from "@/core/runs/home-ends";
import { plainDate } from "@/core/quantities/plain-date";
import { saveNumber } from "@/features/emergency/emergency-actions";
import { emergencySheetOf } from "@/features/emergency/emergency-queries";
import { noteNoticed } from "@/features/records/noticed/noticed-actions";
import { found as foundBy } from "@/features/search/find-queries";
import { todayOf } from "@/features/today/today-queries";
import { beginVisit, endVisit, saveFinding, savePlan } from "@/features/visits/visit-actions";
import { inHome } from "@/server/commands/home-command";
import { closeEnd } from "@/server/commands/runs";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { actOnDemo, formOf, landing, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(60_000);

const HOME = "sluice-house";
const FURNACE = "kiln-furnace";
const today = plainDate("2026-03-14");
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const home = () => demo.read(HOME);
const stops = async () => stopsByUnit((await home()).snapshot, today);
const openAt = async (unit: string) => {
  const { going, recordedEnds } = await home();
  return endsOfHome(`${today}T12:00:00Z`, recordedEnds, going).open.filter(
    (end) => end.unit === unit,
  );
};
const planned = async (reason: string) => {
  const facts = { reason, unit: [FURNACE], contactId: "sluice-technician" };
  return (await landing(savePlan(HOME, null, nothingSent, formOf(facts)))).split("/").at(-1)!;
};
const found = (visitId: string, fields: Record<string, string>) =>
  saveFinding(HOME, { visitId, unitId: FURNACE, findingId: null }, nothingSent, formOf(fields));

describe("a heat exchanger found stained on a visit", () => {
  const stain = { words: "Hairline stain on the heat exchanger" };

  it("is neither watched until a day nor declined", async () => {
    const id = await planned("half-yearly");
    for (const decision of ["watch", "declined"]) {
      const answer = await found(id, { ...stain, decision, until: "2026-12-01" });
      expect(answer.errors).toMatchObject({
        decision: expect.stringContaining("stays off until it was tested"),
      });
    }
    expect((await stops()).get(FURNACE)).toBeUndefined();
  });

  it("is a stop: on record, called for now, its power left off, its test due", async () => {
    const id = await planned("half-yearly");
    await landing(found(id, { ...stain, decision: "open", staysOff: "yes" }));
    expect((await stops()).get(FURNACE)).toMatch(/^Heat exchanger: /);
    const [end, ...more] = await openAt(FURNACE);
    expect(more).toEqual([]);
    expect(end!.words).toContain("Off until the heat exchanger was tested.");
    const jobs = scheduleNow((await home()).snapshot, today);
    expect(jobs.find(({ task }) => task.id === `${FURNACE}-heat-exchanger.test`)).toMatchObject({
      due: today,
    });
    const watch = (await todayOf(HOME))!.watch.find(
      ({ unitId, verdict }) => unitId === FURNACE && verdict === "stop",
    )!;
    expect(watch.call?.phone).toMatch(/^\+99/);
    // No service to come sees to it: a visit is made for it.
    expect(watch.next!.words).toBe("Make a visit for it");
  });

  it("lets nobody switch it on again before somebody licensed has seen to it", async () => {
    const [end] = await openAt(FURNACE);
    const close = () =>
      inHome(HOME, async (open) => {
        await closeEnd(open, end!.id);
        return null;
      });
    await close();
    expect(await openAt(FURNACE)).toHaveLength(1);
    const visit = await planned("finding");
    await landing(beginVisit(HOME, visit));
    await landing(
      endVisit(
        HOME,
        visit,
        nothingSent,
        formOf({ verdict: "sound", signedBy: "N. N.", nothing: "yes", words: "Tested tight." }),
      ),
    );
    expect((await stops()).get(FURNACE)).toBeUndefined();
    await close();
    expect(await openAt(FURNACE)).toEqual([]);
  });
});

describe("what is noticed of no machine", () => {
  const notice = (fields: Record<string, string>) =>
    noteNoticed(HOME, nothingSent, formOf({ unitId: "", date: today, words: "", ...fields }));

  it("of a cold room asks which, keeps it, and brings a handful of jobs", async () => {
    // Not known is an answer.
    await landing(notice({ sign: "room:cold" }));
    expect((await home()).snapshot.history.noticed.at(-1)!.roomId).toBeUndefined();
    const { rooms } = (await home()).snapshot;
    await landing(notice({ sign: "room:cold", roomId: rooms[0]!.id }));
    const event = (await home()).snapshot.history.noticed.at(-1)!;
    expect(event.roomId).toBe(rooms[0]!.id);
    const called = scheduleNow((await home()).snapshot, today).filter(
      ({ called: call }) => call?.event.id === event.id,
    );
    expect(called.length).toBeGreaterThan(0);
    expect(called.length).toBeLessThanOrEqual(6);
  });

  it("of snow calls for both ends of a flue, today", async () => {
    await landing(notice({ sign: "weather:snow" }));
    const job = scheduleNow((await home()).snapshot, today).find(
      ({ task }) => task.id === "cellar-furnace-plastic-vent.snow",
    );
    expect(job).toMatchObject({ due: today, waits: null, task: { isSafety: true } });
  });
});

describe("an emergency", () => {
  it("has the home’s number, else a place to write it down, which is kept once", async () => {
    const before = (await emergencySheetOf(HOME, "fire"))!;
    expect(before.contacts).toEqual([]);
    const odd = await saveNumber(HOME, "fire", null, nothingSent, formOf({ phone: "soon" }));
    expect(odd.errors).toHaveProperty("phone");
    await landing(saveNumber(HOME, "fire", null, nothingSent, formOf({ phone: "+99 555 0110" })));
    for (const kind of ["fire", "shock", "co"])
      expect((await emergencySheetOf(HOME, kind))!.contacts[0]).toMatchObject({
        ...{ role: "emergency", phone: "+99 555 0110" },
      });
    expect((await emergencySheetOf(HOME, "gas"))!.contacts[0]!.role).toBe("gas");
    expect(await emergencySheetOf(HOME, "boredom")).toBeNull();
  });

  it.each(["carbon monoxide", "beeps", "smoke", "gas", "flood", "electric shock"])(
    "is what “%s” finds first",
    async (word) => {
      const [first] = await foundBy(HOME, word);
      expect(first!.href).toMatch(/^\/emergency\/sluice-house\//);
    },
  );
});
