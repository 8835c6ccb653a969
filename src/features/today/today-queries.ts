import "server-only";
import { standingsOf } from "@/content/standings";
import { renewalOf } from "@/content/procedures/library";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Procedure } from "@/core/procedures/procedure";
import type { HomeBook } from "@/core/register/register";
import { bySoonest, daysLeft, type Standing } from "@/core/register/standing";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import { watchOf, type Watch } from "./today-watch";
import { seasonLine } from "./today-words";

/** Due within this many days is “nearly due”. */
const SOON_DAYS = 7;
/** Nothing further off than this comes closer today. */
const CLOSER_DAYS = 75;

export type Today = {
  book: HomeBook;
  today: PlainDate;
  season: string;
  past: number;
  soon: number;
  /** What to do next, with its steps; null when nothing is near. */
  next: { standing: Standing; job: Procedure | null } | null;
  closer: Standing[];
  watch: Watch[];
};

export async function todayOf(homeId: string): Promise<Today | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const standings = [...standingsOf(book, today)].sort(bySoonest);
  const left = (standing: Standing) => daysLeft(standing, today);
  const isPast = (standing: Standing) => (left(standing) ?? 1) < 0;
  const isSoon = (standing: Standing) => {
    const days = left(standing);
    return days !== null && days >= 0 && days <= SOON_DAYS;
  };
  const nearest = standings.find((standing) => isPast(standing) || isSoon(standing));
  return {
    book,
    today,
    season: seasonLine(book, today),
    watch: watchOf(book, today),
    past: standings.filter(isPast).length,
    soon: standings.filter(isSoon).length,
    next: nearest ? { standing: nearest, job: renewalOf(nearest.slot.media) } : null,
    closer: standings.filter((standing) => {
      const days = left(standing);
      return standing !== nearest && (days === null ? standing.wear === null : days <= CLOSER_DAYS);
    }),
  };
}
