import "server-only";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { todayIn } from "@/lib/clock";
import { roundsAhead } from "@/server/snapshots/home-year";
import { homeSnapshot, homeStatus } from "@/server/snapshots/snapshot-cache";
import { roundSheet } from "./round-queries";

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
  const today = todayIn(snapshot.home.timeZone);
  const begun = snapshot.year.rounds.findLast(({ startedAt, endedAt }) => startedAt && !endedAt);
  const shown = begun && (await shownOf(homeId, begun.day, begun.person, true));
  if (shown && shown.jobs > 0) return shown;
  const until = addDays(today, WITHIN_DAYS);
  const next = roundsAhead(homeStatus(snapshot, today))?.find(
    ({ isMissed, day, person }) => !isMissed && day <= until && person.kind === "owner",
  );
  return next ? shownOf(homeId, next.day, next.person.id, false) : null;
}

async function shownOf(
  homeId: string,
  day: PlainDate,
  personId: string,
  isBegun: boolean,
): Promise<NextRound | null> {
  const sheet = await roundSheet(homeId, day, personId);
  if (!sheet || sheet.isUnplanned) return null;
  const { person, today, left, minutes, consumables } = sheet;
  return {
    ...{ isBegun, day, today, minutes, jobs: left },
    path: `/homes/${homeId}/year/${day}/${person.id}`,
    name: sheet.isShared ? person.name : null,
    bring: consumables.slice(0, MOST_BROUGHT).map(({ thing }) => thing),
  };
}
