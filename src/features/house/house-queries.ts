import "server-only";
import { agendaNow } from "@/content/agendas";
import { standingsOf } from "@/content/standings";
import { bySoonestDue, type TaskStanding } from "@/core/register/agenda";
import { dueWords } from "@/core/register/agenda-words";
import { unitKind } from "@/content/unit-kinds";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { awayWords, inSentence } from "@/core/quantities/words";
import { plateWords, type HomeBook, type Level, type Unit } from "@/core/register/register";
import { bySoonest, daysLeft, type Standing } from "@/core/register/standing";
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
  const firsts = new Map<string, Standing>();
  for (const standing of [...standingsOf(book, today)].sort(bySoonest))
    if (!firsts.has(standing.unit.id)) firsts.set(standing.unit.id, standing);
  const past = agendaNow(book, today)
    .filter(({ state }) => state === "past")
    .sort(bySoonestDue);
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
    book.units.find((unit) => unit.id === wanted) ?? [...firsts.values()][0]?.unit ?? book.units[0];
  return {
    homeId,
    levels: book.levels,
    units,
    retired: book.retired.map(({ id, name }) => ({ id, name })),
    selected: shown ? selectedOf(book, shown, today) : null,
  };
}

function houseUnit(
  unit: Unit,
  first: Standing | undefined,
  past: TaskStanding | undefined,
  open: boolean,
  today: PlainDate,
): HouseUnit {
  const due = first?.wear?.likely;
  const left = first ? daysLeft(first, today) : null;
  const alarm = alarmWords(unit);
  return {
    id: unit.id,
    name: unit.name,
    levelId: unit.levelId,
    figure: unitKind(unit.kind).figure,
    open,
    fill: first?.wear ? first.wear.percentNow / 100 : null,
    fillWords: first?.wear ? `${Math.round(first.wear.percentNow)} % full` : "not known",
    words: open
      ? "left open"
      : unit.setUpStep
        ? "half entered"
        : past
          ? `${inSentence(past.task.name)}: ${dueWords(past, today)}`
          : due
            ? `${inSentence(first.slot.name)} ${awayWords(due, today)}`
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

function selectedOf(book: HomeBook, unit: Unit, today: PlainDate): Selected {
  const filters = standingsOf(book, today)
    .filter((standing) => standing.unit.id === unit.id)
    .sort(bySoonest);
  return {
    unit,
    plate: [unitKind(unit.kind).name, plateWords(unit)].filter(Boolean).join(", "),
    filters: filters.map(({ slot, wear, sentence }) => ({
      id: slot.id,
      name: slot.name,
      fill: (wear?.percentNow ?? 0) / 100,
      fillWords: wear ? `${Math.round(wear.percentNow)} % full` : "not known",
      due: wear?.likely ? awayWords(wear.likely, today) : "",
      why: sentence,
    })),
    others: book.parts.filter((part) => part.unitId === unit.id).length,
  };
}
