import { READING_WORDS, SEEN_WORDS } from "@/content/reading-words";
import { signOf } from "@/content/signs";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { verdictOfSign } from "@/core/noticed/sign";
import type { PlainDate } from "@/core/quantities/plain-date";
import { stopsThatHold } from "@/core/readings/stops";
import { scheduleNow } from "./snapshot-cache";

/** By machine: why nothing of it comes back on, as its stop says. */
export type StopsByUnit = ReadonlyMap<string, string>;

/**
 * The machines of a home that a stop holds off, until somebody licensed has seen to it. What a run saw itself is
 * the run's own matter: it knows who made it safe.
 */
export function stopsByUnit(
  snapshot: HomeSnapshot,
  today: PlainDate,
  exceptRun?: string,
): StopsByUnit {
  const isStopSign = (id: string) => {
    const sign = signOf(id);
    return sign !== undefined && verdictOfSign(sign) === "stop";
  };
  const stops = stopsThatHold(snapshot, scheduleNow(snapshot, today), today, isStopSign);
  return new Map(
    stops.flatMap(({ unitId, runId, reading, sign }) => {
      if (unitId === undefined || (runId !== undefined && runId === exceptRun)) return [];
      const words = reading
        ? `${READING_WORDS[reading.kind].name}: ${SEEN_WORDS[String(reading.value)] ?? String(reading.value ?? "")}`
        : (signOf(sign ?? "")?.words ?? "A stop");
      return [[unitId, words] as const];
    }),
  );
}
