import type { HomeSnapshot } from "../history/home-snapshot";
import type { HistoryEvent } from "../history/history-event";
import { stillNoticed } from "../noticed/sign";
import type { PlainDate } from "../quantities/plain-date";
import type { JobStatus } from "../scheduling/schedule";
import { wasSaidSeen, wasSeenTo } from "../visits/made-for";
import { watchedReadings } from "./watch";

/**
 * What was seen or read in a home and means stop, and that nobody licensed has seen to since: nothing of such a
 * machine comes back on.
 *
 * @param isStopSign whether something noticed without a reading means stop
 * @example stopsThatHold(snapshot([]), [], today, () => false) // []
 */
export function stopsThatHold(
  snapshot: Pick<HomeSnapshot, "history" | "visits">,
  schedule: readonly JobStatus[],
  today: PlainDate,
  isStopSign: (sign: string) => boolean,
): HistoryEvent[] {
  const read = watchedReadings(snapshot, schedule, today).flatMap(({ reading }) =>
    reading.judgement.verdict === "stop" ? reading.event : [],
  );
  const noticed = stillNoticed(snapshot.history.noticed, isStopSign).filter(
    (event) =>
      event.reading === undefined &&
      isStopSign(event.sign) &&
      !wasSeenTo(snapshot.visits, event) &&
      !wasSaidSeen(snapshot.history.counted, event),
  );
  return [...read, ...noticed];
}
