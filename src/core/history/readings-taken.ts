import { judge, judgeInput, type Judgement } from "../readings/judge";
import type { HistoryEvent, ReadingTaken } from "./history-event";

/** A reading in the record, with what it comes to. */
export type JudgedReading = { event: HistoryEvent; taken: ReadingTaken; judgement: Judgement };

/**
 * The verdict of a reading that was just taken; what was typed plays no part in it.
 *
 * @throws when it cannot be judged: the form lets none through
 * @example judgementOf({ kind: "noise", value: "bang" }).verdict // "stop"
 */
export const judgementOf = ({ typed: _, conditions: __, ...taken }: ReadingTaken): Judgement =>
  judge(judgeInput.parse(taken));

/** The same for what is stored: null where it cannot be judged any more. */
function storedJudgement({ typed: _, conditions: __, ...taken }: ReadingTaken): Judgement | null {
  const input = judgeInput.safeParse(taken);
  return input.success ? judge(input.data) : null;
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
