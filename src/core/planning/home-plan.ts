import {
  addDays,
  daysFrom,
  fromDay,
  isoWeekday,
  toDay,
  type PlainDate,
} from "../quantities/plain-date";
import type { Reach } from "../inventory/reach";
import { isDeferred, type JobStatus } from "../scheduling/schedule";
import type { PlannedTask } from "../scheduling/task";
import type { HomeStatus } from "../timeline/home-status";
import { weatherOf } from "../scheduling/weather-calls";
import { visitState } from "../visits/visit";
import { calmFrom } from "./calm";
import { planInput, type PlanInput, type PlanTask } from "./plan-schema";
import { peopleOf, type Person } from "./year";

/** What a plan has to know of a job beside when it comes round. */
export type JobFacts = {
  /** Its machine is without power meanwhile. */
  powerOff: boolean;
  outdoor: boolean;
  /** How one gets there. */
  reach: Reach;
  /** A wait of days with a second errand at its end. */
  returns?: { minHours: number; maxHours: number; minutes: number };
  /** The price of what goes into it, minor units. */
  consumable: number;
};

/** Jobs of no machine stand at the home itself. */
export const THE_HOME = "home";
const SAFETY_WEIGHT = 2;
const USUAL_WEIGHT = 1;
/** A job put off may be done on any later day. */
const PAST_HORIZON_DAYS = 366;
export const YEAR_DAYS = 365;
/** Iterations that suit a small home, and a large one: a second, and a few; from so many jobs on a home is large. */
const ITERATIONS = { small: 4000, large: 8000, from: 60 };

/** Whether somebody does such a job, or leaves it to others. */
const does = ({ leaves }: Person, facts: JobFacts): boolean =>
  !(facts.powerOff && leaves.includes("power")) &&
  !(facts.outdoor && leaves.includes("outdoors")) &&
  !(facts.reach !== "floor" && leaves.includes("height"));

/** From when to when a job may be done without being early or late. */
type Between = { from: PlainDate; to: PlainDate };

/** Whether somebody has a day of theirs between two, both inclusive. */
function isThere({ weekdays, away }: Person, { from, to }: Between): boolean {
  const last = to < addDays(from, YEAR_DAYS) ? to : addDays(from, YEAR_DAYS);
  for (let day = from; day <= last; day = addDays(day, 1))
    if (
      weekdays.includes(isoWeekday(day)) &&
      !away.some((each) => each.from <= day && day <= each.to)
    )
      return true;
  return false;
}

/**
 * Who does a job: the technician what only a licensed person may do, else whose machine it is, else the
 * first who does such work; null where nobody of the home does. Whoever is away while it is due hands it over to
 * the first who is there.
 *
 * @param between while it is due; without it nobody’s absence counts
 * @example whoDoes([{ id: "a", kind: "owner", leaves: ["power"], unitIds: [] }], { who: "owner" }, { powerOff: true, reach: "floor" }) // null
 */
export function whoDoes(
  people: readonly Person[],
  { who, unitId }: Pick<PlannedTask, "who" | "unitId">,
  facts: JobFacts,
  between?: Between,
): Person | null {
  if (who === "licensed") return people.find(({ kind }) => kind === "technician") ?? null;
  const able = people.filter((person) => person.kind === "owner" && does(person, facts));
  const theirs = able.filter(({ unitIds }) => unitId !== undefined && unitIds.includes(unitId));
  const anybodys = able.filter(({ unitIds }) => unitIds.length === 0);
  const inOrder = [...new Set([...theirs, ...anybodys, ...able])];
  const there = between && inOrder.find((person) => isThere(person, between));
  return there ?? inOrder[0] ?? null;
}

/**
 * Who does a job as it stands: the same in the plan and wherever a round of it is shown.
 *
 * @example personFor([], { task: { who: "owner" }, opens: null, due: null, closes: null }, { powerOff: false, reach: "floor" }, "2026-03-14") // null
 */
export const personFor = (
  people: readonly Person[],
  job: Pick<JobStatus, "task" | "opens" | "due" | "closes">,
  facts: JobFacts,
  today: PlainDate,
): Person | null => whoDoes(people, job.task, facts, betweenOf(job, today));

/** While a job is due: from today at the soonest, until it closes or at least until it is due. */
function betweenOf(
  { opens, due, closes }: Pick<JobStatus, "opens" | "due" | "closes">,
  today: PlainDate,
): Between | undefined {
  const last = closes ?? due;
  if (last === null || last < today) return undefined;
  return { from: opens !== null && opens > today ? opens : today, to: last };
}

/** A home as a plan asks for it, and the jobs nobody of the home does. */
export type HomePlan = { input: PlanInput; nobody: JobStatus[] };

/**
 * A home’s jobs as a plan asks for them: each with its window as it stands and a table of the windows after,
 * by the day it is done. What nothing calls for within the horizon is not in it, nor what is switched off. What
 * waits for its weather is in it only once that has called, this one time: nobody knows on which day snow lies.
 * A technician’s visit that has its day is a round that stays; so does what was announced.
 *
 * @param factsOf what is known of a job from its procedure and its part
 * @param windowsAhead the table of a job’s windows, where somebody keeps those that stand
 * @example homePlan(smallStatus, () => ({ powerOff: false, outdoor: false, reach: "floor", consumable: 0 })).input.today // "2026-03-14"
 */
export function homePlan(
  status: HomeStatus,
  factsOf: (task: PlannedTask) => JobFacts,
  windowsAhead: WindowsAhead = windowsOf,
): HomePlan {
  const { today, snapshot } = status;
  const { year, home } = snapshot;
  const horizonEnd = addDays(today, YEAR_DAYS);
  const people = peopleOf(year);
  const wanted = status.jobs.filter(
    ({ task, due, problem }) =>
      due !== null && due <= horizonEnd && !task.isOff && problem === null,
  );
  const calm = calmFrom(wanted, today);
  const found = wanted.map((job) => {
    const facts = factsOf(job.task);
    return { job, facts, person: personFor(people, job, facts, today) };
  });
  const tasks = found.flatMap(({ job, facts, person }) =>
    person
      ? [
          {
            ...taskOf(job, facts, today, calm.get(job.task.id)),
            windows: weatherOf(job.task.trigger)
              ? noneAfter(today, horizonEnd)
              : windowsAhead(status, job, horizonEnd),
            crew: person.id,
          },
        ]
      : [],
  );
  const ids = new Set(tasks.map(({ id }) => id));
  const storey = (levelId: string) => snapshot.levels.find(({ id }) => id === levelId)?.storey ?? 0;
  const planned = snapshot.visits.flatMap((visit) =>
    visit.on && visit.on >= today && visitState(visit) === "planned"
      ? [{ crew: people.find(({ kind }) => kind === "technician")!.id, day: visit.on }]
      : [],
  );
  const announced = year.rounds.flatMap(({ person, day, announcedAt, endedAt }) =>
    announcedAt && !endedAt && day >= today && people.some(({ id }) => id === person)
      ? [{ crew: person, day }]
      : [],
  );
  const input = planInput.parse({
    today,
    horizonEnd,
    iterations: tasks.length < ITERATIONS.from ? ITERATIONS.small : ITERATIONS.large,
    crews: people.map(({ id, kind, weekdays, preferred, away, mostMinutes }) => ({
      ...{ id, kind, preferred, capMinutes: mostMinutes },
      capScope: kind === "owner" ? "home-day" : "day",
      days: { weekdays, except: away },
    })),
    units: [
      { id: THE_HOME, home: home.id },
      ...snapshot.units.map(({ id, levelId }) => ({
        ...{ id, home: home.id },
        level: storey(levelId),
      })),
    ],
    tasks,
    // A pin whose day has passed has had its say.
    pins: year.pins.flatMap(({ task, day }) =>
      ids.has(task) && day >= today ? [{ task, n: 1, day }] : [],
    ),
    lockedRounds: [...planned, ...announced].map((each) => ({ ...each, home: home.id })),
    previous: (year.current?.days ?? []).filter(({ task }) => ids.has(task)),
  });
  return { input, nobody: found.flatMap(({ job, person }) => (person ? [] : [job])) };
}

function taskOf(job: JobStatus, facts: JobFacts, today: PlainDate, calm: PlainDate | undefined) {
  const { task, opens, due, closes, lastDone, since, deferral } = job;
  const yesterday = addDays(today, -1);
  const base = lastDone ?? since ?? yesterday;
  const from = isDeferred(job, today) ? deferral!.until! : calm;
  return {
    ...{ id: task.id, unit: task.unitId ?? THE_HOME },
    ...{ handsOn: task.handsOn, waiting: task.waiting },
    ...{ powerOff: facts.powerOff, outdoor: facts.outdoor, consumable: facts.consumable },
    ...(facts.returns ? { returns: facts.returns } : {}),
    // Done today already, the interval counts from today and the next is later than that.
    lastDone: base < today ? base : yesterday,
    first: { opens, due, closes },
    criticality: task.isSafety ? SAFETY_WEIGHT : USUAL_WEIGHT,
    ...(from ? { allowed: [{ from, to: addDays(today, YEAR_DAYS + PAST_HORIZON_DAYS) }] } : {}),
  };
}

/** Nothing after this one time. */
function noneAfter(today: PlainDate, horizonEnd: PlainDate): PlanTask["windows"] {
  const none = () => Array.from({ length: daysFrom(today, horizonEnd) + 1 }, () => null);
  return { from: today, opens: none(), due: none(), closes: none() };
}

/** The windows of a job by the day it is done, up to the end of a plan. */
export type WindowsAhead = (
  status: HomeStatus,
  job: JobStatus,
  horizonEnd: PlainDate,
) => PlanTask["windows"];

/**
 * The window of the one after, for every day up to the horizon on which a job may be done.
 *
 * @example windowsOf(smallStatus, smallStatus.jobs[0], "2026-04-14").due.length // 32
 */
export function windowsOf(
  status: HomeStatus,
  job: JobStatus,
  horizonEnd: PlainDate,
): PlanTask["windows"] {
  const { today } = status;
  const calculator = status.calculatorOf(job, horizonEnd);
  const names = new DayNames();
  const windows: PlanTask["windows"] = { from: today, opens: [], due: [], closes: [] };
  const first = toDay(today);
  for (let day = first; day <= first + daysFrom(today, horizonEnd); day++) {
    const dates = calculator?.after(day);
    windows.opens.push(names.of(dates?.opens));
    windows.due.push(names.of(dates?.due));
    windows.closes.push(names.of(dates?.closes));
  }
  return windows;
}

/**
 * How often at most a job may be done between today and a day, one window after the other: every time as soon
 * as its window opens. A pin may set it on a day of its own beside that.
 *
 * @example mostTimes(smallStatus, smallStatus.jobs[0], "2026-04-14") // 2
 */
export function mostTimes(status: HomeStatus, job: JobStatus, horizonEnd: PlainDate): number {
  const calculator = status.calculatorOf(job, horizonEnd);
  const last = toDay(horizonEnd);
  let times = 0;
  let day: number | null = Math.max(toDay(status.today), toDay(job.opens ?? status.today));
  while (day !== null && day <= last) {
    times++;
    const opens: number | null | undefined = calculator?.after(day)?.opens;
    day = typeof opens === "number" ? Math.max(opens, day + 1) : null;
  }
  return Math.max(1, times);
}

/** Days by their numbers: a thousand are asked for, far fewer are different. */
class DayNames {
  readonly #known = new Map<number, PlainDate>();

  of(day: number | null | undefined): PlainDate | null {
    if (day === null || day === undefined) return null;
    const known = this.#known.get(day);
    if (known) return known;
    const name = fromDay(day);
    this.#known.set(day, name);
    return name;
  }
}
