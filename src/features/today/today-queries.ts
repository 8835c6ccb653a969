import "server-only";
import { agendaNow } from "@/server/snapshots/agendas";
import { procedure } from "@/content/procedures/library";
import { filterStatus, type FilterStatus } from "@/presentation/filter-status";
import { pathOfTask } from "@/presentation/task-words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { inSentence } from "@/core/quantities/words";
import type { Procedure } from "@/core/runs/procedure";
import type { TaskStanding } from "@/core/scheduling/schedule";
import { todayOrder, type When } from "@/core/scheduling/today-order";
import type { HomeBook, Part } from "@/core/inventory/inventory";
import { RENEW } from "@/core/scheduling/task";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import { watchOf, type Watch } from "./today-watch";
import { seasonLine } from "./today-words";

/** A job with everything a page says of it; `status` where it renews a filter. */
export type TodayJob = {
  job: TaskStanding;
  part: Part | undefined;
  status: FilterStatus | undefined;
  procedure: Procedure | null;
};

export type Today = {
  book: HomeBook;
  today: PlainDate;
  season: string;
  past: number;
  soon: number;
  /** What to do next: the first of the order; null when nothing is near. */
  next: TodayJob | null;
  /** The rest of it, in the same order. */
  closer: (TodayJob & { when: When })[];
  watch: Watch[];
  /** What cannot be read, and where it belongs. */
  problems: { words: string; path: string }[];
};

export async function todayOf(homeId: string): Promise<Today | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const agenda = agendaNow(book, today);
  const order = todayOrder(agenda, today);
  const withAll = (job: TaskStanding): TodayJob => ({
    job,
    part: book.parts.find((each) => each.id === job.task.partId),
    status:
      job.task.key === RENEW && job.task.partId
        ? (filterStatus(book, job.task.partId, today) ?? undefined)
        : undefined,
    procedure: job.task.procedureIds[0] ? procedure(job.task.procedureIds[0]) : null,
  });
  const lead = order.find(({ when }) => when === "past" || when === "now");
  return {
    book,
    today,
    season: seasonLine(book, today),
    watch: watchOf(book, today, agenda),
    past: order.filter(({ when }) => when === "past").length,
    soon: order.filter(({ when }) => when === "now").length,
    next: lead ? withAll(lead.job) : null,
    closer: order
      .filter((each) => each !== lead)
      .map(({ job, when }) => ({ ...withAll(job), when })),
    problems: agenda.flatMap(({ task, unit, problem }) =>
      problem
        ? [
            {
              words: `${unit?.name ?? "The home"}, ${inSentence(task.name)}: ${problem}`,
              path: pathOfTask(task),
            },
          ]
        : [],
    ),
  };
}
