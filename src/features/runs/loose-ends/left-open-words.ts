import { END_WORDS } from "@/content/words";
import { hoursBetween } from "@/core/quantities/plain-date";
import { capitalised } from "@/core/quantities/words";
import type { HomeEnd, LeftOpen } from "@/core/runs/home-ends";

/** “core drying”, “power is off”: an end in the words of its step, or of its kind. */
export const endName = (end: HomeEnd): string => end.label ?? END_WORDS[end.end].open;

function sinceWords(since: string, now: string): string {
  const hours = hoursBetween(Date.parse(since), Date.parse(now));
  if (hours < 1) return "since just now";
  if (hours < 36) return `for ${Math.round(hours)} h`;
  return `for ${Math.round(hours / 24)} days`;
}

const isOver = ({ readyAt }: { readyAt: string }, now: string) =>
  Date.parse(readyAt) <= Date.parse(now);

export function hoursLeft(readyAt: string, now: string): string {
  const hours = hoursBetween(Date.parse(now), Date.parse(readyAt));
  return hours < 1 ? "less than an hour left" : `${Math.round(hours)} h left`;
}

/** What is left open, its most telling end first: “core drying, 22 h left”. */
export function headOf({ ends, drying }: LeftOpen, now: string): string {
  if (drying && isOver(drying, now))
    return `${drying.label?.replace(/ drying$/, "") ?? "it"} is dry: put it back`;
  if (drying) return `${endName(drying)}, ${hoursLeft(drying.readyAt, now)}`;
  return endName(ends[0]!);
}

/** The rest of it, and for how long: “windows open, ventilator off; for 27 h”. */
export function detailOf({ ends, drying, since }: LeftOpen, now: string): string {
  const others = ends.filter((end) => end !== (drying ?? ends[0])).map(endName);
  const words = ends.flatMap((end) => (end.words ? [`“${end.words}”`] : []));
  const parts = [
    others.length > 0 ? capitalised(others.join(", ")) : undefined,
    drying && !isOver(drying, now) ? undefined : sinceWords(since, now),
    ...words,
  ].filter((part) => part !== undefined);
  return capitalised(parts.join("; "));
}
