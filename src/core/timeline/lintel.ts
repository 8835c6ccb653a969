import { climateDays } from "../climate/climate";
import { runDays } from "../climate/run-hours";
import { addDays, daysFrom, toDay, type PlainDate } from "../quantities/plain-date";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { JobStatus } from "../scheduling/schedule";
import { RENEW } from "../scheduling/task";

const DAYS_BACK = 30;
const DAYS_AHEAD = 335;

/** What hangs at a peg: each has a form of its own. A visit is for licensed people only. */
export type PegWhat = "filter" | "visit" | "safety" | "job";
export type Peg = {
  taskId: string;
  due: PlainDate;
  minutes: number;
  what: PegWhat;
  /** Past its window: it has come off. */
  past: boolean;
};
export type Notch = {
  date: PlainDate;
  season: "heating ends" | "first warm day" | "leaf fall" | "snow";
};

export type Lintel = {
  from: PlainDate;
  to: PlainDate;
  today: PlainDate;
  /** Mean hours a day of the home's ducted systems (all of them, where none is ducted). */
  heating: number[];
  cooling: number[];
  notches: Notch[];
  pegs: Peg[];
};

const hundredths = (hours: number) => Math.round(hours * 100) / 100;

/**
 * The year over every page, from 30 days ago to 335 ahead: the temperature's course, real and usual, the
 * seasons' turns, and the jobs that hang from it.
 *
 * @example lintelOf(snapshot([]), [], today).today // "2026-03-14"
 */
export function lintelOf(
  snapshot: HomeSnapshot,
  schedule: readonly JobStatus[],
  today: PlainDate,
): Lintel {
  const from = addDays(today, -DAYS_BACK);
  const to = addDays(today, DAYS_AHEAD);
  const size = daysFrom(from, to) + 1;
  const used = snapshot.systems.filter((system) =>
    snapshot.units.some((unit) => unit.systemId === system.id),
  );
  const ducted = used.filter(
    ({ ducted: isDucted, equipment }) => isDucted && (equipment.heats || equipment.cools),
  );
  const shown = ducted.length > 0 ? ducted : used;
  const heating = new Array<number>(size).fill(0);
  const cooling = new Array<number>(size).fill(0);
  for (const system of shown) {
    const { climate } = snapshot.home;
    const days = runDays(climate, snapshot.actuals, system.equipment, [], toDay(from), toDay(to));
    for (let i = 0; i < size; i++) {
      heating[i]! += days.heating[i]! / shown.length;
      cooling[i]! += days.cooling[i]! / shown.length;
    }
  }
  // Hundredths of an hour: the ridge is drawn no finer, and every page carries it.
  for (const hours of [heating, cooling]) hours.forEach((each, i) => (hours[i] = hundredths(each)));
  const { seasons } = climateDays({ climate: snapshot.home.climate, actuals: [], from, to });
  const notches: Notch[] = [
    ...seasons.heatingEnd.map((date) => ({ date, season: "heating ends" as const })),
    ...seasons.firstWarmDay.map((date) => ({ date, season: "first warm day" as const })),
    ...seasons.leafFall.map((date) => ({ date, season: "leaf fall" as const })),
    ...seasons.snowFrom.map((date) => ({ date, season: "snow" as const })),
  ];
  return { from, to, today, heating, cooling, notches, pegs: pegsOf(schedule, to) };
}

const whatOf = ({ key, who, isSafety }: JobStatus["task"]): PegWhat =>
  key === RENEW ? "filter" : who === "licensed" ? "visit" : isSafety ? "safety" : "job";

function pegsOf(schedule: readonly JobStatus[], until: PlainDate): Peg[] {
  const pegs = schedule.flatMap(({ task, state, due, ahead }) =>
    ahead
      .filter((day) => day <= until)
      .map((day, i) => {
        const past = i === 0 && state === "past";
        return {
          taskId: task.id,
          due: past && due ? due : day,
          minutes: task.handsOn,
          what: whatOf(task),
          past,
        };
      }),
  );
  return pegs.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
}
