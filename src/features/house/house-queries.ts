import "server-only";
import { agendaNow } from "@/server/snapshots/agendas";
import { standingsOf } from "@/server/snapshots/standings";
import { bySoonestStatus, statusOf, type FilterStatus } from "@/presentation/filter-status";
import type { TaskStanding } from "@/core/scheduling/schedule";
import { todayOrder } from "@/core/scheduling/today-order";
import { dueWords } from "@/presentation/schedule-words";
import { unitKind } from "@/content/unit-kinds";
import { daysFrom, readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { inSentence } from "@/core/quantities/words";
import { plateWords, type HomeBook, type Level, type Unit } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";

/** Due within this many days, a unit's name is written beside it. */
const SPEAKS_UP_DAYS = 21;

export type HouseUnit = {
  id: string;
  name: string;
  levelId: string;
  figure: string;
  open: boolean;
  /** Of its filter that is due first. */
  fill: number | null;
  fillWords: string;
  words: string;
  speaksUp: boolean;
};

/** The unit that is looked at: its shut-offs, and its parts that wear. */
export type Selected = {
  unit: Unit;
  plate: string;
  filters: {
    id: string;
    name: string;
    fill: number;
    fillWords: string;
    due: string;
    why: string;
  }[];
  others: number;
};

export type House = {
  homeId: string;
  levels: Level[];
  units: HouseUnit[];
  retired: { id: string; name: string }[];
  selected: Selected | null;
};

export async function houseOf(
  homeId: string,
  openUnits: readonly string[],
  wanted: string | null = null,
): Promise<House | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const all = standingsOf(book, today)
    .map((standing) => statusOf(book, standing, today))
    .sort(bySoonestStatus);
  const firsts = new Map<string, FilterStatus>();
  for (const status of all) {
    const { id } = status.standing.unit;
    if (!firsts.has(id)) firsts.set(id, status);
  }
  // The order of Today: what a unit is said to need is what stands first there.
  const past = todayOrder(agendaNow(book, today), today).flatMap(({ job, when }) =>
    when === "past" ? [job] : [],
  );
  const units = book.units.map((unit) =>
    houseUnit(
      unit,
      firsts.get(unit.id),
      past.find(({ task }) => task.unitId === unit.id),
      openUnits.includes(unit.id),
      today,
    ),
  );
  const shown =
    book.units.find((unit) => unit.id === wanted) ??
    [...firsts.values()][0]?.standing.unit ??
    book.units[0];
  return {
    homeId,
    levels: book.levels,
    units,
    retired: book.retired.map(({ id, name }) => ({ id, name })),
    selected: shown ? selectedOf(book, shown, all) : null,
  };
}

function houseUnit(
  unit: Unit,
  first: FilterStatus | undefined,
  past: TaskStanding | undefined,
  open: boolean,
  today: PlainDate,
): HouseUnit {
  const due = first?.due;
  const left = due ? daysFrom(today, due) : null;
  const alarm = alarmWords(unit);
  return {
    id: unit.id,
    name: unit.name,
    levelId: unit.levelId,
    figure: unitKind(unit.kind).figure,
    open,
    fill: first?.fill ?? null,
    fillWords: first?.fillWords ?? "not known",
    words: open
      ? "left open"
      : unit.setUpStep
        ? "half entered"
        : past
          ? `${inSentence(past.task.name)}: ${dueWords(past, today)}`
          : due
            ? `${inSentence(first.standing.slot.name)} ${first.words}`
            : first
              ? "never recorded"
              : (alarm ?? ""),
    speaksUp:
      open ||
      unit.setUpStep !== undefined ||
      (left !== null && left <= SPEAKS_UP_DAYS) ||
      past !== undefined ||
      alarm !== null,
  };
}

/** An alarm whose age nobody wrote down; one that is spent stands among the jobs. */
function alarmWords(unit: Unit): string | null {
  if (unit.kind !== "co-alarm") return null;
  return readPlainDate(unit.answers["made-on"] ?? "") ? null : "made when?";
}

function selectedOf(book: HomeBook, unit: Unit, all: readonly FilterStatus[]): Selected {
  return {
    unit,
    plate: [unitKind(unit.kind).name, plateWords(unit)].filter(Boolean).join(", "),
    filters: all
      .filter(({ standing }) => standing.unit.id === unit.id)
      .map(({ standing: { slot }, fill, fillWords, words, why }) => ({
        id: slot.id,
        name: slot.name,
        fill: fill ?? 0,
        fillWords,
        due: words,
        why,
      })),
    others: book.parts.filter((part) => part.unitId === unit.id).length,
  };
}
