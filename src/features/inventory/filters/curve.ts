import { readingWords } from "@/core/readings/reading-units";
import type { UnitSystem } from "@/core/quantities/length";
import { addDays, fromDay, toDay, type PlainDate } from "@/core/quantities/plain-date";
import type { ScopedDriver } from "@/core/inventory/inventory";
import type { HistoryEvent } from "@/core/history/history-event";
import { englishOf, inEnglish } from "@/content/english";
import { GRADE_WORDS } from "@/content/words";
import { FINAL_RATIO, SEEN_BY_GRADE, seenByPressure, TENTH } from "@/core/filters/belief";
import { isLightOn, LIT_GRADE } from "@/core/filters/slot-wear";
import { wear } from "@/core/filters/wear";
import type { WearNow } from "@/core/filters/wear-status";

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

/** What was seen on a day, as a load (1 is full). */
export type SeenLoad = { date: PlainDate; load: number; words: string };

const DAYS_PAST_LATE = 10;
/** About how many rows the table behind a curve has at most; of a short one there is one a week. */
const MOST_ROWS = 60;
const ROW_DAYS = 7;
/** Of a span of years every so many days are drawn: more points than pixels say nothing. */
const MOST_POINTS = 800;

/**
 * What the wear curve shows of what is in place: its load with its band, looks, dust and hours. 1 is due: of
 * a shorter life its share.
 *
 * @param longest the most days that are drawn
 */
export function curveOf(
  { input, pace, late, likely }: WearNow,
  seen: readonly SeenLoad[],
  drivers: readonly { driver: ScopedDriver; words: string }[],
  today: PlainDate,
  longest: number,
): Curve {
  const fitted = input.fittedOn;
  const furthest = [late ?? likely ?? today, today].reduce((a, b) => (a > b ? a : b));
  const wanted = addDays(furthest, DAYS_PAST_LATE);
  const to = Math.min(toDay(wanted), toDay(fitted) + longest);
  const all = wear(input).days.slice(0, to - toDay(fitted) + 1);
  const now = toDay(today);
  const step = Math.ceil(all.length / MOST_POINTS);
  const days = all.filter(({ date }, i) => i % step === 0 || date === today);
  const spread = Math.exp(TENTH * pace.spread);
  const points = days.map((day) => ({ x: toDay(day.date), y: day.load / input.lifeShare }));
  const dated = drivers.filter(({ driver }) => driver.from !== undefined);
  const rowDays = ROW_DAYS * Math.ceil(all.length / ROW_DAYS / MOST_ROWS);
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
    looks: seen
      .filter(({ date }) => date > fitted)
      .map(({ date, load, words }) => ({ x: toDay(date), y: load / input.lifeShare, words })),
    spells: dated.flatMap(({ driver, words }) => {
      const start = Math.max(toDay(driver.from!), toDay(fitted));
      const end = Math.min(driver.to ? toDay(driver.to) : to, to);
      return start <= end ? [{ from: start, to: end, words }] : [];
    }),
    rows: all
      .filter((_, i) => i % rowDays === 0)
      .map((day) => {
        const load = day.load / input.lifeShare;
        return {
          date: day.date,
          load,
          low: load / spread,
          high: load * spread,
          runHours: day.runHours,
        };
      }),
  };
}

/** What was seen of a filter, each look at the load that its grade or its pressure drop speaks of. */
export function filterSeen(
  history: readonly HistoryEvent[],
  cleanDropPa: number | undefined,
  system: UnitSystem,
): SeenLoad[] {
  return history.flatMap((event): SeenLoad[] => {
    const { kind, date, look } = event;
    if (isLightOn(event))
      return [{ date, load: SEEN_BY_GRADE[LIT_GRADE].load, words: "its light came on" }];
    if (kind !== "look" || !look) return [];
    const { grade, pressureDropPa } = look;
    // Where a look has a pressure drop and a grade, the engine uses the drop, and so does the dot.
    if (pressureDropPa !== undefined && cleanDropPa !== undefined) {
      const { load } = seenByPressure(pressureDropPa, cleanDropPa, FINAL_RATIO);
      return [{ date, load, words: readingWords("filter-drop", pressureDropPa, system) }];
    }
    const words = grade && inEnglish(englishOf({ unitSystem: system }), GRADE_WORDS[grade].name);
    return grade && words ? [{ date, load: SEEN_BY_GRADE[grade].load, words }] : [];
  });
}

export const curveDate = (x: number): PlainDate => fromDay(Math.round(x));
