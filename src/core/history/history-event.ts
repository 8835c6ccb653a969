import type { Grade } from "../filters/belief";
import type { PlainDate } from "../quantities/plain-date";
import type { KeptReading } from "../readings/judge";
import type { Conditions } from "../readings/conditions";
import type { ReadingKind } from "../readings/reading-kinds";

/** What was measured or seen, in the unit it is judged in, and as it was typed. */
export type ReadingTaken = Omit<KeptReading, "kind"> & {
  kind: ReadingKind;
  typed?: { value: string; unit: string };
  conditions?: Conditions;
};

export const HISTORY_KINDS = [
  "fitted",
  "cleaned",
  "done",
  "look",
  "reading",
  "noticed",
  "breakdown",
  "forgotten",
  "put-off",
  "note",
  "withdrawn",
] as const;
export type HistoryKind = (typeof HISTORY_KINDS)[number];

/** What is known of a machine that stopped, beyond the day and the words. */
export type Breakdown = {
  /** What its display showed, as it was written there. */
  code?: string;
  /** What was found, and what had caused it. */
  found?: string;
  cause?: string;
  /** Days without it. */
  daysWithout?: number;
  /** What would have prevented it: a job, or in words of one’s own. */
  prevented?: { taskId: string } | { words: string };
  /** The job that follows from it. */
  follows?: string;
};

export type HistoryEvent = {
  id: string;
  kind: HistoryKind;
  unitId?: string;
  partId?: string;
  itemId?: string;
  /** Which of the jobs of its place was done; the first of them where it does not say. */
  taskKey?: string;
  date: PlainDate;
  recordedAt: string;
  corrects?: string;
  runId?: string;
  /** The technician’s visit it belongs to. */
  visitId?: string;
  words?: string;
  minutes?: number;
  costMinor?: number;
  /** Of a deferred job: when to try again. */
  until?: PlainDate;
  look?: { grade?: Grade; pressureDropPa?: number };
  reading?: ReadingTaken;
  /** What somebody of the household noticed, as `family:word`. */
  sign?: string;
  /** The room it was noticed in, where it is of no machine. */
  roomId?: string;
  breakdown?: Breakdown;
  /** Who saw to what meant stop at its place: it lets that go. What was found stands in the words. */
  seenBy?: string;
};
