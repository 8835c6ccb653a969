import "server-only";
import { normalOn } from "@/core/climate/climate";
import { reachOf } from "@/core/inventory/reach";
import { THE_HOME } from "@/core/planning/home-plan";
import type { PlanView } from "@/core/planning/plan";
import { roundOrder, type RoundOrder } from "@/core/planning/round";
import { roundToDo } from "@/core/planning/round-progress";
import type { Person, RoundEntry } from "@/core/planning/year";
import {
  addDays,
  daysFrom,
  readPlainDate,
  toDay,
  type PlainDate,
} from "@/core/quantities/plain-date";
import { dateWords, inSentence, listWords } from "@/core/quantities/words";
import { fromCelsius } from "@/core/quantities/temperature";
import type { Wanted } from "@/core/runs/bring-list";
import { bringFor } from "./bring-for";
import { owedWhenBack } from "@/core/runs/run-ends";
import { mildnessOf } from "@/core/runs/place-facts";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { HomeStatus } from "@/core/timeline/home-status";
import { todayIn } from "@/lib/clock";
import { homeYear, type HomeYear } from "@/server/snapshots/home-year";
import { leadOf } from "@/server/snapshots/job-facts";
import { homeNow, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";

/** A job of a round, where it stands. */
export type RoundJob = {
  id: string;
  name: string;
  unit: string;
  level: string;
  /** Minutes from the beginning of the round. */
  start: number;
  minutes: number;
  waiting: number;
  /** Only what was left to dry is put back. */
  isReturn: boolean;
  isLed: boolean;
  state: "done" | "going" | "to-do";
  /** The run that is going on. */
  run: string | null;
};
/** What a round consists of, in its order: jobs, and a machine that goes off or on again. */
export type RoundLine =
  | { kind: "job"; job: RoundJob }
  | {
      kind: "off" | "on";
      unit: string;
      start: number;
      /** What its jobs but the last look at once it is on again. */
      owed: string[];
    };

export type RoundSheet = {
  homeId: string;
  homeName: string;
  today: PlainDate;
  day: PlainDate;
  person: Person;
  isVisit: boolean;
  /** In no plan, nor begun. */
  isUnplanned: boolean;
  /** It was ended: what it was, and what of it was done. */
  isOver: boolean;
  /** It is in the draft only. */
  isDraft: boolean;
  entry: RoundEntry | null;
  lines: RoundLine[];
  /** In the order in which they are led. */
  order: string[];
  handsOn: number;
  minutes: number;
  waitsUsed: number;
  off: { unit: string; minutes: number }[];
  tools: Wanted[];
  consumables: Wanted[];
  ownTools: string[];
  checks: string[];
  /** The first job that is to be gone on with, or begun. */
  next: RoundJob | null;
  left: number;
};

/** The jobs of a round by its day and person: as it was begun, else as it is planned. */
function jobsOfRound(
  { current, draft }: HomeYear,
  entry: RoundEntry | null,
  { person, day }: { person: string; day: PlainDate },
): { tasks: string[]; returns: string[]; isDraft: boolean } | null {
  const inPlan = (view: PlanView | undefined) =>
    view?.rounds.find((round) => round.crew === person && round.day === day);
  const [ofCurrent, ofDraft] = [inPlan(current?.view), inPlan(draft?.view)];
  const planned = ofCurrent ?? ofDraft;
  if (entry?.startedAt)
    return { tasks: entry.order, returns: planned?.returns ?? [], isDraft: false };
  if (!planned || planned.tasks.length + planned.returns.length === 0) return null;
  return { tasks: planned.tasks, returns: planned.returns, isDraft: !ofCurrent };
}

export async function roundSheet(
  homeId: string,
  dayText: string,
  personId: string,
): Promise<RoundSheet | null> {
  const home = await homeNow(homeId);
  const day = readPlainDate(dayText);
  if (!home || !day) return null;
  const { snapshot, going } = home;
  const today = todayIn(snapshot.home.timeZone);
  const status = homeStatus(snapshot, today);
  const year = homeYear(status);
  const person = year.people.find(({ id }) => id === personId);
  if (!person) return null;
  const kept = snapshot.year.rounds.filter((each) => each.person === personId && each.day === day);
  const isAhead = year.current?.view.rounds.some(
    (round) => round.crew === personId && round.day === day && round.tasks.length > 0,
  );
  // One that is over is shown as it was, where nothing is planned there again.
  const entry =
    kept.findLast(({ endedAt }) => !endedAt) ??
    (isAhead ? null : (kept.findLast(({ startedAt }) => startedAt) ?? null));
  const found = jobsOfRound(year, entry, { person: personId, day });
  const { tasks, returns } = found ?? { tasks: [], returns: [] };
  const order = shownOnce(status, `round ${personId} ${day} ${tasks.join()}`, () =>
    roundOrder(year.model.input, tasks, returns),
  );
  const jobs = new Map(status.jobs.map((job) => [job.task.id, job]));
  const toDo = entry?.startedAt
    ? new Set(roundToDo(entry, status.jobs, snapshot.home.timeZone).map(({ task }) => task.id))
    : null;
  const runs = new Map(going.map(({ task, run }) => [task, run.id]));
  const lines = linesOf(status, order, { jobs, runs, toDo, tasks });
  // What was done since it began is not planned again, but it belongs to what was begun.
  const shown = [
    ...lines,
    ...(entry?.startedAt ? tasks : []).flatMap((id) => {
      const job = jobs.get(id);
      const isThere = lines.some((line) => line.kind === "job" && line.job.id === id);
      return !job || isThere ? [] : [jobLine(status, job, { start: 0, runs, toDo, tasks })];
    }),
  ];
  const all = shown.flatMap((line) => (line.kind === "job" ? [line.job] : []));
  const open = all.filter(({ state }) => state !== "done");
  return {
    ...{ homeId, homeName: snapshot.home.name, today, day, person, entry },
    isVisit: person.kind === "technician",
    isUnplanned: found === null,
    isOver: entry?.endedAt !== undefined,
    isDraft: found?.isDraft ?? false,
    lines: shown,
    order: entry?.startedAt
      ? entry.order
      : order.steps.flatMap((step) => (step.kind === "job" ? [step.task] : [])),
    handsOn: all.reduce((sum, { minutes }) => sum + minutes, 0),
    minutes: order.minutes,
    waitsUsed: order.waitsUsed,
    off: order.off.map(({ unit, minutes }) => ({ unit: unitName(status, unit), minutes })),
    ...bringFor(
      snapshot,
      status.jobs.filter(({ task }) => open.some(({ id }) => id === task.id)),
    ),
    checks: checksOf(status, year, { day, person, all, off: order.off }),
    next: open.find(({ state }) => state === "going") ?? open[0] ?? null,
    left: open.length,
  };
}

const unitName = ({ snapshot }: HomeStatus, id: string): string =>
  id === THE_HOME
    ? "The whole home"
    : ([...snapshot.units, ...snapshot.retired].find((unit) => unit.id === id)?.name ?? "");

type Known = {
  runs: ReadonlyMap<string, string>;
  toDo: ReadonlySet<string> | null;
  tasks: readonly string[];
};

function jobLine(
  status: HomeStatus,
  { task, unit }: JobStatus,
  {
    start,
    runs,
    toDo,
    tasks,
    ...given
  }: Known & { start: number; minutes?: number; waiting?: number },
): RoundLine {
  const { snapshot } = status;
  const run = runs.get(task.id) ?? null;
  const isReturn = !tasks.includes(task.id);
  return {
    kind: "job",
    job: {
      ...{
        id: task.id,
        name: task.name,
        unit: unit?.name ?? "The whole home",
        start,
        run,
        isReturn,
      },
      level: snapshot.levels.find(({ id }) => id === unit?.levelId)?.name ?? "",
      minutes: given.minutes ?? task.handsOn,
      waiting: given.waiting ?? 0,
      isLed: leadOf(snapshot, task) !== null,
      state: run ? "going" : toDo && !isReturn && !toDo.has(task.id) ? "done" : "to-do",
    },
  };
}

function linesOf(
  status: HomeStatus,
  { steps }: RoundOrder,
  { jobs, ...known }: Known & { jobs: ReadonlyMap<string, JobStatus> },
): RoundLine[] {
  return steps.flatMap((step): RoundLine[] => {
    const { kind, start } = step;
    if (kind !== "job")
      return [
        {
          ...{ kind, unit: unitName(status, step.unit), start },
          owed: kind === "on" ? owedAt(status, steps, step.unit, jobs) : [],
        },
      ];
    const job = jobs.get(step.task);
    const { handsOn: minutes, waiting } = step;
    return job ? [jobLine(status, job, { ...known, start, minutes, waiting })] : [];
  });
}

/** What the jobs of a round look at at a machine once it is on again; the last of them does so itself. */
function owedAt(
  { snapshot }: HomeStatus,
  steps: RoundOrder["steps"],
  unit: string,
  jobs: ReadonlyMap<string, JobStatus>,
): string[] {
  const here = steps.flatMap((step) => {
    const job = step.kind === "job" ? jobs.get(step.task) : undefined;
    return job?.task.unitId === unit ? [job.task] : [];
  });
  return here.slice(0, -1).flatMap((task) => {
    const lead = leadOf(snapshot, task);
    return lead ? owedWhenBack(lead.procedure, lead.setting) : [];
  });
}

/** A later day on which the same weather is as good: how far ahead one looks. */
const ANOTHER_DAY_WITHIN = 60;

/** What to look at before: the weather with another day in hand, how one gets there, who has to know. */
function checksOf(
  status: HomeStatus,
  year: HomeYear,
  {
    day,
    person,
    all,
    off,
  }: { day: PlainDate; person: Person; all: readonly RoundJob[]; off: RoundOrder["off"] },
): string[] {
  const { snapshot, today, jobs } = status;
  const { unitSystem, climate } = snapshot.home;
  const chosen = jobs.filter(({ task }) => all.some(({ id }) => id === task.id));
  const leads = chosen.flatMap((job) => {
    const lead = leadOf(snapshot, job.task);
    return lead ? [{ job, ...lead }] : [];
  });
  const degrees = (celsius: number) =>
    `${Math.round(fromCelsius(celsius, unitSystem === "us" ? "F" : "C"))} °${unitSystem === "us" ? "F" : "C"}`;
  const mild = leads.flatMap(({ job, procedure: { mildDay } }) =>
    mildDay ? [{ job, mildDay }] : [],
  );
  const hardest = mild.toSorted((a, b) => b.mildDay.leastC - a.mildDay.leastC)[0];
  const outdoors = year.model.input.tasks.some(
    ({ id, outdoor }) => outdoor && all.some((job) => job.id === id),
  );
  const rounds = (year.current ?? year.draft)?.view.rounds ?? [];
  const another = rounds.find(
    (round) =>
      round.crew === person.id && round.day > day && daysFrom(day, round.day) <= ANOTHER_DAY_WITHIN,
  );
  const instead = another ? dateWords(another.day, today) : dateWords(addDays(day, 7), today);
  const isClose = daysFrom(today, day) <= 1;
  const reach = (wanted: readonly string[]) => [
    ...new Set(
      chosen.flatMap(({ task, unit }) => {
        const slot = snapshot.slots.find(({ id }) => id === task.partId);
        return unit && wanted.includes(reachOf(unit, slot)) ? [unit.name] : [];
      }),
    ),
  ];
  const ladders = reach(["ladder", "loft"]);
  const roofs = reach(["roof"]);
  const household = [...new Set(leads.flatMap(({ procedure }) => procedure.household ?? []))];
  return [
    ...(hardest
      ? [
          isClose && !mildnessOf(snapshot, hardest.mildDay, today).isMild
            ? `Too cold for “${inSentence(hardest.job.task.name)}”: it wants ${degrees(hardest.mildDay.leastC)}. In hand instead: ${instead}.`
            : `At least ${degrees(hardest.mildDay.leastC)} for “${inSentence(hardest.job.task.name)}”; such a day usually has ${degrees(normalOn(climate.monthlyMeanC, toDay(day)))}. In hand instead: ${instead}.`,
        ]
      : outdoors
        ? [`Dry weather for what is out of doors. In hand instead: ${instead}.`]
        : []),
    ...(ladders.length > 0 ? [`A ladder that stands firm, for ${listWords(ladders)}.`] : []),
    ...(roofs.length > 0
      ? [`The roof (${listWords(roofs)}): only by a way that is safe, dry and not alone.`]
      : []),
    ...(off.length > 0
      ? [
          `The household knows that ${listWords(off.map(({ unit, minutes }) => `${unitName(status, unit)} (${minutes} minutes)`))} ${off.length === 1 ? "stands" : "stand"} still.`,
        ]
      : []),
    ...household,
  ];
}
