import "server-only";
import { isCoAlarm } from "@/core/inventory/alarms";
import { bySoonestSummary, summaryOf, type FilterSummary } from "@/presentation/filter-status";
import type { JobStatus } from "@/core/scheduling/schedule";
import { todayOrder } from "@/core/scheduling/today-order";
import { dueWords } from "@/presentation/schedule-words";
import { unitKind } from "@/content/unit-kinds";
import { daysFrom, readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { inSentence } from "@/core/quantities/words";
import { plateWords, type Level, type Unit } from "@/core/inventory/inventory";
import { type HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";
import type { HomeStatus } from "@/core/timeline/home-status";
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

/** What the picture of a house is drawn from: it goes to the browser, and nothing beside it. */
export type DrawnHouse = {
  homeId: string;
  levels: Level[];
  units: HouseUnit[];
  selectedId: string | null;
};

export type House = {
  drawn: DrawnHouse;
  retired: { id: string; name: string }[];
  selected: Selected | null;
};

/** What the house says of its filters and of what is past, whichever unit is looked at. */
function dueShown(status: HomeStatus) {
  const all = status.filters
    .map((filterStatus) => summaryOf(status, filterStatus))
    .sort(bySoonestSummary);
  // The order of Today: what a unit is said to need is what stands first there.
  const past = todayOrder(status.jobs, status.today).flatMap(({ job, when }) =>
    when === "past" ? [job] : [],
  );
  return { all, past };
}

export async function houseOf(
  homeId: string,
  openUnits: readonly string[],
  wanted: string | null = null,
): Promise<House | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const status = homeStatus(snapshot, today);
  const { all, past } = shownOnce(status, "house", () => dueShown(status));
  const firsts = new Map<string, FilterSummary>();
  for (const summary of all) {
    const { id } = summary.filterStatus.unit;
    if (!firsts.has(id)) firsts.set(id, summary);
  }
  const units = snapshot.units.map((unit) =>
    houseUnit(
      unit,
      firsts.get(unit.id),
      past.find(({ task }) => task.unitId === unit.id),
      openUnits.includes(unit.id),
      today,
    ),
  );
  const shown =
    snapshot.units.find((unit) => unit.id === wanted) ??
    [...firsts.values()][0]?.filterStatus.unit ??
    snapshot.units[0];
  return {
    drawn: { homeId, levels: snapshot.levels, units, selectedId: shown?.id ?? null },
    retired: snapshot.retired.map(({ id, name }) => ({ id, name })),
    selected: shown ? selectedOf(snapshot, shown, all) : null,
  };
}

function houseUnit(
  unit: Unit,
  first: FilterSummary | undefined,
  past: JobStatus | undefined,
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
            ? `${inSentence(first.filterStatus.slot.name)} ${first.words}`
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
  if (!isCoAlarm(unit.kind)) return null;
  return readPlainDate(unit.attributes["made-on"] ?? "") ? null : "made when?";
}

function selectedOf(snapshot: HomeSnapshot, unit: Unit, all: readonly FilterSummary[]): Selected {
  return {
    unit,
    plate: [unitKind(unit.kind).name, plateWords(unit)].filter(Boolean).join(", "),
    filters: all
      .filter(({ filterStatus }) => filterStatus.unit.id === unit.id)
      .map(({ filterStatus: { slot }, fill, fillWords, words, why }) => ({
        id: slot.id,
        name: slot.name,
        fill: fill ?? 0,
        fillWords,
        due: words,
        why,
      })),
    others: snapshot.parts.filter((part) => part.unitId === unit.id).length,
  };
}
