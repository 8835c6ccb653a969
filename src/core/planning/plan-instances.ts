import { chanceFrom } from "../quantities/chance";
import { addDays, daysFrom, isoWeekday, plainDate, type PlainDate } from "../quantities/plain-date";
import { planInput, type PlanInput } from "./plan-schema";

/** Homes made up for measuring and testing plans: small, large, and two of a landlord’s. */
export type InstanceKind = "small" | "large" | "landlord";

const TODAY = plainDate("2026-03-14");
const HORIZON = addDays(TODAY, 365);
/** By kind: homes, and in each so many machines, owner’s tasks and technician’s. */
const SIZES: Record<InstanceKind, { homes: number; units: number; tasks: number; visits: number }> =
  {
    small: { homes: 1, units: 5, tasks: 18, visits: 3 },
    large: { homes: 1, units: 20, tasks: 80, visits: 12 },
    landlord: { homes: 4, units: 6, tasks: 16, visits: 3 },
  };

/** How a task comes round: by the calendar, by its wear, or with a turn of the year. */
type Rhythm = { kind: "every" | "wear"; days: number } | { kind: "season"; dayOfYear: number };
/** Days between one time and the next, as the jobs of a house have them: few often, most a few times. */
const EVERY = [14, 30, 30, 60, 90, 90, 90, 182, 182, 365, 365, 365];
const WEAR = [35, 60, 90, 120, 180, 270];
/** Turns of the year that many jobs hang on: cooling begins, heating begins, leaves fall, it warms up. */
const TURNS = [142, 238, 308, 149];

/**
 * A made-up home to be planned for a year: intervals that hold all year, others that follow the season,
 * a core that dries for two days, filters that cost something.
 *
 * @example madeUpPlan("small", 1).tasks.length // 21
 */
export function madeUpPlan(kind: InstanceKind, seed: number): PlanInput {
  const chance = chanceFrom(seed);
  const pick = (count: number) => Math.floor(chance.uniform() * count);
  const size = SIZES[kind];
  const units = Array.from({ length: size.homes * size.units }, (_, i) => ({
    id: `u${i}`,
    home: `h${Math.floor(i / size.units)}`,
    level: pick(4) - 1,
  }));
  const rhythm = (isVisit: boolean): Rhythm => {
    const roll = pick(10);
    if (roll < 4) return { kind: "season", dayOfYear: TURNS[pick(TURNS.length)]! };
    if (isVisit) return { kind: "every", days: [182, 365, 730][pick(3)]! };
    return roll < 7
      ? { kind: "every", days: EVERY[pick(EVERY.length)]! }
      : { kind: "wear", days: WEAR[pick(WEAR.length)]! };
  };
  const tasks = Array.from({ length: size.homes }, (_, home) =>
    Array.from({ length: size.tasks + size.visits }, (__, i) => {
      const isVisit = i >= size.tasks;
      const comes = rhythm(isVisit);
      const span = comes.kind === "season" ? 365 : comes.days;
      const lastDone =
        comes.kind === "season"
          ? seasonBefore(TODAY, comes.dayOfYear, pick(15) - 7)
          : addDays(TODAY, -pick(span) - 1);
      const dries = !isVisit && span >= 182 && pick(8) === 0;
      return {
        id: `t${home}-${i}`,
        unit: `u${home * size.units + pick(size.units)}`,
        crew: isVisit ? "technician" : "owner",
        handsOn: isVisit ? 20 + 10 * pick(5) : 5 + 5 * pick(5),
        powerOff: pick(3) === 0,
        outdoor: pick(4) === 0,
        ...(dries ? { returns: { minHours: 48, maxHours: 96, minutes: 15 } } : {}),
        lastDone,
        windows: windowsOf(lastDone, comes),
        consumable: comes.kind === "wear" ? [0, 900, 2400][pick(3)]! : 0,
        criticality: [0.3, 1, 1, 1, 2][pick(5)]!,
      };
    }),
  ).flat();
  return planInput.parse({
    today: TODAY,
    horizonEnd: HORIZON,
    seed,
    crews: [
      {
        ...{ id: "owner", kind: "owner", capMinutes: 120, capScope: "home-day" },
        days: { weekdays: [1, 2, 3, 4, 5, 6, 7], except: [] },
        preferred: [6, 7],
      },
      {
        ...{ id: "technician", kind: "technician", capMinutes: 420, capScope: "day" },
        days: { weekdays: [1, 2, 3, 4, 5], except: [] },
        preferred: [],
      },
    ],
    units,
    tasks,
  });
}

/** The day of a turn of the year, some days off, the last one before a day. */
function seasonBefore(day: PlainDate, dayOfYear: number, off: number): PlainDate {
  const turn = addDays(plainDate(`${day.slice(0, 4)}-01-01`), dayOfYear + off);
  return turn < day ? turn : addDays(turn, -365);
}

/** A season’s job was done for the season it is nearest to: the next is that of the year after. */
const SEASON_DONE_DAYS = 180;
const SEASON_SLACK_DAYS = 21;

/** By the day it was done: opens, due and closes of the next, as the engine gives them. */
function windowsOf(lastDone: PlainDate, comes: Rhythm) {
  const from = lastDone < TODAY ? lastDone : TODAY;
  const days = Array.from({ length: daysFrom(from, HORIZON) + 1 }, (_, row) => addDays(from, row));
  const windows = days.map((day) => {
    if (comes.kind === "season") {
      const turn = seasonBefore(addDays(day, SEASON_DONE_DAYS + 365), comes.dayOfYear, 0);
      return [-SEASON_SLACK_DAYS, 0, SEASON_SLACK_DAYS].map((off) => addDays(turn, off));
    }
    // By the calendar a fifth before and a tenth after; wear is less sure of itself, on the late side most.
    const [opens, closes] = comes.kind === "every" ? [0.8, 1.1] : [0.75, 1.35];
    return [
      addDays(day, Math.floor(comes.days * opens!)),
      addDays(day, comes.days),
      addDays(day, Math.ceil(comes.days * closes!)),
    ];
  });
  const column = (nth: number) => windows.map((window) => window[nth]!);
  return { from, opens: column(0), due: column(1), closes: column(2) };
}

/**
 * Whether a day is one that owners like, as the made-up homes have it.
 *
 * @example isWeekend(today) // true
 */
export const isWeekend = (day: PlainDate): boolean => isoWeekday(day) >= 6;
