import "server-only";
import { createHash } from "node:crypto";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { FilterSlot, Part, Unit } from "@/core/inventory/inventory";
import type { PlainDate } from "@/core/quantities/plain-date";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { findCommand, keepCommand } from "@/db/repositories/commands";
import { now, todayIn } from "@/lib/clock";
import { readHome, type HomeRead } from "../snapshots/read-home";
import { keepRead, lastRead } from "../snapshots/snapshot-cache";

/**
 * A home inside a write: read in the very transaction that changes it, so that nothing comes between
 * what a command saw and what it does. What belongs to another home is not in it.
 */
export type OpenHome = Pick<HomeRead, "going" | "recordedEnds"> & {
  tx: Tx;
  homeId: string;
  snapshot: HomeSnapshot;
  today: PlainDate;
  /** The instant of the command. */
  now: Date;
};

/** What a command that did its work answers: where it leads. */
export type Lead = {
  to: string;
  /** The entry whose consequences the page tells. */
  noted?: string;
  /** Takes the place of the page it was asked from, so that Back leads past that. */
  replaces?: true;
};

/** The same command is known again for so long, ms: longer than anybody keeps a form open. */
const REMEMBERED_MS = 30 * 86_400_000;

/**
 * Runs a command on a home in one transaction.
 *
 * @returns what the command answers, or null where there is no such home
 * @throws what the command throws; then nothing of it is written
 */
export async function inHome<T>(
  homeId: string,
  work: (home: OpenHome) => Promise<T>,
): Promise<T | null> {
  const store = await appStore();
  return store.write(async (tx) => {
    const read = await readHome(tx, homeId, await lastRead(store, homeId));
    if (!read) return null;
    keepRead(store, homeId, read);
    const { snapshot, going, recordedEnds } = read;
    const today = todayIn(snapshot.home.timeZone);
    return work({ tx, homeId, snapshot, going, recordedEnds, today, now: now() });
  });
}

/** What a command is called, and what it asks for. */
export type Named = { id: string; asks: unknown };

export const isLead = (answer: object): answer is Lead => "to" in answer;

/** A command came under the id of another one that was done. Nothing of it was written. */
export class IdTaken extends Error {}

/**
 * Does a command once, however often it is sent: the second time it answers what it came to the first
 * time. One that did not lead on was none.
 *
 * @throws IdTaken where something else was asked under the same id before
 */
export async function once<A extends object>(
  tx: Tx,
  { id, asks }: Named,
  at: Date,
  work: () => Promise<Lead | A>,
): Promise<Lead | A> {
  const digest = createHash("sha256").update(JSON.stringify(asks)).digest("hex");
  const done = await findCommand(tx, id);
  if (done && done.digest !== digest) throw new IdTaken(`once: ${id} was another command`);
  if (done) return JSON.parse(done.answer) as Lead;
  const answer = await work();
  if (!isLead(answer)) return answer;
  const forgotten = new Date(at.getTime() - REMEMBERED_MS).toISOString();
  const command = { id, digest, answer: JSON.stringify(answer), doneAt: at.toISOString() };
  await keepCommand(tx, command, forgotten);
  return answer;
}

/** The home as it is after what this command has written so far. */
export async function reread(home: OpenHome): Promise<OpenHome> {
  const last = await lastRead(await appStore(), home.homeId);
  const read = await readHome(home.tx, home.homeId, last);
  if (!read) throw new Error(`reread: home ${home.homeId} is gone inside its own write`);
  const { snapshot, going, recordedEnds } = read;
  return { ...home, snapshot, going, recordedEnds };
}

/** A unit of the home, in service or out of it. */
export const unitIn = ({ snapshot }: OpenHome, unitId: string): Unit | undefined =>
  [...snapshot.units, ...snapshot.retired].find((each) => each.id === unitId);

/** A part of the home, a filter slot or any other, at a unit in service or out of it. */
export const placeIn = ({ snapshot }: OpenHome, partId: string): FilterSlot | Part | undefined =>
  [...snapshot.slots, ...snapshot.retiredSlots, ...snapshot.parts].find(
    (each) => each.id === partId,
  );

/** Rows entered in one instant still need an order: each a millisecond after the one before. */
export const createdAt = ({ now: at }: OpenHome, nth = 0): string =>
  new Date(at.getTime() + nth).toISOString();
