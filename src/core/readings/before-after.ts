import type { HistoryEvent, HistoryKind } from "../history/history-event";
import type { HistoryRecord } from "../history/history-record";
import { judged, type JudgedReading } from "../history/readings-taken";
import { daysFrom } from "../quantities/plain-date";
import { seriesByPlace } from "./going";
import type { ReadingKind } from "./reading-kinds";

/** What a cleaning can be seen by. */
const TELLING: readonly ReadingKind[] = [
  "cooling-split-k",
  "temperature-rise-k",
  "static-pressure-pa",
  "filter-drop",
  "sensor-offset-k",
  "heat-recovery-efficiency",
  "valve-airflow",
  "motor-amps",
  "flame-current-ua",
  "superheat-k",
];
const CLEANINGS: readonly HistoryKind[] = ["done", "cleaned", "fitted"];
/** A value longer ago says little of how it was when it was cleaned, days; nor one long after. Our choice. */
const MOST_BEFORE_DAYS = 400;
const MOST_AFTER_DAYS = 180;

export type BeforeAfter = { event: HistoryEvent; before: JudgedReading; after: JudgedReading };

const isBefore = (a: HistoryEvent, b: HistoryEvent): boolean =>
  a.date < b.date || (a.date === b.date && a.recordedAt < b.recordedAt);

/**
 * What was done at a machine, each with a value from before and one from after, the latest first: the last
 * that was read before it and the first since, with nothing else done at that part in between. Several
 * jobs between the same two values share them: only the last of those is given.
 *
 * @param unitIds of the machines that move air together: a clean coil is seen at the furnace
 * @example beforeAndAfter(snapshot([]).history, ["furnace"]) // []
 */
export function beforeAndAfter(
  history: Pick<HistoryRecord, "ofUnit">,
  unitIds: readonly string[],
): BeforeAfter[] {
  const events = unitIds.flatMap((id) => history.ofUnit(id));
  const done = events.filter(({ kind }) => CLEANINGS.includes(kind));
  const found = seriesHere(history, unitIds).flatMap((series) => {
    const pairs = new Map<string, BeforeAfter>();
    for (const event of done) {
      const before = series.findLast((reading) => isBefore(reading.event, event));
      const after = series.find((reading) => isBefore(event, reading.event));
      if (!before || !after) continue;
      if (daysFrom(before.event.date, event.date) > MOST_BEFORE_DAYS) continue;
      if (daysFrom(event.date, after.event.date) > MOST_AFTER_DAYS) continue;
      const known = pairs.get(before.event.id);
      if (!known || isBefore(known.event, event))
        pairs.set(before.event.id, { event, before, after });
    }
    return [...pairs.values()];
  });
  return found.sort((a, b) =>
    a.event.date < b.event.date ? 1 : a.event.date > b.event.date ? -1 : 0,
  );
}

function seriesHere(
  history: Pick<HistoryRecord, "ofUnit">,
  unitIds: readonly string[],
): JudgedReading[][] {
  const events = unitIds
    .flatMap((id) => history.ofUnit(id))
    .filter(({ kind }) => kind === "reading");
  return seriesByPlace(judged(events)).filter(([first]) => TELLING.includes(first!.taken.kind));
}
