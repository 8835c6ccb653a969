import { judgeKept, type KeptJudgement, type KeptReading } from "../readings/judge";
import type { ReadingKind } from "../readings/reading-kinds";
import { readSize } from "../quantities/size";
import {
  withSteadyTimes,
  instantOf,
  isIsolator,
  safeEnds,
  type EndEntry,
  type LooseEnds,
} from "./loose-ends";
import { LEFT_OPEN, stepsFor, takenEnds, wokenEnds, type SeenWords, type Step } from "./procedure";
import { endId, isSupply, later, logOf, openedBy, openKeys } from "./run-ends";
import type { ReadingSeen, RunEvent, Seen } from "./run-event";
import type {
  Again,
  Beside,
  StillOpen,
  CompletedStep,
  RunRefusal,
  Aborted,
  SafetyStop,
  RunState,
  RunPlace,
  RunJob,
} from "./run-state";

/** What a run is at before the ends and times that follow from it. */
type Bare = Pick<
  RunState,
  | "completed"
  | "round"
  | "earlier"
  | "stillOpen"
  | "backOn"
  | "again"
  | "aborted"
  | "safetyStop"
  | "keptOff"
  | "madeSafe"
>;
type Move = { step: string; before: Bare };
/** What is only ever added to, and what no rule asks about. */
type Gathered = Pick<RunState, "notes" | "plates" | "photos" | "refused">;

const joined = (had: Gathered, added: readonly Partial<Gathered>[]): Gathered => ({
  notes: [...had.notes, ...added.flatMap(({ notes }) => notes ?? [])],
  plates: [...had.plates, ...added.flatMap(({ plates }) => plates ?? [])],
  photos: [...had.photos, ...added.flatMap(({ photos }) => photos ?? [])],
  refused: [...had.refused, ...added.flatMap(({ refused }) => refused ?? [])],
});

const wordOf = ({ grade, reading, choice }: Seen): string | undefined =>
  choice ?? grade ?? (typeof reading?.value === "string" ? reading.value : undefined);

/** What a step has for its word at which a filter was chosen. */
const CHOSEN = "chosen";

const seenOf = (completed: readonly CompletedStep[]): SeenWords =>
  new Map(
    completed.flatMap(({ step, seen, leftOpen }) => {
      if (leftOpen !== undefined) return [[step.id, LEFT_OPEN] as const];
      const isChosen = step.records?.kind === "filter-choice" && seen.place !== undefined;
      const word = isChosen ? CHOSEN : wordOf(seen);
      return word === undefined ? [] : [[step.id, word] as const];
    }),
  );

/** What is still to do: on the way back only what closes something. */
function stepsLeft(steps: readonly Step[], bare: Bare): Step[] {
  const { completed: settled, aborted } = bare;
  const behind = new Set(settled.map(({ step }) => step.id));
  const left = steps.filter((step) => !behind.has(step.id));
  if (!aborted) return left;
  const open = openKeys(bare);
  // What an earlier season parked stays as it was.
  return left.filter((step) => step.closes !== undefined && !step.wakes && open.has(step.closes));
}

/**
 * How a reading of a run stands by the rules of its kind; null where it cannot be read.
 *
 * @example judged("noise", { value: "bang" }).verdict // "stop"
 */
export function judged(kind: ReadingKind, seen: ReadingSeen): KeptJudgement | null {
  const { value, unit, rated, school } = seen;
  const limits = { tolerancePercent: undefined, finalRatio: undefined, fogLimit: undefined };
  return judgeKept({
    ...{ kind, value, unit, school, limits },
    ...{ rated: rated as KeptReading["rated"], flags: [], mode: undefined },
  });
}

const freshOf = ({ procedure, setting }: RunJob): Bare => ({
  completed: [],
  round: 0,
  earlier: [],
  stillOpen: [...wokenEnds(procedure, setting), ...takenEnds(procedure, setting)],
  backOn: [],
  again: [],
  aborted: null,
  safetyStop: null,
  keptOff: null,
  madeSafe: [],
});

/**
 * What Back makes of a run: the step is to do again, but what it switched off, opened or took out
 * stays so until a step or words close it, and a supply that was on again is named.
 */
function goneBack(job: RunJob, state: RunState, before: Bare): Bare {
  const had = new Map(openedBy(state).map((end) => [endId(job.place, end.key), end]));
  const log = logOf(job, before);
  const still = safeEnds({ now: state.log.at(-1)?.at ?? LONG_AGO, log });
  const isOpen = new Set([...still.open, ...still.parked].map(({ id }) => id));
  const were = [...state.ends.open, ...state.ends.parked];
  const lost = were.flatMap(({ id, since }): StillOpen[] => {
    const end = had.get(id);
    return end && !isOpen.has(id) ? [{ end, at: since }] : [];
  });
  const wasOpen = new Set(were.map(({ id }) => id));
  const reopened = openedBy(before).filter((end) => {
    const id = endId(job.place, end.key);
    return isSupply(end) && isOpen.has(id) && !wasOpen.has(id);
  });
  return {
    ...before,
    // The ends are closed in the reverse order of opening, whatever order the steps were taken back in.
    stillOpen: [...before.stillOpen, ...lost].sort((a, b) => instantOf(a.at) - instantOf(b.at)),
    backOn: [...new Set([...state.backOn, ...reopened.map(({ key }) => key)])],
    // Taking back a waiting step does not change how much time has passed, so what still waits goes on waiting.
    again: before.again,
  };
}

const LONG_AGO = "1970-01-01T00:00:00Z";

function stateOf(job: RunJob, bare: Bare, rest: Omit<RunState, keyof Derived>): RunState {
  const { completed: settled, earlier } = bare;
  const steps = stepsFor(job.procedure, job.setting, seenOf(settled), new Set(earlier));
  const log = logOf(job, bare);
  const now = log.at(-1)?.at ?? LONG_AGO;
  return {
    ...rest,
    ...bare,
    steps,
    current: stepsLeft(steps, bare)[0] ?? null,
    log,
    ends: safeEnds({ now, log }),
    timers: [
      ...withSteadyTimes(settled).flatMap(({ step, at }) =>
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
      ...bare.again.flatMap(({ step, closes, words, at, readyAt }) =>
        closes === undefined ? [{ key: againKey(step), words, startedAt: at, readyAt, step }] : [],
      ),
    ],
  };
}
/**
 * The timer of a wait that an answer at this step began: “hot still”, “still damp”.
 *
 * @example againKey("cool") // "again:cool"
 */
export const againKey = (step: string) => `again:${step}`;
type Derived = Bare & Pick<RunState, "steps" | "current" | "log" | "ends" | "timers">;

/**
 * A run as its events come in, one after another: where it stands, and what a step back goes back to.
 * `replayRun` says by which rules.
 *
 * @example new RunReplay(job).state.current.id // "new-one-at-hand"
 */
export class RunReplay {
  #state: RunState;
  #moves: Move[] = [];
  /** Joined to the state when that is asked for: joined one by one, thousands of notes are copied as often. */
  #added: Partial<Gathered>[] = [];
  #taken = 0;

  constructor(
    private readonly job: RunJob,
    private readonly now?: string,
    private readonly beside?: Beside,
  ) {
    this.#state = stateOf(job, freshOf(job), {
      status: "going",
      undoes: null,
      notes: [],
      plates: [],
      photos: [],
      finish: null,
      refused: [],
    });
  }

  /** Where it stands after the events so far. */
  get state(): RunState {
    if (this.#added.length > 0) {
      this.#state = { ...this.#state, ...joined(this.#state, this.#added) };
      this.#added = [];
    }
    return this.#state;
  }

  /**
   * The same run to go on with by itself. With `now`, no event so far may be later than that; what is open
   * beside counts for the events from here on.
   *
   * @example new RunReplay(job).forked().state.status // "going"
   */
  forked(now?: string, open: readonly EndEntry[] = [], stopped?: string): RunReplay {
    const accepted = this.#taken;
    const fork = new RunReplay(this.job, now, { open, accepted, stopped });
    fork.#state = this.state;
    fork.#moves = this.#moves;
    fork.#taken = accepted;
    return fork;
  }

  /** Goes on by some events. */
  taking(events: readonly RunEvent[]): this {
    for (const event of events) this.take(event);
    return this;
  }

  /** Goes on by one event. */
  take(sent: RunEvent): void {
    const { job, now, beside } = this;
    const state = this.#state;
    const isNew = beside !== undefined && this.#taken >= beside.accepted;
    const elsewhere = isNew ? beside.open : [];
    const stopped = isNew ? beside.stopped : undefined;
    this.#taken++;
    const event =
      now !== undefined && Date.parse(sent.at) > Date.parse(now) ? { ...sent, at: now } : sent;
    const step = applied(job, state, event, elsewhere, stopped);
    if (step.kind === "refused") this.#added.push({ refused: [{ event: sent, why: step.why }] });
    else if (step.kind === "added") this.#added.push(step.more);
    else if (step.kind === "beside") this.#state = { ...state, ...step.change };
    else {
      const before = bareOf(state);
      if (step.kind === "moved") this.#moves = [...this.#moves, { step: step.at, before }];
      const back = step.kind === "back" ? this.#moves.at(-1) : undefined;
      if (step.kind === "back") {
        if (back?.step !== step.at) return;
        this.#moves = this.#moves.slice(0, -1);
      }
      const bare = back
        ? goneBack(job, state, back.before)
        : { ...before, ...(step.kind === "moved" ? step.change : {}) };
      this.#state = { ...stateOf(job, bare, state), undoes: this.#moves.at(-1)?.step ?? null };
    }
  }
}

/**
 * Where a run stands after its events, whatever device they came from. An event that was overtaken
 * (the same step done twice, a step back that another device took) changes nothing; one that the
 * rules forbid is listed as refused and changes nothing either. No event counts as later than
 * `now`: a clock that runs ahead dries nothing. What is open `beside` the run keeps power, gas and
 * water off for the events that are not accepted yet.
 *
 * @example replayRun(job, []).current.id // "new-one-at-hand"
 */
export function replayRun(
  job: RunJob,
  events: readonly RunEvent[],
  now?: string,
  beside?: Beside,
): RunState {
  return new RunReplay(job, now, beside).taking(events).state;
}

const bareOf = ({
  completed: settled,
  round,
  earlier,
  stillOpen,
  backOn,
  again,
  aborted,
  safetyStop,
  keptOff,
  madeSafe,
}: RunState): Bare => ({
  completed: settled,
  round,
  earlier,
  stillOpen,
  backOn,
  again,
  aborted,
  safetyStop,
  keptOff,
  madeSafe,
});

type Applied =
  | { kind: "refused"; why: RunRefusal }
  | { kind: "added"; more: Partial<Gathered> }
  /** Nothing Back would take back. */
  | { kind: "beside"; change: Partial<Omit<RunState, keyof Derived>> }
  | { kind: "moved"; at: string; change: Partial<Bare> }
  | { kind: "back"; at: string };

const nothing: Applied = { kind: "beside", change: {} };
const refuse = (why: RunRefusal): Applied => ({ kind: "refused", why });

function applied(
  job: RunJob,
  state: RunState,
  event: RunEvent,
  elsewhere: readonly EndEntry[],
  stopped: string | undefined,
): Applied {
  if (event.kind === "undone")
    return state.status === "finished"
      ? { kind: "beside", change: { status: "going", finish: null } }
      : nothing;
  if (state.status !== "going") return refuse("over");
  const { at } = event;
  switch (event.kind) {
    case "done":
      return doneAt(job, state, event, elsewhere, stopped);
    case "leave-open": {
      if (isBehind(state, event.step)) return nothing;
      const { current } = state;
      if (state.safetyStop) return refuse("on-hold");
      if (current?.id !== event.step) return refuse("not-the-step");
      if (!current.closes) return refuse("closes-nothing");
      return completeStep(state, {
        step: current,
        at,
        event: event.id,
        seen: {},
        leftOpen: event.words,
      });
    }
    case "handed-over": {
      if (isBehind(state, event.step)) return nothing;
      const { current } = state;
      if (state.safetyStop) return refuse("on-hold");
      if (current?.id !== event.step) return refuse("not-the-step");
      if (current.who !== "licensed") return refuse("nothing-to-hand-over");
      const move = completeStep(state, {
        step: current,
        at,
        event: event.id,
        seen: {},
        handedOver: true,
      });
      if (move.kind !== "moved" || state.aborted) return move;
      const { step } = event;
      const words = current.title;
      const aborted: Aborted = { step, at, event: event.id, reason: "licensed", words };
      const keptOff = current.keepsOff ? { words: current.keepsOff, at } : state.keptOff;
      return { ...move, change: { ...move.change, aborted, keptOff } };
    }
    case "turned-back": {
      if (state.aborted || !state.current) return nothing;
      const { step, reason, words, until } = event;
      const aborted = { step, at, event: event.id, reason, words, until };
      return { kind: "moved", at: ABORTED, change: { aborted } };
    }
    case "back":
      return { kind: "back", at: event.step };
    case "note":
      return { kind: "added", more: { notes: [{ step: event.step, words: event.words, at }] } };
    case "photo": {
      const { photo, step, moment } = event;
      return { kind: "added", more: { photos: [{ photo, step, moment }] } };
    }
    case "plate": {
      const { of, identity } = event;
      return { kind: "added", more: { plates: [{ of, identity }] } };
    }
    case "alarm": {
      if (state.safetyStop?.why === event.alarm) return nothing;
      const safetyStop: SafetyStop = { why: event.alarm, at, step: state.current?.id ?? "" };
      return { kind: "moved", at: ALARM, change: { safetyStop } };
    }
    case "made-safe": {
      if (!state.safetyStop) return nothing;
      // The alarm stays in the record; only the stop is lifted, and the run goes on where it was.
      const madeSafe = [...state.madeSafe, { words: event.words, at }];
      return { kind: "moved", at: MADE_SAFE, change: { safetyStop: null, madeSafe } };
    }
    case "kept-off":
      return keptOffAt(job, state, event);
    case "finished": {
      if (state.safetyStop) return refuse("on-hold");
      if (state.current) return refuse("steps-left");
      if (forgotten(job, state).length > 0) return refuse("ends-open");
      const { minutes, costMinor, used } = event;
      const finish = { at, minutes, costMinor, used };
      return { kind: "beside", change: { status: "finished", finish } };
    }
    case "stopped":
      // What the job before left off stands under its own name, with or without this one.
      return state.ends.open.some(({ id }) => !isTaken(job, id))
        ? refuse("ends-open")
        : { kind: "beside", change: { status: "stopped" } };
  }
}

/**
 * What was seen means stop, and nobody can make it safe here and now: the machine is put together, and stays
 * off. Where its power was on, it is off from now: an end of the run, with nothing in it that would close it.
 */
function keptOffAt(
  { place }: RunJob,
  state: RunState,
  { at, id, words }: Extract<RunEvent, { kind: "kept-off" }>,
): Applied {
  const { safetyStop, aborted, stillOpen } = state;
  if (safetyStop?.why !== "reading") return nothing;
  const unit = safetyStop.place ?? place.unit;
  const isOff = state.ends.open.some((end) => end.unit === unit && isIsolator(end));
  const elsewhere = unit === place.unit ? {} : { ofPlace: true as const };
  const end = { key: STOPPED_END, end: "switch-off" as const, thing: "power", state: "off" };
  const step = safetyStop.step;
  return {
    kind: "moved",
    at: KEPT_OFF,
    change: {
      safetyStop: null,
      keptOff: { words, at },
      aborted: aborted ?? { step, at, event: id, reason: "found", words },
      stillOpen: isOff ? stillOpen : [...stillOpen, { end: { ...end, ...elsewhere }, at, unit }],
    },
  };
}
/** The end of a machine that was running when something seen stopped it. */
const STOPPED_END = "stopped";

const isTaken = ({ procedure, setting, place }: RunJob, id: string): boolean =>
  takenEnds(procedure, setting).some(({ end }) => endId(place, end.key) === id);

/** What Back names when it takes back something that is no step. */
const ABORTED = "turned-back";
const ALARM = "alarm";
const MADE_SAFE = "made-safe";
const KEPT_OFF = "kept-off";

const isBehind = (state: RunState, step: string) =>
  state.completed.some((each) => each.step.id === step);

/** Ends that are open though no step is left that would close them, and nobody said why. */
const forgotten = (job: RunJob, state: RunState) =>
  state.ends.open.filter(
    ({ id }) =>
      !(state.keptOff && id === endId(job.place, STOPPED_END)) &&
      !state.completed.some(
        ({ step, leftOpen }) =>
          leftOpen !== undefined &&
          step.closes !== undefined &&
          id === endId(job.place, step.closes),
      ),
  );

function completeStep(state: RunState, completed: CompletedStep): Applied {
  const done = state.aborted ? { ...completed, onReturn: true as const } : completed;
  const keys = new Set((done.step.opens ?? []).map(({ key }) => key));
  const backOn = state.backOn.filter((key) => key !== done.step.closes && !keys.has(key));
  return {
    kind: "moved",
    at: completed.step.id,
    change: { completed: [...state.completed, done], backOn },
  };
}

/**
 * Why the step at hand cannot be done yet, if something has to come or pass before it.
 *
 * @param stopped why nothing of its machine comes back on, where a stop stands there
 * @example holdsUp(job, replayRun(job, []), replayRun(job, []).current, "2026-03-14T09:00:00Z") // null
 */
export function holdsUp(
  job: RunJob,
  state: RunState,
  step: Step,
  at: string,
  elsewhere: readonly EndEntry[] = [],
  stopped?: string,
): RunRefusal | null {
  if (step.who === "licensed" && job.qualification !== "licensed") return "licensed-only";
  // What means stop is seen to by licensed people: they have to see it run. Nobody else brings it back.
  const isHeld =
    state.keptOff !== null || (stopped !== undefined && job.qualification !== "licensed");
  if (isHeld && bringsBack(state, step)) return "kept-off";
  const blocks = blocksOf(job, state, step, at, elsewhere);
  if (blocks[0]) return blocks[0].why;
  const isWaiting = state.timers.some(
    ({ key, readyAt }) =>
      (step.waitsFor?.includes(key) === true || key === againKey(step.id)) &&
      Date.parse(readyAt) > Date.parse(at),
  );
  return isWaiting && !state.aborted ? "still-waiting" : null;
}

/** Whether a step brings power, gas or water back. */
const bringsBack = (state: RunState, { closes }: Step): boolean =>
  openedBy(state).some((end) => end.key === closes && isSupply(end));

/**
 * What keeps the end that a step closes from being closed at this instant.
 *
 * @example blocksOf(job, replayRun(job, []), replayRun(job, []).current, "2026-03-14T09:00:00Z") // []
 */
export function blocksOf(
  job: RunJob,
  state: RunState,
  step: Step,
  at: string,
  elsewhere: readonly EndEntry[] = [],
): LooseEnds["blocked"] {
  if (!step.closes) return [];
  const id = endId(job.place, step.closes);
  const last = state.log.at(-1)?.at ?? at;
  const now = Date.parse(at) < Date.parse(last) ? last : at;
  const log = [...elsewhere, ...state.log];
  return safeEnds({ now, log }, job.place.together).blocked.filter((block) => block.id === id);
}

function doneAt(
  job: RunJob,
  state: RunState,
  event: Extract<RunEvent, { kind: "done" }>,
  elsewhere: readonly EndEntry[],
  stopped: string | undefined,
): Applied {
  if ((event.round ?? 0) !== state.round || isBehind(state, event.step)) return nothing;
  const { current } = state;
  if (state.safetyStop) return refuse("on-hold");
  if (current?.id !== event.step) return refuse("not-the-step");
  const why = holdsUp(job, state, current, event.at, elsewhere, stopped);
  if (why) return refuse(why);
  const { grade, reading, choice, size, place, unit, each, alarms } = event;
  const { direction, count, words, acrossMm } = event;
  const seen: Seen = {
    grade,
    reading,
    choice,
    size,
    place,
    unit,
    each,
    alarms,
    direction,
    count,
    words,
    acrossMm,
  };
  const missing = seenProblem(current, seen, state.completed);
  if (missing) return refuse(missing);

  const { repeats } = current;
  const completed: CompletedStep = { step: current, at: event.at, event: event.id, seen };
  const word = wordOf(seen);
  if (repeats && word !== undefined && !repeats.until.includes(word)) {
    const from = state.completed.findIndex(({ step }) => step.id === repeats.from);
    const kept = from === -1 ? state.completed : state.completed.slice(0, from);
    const { wait } = repeats;
    const { id: step, closes } = current;
    const more: Again[] = wait
      ? [
          {
            step,
            ...(closes === undefined ? {} : { closes }),
            words: wait.words,
            at: event.at,
            readyAt: later(event.at, wait.minutes),
          },
        ]
      : [];
    return {
      kind: "moved",
      at: current.id,
      change: {
        completed: kept,
        round: state.round + 1,
        earlier: [
          ...state.earlier,
          ...state.completed.slice(kept.length).map((each) => each.step.id),
        ],
        again: [...state.again, ...more],
      },
    };
  }
  const moved = completeStep(state, completed);
  if (moved.kind !== "moved") return moved;
  const at = { at: event.at, step: current.id };
  if (current.endsJob && !state.aborted) {
    const { title, keepsOff } = current;
    const aborted: Aborted = { ...at, event: event.id, reason: "found", words: title };
    const keptOff = keepsOff ? { words: keepsOff, at: event.at } : state.keptOff;
    return { ...moved, change: { ...moved.change, aborted, keptOff } };
  }
  const stop = stopOf(current, seen);
  if (!stop) return moved;
  // Carbon monoxide concerns the whole house: the run stops and everybody leaves, whatever step it is at.
  const isGas = stop.reading === "smell" && stop.seen.value === "gas";
  const safetyStop: SafetyStop = isGas
    ? { ...at, why: "gas", event: event.id }
    : stop.reading === "co-ppm"
      ? { ...at, why: "co", event: event.id }
      : { ...at, why: "reading", event: event.id, ...stop };
  return { ...moved, change: { ...moved.change, safetyStop } };
}

/** What among the things seen at a step means stop. */
function stopOf(
  { records }: Step,
  { reading, each, alarms, place, choice }: Seen,
): { reading: ReadingKind; seen: ReadingSeen; place?: string } | null {
  const isStop = (kind: ReadingKind, seen: ReadingSeen) => judged(kind, seen)?.verdict === "stop";
  const [most] = (alarms ?? []).flatMap(({ ppm }) => ppm ?? []).sort((a, b) => b - a);
  if (most !== undefined) {
    const co: ReadingSeen = { value: most, unit: "ppm" };
    if (isStop("co-ppm", co)) return { reading: "co-ppm", seen: co };
  }
  if (records?.kind === "choice") {
    const reads = records.options.find(({ value }) => value === choice)?.reads;
    const said = reads && { value: reads.value };
    return said && isStop(reads.reading, said) ? { reading: reads.reading, seen: said } : null;
  }
  if (records?.kind !== "reading") return null;
  const kind = records.reading;
  const values: (ReadingSeen & { place?: string })[] = [
    ...(reading ? [{ ...reading, ...(place ? { place } : {}) }] : []),
    ...(each ?? []),
  ];
  const seen = values.find((value) => isStop(kind, value));
  return seen
    ? {
        reading: kind,
        seen: { value: seen.value, unit: seen.unit },
        ...(seen.place ? { place: seen.place } : {}),
      }
    : null;
}

/** Whether what a step asks for is there and readable. */
function seenProblem(
  { records, recordIsOptional }: Step,
  seen: Seen,
  completed: readonly CompletedStep[],
): RunRefusal | null {
  if (!records) return null;
  const isMissing = recordIsOptional ? null : "seen-missing";
  switch (records.kind) {
    case "look":
      return seen.grade || recordIsOptional ? null : "look-missing";
    case "filter-choice":
      return seen.place === undefined ? isMissing : null;
    case "reading": {
      const values: ReadingSeen[] = [...(seen.reading ? [seen.reading] : []), ...(seen.each ?? [])];
      if (values.length === 0) return isMissing;
      return values.every((value) => judged(records.reading, value)) ? null : "seen-unreadable";
    }
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
    case "direction":
      return seen.direction === undefined || seen.direction === "unknown" ? isMissing : null;
    case "alarms":
      return (seen.alarms ?? []).length === 0 ? isMissing : null;
    case "across":
      return seen.acrossMm === undefined ? isMissing : null;
    case "count": {
      if (seen.count === undefined) return isMissing;
      const before = completed.find(({ step }) => step.id === records.same)?.seen.count;
      return before !== undefined && before !== seen.count ? "count-differs" : null;
    }
    case "words":
      return seen.words === undefined ? isMissing : null;
    case "setting":
      if (seen.choice === undefined && seen.words === undefined) return isMissing;
      return !records.options || records.options.some(({ value }) => value === seen.choice)
        ? null
        : "seen-unreadable";
    case "settings":
    case "works":
      return (seen.each ?? []).length === 0 ? isMissing : null;
  }
}

/**
 * “core drying”: an end of a run in the words of its step.
 *
 * @example endWordsOf(replayRun(job, []), job.place, "run-1:nothing") // null
 */
export function endWordsOf(state: RunState, place: RunPlace, id: string): string | null {
  const end = openedBy(state).find(({ key }) => endId(place, key) === id);
  return end ? `${end.thing} ${end.state}` : null;
}

const MS_PER_MINUTE = 60_000;
/** A pause longer than this between two steps was no work, minutes. Our choice. */
const LONGEST_STEP_MINUTES = 15;

/**
 * Minutes at work as far as the steps tell: long pauses and waits count as one step's at most.
 *
 * @example minutesAtWork("2026-03-14T08:00:00Z", []) // 0
 */
export function minutesAtWork(startedAt: string, completed: readonly CompletedStep[]): number {
  let before = Date.parse(startedAt);
  let sum = 0;
  for (const { at, step } of withSteadyTimes(completed)) {
    const minutes = (Date.parse(at) - before) / MS_PER_MINUTE;
    before = Date.parse(at);
    if (step.kind !== "wait") sum += Math.min(Math.max(0, minutes), LONGEST_STEP_MINUTES);
  }
  return Math.round(sum);
}
