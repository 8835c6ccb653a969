import { and, asc, desc, eq, isNotNull, isNull } from "drizzle-orm";
import { z } from "zod";
import {
  personDaysSchema,
  plannedDaysSchema,
  USUAL_OWNER,
  type Person,
  type Pin,
  type RoundEntry,
  type Year,
  type YearPlan,
} from "@/core/planning/year";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Reader, Tx } from "../client";
import { readJson, withoutNulls } from "../columns";
import { people, planPins, rounds, yearPlans } from "../schema";

/** Days that can't be read any more are the usual ones: nobody is lost by it. */
const { weekdays, preferred, away, mostMinutes, leaves, unitIds } = USUAL_OWNER;
const daysSchema = personDaysSchema.catch({
  ...{ weekdays, preferred, away, mostMinutes, leaves, unitIds },
});

/** Everything kept of a home’s year beside the record. */
export async function readYear(db: Reader, homeId: string): Promise<Year> {
  return {
    people: await listPeople(db, homeId),
    current: await newestPlan(db, homeId, true),
    draft: await newestPlan(db, homeId, false),
    pins: await listPins(db, homeId),
    rounds: await listRounds(db, homeId),
  };
}

async function listPeople(db: Reader, homeId: string): Promise<Person[]> {
  const rows = await db
    .select()
    .from(people)
    .where(and(eq(people.homeId, homeId), isNull(people.deletedAt)))
    .orderBy(asc(people.createdAt), asc(people.id));
  return rows.map(({ id, name, kind, days }) => ({
    ...{ id, name, kind },
    ...daysSchema.parse(readJson(days)),
  }));
}

/** Keeps somebody as they are now, under their name in the home. */
export async function putPerson(
  tx: Tx,
  homeId: string,
  { id, name, kind, ...days }: Person,
  createdAt: string,
): Promise<void> {
  const set = { name, kind, days: JSON.stringify(days) };
  await tx
    .insert(people)
    .values({ homeId, id, ...set, createdAt })
    .onConflictDoUpdate({ target: [people.homeId, people.id], set });
}

export async function markPersonDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(people)
    .set({ deletedAt: at })
    .where(and(eq(people.homeId, homeId), eq(people.id, id)));
}

/** Those taken out of sight, for bringing them back. */
export async function listRemovedPeople(
  db: Reader,
  homeId: string,
): Promise<{ id: string; name: string; deletedAt: string }[]> {
  const rows = await db
    .select({ id: people.id, name: people.name, deletedAt: people.deletedAt })
    .from(people)
    .where(and(eq(people.homeId, homeId), isNotNull(people.deletedAt)));
  return rows.map(({ deletedAt, ...rest }) => ({ ...rest, deletedAt: deletedAt! }));
}

async function newestPlan(
  db: Reader,
  homeId: string,
  isPublished: boolean,
): Promise<YearPlan | null> {
  const [row] = await db
    .select()
    .from(yearPlans)
    .where(
      and(
        eq(yearPlans.homeId, homeId),
        isNull(yearPlans.discardedAt),
        isPublished ? isNotNull(yearPlans.publishedAt) : isNull(yearPlans.publishedAt),
      ),
    )
    .orderBy(desc(isPublished ? yearPlans.publishedAt : yearPlans.createdAt), desc(yearPlans.id))
    .limit(1);
  if (!row) return null;
  const { id, madeOn, horizonEnd, days, version, publishedAt } = row;
  return {
    ...{ id, version, madeOn: madeOn as PlainDate, horizonEnd: horizonEnd as PlainDate },
    days: plannedDaysSchema.catch([]).parse(readJson(days)),
    ...withoutNulls({ publishedAt }),
  };
}

export async function insertPlan(
  tx: Tx,
  homeId: string,
  { days, ...plan }: YearPlan,
  createdAt: string,
): Promise<void> {
  await tx.insert(yearPlans).values({ ...plan, homeId, days: JSON.stringify(days), createdAt });
}

/** What may change of a plan that is stored. */
export type PlanPatch = {
  days?: YearPlan["days"];
  version?: number;
  publishedAt?: string | null;
  discardedAt?: string | null;
};

export async function updatePlan(
  tx: Tx,
  homeId: string,
  id: string,
  { days, ...patch }: PlanPatch,
): Promise<void> {
  await tx
    .update(yearPlans)
    .set({ ...patch, ...(days ? { days: JSON.stringify(days) } : {}) })
    .where(and(eq(yearPlans.homeId, homeId), eq(yearPlans.id, id)));
}

async function listPins(db: Reader, homeId: string): Promise<Pin[]> {
  const rows = await db
    .select()
    .from(planPins)
    .where(and(eq(planPins.homeId, homeId), isNull(planPins.deletedAt)))
    .orderBy(asc(planPins.createdAt), asc(planPins.id));
  return rows.map(({ id, taskId, day }) => ({ id, task: taskId, day: day as PlainDate }));
}

export async function insertPin(
  tx: Tx,
  homeId: string,
  { id, task, day }: Pin,
  createdAt: string,
): Promise<void> {
  await tx.insert(planPins).values({ id, homeId, taskId: task, day, createdAt });
}

export async function markPinDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(planPins)
    .set({ deletedAt: at })
    .where(and(eq(planPins.homeId, homeId), eq(planPins.id, id)));
}

const orderSchema = z.array(z.string()).catch([]);

async function listRounds(db: Reader, homeId: string): Promise<RoundEntry[]> {
  const rows = await db
    .select()
    .from(rounds)
    .where(eq(rounds.homeId, homeId))
    .orderBy(asc(rounds.createdAt), asc(rounds.id));
  return rows.map(({ id, personId, day, announcedAt, startedAt, endedAt, tasks }) => ({
    ...{ id, person: personId, day: day as PlainDate },
    ...withoutNulls({ announcedAt, startedAt, endedAt }),
    order: orderSchema.parse(readJson(tasks)),
  }));
}

/** Keeps a round as it is now. */
export async function putRound(
  tx: Tx,
  homeId: string,
  { id, person, day, announcedAt, startedAt, endedAt, order }: RoundEntry,
  createdAt: string,
): Promise<void> {
  const set = {
    ...{ personId: person, day, tasks: JSON.stringify(order) },
    announcedAt: announcedAt ?? null,
    startedAt: startedAt ?? null,
    endedAt: endedAt ?? null,
  };
  await tx
    .insert(rounds)
    .values({ id, homeId, ...set, createdAt })
    .onConflictDoUpdate({ target: rounds.id, set });
}
