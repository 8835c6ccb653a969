import type { RunEvent } from "@/core/procedures/run";
import { effectiveHistory } from "@/core/register/effective-history";
import { isolatorOf } from "@/core/register/register";
import type { Store } from "@/db/client";
import { listEventsOfPart } from "@/db/repositories/history";
import { RENEW } from "@/core/register/task";
import { ensureTask } from "@/db/repositories/tasks";
import { readHomeBook } from "@/db/repositories/home-book";
import {
  findRun,
  insertRun,
  listEndEntries,
  listOpenRuns,
  listRunEvents,
} from "@/db/repositories/runs";
import { openDemoStore, type DemoStore } from "../../../tests/demo-store";
import { recordRunEvents } from "./run-record";
import { readRun, stepsOf } from "./run-replay";
import { thereAndBack } from "./there-and-back";

jest.setTimeout(60_000);

const HOME = "sluice-house";
const NOW = new Date("2026-03-14T09:00:00Z");
let demo: DemoStore;
let store: Store;
let count = 0;

beforeAll(async () => {
  demo = await openDemoStore();
  store = demo.store;
});
afterAll(() => demo.discard());

const at = () => new Date(NOW.getTime() + ++count * 1000).toISOString();
const id = () => `event-${String(++count).padStart(6, "0")}`;
const done = (step: string): RunEvent => ({
  id: id(),
  at: at(),
  kind: "done",
  step,
  ...(step === "look" ? { grade: "blocked" as const } : {}),
});

async function begin(partId = "cellar-filter"): Promise<string> {
  const { book } = (await readHomeBook(store.db, HOME))!;
  const slot = book.slots.find((each) => each.id === partId)!;
  const unit = book.units.find((each) => each.id === slot.unitId)!;
  const runId = `run-${++count}`;
  await store.write(async (tx) => {
    const task = { id: `${partId}-task`, unitId: unit.id, partId, key: RENEW, changes: {} };
    return insertRun(tx, {
      id: runId,
      homeId: HOME,
      unitId: unit.id,
      partId,
      taskId: await ensureTask(tx, HOME, task, NOW.toISOString()),
      procedureId: "change-panel-filter",
      facts: { directionKnown: true, indicator: slot.indicator },
      isolator: isolatorOf(unit),
      startedAt: NOW.toISOString(),
      endedAt: null,
    });
  });
  return runId;
}
const record = (runId: string, events: RunEvent[]) => recordRunEvents(store, runId, events, NOW);
const allSteps = async (runId: string) =>
  stepsOf((await findRun(store.db, runId))!).map((step) => step.id);
const historyOf = async (partId: string) =>
  effectiveHistory(await listEventsOfPart(store.db, partId));

describe("what a device sends", () => {
  it("is kept in order, once, however often it comes", async () => {
    const runId = await begin();
    const events = ["new-one-at-hand", "power-off", "open-slot"].map(done);
    await record(runId, events.slice(0, 2));
    await record(runId, events);
    await record(runId, [events[0]!]);
    expect(await listRunEvents(store.db, runId)).toEqual(events);
  });

  it("is refused where the rules forbid it, and the rest is kept", async () => {
    const runId = await begin();
    const [first, ahead, second] = [done("new-one-at-hand"), done("power-on"), done("power-off")];
    const recorded = await record(runId, [first, ahead, second]);
    expect(recorded).toMatchObject({
      kind: "recorded",
      refused: [{ id: ahead.id, why: "not-the-step" }],
    });
    expect((await listRunEvents(store.db, runId)).map((event) => event.id)).toEqual([
      first.id,
      second.id,
    ]);
  });

  it("is not believed from a clock a day ahead, nor for a run nobody knows", async () => {
    const runId = await begin();
    const tomorrow = { ...done("new-one-at-hand"), at: "2026-03-16T09:00:00Z" };
    expect(await record(runId, [tomorrow])).toEqual({ kind: "clock-off" });
    expect(await record("no-run", [done("new-one-at-hand")])).toEqual({ kind: "unknown-run" });
    expect(await listRunEvents(store.db, runId)).toEqual([]);
  });

  it("from many devices at once leaves each event once and the run where the steps say", async () => {
    const runId = await begin();
    const steps = (await allSteps(runId)).slice(0, 4);
    await Promise.all(Array.from({ length: 6 }, () => record(runId, steps.map(done))));
    const { state, events } = (await readRun(store.db, runId))!;
    expect(state.settled.map((settled) => settled.step.id)).toEqual(steps);
    expect(new Set(events.map((event) => event.id)).size).toBe(events.length);
    const way = thereAndBack(stepsOf((await findRun(store.db, runId))!), state);
    expect(way.rungs.map((rung) => [rung.thing, rung.opened, rung.closed])).toEqual([
      ["power", true, false],
      ["cover", true, false],
      ["filter", true, false],
    ]);
    expect(way.leg).toBe("foot");
  });
});

describe("a finish", () => {
  it("writes the look at the old filter, then the new one with its cost, and nothing twice", async () => {
    const runId = await begin("kiln-filter");
    const before = await historyOf("kiln-filter");
    await record(runId, (await allSteps(runId)).map(done));
    const finished: RunEvent = { id: id(), at: at(), kind: "finished" };
    await Promise.all([record(runId, [finished]), record(runId, [finished])]);
    const [look, fitted, ...rest] = (await historyOf("kiln-filter")).slice(before.length);
    expect(rest).toEqual([]);
    const oldItem = before.findLast((event) => event.itemId)!.itemId;
    expect(look).toMatchObject({
      kind: "look",
      date: "2026-03-14",
      itemId: oldItem,
      look: { grade: "blocked" },
      runId,
    });
    expect(fitted).toMatchObject({ kind: "fitted", date: "2026-03-14", costMinor: 890, runId });
    expect(fitted!.itemId).not.toBe(oldItem);
    expect((await findRun(store.db, runId))!.endedAt).toBe(NOW.toISOString());
    expect((await listOpenRuns(store.db, HOME)).map((run) => run.id)).not.toContain(runId);
  });

  it("carries what stays open past the run, with its words, and fits nothing that is not in", async () => {
    const runId = await begin("gallery-bank");
    const before = await historyOf("gallery-bank");
    const words = "the four new ones are too deep";
    const steps = (await allSteps(runId)).map((step) =>
      step === "new-one-in" || step === "power-on"
        ? ({ id: id(), at: at(), kind: "leave-open", step, words } as const)
        : done(step),
    );
    await record(runId, [...steps, { id: id(), at: at(), kind: "finished" }]);
    const after = (await historyOf("gallery-bank")).slice(before.length);
    expect(after.map((event) => event.kind)).toEqual(["look"]);
    const left = (await listEndEntries(store.db, HOME)).filter((entry) => entry.runId === runId);
    // The gallery's isolator is a disconnect.
    expect(left.map(({ end, action, words: said }) => [end, action, said])).toEqual([
      ["disconnect-out", "open", words],
      ["part-out", "open", words],
    ]);
  });

  it("is not had before the last step", async () => {
    const runId = await begin();
    const early = await record(runId, [{ id: id(), at: at(), kind: "finished" }]);
    expect(early).toMatchObject({ refused: [{ why: "steps-left" }] });
    expect((await findRun(store.db, runId))!.endedAt).toBeNull();
  });

  it("given up leaves no trace in the history", async () => {
    const runId = await begin();
    const before = await historyOf("cellar-filter");
    await record(runId, [done("new-one-at-hand"), { id: id(), at: at(), kind: "stopped" }]);
    expect(await historyOf("cellar-filter")).toEqual(before);
    expect((await findRun(store.db, runId))!.endedAt).not.toBeNull();
  });
});
