import "server-only";
import { standingsOf } from "@/content/standings";
import { unitKind, type UnitFigure } from "@/content/unit-kinds";
import { awayWords } from "@/core/quantities/words";
import type { Level } from "@/core/register/register";
import { bySoonest, daysLeft } from "@/core/register/standing";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";

/** Due within this many days, a unit's name is written beside it. */
const SPEAKS_UP_DAYS = 21;

export type HouseUnit = {
  id: string;
  name: string;
  levelId: string;
  figure: UnitFigure;
  heats: boolean;
  open: boolean;
  /** Of its filter that is due first. */
  fill: number | null;
  fillWords: string;
  words: string;
  speaksUp: boolean;
};
export type House = { homeId: string; levels: Level[]; units: HouseUnit[] };

export async function houseOf(homeId: string, openUnits: readonly string[]): Promise<House | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const units = book.units.map((unit): HouseUnit => {
    const first = standingsOf(book, today)
      .filter((standing) => standing.unit.id === unit.id)
      .sort(bySoonest)[0];
    const due = first?.wear?.likely;
    const open = openUnits.includes(unit.id);
    const left = first ? daysLeft(first, today) : null;
    return {
      id: unit.id,
      name: unit.name,
      levelId: unit.levelId,
      figure: unitKind(unit.kind).figure,
      heats: unitKind(unit.kind).ducted && unitKind(unit.kind).equipment.heats,
      open,
      fill: first?.wear ? first.wear.percentNow / 100 : null,
      fillWords: first?.wear ? `${Math.round(first.wear.percentNow)} % full` : "not known",
      words: open
        ? "left open"
        : due
          ? `${first.slot.name.toLowerCase()} ${awayWords(due, today)}`
          : first
            ? "never recorded"
            : "no filter yet",
      speaksUp: open || (left !== null && left <= SPEAKS_UP_DAYS),
    };
  });
  return { homeId, levels: book.levels, units };
}
