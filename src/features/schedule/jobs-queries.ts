import "server-only";
import { agendaNow } from "@/server/snapshots/agendas";
import { slotTitle } from "@/presentation/slot-words";
import { standingsOf } from "@/server/snapshots/standings";
import type { PlainDate } from "@/core/quantities/plain-date";
import { bySoonestDue, type TaskStanding } from "@/core/scheduling/schedule";
import type { HomeBook, Unit } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import { jobRow, type JobRow } from "./job-rows";

/** What a job can be looked up by: everything of a home, of a unit, or of one part. */
export type JobsOf = { unitId?: string; partId?: string };

export async function jobsOf(homeId: string, of: JobsOf): Promise<JobRow[]> {
  const book = await homeBook(homeId);
  if (!book) return [];
  const today = todayIn(book.home.timeZone);
  return agendaNow(book, today)
    .filter(({ task }) => task.unitId === of.unitId && task.partId === of.partId)
    .map((standing) => jobRow(book, standing, today));
}

export type JobsPage = {
  book: HomeBook;
  today: PlainDate;
  /** The home’s own, which belong to no unit. */
  own: JobRow[];
  /** Everything that has a day, the soonest first. */
  coming: JobRow[];
  /** What only something that happens would call for, and what was switched off. */
  waiting: JobRow[];
};

export async function jobsPageOf(homeId: string): Promise<JobsPage | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const all = [...agendaNow(book, today)].sort(bySoonestDue);
  const rows = (some: TaskStanding[]) => some.map((standing) => jobRow(book, standing, today));
  return {
    book,
    today,
    own: rows(all.filter(({ task }) => !task.unitId && !task.partId)),
    coming: rows(all.filter(({ due, task }) => due !== null && task.unitId)),
    waiting: rows(all.filter(({ due, task }) => due === null && task.unitId)),
  };
}

export type JobPage = {
  book: HomeBook;
  today: PlainDate;
  standing: TaskStanding;
  row: JobRow;
  unitName: string | null;
};

export async function jobPageOf(homeId: string, taskId: string): Promise<JobPage | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const standing = agendaNow(book, today).find((each) => each.task.id === taskId);
  if (!standing) return null;
  const row = jobRow(book, standing, today);
  return { book, today, standing, row, unitName: standing.unit?.name ?? null };
}

/** A place a job of one’s own may belong to, and how it is called; null where there is none. */
export async function placeNameOf(
  homeId: string,
  { unitId, partId }: { unitId: string | undefined; partId: string | undefined },
): Promise<{ place: JobsOf; name: string } | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const part = [...book.slots, ...book.parts].find((each) => each.id === partId);
  const unit = book.units.find((each) => each.id === (part?.unitId ?? unitId));
  if ((partId && !part) || (unitId && !unit)) return null;
  return {
    place: { ...(unit ? { unitId: unit.id } : {}), ...(part ? { partId: part.id } : {}) },
    name: [unit?.name, part?.name].filter(Boolean).join(", ") || "The whole home",
  };
}

/** So many are said at the end of entering a unit; its page has the rest. */
const MOST_FIRST = 5;

/** What is due first at a unit, and the filters of which nobody has said yet when they went in. */
export async function firstDueOf(
  homeId: string,
  unitId: string,
): Promise<{ unit: Unit; rows: JobRow[]; unknown: { id: string; words: string }[] } | null> {
  const book = await homeBook(homeId);
  const unit = book?.units.find((each) => each.id === unitId);
  if (!book || !unit) return null;
  const today = todayIn(book.home.timeZone);
  const rows = agendaNow(book, today)
    .filter(({ task, due }) => task.unitId === unitId && due !== null)
    .sort(bySoonestDue)
    .slice(0, MOST_FIRST)
    .map((standing) => jobRow(book, standing, today));
  const unknown = standingsOf(book, today)
    .filter((standing) => standing.unit.id === unitId && standing.fittedOn === null)
    .map(({ slot }) => ({ id: slot.id, words: `${slotTitle(slot)}: nobody has said yet.` }));
  return { unit, rows, unknown };
}
