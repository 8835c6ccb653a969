import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { readSize } from "@/core/quantities/size";
import { isIsolator } from "@/core/runs/loose-ends";
import { isSupply } from "@/core/runs/run-ends";
import { replayRun } from "@/core/runs/run";
import type { RunJob, NotTaken, RunState } from "@/core/runs/run-state";
import type { RunEvent } from "@/core/runs/run-event";
import { HistoryRecord } from "@/core/history/history-record";
import { replacementOf } from "@/core/history/replacement";
import type { Attributes } from "@/core/inventory/attribute";
import { asItShouldBe, type NotedSetting } from "@/core/inventory/as-it-should-be";
import { withIdentity, type Identity } from "@/core/inventory/identity";
import { unitWithIdentity } from "@/core/inventory/unit-plate";
import { placeKey, RENEW } from "@/core/scheduling/task";
import type { FilterSlot, Unit } from "@/core/inventory/inventory";
import type { HistoryEvent } from "@/core/history/history-event";
import {
  countedStep,
  doneEntry,
  endsLeft,
  deferralEntry,
  seenEntries,
  settingsNoted,
  wokenBy,
  wordsOf,
  worksInside,
  type RunWhere,
} from "@/core/runs/run-outcome";
import { hasDisplay, isCoAlarm } from "@/core/inventory/alarms";
import { dayIn } from "@/core/quantities/plain-date";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { appendEvents, listEventsOfPart, listEventsOfRun } from "@/db/repositories/history";
import { findHome } from "@/db/repositories/homes";
import { insertItem, listParts, listSlots, updatePart, updateSlot } from "@/db/repositories/parts";
import {
  appendEndEntry,
  appendRunEvents,
  keepLearned,
  listEndEntries,
  markRunEnded,
  namesInOtherRuns,
  takeLearned,
  type Run,
} from "@/db/repositories/runs";
import { insertSetting, listSettings } from "@/db/repositories/settings";
import { listUnits, updateUnit } from "@/db/repositories/units";
import { readHome } from "@/server/snapshots/read-home";
import { openBesideRun, readRun } from "@/server/snapshots/read-runs";
import { lastRead } from "@/server/snapshots/snapshot-cache";
import { stopsByUnit } from "@/server/snapshots/stops";

/** A device's clock may be this far off before what it says is not believed, ms. */
const MOST_CLOCK_ERROR_MS = 86_400_000;
/** A finish is taken back for ten seconds on the screen; a slow network may take as long again, ms. */
const UNDO_WITHIN_MS = 30_000;

export type Refused = { id: string; why: NotTaken };

export type Recorded =
  | {
      kind: "recorded";
      events: readonly RunEvent[];
      state: RunState;
      refused: Refused[];
    }
  | { kind: "unknown-run" };

/**
 * Adds what a device did to a run, each thing judged for itself. What is there already is passed over,
 * what the rules forbid, or what comes under the name of something else, is named and left out; the rest is
 * kept, and a finish writes what the run amounts to. A time that is far ahead of the server's is the mistake
 * of a clock: the device keeps the event, and sends it again.
 */
export async function recordRunEvents(
  runId: string,
  sent: readonly RunEvent[],
  now: Date,
): Promise<Recorded> {
  const { write } = await appStore();
  return write((tx) => recordInRun(tx, runId, sent, now));
}

/** The same inside a write that is under way. */
export async function recordInRun(
  tx: Tx,
  runId: string,
  sent: readonly RunEvent[],
  now: Date,
): Promise<Recorded> {
  const found = await readRun(tx, runId);
  if (!found) return { kind: "unknown-run" };
  const { run, job, events, state: before, replay, latest } = found;
  const isLate = run.endedAt !== null && now.getTime() - Date.parse(run.endedAt) > UNDO_WITHIN_MS;
  const known = new Map(events.map((event) => [event.id, event]));
  const elsewhere = await namesInOtherRuns(
    tx,
    runId,
    sent.map(({ id }) => id),
  );
  const places = await placesIn(tx, run.homeId);
  const settings = new Set((await listSettings(tx, run.homeId)).map(({ id }) => id));
  const refused: Refused[] = [];
  const whyNot = (event: RunEvent): NotTaken | null => {
    if (Date.parse(event.at) > now.getTime() + MOST_CLOCK_ERROR_MS) return "clock-off";
    if (event.kind === "undone" && isLate) return "too-late";
    const isHere = placesOf(event).every((place) => places.has(place) || settings.has(place));
    return isHere ? null : "unknown-place";
  };
  const fresh = sent.filter((event) => {
    const there = known.get(event.id);
    if (there && isSame(there, event)) return false;
    if (!there) known.set(event.id, event);
    const why = there || elsewhere.has(event.id) ? "conflict" : whyNot(event);
    if (why) refused.push({ id: event.id, why });
    return !why;
  });
  const open = await openBesideRun(tx, run.homeId, runId, now);
  const stopped = bringsBack(job, fresh) ? await stopBesideRun(tx, run, now) : undefined;
  const at = now.toISOString();
  // From where it stands; all anew where a clock that ran ahead has yet to be caught up with.
  const state =
    latest <= now.getTime()
      ? replay.forked(at, open, stopped).taking(fresh).state
      : replayRun(job, [...events, ...fresh], at, {
          open,
          accepted: events.length,
          stopped,
        });
  const refusals = state.refused.slice(before.refused.length);
  const accepted = fresh.filter(
    (event) => !refusals.some((refusal) => refusal.event.id === event.id),
  );
  await appendRunEvents(tx, runId, accepted);
  await writeWhatFollows(tx, { run, job, before, state }, now);
  return {
    kind: "recorded",
    events: [...events, ...accepted],
    state,
    refused: [...refused, ...refusals.map(({ event, why }) => ({ id: event.id, why }))],
  };
}

/** Why nothing of a run’s machine comes back on, where a stop stands there that nobody has seen to. */
async function stopBesideRun(tx: Tx, run: Run, now: Date): Promise<string | undefined> {
  if (run.unitId === null) return undefined;
  const read = await readHome(tx, run.homeId, await lastRead(await appStore(), run.homeId));
  if (!read) return undefined;
  const today = dayIn(read.snapshot.home.timeZone, now.getTime());
  return stopsByUnit(read.snapshot, today, run.id).get(run.unitId);
}

/** Whether any of the events is of a step that brings power, gas or water back. */
function bringsBack({ procedure }: RunJob, events: readonly RunEvent[]): boolean {
  const keys = new Set(
    procedure.steps.flatMap(({ opens = [] }) => opens.filter(isSupply).map(({ key }) => key)),
  );
  const steps = new Set(
    procedure.steps.flatMap(({ id, closes }) => (closes && keys.has(closes) ? [id] : [])),
  );
  return events.some((event) => event.kind === "done" && steps.has(event.step));
}

/** The same thing done: its time may differ, as a device sends nothing of later than now by its clock of then. */
const isSame = (a: RunEvent, b: RunEvent): boolean =>
  isDeepStrictEqual({ ...a, at: "" }, { ...b, at: "" });

/** Every part and unit of a home, by which an event may name where something was seen. */
async function placesIn(tx: Tx, homeId: string): Promise<Set<string>> {
  const [units, slots, parts] = [
    await listUnits(tx, homeId),
    await listSlots(tx, homeId),
    await listParts(tx, homeId),
  ];
  return new Set([...units, ...slots, ...parts].map(({ id }) => id));
}

function placesOf(event: RunEvent): string[] {
  if (event.kind !== "done") return [];
  const { place, unit, each = [], alarms = [] } = event;
  return [place, unit, ...[...each, ...alarms].map((seen) => seen.place)].flatMap((id) => id ?? []);
}

type Step = { run: Run; job: RunJob; before: RunState; state: RunState };

/** What the record, the slot and the loose ends have to hear of what a run came to. */
async function writeWhatFollows(tx: Tx, step: Step, now: Date): Promise<void> {
  const { run, job, before, state } = step;
  if (before.status !== "going" && state.status === "going") return takeBack(tx, run, now);
  const isOver = before.status === "going" && state.status !== "going";
  const { safetyStop } = state;
  const heldBy = safetyStop && "event" in safetyStop ? safetyStop.event : undefined;
  const isNewSafetyStop = heldBy !== undefined && before.safetyStop?.at !== safetyStop?.at;
  if (!isOver && !isNewSafetyStop) return;
  const home = await findHome(tx, run.homeId);
  if (!home) return;
  const slots = await listSlots(tx, run.homeId);
  const where = await whereOf(tx, run, home.timeZone, slots, now.toISOString());
  // A reading that means “stop” goes into the record at once, because the run may never be finished.
  if (isNewSafetyStop)
    await append(
      tx,
      run,
      seenEntries(state, where).filter(({ id }) => id.startsWith(heldBy)),
    );
  if (!isOver) return;
  await markRunEnded(tx, run.id, now.toISOString());
  if (state.status !== "finished") return;
  const slot = slots.find((each) => each.id === run.partId);
  const deferral = deferralEntry(state, where);
  await append(tx, run, [
    ...seenEntries(state, where),
    ...(await workEntries(tx, run, state, where, slot)),
    ...(await insideEntries(tx, run, state, where, slots)),
    ...(deferral ? [deferral] : []),
  ]);
  await learn(tx, state, run, slot);
  await learnPlates(tx, state, run);
  for (const end of endsLeft(job, state))
    await appendEndEntry(tx, run.homeId, { ...end, runId: run.id });
  await wake(tx, run, [...wokenBy(job, state), ...(await alsoBack(tx, run, state))], now);
  await noteSettings(tx, run, state, where);
}

/** What was parked for a season and is in use again, or was left off by the job before and is back. */
async function wake(tx: Tx, run: Run, woken: ReturnType<typeof wokenBy>, now: Date): Promise<void> {
  const entries = await listEndEntries(tx, run.homeId);
  for (const id of new Set(woken.map((each) => each.id))) {
    const last = entries.findLast((entry) => entry.id === id);
    if (last && last.action !== "close")
      await appendEndEntry(tx, run.homeId, {
        ...last,
        at: now.toISOString(),
        action: "close",
        runId: run.id,
      });
  }
}

/**
 * What an earlier job left off at this machine and this one has switched on again by the very same switch: on
 * is on, whoever wrote it down.
 */
async function alsoBack(tx: Tx, run: Run, state: RunState): Promise<ReturnType<typeof wokenBy>> {
  const off = new Set(state.ends.open.map(({ unit, end }) => `${unit} ${end}`));
  const back = new Set(
    state.log.flatMap(({ action, unit, end, part }) =>
      action === "close" && isIsolator({ end, part }) && !off.has(`${unit} ${end}`)
        ? [`${unit} ${end}`]
        : [],
    ),
  );
  const last = new Map((await listEndEntries(tx, run.homeId)).map((entry) => [entry.id, entry]));
  return [...last.values()].flatMap(({ id, unit, end, action }) =>
    action === "open" && back.has(`${unit} ${end}`) && !id.startsWith(`${run.id}:`)
      ? [{ id, end }]
      : [],
  );
}

/** How things were set before the work, or are from now on. */
async function noteSettings(tx: Tx, run: Run, state: RunState, where: RunWhere): Promise<void> {
  const on = dayIn(where.homeTimeZone, Date.parse(state.finish?.at ?? where.recordedAt));
  const { unitId, partId } = where;
  const place = { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) };
  const known = asItShouldBe(await listSettings(tx, run.homeId));
  for (const { key, label, value } of settingsNoted(state)) {
    // A furnace is called by the thermostat: what stands on the sheet for that is not noted twice.
    if (known.some((each) => each.key === key && each.label === label && each.value === value))
      continue;
    const setting = { id: randomUUID(), ...place, key, label, value, on, runId: run.id };
    await insertSetting(tx, run.homeId, setting, where.recordedAt);
  }
}

/** The filter that sits in a slot, as far as the record knows. */
const lastItemOf = async (tx: Tx, partId: string): Promise<string | undefined> =>
  new HistoryRecord(await listEventsOfPart(tx, partId)).counted.findLast(
    (event) => event.itemId !== undefined,
  )?.itemId;

async function whereOf(
  tx: Tx,
  run: Run,
  homeTimeZone: string,
  slots: readonly FilterSlot[],
  recordedAt: string,
): Promise<RunWhere> {
  const units = await listUnits(tx, run.homeId);
  const parts = await listParts(tx, run.homeId);
  const itemBefore = run.partId ? await lastItemOf(tx, run.partId) : undefined;
  return {
    homeTimeZone,
    runId: run.id,
    ...(run.unitId ? { unitId: run.unitId } : {}),
    ...(run.partId ? { partId: run.partId } : {}),
    taskKey: run.taskKey,
    recordedAt,
    ...(itemBefore ? { itemBefore } : {}),
    alarms: units.flatMap(({ id, kind, retiredOn }) =>
      isCoAlarm(kind) && !retiredOn && hasDisplay({ parts }, id) ? [id] : [],
    ),
    unitOfSlot: (slotId) => slots.find((slot) => slot.id === slotId)?.unitId,
    itsSlots: slotsAround(slots, units, run.unitId),
    partOf: (kind) => {
      const here = units.find(({ id }) => id === run.unitId);
      const inItsAir = units
        .filter(({ systemId, retiredOn }) => systemId === here?.systemId && !retiredOn)
        .map(({ id }) => id);
      const alike = parts.filter((part) => part.kind === kind);
      const part =
        alike.find(({ unitId }) => unitId === run.unitId) ??
        alike.find(({ unitId }) => inItsAir.includes(unitId));
      return part && { unitId: part.unitId, partId: part.id };
    },
  };
}

/** The slots of a machine; of one without any, those of the air that goes through it. */
function slotsAround(
  slots: readonly FilterSlot[],
  units: readonly Unit[],
  unitId: string | null,
): string[] {
  const own = slots.filter((slot) => slot.unitId === unitId);
  if (own.length > 0) return own.map(({ id }) => id);
  const here = units.find(({ id }) => id === unitId);
  const around = new Set(
    units.filter(({ systemId }) => systemId === here?.systemId).map(({ id }) => id),
  );
  return slots
    .filter(({ unitId: of, airSide }) => around.has(of) && airSide === "recirculated")
    .map(({ id }) => id);
}

/**
 * What was done to other parts on the way, and what was ticked of a visit’s works: each as it would be had it
 * been done by itself, a new filter on its own slot. A part that is there twice is meant twice.
 */
async function insideEntries(
  tx: Tx,
  run: Run,
  state: RunState,
  where: RunWhere,
  slots: readonly FilterSlot[],
): Promise<HistoryEvent[]> {
  const [units, parts] = [await listUnits(tx, run.homeId), await listParts(tx, run.homeId)];
  const here = units.find(({ id }) => id === run.unitId);
  const inItsAir = (unitId: string) =>
    units.find(({ id }) => id === unitId)?.systemId === here?.systemId;
  const entries: HistoryEvent[] = [];
  const seen = new Set<string>();
  for (const { name, partId, at, event } of worksInside(state)) {
    const [kind, key = ""] = name.split(":");
    const date = dayIn(where.homeTimeZone, Date.parse(at));
    const happened = { date, recordedAt: where.recordedAt, runId: run.id };
    // Of the machine itself first; else, as coils and filters are, of the air that goes through it.
    const own = parts.filter((part) => part.kind === kind && part.unitId === run.unitId);
    const around = parts.filter((part) => part.kind === kind && inItsAir(part.unitId));
    const at_ = partId
      ? [partId]
      : kind === "filter"
        ? where.itsSlots
        : (own.length > 0 ? own : around).map(({ id }) => id);
    for (const id of at_) {
      if (seen.has(`${id} ${key}`) || (id === run.partId && key === run.taskKey)) continue;
      seen.add(`${id} ${key}`);
      const slot = slots.find((each) => each.id === id);
      const part = parts.find((each) => each.id === id);
      if (slot && key === RENEW) {
        const ids = { event: `${event}-fitted-${id}`, item: randomUUID() };
        const itemBefore = await lastItemOf(tx, id);
        const { event: fitted, item } = replacementOf(slot, ids, happened, itemBefore);
        if (item) await insertItem(tx, item);
        entries.push(fitted);
        continue;
      }
      const unitId = slot?.unitId ?? part?.unitId ?? (id === run.unitId ? id : undefined);
      if (!unitId) continue;
      entries.push({
        id: `${event}-done-${id}-${key}`,
        kind: "done",
        taskKey: key,
        ...happened,
        unitId,
        ...(id === unitId ? {} : { partId: id }),
      });
    }
  }
  return entries;
}

/** The job itself: a filter that came in or went back, or that it was done. */
async function workEntries(
  tx: Tx,
  run: Run,
  state: RunState,
  where: RunWhere,
  slot: FilterSlot | undefined,
): Promise<HistoryEvent[]> {
  const done = doneEntry(state, where);
  const counted = countedStep(state);
  if (!done || !counted) return [];
  // Vacuumed on the spot, or only looked at, it stays the same filter.
  if (!slot || run.taskKey !== RENEW) return [done];
  const ids = { event: `${counted.event}-fitted`, item: randomUUID() };
  const date = dayIn(where.homeTimeZone, Date.parse(counted.at));
  const words = wordsOf(state);
  const happened = {
    date,
    recordedAt: where.recordedAt,
    runId: where.runId,
    ...(words ? { words } : {}),
  };
  const { event, item } = replacementOf(slot, ids, happened, where.itemBefore);
  if (item) await insertItem(tx, item);
  const { minutes, costMinor } = state.finish ?? {};
  return [
    {
      ...event,
      ...(minutes === undefined ? {} : { minutes }),
      ...(costMinor === undefined ? {} : { costMinor }),
    },
  ];
}

/** Adds what the run has not added yet; what was taken back comes under a new name. */
async function append(tx: Tx, run: Run, entries: readonly HistoryEvent[]): Promise<void> {
  const written = new HistoryRecord(await listEventsOfRun(tx, run.id));
  const ids = new Set(written.entries.map(({ id }) => id));
  const isThere = (id: string) =>
    written.counted.some((each) => each.id === id || each.id.startsWith(`${id}~`));
  const fresh = entries
    .filter(({ id }) => !isThere(id))
    .map((event) => (ids.has(event.id) ? { ...event, id: `${event.id}~${randomUUID()}` } : event));
  await appendEvents(tx, run.homeId, fresh);
}

/** The finish taken back: what it wrote is withdrawn, and its ends are the run's own again. */
async function takeBack(tx: Tx, run: Run, now: Date): Promise<void> {
  await markRunEnded(tx, run.id, null);
  await unlearn(tx, run);
  const recordedAt = now.toISOString();
  const written = new HistoryRecord(await listEventsOfRun(tx, run.id));
  await appendEvents(
    tx,
    run.homeId,
    written.counted.map(({ id, unitId, partId, date }): HistoryEvent => ({
      id: randomUUID(),
      kind: "withdrawn",
      corrects: id,
      unitId,
      partId,
      date,
      recordedAt,
      runId: run.id,
    })),
  );
  await unsettle(tx, run, recordedAt);
  const all = await listEndEntries(tx, run.homeId);
  const log = all.filter((entry) => entry.runId === run.id);
  // What it woke is parked once more, and what it took over stands as it was left.
  for (const entry of log.filter(
    ({ action, id }) => action === "close" && !id.startsWith(run.id),
  )) {
    const ofIt = all.filter(({ id }) => id === entry.id);
    const before = ofIt.findLast(({ action }) => action !== "close");
    if (ofIt.at(-1)?.action === "close")
      await appendEndEntry(tx, run.homeId, {
        ...entry,
        at: recordedAt,
        action: before?.action ?? "park",
      });
  }
  for (const entry of log.filter(({ action }) => action !== "close"))
    if (log.findLast(({ id }) => id === entry.id)?.action !== "close")
      await appendEndEntry(tx, run.homeId, { ...entry, at: recordedAt, action: "close" });
}

/** The settings a run noted, as they were known before it. */
async function unsettle(tx: Tx, run: Run, recordedAt: string): Promise<void> {
  const notes = await listSettings(tx, run.homeId);
  const nameOf = (note: NotedSetting) => `${placeKey(note)} ${note.key}`;
  for (const note of asItShouldBe(notes).filter(({ runId }) => runId === run.id)) {
    const before = notes.findLast((each) => each.runId !== run.id && nameOf(each) === nameOf(note));
    const { value: _, runId: __, ...rest } = note;
    const value = before?.value === undefined ? {} : { value: before.value };
    await insertSetting(tx, run.homeId, { ...rest, ...value, id: randomUUID() }, recordedAt);
  }
}

/** What was found out on the way belongs to the part from now on; what stood there is kept beside. */
async function learn(
  tx: Tx,
  state: RunState,
  run: Run,
  slot: FilterSlot | undefined,
): Promise<void> {
  if (slot) {
    const after = learnedOfSlot(state, slot);
    if (Object.keys(after).length === 0) return;
    const before = Object.fromEntries(
      Object.keys(after).map((key) => [key, slot[key as keyof typeof after] ?? null]),
    );
    await updateSlot(tx, { ...slot, ...after });
    await keepLearned(tx, run.id, { before, after });
    return;
  }
  const part = (await listParts(tx, run.homeId)).find(({ id }) => id === run.partId);
  const after = keptWords(state);
  if (!part || Object.keys(after).length === 0) return;
  const before = Object.fromEntries(
    Object.keys(after).map((key) => [key, part.attributes[key] ?? null]),
  );
  await updatePart(tx, { ...part, attributes: { ...part.attributes, ...after } });
  await keepLearned(tx, run.id, { before, after });
}

/** What plates said is true whatever becomes of the job: it stays when a finish is taken back. */
async function learnPlates(tx: Tx, { plates }: RunState, run: Run): Promise<void> {
  const read = (of: "unit" | "part") =>
    plates
      .filter((plate) => plate.of === of)
      .reduce<Identity>((known, { identity }) => withIdentity(known, identity), {});
  const [ofUnit, ofPart] = [read("unit"), read("part")];
  const slot = (await listSlots(tx, run.homeId)).find(({ id }) => id === run.partId);
  const part = (await listParts(tx, run.homeId)).find(({ id }) => id === run.partId);
  const unit = (await listUnits(tx, run.homeId)).find(({ id }) => id === run.unitId);
  const has = (identity: Identity) => Object.keys(identity).length > 0;
  if (unit && has(ofUnit)) await updateUnit(tx, unitWithIdentity(unit, ofUnit));
  if (slot && has(ofPart))
    await updateSlot(tx, { ...slot, identity: withIdentity(slot.identity, ofPart) });
  if (part && has(ofPart))
    await updatePart(tx, { ...part, identity: withIdentity(part.identity, ofPart) });
}

type Learned = Partial<Pick<FilterSlot, "opening" | "nominal" | "direction" | "acrossMm">>;

function learnedOfSlot(state: RunState, slot: FilterSlot): Learned {
  const { size } = state.completed.findLast(({ seen }) => seen.size)?.seen ?? {};
  const { direction } = state.completed.findLast(({ seen }) => seen.direction)?.seen ?? {};
  const { acrossMm } = state.completed.findLast(({ seen }) => seen.acrossMm)?.seen ?? {};
  const opening = size ? readSize(size.opening, "in") : null;
  const buy = size?.buy === undefined ? null : readSize(size.buy, "in");
  return {
    ...(size && opening?.ok ? { opening: { text: size.opening, mm: opening.mm } } : {}),
    ...(buy?.ok && size?.buy !== undefined
      ? { nominal: { text: size.buy, mm: buy.mm, unit: buy.unit } }
      : {}),
    ...(direction && direction !== slot.direction ? { direction } : {}),
    ...(acrossMm !== undefined && acrossMm !== slot.acrossMm ? { acrossMm } : {}),
  };
}

/** What was written down to be kept with the part: which inhibitor, which marks. */
const keptWords = (state: RunState): Attributes =>
  Object.fromEntries(
    state.completed.flatMap(({ step: { records }, seen }) =>
      records?.kind === "words" && records.keep && seen.words
        ? [[records.keep, seen.words] as const]
        : [],
    ),
  );

/** Takes back what a run taught, where nobody has written something else since. */
async function unlearn(tx: Tx, run: Run): Promise<void> {
  const learned = await takeLearned(tx, run.id);
  if (!learned) return;
  const { before, after } = learned;
  const restore = <T extends object>(of: T): T => {
    const now = of as Record<string, unknown>;
    const same = (key: string) => isDeepStrictEqual(now[key], after[key]);
    const entries = Object.entries(before).filter(([key]) => same(key));
    const back = { ...now, ...Object.fromEntries(entries) };
    return Object.fromEntries(Object.entries(back).filter(([, value]) => value !== null)) as T;
  };
  const slot = (await listSlots(tx, run.homeId)).find(({ id }) => id === run.partId);
  if (slot) return updateSlot(tx, restore(slot));
  const part = (await listParts(tx, run.homeId)).find(({ id }) => id === run.partId);
  if (part) await updatePart(tx, { ...part, attributes: restore(part.attributes) });
}
