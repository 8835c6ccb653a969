import type { PlainDate } from "../quantities/plain-date";

/** Why a technician comes. */
export const VISIT_REASONS = ["yearly", "half-yearly", "breakdown", "finding", "other"] as const;
export type VisitReason = (typeof VISIT_REASONS)[number];

/** How a visit left the machines, from well to not to be used. */
export const VISIT_VERDICTS = ["sound", "watch", "repair", "out-of-use"] as const;
export type VisitVerdict = (typeof VISIT_VERDICTS)[number];

/** What the owner decided of a finding: not yet, done now, watched until a day, declined. */
export const DECISIONS = ["open", "now", "watch", "declined"] as const;
export type Decision = (typeof DECISIONS)[number];

export type Visit = {
  id: string;
  contactId?: string;
  reason: VisitReason;
  /** The day it is planned for, or was. */
  on?: PlainDate;
  unitIds: string[];
  questions?: string;
  /** Instants, ISO 8601. */
  beganAt?: string;
  endedAt?: string;
  verdict?: VisitVerdict;
  words?: string;
  minutes?: number;
  costMinor?: number;
  signedBy?: string;
  /** The next appointment. */
  nextOn?: PlainDate;
};

export type VisitState = "planned" | "under-way" | "over";

/**
 * How far a visit has come.
 *
 * @example visitState({ beganAt: "2026-03-14T09:00:00Z" }) // "under-way"
 */
export const visitState = ({ beganAt, endedAt }: Pick<Visit, "beganAt" | "endedAt">): VisitState =>
  endedAt ? "over" : beganAt ? "under-way" : "planned";

export type Finding = {
  id: string;
  visitId: string;
  unitId: string;
  partId?: string;
  words: string;
  advice?: string;
  priceMinor?: number;
  decision: Decision;
  until?: PlainDate;
  because?: string;
  settledOn?: PlainDate;
};

/** Who looks at a visit or writes in it: somebody of the household, or its technician alone. */
export type Asker = { kind: "household" } | { kind: "technician"; visitId: string };
export const HOUSEHOLD: Asker = { kind: "household" };

/**
 * Whether somebody may see a visit and write in it: the household all of them, a technician their own
 * until it is over.
 *
 * @example mayWrite({ kind: "technician", visitId: "v1" }, { id: "v2" }) // false
 */
export const mayWrite = (asker: Asker, visit: Pick<Visit, "id" | "endedAt">): boolean =>
  asker.kind === "household" || (asker.visitId === visit.id && visit.endedAt === undefined);

/** Days before what is watched is due again in which it already stands on Today. */
export const FINDING_NEAR_DAYS = 14;

/**
 * A finding that asks for the owner again: nobody decided, it was to be done and was not, or the day
 * until which it is watched is near or past.
 *
 * @param nearBy the last day that counts as near
 * @example isBack({ decision: "declined" }, "2026-03-28") // false
 */
export function isBack(
  { decision, until, settledOn }: Pick<Finding, "decision" | "until" | "settledOn">,
  nearBy: PlainDate,
): boolean {
  if (settledOn !== undefined || decision === "declined") return false;
  return decision !== "watch" || (until !== undefined && until <= nearBy);
}
