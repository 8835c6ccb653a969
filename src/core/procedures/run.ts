import { judge, judgeInput, type Judgement } from "../readings/judge";
import type { ReadingKind } from "../readings/reading-kinds";
import { readSize } from "../quantities/size";
import { inStep, looseEnds, type EndEntry, type LooseEnds } from "./loose-ends";
import { stepsFor, type SeenWords, type Step, type StepEnd } from "./procedure";
import type { ReadingSeen, RunEvent, Seen } from "./run-event";
import type {
  Settled,
  RunRefusal,
  TurnedBack,
  Hold,
  RunState,
  RunPlace,
  RunJob,
} from "./run-state";

const MS_PER_MINUTE = 60_000;
const later = (at: string, minutes: number): string =>
  new Date(Date.parse(at) + minutes * MS_PER_MINUTE).toISOString();

export const endId = (place: RunPlace, key: string) => `${place.run}:${key}`;

/** What a run is at before the ends and times that follow from it. */
type Bare = {
  settled: Settled[];
  round: number;
  turnedBack: TurnedBack | null;
  hold: Hold | null;
  madeSafe: { words: string; at: string }[];
};
type Move = { step: string; before: Bare };

const wordOf = ({ grade, reading, choice }: Seen): string | undefined =>
  choice ?? grade ?? (typeof reading?.value === "string" ? reading.value : undefined);

const seenOf = (settled: readonly Settled[]): SeenWords =>
  new Map(
    settled.flatMap(({ step, seen }) => {
      const word = wordOf(seen);
      return word === undefined ? [] : [[step.id, word] as const];
    }),
  );

const openedBy = (settled: readonly Settled[]): StepEnd[] =>
  settled.flatMap(({ step, handedOver }) => (handedOver ? [] : (step.opens ?? [])));

/** The openings and closings that the steps behind us amount to. */
function logOf(settled: readonly Settled[], place: RunPlace): EndEntry[] {
  const ends = new Map(openedBy(settled).map((end) => [end.key, end]));
  const entry = (end: StepEnd, at: string, action: "open" | "close"): EndEntry => ({
    id: endId(place, end.key),
    unit: place.unit,
    part: place.part,
    // Which switch cuts the power is the unit's business, not the procedure's.
    end: end.end === "switch-off" ? place.isolator : end.end,
    at,
    action,
    readyAt: action === "open" && end.dryMinutes ? later(at, end.dryMinutes) : undefined,
    after: action === "open" && end.after ? end.after.map((key) => endId(place, key)) : undefined,
  });
  return inStep(settled).flatMap(({ step: done, at, leftOpen, handedOver }) => {
    if (handedOver) return [];
    const closing = done.closes === undefined ? undefined : ends.get(done.closes);
    return [
      ...(closing && leftOpen === undefined ? [entry(closing, at, "close")] : []),
      ...(done.opens ?? []).map((end) => entry(end, at, "open")),
    ];
  });
}

/** Ends that are open and not left so in words: what the way back still has to close. */
function openKeys(settled: readonly Settled[]): Set<string> {
  const keys = new Set<string>();
  for (const { step, handedOver } of settled) {
    if (handedOver) continue;
    if (step.closes) keys.delete(step.closes);
    for (const end of step.opens ?? []) keys.add(end.key);
  }
  return keys;
}

/** What is still to do: on the way back only what closes something. */
function stepsLeft(steps: readonly Step[], bare: Bare): Step[] {
  const { settled, turnedBack } = bare;
  const behind = new Set(settled.map(({ step }) => step.id));
  const left = steps.filter((step) => !behind.has(step.id));
  if (!turnedBack) return left;
  const open = openKeys(settled);
  return left.filter((step) => step.closes !== undefined && open.has(step.closes));
}

/** How a reading of a run stands by the rules of its kind; null where it cannot be read. */
export function judged(kind: ReadingKind, seen: ReadingSeen): Judgement | null {
  const input = judgeInput.safeParse({ kind, value: seen.value, unit: seen.unit });
  return input.success ? judge(input.data) : null;
}

const fresh: Bare = { settled: [], round: 0, turnedBack: null, hold: null, madeSafe: [] };

function stateOf(job: RunJob, bare: Bare, rest: Omit<RunState, keyof Derived>): RunState {
  const { settled } = bare;
  const steps = stepsFor(job.procedure, job.setting, seenOf(settled));
  const log = logOf(settled, job.place);
  const now = log.at(-1)?.at ?? "1970-01-01T00:00:00Z";
  return {
    ...rest,
    ...bare,
    steps,
    current: stepsLeft(steps, bare)[0] ?? null,
    log,
    ends: looseEnds({ now, log }),
    timers: inStep(settled).flatMap(({ step, at }) =>
      step.starts
        ? [
            {
              key: step.starts.key,
              words: step.starts.words,
              startedAt: at,
              readyAt: later(at, step.starts.minutes),
              step: step.id,
            },
          ]
        : [],
    ),
  };
}
type Derived = Bare & Pick<RunState, "steps" | "current" | "log" | "ends" | "timers">;

/**
 * Where a run stands after its events, whatever device they came from. An event that was overtaken
 * (the same step done twice, a step back that another device took) changes nothing; one that the
 * rules forbid is listed as refused and changes nothing either. No event counts as later than
 * `now`: a clock that runs ahead dries nothing.
 */
export function replayRun(job: RunJob, events: readonly RunEvent[], now?: string): RunState {
  let state = stateOf(job, fresh, {
    status: "going",
    undoes: null,
    notes: [],
    photos: [],
    finish: null,
    refused: [],
  });
  let moves: Move[] = [];
  for (const sent of events) {
    const event =
      now !== undefined && Date.parse(sent.at) > Date.parse(now) ? { ...sent, at: now } : sent;
    const step = applied(job, state, event);
    if (step.kind === "refused")
      state = { ...state, refused: [...state.refused, { event: sent, why: step.why }] };
    else if (step.kind === "beside") state = { ...state, ...step.change };
    else {
      const { settled, round, turnedBack, hold, madeSafe } = state;
      const before = { settled, round, turnedBack, hold, madeSafe };
      if (step.kind === "moved") moves = [...moves, { step: step.at, before }];
      const back = step.kind === "back" ? moves.at(-1) : undefined;
      if (step.kind === "back") {
        if (back?.step !== step.at) continue;
        moves = moves.slice(0, -1);
      }
      const bare = back?.before ?? { ...before, ...(step.kind === "moved" ? step.change : {}) };
      state = { ...stateOf(job, bare, state), undoes: moves.at(-1)?.step ?? null };
    }
  }
  return state;
}

type Applied =
  | { kind: "refused"; why: RunRefusal }
  /** Nothing Back would take back. */
  | { kind: "beside"; change: Partial<Omit<RunState, keyof Derived>> }
  | { kind: "moved"; at: string; change: Partial<Bare> }
  | { kind: "back"; at: string };

const nothing: Applied = { kind: "beside", change: {} };
const refuse = (why: RunRefusal): Applied => ({ kind: "refused", why });

function applied(job: RunJob, state: RunState, event: RunEvent): Applied {
  if (event.kind === "undone")
    return state.status === "finished"
      ? { kind: "beside", change: { status: "going", finish: null } }
      : nothing;
  if (state.status !== "going") return refuse("over");
  const { at } = event;
  switch (event.kind) {
    case "done":
      return doneAt(job, state, event);
    case "leave-open": {
      if (isBehind(state, event.step)) return nothing;
      const { current } = state;
      if (state.hold) return refuse("on-hold");
      if (current?.id !== event.step) return refuse("not-the-step");
      if (!current.closes) return refuse("closes-nothing");
      return settle(state, { step: current, at, event: event.id, seen: {}, leftOpen: event.words });
    }
    case "handed-over": {
      if (isBehind(state, event.step)) return nothing;
      const { current } = state;
      if (state.hold) return refuse("on-hold");
      if (current?.id !== event.step) return refuse("not-the-step");
      if (current.who !== "licensed") return refuse("nothing-to-hand-over");
      const move = settle(state, {
        step: current,
        at,
        event: event.id,
        seen: {},
        handedOver: true,
      });
      if (move.kind !== "moved" || state.turnedBack) return move;
      const { step } = event;
      const words = current.title;
      const turnedBack: TurnedBack = { step, at, event: event.id, reason: "licensed", words };
      return { ...move, change: { ...move.change, turnedBack } };
    }
    case "turned-back": {
      if (state.turnedBack || !state.current) return nothing;
      const { step, reason, words, until } = event;
      const turnedBack = { step, at, event: event.id, reason, words, until };
      return { kind: "moved", at: TURNED_BACK, change: { turnedBack } };
    }
    case "back":
      return { kind: "back", at: event.step };
    case "note":
      return {
        kind: "beside",
        change: { notes: [...state.notes, { step: event.step, words: event.words, at }] },
      };
    case "photo": {
      const { photo, step, moment } = event;
      return { kind: "beside", change: { photos: [...state.photos, { photo, step, moment }] } };
    }
    case "alarm": {
      if (state.hold?.why === event.alarm) return nothing;
      const hold: Hold = { why: event.alarm, at, step: state.current?.id ?? "" };
      return { kind: "moved", at: ALARM, change: { hold } };
    }
    case "made-safe": {
      if (!state.hold) return nothing;
      // What was seen stays seen; the run goes on from it.
      const madeSafe = [...state.madeSafe, { words: event.words, at }];
      return { kind: "moved", at: MADE_SAFE, change: { hold: null, madeSafe } };
    }
    case "finished": {
      if (state.hold) return refuse("on-hold");
      if (state.current) return refuse("steps-left");
      const { minutes, costMinor, used } = event;
      const finish = { at, minutes, costMinor, used };
      return { kind: "beside", change: { status: "finished", finish } };
    }
    case "stopped":
      return state.ends.open.length > 0
        ? refuse("ends-open")
        : { kind: "beside", change: { status: "stopped" } };
  }
}

/** What Back names when it takes back something that is no step. */
const TURNED_BACK = "turned-back";
const ALARM = "alarm";
const MADE_SAFE = "made-safe";

const isBehind = (state: RunState, step: string) =>
  state.settled.some((each) => each.step.id === step);

function settle(state: RunState, settled: Settled): Applied {
  const done = state.turnedBack ? { ...settled, onReturn: true as const } : settled;
  return { kind: "moved", at: settled.step.id, change: { settled: [...state.settled, done] } };
}

/** Why the step at hand cannot be done yet, if something has to come or pass before it. */
export function holdsUp(job: RunJob, state: RunState, step: Step, at: string): RunRefusal | null {
  if (step.who === "licensed" && job.doer !== "licensed") return "licensed-only";
  const blocks = blocksOf(job, state, step, at);
  if (blocks[0]) return blocks[0].why;
  const isWaiting = state.timers.some(
    (timer) =>
      step.waitsFor?.includes(timer.key) === true && Date.parse(timer.readyAt) > Date.parse(at),
  );
  return isWaiting && !state.turnedBack ? "still-waiting" : null;
}

/** What keeps the end that a step closes from being closed at this instant. */
export function blocksOf(
  job: RunJob,
  state: RunState,
  step: Step,
  at: string,
): LooseEnds["blocked"] {
  if (!step.closes) return [];
  const id = endId(job.place, step.closes);
  const last = state.log.at(-1)?.at ?? at;
  const now = Date.parse(at) < Date.parse(last) ? last : at;
  return looseEnds({ now, log: state.log }).blocked.filter((block) => block.id === id);
}

function doneAt(job: RunJob, state: RunState, event: Extract<RunEvent, { kind: "done" }>): Applied {
  if ((event.round ?? 0) !== state.round || isBehind(state, event.step)) return nothing;
  const { current } = state;
  if (state.hold) return refuse("on-hold");
  if (current?.id !== event.step) return refuse("not-the-step");
  const why = holdsUp(job, state, current, event.at);
  if (why) return refuse(why);
  const { grade, reading, choice, size, place } = event;
  const seen: Seen = { grade, reading, choice, size, place };
  const missing = seenProblem(current, seen);
  if (missing) return refuse(missing);

  const { records, repeats } = current;
  const settled: Settled = { step: current, at: event.at, event: event.id, seen };
  const word = wordOf(seen);
  if (repeats && word !== undefined && !repeats.until.includes(word)) {
    const from = state.settled.findIndex(({ step }) => step.id === repeats.from);
    const kept = from === -1 ? state.settled : state.settled.slice(0, from);
    return { kind: "moved", at: current.id, change: { settled: kept, round: state.round + 1 } };
  }
  const moved = settle(state, settled);
  if (moved.kind !== "moved" || records?.kind !== "reading" || !reading) return moved;
  if (judged(records.reading, reading)?.verdict !== "stop") return moved;
  const hold: Hold = {
    why: "reading",
    reading: records.reading,
    seen: reading,
    at: event.at,
    step: current.id,
    event: event.id,
  };
  return { ...moved, change: { ...moved.change, hold } };
}

/** Whether what a step asks for is there and readable. */
function seenProblem({ records, recordIsOptional }: Step, seen: Seen): RunRefusal | null {
  if (!records) return null;
  const isMissing = recordIsOptional ? null : "seen-missing";
  switch (records.kind) {
    case "look":
      return seen.grade || recordIsOptional ? null : "look-missing";
    case "reading":
      if (!seen.reading) return isMissing;
      return judged(records.reading, seen.reading) ? null : "seen-unreadable";
    case "choice":
      if (seen.choice === undefined) return isMissing;
      return records.options.some(({ value }) => value === seen.choice) ? null : "seen-unreadable";
    case "size":
      if (!seen.size) return isMissing;
      return [seen.size.opening, seen.size.buy ?? seen.size.opening].every(
        (text) => readSize(text, "in").ok,
      )
        ? null
        : "seen-unreadable";
  }
}

/** “core drying”: an end of a run in the words of its step. */
export function endWordsOf(state: RunState, place: RunPlace, id: string): string | null {
  const end = openedBy(state.settled).find(({ key }) => endId(place, key) === id);
  return end ? `${end.thing} ${end.state}` : null;
}

/** A pause longer than this between two steps was no work, minutes. Our choice. */
const LONGEST_STEP_MINUTES = 15;

/** Minutes at work as far as the steps tell: long pauses and waits count as one step's at most. */
export function minutesAtWork(startedAt: string, settled: readonly Settled[]): number {
  let before = Date.parse(startedAt);
  let sum = 0;
  for (const { at, step } of inStep(settled)) {
    const minutes = (Date.parse(at) - before) / MS_PER_MINUTE;
    before = Date.parse(at);
    if (step.kind !== "wait") sum += Math.min(Math.max(0, minutes), LONGEST_STEP_MINUTES);
  }
  return Math.round(sum);
}
