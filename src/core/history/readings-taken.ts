import { judge, judgeInput, type Judgement } from "../readings/judge";
import type { HistoryEvent, HomeBook, ReadingTaken } from "../inventory/inventory";
import { effectiveHistory } from "./effective-history";

/** A reading in the record, with what it comes to. */
export type JudgedReading = { event: HistoryEvent; taken: ReadingTaken; judgement: Judgement };

export const judgementOf = ({ typed: _, ...taken }: ReadingTaken): Judgement =>
  judge(judgeInput.parse(taken));

/** The same for what is stored: null where it cannot be judged any more. */
function storedJudgement({ typed: _, ...taken }: ReadingTaken): Judgement | null {
  const input = judgeInput.safeParse(taken);
  return input.success ? judge(input.data) : null;
}

const known = new WeakMap<readonly HistoryEvent[], JudgedReading[]>();

/** Every reading of a home that counts, judged, the oldest first; worked out once for a record. */
export function readingsOf({ events }: Pick<HomeBook, "events">): JudgedReading[] {
  let readings = known.get(events);
  if (!readings) {
    const taken = events.filter((event) => event.kind === "reading" || event.corrects);
    readings = effectiveHistory(taken).flatMap((event) => {
      const judgement = event.reading && storedJudgement(event.reading);
      return event.reading && judgement ? [{ event, taken: event.reading, judgement }] : [];
    });
    known.set(events, readings);
  }
  return readings;
}
