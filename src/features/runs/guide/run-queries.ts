import {
  readRun,
  listEventsOfRun,
  openBesideRun,
  listPhotosOfRun,
  type Photo,
  type Run,
} from "@/server/snapshots/beside";
import { leadsOf, type LeadWords } from "@/presentation/lead-words";
import type { SeenThere } from "@/core/readings/leads";
import { homeStatus, tasksNow } from "@/server/snapshots/snapshot-cache";
import "server-only";
import { englishOf, type English } from "@/content/english";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { stopsByUnit } from "@/server/snapshots/stops";
import { filterSummary, type FilterSummary } from "@/presentation/filter-status";
import { filterStatusesOf } from "@/server/snapshots/snapshot-cache";
import { unitKind } from "@/content/unit-kinds";
import { kindAtPlate } from "@/presentation/identity-words";
import { settingsAt } from "@/presentation/setting-words";
import { identityOfUnit } from "@/core/inventory/unit-plate";
import { hasDisplay, isCoAlarm } from "@/core/inventory/alarms";
import { bringOf } from "@/core/runs/procedure";
import { owedWhenBack } from "@/core/runs/run-ends";
import { leadOf } from "@/server/snapshots/job-facts";
import type { RunState } from "@/core/runs/run-state";
import { moneyFigure } from "@/core/quantities/money";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, inSentence } from "@/core/quantities/words";
import { bySoonestDue, isDeferred, type JobStatus } from "@/core/scheduling/schedule";
import type { FilterSlot, Part, Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { LOOK, taskId } from "@/core/scheduling/task";
import { isHeatingWeather } from "@/core/climate/climate";
import { readingFigure } from "@/core/readings/reading-units";
import { WORK_SEPARATOR } from "../step/seen";
import { homeNow, homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { roundToDo } from "@/core/planning/round-progress";
import { now, todayIn } from "@/lib/clock";
import type { OpenEnd } from "@/core/runs/loose-ends";
import { openEnds } from "../loose-ends/loose-ends-queries";
import type { RunInput } from "@/run-client/use-run";
import type { RunWith } from "./run-with";
import { tryAgainOn } from "@/core/runs/place-facts";

export type RunSheet = {
  run: Run;
  snapshot: HomeSnapshot;
  english: English;
  unit: Unit | undefined;
  part: Part | FilterSlot | undefined;
  slot: FilterSlot | undefined;
  state: RunState;
  input: RunInput;
  today: PlainDate;
  photos: Photo[];
  /** After the run: how its job stands now, and the filter, where it is one. */
  job: JobStatus | undefined;
  status: FilterSummary | undefined;
  /** What the run wrote and what counts of it. */
  written: HistoryEvent[];
  /** What is laid by for a season in the house. */
  parked: readonly OpenEnd[];
  /** What was seen on the way leads to. */
  leads: LeadWords[];
  /** What comes next: in the round it is done in, else at the same machine first. */
  next: JobStatus | undefined;
  /** The round it is done in: where its sheet is, and how many of its jobs are left. */
  round: { path: string; left: number; owed: string[] } | null;
};

/** A job this near is offered next, days. */
const NEXT_WITHIN = 30;

export async function runSheetOf(runId: string): Promise<RunSheet | null> {
  const found = await readRun(runId);
  const snapshot = found && (await homeSnapshot(found.run.homeId));
  if (!found || !snapshot) return null;
  const { run, job: input, events, state } = found;
  const unit = snapshot.units.find(({ id }) => id === run.unitId);
  const slot = snapshot.slots.find(({ id }) => id === run.partId);
  const part = slot ?? snapshot.parts.find(({ id }) => id === run.partId);
  if ((run.unitId && !unit) || (run.partId && !part)) return null;
  const today = todayIn(snapshot.home.timeZone);
  const place = { unitId: run.unitId ?? undefined, partId: run.partId ?? undefined };
  const schedule = scheduleNow(snapshot, today);
  const own = taskId(place, run.taskKey);
  const isOver = run.endedAt !== null;
  const round = await roundOf(run, snapshot, schedule, own);
  const written = isOver ? await listEventsOfRun(runId) : [];
  return {
    run,
    snapshot,
    english: englishOf(snapshot.home),
    unit,
    part,
    slot,
    // A run that ended under an earlier library may not replay to its end with this one. Its stored end
    // counts all the same.
    state: isOver && state.status === "going" ? { ...state, status: "finished" } : state,
    input: {
      runId,
      job: input,
      events,
      serverNow: now().toISOString(),
      beside: isOver ? [] : await openBesideRun(run.homeId, runId, now()),
      stopped: isOver ? undefined : stopsByUnit(snapshot, today, runId).get(run.unitId ?? ""),
    },
    today,
    photos: await listPhotosOfRun(runId),
    job: schedule.find(({ task }) => task.id === own),
    status: (slot && filterSummary(homeStatus(snapshot, today), slot.id)) ?? undefined,
    written: written.filter(
      ({ id, kind }) => kind !== "withdrawn" && !snapshot.history.isSuperseded(id),
    ),
    parked: (await openEnds(run.homeId)).parked,
    leads: leadsOf([...written, ...answersOf(run, state)], snapshot, tasksNow(snapshot)),
    next: round ? round.next : nextOf(schedule, own, unit, today),
    round: round && { path: round.path, left: round.left, owed: round.owed },
  };
}

/**
 * The round a run is done in, while that is going on: what is left of it beside this job, and what the jobs
 * before it at the same machine wanted to see once its power is back.
 */
async function roundOf(
  { inRound, homeId, unitId }: Run,
  snapshot: HomeSnapshot,
  schedule: readonly JobStatus[],
  own: string,
): Promise<{ path: string; left: number; owed: string[]; next: JobStatus | undefined } | null> {
  const { year, home } = snapshot;
  const entry = year.rounds.find(({ id, endedAt }) => id === inRound?.round && !endedAt);
  if (!entry) return null;
  const begun = new Set((await homeNow(homeId))?.going.map(({ task }) => task));
  const left = roundToDo(entry, schedule, home.timeZone).filter(({ task }) => task.id !== own);
  const isLast = (inRound?.taken.length ?? 0) > 0 && inRound?.left.length === 0;
  const before = schedule.filter(
    ({ task }) =>
      task.unitId === unitId &&
      task.id !== own &&
      entry.order.includes(task.id) &&
      !left.some((job) => job.task.id === task.id),
  );
  return {
    owed: isLast
      ? before.flatMap(({ task }) => {
          const lead = leadOf(snapshot, task);
          return lead ? owedWhenBack(lead.procedure, lead.setting) : [];
        })
      : [],
    path: `/homes/${homeId}/year/${entry.day}/${entry.person}`,
    left: left.length,
    next: left.find(({ task }) => !begun.has(task.id)) ?? left[0],
  };
}

/** What was answered on the way that is no reading. */
const answersOf = (run: Run, { completed }: RunState): SeenThere[] =>
  completed.flatMap(({ step, seen: { choice } }) =>
    choice === undefined
      ? []
      : {
          procedure: run.procedureId,
          step: step.id,
          word: choice,
          ...(run.unitId ? { unitId: run.unitId } : {}),
          ...(run.partId ? { partId: run.partId } : {}),
        },
  );

/** The most pressing job after this one that the person at work may do: at the same machine, else anywhere. */
function nextOf(
  schedule: readonly JobStatus[],
  own: string,
  unit: Unit | undefined,
  today: PlainDate,
): JobStatus | undefined {
  const until = addDays(today, NEXT_WITHIN);
  const near = schedule
    .filter(
      (job) =>
        job.task.id !== own &&
        job.task.who !== "licensed" &&
        job.due !== null &&
        job.due <= until &&
        !isDeferred(job, today),
    )
    .sort(bySoonestDue);
  return near.find((job) => job.unit?.id === unit?.id) ?? near[0];
}

export const runTitle = ({ unit, part, run }: RunSheet): string =>
  unit
    ? [unit.name, part && inSentence(part.name)].filter(Boolean).join(", ")
    : run.procedure.title;

/** As one writes it on a frame: with the year. */
const todayWords = (today: PlainDate): string =>
  `${dayAndMonth(today, today)} ${today.slice(0, 4)}`;

/** What the screen of a run knows beside the run. */
export function runWith(sheet: RunSheet): RunWith {
  const { run, snapshot: book, unit, part, slot, today, photos } = sheet;
  const { home } = book;
  const named = (units: readonly Unit[]) =>
    units.map(({ id, name }) => ({ value: id, label: name }));
  const { consumables } = bringOf(run.procedure, { facts: run.facts, variant: run.variant });
  const filters = [...filterStatusesOf(book, today)].sort(
    (a, b) => (b.wear?.percentNow ?? 0) - (a.wear?.percentNow ?? 0),
  );
  return {
    homeId: home.id,
    identity: { unit: unit ? identityOfUnit(unit) : {}, part: part?.identity ?? {} },
    kindOfPart: kindAtPlate(slot, part && "kind" in part ? part : undefined),
    settings: settingsAt(book, sheet.parked),
    unit,
    slot,
    title: runTitle(sheet),
    dateToday: todayWords(today),
    today,
    tryAgain: tryAgainOn(today),
    system: home.unitSystem,
    currency: home.currency,
    places: {
      filters: filters.map(({ unit: of, slot: each }) => ({
        value: each.id,
        label: `${of.name}, ${inSentence(each.name)}`,
        unit: of.id,
      })),
      machines: named(
        book.units.filter(({ kind, setUpStep }) => unitKind(kind).runs && !setUpStep),
      ),
      alarms: book.units.flatMap(({ id, name, kind }) =>
        isCoAlarm(kind) ? [{ value: id, label: name, hasDisplay: hasDisplay(book, id) }] : [],
      ),
    },
    contacts: book.contacts,
    rules: home.localRules,
    hasGas:
      run.procedure.gas === true || unit?.shutOffs.some(({ kind }) => kind === "gas-cock") === true,
    photos: photos.map(({ id }) => id),
    startedAt: run.startedAt,
    ...aroundIt(sheet),
    seenAt: {
      kind: unit?.kind,
      partKind: part && "kind" in part ? part.kind : undefined,
      isHeatingWeather: isHeatingWeather(home.climate, today),
    },
    finish: { cost: costOf(slot, home.currency), consumables },
  };
}

/** What is known of the machine and its air that steps help with. */
function aroundIt({
  run,
  snapshot,
  unit,
  today,
}: RunSheet): Pick<
  RunWith,
  "ratedBefore" | "school" | "works" | "ticks" | "position" | "radiatorLitres" | "ductRuns"
> {
  const { home, units, parts, levels, history } = snapshot;
  const ofItsAir = units.filter(({ systemId }) => systemId === unit?.systemId);
  const isNear = (unitId: string | undefined) => ofItsAir.some(({ id }) => id === unitId);
  const ratedBefore: RunWith["ratedBefore"] = {};
  for (const { event, taken } of history.readings) {
    const { kind, rated } = taken;
    if (rated === undefined || (event.unitId !== run.unitId && !isNear(event.unitId))) continue;
    const figures = typeof rated === "number" ? [rated] : [rated.min, rated.max];
    ratedBefore[kind] = figures.map((each) =>
      each === undefined ? "" : readingFigure(kind, each, home.unitSystem),
    );
  }
  const litres = parts.flatMap(({ unitId, kind, attributes }) =>
    unitId === run.unitId && kind === "radiator" ? Number(attributes["litres"] ?? NaN) : [],
  );
  const known = litres.filter((each) => Number.isFinite(each) && each > 0);
  return {
    ratedBefore,
    school: home.capacitorStrategy ?? "label",
    works: worksOf(snapshot, run.unitId, today),
    ticks: ticksOf(snapshot, run),
    position: (ofItsAir.find(({ attributes }) => attributes["position"]) ?? unit)?.attributes[
      "position"
    ],
    radiatorLitres: known.length > 0 ? known.reduce((sum, each) => sum + each, 0) : null,
    ductRuns: parts.flatMap(({ unitId, kind, name, attributes }) => {
      const lengthM = Number(attributes["length"] ?? NaN);
      if (!isNear(unitId) || !DUCT_RUNS.includes(kind) || !(lengthM > 0)) return [];
      const of = units.find(({ id }) => id === unitId);
      const level = levels.find(({ id }) => id === of?.levelId)?.storey ?? 0;
      return [{ name, lengthM, level }];
    }),
  };
}
const DUCT_RUNS = ["supply-run", "return-run", "trunk"];

/** What can be ticked at a job that is done at all parts of a kind together: those parts, told apart by their rooms. */
function ticksOf({ parts, rooms }: HomeSnapshot, run: RunSheet["run"]): RunWith["ticks"] {
  const own = parts.find(({ id }) => id === run.partId);
  const alike = own
    ? parts.filter(({ kind, unitId }) => kind === own.kind && unitId === own.unitId)
    : [];
  if (!own || alike.length === 0) return {};
  return {
    [own.kind]: alike.map(({ id, name, kind, place, roomId }) => {
      const where = [rooms.find((room) => room.id === roomId)?.name, place]
        .filter(Boolean)
        .join(", ");
      return {
        value: `${id}${WORK_SEPARATOR}${kind}:${run.taskKey}`,
        label: name,
        ...(where ? { hint: where } : {}),
      };
    }),
  };
}

/** The jobs of a machine and its parts that are for licensed people, those that are due first. */
export function worksOf(
  snapshot: HomeSnapshot,
  unitId: string | null,
  today: PlainDate,
): RunWith["works"] {
  return scheduleNow(snapshot, today)
    .filter(
      ({ task }) =>
        unitId !== null &&
        task.unitId === unitId &&
        task.partId !== undefined &&
        !task.isOff &&
        task.key !== LOOK,
    )
    .sort(
      (a, b) =>
        Number(b.task.who === "licensed") - Number(a.task.who === "licensed") || bySoonestDue(a, b),
    )
    .map(({ task, due }) => ({
      value: `${task.partId}${WORK_SEPARATOR}${task.kind}:${task.key}`,
      label: task.name,
      ...(due ? { hint: `due ${dayAndMonth(due, today)}` } : {}),
    }));
}

const costOf = (slot: FilterSlot | undefined, currency: string): string =>
  slot?.priceMinor === undefined ? "" : moneyFigure(slot.priceMinor * slot.filterCount, currency);
