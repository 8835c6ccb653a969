import { z } from "zod";
import { isIsolator, safeEnds, type EndEntry } from "./loose-ends";
import type { ReadingKind } from "../readings/reading-kinds";
import {
  EITHER_OR,
  LEFT_OPEN,
  procedureSchema,
  stepsFor,
  wokenEnds,
  type JobFact,
  type Procedure,
  type RunSetting,
  type Step,
  type StepEnd,
} from "./procedure";

export const LINT_RULES = [
  "id-twice",
  "refers-to-nothing",
  "counts-once",
  "opened-twice",
  "closes-nothing",
  "left-open",
  "out-of-turn",
  "power-first",
  "power-last",
  "gas-last",
  "water-last",
  "setting-unmarked",
  "wet-before-dry",
  "refit-before-dry",
  "no-drying-time",
  "ends-in-a-loop",
  "runs-dead",
  "licensed-offered",
] as const;
export type LintRule = (typeof LINT_RULES)[number];

export const lintProceduresInput = z
  .strictObject({ procedures: z.array(procedureSchema) })
  .superRefine(({ procedures }, context) =>
    procedures.forEach((procedure, i) => {
      const count = waysCount(procedure);
      if (count > MOST_WAYS)
        context.addIssue({
          code: "custom",
          path: ["procedures", i, "steps"],
          message: `it can go ${count} ways: more than ${MOST_WAYS} are not looked at`,
        });
    }),
  );
export const lintProceduresOutput = z.strictObject({
  faults: z.array(
    z.strictObject({
      procedure: z.string(),
      /** Empty where a procedure has only one way. */
      variant: z.string(),
      step: z.string(),
      rule: z.enum(LINT_RULES),
    }),
  ),
});
export type LintFault = z.output<typeof lintProceduresOutput>["faults"][number];

/** What the ways of a procedure differ by. */
type Branches = {
  facts: JobFact[];
  /** Steps that something hangs on, each with the words that matter. */
  asked: { step: string; words: string[] }[];
  /** Steps done in a round before: none, or all that are done once. */
  rounds: string[][];
};

function branchesOf({ steps }: Procedure): Branches {
  const facts = steps.flatMap((step) =>
    [step.when, ...(step.opens ?? []).map((end) => end.when)].filter(
      (fact): fact is JobFact => fact !== undefined,
    ),
  );
  // Each step that something hangs on shows one of the words that matter, or none of them.
  const hangs = steps.flatMap(({ whenSeen, unlessSeen }) =>
    [whenSeen, unlessSeen].filter((each) => each !== undefined),
  );
  const asked = [...new Set(hangs.map(({ step }) => step))].map((step) => ({
    step,
    words: [...new Set(hangs.flatMap((each) => (each.step === step ? each.is : [])))],
  }));
  // What is done once is not done in a second round.
  const once = steps.flatMap((step) => (step.once ? [step.id] : []));
  return { facts: [...new Set(facts)], asked, rounds: once.length > 0 ? [[], once] : [[]] };
}

/** More ways than this are not gone one by one: a procedure of that many is for no person. */
const MOST_WAYS = 50_000;

/**
 * How many ways a procedure can go, counted without going them.
 *
 * @example waysCount(job.procedure) === waysOf(job.procedure).length // true
 */
export function waysCount(procedure: Procedure): number {
  const { facts, asked, rounds } = branchesOf(procedure);
  const words = asked.reduce((product, each) => product * (each.words.length + 1), 1);
  const variants = procedure.variants?.length ?? 1;
  const either = EITHER_OR.filter((pair) => pair.every((fact) => facts.includes(fact)));
  return (
    variants *
    2 ** (facts.length - either.length) *
    parkedBefore(procedure).length *
    words *
    rounds.length
  );
}

/**
 * Every way a procedure can go: each variant, with every set of facts and of things seen. Grows as two
 * to the number of yes-or-no facts: for checks, not for screens.
 *
 * @example waysOf(job.procedure).length > 1 // true
 */
export function waysOf(procedure: Procedure): { setting: RunSetting; steps: Step[] }[] {
  const { facts, asked, rounds } = branchesOf(procedure);
  let seen: Map<string, string>[] = [new Map()];
  for (const { step, words } of asked)
    seen = seen.flatMap((map) => [map, ...words.map((word) => new Map([...map, [step, word]]))]);
  const variants = procedure.variants?.map((variant) => variant.id) ?? [null];
  return variants.flatMap((variant) =>
    placesWith(facts).flatMap((some) =>
      parkedBefore(procedure).flatMap((parked) => {
        const setting = { facts: some, variant, ...parked };
        return seen.flatMap((words) =>
          rounds.map((before) => ({
            setting,
            steps: stepsFor(procedure, setting, words, new Set(before)),
          })),
        );
      }),
    ),
  );
}

/** With nothing left parked by an earlier season, and with all that the steps wake. */
function parkedBefore({ steps }: Procedure): Pick<RunSetting, "parked">[] {
  const parked = steps.flatMap(({ wakes }) =>
    wakes ? [{ key: wakes.key, end: wakes.end, id: `before:${wakes.key}`, since: LONG_AGO }] : [],
  );
  return parked.length > 0 ? [{}, { parked }] : [{}];
}
const LONG_AGO = "1999-06-01T00:00:00Z";

/** Every set of facts that one place can have. */
const placesWith = (facts: readonly JobFact[]): JobFact[][] => {
  const either = EITHER_OR.filter((pair) => pair.every((fact) => facts.includes(fact)));
  return subsets(facts).filter((some) =>
    either.every(([one, other]) => some.includes(one) !== some.includes(other)),
  );
};

const subsets = <T>(all: readonly T[]): T[][] =>
  all.reduce<T[][]>((sets, each) => [...sets, ...sets.map((set) => [...set, each])], [[]]);

/**
 * Proves of procedures, in every way they can go, that they may be handed to a person: nothing is left
 * off or open, power comes last, a caution stands before what can hurt, and no householder is led into
 * licensed work. Each problem names procedure, step and rule; none means sound.
 *
 * @source docs/sources.md#procedures
 * @example lintProcedures({ procedures: [job.procedure] }).faults // []
 */
export function lintProcedures({ procedures }: z.output<typeof lintProceduresInput>): {
  faults: LintFault[];
} {
  const faults = new Map<string, LintFault>();
  for (const procedure of procedures) {
    const noteIn =
      (variant: string): Note =>
      (step, rule) => {
        const fault = { procedure: procedure.id, variant, step, rule };
        faults.set(Object.values(fault).join("\n"), fault);
      };
    checkReferences(procedure, noteIn(""));
    for (const { setting, steps } of waysOf(procedure))
      checkWay(procedure, setting, steps, noteIn(setting.variant ?? ""));
  }
  return { faults: [...faults.values()] };
}

type Note = (step: string, rule: LintRule) => void;

function checkReferences(procedure: Procedure, note: Note): void {
  const { steps, variants = [] } = procedure;
  const ids = steps.map((step) => step.id);
  const variantIds = new Set(variants.map((variant) => variant.id));
  steps.forEach((step, i) => {
    if (ids.indexOf(step.id) !== i) note(step.id, "id-twice");
    const earlier = ids.slice(0, i);
    const refersWell =
      (step.variants ?? []).every((variant) => variantIds.has(variant)) &&
      [step.whenSeen, step.unlessSeen].every(
        (seen) => seen === undefined || earlier.includes(seen.step),
      ) &&
      (step.repeats === undefined || ids.slice(0, i + 1).includes(step.repeats.from)) &&
      (step.insteadOf === undefined ||
        steps.some(({ id, once }) => id === step.insteadOf && once === true)) &&
      (step.recalls ?? []).every((each) => earlier.includes(each)) &&
      (step.records?.kind !== "count" ||
        step.records.same === undefined ||
        earlier.includes(step.records.same));
    if (!refersWell) note(step.id, "refers-to-nothing");
    if (step.repeats && step.records === undefined) note(step.id, "refers-to-nothing");
  });
}

function checkWay(
  procedure: Procedure,
  setting: RunSetting,
  steps: readonly Step[],
  note: Note,
): void {
  if (steps.filter((step) => step.renews).length !== 1) note(steps.at(-1)?.id ?? "", "counts-once");
  checkEnds(wokenEnds(procedure, setting), steps, note);
  checkCleaning(steps, note);
  checkRunning(steps, note);
  checkLoops(steps, note);
  checkWaits(steps, note);
  checkSettings(steps, note);
  if (procedure.who !== "licensed") checkLicensed(steps, note);
}

function checkWaits(steps: readonly Step[], note: Note): void {
  const started = new Set<string>();
  for (const step of steps) {
    if (step.waitsFor?.some((key) => !started.has(key))) note(step.id, "refers-to-nothing");
    if (step.starts) started.add(step.starts.key);
  }
}

/** Readings that a machine gives only while it runs. */
const OF_A_RUNNING_MACHINE: readonly ReadingKind[] = [
  "flame",
  "noise",
  "motor-amps",
  "temperature-rise-k",
  "cooling-split-k",
  "static-pressure-pa",
  "filter-drop",
  "flame-current-ua",
  "superheat-k",
  "subcooling-k",
];
const needsRunning = ({ runs, records }: Step): boolean =>
  runs === true ||
  (records?.kind === "reading" &&
    records.of === undefined &&
    OF_A_RUNNING_MACHINE.includes(records.reading));

/**
 * What shows only while the machine runs is looked at before its power is off, or once it is back; and not at
 * all where somebody left it off.
 */
function checkRunning(steps: readonly Step[], note: Note): void {
  const off = new Set<string>();
  let backAt: string | null = null;
  for (const step of steps) {
    if (needsRunning(step)) {
      const isPassed =
        backAt === null ||
        (step.unlessSeen?.step === backAt && step.unlessSeen.is.includes(LEFT_OPEN));
      if (off.size > 0 || !isPassed) note(step.id, "runs-dead");
    }
    for (const end of step.opens ?? [])
      if (isIsolator({ end: end.end, part: partOf(end) })) off.add(end.key);
    if (step.closes !== undefined && off.delete(step.closes) && off.size === 0) backAt = step.id;
  }
}

/**
 * What is turned up or down for a while is an end like any other: of the step that turns it, which opens it or
 * puts it back. An end that another setting left open covers no second one.
 */
function checkSettings(steps: readonly Step[], note: Note): void {
  const open = new Set<string>();
  for (const { id, closes, opens = [], changesSetting } of steps) {
    const putsBack = closes !== undefined && open.delete(closes);
    const turned = opens.filter(({ end }) => end === "setting-changed");
    for (const { key } of turned) open.add(key);
    const isItsOwn = typeof changesSetting === "string" && open.has(changesSetting);
    if (changesSetting && turned.length === 0 && !putsBack && !isItsOwn)
      note(id, "setting-unmarked");
  }
}

/** An owner's job says what a licensed person is called for, and leaves the doing to them. */
function checkLicensed(steps: readonly Step[], note: Note): void {
  for (const step of steps) {
    const opens = step.opens ?? [];
    const doesSomething = opens.length > 0 || step.closes !== undefined || step.renews;
    if (step.who === "licensed" && (step.kind !== "caution" || doesSomething))
      note(step.id, "licensed-offered");
    // A vent pipe that comes off has to be tested for leaks when it goes back.
    if (opens.some(({ end }) => end === "vent-off")) note(step.id, "licensed-offered");
  }
}

/** A loop that goes back over an end would open it twice. */
function checkLoops(steps: readonly Step[], note: Note): void {
  for (const [i, { repeats }] of steps.entries()) {
    if (!repeats) continue;
    const from = steps.findIndex((step) => step.id === repeats.from);
    for (const [j, step] of steps.entries()) {
      if (j < from || j > i) continue;
      // The step that asks closes its end only once the answer leads on.
      const closes = j < i && step.closes !== undefined;
      if (step.opens?.length || closes || step.renews) note(step.id, "ends-in-a-loop");
    }
  }
}

type Open = { end: StepEnd; step: string };
const needsPowerOff = ({ end }: StepEnd) =>
  end === "panel-off" || end === "part-out" || end === "sensor-out";
/** What a procedure's end is called in the log: a switch inside the machine names its part. */
const partOf = ({ isInside }: StepEnd) => (isInside ? "inside" : undefined);
const RULE_OF = {
  "power-comes-last": "power-last",
  "gas-comes-last": "gas-last",
  "water-comes-last": "water-last",
  "still-drying": "refit-before-dry",
  "after-another": "refit-before-dry",
} as const;

function checkEnds(woken: ReturnType<typeof wokenEnds>, steps: readonly Step[], note: Note): void {
  let clock = Date.UTC(2000, 0, 1);
  const wasOpened = new Set<string>();
  const entry = (end: StepEnd, action: "open" | "close" | "park"): EndEntry => ({
    id: end.key,
    unit: "unit",
    part: partOf(end),
    end: end.end,
    at: new Date(clock).toISOString(),
    action,
    readyAt:
      action === "open" && end.dryMinutes
        ? new Date(clock + end.dryMinutes * 60_000).toISOString()
        : undefined,
    after: action === "open" ? end.after : undefined,
  });
  let open: Open[] = woken.map(({ end }) => ({ end, step: "" }));
  let log: EndEntry[] = woken.map(({ end }) => entry(end, "open"));
  for (const step of steps) {
    clock += 60_000;
    if (step.closes !== undefined) {
      const closing = open.find(({ end }) => end.key === step.closes);
      if (!closing) note(step.id, "closes-nothing");
      else {
        const { end } = closing;
        // What dries is closed when it is dry: the run sees to that.
        if (end.dryMinutes) clock += end.dryMinutes * 60_000;
        const now = new Date(clock).toISOString();
        for (const block of safeEnds({ now, log }).blocked)
          if (block.id === end.key) note(step.id, RULE_OF[block.why]);
        const last = open.findLast(({ end: each }) => !each.parks);
        if (last !== closing && !step.outOfTurn && !step.wakes) note(step.id, "out-of-turn");
        open = open.filter((each) => each !== closing);
        log = [...log, entry(end, "close")];
      }
    }
    for (const end of step.opens ?? []) {
      if (wasOpened.has(end.key)) note(step.id, "opened-twice");
      if (end.end === "part-drying" && !end.dryMinutes) note(step.id, "no-drying-time");
      if (
        needsPowerOff(end) &&
        !end.harmless &&
        !open.some(({ end: each }) => isIsolator({ end: each.end, part: partOf(each) }))
      )
        note(step.id, "power-first");
      if (wasOpened.has(end.key)) continue;
      wasOpened.add(end.key);
      open = [...open, { end, step: step.id }];
      log = [...log, entry(end, end.parks ? "park" : "open")];
    }
  }
  for (const { end, step } of open) if (!end.parks) note(step, "left-open");
}

/**
 * Dry cleaning comes before wet, and what was wet dries before it goes back. A drying takes in what is wet when
 * it begins and dries nowhere else yet; its end frees that, and nothing that was wetted since.
 */
function checkCleaning(steps: readonly Step[], note: Note): void {
  /** By the part; `dryingIn` is the end by which it dries, null before it is set down to. */
  const wet = new Map<string, { isDry: boolean; staysWet: boolean; dryingIn: string | null }>();
  for (const { id, cleans, closes, opens = [] } of steps) {
    if (cleans?.how === "dry" && wet.has(cleans.what)) note(id, "wet-before-dry");
    if (cleans?.how === "wet")
      wet.set(cleans.what, {
        isDry: false,
        staysWet: cleans.staysWet === true,
        dryingIn: null,
      });
    for (const { end, key } of opens)
      if (end === "part-drying")
        for (const part of wet.values()) if (!part.isDry) part.dryingIn ??= key;
    if (closes === undefined) continue;
    for (const part of wet.values())
      if (part.dryingIn === closes) {
        part.isDry = true;
        part.dryingIn = null;
      }
    const goesBack = wet.get(closes);
    if (!goesBack) continue;
    const isStillDrying = goesBack.dryingIn !== null;
    if (isStillDrying || (!goesBack.isDry && !goesBack.staysWet)) note(id, "refit-before-dry");
  }
}
