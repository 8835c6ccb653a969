import "server-only";
import { roundToDo } from "@/core/planning/round-progress";
import { peopleOf } from "@/core/planning/year";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { HomeStatus } from "@/core/timeline/home-status";
import { todayIn } from "@/lib/clock";
import { roundsAhead } from "@/server/snapshots/home-year";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";
import { bringFor } from "./bring-for";

export type NextRound = {
  path: string;
  isBegun: boolean;
  day: PlainDate;
  today: PlainDate;
  /** Of whoever goes, where there are several. */
  name: string | null;
  jobs: number;
  minutes: number;
  bring: string[];
};

/** A round that comes within so many days is told of on Today. */
const WITHIN_DAYS = 7;
const MOST_BROUGHT = 4;

/** The round somebody has begun, else the next of the plan that counts; null where none is near. */
export async function nextRoundOf(homeId: string): Promise<NextRound | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const status = homeStatus(snapshot, todayIn(snapshot.home.timeZone));
  return shownOnce(status, "next-round", () => nextOf(status));
}

function nextOf(status: HomeStatus): NextRound | null {
  const { snapshot, today, jobs } = status;
  const { year, home } = snapshot;
  const begun = year.rounds.findLast(({ startedAt, endedAt }) => startedAt && !endedAt);
  const left = begun ? roundToDo(begun, jobs, home.timeZone) : [];
  if (begun && left.length > 0)
    return shown(status, { day: begun.day, person: begun.person, jobs: left, isBegun: true });
  const until = addDays(today, WITHIN_DAYS);
  const next = roundsAhead(status)?.find(
    ({ isMissed, day, person }) => !isMissed && day <= until && person.kind === "owner",
  );
  if (!next) return null;
  const { day, person, tasks } = next;
  return shown(status, { day, person: person.id, jobs: tasks, isBegun: false });
}

function shown(
  status: HomeStatus,
  {
    day,
    person,
    jobs,
    isBegun,
  }: { day: PlainDate; person: string; jobs: readonly JobStatus[]; isBegun: boolean },
): NextRound {
  const { snapshot, today } = status;
  const owners = peopleOf(snapshot.year).filter(({ kind }) => kind === "owner");
  const { consumables } = bringFor(snapshot, jobs);
  return {
    ...{ isBegun, day, today, jobs: jobs.length },
    path: `/homes/${snapshot.home.id}/year/${day}/${person}`,
    name: owners.length > 1 ? (owners.find(({ id }) => id === person)?.name ?? null) : null,
    minutes: jobs.reduce((sum, { task }) => sum + task.handsOn, 0),
    bring: consumables.slice(0, MOST_BROUGHT).map(({ thing }) => thing),
  };
}
