import { procedure } from "@/content/procedures/library";
import { event, jobOf, walk } from "../../../tests/run-events";
import { lintProcedures } from "./lint";
import type { ParkedEnd, Procedure } from "./procedure";
import { replayRun } from "./run";
import { endsLeft, settingsNoted, wokenBy } from "./run-outcome";

const found = (id: string) => procedure(id)!;
const finished = (job: ReturnType<typeof jobOf>, events = walk(job)) =>
  replayRun(job, [...events, event({ kind: "finished" })]);
const parkedAt = (keys: [string, ParkedEnd["end"]][]): ParkedEnd[] =>
  keys.map(([key, end]) => ({ key, end, id: `autumn:${key}`, since: "2025-10-01T08:00:00Z" }));

describe("what a season lays by", () => {
  const job = jobOf(found("humidifier-summer"));

  it("is parked when the job is over, and nags nobody meanwhile", () => {
    const state = finished(job);
    expect([state.status, state.ends.open]).toEqual(["finished", []]);
    expect(endsLeft(job, state).map(({ id, action, label }) => [id, action, label])).toEqual([
      ["run-1:humidistat", "park", "humidistat off"],
      ["run-1:water", "park", "water shut"],
      ["run-1:damper", "park", "damper shut"],
    ]);
  });

  it("stays shut when somebody goes back over the step, and does not run again by itself", () => {
    const before = walk(job, { until: "damper" });
    const back = event({ kind: "back", step: "water-off" });
    const state = replayRun(job, [...before, back]);
    expect(state.current?.id).toBe("water-off");
    expect(state.ends.parked.map(({ id }) => id)).toContain("run-1:water");
  });
});

describe("what a season wakes", () => {
  const keys: [string, ParkedEnd["end"]][] = [
    ["damper", "setting-changed"],
    ["water", "valve-shut"],
    ["humidistat", "setting-changed"],
  ];
  const job = jobOf(found("humidifier-winter"), { parked: parkedAt(keys) });

  it("ends what was parked, under the name it was parked by", () => {
    const state = finished(job);
    expect(state.ends.parked).toEqual([]);
    expect(wokenBy(job, state).map(({ id }) => id)).toEqual([
      "autumn:damper",
      "autumn:water",
      "autumn:humidistat",
    ]);
    expect(endsLeft(job, state)).toEqual([]);
  });

  it("leaves it parked where the job comes to nothing, and may be given up before it began", () => {
    expect(replayRun(job, [event({ kind: "stopped" })]).status).toBe("stopped");
    const aborted = event({
      kind: "turned-back",
      step: "panel",
      reason: "other",
      words: "no time",
    });
    const until = walk(job, { until: "panel" });
    const state = finished(job, walk(job, { from: [...until, aborted] }));
    expect(state.status).toBe("finished");
    expect(wokenBy(job, state)).toEqual([]);
    expect(endsLeft(job, state)).toEqual([]);
  });

  it("shows the same steps where nothing was parked, and closes nothing", () => {
    const fresh = jobOf(found("humidifier-winter"));
    const state = finished(fresh);
    expect(state.completed.map(({ step }) => step.id)).toContain("water-on");
    expect(wokenBy(fresh, state)).toEqual([]);
  });

  it("brings no power back while a part of that machine is out", () => {
    const pump = jobOf(found("wake-heat-pump"), {
      parked: parkedAt([
        ["batteries", "part-out"],
        ["breaker", "breaker-off"],
      ]),
    });
    const until = walk(pump, { until: "on" });
    const at = new Date(Date.parse(until.at(-1)!.at) + 60_000).toISOString();
    const press = event({ kind: "done", step: "on", round: 0, at });
    const other = {
      id: "run-2:coil",
      unit: "furnace",
      end: "part-out" as const,
      at: "2026-03-14T08:00:00Z",
      action: "open" as const,
      part: undefined,
      readyAt: undefined,
      after: undefined,
    };
    const beside = { open: [other], accepted: until.length };
    const held = replayRun(pump, [...until, press], undefined, beside);
    expect(held.refused.map(({ why }) => why)).toEqual(["power-comes-last"]);
    expect(replayRun(pump, [...until, press]).refused).toEqual([]);
  });
});

describe("machines behind one shut-off", () => {
  const filter = jobOf(found("wipe-pan"));
  const shared = {
    ...filter,
    place: {
      ...filter.place,
      together: [{ end: "switch-off" as const, units: ["furnace", "humidifier"] }],
    },
  };
  const open = {
    id: "run-2:cover",
    unit: "humidifier",
    end: "panel-off" as const,
    at: "2026-03-14T08:00:00Z",
    action: "open" as const,
    part: undefined,
    readyAt: undefined,
    after: undefined,
  };

  it("wait for each other: no power while the other one stands open", () => {
    const until = walk(shared, { until: "power-on" });
    const at = new Date(Date.parse(until.at(-1)!.at) + 60_000).toISOString();
    const press = event({ kind: "done", step: "power-on", round: 0, at });
    const beside = { open: [open], accepted: until.length };
    const refused = (job: typeof filter) =>
      replayRun(job, [...until, press], undefined, beside).refused.map(({ why }) => why);
    expect(refused(shared)).toEqual(["power-comes-last"]);
    expect(refused(filter)).toEqual([]);
  });
});

describe("settings on the way", () => {
  it("are noted once each, by their last word, and shown by the name of the choice", () => {
    const job = jobOf(found("humidifier-winter"));
    const events = walk(job, {
      seen: { humidistat: { words: "35 %" }, damper: { choice: "winter" } },
    });
    expect(settingsNoted(replayRun(job, events))).toEqual([
      { key: "damper", label: "Damper", value: "winter" },
      { key: "humidistat", label: "Humidistat", value: "35 %" },
    ]);
  });
});

describe("plates", () => {
  it("are kept as they were read, and move no step", () => {
    const job = jobOf(found("rinse-trap"));
    const until = walk(job, { until: "trap-out" });
    const read = { kind: "plate", step: "trap-out", of: "unit", identity: { make: "Northgate" } };
    const state = replayRun(job, [...until, event(read)]);
    expect(state.current?.id).toBe("trap-out");
    expect(state.plates).toEqual([{ of: "unit", identity: { make: "Northgate" } }]);
  });
});

describe("the library’s check", () => {
  const faults = (steps: Procedure["steps"]) =>
    lintProcedures({
      procedures: [{ ...found("replace-alarm"), steps }],
    }).faults.map(({ step, rule }) => `${step} ${rule}`);
  const { steps } = found("replace-alarm");

  it("wants a wall behind nothing but what is harmless", () => {
    const live = steps.map((step) => ({
      ...step,
      opens: step.opens?.map(({ harmless: _, ...end }) => end),
    }));
    expect(faults(steps)).toEqual([]);
    expect(faults(live)).toEqual(["down power-first"]);
  });

  it("lets nothing recall what was not noted before it, and nothing be left open but what is parked", () => {
    expect(faults(steps.map((step, i) => (i === 0 ? { ...step, recalls: ["up"] } : step)))).toEqual(
      ["down refers-to-nothing"],
    );
    const left = steps.map(({ closes: _, ...step }) => step);
    expect(faults(left)).toEqual(["down left-open"]);
    const parked = left.map((step) => ({
      ...step,
      opens: step.opens?.map((end) => ({ ...end, parks: "until it is mended" })),
    }));
    expect(faults(parked)).toEqual([]);
  });
});
