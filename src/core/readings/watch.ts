import type { HistoryEvent } from "../history/history-event";
import type { HistoryRecord } from "../history/history-record";
import type { JudgedReading } from "../history/readings-taken";
import type { PlainDate } from "../quantities/plain-date";
import type { JobStatus } from "../scheduling/schedule";
import { partsOf } from "../scheduling/trigger";
import { goingOf, seriesByPlace, type Going } from "./going";
import type { Visit } from "../visits/visit";
import { wasSaidSeen, wasSeenTo } from "../visits/made-for";
import type { ReadingKind } from "./reading-kinds";

/** A reading to keep an eye on: its last value at its place, and where the series is going. */
export type Watched = {
  reading: JudgedReading;
  going: Going | null;
  /** Sound still, and going out of its limits. */
  isDrifting: boolean;
};

/** A trend is taken over so many readings of a place: pairs of more take long, and say no more. */
const MOST_READINGS = 24;

/** The jobs that a reading of a kind at a place asks for, whether they are due or not. */
const jobsFor = (
  schedule: readonly JobStatus[],
  { unitId, partId }: Pick<HistoryEvent, "unitId" | "partId">,
  kind: ReadingKind,
): JobStatus[] =>
  schedule.filter(
    ({ task }) =>
      (partId ? task.partId === partId : task.unitId === unitId && task.partId === undefined) &&
      (task.settles.includes(kind) ||
        partsOf(task.trigger).some(
          (trigger) => trigger.kind === "reading" && trigger.reading === kind,
        )),
  );

/**
 * Where a series is going, counted from the last job that put right what is read: the same on every page.
 *
 * @param series of one kind and place, the oldest first
 * @example goingAt([], []) // null
 */
export function goingAt(
  schedule: readonly JobStatus[],
  series: readonly JudgedReading[],
): Going | null {
  const last = series.at(-1);
  if (!last) return null;
  const since = jobsFor(schedule, last.event, last.taken.kind).reduce<PlainDate | null>(
    (latest, { lastDone }) =>
      lastDone !== null && (latest === null || lastDone > latest) ? lastDone : latest,
    null,
  );
  return goingOf(series.slice(-MOST_READINGS), since);
}

/**
 * The readings of a home that are not sound, and those that leave their limits by a day, each the last of
 * its kind and place. What a job done since put right is left out: a new seal, a cleaned coil.
 *
 * @param schedule of the home: it knows what was done since
 * @param by the last day on which a drift is of interest
 * @example watchedReadings(snapshot([]), [], day(365)) // []
 */
export function watchedReadings(
  {
    history,
    visits,
  }: { history: Pick<HistoryRecord, "readings" | "counted">; visits: readonly Visit[] },
  schedule: readonly JobStatus[],
  by: PlainDate,
): Watched[] {
  return seriesByPlace(history.readings).flatMap((series): Watched[] => {
    const isLetGo = ({ event }: JudgedReading) =>
      wasSeenTo(visits, event) || wasSaidSeen(history.counted, event);
    // What means stop is let go by somebody licensed, by a visit made for it, or by a word of who saw to it: not by
    // a better look the day after.
    const stop = series.findLast(({ judgement }) => judgement.verdict === "stop");
    const reading = stop && !isLetGo(stop) ? stop : series.at(-1)!;
    const { event, taken, judgement } = reading;
    const isStop = judgement.verdict === "stop";
    const isSettled =
      (isStop && isLetGo(reading)) ||
      jobsFor(schedule, event, taken.kind).some(
        ({ task, lastDone }) =>
          lastDone !== null && lastDone >= event.date && (!isStop || task.who === "licensed"),
      );
    if (isSettled) return [];
    const going = goingAt(schedule, series);
    if (judgement.verdict !== "sound") return [{ reading, going, isDrifting: false }];
    const likely = going?.trend.crossing?.likely;
    // Two values make a line, and no drift: a cleaning lies between them, or chance.
    const isSure = going?.trend.confidence === "fair" || going?.trend.confidence === "good";
    return isSure && likely && likely <= by ? [{ reading, going, isDrifting: true }] : [];
  });
}

/**
 * The job that a watched reading asks for, the one that is due first; null where none is due.
 *
 * @example nextJobFor([], { unitId: "furnace" }, "noise") // null
 */
export function nextJobFor(
  schedule: readonly JobStatus[],
  at: Pick<HistoryEvent, "unitId" | "partId">,
  kind: ReadingKind,
): JobStatus | null {
  const due = jobsFor(schedule, at, kind).filter((job) => job.due !== null);
  return due.sort((a, b) => (a.due! < b.due! ? -1 : a.due! > b.due! ? 1 : 0))[0] ?? null;
}
