import { englishOf, inEnglish } from "@/content/english";
import type { HomeStatus } from "@/core/timeline/home-status";
import { addDays, daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { awayWords, dateWords, dayAndMonth, inSentence } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import { dueWords, jobFill } from "@/presentation/schedule-words";
import type { FilterStatus } from "@/core/filters/filter-status";
import { isLightOn } from "@/core/filters/slot-wear";
import { fillBand } from "@/core/filters/wear-status";
import { LOOK, LOOK_EVERY_DAYS, RENEW, taskId, type Strategy } from "@/core/scheduling/task";
import { triggerWords } from "./task-words";
import { GRADE_WORDS } from "@/content/words";

/** How a filter stands by the strategy that governs it: the same on every page, label and beam. */
export type FilterSummary = {
  filterStatus: FilterStatus;
  /** Its renewal. */
  job: JobStatus | undefined;
  strategy: Strategy;
  early: PlainDate | null;
  due: PlainDate | null;
  late: PlainDate | null;
  /** “in 9 days”, “now”, “2 weeks over”; empty where it has no day. */
  words: string;
  why: string;
  /** How full, or how much of its time has gone; null where nobody saw it fitted. */
  fill: number | null;
  fillWords: string;
  band?: { low: number; high: number };
};

/** The renewal job of a slot, as it stands. */
const renewalJob = (status: HomeStatus, slotId: string): JobStatus | undefined =>
  status.jobs.find(({ task }) => task.id === taskId({ partId: slotId }, RENEW));

/** How a slot stands; null where there is none of that name in service. */
export function filterSummary(status: HomeStatus, slotId: string): FilterSummary | null {
  const filterStatus = status.filters.find(({ slot }) => slot.id === slotId);
  return filterStatus ? summaryOf(status, filterStatus) : null;
}

export function summaryOf(status: HomeStatus, filterStatus: FilterStatus): FilterSummary {
  const { today } = status;
  const job = renewalJob(status, filterStatus.slot.id);
  const strategy = job?.task.strategy ?? "wear";
  const { wear } = filterStatus;
  // A unit that is being entered has no jobs yet; what hangs in its slot fills all the same.
  const dates = job
    ? { early: job.opens, due: job.due, late: job.closes }
    : { early: wear?.early ?? null, due: wear?.likely ?? null, late: wear?.late ?? null };
  const common = { filterStatus, job, strategy, ...dates };
  const words = job?.due ? dueWords(job, today) : dates.due ? awayWords(dates.due, today) : "";
  const lit = litWords(status, filterStatus, job);
  if (strategy === "calendar" && job) {
    const fill = jobFill(job, today);
    const percent = fill === null ? null : Math.round(100 * fill);
    return {
      ...common,
      words,
      why: lit ?? calendarWords(job, filterStatus, today),
      fill,
      fillWords: percent === null ? "not known" : `${percent} % of its time`,
    };
  }
  return {
    ...common,
    words,
    why:
      lit ?? (strategy === "look" ? lookWords(status, filterStatus, job) : filterStatus.sentence),
    fill: wear ? wear.percentNow / 100 : null,
    fillWords: wear ? `${Math.round(wear.percentNow)} % full` : "not known",
    ...(wear ? { band: fillBand(wear) } : {}),
  };
}

/** “Its light came on Sat 14 Mar.”: where that is what calls for it; null where it does not. */
function litWords(
  { snapshot, today }: HomeStatus,
  { slot }: FilterStatus,
  job: JobStatus | undefined,
): string | null {
  if (job?.because.kind !== "reading") return null;
  const lit = snapshot.history.ofPart(slot.id).findLast(isLightOn);
  return lit ? `Its light came on ${dateWords(lit.date, today)}.` : null;
}

/** “By the calendar: every 90 days, changed 3 Feb.” */
function calendarWords(job: JobStatus, { fittedOn }: FilterStatus, today: PlainDate): string {
  const since = fittedOn
    ? `from ${dayAndMonth(fittedOn, today)}`
    : "from the day it goes in, which nobody wrote down";
  return `By the calendar: ${triggerWords(job.task.trigger)}, ${since}.`;
}

/** “At the first grey look: light grey on 1 Mar; look again by Sat 4 Apr.” */
function lookWords(
  status: HomeStatus,
  { slot, fittedOn }: FilterStatus,
  job: JobStatus | undefined,
): string {
  const { snapshot, today } = status;
  const last = snapshot.history
    .ofPart(slot.id)
    .findLast(({ kind, look }) => kind === "look" && look?.grade);
  const isOfThis = last !== undefined && (fittedOn === null || last.date > fittedOn);
  const said = (words: string) => inEnglish(englishOf(snapshot.home), words);
  const seen = isOfThis
    ? `${said(inSentence(GRADE_WORDS[last.look!.grade!].name))} on ${dayAndMonth(last.date, today)}`
    : "not looked at yet";
  if (job?.due) return `Changed at the first ${said("grey")} look: ${seen}.`;
  const look = status.jobs.find(({ task }) => task.id === taskId({ partId: slot.id }, LOOK));
  const next = look?.due ?? addDays(today, LOOK_EVERY_DAYS);
  const by = daysFrom(today, next) <= 0 ? "look now" : `look again by ${dateWords(next, today)}`;
  return `Changed at the first ${said("grey")} look: ${seen}; ${by}.`;
}

/** Soonest due first by what governs; what was never recorded comes first of all. */
export function bySoonestSummary(a: FilterSummary, b: FilterSummary): number {
  const key = ({ filterStatus, due }: FilterSummary) =>
    filterStatus.fittedOn === null ? "" : (due ?? "9999-12-31");
  return key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0;
}
