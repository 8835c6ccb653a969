import type { HistoryEvent } from "../history/history-event";
import { judge, judgeInput } from "../readings/judge";
import type { ReadingKind, Verdict } from "../readings/reading-kinds";

/** What somebody of the household notices, without measuring: weak air, a smell, a light. */
export type Sign = {
  /** `family:word`; never used again for another sign. */
  id: string;
  /** The reading it also is, where there is one. */
  reading?: { kind: ReadingKind; value: string };
  /** Nothing runs on before somebody saw to it. */
  isStop?: true;
  /** That it has gone again, or that all is as it should be: it calls for nothing. */
  isWell?: true;
};

/**
 * What a sign is of: signs of one family at one place take each other’s place.
 *
 * @example familyOf("smell:burning") // "smell"
 */
export const familyOf = (sign: string): string => sign.split(":")[0] ?? sign;

/** An entry of what was noticed. */
export type NoticedEvent = HistoryEvent & { sign: string };

/**
 * What was noticed and holds still: the last sign of each family at each place, the oldest first. One that means
 * stop gives way only to a word of who saw to it.
 *
 * @param noticed the oldest first
 * @param isStop whether a sign means stop, where that is asked for
 * @example stillNoticed([]) // []
 */
export function stillNoticed(
  noticed: readonly NoticedEvent[],
  isStop: (sign: string) => boolean = () => false,
): NoticedEvent[] {
  const last = new Map<string, NoticedEvent>();
  for (const event of noticed) {
    const key = `${familyOf(event.sign)} ${event.partId ?? ""} ${event.unitId ?? ""}`;
    const before = last.get(key);
    const holds = before && isStop(before.sign) && event.seenBy === undefined;
    if (holds && !isStop(event.sign)) continue;
    last.delete(key);
    last.set(key, event);
  }
  return [...last.values()];
}

/**
 * How bad a sign is: that of its reading, else a sign to watch; sound where it says that all is well.
 *
 * @example verdictOfSign({ id: "smell:gas", reading: { kind: "smell", value: "gas" } }) // "stop"
 */
export const verdictOfSign = ({ reading, isWell, isStop }: Sign): Verdict => {
  if (isWell) return "sound";
  if (isStop) return "stop";
  return reading ? judge(judgeInput.parse(reading)).verdict : "watch";
};
