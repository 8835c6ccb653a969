import { judgeKept, type KeptJudgement } from "../readings/judge";
import type { HistoryEvent, ReadingTaken } from "./history-event";

/** A reading in the record, with what it comes to. */
export type JudgedReading = { event: HistoryEvent; taken: ReadingTaken; judgement: KeptJudgement };

/** How something stored is judged: what was typed plays no part in it. Null where it cannot be any more. */
const storedJudgement = ({
  typed: _,
  conditions: __,
  ...taken
}: ReadingTaken): KeptJudgement | null => judgeKept(taken);

/**
 * The verdict of a reading that was just taken.
 *
 * @throws when it cannot be judged: the form lets none through
 * @example judgementOf({ kind: "noise", value: "bang" }).verdict // "stop"
 */
export function judgementOf(taken: ReadingTaken): KeptJudgement {
  const judgement = storedJudgement(taken);
  if (!judgement) throw new Error(`judgementOf: ${taken.kind} cannot be judged`);
  return judgement;
}

/**
 * The readings among some entries, each with its verdict, in their order; what cannot be judged any
 * more is left out.
 *
 * @example judged([event("reading", 0, { reading: { kind: "noise", value: "bang" } })])[0].judgement.verdict // "stop"
 */
export const judged = (events: readonly HistoryEvent[]): JudgedReading[] =>
  events.flatMap((event) => {
    const judgement = event.reading && storedJudgement(event.reading);
    return event.reading && judgement ? [{ event, taken: event.reading, judgement }] : [];
  });
