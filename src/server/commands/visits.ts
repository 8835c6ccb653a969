import "server-only";
import { randomUUID } from "node:crypto";
import type { ReadingTaken } from "@/core/history/history-event";
import { isolatorOf } from "@/core/inventory/inventory";
import type { Instrument } from "@/core/readings/conditions";
import { judgeInput } from "@/core/readings/judge";
import { endsOfHome } from "@/core/runs/home-ends";
import { isIsolator } from "@/core/runs/loose-ends";
import { appendEndEntry } from "@/db/repositories/runs";
import type { PlainDate } from "@/core/quantities/plain-date";
import { RENEW } from "@/core/scheduling/task";
import { mayWrite, visitState, type Asker, type Finding, type Visit } from "@/core/visits/visit";
import { hangOnFinding } from "@/db/repositories/photos";
import {
  insertFinding,
  insertInstrument,
  insertVisit,
  saveVisitDraft,
  saveVisitEnd,
  updateFinding,
  updateInstrument,
  updateVisit,
} from "@/db/repositories/visits";
import { createdAt, placeIn, unitIn, type OpenHome } from "./home-command";
import { record, recordReplacement } from "./records";

export type VisitPlan = Pick<Visit, "reason" | "unitIds"> &
  Partial<Pick<Visit, "contactId" | "on" | "questions">>;

/**
 * A visit of this home that whoever asks may write in; null where there is none, or they may not.
 */
export function visitIn({ snapshot }: OpenHome, asker: Asker, visitId: string): Visit | null {
  const visit = snapshot.visits.find(({ id }) => id === visitId);
  return visit && mayWrite(asker, visit) ? visit : null;
}

/** Plans a visit; answers its id. */
export async function planVisit(home: OpenHome, plan: VisitPlan): Promise<string> {
  const id = randomUUID();
  await insertVisit(home.tx, home.homeId, { id, ...plan }, createdAt(home));
  return id;
}

/** Writes down a visit that was, from a paper: it is under way at once, on its own day. */
export async function enterPastVisit(home: OpenHome, plan: VisitPlan): Promise<string> {
  const id = randomUUID();
  const visit = { id, ...plan, beganAt: createdAt(home) };
  await insertVisit(home.tx, home.homeId, visit, createdAt(home));
  return id;
}

/** Changes what is planned of a visit; what was measured on it stays. */
export const changePlan = (
  { tx, homeId }: OpenHome,
  { contactId: _, on: __, questions: ___, ...visit }: Visit,
  plan: VisitPlan,
): Promise<void> => updateVisit(tx, homeId, { ...visit, ...plan });

/** The technician is here: the visit is of today. Begun twice it goes on. */
export async function beginVisit(home: OpenHome, visit: Visit): Promise<void> {
  if (visitState(visit) !== "planned") return;
  const begun = { ...visit, on: home.today, beganAt: createdAt(home) };
  await updateVisit(home.tx, home.homeId, begun);
}

/** The day that what is done on a visit is of. */
export const dayOfVisit = ({ today }: OpenHome, { on }: Visit): PlainDate =>
  on !== undefined && on <= today ? on : today;

export type ReadingAt = { unitId: string; partId?: string; taken: ReadingTaken };

/**
 * Writes down what was measured and seen at a machine of a visit. What was read there on the same visit
 * before is corrected by it; the same figure twice is written once.
 */
export async function noteChecks(
  home: OpenHome,
  visit: Visit,
  unitId: string,
  readings: readonly ReadingAt[],
): Promise<void> {
  const date = dayOfVisit(home, visit);
  for (const { partId, taken } of readings) {
    const before = home.snapshot.history.counted.find(
      (event) =>
        event.visitId === visit.id &&
        event.unitId === unitId &&
        event.partId === partId &&
        event.reading?.kind === taken.kind,
    );
    if (before && JSON.stringify(before.reading) === JSON.stringify(taken)) continue;
    await record(home, {
      kind: "reading",
      unitId,
      ...(partId ? { partId } : {}),
      date,
      visitId: visit.id,
      ...(before ? { corrects: before.id } : {}),
      reading: taken,
    });
  }
  await saveVisitDraft(home.tx, { visitId: visit.id, unitId }, null, createdAt(home));
}

export const keepChecks = (
  { tx }: OpenHome,
  at: { visitId: string; unitId: string },
  typed: Record<string, string[]>,
): Promise<void> => saveVisitDraft(tx, at, typed);

export const keepEnd = (
  { tx }: OpenHome,
  visitId: string,
  typed: Record<string, string[]>,
): Promise<void> => saveVisitEnd(tx, visitId, typed);

/** Writes a finding down; answers its id, and null where its machine is not of the visit. */
export async function addFinding(
  home: OpenHome,
  visit: Visit,
  facts: Omit<Finding, "id" | "visitId" | "settledOn">,
  pictureIds: readonly string[] = [],
): Promise<string | null> {
  if (!visit.unitIds.includes(facts.unitId)) return null;
  const id = randomUUID();
  await insertFinding(home.tx, { ...facts, id, visitId: visit.id }, createdAt(home));
  await hangOnFinding(home.tx, visit.id, id, pictureIds);
  return id;
}

/**
 * A stained or cracked heat exchanger is a stop, whoever found it: it stands in the record as a reading, and its
 * machine’s power as left off, where it was. Told twice it is written once.
 */
export async function noteBadExchanger(
  home: OpenHome,
  visit: Visit,
  { unitId, partId, words }: Pick<Finding, "unitId" | "partId" | "words">,
  staysOff: boolean,
): Promise<void> {
  const unit = unitIn(home, unitId);
  if (!unit || !visit.unitIds.includes(unitId)) return;
  const part =
    home.snapshot.parts.find(({ id, kind }) => id === partId && kind === "heat-exchanger") ??
    home.snapshot.parts.find((each) => each.unitId === unitId && each.kind === "heat-exchanger");
  const isThere = home.snapshot.history.readings.some(
    ({ event, taken }) => event.visitId === visit.id && taken.kind === "heat-exchanger",
  );
  if (!isThere)
    await record(home, {
      kind: "reading",
      unitId,
      ...(part ? { partId: part.id } : {}),
      date: dayOfVisit(home, visit),
      visitId: visit.id,
      words,
      reading: judgeInput.parse({
        kind: "heat-exchanger",
        value: /crack|hole|split/i.test(words) ? "cracked" : "stained",
      }),
    });
  if (!staysOff) return;
  const isolator = isolatorOf(unit);
  const { open } = endsOfHome(createdAt(home), home.recordedEnds, home.going);
  if (open.some((end) => end.unit === unitId && isIsolator(end))) return;
  await appendEndEntry(home.tx, home.homeId, {
    id: `${visit.id}:exchanger-${unitId}`,
    unit: unitId,
    part: undefined,
    end: isolator,
    at: createdAt(home),
    action: "open",
    readyAt: undefined,
    after: undefined,
    words: `${words}. Off until the heat exchanger was tested.`,
  });
}

/** Changes a finding: its words, or what was decided of it. */
export const changeFinding = (
  { tx }: OpenHome,
  { id, visitId, settledOn }: Finding,
  facts: Omit<Finding, "id" | "visitId" | "settledOn">,
): Promise<void> =>
  updateFinding(tx, { ...facts, id, visitId, ...(settledOn ? { settledOn } : {}) });

/** A finding was put right since; or, without a day, it was not after all. */
export const settleFinding = (
  { tx }: OpenHome,
  { settledOn: _, ...finding }: Finding,
  on: PlainDate | null,
): Promise<void> => updateFinding(tx, { ...finding, ...(on ? { settledOn: on } : {}) });

export type VisitEnd = Pick<Visit, "verdict"> &
  Partial<Pick<Visit, "words" | "minutes" | "costMinor" | "signedBy" | "nextOn">>;

/** A job done on a visit, at a machine or at one of its parts. */
export type JobDone = { unitId: string; partId?: string; key: string };

/**
 * Ends a visit: what it did is in the record, what was decided to be done is settled, and the next one
 * stands planned. The money and minutes are of the whole visit and written once. Ended twice it ends once.
 */
export async function endVisit(
  home: OpenHome,
  visit: Visit,
  end: VisitEnd,
  jobs: readonly JobDone[],
): Promise<void> {
  if (visitState(visit) === "over") return;
  const date = dayOfVisit(home, visit);
  const { minutes, costMinor } = end;
  let whole: { minutes?: number; costMinor?: number } = {
    ...(minutes === undefined ? {} : { minutes }),
    ...(costMinor === undefined ? {} : { costMinor }),
  };
  for (const { unitId, partId, key } of jobs) {
    if (!unitIn(home, unitId) || (partId !== undefined && !placeIn(home, partId))) continue;
    const slot = home.snapshot.slots.find(({ id }) => id === partId);
    if (slot && key === RENEW) {
      await recordReplacement(home, slot, { date });
      continue;
    }
    await record(home, {
      kind: "done",
      unitId,
      ...(partId ? { partId } : {}),
      taskKey: key,
      date,
      visitId: visit.id,
      ...whole,
    });
    whole = {};
  }
  const [first] = visit.unitIds;
  if (first && Object.keys(whole).length > 0)
    await record(home, {
      kind: "note",
      unitId: first,
      date,
      visitId: visit.id,
      words: end.words ?? "A technician’s visit",
      ...whole,
    });
  const findings = home.snapshot.findings.filter(({ visitId }) => visitId === visit.id);
  for (const finding of findings)
    if (finding.decision === "now" && finding.settledOn === undefined)
      await updateFinding(home.tx, { ...finding, settledOn: date });
  const ended = { ...visit, ...end, on: date, endedAt: createdAt(home) };
  await updateVisit(home.tx, home.homeId, ended);
  if (end.nextOn)
    await planVisit(home, {
      reason: visit.reason === "breakdown" || visit.reason === "finding" ? "yearly" : visit.reason,
      unitIds: visit.unitIds,
      on: end.nextOn,
      ...(visit.contactId ? { contactId: visit.contactId } : {}),
    });
}

/** Enters an instrument; answers its id. */
export async function addInstrument(
  home: OpenHome,
  facts: Omit<Instrument, "id">,
): Promise<string> {
  const known = home.snapshot.instruments.find(
    ({ name }) => name.toLowerCase() === facts.name.toLowerCase(),
  );
  if (known) return known.id;
  const id = randomUUID();
  await insertInstrument(home.tx, home.homeId, { id, ...facts }, createdAt(home));
  return id;
}

export const changeInstrument = ({ tx, homeId }: OpenHome, instrument: Instrument): Promise<void> =>
  updateInstrument(tx, homeId, instrument);
