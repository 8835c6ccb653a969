import type { ReadingKind } from "../readings/reading-kinds";
import type { Identity } from "../inventory/identity";
import type { Qualification } from "./qualification";
import type { EndEntry, EndKind, LooseEnds, Together } from "./loose-ends";
import type { Procedure, RunSetting, Step, StepEnd } from "./procedure";
import type { Alarm, NotPossible, PhotoMoment, ReadingSeen, RunEvent, Seen } from "./run-event";

/** A step that is behind us: done, left open with words, or left to somebody licensed. */
export type CompletedStep = {
  step: Step;
  at: string;
  event: string;
  seen: Seen;
  leftOpen?: string;
  handedOver?: true;
  /** Done on the way back, after the job turned out not to be possible. */
  onReturn?: true;
};

export const RUN_REFUSALS = [
  "not-the-step",
  "power-comes-last",
  "still-drying",
  "after-another",
  "gas-comes-last",
  "water-comes-last",
  "still-waiting",
  "licensed-only",
  "nothing-to-hand-over",
  "look-missing",
  "seen-missing",
  "seen-unreadable",
  "count-differs",
  "closes-nothing",
  "steps-left",
  "ends-open",
  "on-hold",
  "kept-off",
  "over",
] as const;
export type RunRefusal = (typeof RUN_REFUSALS)[number];

/** Why an event did not count: by the rules of a run, or as it could not be taken at all. */
export const NOT_TAKEN = [
  ...RUN_REFUSALS,
  "too-late",
  "clock-off",
  "unreadable",
  "unknown-place",
  "conflict",
] as const;
export type NotTaken = (typeof NOT_TAKEN)[number];

/** An end that was opened at a step which Back has taken back: it is open all the same. */
export type StillOpen = {
  end: StepEnd;
  at: string;
  /** The machine it is at, where that is not the run’s own. */
  unit?: string;
};

/** That what feeds the machine stays off when the run is over, since when, and why. */
export type KeptOff = { words: string; at: string };

/** A wait that an answer began: hot still, damp still. */
export type Again = { step: string; closes?: string; words: string; at: string; readyAt: string };

/** A time that runs by itself. */
export type Timer = {
  key: string;
  words: string;
  startedAt: string;
  readyAt: string;
  step: string;
};

export type Aborted = {
  step: string;
  at: string;
  event: string;
  reason: NotPossible;
  words: string;
  until?: string;
};

/** Why nothing goes on: an alarm, or a reading that means stop. */
export type SafetyStop = { at: string; step: string } & (
  | { why: Alarm; event?: string }
  | {
      why: "reading";
      reading: ReadingKind;
      seen: ReadingSeen;
      event: string;
      /** The machine it was seen at, where a job goes through the house. */
      place?: string;
    }
);

export type Finish = { at: string; minutes?: number; costMinor?: number; used?: string[] };

export type RunState = {
  status: "going" | "finished" | "stopped";
  steps: Step[];
  completed: CompletedStep[];
  /** The step to do now; null when only the finish is left. */
  current: Step | null;
  /** How often it has gone back to repeat. */
  round: number;
  /** Steps done in a round before this one. */
  earlier: string[];
  /** Ends of steps gone back over, until a step or words close them. */
  stillOpen: StillOpen[];
  /** Supplies that were on again when Back went over their step: off they must be before anything opens. */
  backOn: string[];
  again: Again[];
  /** The step whose doing Back takes back. */
  undoes: string | null;
  log: EndEntry[];
  ends: LooseEnds;
  timers: Timer[];
  aborted: Aborted | null;
  safetyStop: SafetyStop | null;
  /** Nothing of this run brings power, gas or water back any more. */
  keptOff: KeptOff | null;
  madeSafe: { words: string; at: string }[];
  notes: { step: string; words: string; at: string }[];
  /** What was read off plates on the way. */
  plates: { of: "unit" | "part"; identity: Identity }[];
  photos: { photo: string; step: string; moment: PhotoMoment }[];
  finish: Finish | null;
  refused: { event: RunEvent; why: RunRefusal }[];
};

export type RunPlace = {
  unit: string;
  part?: string;
  run: string;
  isolator: EndKind;
  /** Other machines behind the same shut-offs. */
  together?: readonly Together[];
};

/**
 * What else is open at the machines of a run: of other runs, or left over from ended ones. It counts
 * for what is done now, never for what was accepted before.
 */
export type Beside = {
  open: readonly EndEntry[];
  accepted: number;
  /** Why nothing of its machine comes back on, where a stop stands there that nobody has seen to. */
  stopped?: string | undefined;
};

/** Everything of a run that does not change: its job, where it is done, by whom. */
export type RunJob = {
  procedure: Procedure;
  setting: RunSetting;
  place: RunPlace;
  qualification: Qualification;
};
