import type { Qualification } from "../src/core/runs/qualification";
import type { Procedure, RunSetting, Step } from "../src/core/runs/procedure";
import { usualVariant } from "../src/core/runs/procedure";
import { againKey, RunReplay } from "../src/core/runs/run";
import type { RunWhere } from "../src/core/runs/run-outcome";
import type { RunJob } from "../src/core/runs/run-state";
import { runEventSchema, type RunEvent, type Seen } from "../src/core/runs/run-event";
import { isWordKind, WORD_KINDS } from "../src/core/readings/reading-kinds";

export const STARTED = "2026-03-14T09:00:00.000Z";
let count = 0;

/** An event with a name of its own; a second after the one before, if no time is given. */
export const event = (doing: Record<string, unknown>): RunEvent =>
  runEventSchema.parse({
    id: `event-${String(++count).padStart(6, "0")}`,
    at: new Date(Date.parse(STARTED) + count * 1000).toISOString(),
    ...doing,
  });

export function jobOf(
  procedure: Procedure,
  setting: Partial<RunSetting> = {},
  qualification: Qualification = "owner",
): RunJob {
  return {
    procedure,
    setting: { facts: [], variant: usualVariant(procedure), ...setting },
    place: { unit: "furnace", part: "slot", run: "run-1", isolator: "switch-off" },
    qualification,
  };
}

/** The furnace’s filter, as the place of a run. */
export const whereOf = (extra: Partial<RunWhere> = {}): RunWhere => ({
  homeTimeZone: "Etc/UTC",
  runId: "run-1",
  unitId: "furnace",
  partId: "slot",
  taskKey: "renew",
  recordedAt: "2026-03-14T12:00:00Z",
  itemBefore: "item-1",
  alarms: ["up", "down"],
  unitOfSlot: (id) => (id === "other-slot" ? "other-unit" : undefined),
  partOf: () => undefined,
  itsSlots: ["slot"],
  ...extra,
});

/** A reading of every measured kind that procedures ask for, as sound as can be. */
const SOUND: Record<string, Seen["reading"]> = {
  "cooling-split-k": { value: 10, unit: "K" },
  "boiler-pressure-bar": { value: 1.5, unit: "bar" },
  "thermocouple-mv": { value: 26, unit: "mV" },
  "co-ppm": { value: 0, unit: "ppm" },
  "clearance-m": { value: 1.1, unit: "m" },
  "capacitor-uf": { value: 5, unit: "uF", rated: 5 },
};

/** What a step wants to have seen so that the run goes on, everything being well. */
export function soundAt({ records, repeats, recordIsOptional }: Step): Seen {
  // What may be passed over is.
  if (recordIsOptional) return {};
  switch (records?.kind) {
    case undefined:
      return {};
    case "look":
      return { grade: "grey" };
    case "choice":
      return { choice: repeats?.until[0] ?? records.options[0]!.value };
    case "size":
      return { size: { opening: "20x20x1" } };
    case "filter-choice":
      return { place: "slot", unit: "furnace" };
    case "direction":
      return { direction: "right" };
    case "across":
      return { acrossMm: 200 };
    case "works":
      return { each: [{ place: "furnace", value: "unit:visit" }] };
    case "count":
      return { count: 4 };
    case "words":
      return { words: "as on its label" };
    case "setting":
      return records.options ? { choice: records.options[0]!.value } : { words: "as it was" };
    case "settings":
      return { each: [{ place: "set-1", value: "so" }] };
    case "alarms":
      return { alarms: [{ place: "hall-alarm", state: "tested" }] };
    case "reading": {
      const { reading } = records;
      if (records.of === "every-machine" && isWordKind(reading))
        return { each: [{ place: "furnace", value: Object.keys(WORD_KINDS[reading])[0]! }] };
      if (!isWordKind(reading)) return { reading: SOUND[reading] };
      return { reading: { value: repeats?.until[0] ?? Object.keys(WORD_KINDS[reading])[0]! } };
    }
  }
}

const later = (at: string, ms: number) => new Date(Date.parse(at) + ms).toISOString();
const MINUTE_MS = 60_000;

/**
 * Goes on with a run, a minute a step, waiting for whatever has to pass, until `until` is the step
 * at hand or nothing is left; `seen` answers a step otherwise than soundly.
 */
export function walk(
  job: RunJob,
  {
    from = [],
    until,
    seen = {},
  }: { from?: readonly RunEvent[]; until?: string; seen?: Record<string, Seen> } = {},
): RunEvent[] {
  const events = [...from];
  const replay = new RunReplay(job);
  for (const each of from) replay.take(each);
  let at = events.at(-1)?.at ?? STARTED;
  for (let steps = 0; steps < 200; steps++) {
    const { state } = replay;
    const { current } = state;
    if (!current || current.id === until || state.safetyStop) return events;
    const waits = [
      ...state.timers.filter(
        ({ key }) => current.waitsFor?.includes(key) || key === againKey(current.id),
      ),
      ...state.ends.open.filter(
        ({ id, readyAt }) => readyAt && id === `${job.place.run}:${current.closes}`,
      ),
    ].map(({ readyAt }) => readyAt!);
    at = [later(at, MINUTE_MS), ...waits].sort().at(-1)!;
    const answer = seen[current.id] ?? soundAt(current);
    events.push(event({ kind: "done", step: current.id, round: state.round, at, ...answer }));
    replay.take(events.at(-1)!);
  }
  throw new Error(`walk: ${job.procedure.id} comes to no end`);
}
