import "server-only";
import { renewalOf } from "@/content/procedures/library";
import { reasonWords, standingsOf } from "@/content/standings";
import type { PlainDate } from "@/core/quantities/plain-date";
import { driversOf, historyOf } from "@/core/register/part-wear";
import type { HistoryEvent, HomeBook, ScopedDriver, Unit } from "@/core/register/register";
import { bySoonest, type Standing } from "@/core/register/standing";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";

export type UnitSheet = {
  book: HomeBook;
  today: PlainDate;
  unit: Unit;
  levelName: string;
  standings: Standing[];
  /** The slot whose curve and history are shown. */
  shown: Standing | null;
  shownDrivers: { driver: ScopedDriver; words: string }[];
  /** Of the slot shown, the newest first. */
  history: HistoryEvent[];
  /** The slots whose change the library leads through, step by step. */
  guided: string[];
};

export async function unitSheetOf(
  homeId: string,
  unitId: string,
  slotId: string | null,
): Promise<UnitSheet | null> {
  const book = await homeBook(homeId);
  const unit = book?.units.find((each) => each.id === unitId);
  if (!book || !unit) return null;
  const today = todayIn(book.home.timeZone);
  const standings = standingsOf(book, today).filter((standing) => standing.unit.id === unit.id);
  const shown =
    standings.find((standing) => standing.slot.id === slotId) ??
    [...standings].sort(bySoonest)[0] ??
    null;
  return {
    book,
    today,
    unit,
    levelName: book.levels.find((level) => level.id === unit.levelId)?.name ?? "",
    standings,
    shown,
    shownDrivers: shown
      ? driversOf(book, shown.slot).map((driver) => ({ driver, words: reasonWords(driver) }))
      : [],
    history: shown ? historyOf(book, shown.slot.id).reverse() : [],
    guided: standings.filter(({ slot }) => renewalOf(slot.media)).map(({ slot }) => slot.id),
  };
}
