import "server-only";
import { PART_READINGS, READING_WORDS, UNIT_READINGS } from "@/content/reading-words";
import { adviceWords, readWords } from "@/presentation/reading-advice";
import { RUNNING_WORDS } from "@/content/visits";
import { degreesText } from "@/core/quantities/temperature";
import type { ReadingTaken } from "@/core/history/history-event";
import type { PartKindId } from "@/content/part-kinds";
import type { UnitKindId } from "@/content/unit-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { toDay } from "@/core/quantities/plain-date";
import { dateWords, inSentence } from "@/core/quantities/words";
import { beforeAndAfter } from "@/core/readings/before-after";
import { historyLines } from "@/presentation/history-rows";
import { isAtLeast, READING_KINDS, type ReadingKind } from "@/core/readings/reading-kinds";
import { unitsFor } from "@/core/readings/reading-units";
import { fogLimitOn } from "@/core/readings/fog-limit";
import { type JudgedReading } from "@/core/history/readings-taken";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";
import { trendOf, type ReadingTrend } from "./reading-trend";

/** Where readings are taken: at a part, or at a unit as a whole. */
export type ReadingPlace = { unitId: string; partId?: string };

export type ReadingSeries = {
  kind: ReadingKind;
  name: string;
  verdict: JudgedReading["judgement"]["verdict"];
  /** What to do about it, once it has to be acted on. */
  advice: string | null;
  rows: {
    id: string;
    date: PlainDate;
    when: string;
    /** As kept, to sort by; null for what was seen. */
    value: number | null;
    words: string;
    /** With what and while what ran; empty where that is not known. */
    under: string;
    verdict: string;
  }[];
  points: { x: number; y: number }[];
  /** The days of technicians’ visits to the machine, as points of the same axis. */
  visits: number[];
  limits: { low: number | null; high: number | null };
  trend: ReadingTrend | null;
  unit: string;
};

const isAt = ({ event }: JudgedReading, { unitId, partId }: ReadingPlace): boolean =>
  event.unitId === unitId && event.partId === partId;

const shownLimit = (limit: number | null | undefined, per: number): number | null =>
  limit === null || limit === undefined ? null : limit / per;

/** What was read at a place, by kind, the oldest first, with where it is going. */
export async function readingSeriesOf(
  homeId: string,
  place: ReadingPlace,
): Promise<ReadingSeries[]> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return [];
  const today = todayIn(snapshot.home.timeZone);
  const here = snapshot.history.readings.filter((reading) => isAt(reading, place));
  const kinds = [...new Set(here.map(({ taken }) => taken.kind))];
  return kinds.map((kind) =>
    seriesOf(
      snapshot,
      kind,
      here.filter(({ taken }) => taken.kind === kind),
      today,
    ),
  );
}

function seriesOf(
  snapshot: HomeSnapshot,
  kind: ReadingKind,
  readings: readonly JudgedReading[],
  today: PlainDate,
): ReadingSeries {
  const { unitSystem } = snapshot.home;
  const words = READING_WORDS[kind];
  const last = readings.at(-1)!;
  const { watchFrom, watchTo } = last.judgement.facts as Record<string, number | null | undefined>;
  const { per, label: unit } = unitsFor(kind, unitSystem)[0] ?? { per: 1, label: "" };
  return {
    kind,
    name: words.name,
    verdict: last.judgement.verdict,
    advice:
      last.judgement.verdict === "unknown" || isAtLeast(last.judgement.verdict, "act")
        ? adviceWords(kind, last.judgement)
        : null,
    rows: readings.map(({ event, taken, judgement }) => ({
      id: event.id,
      date: event.date,
      when: dateWords(event.date, today),
      value: typeof taken.value === "number" ? taken.value : null,
      words: readWords(taken, unitSystem),
      under: underWords(taken, snapshot),
      verdict: judgement.verdict,
    })),
    points: readings.flatMap(({ event, taken }) =>
      typeof taken.value === "number" ? [{ x: toDay(event.date), y: taken.value / per }] : [],
    ),
    visits: snapshot.visits.flatMap(({ on, endedAt, unitIds }) =>
      on && endedAt && unitIds.includes(last.event.unitId ?? "") ? [toDay(on)] : [],
    ),
    limits: { low: shownLimit(watchFrom, per), high: shownLimit(watchTo, per) },
    trend: trendOf(snapshot, kind, readings, today),
    unit,
  };
}

/** “Clamp meter, cooling for 20 min, 31 °C outdoors” */
function underWords({ conditions }: ReadingTaken, { home, instruments }: HomeSnapshot): string {
  if (!conditions) return "";
  const { instrumentId, running, minutesRunning, outdoorC } = conditions;
  const unit = home.unitSystem === "us" ? "F" : "C";
  const minutes = minutesRunning === undefined ? "" : `for ${minutesRunning} min`;
  return [
    instruments.find(({ id }) => id === instrumentId)?.name,
    [running && RUNNING_WORDS[running], minutes].filter(Boolean).join(" "),
    outdoorC !== undefined && `${degreesText(outdoorC, unit).replace("-", "−")} °${unit} outdoors`,
  ]
    .filter(Boolean)
    .join(", ");
}

export type ReadingChoice = {
  value: string;
  label: string;
  kinds: ReadingKind[];
  /** By kind, the rated value or band that stood beside the last one there, as it is written. */
  rated: Partial<Record<ReadingKind, string[]>>;
};
export type ReadingPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  places: ReadingChoice[];
  /** At what humidity windows fog today, percent. */
  fogLimit: number;
};

/** Every place a reading can be taken at, with what is usually read there first. */
export async function readingPageOf(homeId: string): Promise<ReadingPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const ratedAt = (place: string) => lastRated(snapshot, place);
  const places = snapshot.units.flatMap((unit): ReadingChoice[] => [
    {
      value: unit.id,
      label: unit.name,
      kinds: ordered(UNIT_READINGS[unit.kind as UnitKindId]),
      rated: ratedAt(unit.id),
    },
    ...snapshot.slots
      .filter((slot) => slot.unitId === unit.id)
      .map((slot) => ({
        value: slot.id,
        label: `${unit.name}, ${inSentence(slot.name)}`,
        kinds: ordered(["filter-drop", "seal"]),
        rated: ratedAt(slot.id),
      })),
    ...snapshot.parts
      .filter((part) => part.unitId === unit.id && PART_READINGS[part.kind as PartKindId])
      .map((part) => ({
        value: part.id,
        label: `${unit.name}, ${inSentence(part.name)}`,
        kinds: ordered(PART_READINGS[part.kind as PartKindId]),
        rated: ratedAt(part.id),
      })),
  ]);
  const today = todayIn(snapshot.home.timeZone);
  return { snapshot, today, places, fogLimit: fogLimitOn(snapshot, today) };
}

function lastRated(snapshot: HomeSnapshot, place: string): ReadingChoice["rated"] {
  const rated: ReadingChoice["rated"] = {};
  for (const { event, taken } of snapshot.history.readings) {
    if ((event.partId ?? event.unitId) !== place || taken.rated === undefined) continue;
    const per = unitsFor(taken.kind, snapshot.home.unitSystem)[0]?.per ?? 1;
    const figures =
      typeof taken.rated === "number" ? [taken.rated] : [taken.rated.min, taken.rated.max];
    rated[taken.kind] = figures.map((figure) =>
      figure === undefined ? "" : String(Number((figure / per).toPrecision(6))),
    );
  }
  return rated;
}

/** The usual ones first, then every other. */
const ordered = (usual: readonly ReadingKind[] = []): ReadingKind[] => [
  ...new Set([...usual, ...READING_KINDS]),
];

/** A value before a cleaning and one after it, side by side. */
export type BeforeAfterRow = {
  key: string;
  /** “Coil cleaned, Thu 12 Mar” */
  done: string;
  name: string;
  before: { words: string; when: string; verdict: JudgedReading["judgement"]["verdict"] };
  after: BeforeAfterRow["before"];
};

/** What was done at a machine and could be seen in its readings, the latest first. */
export async function beforeAfterOf(homeId: string, unitId: string): Promise<BeforeAfterRow[]> {
  const snapshot = await homeSnapshot(homeId);
  const unit = snapshot?.units.find(({ id }) => id === unitId);
  if (!snapshot || !unit) return [];
  const today = todayIn(snapshot.home.timeZone);
  const { unitSystem } = snapshot.home;
  const together = snapshot.units
    .filter(({ systemId }) => systemId === unit.systemId)
    .map(({ id }) => id);
  const side = ({ event, taken, judgement }: JudgedReading) => ({
    words: readWords(taken, unitSystem),
    when: dateWords(event.date, today),
    verdict: judgement.verdict,
  });
  return beforeAndAfter(snapshot.history, together).map(({ event, before, after }) => {
    const [line] = historyLines(snapshot, [event], today, true);
    return {
      key: `${event.id} ${before.event.id}`,
      done: `${line!.what}, ${line!.when}`,
      name: READING_WORDS[before.taken.kind].name,
      before: side(before),
      after: side(after),
    };
  });
}
