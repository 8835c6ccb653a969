import { addDays, daysFrom, type PlainDate } from "../quantities/plain-date";
import { movePrice } from "./moves";
import { plan, PlanModel } from "./plan";
import type { Occurrence, PlanInput } from "./plan-schema";

/** A technician’s day: which jobs in which homes, and other days that would do. */
export type TechnicianDay = {
  day: PlainDate;
  homes: { home: string; tasks: string[] }[];
  /** At work. */
  minutes: number;
  /** Three days to ask for, its own among them, in order; what each costs more, minutes. */
  asked: { day: PlainDate; minutes: number }[];
};

const DAYS_ASKED = 3;
/** Days to ask for lie so far apart at least, and not further from the best than so many days. */
const APART_DAYS = 2;
const WITHIN_DAYS = 21;
const ITERATIONS = 250;
const BETWEEN = " / ";

/**
 * One owner’s homes as one plan of what is a technician’s alone: the days are those of the first, and ids are
 * told apart by their home.
 *
 * @param homes what each home is planned from, by its id
 * @example visitsOf([planInput.parse(smallPlan)]).tasks.length // 0
 */
export function visitsOf(homes: readonly PlanInput[]): PlanInput {
  const [first] = homes;
  if (!first) throw new Error("visitsOf: no home to plan for");
  const crew = first.crews.find(({ kind }) => kind === "technician") ?? first.crews[0]!;
  const all = homes.map((input, i) => {
    const own = new Set(input.crews.flatMap(({ id, kind }) => (kind === "technician" ? [id] : [])));
    const named = (id: string) => `${i}${BETWEEN}${id}`;
    const tasks = input.tasks.filter((task) => own.has(task.crew));
    const ids = new Set(tasks.map(({ id }) => id));
    return {
      units: input.units.map((unit) => ({ ...unit, id: named(unit.id) })),
      tasks: tasks.map((task) => ({
        ...task,
        ...{ id: named(task.id), unit: named(task.unit), crew: crew.id },
      })),
      pins: input.pins
        .filter(({ task }) => ids.has(task))
        .map((pin) => ({ ...pin, task: named(pin.task) })),
      lockedRounds: input.lockedRounds
        .filter((round) => own.has(round.crew))
        .map((round) => ({ ...round, crew: crew.id })),
    };
  });
  return {
    ...first,
    iterations: ITERATIONS,
    crews: [crew],
    units: all.flatMap(({ units }) => units),
    tasks: all.flatMap(({ tasks }) => tasks),
    pins: all.flatMap(({ pins }) => pins),
    lockedRounds: all.flatMap(({ lockedRounds }) => lockedRounds),
    previous: [],
  };
}

/**
 * A technician’s days in all homes of one owner, few and full, each with three days to ask for: those that
 * cost the least beside the best, some days apart.
 *
 * @example technicianDays([planInput.parse(smallPlan)]) // []
 */
export function technicianDays(homes: readonly PlanInput[]): TechnicianDay[] {
  const input = visitsOf(homes);
  if (input.tasks.length === 0) return [];
  const model = new PlanModel(input);
  const { rounds, occurrences } = plan(input);
  const view = model.view(occurrences);
  const homeIds = homes.map(({ units }) => units[0]!.home);
  const ownId = (id: string) => id.slice(id.indexOf(BETWEEN) + BETWEEN.length);
  // An agreed day is one, though nothing that comes round falls on it.
  const agreed = new Set(input.lockedRounds.map(({ home, day }) => `${home} ${day}`));
  const isHeld = ({ home, day, tasks }: (typeof rounds)[number]) =>
    tasks.length > 0 || agreed.has(`${home} ${day}`);
  const days = [...new Set(rounds.filter(isHeld).map(({ day }) => day))];
  return days.sort().map((day): TechnicianDay => {
    const here = rounds.filter((round) => round.day === day && isHeld(round));
    const of = here.flatMap(({ tasks }) => tasks.map((task): Occurrence => ({ task, day })));
    const isAgreed = input.lockedRounds.some((round) => round.day === day);
    return {
      day,
      homes: here
        .map(({ home, tasks }) => ({ home, tasks: tasks.map(ownId) }))
        .sort((a, b) => homeIds.indexOf(a.home) - homeIds.indexOf(b.home)),
      minutes: here.reduce((sum, { minutes }) => sum + minutes, 0),
      asked: isAgreed ? [{ day, minutes: 0 }] : askedFor(model, view, { day, of }),
    };
  });
}

/** The days to ask for beside the best one. */
function askedFor(
  model: PlanModel,
  view: ReturnType<PlanModel["view"]>,
  { day, of }: { day: PlainDate; of: Occurrence[] },
): TechnicianDay["asked"] {
  const { input, problem } = model;
  const crew = problem.crews[0]!;
  const candidates = Array.from({ length: 2 * WITHIN_DAYS + 1 }, (_, i) =>
    addDays(day, i - WITHIN_DAYS),
  ).filter((each) => each > input.today && crew.isCandidate[daysFrom(input.today, each)] === 1);
  const priced = candidates
    .filter((each) => each !== day)
    .map((each) => ({ day: each, minutes: movePrice(model, view, { of, to: each }).minutes }))
    .sort((a, b) => a.minutes - b.minutes || (a.day < b.day ? -1 : 1));
  const chosen = [{ day, minutes: 0 }];
  for (const each of priced) {
    if (chosen.length === DAYS_ASKED) break;
    if (chosen.every((other) => Math.abs(daysFrom(other.day, each.day)) >= APART_DAYS))
      chosen.push(each);
  }
  return chosen.sort((a, b) => (a.day < b.day ? -1 : 1));
}
