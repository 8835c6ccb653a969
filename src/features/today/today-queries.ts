import "server-only";
import { agendaNow } from "@/content/agendas";
import { procedure } from "@/content/procedures/library";
import { standingsOf } from "@/content/standings";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import type { Procedure } from "@/core/procedures/procedure";
import { bySoonestDue, isPutOff, type TaskStanding } from "@/core/register/agenda";
import type { HomeBook, Part } from "@/core/register/register";
import type { Standing } from "@/core/register/standing";
import { RENEW } from "@/core/register/task";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import { watchOf, type Watch } from "./today-watch";
import { seasonLine } from "./today-words";

/** Due within this many days counts as this week. */
const SOON_DAYS = 7;
/** Nothing further off than this comes closer today. */
const CLOSER_DAYS = 45;

/** A job with everything a page says of it; `standing` where it renews a filter. */
export type TodayJob = {
  job: TaskStanding;
  part: Part | undefined;
  standing: Standing | undefined;
  procedure: Procedure | null;
};

export type Today = {
  book: HomeBook;
  today: PlainDate;
  season: string;
  past: number;
  soon: number;
  /** What to do next; null when nothing is near. */
  next: TodayJob | null;
  closer: TodayJob[];
  watch: Watch[];
};

export async function todayOf(homeId: string): Promise<Today | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const jobs = [...agendaNow(book, today)].sort(bySoonestDue);
  const week = addDays(today, SOON_DAYS);
  const isPast = (job: TaskStanding) => job.state === "past";
  const isSoon = (job: TaskStanding) => !isPast(job) && job.due !== null && job.due <= week;
  // What only a technician may do is no errand for today.
  // Nor what somebody tried in vain and means to try again later.
  const nearest = jobs.find(
    (job) => job.task.who !== "licensed" && !isPutOff(job, today) && (isPast(job) || isSoon(job)),
  );
  const until = addDays(today, CLOSER_DAYS);
  const isClose = (job: TaskStanding) =>
    job.due === null ? isUnknownFilter(job) : job.due <= until;
  const withAll = (job: TaskStanding): TodayJob => ({
    job,
    part: book.parts.find((each) => each.id === job.task.partId),
    standing:
      job.task.key === RENEW
        ? standingsOf(book, today).find((each) => each.slot.id === job.task.partId)
        : undefined,
    procedure: job.task.procedureIds[0] ? procedure(job.task.procedureIds[0]) : null,
  });
  return {
    book,
    today,
    season: seasonLine(book, today),
    watch: watchOf(book, today),
    past: jobs.filter(isPast).length,
    soon: jobs.filter(isSoon).length,
    next: nearest ? withAll(nearest) : null,
    closer: jobs.filter((job) => job !== nearest && isClose(job)).map(withAll),
  };
}

/** A filter nobody saw fitted: it asks for a word before it can say a day. */
const isUnknownFilter = ({ task, lastDone }: TaskStanding): boolean =>
  task.key === RENEW && lastDone === null && !task.isOff;
