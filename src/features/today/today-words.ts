import { climateDays } from "@/core/climate/climate";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { fromCelsius } from "@/core/quantities/temperature";
import { capitalised, countWords, dayAndMonth, listWords } from "@/core/quantities/words";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

const plural = (n: number, one: string, many: string) => `${countWords(n)} ${n === 1 ? one : many}`;

/** The one sentence at the top: what is left open, past its time, or nearly due. */
export function headline(counts: {
  open: number;
  past: number;
  soon: number;
  units: number;
}): string {
  const { open, past, soon, units } = counts;
  if (units === 0) return "Nothing to look after yet.";
  const said = [
    open > 0 &&
      (open === 1 ? "one thing is left open" : `${countWords(open)} things are left open`),
    past > 0 && `${plural(past, "job is", "jobs are")} past ${past === 1 ? "its" : "their"} time`,
    soon > 0 &&
      `${plural(soon, past > 0 ? "is" : "job is", past > 0 ? "are" : "jobs are")} due this week`,
  ].filter((part) => part !== false);
  if (said.length === 0) return "All is well, nothing is due.";
  return `${capitalised(listWords(said))}.`;
}

/** What the year is doing: the season, what is normal today, and the turn that comes next. */
export function seasonLine(snapshot: HomeSnapshot, today: PlainDate): string {
  const { climate, unitSystem } = snapshot.home;
  const { days, seasons } = climateDays({
    climate,
    actuals: [],
    from: addDays(today, -366),
    to: addDays(today, 366),
  });
  const turns = [
    ...seasons.heatingStart.map((date) => ({
      date,
      now: "Heating season",
      next: "heating starts",
    })),
    ...seasons.heatingEnd.map((date) => ({ date, now: "Between seasons", next: "heating ends" })),
    ...seasons.coolingStart.map((date) => ({
      date,
      now: "Cooling season",
      next: "cooling starts",
    })),
    ...seasons.coolingEnd.map((date) => ({ date, now: "Between seasons", next: "cooling ends" })),
  ].sort((a, b) => (a.date < b.date ? -1 : 1));
  const last = turns.findLast((turn) => turn.date <= today);
  const next = turns.find((turn) => turn.date > today);
  const unit = unitSystem === "us" ? "F" : "C";
  const normal = days.find((day) => day.date === today)!.meanC;
  const degrees = `${Math.round(fromCelsius(normal, unit))} °${unit}`.replace("-", "−");
  return [
    last?.now,
    `${degrees} is usual today`,
    next && `${next.next} about ${dayAndMonth(next.date, today)}`,
  ]
    .filter(Boolean)
    .join(", ");
}
