import {
  addDays,
  civil,
  dayNumber,
  fromDay,
  toDay,
  type PlainDate,
} from "@/core/quantities/plain-date";
import type { HistoryEvent, Part } from "@/core/register/register";
import type { PartKindId } from "../part-kinds";
import { chanceFrom } from "./chance";

/** When a part was seen to over the years: in some month each year, or every so many days. */
type Rhythm = { words?: string[] } & (
  { month: number; everyYears?: number } | { everyDays: number }
);

/** What is told of one part and of no other of its kind. */
const TOLD: Readonly<Record<string, string[]>> = {
  "yard-condenser-condenser-coil": [
    "lime-tree honeydew, rinsed top to bottom",
    "sticky again after a week in June",
  ],
};

const YEARS = 3;
const YEAR_DAYS = 365;

const RHYTHMS: Partial<Record<PartKindId, Rhythm>> = {
  "flame-sensor": { month: 10, everyYears: 2, words: ["a grey film, bright again"] },
  burners: { month: 10 },
  belt: { month: 9, everyYears: 2, words: ["glazed at the edge"] },
  "condensate-trap": { month: 5, words: ["pale slime", "clear", "pale slime, filled again"] },
  "condensate-line": { month: 5, words: ["two cups, then clear", "clear at once"] },
  "plastic-vent": { month: 11, words: ["leaves in the intake", "clear"] },
  "evaporator-coil": { month: 4, everyYears: 2 },
  "condenser-coil": { month: 6 },
  "base-drain": { month: 10 },
  "recovery-core": { month: 3, words: ["grey water, two days to dry"] },
  "cover-seal": { month: 3 },
  "outside-grilles": { month: 4, words: ["a wren’s nest begun", "cobwebs"] },
  "head-drain": { month: 6 },
  "inlet-screen": { everyDays: 91 },
  fan: { month: 4 },
  "drain-ports": { month: 9, words: ["half a litre from the lower one"] },
  "exhaust-hose": { month: 9 },
  grilles: { everyDays: 182 },
  flue: { month: 10 },
  "magnetic-filter": { month: 9, words: ["a thick coat", "a coat", "a film"] },
  inhibitor: { month: 9, everyYears: 2 },
  pressure: { everyDays: 150 },
  radiator: { month: 10 },
  damper: { everyDays: 182 },
  "dryer-duct": { month: 9, words: ["two handfuls of lint", "a handful of lint"] },
  "outside-flap": { month: 9 },
  batteries: { month: 10 },
  "alarm-display": { everyDays: 182, words: ["read zero"] },
  "supply-run": { month: 5, everyYears: 3, words: ["after the scullery: pale grit"] },
};

/** The day of each time a part was seen to, the oldest first. */
function daysOf(rhythm: Rhythm, today: PlainDate, jitter: () => number): PlainDate[] {
  const days: PlainDate[] = [];
  if ("everyDays" in rhythm) {
    let day = addDays(today, -Math.ceil(jitter() * rhythm.everyDays));
    while (day > addDays(today, -YEARS * YEAR_DAYS)) {
      days.unshift(day);
      day = addDays(day, -rhythm.everyDays + Math.round((jitter() - 0.5) * 20));
    }
    return days;
  }
  const { year } = civil(toDay(today));
  for (let y = year - YEARS; y <= year; y++) {
    if (rhythm.everyYears && (year - y) % rhythm.everyYears !== 0) continue;
    const day = fromDay(dayNumber(y, rhythm.month, 3 + Math.floor(jitter() * 24)));
    if (day < today && day > addDays(today, -YEARS * YEAR_DAYS)) days.push(day);
  }
  return days;
}

/** Three years in which the parts that are no filters were cleaned, flushed, set and read. */
export function demoCare(parts: readonly Part[], today: PlainDate, seed: number): HistoryEvent[] {
  const chance = chanceFrom(seed);
  return parts.flatMap((part) => {
    const rhythm = RHYTHMS[part.kind as PartKindId];
    if (!rhythm) return [];
    const said = TOLD[part.id] ?? rhythm.words ?? [];
    return daysOf(rhythm, today, chance.uniform).map((date, i): HistoryEvent => ({
      id: `${part.id}-done-${i}`,
      kind: "done",
      unitId: part.unitId,
      partId: part.id,
      date,
      recordedAt: `${date}T11:00:00.000Z`,
      minutes: 5 * Math.ceil(1 + 5 * chance.uniform()),
      ...(said.length > 0 ? { words: said[i % said.length]! } : {}),
    }));
  });
}
