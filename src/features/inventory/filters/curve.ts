import { readingWords } from "@/core/readings/reading-units";
import type { UnitSystem } from "@/core/quantities/length";
import { addDays, fromDay, toDay, type PlainDate } from "@/core/quantities/plain-date";
import type { ScopedDriver } from "@/core/inventory/inventory";
import type { HistoryEvent } from "@/core/history/history-event";
import { GRADE_WORDS } from "@/content/words";
import { FINAL_RATIO, SEEN_BY_GRADE, seenByPressure, TENTH } from "@/core/filters/belief";
import type { WearResult } from "@/core/filters/wear-schema";

type Point = { x: number; y: number };

export type Curve = {
  from: number;
  to: number;
  today: number;
  past: Point[];
  ahead: Point[];
  low: Point[];
  high: Point[];
  hours: Point[];
  /** What it would be if something were otherwise. */
  other: Point[] | null;
  looks: (Point & { words: string })[];
  spells: { from: number; to: number; words: string }[];
  rows: { date: PlainDate; load: number; low: number; high: number; runHours: number }[];
};

const DAYS_PAST_LATE = 10;
const LONGEST_DAYS = 400;
/** A row of the table behind the curve for every so many days. */
const ROW_DAYS = 7;

/** What the wear curve shows of one filter: its load with its band, looks, dust and hours. */
export function curveOf(
  wear: WearResult,
  history: readonly HistoryEvent[],
  drivers: readonly { driver: ScopedDriver; words: string }[],
  today: PlainDate,
  /** The share of its life after which the filter goes: looks see the whole of it. */
  lifeShare = 1,
  cleanDropPa?: number,
  system: UnitSystem = "metric",
): Curve {
  const fitted = wear.days[0]!.date;
  const furthest = [wear.late ?? wear.likely ?? today, today].reduce((a, b) => (a > b ? a : b));
  const wanted = addDays(furthest, DAYS_PAST_LATE);
  const to = Math.min(toDay(wanted), toDay(fitted) + LONGEST_DAYS);
  const days = wear.days.slice(0, to - toDay(fitted) + 1);
  const spread = Math.exp(TENTH * wear.belief.sd);
  const points = days.map((day) => ({ x: toDay(day.date), y: day.load }));
  const now = toDay(today);
  const dated = drivers.filter(({ driver }) => driver.from !== undefined);
  return {
    from: toDay(fitted),
    to,
    today: now,
    past: points.filter((point) => point.x <= now),
    ahead: points.filter((point) => point.x >= now),
    low: points.map(({ x, y }) => ({ x, y: y / spread })),
    high: points.map(({ x, y }) => ({ x, y: y * spread })),
    other: null,
    hours: days.map((day) => ({ x: toDay(day.date), y: day.runHours })),
    looks: history.flatMap((event) => {
      if (event.kind !== "look" || !event.look || event.date <= fitted) return [];
      const { grade, pressureDropPa } = event.look;
      const x = toDay(event.date);
      // Where a look has a pressure drop and a grade, the engine uses the drop, and so does the dot.
      if (pressureDropPa !== undefined && cleanDropPa !== undefined) {
        const { load } = seenByPressure(pressureDropPa, cleanDropPa, FINAL_RATIO);
        return [
          { x, y: load / lifeShare, words: readingWords("filter-drop", pressureDropPa, system) },
        ];
      }
      if (!grade) return [];
      return [{ x, y: SEEN_BY_GRADE[grade].load / lifeShare, words: GRADE_WORDS[grade].name }];
    }),
    spells: dated.flatMap(({ driver, words }) => {
      const start = Math.max(toDay(driver.from!), toDay(fitted));
      const end = Math.min(driver.to ? toDay(driver.to) : to, to);
      return start <= end ? [{ from: start, to: end, words }] : [];
    }),
    rows: days
      .filter((_, i) => i % ROW_DAYS === 0)
      .map((day) => ({
        date: day.date,
        load: day.load,
        low: day.load / spread,
        high: day.load * spread,
        runHours: day.runHours,
      })),
  };
}

export const curveDate = (x: number): PlainDate => fromDay(Math.round(x));
