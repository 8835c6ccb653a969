import "server-only";
import type { PlanNow } from "@/server/snapshots/home-year";
import { homeYear } from "@/server/snapshots/home-year";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";
import type { PlanLeft } from "@/core/planning/published";
import { asOfToday, planChanges, planSums, type PlanSums } from "@/core/planning/published";
import { THE_HOME } from "@/core/planning/home-plan";
import { type Occurrence, SAFETY_CRITICALITY, type PlanInput } from "@/core/planning/plan-schema";
import type { Person } from "@/core/planning/year";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { dateWords, spanWords } from "@/core/quantities/words";
import type { HomeStatus } from "@/core/timeline/home-status";
import { visitState } from "@/core/visits/visit";
import { dueWords, windowWords } from "@/presentation/schedule-words";
import { jobTitle, pathOfTask } from "@/presentation/task-words";
import { todayIn } from "@/lib/clock";

/** An occurrence as its lane shows it. */
export type YearMark = {
  day: PlainDate;
  opens: PlainDate | null;
  due: PlainDate | null;
  closes: PlainDate | null;
  isPinned: boolean;
  /** Days past its window, or past today where that has closed already: more than a few. */
  isLate: boolean;
};
export type YearJob = {
  id: string;
  /** “Change the filter”, and with its machine before it. */
  name: string;
  title: string;
  path: string;
  person: string;
  minutes: number;
  isLicensed: boolean;
  /** Its window reaches from the earliest to the latest likely day: wear decides, not the calendar. */
  isWear: boolean;
  marks: YearMark[];
  /** Where the other plan has it, on days on which this one has not. */
  others: PlainDate[];
};
export type Lane = { id: string; name: string; jobs: YearJob[] };
export type YearRound = {
  person: string;
  /** Of whoever goes, where there is more than one. */
  name: string | null;
  day: PlainDate;
  minutes: number;
  jobs: number;
  /** What was left to dry and is put back then. */
  returns: string[];
  isVisit: boolean;
  isAnnounced: boolean;
  /** A day its person likes. */
  isLiked: boolean;
  overCap: number;
};

/** One plan, as the page shows it. */
export type ShownPlan = {
  id: string;
  version: number;
  kind: "draft" | "current";
  lanes: Lane[];
  rounds: YearRound[];
  sums: PlanSums;
  /** What was to be done on a day that has passed. */
  missed: { words: string }[];
  /** What it does well past its window, by name: what keeps people safe first, then the latest. */
  late: { words: string; isSafety: boolean }[];
  /** Jobs that need a day before the year is out, and have none. */
  withoutDay: string[];
};

export type YearPage = {
  homeId: string;
  homeName: string;
  today: PlainDate;
  from: PlainDate;
  to: PlainDate;
  until: PlainDate;
  draft: ShownPlan | null;
  current: ShownPlan | null;
  /** What a plan would be drawn of where there is none. */
  bare: Lane[];
  publishedOn: PlainDate | null;
  changes: { id: string; words: string }[];
  errands: number;
  nobody: string[];
  /** What has no day before its weather calls for it. */
  weather: { title: string; when: string }[];
  people: { id: string; name: string; isVisit: boolean; liked: number[] }[];
  isEmpty: boolean;
};

export async function yearPage(homeId: string): Promise<YearPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const status = homeStatus(snapshot, todayIn(snapshot.home.timeZone));
  return shownOnce(status, "year-page", () => pageOf(status));
}

function pageOf(status: HomeStatus): YearPage {
  const { snapshot, today, jobs, lintel } = status;
  const { home } = snapshot;
  const { people, model, nobody, current, draft, errands } = homeYear(status);
  const titles = new Map(jobs.map((job) => [job.task.id, jobTitle(job)]));
  const shown = (now: PlanNow | null, other: PlanNow | null, kind: ShownPlan["kind"]) =>
    now &&
    shownPlan(status, now, other, {
      kind,
      people,
      until: lintel.to,
      titles,
      tasks: model.input.tasks,
    });
  const until = current?.plan.horizonEnd ?? lintel.to;
  const changes =
    current && draft
      ? planChanges(
          asOfToday({ today }, current.left),
          asOfToday({ today }, draft.left),
          until < lintel.to ? until : lintel.to,
        )
      : [];
  return {
    ...{ homeId: home.id, homeName: home.name, today, errands },
    ...{ from: lintel.from, to: lintel.to, until: lintel.to },
    draft: shown(draft, current, "draft"),
    current: shown(current, draft, "current"),
    bare: lanesOf(status, model.input.tasks, bareOf(status), []),
    publishedOn: (current?.plan.publishedAt?.slice(0, 10) as PlainDate | undefined) ?? null,
    changes: changes.map(({ task, from, to }, i) => ({
      id: `${task} ${i}`,
      words: changeWords(titles.get(task) ?? task, from, to, today),
    })),
    nobody: nobody.map(jobTitle),
    weather: status.jobs
      .filter(({ waits, task }) => waits !== null && !task.isOff)
      .map((job) => ({
        title: jobTitle(job),
        when: `${dueWords(job, today)}, ${windowWords(job, today)}`,
      })),
    people: people.map(({ id, name, kind, preferred }) => ({
      ...{ id, name, isVisit: kind === "technician", liked: preferred },
    })),
    isEmpty: snapshot.units.length === 0,
  };
}

/** “Cellar furnace, change the filter: Sun 15 Mar instead of Sat 28 Mar”. */
function changeWords(
  title: string,
  from: PlainDate | null,
  to: PlainDate | null,
  today: PlainDate,
): string {
  if (from === null) return `${title}: also on ${dateWords(to!, today)}`;
  if (to === null) return `${title}: not on ${dateWords(from, today)}`;
  return `${title}: ${dateWords(to, today)} instead of ${dateWords(from, today)}`;
}

type Around = {
  kind: ShownPlan["kind"];
  people: readonly Person[];
  until: PlainDate;
  titles: ReadonlyMap<string, string>;
  tasks: PlanInput["tasks"];
};

/** Where nothing is planned yet: each job on the day on which it is due next. */
const bareOf = ({ jobs }: HomeStatus): PlanNow["view"]["occurrences"] =>
  jobs.flatMap(({ task, opens, due, closes, ahead: [day] }) =>
    day === undefined
      ? []
      : [{ task: task.id, day, opens, due, closes, pinned: false, early: 0, late: 0 }],
  );

function shownPlan(
  status: HomeStatus,
  { plan, left: { missed }, view }: PlanNow,
  other: PlanNow | null,
  { kind, people, until, titles, tasks }: Around,
): ShownPlan {
  const { today, snapshot } = status;
  const technicians = new Set(
    people.flatMap(({ id, kind: is }) => (is === "technician" ? [id] : [])),
  );
  const owners = people.filter((person) => person.kind === "owner");
  const announced = new Set(
    snapshot.year.rounds.flatMap(({ person, day, announcedAt, endedAt }) =>
      announcedAt && !endedAt ? [`${person} ${day}`] : [],
    ),
  );
  const agreed = new Set(
    snapshot.visits.flatMap((visit) =>
      visit.on && visitState(visit) === "planned" ? [visit.on] : [],
    ),
  );
  const late = view.overdue.filter(({ task, day }) =>
    view.occurrences.some(
      (each) => each.task === task && each.day === day && isLate(today, day, each.closes),
    ),
  );
  const otherDays = other ? asOfToday({ today }, other.left) : [];
  return {
    ...{ id: plan.id, version: plan.version, kind },
    lanes: lanesOf(status, tasks, view.occurrences, otherDays),
    rounds: view.rounds
      .filter(
        ({ crew, tasks, returns, day }) =>
          day <= until &&
          (tasks.length + returns.length > 0 || (technicians.has(crew) && agreed.has(day))),
      )
      .map(({ crew, day, tasks, returns, minutes, overCap }) => {
        const person = people.find(({ id }) => id === crew)!;
        return {
          ...{ person: crew, day, minutes: Math.round(minutes), overCap },
          name: owners.length > 1 || person.kind === "technician" ? person.name : null,
          jobs: tasks.length + returns.length,
          returns: returns.map((id) => titles.get(id) ?? id),
          isVisit: technicians.has(crew),
          isAnnounced: announced.has(`${crew} ${day}`),
          isLiked:
            person.preferred.length === 0 ||
            person.preferred.includes(((new Date(day).getUTCDay() + 6) % 7) + 1),
        };
      }),
    sums: planSums({ rounds: view.rounds, overdue: late }, technicians, until),
    late: lateWords(
      late.filter(({ day }) => day <= until),
      { tasks, titles, today },
    ),
    missed: missedWords(missed, titles, today),
    withoutDay: view.conflicts.flatMap(({ kind: is, task }) =>
      (is === "missing" || is === "no-day") && task ? [titles.get(task) ?? task] : [],
    ),
  };
}

/** So many days past its window nobody minds, days: a filter’s window is no clock. Our choice. */
const FEW_DAYS = 3;

/** Whether something is planned well past its window; what is past it already could not be sooner. */
const isLate = (today: PlainDate, day: PlainDate, closes: PlainDate | null): boolean =>
  closes !== null && daysFrom(closes < today ? today : closes, day) > FEW_DAYS;

/** What is planned well past its window, in words. */
function lateWords(
  late: PlanNow["view"]["overdue"],
  { tasks, titles, today }: Pick<Around, "tasks" | "titles"> & { today: PlainDate },
): ShownPlan["late"] {
  const isSafety = (id: string) =>
    (tasks.find((task) => task.id === id)?.criticality ?? 0) >= SAFETY_CRITICALITY;
  return late
    .map(({ task, day, days }) => ({
      days,
      isSafety: isSafety(task),
      words: `${titles.get(task) ?? task}: not before ${dateWords(day, today)}, ${spanWords(days)} late`,
    }))
    .sort((a, b) => Number(b.isSafety) - Number(a.isSafety) || b.days - a.days)
    .map(({ words, isSafety: is }) => ({ words, isSafety: is }));
}

const missedWords = (
  missed: PlanLeft["missed"],
  titles: ReadonlyMap<string, string>,
  today: PlainDate,
): { words: string }[] =>
  missed.map(({ task, day }) => ({
    words: `${titles.get(task) ?? task}, planned for ${dateWords(day, today)}`,
  }));

/** The lanes, a unit each, from the top of the house down; what is of the whole home stands last. */
function lanesOf(
  status: HomeStatus,
  tasks: PlanInput["tasks"],
  occurrences: PlanNow["view"]["occurrences"],
  others: readonly Occurrence[],
): Lane[] {
  const { snapshot, jobs } = status;
  const byId = new Map(jobs.map((job) => [job.task.id, job]));
  const lanes = new Map<string, Lane>();
  const units = snapshot.units.map(({ id, name }) => ({ id, name }));
  for (const { id, name } of [...units, { id: THE_HOME, name: "The whole home" }])
    lanes.set(id, { id, name, jobs: [] });
  for (const { id, unit, crew } of tasks) {
    const job = byId.get(id);
    if (!job) continue;
    const own = occurrences.filter(({ task }) => task === id);
    const days = new Set(own.map(({ day }) => day));
    lanes.get(unit)?.jobs.push({
      ...{ id, name: job.task.name, title: jobTitle(job), path: pathOfTask(job.task) },
      ...{ person: crew, minutes: job.task.handsOn, isLicensed: job.task.who === "licensed" },
      isWear: job.because.kind === "wear",
      marks: own.map(({ day, opens, due, closes, pinned }) => ({
        ...{ day, opens, due, closes, isPinned: pinned },
        isLate: isLate(status.today, day, closes),
      })),
      others: others.flatMap(({ task, day }) => (task === id && !days.has(day) ? [day] : [])),
    });
  }
  return [...lanes.values()].filter((lane) => lane.jobs.length > 0);
}
