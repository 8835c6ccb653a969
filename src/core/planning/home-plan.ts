import { addDays, daysFrom, fromDay, toDay, type PlainDate } from "../quantities/plain-date";
import { isDeferred, type JobStatus } from "../scheduling/schedule";
import type { PlannedTask } from "../scheduling/task";
import type { HomeStatus } from "../timeline/home-status";
import { planInput, type PlanInput } from "./plan-schema";

/** What a plan has to know of a job beside when it comes round. */
export type JobFacts = {
  /** Its machine is without power meanwhile. */
  powerOff: boolean;
  outdoor: boolean;
  /** A wait of days with a second errand at its end. */
  returns?: { minHours: number; maxHours: number; minutes: number };
  /** The price of what goes into it, minor units. */
  consumable: number;
};

export const OWNER = "owner";
export const TECHNICIAN = "technician";
/** Jobs of no machine stand at the home itself. */
export const THE_HOME = "home";

/** Minutes of work that a round of one’s own takes at most, and a technician’s day. Our choice. */
const OWNER_CAP_MINUTES = 120;
const TECHNICIAN_CAP_MINUTES = 420;
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const WORKING_DAYS = [1, 2, 3, 4, 5];
const WEEKEND = [6, 7];
const SAFETY_WEIGHT = 2;
const USUAL_WEIGHT = 1;

/**
 * A home’s jobs as a plan asks for them: each with its window as it stands and a table of the windows after,
 * by the day it is done. What nothing calls for within the horizon is not in it, nor what is switched off.
 *
 * @param factsOf what is known of a job from its procedure and its part
 * @example homePlanInput(smallStatus, () => ({ powerOff: false, outdoor: false, consumable: 0 })).today // "2026-03-14"
 */
export function homePlanInput(
  status: HomeStatus,
  factsOf: (task: PlannedTask) => JobFacts,
  horizonDays = 365,
): PlanInput {
  const { today, snapshot } = status;
  const horizonEnd = addDays(today, horizonDays);
  const jobs = status.jobs.filter(
    ({ task, due, problem }) =>
      due !== null && due <= horizonEnd && !task.isOff && problem === null,
  );
  const storey = (levelId: string) => snapshot.levels.find(({ id }) => id === levelId)?.storey ?? 0;
  return planInput.parse({
    today,
    horizonEnd,
    crews: [
      {
        ...{ id: OWNER, kind: "owner", capMinutes: OWNER_CAP_MINUTES, capScope: "home-day" },
        days: { weekdays: EVERY_DAY },
        preferred: WEEKEND,
      },
      {
        ...{ id: TECHNICIAN, kind: "technician", capScope: "day" },
        capMinutes: TECHNICIAN_CAP_MINUTES,
        days: { weekdays: WORKING_DAYS },
      },
    ],
    units: [
      { id: THE_HOME, home: snapshot.home.id },
      ...snapshot.units.map(({ id, levelId }) => ({
        ...{ id, home: snapshot.home.id },
        level: storey(levelId),
      })),
    ],
    tasks: jobs.map((job) => taskOf(status, job, factsOf(job.task), horizonEnd)),
  });
}

function taskOf(status: HomeStatus, job: JobStatus, facts: JobFacts, horizonEnd: PlainDate) {
  const { task, opens, due, closes, lastDone, since, deferral } = job;
  const { today } = status;
  const yesterday = addDays(today, -1);
  const base = lastDone ?? since ?? yesterday;
  return {
    ...{ id: task.id, unit: task.unitId ?? THE_HOME },
    crew: task.who === "licensed" ? TECHNICIAN : OWNER,
    ...{ handsOn: task.handsOn, waiting: task.waiting },
    ...{ powerOff: facts.powerOff, outdoor: facts.outdoor, consumable: facts.consumable },
    ...(facts.returns ? { returns: facts.returns } : {}),
    // Done today already, the interval counts from today and the next is later than that.
    lastDone: base < today ? base : yesterday,
    first: { opens, due, closes },
    windows: windowsOf(status, job, horizonEnd),
    criticality: task.isSafety ? SAFETY_WEIGHT : USUAL_WEIGHT,
    ...(isDeferred(job, today)
      ? { allowed: [{ from: deferral!.until!, to: addDays(horizonEnd, 366) }] }
      : {}),
  };
}

/** The window of the one after, for every day up to the horizon on which it may be done. */
function windowsOf(status: HomeStatus, job: JobStatus, horizonEnd: PlainDate) {
  const { today } = status;
  const calculator = status.calculatorOf(job, horizonEnd);
  const rows = Array.from({ length: daysFrom(today, horizonEnd) + 1 }, (_, i) => {
    const dates = calculator?.after(toDay(today) + i) ?? null;
    const day = (value: number | null | undefined) =>
      value === null || value === undefined ? null : fromDay(value);
    return { opens: day(dates?.opens), due: day(dates?.due), closes: day(dates?.closes) };
  });
  return {
    from: today,
    opens: rows.map(({ opens }) => opens),
    due: rows.map(({ due }) => due),
    closes: rows.map(({ closes }) => closes),
  };
}
