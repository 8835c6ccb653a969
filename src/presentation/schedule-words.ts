import { signOf } from "@/content/signs";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import {
  agoWords,
  awayWords,
  dateWords,
  dayAndMonth,
  inSentence,
  monthWords,
  spanWords,
} from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { Weather } from "@/core/scheduling/weather-calls";

type Dates = Pick<JobStatus, "opens" | "due" | "closes" | "state"> &
  Partial<Pick<JobStatus, "because" | "waits">>;

const WEATHER_WORDS: Readonly<Record<Weather, string>> = {
  snow: "when snow lies",
  "leaf-fall": "once the leaves are down",
  "first-warm-day": "on the first warm day",
  "first-frost": "with the first frost",
};

/** When a job is due, in a word or two: “in 3 weeks”, “now”, “2 weeks over”, “when snow lies”. */
export function dueWords({ due, closes, state, waits }: Dates, today: PlainDate): string {
  if (waits) return WEATHER_WORDS[waits.for];
  switch (state) {
    case "none":
      return "";
    case "past":
      return `${spanWords(daysFrom(closes ?? due ?? today, today))} over`;
    case "due":
      return due === today ? "today" : "now";
    case "open":
    case "not-yet":
      return due ? awayWords(due, today) : "not within three years";
  }
}

/** The days around it: “12 to 23 Mar”, “until 23 Mar”, “was due by 28 Feb”. */
export function windowWords(
  { opens, due, closes, state, because, waits }: Dates,
  today: PlainDate,
): string {
  if (waits)
    return waits.usual > today
      ? `usually from ${dayAndMonth(waits.usual, today)}`
      : "its season is now";
  if (!due) return "";
  if (because?.kind === "age" && opens && closes)
    return state === "past"
      ? `spent since ${monthWords(closes)}: replace it`
      : `spent between ${monthWords(opens)} and ${monthWords(closes)}${state === "not-yet" ? "" : ": replace it"}`;
  const day = (date: PlainDate) => dayAndMonth(date, today);
  switch (state) {
    case "past":
      return `was due by ${day(closes ?? due)}`;
    case "due":
      return closes ? `until ${day(closes)}` : `since ${day(due)}`;
    default: {
      if (!opens || !closes || opens === closes) return dateWords(due, today);
      const month = (date: PlainDate) => date.slice(0, 7);
      const from = month(opens) === month(closes) ? String(Number(opens.slice(8))) : day(opens);
      return `${from} to ${day(closes)}`;
    }
  }
}

/** When it was last done, or since when it is owed. */
export function lastWords(
  {
    lastDone,
    since,
    because,
    isFirstTime,
  }: Pick<JobStatus, "lastDone" | "since" | "because" | "isFirstTime">,
  today: PlainDate,
): string {
  const { kind } = because;
  if (isFirstTime) return "nobody knows when last";
  // Nothing is counted from a day on which it was entered.
  if (!lastDone && (kind === "age" || kind === "after" || kind === "reading"))
    return "not done yet";
  if (lastDone) return `last ${dateWords(lastDone, today)}, ${agoWords(lastDone, today)}`;
  return since ? `not done yet, counted from ${dayAndMonth(since, today)}` : "not done yet";
}

/** “put off to Sat 21 Mar: the ladder is too short”; empty where nobody tried in vain. */
export function deferralWords({ deferral }: Pick<JobStatus, "deferral">, today: PlainDate): string {
  if (!deferral) return "";
  const { on, until, words } = deferral;
  return until && until > today
    ? `put off to ${dateWords(until, today)}: ${words}`
    : `not possible on ${dateWords(on, today)}: ${words}`;
}

/** “Noticed Thu 12 Mar: the air is weak”; empty where nothing brought it forward. */
export function calledWords({ called }: Pick<JobStatus, "called">, today: PlainDate): string {
  if (!called) return "";
  const { sign, kind } = called.event;
  const on = dateWords(called.on, today);
  if (kind === "breakdown") return `It broke down on ${on}`;
  return `Noticed ${on}: ${inSentence(signOf(sign ?? "")?.words ?? "something")}`;
}

/** How far a job has come from when it was last done to when it is due; 1 is due. Null without dates. */
export function jobFill(jobStatus: JobStatus, today: PlainDate): number | null {
  const { due, opens, lastDone, since, state } = jobStatus;
  if (state === "none" || !due) return null;
  // What is past its time is full, from whenever it is counted.
  if (state === "past")
    return Math.max(1, lastDone ? daysFrom(lastDone, today) / daysFrom(lastDone, due) : 1);
  const base = lastDone ?? since ?? opens;
  if (!base || base >= due) return base && base < today ? 1 : 0;
  return Math.max(0, daysFrom(base, today) / daysFrom(base, due));
}
