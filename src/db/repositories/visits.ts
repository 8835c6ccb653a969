import { and, asc, eq, inArray, isNull, notInArray } from "drizzle-orm";
import { z } from "zod";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Instrument } from "@/core/readings/conditions";
import type { Finding, Visit } from "@/core/visits/visit";
import type { Reader, Tx } from "../client";
import { readJson, withoutNulls } from "../columns";
import { findings, instruments, visits, visitUnits } from "../schema";

export async function listInstruments(db: Reader, homeId: string): Promise<Instrument[]> {
  const rows = await db
    .select()
    .from(instruments)
    .where(and(eq(instruments.homeId, homeId), isNull(instruments.deletedAt)))
    .orderBy(asc(instruments.createdAt), asc(instruments.id));
  return rows.map(({ id, name, note }) => ({ id, name, ...withoutNulls({ note }) }));
}

export async function insertInstrument(
  tx: Tx,
  homeId: string,
  instrument: Instrument,
  createdAt: string,
): Promise<void> {
  await tx.insert(instruments).values({ ...instrument, homeId, createdAt });
}

export async function updateInstrument(
  tx: Tx,
  homeId: string,
  { id, name, note = undefined }: Instrument,
): Promise<void> {
  await tx
    .update(instruments)
    .set({ name, note: note ?? null })
    .where(and(eq(instruments.id, id), eq(instruments.homeId, homeId)));
}

/** The visits of a home, in the order they were entered. */
export async function listVisits(db: Reader, homeId: string): Promise<Visit[]> {
  const rows = await db
    .select()
    .from(visits)
    .where(and(eq(visits.homeId, homeId), isNull(visits.deletedAt)))
    .orderBy(asc(visits.createdAt), asc(visits.id));
  if (rows.length === 0) return [];
  const ids = rows.map(({ id }) => id);
  const units = await db
    .select()
    .from(visitUnits)
    .where(inArray(visitUnits.visitId, ids))
    .orderBy(asc(visitUnits.ordinal));
  return rows.map(
    ({
      id,
      reason,
      homeId: _,
      createdAt: __,
      deletedAt: ___,
      typed: ____,
      visitDay,
      nextOn,
      ...rest
    }) => ({
      id,
      reason,
      unitIds: units.filter(({ visitId }) => visitId === id).map(({ unitId }) => unitId),
      ...withoutNulls(rest),
      ...withoutNulls({ on: visitDay as PlainDate | null, nextOn: nextOn as PlainDate | null }),
    }),
  );
}

const rowOf = ({ unitIds: _, on, ...rest }: Visit) => ({
  contactId: null,
  questions: null,
  beganAt: null,
  endedAt: null,
  verdict: null,
  words: null,
  minutes: null,
  costMinor: null,
  signedBy: null,
  nextOn: null,
  ...rest,
  visitDay: on ?? null,
});

/** What was typed at a machine that stays on the visit stays too. */
async function putUnits(tx: Tx, visitId: string, unitIds: readonly string[]): Promise<void> {
  await tx
    .delete(visitUnits)
    .where(and(eq(visitUnits.visitId, visitId), notInArray(visitUnits.unitId, [...unitIds])));
  for (const [ordinal, unitId] of unitIds.entries())
    await tx
      .insert(visitUnits)
      .values({ visitId, unitId, ordinal })
      .onConflictDoUpdate({
        target: [visitUnits.visitId, visitUnits.unitId],
        set: { ordinal },
      });
}

/** What was typed at a machine of a visit and not saved, and whether its checks were saved. */
export type VisitDraft = {
  unitId: string;
  typed: Record<string, string[]> | null;
  isSeen: boolean;
};

const typedOf = (column: string | null) =>
  column === null
    ? null
    : z.record(z.string(), z.array(z.string())).catch({}).parse(readJson(column));

export async function listVisitDrafts(db: Reader, visitId: string): Promise<VisitDraft[]> {
  const rows = await db.select().from(visitUnits).where(eq(visitUnits.visitId, visitId));
  return rows.map(({ unitId, typed, seenAt }) => ({
    unitId,
    typed: typedOf(typed),
    isSeen: seenAt !== null,
  }));
}

/** Keeps what is typed at a machine of a visit; null once it is saved, with the instant of that. */
export async function saveVisitDraft(
  tx: Tx,
  at: { visitId: string; unitId: string },
  typed: Record<string, string[]> | null,
  seenAt?: string,
): Promise<void> {
  await tx
    .update(visitUnits)
    .set({ typed: typed && JSON.stringify(typed), ...(seenAt ? { seenAt } : {}) })
    .where(and(eq(visitUnits.visitId, at.visitId), eq(visitUnits.unitId, at.unitId)));
}

/** What was typed at the end of a visit and not saved. */
export async function findVisitEnd(
  db: Reader,
  visitId: string,
): Promise<Record<string, string[]> | null> {
  const [row] = await db.select({ typed: visits.typed }).from(visits).where(eq(visits.id, visitId));
  return typedOf(row?.typed ?? null);
}

export async function saveVisitEnd(
  tx: Tx,
  visitId: string,
  typed: Record<string, string[]>,
): Promise<void> {
  await tx
    .update(visits)
    .set({ typed: JSON.stringify(typed) })
    .where(eq(visits.id, visitId));
}

export async function insertVisit(
  tx: Tx,
  homeId: string,
  visit: Visit,
  createdAt: string,
): Promise<void> {
  await tx.insert(visits).values({ ...rowOf(visit), homeId, createdAt });
  await putUnits(tx, visit.id, visit.unitIds);
}

export async function updateVisit(tx: Tx, homeId: string, visit: Visit): Promise<void> {
  await tx
    .update(visits)
    .set(rowOf(visit))
    .where(and(eq(visits.id, visit.id), eq(visits.homeId, homeId)));
  await putUnits(tx, visit.id, visit.unitIds);
}

/** Takes a planned visit out of sight, or brings it back with `at` null; one that was begun stays. */
export async function markVisitDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(visits)
    .set({ deletedAt: at })
    .where(and(eq(visits.id, id), eq(visits.homeId, homeId), isNull(visits.beganAt)));
}

/** What was found on the visits of a home, in the order it was written down. */
export async function listFindings(db: Reader, homeId: string): Promise<Finding[]> {
  const rows = await db
    .select({ finding: findings })
    .from(findings)
    .innerJoin(visits, eq(visits.id, findings.visitId))
    .where(and(eq(visits.homeId, homeId), isNull(visits.deletedAt), isNull(findings.deletedAt)))
    .orderBy(asc(findings.createdAt), asc(findings.id));
  return rows.map(
    ({ finding: { id, visitId, unitId, words, decision, until, settledOn, ...rest } }) => ({
      id,
      visitId,
      unitId,
      words,
      decision,
      ...withoutNulls({
        partId: rest.partId,
        advice: rest.advice,
        priceMinor: rest.priceMinor,
        because: rest.because,
        until: until as PlainDate | null,
        settledOn: settledOn as PlainDate | null,
      }),
    }),
  );
}

const findingRow = (finding: Finding) => ({
  partId: null,
  advice: null,
  priceMinor: null,
  until: null,
  because: null,
  settledOn: null,
  ...finding,
});

export async function insertFinding(tx: Tx, finding: Finding, createdAt: string): Promise<void> {
  await tx.insert(findings).values({ ...findingRow(finding), createdAt });
}

export async function updateFinding(tx: Tx, finding: Finding): Promise<void> {
  await tx.update(findings).set(findingRow(finding)).where(eq(findings.id, finding.id));
}

/** Takes a finding out of sight, or brings it back with `at` null. */
export async function markFindingDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  const ofHome = tx.select({ id: visits.id }).from(visits).where(eq(visits.homeId, homeId));
  await tx
    .update(findings)
    .set({ deletedAt: at })
    .where(and(eq(findings.id, id), inArray(findings.visitId, ofHome)));
}
