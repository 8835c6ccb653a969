import { englishOf, type English } from "@/content/english";
import { dayOrderOf, type DayOrder } from "@/lib/day-order";
import { isHomeUnreadable, listHomes, listUnreadable } from "@/server/snapshots/beside";
import {
  asUnreadable,
  homeSnapshot,
  homeStatus,
  shownOnce,
} from "@/server/snapshots/snapshot-cache";
import type { PlainDate } from "@/core/quantities/plain-date";
import { awayWords, dateWords } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import { RENEW } from "@/core/scheduling/task";
import { roundsAhead } from "@/server/snapshots/home-year";
import "server-only";
import { jobTitle, pathOfTask } from "@/presentation/task-words";
import { unitKind } from "@/content/unit-kinds";
import type { Lintel, Peg, PegWhat } from "@/core/timeline/lintel";
import type { HomeStatus } from "@/core/timeline/home-status";
import { todayIn } from "@/lib/clock";

/** What hangs from the beam on a day: a round, or a job where no year is planned. */
export type HungPeg = {
  id: string;
  day: PlainDate;
  minutes: number;
  what: PegWhat;
  /** Off its peg: past its window, or not done on its day. */
  past: boolean;
  /** What its card says. */
  lines: string[];
  path: string;
};

export type Shell = {
  homeId: string;
  homeName: string;
  homes: HomeName[];
  lintel: Omit<Lintel, "pegs">;
  unitNames: Record<string, string>;
  pegs: HungPeg[];
  /** Where several at once lead. */
  pegsPath: "year" | "jobs";
  hasRunHours: boolean;
  /** In which order days are written here. */
  dayOrder: DayOrder;
  english: English;
};

type HomeName = { id: string; name: string };
/** A home that cannot be read, why, and those that can. */
export type Unreadable = { unreadable: string; why: string; others: HomeName[] };

const named = ({ id, name }: HomeName): HomeName => ({ id, name });

/** What stands around every page of a home; null where there is none. What cannot be read is said so. */
export async function shellOrWhy(homeId: string): Promise<Shell | Unreadable | null> {
  try {
    return await shellOf(homeId);
  } catch (error) {
    const why = await asUnreadable(homeId, error);
    if (!isHomeUnreadable(why)) throw why;
    const others = (await listHomes()).filter(({ id }) => id !== homeId).map(named);
    return { unreadable: why.home, why: why.why, others };
  }
}

export async function shellOf(homeId: string): Promise<Shell | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const status = homeStatus(snapshot, todayIn(snapshot.home.timeZone));
  const unitNames = Object.fromEntries(snapshot.units.map((unit) => [unit.id, unit.name]));
  const { pegs: _, ...lintel } = status.lintel;
  return {
    homeId,
    homeName: snapshot.home.name,
    homes: [...(await listHomes()), ...(await listUnreadable())].map(named),
    lintel,
    unitNames,
    pegs: shownOnce(status, "pegs", () => pegsOf(status)),
    pegsPath: snapshot.year.current ? "year" : "jobs",
    dayOrder: dayOrderOf(snapshot.home.unitSystem),
    english: englishOf(snapshot.home),
    hasRunHours: snapshot.units.some((unit) => {
      const { equipment } = unitKind(unit.kind);
      return equipment.heats || equipment.cools;
    }),
  };
}

const dayOf = (day: PlainDate, past: boolean, today: PlainDate): string =>
  past ? awayWords(day, today) : dateWords(day, today);

/** What hangs from the beam: the rounds that were published, else each job on its own day. */
function pegsOf(status: HomeStatus): HungPeg[] {
  const { jobs, lintel, today } = status;
  const byId = new Map(jobs.map((job) => [job.task.id, job]));
  const ofJob = ({ taskId, due, minutes, what, past }: Peg): HungPeg[] => {
    const job = byId.get(taskId);
    if (!job) return [];
    const lines = [`${jobTitle(job)}: ${dayOf(due, past, today)}`];
    const id = `${taskId} ${due}`;
    return [{ id, day: due, minutes, what, past, lines, path: pathOfTask(job.task) }];
  };
  const rounds = roundsAhead(status);
  if (!rounds) return lintel.pegs.flatMap(ofJob);
  const hung = rounds
    .filter(({ day }) => day <= lintel.to)
    .map(({ person, day, tasks, minutes, isMissed }): HungPeg => {
      const visit = person.kind === "technician";
      const head = `${visit ? "Visit" : "Round"}, ${dayOf(day, isMissed, today)}, ${minutes} minutes`;
      return {
        ...{ id: `${person.id} ${day}`, day, minutes, past: isMissed },
        what: visit ? "visit" : whatOfRound(tasks),
        lines: [head, ...tasks.map(jobTitle)],
        path: isMissed ? "year" : `year/${day}/${person.id}`,
      };
    });
  const missed = new Set(
    rounds.flatMap(({ isMissed, tasks }) => (isMissed ? tasks.map(({ task }) => task.id) : [])),
  );
  const past = lintel.pegs.filter((peg) => peg.past && !missed.has(peg.taskId)).flatMap(ofJob);
  return [...past, ...hung].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

/** What a round is told apart by: what keeps people safe first, then a filter that comes in. */
const whatOfRound = (tasks: readonly JobStatus[]): PegWhat =>
  tasks.some(({ task }) => task.isSafety)
    ? "safety"
    : tasks.some(({ task }) => task.key === RENEW)
      ? "filter"
      : "job";

export async function firstHomeId(): Promise<string | null> {
  return ((await listHomes())[0] ?? (await listUnreadable())[0])?.id ?? null;
}
