import { addDays, daysFrom, isoWeekday, type PlainDate } from "@/core/quantities/plain-date";
import type { ShownPlan, YearMark, YearPage } from "./year-queries";

/** Occurrences that stand on one day in one lane, as one mark. */
export type Grouped = {
  /** Unique on the page. */
  id: string;
  day: PlainDate;
  person: string;
  of: { task: string; day: PlainDate }[];
  marks: YearMark[];
  isRound?: true;
};

/** What somebody pressed: one or several occurrences of a day, or a whole round. */
export type Chosen = {
  title: string;
  of: Grouped["of"];
  person: string;
  day: PlainDate;
  due: PlainDate | null;
  isRound?: true;
};

/** Nearer than this to a round something is dropped onto it, px. */
const SNAP_PX = 6;

/** The days of somebody’s rounds, in order. */
export const roundDays = ({ rounds }: ShownPlan, person: string): PlainDate[] =>
  rounds.flatMap((round) => (round.person === person ? [round.day] : []));

/**
 * The day something is dropped on that was dragged so far: a round of its person where one is near, else
 * the very day; never before today, nor after the end of the year in sight.
 *
 * @param px how far it was dragged, and how wide a day is
 */
export function droppedOn(
  { today, until }: Pick<YearPage, "today" | "until">,
  rounds: readonly PlainDate[],
  from: PlainDate,
  px: { dragged: number; day: number },
): PlainDate {
  const exact = px.dragged / px.day;
  const near = rounds
    .map((day) => ({ day, away: Math.abs(daysFrom(from, day) - exact) * px.day }))
    .filter(({ day, away }) => day >= today && away <= SNAP_PX)
    .sort((a, b) => a.away - b.away)[0];
  const day = near?.day ?? addDays(from, Math.round(exact));
  return day < today ? today : day > until ? until : day;
}

/** The next day to try by the keys: a round of its person, or a day they like. */
export function nextDay(
  { today, until }: Pick<YearPage, "today" | "until">,
  rounds: readonly PlainDate[],
  liked: readonly number[],
  from: PlainDate,
  by: 1 | -1,
): PlainDate {
  const isGood = (day: PlainDate) =>
    rounds.includes(day) || liked.length === 0 || liked.includes(isoWeekday(day));
  for (let day = addDays(from, by); day >= today && day <= until; day = addDays(day, by))
    if (isGood(day)) return day;
  return from;
}

/** Days worth offering for a move: the rounds about it and its own due day, the nearest first. */
export function offeredDays(
  { today, until }: Pick<YearPage, "today" | "until">,
  rounds: readonly PlainDate[],
  at: PlainDate,
  due: PlainDate | null,
): PlainDate[] {
  const days = new Set([...rounds, ...(due ? [due] : [])]);
  days.delete(at);
  return [...days]
    .filter((day) => day >= today && day <= until)
    .sort((a, b) => Math.abs(daysFrom(at, a)) - Math.abs(daysFrom(at, b)))
    .slice(0, MOST_OFFERED)
    .sort();
}
const MOST_OFFERED = 6;
