import { READING_WORDS } from "@/content/reading-words";
import { seasonDays } from "@/core/climate/climate";
import { fromDay, toDay, type PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth } from "@/core/quantities/words";
import type { ReadingKind } from "@/core/readings/reading-kinds";
import { readingWords } from "@/core/readings/reading-units";
import { goingAt } from "@/core/readings/watch";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import type { Trend } from "@/core/readings/trend";
import { driftOf } from "@/core/readings/capacitor-drift";
import type { JudgedReading } from "@/core/history/readings-taken";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

export type ReadingTrend = {
  sentence: string;
  /** The drifting strategy would act before the limit is reached. */
  drifting: string | null;
};

const CONFIDENCE = {
  none: "",
  thin: "two readings only",
  fair: "a fair guess",
  good: "well founded",
};

/** Where the values of a place are going, and when they would leave their limits; null for words. */
export function trendOf(
  snapshot: HomeSnapshot,
  kind: ReadingKind,
  readings: readonly JudgedReading[],
  today: PlainDate,
): ReadingTrend | null {
  const going = goingAt(scheduleNow(snapshot, today), readings);
  if (!going) return null;
  const { trend: found, limit, falls, isBeyond } = going;
  const { unitSystem } = snapshot.home;
  const value = (figure: number) => readingWords(kind, figure, unitSystem);
  return {
    sentence: [
      sentenceOf(
        found,
        value(limit),
        value(Number(Math.abs(found.slopePerYear ?? 0).toPrecision(2))),
        { falls, isBeyond },
        today,
      ),
      meterWords(found, today),
    ]
      .filter(Boolean)
      .join(" "),
    drifting: kind === "capacitor-uf" ? driftWords(snapshot, readings, today) : null,
  };
}

function sentenceOf(
  { crossing, confidence, slopePerYear }: Trend,
  limit: string,
  perYear: string,
  { falls, isBeyond }: { falls: boolean; isBeyond: boolean },
  today: PlainDate,
): string {
  const sure = CONFIDENCE[confidence];
  const on = (date: PlainDate) => dayAndMonth(date, today);
  if (!slopePerYear) return `It holds steady; ${sure}.`;
  const head = `${falls ? "Falls" : "Rises"} by about ${perYear} a year`;
  if (confidence === "thin" && !crossing) return `${head}; ${sure}, so no day can be told yet.`;
  if (!crossing?.likely) return `${head}; its limit of ${limit} is more than thirty years off.`;
  if (isBeyond) return `${head}; past its limit of ${limit} since ${on(crossing.likely)}.`;
  const late = crossing.late ? ` and ${on(crossing.late)}` : " and never";
  const band = crossing.early ? `, between ${on(crossing.early)}${late}` : "";
  return `${head}; reaches its limit of ${limit} about ${on(crossing.likely)}${band}; ${sure}.`;
}

/** That another meter took over: what lies between the two is no drift. */
function meterWords({ meterChanges = [] }: Trend, today: PlainDate): string {
  const last = meterChanges.at(-1);
  return last
    ? `Another meter since ${dayAndMonth(last, today)}: a step there is the meter’s.`
    : "";
}

/** The drifting strategy: what leaves its label’s limit before the heat is over goes before the heat. */
function driftWords(
  snapshot: HomeSnapshot,
  readings: readonly JudgedReading[],
  today: PlainDate,
): string | null {
  const drift = driftOf(snapshot, readings);
  if (!drift || drift.likely <= today) return null;
  const from = toDay(today);
  const [end] = seasonDays(snapshot.home.climate, from, from + NEXT_YEAR_DAYS).coolingEnd;
  if (!end || drift.seasonEnd > fromDay(end)) return null;
  const act = READING_WORDS["capacitor-uf"].act;
  return `It drifts out before the end of the next cooling season, ${dayAndMonth(drift.seasonEnd, today)}: some ${act} before the heat.`;
}

/** Days in which every climate has met its next end of cooling. */
const NEXT_YEAR_DAYS = 400;
