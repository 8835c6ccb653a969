import { procedure } from "@/content/procedures/library";
import { endsOfHome } from "@/core/runs/home-ends";
import { factsOf } from "@/core/runs/place-facts";
import { usualVariant } from "@/core/runs/procedure";
import { replayRun } from "@/core/runs/run";
import type { RunEvent } from "@/core/runs/run-event";
import type { RunJob } from "@/core/runs/run-state";
import { findRun, jobOfRun, listEndEntries } from "@/db/repositories/runs";
import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { event, walk } from "../../../tests/run-events";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import { inHome } from "./home-command";
import { recordRunEvents } from "./run-record";
import { readRun } from "../snapshots/read-runs";
import { beginRun, closeEnd, dropRun } from "./runs";
import { endRound, startRound } from "./year";

jest.setTimeout(60_000);
const HOME = "sluice-house";
const FURNACE = "cellar-furnace";
const DAY_MS = 86_400_000;
/** Each errand has a day of its own, so that none finds another’s jobs done. */
let nth = 0;
const now = () => new Date(Date.parse("2026-03-14T12:00:00Z") + nth * DAY_MS);
const today = () => addDays(plainDate("2026-03-14"), nth);

const TRAP = `${FURNACE}-condensate-trap.flush`;
const PAN = `${FURNACE}-drain-pan.wipe`;
const BLOWER = `${FURNACE}-blower.clean`;
const LOOK = `${FURNACE}.look`;
/** How each is led: its procedure, its part, its key. */
const JOBS: Record<string, [procedureId: string, partId: string | undefined, key: string]> = {
  [TRAP]: ["rinse-trap", `${FURNACE}-condensate-trap`, "flush"],
  [PAN]: ["wipe-pan", `${FURNACE}-drain-pan`, "wipe"],
  [BLOWER]: ["vacuum-blower", `${FURNACE}-blower`, "clean"],
  [LOOK]: ["look-furnace-over", undefined, "look"],
};

let demo: DemoStore;
beforeAll(async () => {
  demo = await actOnDemo();
  // A home of one machine: what a round does with its power does not hang on the others.
  for (const sql of [
    `UPDATE units SET deleted_at = '2026-03-01' WHERE id <> '${FURNACE}'`,
    "UPDATE runs SET ended_at = '2026-03-14T08:00:00Z'",
  ])
    await demo.store.client.execute(sql);
});
afterAll(() => demo.discard());
beforeEach(() => {
  nth++;
  process.env["AMBER_CLOCK"] = now().toISOString();
});
/** Everything is put right, and no round is under way. */
afterEach(async () => {
  const { going, snapshot } = await home();
  for (const { run, job, state } of going.filter(({ run: { unitId } }) => unitId === FURNACE)) {
    const events = (await readRun(demo.store.db, run.id))!.events;
    const back = event({ kind: "turned-back", step: "here", reason: "other", words: "enough" });
    if (state.status === "going")
      await record(
        run.id,
        walk(job, { from: [...events, ...shifted([back])] }).slice(events.length),
      );
    await record(run.id, [event({ kind: "finished" })]);
  }
  for (const { id } of snapshot.year.rounds)
    await inHome(HOME, (open) => endRound(open, { id, words: "until tomorrow" }));
  for (const { id } of (await openEnds()).filter(({ runId }) => runId === undefined))
    await inHome(HOME, async (open) => {
      await closeEnd(open, id);
      return null;
    });
});

const home = () => demo.read(HOME);
const start = (...order: string[]) =>
  inHome(HOME, (open) => startRound(open, { person: "owner", day: today(), order }));

async function begin(id: string): Promise<{ id: string; job: RunJob }> {
  const [procedureId, partId, taskKey] = JOBS[id]!;
  const run = await inHome(HOME, async (open) => {
    const { units, parts } = open.snapshot;
    const unit = units.find((each) => each.id === FURNACE)!;
    const part = parts.find((each) => each.id === partId);
    const found = procedure(procedureId)!;
    const facts = factsOf({ units: [], slots: [], parts }, { unit, part });
    const begun = { taskKey, unit, part, procedure: found, variant: usualVariant(found), facts };
    return beginRun(open, { ...begun, qualification: "owner" });
  });
  return { id: run!, job: jobOfRun((await findRun(demo.store.db, run!))!) };
}

/** Goes through a job, leaving its power off for the next one where the round says so. */
function led(job: RunJob): RunEvent[] {
  const { left = [] } = job.setting.inRound ?? {};
  let events: RunEvent[] = [];
  for (const { key } of left) {
    const closing = job.procedure.steps.find(({ closes }) => closes === key)!;
    events = walk(job, { from: events, until: closing.id });
    events.push(event({ kind: "leave-open", step: closing.id, words: "for the next job" }));
  }
  return walk(job, { from: events });
}
const shifted = (events: readonly RunEvent[]): RunEvent[] =>
  events.map((each) => ({
    ...each,
    at: new Date(
      Date.parse(each.at) + (Date.parse(each.at) < now().getTime() - DAY_MS / 2 ? nth * DAY_MS : 0),
    ).toISOString(),
  }));
const record = (id: string, events: readonly RunEvent[]) =>
  recordRunEvents(id, shifted(events), now());
const finish = async ({ id, job }: { id: string; job: RunJob }) =>
  record(id, [...led(job), event({ kind: "finished" })]);

const openEnds = async () => {
  const { going, recordedEnds } = await home();
  return endsOfHome(now().toISOString(), recordedEnds, going).open.filter(
    ({ unit }) => unit === FURNACE,
  );
};
/** What is open at the furnace, in words. */
const open = async () => (await openEnds()).map(({ label }) => label ?? "");
/** How often the power was switched off today, and on again. */
async function switched(): Promise<{ off: number; on: number }> {
  const entries = (await listEndEntries(demo.store.db, HOME)).filter(
    ({ unit, end, at }) => unit === FURNACE && end === "switch-off" && at.slice(0, 10) === today(),
  );
  const count = (action: string) => entries.filter((entry) => entry.action === action).length;
  return { off: count("open"), on: count("close") };
}
const doneToday = async (id: string) =>
  (await home()).snapshot.history.counted.some(
    ({ kind, date, partId, taskKey }) =>
      kind === "done" && date === today() && partId === JOBS[id]![1] && taskKey === JOBS[id]![2],
  );

describe("three jobs of one round at one machine", () => {
  it("switch it off once and on once, and each of them counts", async () => {
    await start(TRAP, PAN, BLOWER);
    const first = await begin(TRAP);
    expect(first.job.setting.inRound).toMatchObject({ taken: [] });
    expect(first.job.setting.inRound!.left.map(({ key }) => key)).toEqual(["power"]);
    await finish(first);
    expect(await open()).toEqual(["power off"]);

    const second = await begin(PAN);
    expect(second.job.setting.inRound!.taken).toHaveLength(1);
    const { current, steps } = replayRun(second.job, []);
    // It is only looked at, and nothing of it is in the way of opening the machine.
    expect(steps.find(({ isTakenOver }) => isTakenOver)?.title).toBe(
      "See that the power is still off",
    );
    expect(current).not.toBeNull();
    expect(await open()).toEqual(["power off"]);
    await finish(second);
    expect(await open()).toEqual(["power off"]);

    const third = await begin(BLOWER);
    expect(third.job.setting.inRound!.left).toEqual([]);
    await finish(third);
    expect(await open()).toEqual([]);
    expect(await switched()).toEqual({ off: 1, on: 1 });
    for (const id of [TRAP, PAN, BLOWER]) expect([id, await doneToday(id)]).toEqual([id, true]);
  });

  it("are carried on tomorrow: what is off stands open till then, and the next job puts it back", async () => {
    await start(TRAP, PAN);
    await finish(await begin(TRAP));
    // The night between: nothing going, the switch on record as off, with the words why.
    const [left] = await openEnds();
    expect(left).toMatchObject({ words: "for the next job", label: "power off" });
    nth++;
    process.env["AMBER_CLOCK"] = now().toISOString();
    const second = await begin(PAN);
    expect(second.job.setting.inRound).toMatchObject({ left: [] });
    await finish(second);
    expect(await open()).toEqual([]);
  });

  it("put the power back when one of them is not possible after all", async () => {
    await start(TRAP, PAN, BLOWER);
    await finish(await begin(TRAP));
    const { id, job } = await begin(PAN);
    const aborted = event({
      kind: "turned-back",
      step: "here",
      reason: "other",
      words: "no light",
    });
    const back = walk(job, { from: [...walk(job).slice(0, 2), aborted] });
    await record(id, [...back, event({ kind: "finished" })]);
    expect(await open()).toEqual([]);
    expect(await doneToday(PAN)).toBe(false);
    // The one after it switches off for itself.
    const third = await begin(BLOWER);
    expect(third.job.setting.inRound).toMatchObject({ taken: [] });
  });

  it("may be dropped at once, and the power is off as it was", async () => {
    await start(TRAP, PAN);
    await finish(await begin(TRAP));
    const { id } = await begin(PAN);
    await dropRun(id);
    expect((await home()).going.some(({ run }) => run.id === id)).toBe(false);
    expect(await open()).toEqual(["power off"]);
  });

  it("have it off again when a finish is taken back", async () => {
    await start(TRAP, PAN);
    await finish(await begin(TRAP));
    const second = await begin(PAN);
    await finish(second);
    expect(await open()).toEqual([]);
    await record(second.id, [event({ kind: "undone" })]);
    expect((await home()).going.some(({ run }) => run.id === second.id)).toBe(true);
    // The run has all of it again, up to its last step: its power is on, as it was when it finished.
    const { state } = (await home()).going.find(({ run }) => run.id === second.id)!;
    expect(state.status).toBe("going");
    await record(second.id, [event({ kind: "finished" })]);
    expect(await open()).toEqual([]);
  });
});

it("leaves nothing off for a job that wants its machine to run first", async () => {
  await start(TRAP, LOOK);
  const { job } = await begin(TRAP);
  expect(job.setting.inRound).toMatchObject({ left: [], taken: [] });
});

it("takes over nothing outside a round, nor after it has ended", async () => {
  await start(TRAP, PAN);
  await finish(await begin(TRAP));
  for (const { id } of (await home()).snapshot.year.rounds)
    await inHome(HOME, (open) => endRound(open, { id, words: "until tomorrow" }));
  const { job } = await begin(PAN);
  expect(job.setting.inRound).toBeUndefined();
  expect(replayRun(job, []).steps.some(({ isTakenOver }) => isTakenOver)).toBe(false);
});

it("never brings power back over what another job has open there", async () => {
  await start(TRAP, PAN);
  await finish(await begin(TRAP));
  // A job outside the round has the blower’s cover off meanwhile.
  const other = await begin(BLOWER);
  await record(other.id, walk(other.job).slice(0, 3));
  const { id, job } = await begin(PAN);
  const events = walk(job);
  const { refused, state } = (await record(id, events)) as Extract<
    Awaited<ReturnType<typeof record>>,
    { kind: "recorded" }
  >;
  expect(refused.map(({ why }) => why)).toContain("power-comes-last");
  expect(state.ends.open.map(({ end }) => end)).toContain("switch-off");
});
