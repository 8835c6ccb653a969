import { and, eq } from "drizzle-orm";
import { z } from "zod";
import type { Reader, Tx } from "../client";
import { readJson } from "../columns";
import { walkStops } from "../schema";

const typedSchema = z.record(z.string(), z.array(z.string())).catch({});

/** A stop of the first walk: what was typed there and not saved, and when it was seen. */
export type StoredStop = {
  stop: string;
  typed: Record<string, string[]> | null;
  seenAt: string | null;
};

export async function listWalkStops(db: Reader, homeId: string): Promise<StoredStop[]> {
  const rows = await db.select().from(walkStops).where(eq(walkStops.homeId, homeId));
  return rows.map(({ stop, typed, seenAt }) => ({
    stop,
    typed: typed === null ? null : typedSchema.parse(readJson(typed)),
    seenAt,
  }));
}

/** Keeps what is typed at a stop until it is saved. */
export async function saveWalkDraft(
  tx: Tx,
  homeId: string,
  stop: string,
  typed: Record<string, string[]>,
): Promise<void> {
  const row = { typed: JSON.stringify(typed) };
  await tx
    .insert(walkStops)
    .values({ homeId, stop, ...row })
    .onConflictDoUpdate({ target: [walkStops.homeId, walkStops.stop], set: row });
}

/** Notes that a stop was seen; what was typed there is saved elsewhere by then. */
export async function markStopSeen(
  tx: Tx,
  homeId: string,
  stop: string,
  at: string,
): Promise<void> {
  const row = { typed: null, seenAt: at };
  await tx
    .insert(walkStops)
    .values({ homeId, stop, ...row })
    .onConflictDoUpdate({ target: [walkStops.homeId, walkStops.stop], set: row });
}

/** Takes back that a stop was seen: the walk is under way again. */
export async function forgetStop(tx: Tx, homeId: string, stop: string): Promise<void> {
  await tx.delete(walkStops).where(and(eq(walkStops.homeId, homeId), eq(walkStops.stop, stop)));
}
