import type { ReadingKind } from "../readings/reading-kinds";
import type { Doer } from "./doers";
import type { EndEntry, EndKind, LooseEnds } from "./loose-ends";
import type { Procedure, RunSetting, Step } from "./procedure";
import type { Alarm, NotPossible, PhotoMoment, ReadingSeen, RunEvent, Seen } from "./run-event";

/** A step that is behind us: done, left open with words, or left to somebody licensed. */
export type Settled = {
  step: Step;
  at: string;
  event: string;
  seen: Seen;
  leftOpen?: string;
  handedOver?: true;
  /** Done on the way back, after the job turned out not to be possible. */
  onReturn?: true;
};

export type RunRefusal =
  | "not-the-step"
  | "power-comes-last"
  | "still-drying"
  | "after-another"
  | "still-waiting"
  | "licensed-only"
  | "nothing-to-hand-over"
  | "look-missing"
  | "seen-missing"
  | "seen-unreadable"
  | "closes-nothing"
  | "steps-left"
  | "ends-open"
  | "on-hold"
  | "over";

/** A time that runs by itself. */
export type Timer = {
  key: string;
  words: string;
  startedAt: string;
  readyAt: string;
  step: string;
};

export type TurnedBack = {
  step: string;
  at: string;
  event: string;
  reason: NotPossible;
  words: string;
  until?: string;
};

/** Why nothing goes on: an alarm, or a reading that means stop. */
export type Hold = { at: string; step: string } & (
  { why: Alarm } | { why: "reading"; reading: ReadingKind; seen: ReadingSeen; event: string }
);

export type Finish = { at: string; minutes?: number; costMinor?: number; used?: string[] };

export type RunState = {
  status: "going" | "finished" | "stopped";
  steps: Step[];
  settled: Settled[];
  /** The step to do now; null when only the finish is left. */
  current: Step | null;
  /** How often it has gone back to repeat. */
  round: number;
  /** The step whose doing Back takes back. */
  undoes: string | null;
  log: EndEntry[];
  ends: LooseEnds;
  timers: Timer[];
  turnedBack: TurnedBack | null;
  hold: Hold | null;
  madeSafe: { words: string; at: string }[];
  notes: { step: string; words: string; at: string }[];
  photos: { photo: string; step: string; moment: PhotoMoment }[];
  finish: Finish | null;
  refused: { event: RunEvent; why: RunRefusal }[];
};

export type RunPlace = { unit: string; part?: string; run: string; isolator: EndKind };

/** Everything of a run that does not change: its job, where it is done, by whom. */
export type RunJob = {
  procedure: Procedure;
  setting: RunSetting;
  place: RunPlace;
  doer: Doer;
};
