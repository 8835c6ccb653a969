import type { Occurrence } from "@/core/planning/plan-schema";
import "server-only";
import { randomUUID } from "node:crypto";
import { mostTimes, YEAR_DAYS } from "@/core/planning/home-plan";
import { moved, type Move } from "@/core/planning/moves";
import { asOfToday, numbered, planLeft } from "@/core/planning/published";
import { roundToDo } from "@/core/planning/round-progress";
import {
  peopleOf,
  USUAL_OWNER,
  type Person,
  type PersonDays,
  type RoundEntry,
  type YearPlan,
} from "@/core/planning/year";
import { endsOfHome, type HomeEnd } from "@/core/runs/home-ends";
import { isSupply } from "@/core/runs/run-ends";
import { findRun, sayWhyOpen } from "@/db/repositories/runs";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import {
  insertPin,
  insertPlan,
  markPinDeleted,
  putPerson,
  putRound,
  updatePlan,
} from "@/db/repositories/year";
import { homeStatus, scheduleNow } from "../snapshots/snapshot-cache";
import { createdAt, type OpenHome } from "./home-command";

/** What came of changing a year: done, or why not. */
export type YearAnswer =
  | { kind: "done" }
  /** Somebody changed the draft meanwhile: it has to be looked at again. */
  | { kind: "overtaken" }
  /** A day no plan reaches, or a job that is pinned to as many days as it may be. */
  | { kind: "too-far" | "too-many" }
  /** There is no plan to change. */
  | { kind: "nothing" }
  /** Machines that are off still: why they stay so is asked before the round ends. */
  | { kind: "still-off"; units: string[] };

const DONE: YearAnswer = { kind: "done" };
/** A job that has to have its days by hand more often than that has the wrong rhythm. */
export const MOST_PINS_A_JOB = 12;

/** The last day that a plan begun today may have. */
const lastDay = (today: PlainDate): PlainDate => addDays(today, YEAR_DAYS);

/** Of a plan that was sent what a plan of the home can have: its jobs, each at most as often as its windows allow. */
function possible(
  { snapshot, today }: OpenHome,
  days: readonly Occurrence[],
  horizonEnd: PlainDate,
): Occurrence[] {
  const status = homeStatus(snapshot, today);
  const left = new Map(
    status.jobs.map((job) => {
      const pins = snapshot.year.pins.filter((pin) => pin.task === job.task.id).length;
      return [job.task.id, mostTimes(status, job, horizonEnd) + pins];
    }),
  );
  const known = new Set<string>();
  return days
    .filter(({ day }) => day >= today && day <= horizonEnd)
    .sort((a, b) => (a.day < b.day ? -1 : 1))
    .filter(({ task, day }) => {
      const times = left.get(task) ?? 0;
      if (times === 0 || known.has(`${task} ${day}`)) return false;
      known.add(`${task} ${day}`);
      left.set(task, times - 1);
      return true;
    });
}

/**
 * Keeps a plan that was computed, as the draft; the draft before it is put away. Of what no plan of the home can
 * have nothing is kept.
 */
export async function keepDraft(
  home: OpenHome,
  { days, ...sent }: Pick<YearPlan, "madeOn" | "horizonEnd"> & { days: Occurrence[] },
): Promise<YearAnswer> {
  const { tx, homeId, snapshot, today } = home;
  const madeOn = sent.madeOn < today ? sent.madeOn : today;
  const horizonEnd = sent.horizonEnd < lastDay(today) ? sent.horizonEnd : lastDay(today);
  if (horizonEnd < today) return { kind: "too-far" };
  const kept = possible(home, days, horizonEnd);
  const at = createdAt(home);
  const { draft } = snapshot.year;
  if (draft) await updatePlan(tx, homeId, draft.id, { discardedAt: at });
  const plan = { id: randomUUID(), version: 1, madeOn, horizonEnd, days: numbered(kept) };
  await insertPlan(tx, homeId, plan, at);
  return DONE;
}

/**
 * Moves some occurrences to another day in the draft, and pins them there; where there is no draft, in one
 * that begins as the published plan stands today.
 *
 * @param version of the draft whoever asks has seen; null for none
 */
export async function moveInDraft(
  home: OpenHome,
  { version, move }: { version: number | null; move: Move },
): Promise<YearAnswer> {
  const { tx, homeId, snapshot, today } = home;
  const { current, draft, pins } = snapshot.year;
  if ((draft?.version ?? null) !== version) return { kind: "overtaken" };
  const base = draft ?? current;
  if (!base || move.to < today) return { kind: "nothing" };
  if (move.to > lastDay(today)) return { kind: "too-far" };
  const days = asOfToday({ today }, planLeft(scheduleNow(snapshot, today), today, base));
  const of = move.of.filter((each) =>
    days.some(({ task, day }) => task === each.task && day === each.day),
  );
  if (of.length === 0) return { kind: "nothing" };
  if (of.some(({ task, day }) => isFull(home, task, day))) return { kind: "too-many" };
  const at = createdAt(home);
  const fresh = numbered(moved(days, { of, to: move.to }));
  if (draft) await updatePlan(tx, homeId, draft.id, { days: fresh, version: draft.version + 1 });
  else {
    const { horizonEnd } = base;
    const plan = { id: randomUUID(), version: 1, madeOn: today, horizonEnd, days: fresh };
    await insertPlan(tx, homeId, plan, at);
  }
  for (const { task, day } of of) {
    const before = pins.find((pin) => pin.task === task && pin.day === day);
    if (before) await markPinDeleted(tx, homeId, before.id, at);
    if (!pins.some((pin) => pin.task === task && pin.day === move.to))
      await insertPin(tx, homeId, { id: randomUUID(), task, day: move.to }, at);
  }
  return DONE;
}

/** Whether a job has as many pins as it may, not counting one that is about to go. */
const isFull = ({ snapshot, today }: OpenHome, task: string, gone?: PlainDate): boolean =>
  snapshot.year.pins.filter((pin) => pin.task === task && pin.day >= today && pin.day !== gone)
    .length >= MOST_PINS_A_JOB;

/** Pins a job to a day, or lets go of it. */
export async function setPin(
  home: OpenHome,
  { task, day, isPinned }: Occurrence & { isPinned: boolean },
): Promise<YearAnswer> {
  const { tx, homeId, snapshot, today } = home;
  const known = snapshot.year.pins.find((pin) => pin.task === task && pin.day === day);
  if (!isPinned && known) await markPinDeleted(tx, homeId, known.id, createdAt(home));
  const isJob = scheduleNow(snapshot, today).some((job) => job.task.id === task);
  if (!isPinned || known || !isJob || day < today) return DONE;
  if (day > lastDay(today)) return { kind: "too-far" };
  if (isFull(home, task)) return { kind: "too-many" };
  await insertPin(tx, homeId, { id: randomUUID(), task, day }, createdAt(home));
  return DONE;
}

/** Makes the draft the plan that counts. */
export async function publishDraft(
  home: OpenHome,
  { id, version }: { id: string; version: number },
): Promise<YearAnswer> {
  const { draft } = home.snapshot.year;
  if (!draft) return { kind: "nothing" };
  if (draft.id !== id || draft.version !== version) return { kind: "overtaken" };
  await updatePlan(home.tx, home.homeId, id, { publishedAt: createdAt(home) });
  return DONE;
}

/** A plan that was published a moment ago is a draft again, and the one before it counts. */
export async function takeBackPublished(home: OpenHome, id: string): Promise<YearAnswer> {
  const { current, draft } = home.snapshot.year;
  if (current?.id !== id) return { kind: "nothing" };
  if (draft) return { kind: "overtaken" };
  await updatePlan(home.tx, home.homeId, id, { publishedAt: null });
  return DONE;
}

/** Puts a draft away, or brings it back where no other was begun since. */
export async function setDiscarded(
  home: OpenHome,
  { id, isDiscarded }: { id: string; isDiscarded: boolean },
): Promise<YearAnswer> {
  const { draft } = home.snapshot.year;
  if (isDiscarded && draft?.id !== id) return { kind: "nothing" };
  if (!isDiscarded && draft) return { kind: "overtaken" };
  const discardedAt = isDiscarded ? createdAt(home) : null;
  await updatePlan(home.tx, home.homeId, id, { discardedAt });
  return DONE;
}

const personIn = ({ snapshot }: OpenHome, id: string): Person | undefined =>
  peopleOf(snapshot.year).find((each) => each.id === id);

/** Enters somebody, or changes their days. Whoever keeps the home while nobody is named is entered first. */
export async function savePerson(
  home: OpenHome,
  personId: string | null,
  { name, ...days }: PersonDays & { name: string },
): Promise<boolean> {
  const { tx, homeId, snapshot } = home;
  const units = new Set(snapshot.units.map(({ id }) => id));
  const unitIds = days.unitIds.filter((id) => units.has(id));
  if (personId !== null) {
    const before = personIn(home, personId);
    if (!before) return false;
    await putPerson(tx, homeId, { ...before, ...days, unitIds, name }, createdAt(home));
    return true;
  }
  if (!snapshot.year.people.some(({ kind }) => kind === "owner"))
    await putPerson(tx, homeId, USUAL_OWNER, createdAt(home));
  const person = { id: randomUUID(), kind: "owner" as const, name, ...days, unitIds };
  await putPerson(tx, homeId, person, createdAt(home, 1));
  return true;
}

/** Whose round it is, and on which day. */
export type RoundOf = { person: string; day: PlainDate };

const entryOf = ({ snapshot }: OpenHome, { person, day }: RoundOf): RoundEntry | undefined =>
  snapshot.year.rounds.findLast(
    (each) => each.person === person && each.day === day && !each.endedAt,
  );

/** The household was told of a round, or it is taken back. */
export async function setAnnounced(
  home: OpenHome,
  { isAnnounced, ...round }: RoundOf & { isAnnounced: boolean },
): Promise<YearAnswer> {
  if (!personIn(home, round.person)) return { kind: "nothing" };
  const entry = entryOf(home, round) ?? { id: randomUUID(), ...round, order: [] };
  const { announcedAt: _, ...rest } = entry;
  const at = createdAt(home);
  await putRound(home.tx, home.homeId, isAnnounced ? { ...rest, announcedAt: at } : rest, at);
  return DONE;
}

/** Begins a round with its jobs in their order; one that is begun goes on as it is. */
export async function startRound(
  home: OpenHome,
  { order, ...round }: RoundOf & { order: readonly string[] },
): Promise<YearAnswer> {
  const { tx, homeId, snapshot, today } = home;
  const jobs = scheduleNow(snapshot, today);
  const known = order.filter((id) => jobs.some(({ task }) => task.id === id));
  if (!personIn(home, round.person) || known.length === 0) return { kind: "nothing" };
  const at = createdAt(home);
  const entry = entryOf(home, round);
  if (entry?.startedAt) return DONE;
  // A round of which nothing is left to do is over.
  for (const other of snapshot.year.rounds)
    if (
      other.startedAt &&
      !other.endedAt &&
      roundToDo(other, jobs, snapshot.home.timeZone).length === 0
    )
      await putRound(tx, homeId, { ...other, endedAt: at }, at);
  const fresh = entry ?? { id: randomUUID(), ...round };
  await putRound(tx, homeId, { ...fresh, order: known, startedAt: at }, at);
  return DONE;
}

/**
 * Ends a round: what is left of it is in no round until it is planned again. A machine that a job of it left off
 * for a later one is asked about first: it is put on, or stays off in words of its own.
 */
export async function endRound(
  home: OpenHome,
  { id, words }: { id: string; words?: string | undefined },
): Promise<YearAnswer> {
  const entry = home.snapshot.year.rounds.find((each) => each.id === id);
  if (!entry?.startedAt || entry.endedAt) return { kind: "nothing" };
  const off = await leftOffInRound(home, id);
  if (off.length > 0 && !words) {
    const names = home.snapshot.units.filter((unit) => off.some((end) => end.unit === unit.id));
    return { kind: "still-off", units: names.map(({ name }) => name) };
  }
  for (const end of off) await sayWhyOpen(home.tx, home.homeId, end.id, words ?? "");
  await putRound(home.tx, home.homeId, { ...entry, endedAt: createdAt(home) }, createdAt(home));
  return DONE;
}

/** What jobs of a round left off for later ones, and is off still. */
async function leftOffInRound(
  { tx, recordedEnds, going, now: at }: OpenHome,
  roundId: string,
): Promise<HomeEnd[]> {
  const { open } = endsOfHome(at.toISOString(), recordedEnds, going);
  const left: HomeEnd[] = [];
  for (const end of open) {
    if (!isSupply(end)) continue;
    const runId = recordedEnds.findLast((entry) => entry.id === end.id)?.runId;
    const run = runId ? await findRun(tx, runId) : null;
    if (run?.inRound?.round === roundId) left.push(end);
  }
  return left;
}
