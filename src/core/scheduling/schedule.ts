import { systemOf } from "../filters/slot-wear";
import { partsOf, type Cadence, type DueTask } from "./trigger";
import { hoursOf } from "../filters/hours-away";
import { soonest } from "./due-calculator";
import { clockworkOf, occurrencesOf } from "./chain";
import { asDates, stateOn, type DueState } from "./due";
import {
  fromDay,
  readPlainDate,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import { GRADES, type Grade } from "../filters/belief";
import { DRIFTING_OUT, driftOf, REPLACE_WHEN } from "../readings/capacitor-drift";
import { ductCleanings } from "../history/duct-cleanings";
import { historyOf } from "../history/record";
import { readingsOf } from "../history/readings-taken";
import type { HistoryEvent, HomeBook, ScopedDriver, Unit } from "../inventory/inventory";
import type { Standing } from "../filters/filter-status";
import { LOOK, placeKey, RENEW, taskId, type PlannedTask } from "./task";

/** How a job stands, and the days of its coming rounds. */
export type TaskStanding = {
  task: PlannedTask;
  unit: Unit | null;
  opens: PlainDate | null;
  due: PlainDate | null;
  closes: PlainDate | null;
  state: DueState;
  /** What called for it: of several clocks the one that came first. */
  because: Cadence;
  lastDone: PlainDate | null;
  /** From when it is owed where it was never done. */
  since: PlainDate | null;
  /** That it was not possible the last time somebody tried, and nobody did it since. */
  putOff: PutOff | null;
  /** The days it is taken to be done, one after another; never before today. */
  ahead: PlainDate[];
  /** Why no day can be given, where what is stored of it is at odds with itself. */
  problem: string | null;
};

/** A try that came to nothing: when, why, and when to try again. */
export type PutOff = { on: PlainDate; words: string; until: PlainDate | null };

const knownPutOffs = new WeakMap<readonly HistoryEvent[], Map<string, HistoryEvent>>();

function putOffs({ events }: Pick<HomeBook, "events">): Map<string, HistoryEvent> {
  let last = knownPutOffs.get(events);
  if (last) return last;
  last = new Map();
  const gone = new Set(events.flatMap(({ corrects }) => corrects ?? []));
  for (const event of events)
    if (event.kind === "put-off" && !gone.has(event.id))
      last.set(taskId(event, event.taskKey ?? ""), event);
  knownPutOffs.set(events, last);
  return last;
}

function putOffOf(book: HomeBook, task: PlannedTask, lastDone: PlainDate | null): PutOff | null {
  const event = putOffs(book).get(task.id);
  if (!event || (lastDone !== null && lastDone >= event.date)) return null;
  return { on: event.date, words: event.words ?? "", until: event.until ?? null };
}

/** Whether somebody tried in vain and means to try again on a later day. */
export const isPutOff = ({ putOff }: Pick<TaskStanding, "putOff">, today: PlainDate): boolean =>
  putOff?.until != null && putOff.until > today;

/** An event that `after` cadences know: a look at a filter that showed grey or worse. */
export const GREY_LOOK = "grey-look";
const isGrey = (grade: Grade | undefined): boolean =>
  grade !== undefined && GRADES.indexOf(grade) >= GRADES.indexOf("grey");

const known = new WeakMap<readonly HistoryEvent[], Map<string, PlainDate>>();

/**
 * The last day of each job that is in the record, by place and key. What does not say which job it
 * was stands under its place alone.
 */
function lastDays({ events }: Pick<HomeBook, "events">): Map<string, PlainDate> {
  let days = known.get(events);
  if (days) return days;
  days = new Map<string, PlainDate>();
  const gone = new Set<string>();
  for (const { corrects } of events) if (corrects) gone.add(corrects);
  for (const event of events) {
    if (gone.has(event.id)) continue;
    for (const key of keysOf(event)) {
      const id = taskId(event, key);
      const before = days.get(id);
      if (!before || before < event.date) days.set(id, event.date);
    }
  }
  known.set(events, days);
  return days;
}

function keysOf({ kind, taskKey }: HistoryEvent): string[] {
  switch (kind) {
    case "done":
      return [taskKey ?? ""];
    case "fitted":
    case "cleaned":
      return [RENEW, LOOK];
    case "look":
      return [LOOK];
    default:
      return [];
  }
}

const latest = (...dates: (PlainDate | null | undefined)[]): PlainDate | null =>
  dates.reduce<PlainDate | null>(
    (last, date) => (date && (last === null || date > last) ? date : last),
    null,
  );

function lastDoneOf(
  book: HomeBook,
  task: PlannedTask,
  isMain: boolean,
  others: readonly PlannedTask[],
): PlainDate | null {
  const days = lastDays(book);
  const name = `${task.kind}:${task.key}`;
  const with_ = others.filter((other) => other.alsoDoes.includes(name));
  return latest(
    days.get(task.id),
    isMain ? days.get(taskId(task, "")) : null,
    ...with_.map((other) => days.get(other.id)),
  );
}

/** Whether a driver is about this unit, one of its parts, or the whole home. */
function concerns(driver: ScopedDriver, task: PlannedTask, unit: Unit | null): boolean {
  switch (driver.scope) {
    case "home":
      return true;
    case "room":
      return driver.roomId === unit?.roomId;
    case "system":
      return driver.systemId === unit?.systemId;
    case "part":
      return driver.partId === task.partId;
  }
}

function eventsFor(
  book: HomeBook,
  task: PlannedTask,
  around: readonly ScopedDriver[],
): DueTask["events"] {
  const drivers = around.flatMap((driver): DueTask["events"] => {
    const { kind, from, to } = driver;
    // Building work that goes on is no event yet: nothing follows before it ends.
    if (!from || (kind === "renovation" && !to)) return [];
    return [
      { kind, date: from, to: kind === "duct-cleaning" || kind === "moved-in" ? undefined : to },
    ];
  });
  const cleanings = ductCleanings(book).map((date) => ({
    kind: "duct-cleaning",
    date,
    to: undefined,
  }));
  const own = task.partId ? historyOf(book, task.partId) : [];
  // A look on the day of a change was at the filter that came out.
  const renewed = lastDays(book).get(taskId(task, RENEW)) ?? "";
  const looks = own.flatMap(({ kind, date, look }) =>
    kind === "look" && date > renewed && isGrey(look?.grade)
      ? [{ kind: GREY_LOOK, date, to: undefined }]
      : [],
  );
  return [...drivers, ...cleanings, ...looks, ...driftFor(book, task)];
}

/** The day by which a drifting capacitor is to be replaced, where somebody follows that school. */
function driftFor(book: HomeBook, task: PlannedTask): DueTask["events"] {
  const part = book.parts.find((each) => each.id === task.partId);
  const follows = part?.answers[REPLACE_WHEN.key] === REPLACE_WHEN.drifting;
  if (!follows || !partsOf(task.cadence).some(isOfDrift)) return [];
  const replaced = lastDays(book).get(task.id) ?? "";
  const drift = driftOf(
    book,
    readingsOf(book).filter(
      ({ event, taken }) =>
        event.partId === part?.id && taken.kind === "capacitor-uf" && event.date > replaced,
    ),
  );
  return drift ? [{ kind: DRIFTING_OUT, date: drift.by, to: undefined }] : [];
}

const isOfDrift = (cadence: Cadence): boolean =>
  cadence.kind === "after" && cadence.event === DRIFTING_OUT;

function readingsFor(book: HomeBook, task: PlannedTask): DueTask["readings"] {
  return readingsOf(book).flatMap(({ event, taken, judgement }) => {
    const isHere = event.partId
      ? event.partId === task.partId || (!task.partId && event.unitId === task.unitId)
      : event.unitId === task.unitId;
    if (!isHere) return [];
    // What was measured wrongly calls for a measurement, not for a part.
    const isWrong = taken.kind === "thermocouple-mv" && judgement.facts["side"] === "above";
    const verdict = isWrong ? ("watch" as const) : judgement.verdict;
    return [{ kind: taken.kind, date: event.date, verdict }];
  });
}

/**
 * From when a job is owed that was never done: since its machine is here, since it or its part was
 * entered, or since somebody made the job up.
 */
function owedSince(book: HomeBook, task: PlannedTask, unit: Unit | null): PlainDate | null {
  if (task.key === RENEW) return null;
  const part = book.parts.find((each) => each.id === task.partId);
  const home = unit ? undefined : book.home.enteredOn;
  return latest(unit?.fittedOn, unit?.enteredOn, part?.enteredOn, task.madeUpOn, home);
}

const countsHours = ({ cadence }: PlannedTask): boolean =>
  partsOf(cadence).some(({ kind }) => kind === "run-hours");

/** Everything the dates of a job follow from. */
export function dueTaskOf(
  book: HomeBook,
  task: PlannedTask,
  unit: Unit | null,
  standing: Standing | undefined,
  lastDone: PlainDate | null,
): DueTask {
  const system = unit ? systemOf(book, unit) : undefined;
  const since = owedSince(book, task, unit);
  const drivers = book.drivers.filter((driver) => concerns(driver, task, unit));
  return {
    cadence: task.cadence,
    lastDone: lastDone ?? undefined,
    since: since ?? undefined,
    climate: book.home.climate,
    actuals: book.actuals,
    equipment: system?.equipment,
    measured: system && countsHours(task) ? hoursOf(book, system, drivers) : [],
    // What took its place is taken to be new, until its own day is written down.
    manufactured: latest(readPlainDate(unit?.answers["made-on"] ?? ""), lastDone) ?? undefined,
    events: eventsFor(book, task, drivers),
    readings: readingsFor(book, task),
    wear: standing?.wear?.input,
  };
}

/** What a cadence cannot be counted by yet: a filter nobody saw fitted, a machine that never runs. */
function isCountable({ cadence, wear, equipment }: DueTask): boolean {
  if (cadence.kind === "wear") return wear !== undefined;
  return cadence.kind !== "run-hours" || equipment !== undefined;
}

/**
 * Every job of a home as it stands today, with its rounds up to `until`, each counted from the one
 * before. Jobs that nothing calls for are there too, without dates.
 */
export function agendaOf(
  book: HomeBook,
  tasks: readonly PlannedTask[],
  standings: readonly Standing[],
  today: PlainDate,
  until: PlainDate,
): TaskStanding[] {
  const units = new Map(book.units.map((unit) => [unit.id, unit]));
  const slots = new Map(standings.map((standing) => [standing.slot.id, standing]));
  const byUnit = new Map<string | undefined, PlannedTask[]>();
  const seen = new Set<string>();
  for (const task of tasks) byUnit.set(task.unitId, [...(byUnit.get(task.unitId) ?? []), task]);
  const [now, end] = [toDay(today), toDay(until)];
  return tasks.map((task): TaskStanding => {
    const unit = units.get(task.unitId ?? "") ?? null;
    const isMain = !seen.has(placeKey(task));
    seen.add(placeKey(task));
    const lastDone = lastDoneOf(book, task, isMain, byUnit.get(task.unitId) ?? []);
    const standing = slots.get(task.partId ?? "");
    const putOff = putOffOf(book, task, lastDone);
    const problem = task.isUnreadable ? UNREADABLE : null;
    const common = { task, unit, lastDone, putOff, problem, since: owedSince(book, task, unit) };
    const nothing = {
      ...common,
      because: task.cadence,
      opens: null,
      due: null,
      closes: null,
      state: "none" as const,
      ahead: [],
    };
    try {
      const dueTask = dueTaskOf(book, task, unit, standing, lastDone);
      if (task.isOff || !isCountable(dueTask)) return nothing;
      const work = clockworkOf(dueTask, now, end);
      const dates = work.now();
      return {
        ...common,
        ...asDates(dates),
        because: governing(dueTask, now, end),
        state: stateOn(dates, now),
        ahead: occurrencesOf(work, now, end).map(({ day }) => fromDay(day)),
      };
    } catch {
      // One entry at odds with itself must not take the page of a whole home down.
      return { ...nothing, problem: problem ?? NOT_COUNTED };
    }
  });
}

const UNREADABLE = "what was changed of it can’t be read; it comes round as usual. Set it again.";
const NOT_COUNTED = "no day can be worked out from what is stored of it. Look at its entries.";

/** Of a cadence made of several, the one whose due day comes first. */
function governing(task: DueTask, today: DayNumber, until: DayNumber): Cadence {
  const { cadence } = task;
  if (cadence.kind !== "earliest") return cadence;
  const dates = cadence.of.map((each) =>
    clockworkOf({ ...task, cadence: each }, today, until).now(),
  );
  const first = soonest(dates);
  return first === null ? cadence : cadence.of[first]!;
}

const BEFORE_ALL = "";
const AFTER_ALL = "9999-12-31";

/** Soonest due first; a filter nobody saw fitted before all, as it needs a word. */
export function bySoonestDue(a: TaskStanding, b: TaskStanding): number {
  const key = ({ due, task, lastDone }: TaskStanding) =>
    due ?? (task.key === RENEW && lastDone === null ? BEFORE_ALL : AFTER_ALL);
  return key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0;
}
