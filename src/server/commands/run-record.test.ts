import { procedure } from "@/content/procedures/library";
import type { RunEvent } from "@/core/runs/run-event";
import { HistoryRecord } from "@/core/history/history-record";
import { isolatorOf } from "@/core/inventory/inventory";
import type { Store } from "@/db/client";
import { listEventsOfPart, listEventsOfRun } from "@/db/repositories/history";
import { readHome } from "@/server/snapshots/read-home";
import { listSlots, updateSlot } from "@/db/repositories/parts";
import {
  findLastRun,
  findRun,
  insertRun,
  jobOfRun,
  listEndEntries,
  listOpenRuns,
  listRunEvents,
} from "@/db/repositories/runs";
import { ensureTask } from "@/db/repositories/tasks";
import { usualVariant } from "@/core/runs/procedure";
import { RENEW } from "@/core/scheduling/task";
import { event, walk } from "../../../tests/run-events";
import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { factsOf } from "@/core/runs/place-facts";
import { recordInRun, recordRunEvents } from "./run-record";
import { readRun } from "@/server/snapshots/read-runs";
import { endsOfHome } from "@/core/runs/home-ends";
import { postRunEvents } from "@/features/runs/record/run-api";
import { thereAndBack } from "@/features/runs/way/there-and-back";

jest.setTimeout(60_000);

const HOME = "sluice-house";
const NOW = new Date("2026-03-14T12:00:00Z");
let demo: DemoStore;
let store: Store;
let count = 0;

beforeAll(async () => {
  demo = await actOnDemo();
  store = demo.store;
});
afterAll(() => demo.discard());
// What one test leaves open at a machine would keep its power off in the next.
afterEach(async () => {
  await store.client.execute("UPDATE runs SET ended_at = '2026-03-14T12:00:00.000Z'");
  await store.client.execute("DELETE FROM loose_end_entries");
});

/** A run begun at a part, at a unit, or, with neither, through the house. */
async function begin(
  procedureId: string,
  place: { partId?: string; unitId?: string },
  key = RENEW,
  variant?: string,
): Promise<string> {
  const { snapshot: book } = (await readHome(store.db, HOME))!;
  const slot = book.slots.find(({ id }) => id === place.partId);
  const part = slot ?? book.parts.find(({ id }) => id === place.partId);
  const unit = book.units.find(({ id }) => id === (place.unitId ?? part?.unitId));
  const job = procedure(procedureId)!;
  const runId = `run-${++count}`;
  await store.write(async (tx) => {
    const at = { ...(unit ? { unitId: unit.id } : {}), ...(part ? { partId: part.id } : {}) };
    const task = { id: `${runId}-task`, key, changes: {}, ...at };
    return insertRun(tx, {
      id: runId,
      homeId: HOME,
      unitId: unit?.id ?? null,
      partId: part?.id ?? null,
      taskId: await ensureTask(tx, HOME, task, NOW.toISOString()),
      procedureId,
      procedure: job,
      facts: factsOf({ ...book, slots: [] }, { unit, slot }),
      variant: variant ?? usualVariant(job),
      qualification: "owner",
      isolator: unit ? isolatorOf(unit) : "switch-off",
      parked: [],
      inRound: null,
      together: [],
      startedAt: "2026-03-14T09:00:00.000Z",
      endedAt: null,
    });
  });
  return runId;
}
const change = (partId = "cellar-filter") => begin("change-panel-filter", { partId });
const jobAt = async (runId: string) => jobOfRun((await findRun(store.db, runId))!);
const record = (runId: string, events: RunEvent[], now = NOW) =>
  recordRunEvents(runId, events, now);
const finished = (more: object = {}) => event({ kind: "finished", ...more });
const historyOf = async (partId: string) =>
  new HistoryRecord(await listEventsOfPart(store.db, partId)).counted;
const ofRun = async (runId: string) =>
  new HistoryRecord(await listEventsOfRun(store.db, runId)).counted;

describe("what a device sends", () => {
  it("is kept in order, once, however often it comes", async () => {
    const runId = await change();
    const events = walk(await jobAt(runId), { until: "old-one-out" });
    await record(runId, events.slice(0, 2));
    await record(runId, events);
    await record(runId, [events[0]!]);
    expect(await listRunEvents(store.db, runId)).toEqual(events);
  });

  it("is refused where the rules forbid it, and the rest is kept", async () => {
    const runId = await change();
    const [first, second] = walk(await jobAt(runId), { until: "open-slot" });
    const ahead = event({ kind: "done", step: "power-on" });
    const recorded = await record(runId, [first!, ahead, second!]);
    expect(recorded).toMatchObject({
      kind: "recorded",
      refused: [{ id: ahead.id, why: "not-the-step" }],
    });
    expect((await listRunEvents(store.db, runId)).map(({ id }) => id)).toEqual([
      first!.id,
      second!.id,
    ]);
  });

  it("is refused under the name of something else, of this run or another; its time alone may differ", async () => {
    const [runId, other] = [await change(), await change()];
    const [first, second] = walk(await jobAt(runId), { until: "open-slot" });
    const note = event({ kind: "note", step: "look", words: "as it was" });
    await record(runId, [first!, note]);
    const renamed: RunEvent = { ...second!, id: first!.id };
    const reworded = { ...note, words: "something else" } as RunEvent;
    const later = { ...note, at: "2026-03-14T08:59:59.000Z" };
    expect(await record(runId, [renamed, reworded, later, second!])).toMatchObject({
      refused: [renamed, reworded].map(({ id }) => ({ id, why: "conflict" })),
    });
    expect(await listRunEvents(store.db, runId)).toEqual([first, note, second]);
    expect(await record(other, [{ ...note, words: "there" } as RunEvent, note])).toMatchObject({
      refused: [note, note].map(({ id }) => ({ id, why: "conflict" })),
    });
    expect(await listRunEvents(store.db, other)).toEqual([]);
    // Twice in one sending, too.
    const twice = event({ kind: "note", step: "look", words: "one" });
    const told = await record(other, [twice, { ...twice, words: "two" } as RunEvent, twice]);
    expect(told).toMatchObject({ refused: [{ id: twice.id, why: "conflict" }] });
    expect(await listRunEvents(store.db, other)).toEqual([twice]);
  });

  it("that a write took back is not remembered, though it was read inside that write", async () => {
    const runId = await change();
    const [first, second] = walk(await jobAt(runId), { until: "open-slot" });
    await record(runId, [first!]);
    const before = (await readRun(store.db, runId))!;
    await expect(
      store.write(async (tx) => {
        await recordInRun(tx, runId, [second!], NOW);
        expect((await readRun(tx, runId))!.events).toEqual([first, second]);
        throw new Error("taken back");
      }),
    ).rejects.toThrow("taken back");
    const after = (await readRun(store.db, runId))!;
    expect([after.events, after.state]).toEqual([before.events, before.state]);
    const note = event({ kind: "note", step: "look", words: "instead" });
    await record(runId, [note]);
    expect((await readRun(store.db, runId))!.events).toEqual([first, note]);
  });

  it("is judged each for itself: a clock a day ahead keeps its own, the rest is taken", async () => {
    const runId = await change();
    const [first] = walk(await jobAt(runId), { until: "check-new" });
    const ahead = event({
      kind: "note",
      step: "look",
      words: "tomorrow",
      at: "2026-03-16T09:00:00Z",
    });
    const recorded = await record(runId, [ahead, first!]);
    expect(recorded).toMatchObject({ refused: [{ id: ahead.id, why: "clock-off" }] });
    expect((await listRunEvents(store.db, runId)).map(({ id }) => id)).toEqual([first!.id]);
    // Its clock set, the device sends it again, and it counts.
    const set = await record(runId, [{ ...ahead, at: NOW.toISOString() }]);
    expect(set).toMatchObject({ refused: [] });
    expect(await record("no-run", [first!])).toEqual({ kind: "unknown-run" });
  });

  it("comes in batches of any length, and what cannot be read is named and holds nothing up", async () => {
    const runId = await change();
    const notes = Array.from({ length: 450 }, (_, i) =>
      event({ kind: "note", step: "look", words: `note ${i}` }),
    );
    const odd = { ...notes[0], id: "odd-event-1", kind: "sung" };
    process.env["AMBER_DB"] = demo.file;
    process.env["AMBER_CLOCK"] = NOW.toISOString();
    const request = new Request("http://127.0.0.1/", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ events: [notes[0], odd, ...notes.slice(1)] }),
    });
    const answer = (await (await postRunEvents(runId, request)).json()) as {
      refused: unknown[];
      events: unknown[];
    };
    expect(answer.refused).toEqual([{ id: "odd-event-1", why: "unreadable" }]);
    expect(answer.events).toHaveLength(450);
  });

  it("names a place of no home, and the run goes on", async () => {
    const runId = await begin("walk-round", {}, "walk");
    const far = event({
      kind: "done",
      step: "co-alarms",
      round: 0,
      alarms: [{ place: "somebody-elses", state: "tested" }],
    });
    expect(await record(runId, [far])).toMatchObject({
      refused: [{ id: far.id, why: "unknown-place" }],
      state: { current: { id: "co-alarms" } },
    });
  });

  it("from many devices at once leaves each event once and the run where the steps say", async () => {
    const runId = await change();
    const job = await jobAt(runId);
    // Six devices do the same four steps, each under names of its own.
    await Promise.all(Array.from({ length: 6 }, () => record(runId, walk(job, { until: "look" }))));
    const { state, events } = (await readRun(store.db, runId))!;
    expect(state.completed.map(({ step }) => step.id)).toEqual([
      "new-one-at-hand",
      "check-new",
      "power-off",
      "open-slot",
      "old-one-out",
    ]);
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
    const way = thereAndBack(state);
    expect(way.rungs.map((rung) => [rung.thing, rung.opened, rung.closed])).toEqual([
      ["power", true, false],
      ["cover", true, false],
      ["filter", true, false],
      ["thermostat", false, false],
    ]);
    expect(way.leg).toBe("down");
  });

  it("two devices by turns lose and double nothing: a note of each, each step once", async () => {
    const runId = await change("kiln-filter");
    const job = await jobAt(runId);
    let known: RunEvent[] = [];
    for (let turn = 0; turn < 30; turn++) {
      const mine = walk(job, { from: known }).slice(known.length, known.length + 1);
      const late = walk(job, { from: known.slice(0, -1) }).slice(known.length - 1, known.length);
      const note = event({ kind: "note", step: "look", words: `turn ${turn}` });
      // One is a step behind and sends at the same time.
      const [a] = await Promise.all([record(runId, [...mine, note]), record(runId, late)]);
      if (a.kind !== "recorded") throw new Error("not recorded");
      known = await listRunEvents(store.db, runId);
    }
    const { state } = (await readRun(store.db, runId))!;
    expect(state.current).toBeNull();
    expect(state.notes).toHaveLength(30);
    const ids = state.completed.map(({ step }) => step.id);
    expect(new Set(ids).size).toBe(ids.length);
    await record(runId, [event({ kind: "finished" })]);
    expect((await ofRun(runId)).map(({ kind }) => kind)).toEqual(["look", "fitted"]);
  });
});

describe("a finish", () => {
  it("writes the look at the old filter, then the new one with its cost, and nothing twice", async () => {
    const runId = await change("gallery-bank");
    const before = await historyOf("gallery-bank");
    const job = await jobAt(runId);
    await record(runId, walk(job, { seen: { look: { grade: "blocked" } } }));
    const end = finished({ minutes: 12, costMinor: 4200, used: ["the new filter"] });
    await Promise.all([record(runId, [end]), record(runId, [end])]);
    const [look, fitted, ...rest] = (await historyOf("gallery-bank")).slice(before.length);
    expect(rest).toEqual([]);
    const oldItem = before.findLast(({ itemId }) => itemId)!.itemId;
    expect(look).toMatchObject({
      kind: "look",
      date: "2026-03-14",
      itemId: oldItem,
      look: { grade: "blocked" },
      runId,
    });
    expect(fitted).toMatchObject({ kind: "fitted", costMinor: 4200, minutes: 12, runId });
    expect(fitted!.itemId).not.toBe(oldItem);
    expect((await findRun(store.db, runId))!.endedAt).toBe(NOW.toISOString());
    expect((await listOpenRuns(store.db, HOME)).map(({ id }) => id)).not.toContain(runId);
  });

  it("taken back leaves nothing of it, and the run goes on; finished again it counts once", async () => {
    const runId = await change("kiln-filter");
    const before = await historyOf("kiln-filter");
    await record(runId, [...walk(await jobAt(runId)), finished()]);
    expect(await historyOf("kiln-filter")).toHaveLength(before.length + 2);
    await record(runId, [event({ kind: "undone" })], new Date(NOW.getTime() + 9000));
    expect(await historyOf("kiln-filter")).toEqual(before);
    expect((await findRun(store.db, runId))!.endedAt).toBeNull();
    await record(runId, [finished({ minutes: 7 })]);
    const after = (await historyOf("kiln-filter")).slice(before.length);
    expect(after.map(({ kind, minutes }) => [kind, minutes])).toEqual([
      ["look", undefined],
      ["fitted", 7],
    ]);
  });

  it("is not taken back a minute later: then entries are corrected", async () => {
    const runId = await change("kiln-filter");
    await record(runId, [...walk(await jobAt(runId)), finished()]);
    const undone = event({ kind: "undone" });
    const late = await record(runId, [undone], new Date(NOW.getTime() + 60_000));
    expect(late).toMatchObject({ refused: [{ id: undone.id, why: "too-late" }] });
    expect(await ofRun(runId)).toHaveLength(2);
  });

  it("carries what stays open past the run, with its words and its name; taken back it is the run's again", async () => {
    const runId = await change("gallery-bank");
    const words = "the four new ones are too deep";
    const leave = (step: string) => event({ kind: "leave-open", step, words });
    const job = await jobAt(runId);
    const out = [...walk(job, { until: "new-one-in" }), leave("new-one-in")];
    const shut = [...walk(job, { from: out, until: "power-on" }), leave("power-on")];
    await record(runId, [...walk(job, { from: shut }), finished()]);
    expect((await ofRun(runId)).map(({ kind }) => kind)).toEqual(["look"]);
    const left = (await listEndEntries(store.db, HOME)).filter((entry) => entry.runId === runId);
    // The gallery's isolator is a disconnect.
    expect(left.map(({ end, action, label, words: said }) => [end, action, label, said])).toEqual([
      [
        ...["disconnect-out", "open", "power off"],
        `${words}. Once it is back: call for air, and hear it start`,
      ],
      ["part-out", "open", "filter out", words],
    ]);
    await record(runId, [event({ kind: "undone" })]);
    const log = (await listEndEntries(store.db, HOME)).filter((entry) => entry.runId === runId);
    expect(log.map(({ action }) => action)).toEqual(["open", "open", "close", "close"]);
    // Neither list is at odds with the other: the home opens, and each end stands in it once.
    const run = (await readRun(store.db, runId))!;
    const ends = endsOfHome(NOW.toISOString(), await listEndEntries(store.db, HOME), [run]);
    expect(ends.open.filter(({ runId: of }) => of === runId).map(({ end }) => end)).toEqual([
      "disconnect-out",
      "part-out",
    ]);
  });

  it("is not had before the last step, and given up leaves no trace", async () => {
    const runId = await change();
    const before = await historyOf("cellar-filter");
    const early = await record(runId, [finished()]);
    expect(early).toMatchObject({ refused: [{ why: "steps-left" }] });
    const first = event({ kind: "done", step: "new-one-at-hand" });
    await record(runId, [first, event({ kind: "stopped" })]);
    expect(await historyOf("cellar-filter")).toEqual(before);
    expect((await findRun(store.db, runId))!.endedAt).not.toBeNull();
  });

  it("of a job put off says why and until when, and renews nothing", async () => {
    const runId = await change("gallery-bank");
    const job = await jobAt(runId);
    const aborted = event({
      kind: "turned-back",
      step: "new-one-in",
      reason: "wrong-size",
      words: "it is an inch too deep",
      until: "2026-03-21",
    });
    const back = walk(job, { from: [...walk(job, { until: "new-one-in" }), aborted] });
    await record(runId, [...back, finished()]);
    expect(
      (await ofRun(runId)).map(({ kind, words, until, taskKey }) => [kind, words, until, taskKey]),
    ).toEqual([
      ["look", undefined, undefined, undefined],
      ["put-off", "it is an inch too deep", "2026-03-21", "renew"],
    ]);
    const last = await findLastRun(store.db, {
      homeId: HOME,
      unitId: "gallery",
      partId: "gallery-bank",
      taskKey: "renew",
    });
    expect(last?.id).toBe(runId);
  });

  it("keeps the size of a slot that was measured on the way", async () => {
    const was = (await listSlots(store.db, HOME)).find(({ id }) => id === "kiln-filter")!;
    const runId = await begin("change-panel-filter", { partId: "kiln-filter" });
    const job = await jobAt(runId);
    const withSize = {
      ...job,
      setting: { ...job.setting, facts: [...job.setting.facts, "size-unknown" as const] },
    };
    const events = walk(withSize, {
      seen: { "measure-slot": { size: { opening: "20 1/8 x 25 1/8 x 1 1/8", buy: "19x25x1" } } },
    });
    await store.client.execute({
      sql: "UPDATE runs SET facts = ? WHERE id = ?",
      args: [JSON.stringify(withSize.setting.facts), runId],
    });
    await record(runId, [...events, finished()]);
    const slot = (await listSlots(store.db, HOME)).find(({ id }) => id === "kiln-filter")!;
    expect(slot.opening).toMatchObject({ text: "20 1/8 x 25 1/8 x 1 1/8" });
    expect(slot.nominal).toMatchObject({ text: "19x25x1", unit: "in" });
    // Taken back it is as it was before.
    const before = (await ofRun(runId)).length;
    expect(before).toBeGreaterThan(0);
    await record(runId, [event({ kind: "undone" })], new Date(NOW.getTime() + 9000));
    const back = (await listSlots(store.db, HOME)).find(({ id }) => id === "kiln-filter")!;
    expect(back).toEqual(was);
  });

  it("keeps the way of the air once it was found, and takes back only what nobody wrote since", async () => {
    const of = async () =>
      (await listSlots(store.db, HOME)).find(({ id }) => id === "kiln-filter")!;
    await store.write(async (tx) => updateSlot(tx, { ...(await of()), direction: "unknown" }));
    const runId = await change("kiln-filter");
    const job = await jobAt(runId);
    expect(job.setting.facts.some((fact) => fact.startsWith("direction"))).toBe(true);
    const seen = { direction: "up" as const };
    const events = walk(job, { seen: { "find-direction": seen, "find-blower": seen } });
    await record(runId, [...events, finished()]);
    expect((await of()).direction).toBe("up");
    await store.write(async (tx) => updateSlot(tx, { ...(await of()), direction: "down" }));
    await record(runId, [event({ kind: "undone" })], new Date(NOW.getTime() + 9000));
    expect((await of()).direction).toBe("down");
  });
});

describe("what was seen", () => {
  it("at a part is a reading of it, and the job is done with its rounds told", async () => {
    const partId = "cellar-furnace-condensate-line";
    const runId = await begin("flush-condensate-line", { partId }, "flush");
    const job = await jobAt(runId);
    const once = walk(job, { until: "watch-it-run" });
    const cloudy = event({
      kind: "done",
      step: "watch-it-run",
      round: 0,
      reading: { value: "cloudy" },
    });
    const note = event({ kind: "note", step: "brush", words: "the brush is too short" });
    const all = walk(job, { from: [...once, cloudy, note] });
    await record(runId, [...all, finished({ minutes: 25 })]);
    const [drain, done] = await ofRun(runId);
    expect(drain).toMatchObject({
      kind: "reading",
      partId,
      reading: { kind: "drain", value: "clear" },
    });
    expect(done).toMatchObject({ kind: "done", partId, taskKey: "flush", minutes: 25 });
    expect(done!.words).toBe("the brush is too short; 2 rounds until it was clear");
  });

  it("on a walk through the house belongs to what it was seen at; silence is no reading", async () => {
    const runId = await begin("walk-round", {}, "walk");
    await store.client.execute({
      sql: "UPDATE runs SET facts = ? WHERE id = ?",
      args: [JSON.stringify(["has-filters"]), runId],
    });
    const job = await jobAt(runId);
    const events = walk(job, {
      seen: {
        "co-alarms": {
          alarms: [
            { place: "alarm-upper", state: "tested" },
            { place: "alarm-cellar", state: "tested", ppm: 0 },
          ],
        },
        "which-filter": { place: "kiln-filter", unit: "kiln-furnace" },
        "how-look": { choice: "through" },
        "filter-look": { grade: "grey" },
        listen: {
          each: [
            { place: "kiln-furnace", value: "rattle" },
            { place: "cellar-furnace", value: "quiet" },
          ],
        },
      },
    });
    await record(runId, [...events, finished()]);
    const entries = await ofRun(runId);
    const read = (kind: string) =>
      entries.flatMap(({ reading, unitId }) =>
        reading?.kind === kind ? [[unitId, reading.value]] : [],
      );
    expect(read("co-ppm")).toEqual([["alarm-cellar", 0]]);
    expect(read("noise")).toEqual([
      ["kiln-furnace", "rattle"],
      ["cellar-furnace", "quiet"],
    ]);
    expect(entries.find(({ kind }) => kind === "look")).toMatchObject({
      partId: "kiln-filter",
      unitId: "kiln-furnace",
    });
    expect(entries.at(-1)).toMatchObject({ kind: "done", taskKey: "walk" });
    expect(entries.at(-1)!.unitId).toBeUndefined();
  });

  it("and means stop is on record at once, though nobody comes back to finish", async () => {
    const partId = "cellar-furnace-flame-sensor";
    const runId = await begin("polish-flame-sensor", { partId }, "polish");
    const job = await jobAt(runId);
    const events = walk(job, { seen: { "test-start": { reading: { value: "sooting" } } } });
    await record(runId, events);
    expect((await ofRun(runId)).map(({ kind, reading }) => [kind, reading?.value])).toEqual([
      ["reading", "sooting"],
    ]);
    const safe = event({ kind: "made-safe", words: "burners cleaned by the technician" });
    await record(runId, [safe, event({ kind: "done", step: "set-back" }), finished()]);
    const kinds = (await ofRun(runId)).map(({ kind }) => kind);
    expect(kinds.sort()).toEqual(["done", "reading"]);
  });
});

describe("a run of before", () => {
  it("keeps the procedure it began with, and its two facts by name", async () => {
    const runId = await change();
    await store.client.execute({
      sql: "UPDATE runs SET facts = ? WHERE id = ?",
      args: ['{"directionKnown":false,"indicator":true}', runId],
    });
    const { state } = (await readRun(store.db, runId))!;
    const ids = state.steps.map(({ id }) => id);
    expect(ids).toContain("find-direction");
    expect(ids.at(-1)).toBe("reset-light");
  });
});
