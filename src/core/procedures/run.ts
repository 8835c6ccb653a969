import { z } from "zod";
import { GRADES, type Grade } from "../wear/belief";
import { inStep, looseEnds, type EndEntry, type EndKind, type LooseEnds } from "./loose-ends";
import type { Step, StepEnd } from "./procedure";

const base = { id: z.string().min(8).max(64), at: z.iso.datetime({ offset: true }) };
const step = z.string().min(1).max(64);
/** One thing a person did in a run; made where it happens, never changed, possibly sent twice. */
export const runEventSchema = z.discriminatedUnion("kind", [
  z.strictObject({ ...base, kind: z.literal("done"), step, grade: z.enum(GRADES).optional() }),
  z.strictObject({ ...base, kind: z.literal("back"), step }),
  z.strictObject({
    ...base,
    kind: z.literal("leave-open"),
    step,
    words: z.string().trim().min(3, "Say in a few words why it stays open.").max(300),
  }),
  z.strictObject({ ...base, kind: z.literal("finished") }),
  z.strictObject({ ...base, kind: z.literal("stopped") }),
]);
export type RunEvent = z.output<typeof runEventSchema>;

/** A step that is behind us: done, or left open with words. */
export type Settled = { step: Step; at: string; grade?: Grade; leftOpen?: string };

export type RunRefusal =
  | "not-the-step"
  | "power-comes-last"
  | "look-missing"
  | "closes-nothing"
  | "steps-left"
  | "ends-open"
  | "over";

export type RunState = {
  status: "going" | "finished" | "stopped";
  settled: Settled[];
  /** The step to do now; null when only the finish is left. */
  current: Step | null;
  log: EndEntry[];
  ends: LooseEnds;
  refused: { event: RunEvent; why: RunRefusal }[];
};

export type RunPlace = { unit: string; part: string; run: string; isolator: EndKind };

const endId = (place: RunPlace, key: string) => `${place.run}:${key}`;

function endOf(steps: readonly Step[], key: string): StepEnd {
  const found = steps.flatMap((each) => each.opens ?? []).find((end) => end.key === key);
  if (!found) throw new Error(`run: no step opens “${key}”`);
  return found;
}

/** The openings and closings that the steps behind us amount to. */
function logOf(steps: readonly Step[], settled: readonly Settled[], place: RunPlace): EndEntry[] {
  const entry = (key: string, at: string, action: "open" | "close"): EndEntry => {
    const { end } = endOf(steps, key);
    // Which switch cuts the power is the unit's business, not the procedure's.
    const kind = end === "switch-off" ? place.isolator : end;
    return {
      id: endId(place, key),
      unit: place.unit,
      part: place.part,
      end: kind,
      at,
      action,
      readyAt: undefined,
      after: undefined,
    };
  };
  return inStep(settled).flatMap(({ step: done, at, leftOpen }) => [
    ...(done.closes && leftOpen === undefined ? [entry(done.closes, at, "close")] : []),
    ...(done.opens ?? []).map((end) => entry(end.key, at, "open")),
  ]);
}

/** Why a step cannot be closed yet, if something of the unit has to come before it. */
export function blockedBy(state: RunState, place: RunPlace, closing: Step): string[] {
  if (!closing.closes) return [];
  const id = endId(place, closing.closes);
  return state.ends.blocked
    .filter((block) => block.id === id && block.why === "power-comes-last")
    .flatMap((block) => block.by);
}

export const isOpen = (state: RunState, place: RunPlace, key: string): boolean =>
  state.ends.open.some((end) => end.id === endId(place, key));

/**
 * Where a run stands after its events, whatever device they came from. An event that was overtaken
 * (the same step done twice, a step back that another device took) changes nothing; one that the
 * rules forbid is listed as refused and changes nothing either.
 */
export function replayRun(
  steps: readonly Step[],
  events: readonly RunEvent[],
  place: RunPlace,
): RunState {
  let state = stateAfter(steps, [], place, "going", []);
  for (const event of events) state = applied(state, steps, event, place);
  return state;
}

function stateAfter(
  steps: readonly Step[],
  settled: Settled[],
  place: RunPlace,
  status: RunState["status"],
  refused: RunState["refused"],
): RunState {
  const log = logOf(steps, settled, place);
  const now = log.at(-1)?.at ?? "1970-01-01T00:00:00Z";
  return {
    status,
    settled,
    current: steps[settled.length] ?? null,
    log,
    ends: looseEnds({ now, log }),
    refused,
  };
}

function applied(
  state: RunState,
  steps: readonly Step[],
  event: RunEvent,
  place: RunPlace,
): RunState {
  const refuse = (why: RunRefusal): RunState => ({
    ...state,
    refused: [...state.refused, { event, why }],
  });
  const move = (settled: Settled[], status: RunState["status"] = "going") =>
    stateAfter(steps, settled, place, status, state.refused);
  if (state.status !== "going") return refuse("over");
  const isBehind = (id: string) => state.settled.some((each) => each.step.id === id);

  switch (event.kind) {
    case "done": {
      if (isBehind(event.step)) return state;
      const current = state.current;
      if (current?.id !== event.step) return refuse("not-the-step");
      if (current.records === "look" && !event.grade) return refuse("look-missing");
      if (blockedBy(state, place, current).length > 0) return refuse("power-comes-last");
      const grade = event.grade ? { grade: event.grade } : {};
      return move([...state.settled, { step: current, at: event.at, ...grade }]);
    }
    case "leave-open": {
      if (isBehind(event.step)) return state;
      const current = state.current;
      if (current?.id !== event.step) return refuse("not-the-step");
      if (!current.closes) return refuse("closes-nothing");
      return move([...state.settled, { step: current, at: event.at, leftOpen: event.words }]);
    }
    case "back":
      return state.settled.at(-1)?.step.id === event.step
        ? move(state.settled.slice(0, -1))
        : state;
    case "finished":
      return state.current ? refuse("steps-left") : { ...state, status: "finished" };
    case "stopped":
      return state.ends.open.length > 0 ? refuse("ends-open") : { ...state, status: "stopped" };
  }
}
