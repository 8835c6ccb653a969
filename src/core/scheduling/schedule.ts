import { apartOf } from "./apart";
import { systemOf } from "../filters/slot-wear";
import { partsOf, type Trigger, type DueTask } from "./trigger";
import { hoursOf } from "../filters/hours-away";
import { soonest, type Dates, type DueCalculator } from "./due-calculator";
import { dueCalculatorOf, occurrencesOf } from "./chain";
import { asDates, stateOn, type DueState } from "./due";
import {
  fromDay,
  readPlainDate,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import { GRADES, type Grade } from "../filters/belief";
import { firstTimes, isOwedAnew } from "./first-time";
import { jobHistoryOf, type JobHistory } from "./job-history";
import { YearTables } from "./year-tables";
import { DRIFTING_OUT, driftOf, REPLACE_WHEN } from "../readings/capacitor-drift";
import { ductCleanings } from "../history/duct-cleanings";
import type { ScopedDriver, Unit } from "../inventory/inventory";
import type { HistoryEvent } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";
import { NO_CALLS, type Call, type Calls } from "../noticed/calls";
import { judged, type JudgedReading } from "../history/readings-taken";
import type { WearStatus } from "../filters/wear-status";
import { calledByWeather, weatherOf, type WeatherWait } from "./weather-calls";
import { LOOK, placeKey, RENEW, type PlannedTask } from "./task";

/** How a job stands, and the days of its coming rounds. */
export type JobStatus = {
  task: PlannedTask;
  unit: Unit | null;
  /** What tells it from another job that reads the same; empty where none does. */
  apart: string[];
  opens: PlainDate | null;
  due: PlainDate | null;
  closes: PlainDate | null;
  state: DueState;
  /** What called for it: of several clocks the one that came first. */
  because: Trigger;
  lastDone: PlainDate | null;
  /** From when it is owed where it was never done. */
  since: PlainDate | null;
  /** Nobody knows when it was last done: its day is one in an order of calm. */
  isFirstTime: boolean;
  /** What brought it forward, where that governs its day. */
  called: Call | null;
  /** Its weather has not called for it yet: until then it has no day. */
  waits: WeatherWait | null;
  /** That it was not possible the last time somebody tried, and nobody did it since. */
  deferral: Deferral | null;
  /** The days it is taken to be done, one after another; never before today. */
  ahead: PlainDate[];
  /** Why no day can be given, where what is stored of it is at odds with itself. */
  problem: string | null;
};

/** A try that came to nothing: when, why, and when to try again. */
export type Deferral = { on: PlainDate; words: string; until: PlainDate | null };

/** What the record says of one unit: when each job was done, and what was measured. */
type UnitRecord = { jobs: JobHistory; readings: readonly JudgedReading[] };

/** What the dates of the jobs of a home follow from, sorted out once for all of them. */
export type ScheduleGrounds = {
  snapshot: HomeSnapshot;
  /** What the record says of a unit's jobs, or without one of the home's own. */
  recordOf: (unitId: string | undefined) => UnitRecord;
  cleanings: readonly PlainDate[];
  years: YearTables;
  /** What brings jobs forward. */
  calls: Calls;
};

/**
 * What the schedule of a home is worked out from beside its jobs: history by job, duct cleanings, the
 * year's tables.
 *
 * @param years of the home's climate, where somebody has them already
 * @param calls what brings jobs forward
 * @example scheduleGrounds(snapshot([])).cleanings // []
 */
export const scheduleGrounds = (
  snapshot: HomeSnapshot,
  years = new YearTables(snapshot.home.climate),
  calls = NO_CALLS,
): ScheduleGrounds => ({
  snapshot,
  calls,
  years,
  recordOf: recordsByUnit(snapshot),
  cleanings: ductCleanings(snapshot),
});

/**
 * What counts of a unit and of the parts it has now, whatever unit those stood in when it happened; or of
 * the home itself. The oldest of each place first.
 *
 * @example entriesOfUnit(snapshot([event("note", 0)]), "furnace").length // 1
 */
export function entriesOfUnit(
  { history, slots, parts }: Pick<HomeSnapshot, "history" | "slots" | "parts">,
  unitId: string | undefined,
): HistoryEvent[] {
  const here = [...slots, ...parts].filter((each) => each.unitId === unitId);
  return [
    ...history.ofUnit(unitId).filter(({ partId }) => partId === undefined),
    ...here.flatMap(({ id }) => history.ofPart(id)),
  ];
}

/** Each unit's record is read once, when one of its jobs first asks for it. */
function recordsByUnit(snapshot: HomeSnapshot): ScheduleGrounds["recordOf"] {
  const known = new Map<string | undefined, UnitRecord>();
  return (unitId) => {
    const before = known.get(unitId);
    if (before) return before;
    const entries = entriesOfUnit(snapshot, unitId);
    const readings = judged(entries.filter(({ kind }) => kind === "reading"));
    const record = { jobs: jobHistoryOf(entries), readings };
    known.set(unitId, record);
    return record;
  };
}

function deferralOf(
  history: JobHistory,
  task: PlannedTask,
  lastDone: PlainDate | null,
): Deferral | null {
  const event = history.deferral(task, task.key);
  if (!event || (lastDone !== null && lastDone >= event.date)) return null;
  return { on: event.date, words: event.words ?? "", until: event.until ?? null };
}

/**
 * Whether somebody tried in vain and means to try again on a later day.
 *
 * @example isDeferred({ deferral: { until: "2026-04-01" } }, "2026-03-14") // true
 */
export const isDeferred = ({ deferral }: Pick<JobStatus, "deferral">, today: PlainDate): boolean =>
  deferral?.until != null && deferral.until > today;

/** An event that `after` triggers know: a look at a filter that showed grey or worse. */
export const GREY_LOOK = "grey-look";
const isGrey = (grade: Grade | undefined): boolean =>
  grade !== undefined && GRADES.indexOf(grade) >= GRADES.indexOf("grey");

const latest = (...dates: (PlainDate | null | undefined)[]): PlainDate | null =>
  dates.reduce<PlainDate | null>(
    (last, date) => (date && (last === null || date > last) ? date : last),
    null,
  );

/** The days of everything that counts as a job: its own, its place’s where it is the main one there, and others’. */
function daysOf(
  day: JobHistory["lastDay"],
  task: PlannedTask,
  isMain: boolean,
  others: readonly PlannedTask[],
): (PlainDate | undefined | null)[] {
  const name = `${task.kind}:${task.key}`;
  const with_ = others.filter((other) => other.alsoDoes.includes(name));
  return [
    day(task, task.key),
    isMain ? day(task, "") : null,
    ...with_.map((other) => day(other, other.key)),
  ];
}

/** The last day on which was read what a job is there to read, in a run of its own or outside one. */
function lastRead({ recordOf }: ScheduleGrounds, { reads, unitId, partId }: PlannedTask) {
  if (!reads) return null;
  const { readings } = recordOf(unitId);
  return readings.findLast(
    ({ taken, event }) => taken.kind === reads && (!event.partId || event.partId === partId),
  )?.event.date;
}

/** The jobs that nobody is known to have done before they were entered, with the days they are due first. */
function firstTimesOf(
  { snapshot, recordOf }: ScheduleGrounds,
  tasks: readonly PlannedTask[],
  mainIds: ReadonlySet<string>,
  byUnit: ReadonlyMap<string | undefined, PlannedTask[]>,
): ReadonlyMap<string, Dates> {
  const units = new Map(snapshot.units.map((unit) => [unit.id, unit]));
  const parts = new Map(snapshot.parts.map((part) => [part.id, part]));
  const unknown = tasks.flatMap((task) => {
    if (task.isOff || task.isOwn || !isOwedAnew(task.trigger, task.isSafety)) return [];
    const unit = units.get(task.unitId ?? "");
    const entered = unit
      ? latest(unit.enteredOn, parts.get(task.partId ?? "")?.enteredOn)
      : (snapshot.home.enteredOn ?? null);
    if (entered === null) return [];
    const { firstDay } = recordOf(task.unitId).jobs;
    const isKnown = daysOf(
      firstDay,
      task,
      mainIds.has(task.id),
      byUnit.get(task.unitId) ?? [],
    ).some((day) => day && day < entered);
    return isKnown ? [] : [{ task, entered }];
  });
  return firstTimes(unknown);
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
  grounds: ScheduleGrounds,
  task: PlannedTask,
  nearby: readonly ScopedDriver[],
): DueTask["events"] {
  const drivers = nearby.flatMap((driver): DueTask["events"] => {
    const { kind, from, to } = driver;
    // Building work without an end is still going on, so no job that follows it is due yet.
    if (!from || (kind === "renovation" && !to)) return [];
    return [
      { kind, date: from, to: kind === "duct-cleaning" || kind === "moved-in" ? undefined : to },
    ];
  });
  const cleanings = grounds.cleanings.map((date) => ({
    kind: "duct-cleaning",
    date,
    to: undefined,
  }));
  const own =
    task.partId && partsOf(task.trigger).some(isOfGreyLook)
      ? grounds.snapshot.history.ofPart(task.partId)
      : [];
  // A look on the day of a change was at the filter that came out.
  const renewed = grounds.recordOf(task.unitId).jobs.lastDay(task, RENEW) ?? "";
  const looks = own.flatMap(({ kind, date, look }) =>
    kind === "look" && date > renewed && isGrey(look?.grade)
      ? [{ kind: GREY_LOOK, date, to: undefined }]
      : [],
  );
  return [...drivers, ...cleanings, ...looks, ...driftFor(grounds, task)];
}

const isOfGreyLook = (trigger: Trigger): boolean =>
  trigger.kind === "after" && trigger.event === GREY_LOOK;

/** The day by which a drifting capacitor is to be replaced, where somebody follows that strategy. */
function driftFor({ snapshot, recordOf }: ScheduleGrounds, task: PlannedTask): DueTask["events"] {
  const part = snapshot.parts.find((each) => each.id === task.partId);
  const follows = part?.attributes[REPLACE_WHEN.key] === REPLACE_WHEN.drifting;
  if (!follows || !partsOf(task.trigger).some(isOfDrift)) return [];
  const { jobs, readings } = recordOf(task.unitId);
  const replaced = jobs.lastDay(task, task.key) ?? "";
  const drift = driftOf(
    snapshot,
    readings.filter(
      ({ event, taken }) =>
        event.partId === part?.id && taken.kind === "capacitor-uf" && event.date > replaced,
    ),
  );
  return drift ? [{ kind: DRIFTING_OUT, date: drift.by, to: undefined }] : [];
}

const isOfDrift = (trigger: Trigger): boolean =>
  trigger.kind === "after" && trigger.event === DRIFTING_OUT;

/** What a part is done for once a look said so. */
const CLEAN = "clean";

const NO_DIRT: readonly string[] = ["iced", "oily"];

function readingsFor({ recordOf }: ScheduleGrounds, task: PlannedTask): DueTask["readings"] {
  if (!partsOf(task.trigger).some(({ kind }) => kind === "reading")) return [];
  return recordOf(task.unitId).readings.flatMap(({ event, taken, judgement }) => {
    const isElsewhere = event.partId && task.partId && event.partId !== task.partId;
    if (isElsewhere) return [];
    // A value on the impossible side of its band was measured wrongly: the job is to measure again, not to
    // replace a part.
    const isWrong = taken.kind === "thermocouple-mv" && judgement.facts["side"] === "above";
    // Ice and oil on a coil are no dirt: nothing is gained by washing it.
    const isNoDirt = taken.kind === "coil" && NO_DIRT.includes(String(taken.value));
    // What nobody can tell without its plate asks for no work.
    if (judgement.verdict === "unknown") return [];
    const verdict = isWrong || isNoDirt ? ("watch" as const) : judgement.verdict;
    return [{ kind: taken.kind, date: event.date, verdict }];
  });
}

/**
 * From when a job is owed that was never done: since its machine is here, since it or its part was
 * entered, or since somebody made the job up.
 */
function owedSince(snapshot: HomeSnapshot, task: PlannedTask, unit: Unit | null): PlainDate | null {
  if (task.key === RENEW) return null;
  const part = snapshot.parts.find((each) => each.id === task.partId);
  const home = unit ? undefined : snapshot.home.enteredOn;
  return latest(unit?.fittedOn, unit?.enteredOn, part?.enteredOn, task.madeUpOn, home);
}

const countsHours = ({ trigger }: PlannedTask): boolean =>
  partsOf(trigger).some(({ kind }) => kind === "run-hours");

/** How something that wears stands, by the id of its part: a filter's slot, a coil. */
export type WearByPart = ReadonlyMap<string, Pick<WearStatus, "wear">>;

/** Rounds are planned so far ahead, days: what wears longer has no day yet. */
const WEAR_HORIZON_DAYS = 1095;

/** The same trigger without what cannot be counted yet; null where nothing is left of it. */
function countable(trigger: Trigger, task: Omit<DueTask, "cadence">): Trigger | null {
  if (trigger.kind === "earliest") {
    const of = trigger.of.filter((each) => countable(each, task) !== null);
    return of.length > 0 ? { ...trigger, of } : null;
  }
  // A filter nobody saw fitted; a machine that never runs.
  if (trigger.kind === "wear") return task.wear ? trigger : null;
  return trigger.kind === "run-hours" && !task.equipment ? null : trigger;
}

/**
 * Everything the dates of a job follow from; null where nothing can be counted yet.
 *
 * @example dueTaskOf(scheduleGrounds(snapshot([])), { trigger: { kind: "wear" } }, unit, undefined, today) // null
 */
export function dueTaskOf(
  grounds: ScheduleGrounds,
  task: PlannedTask,
  unit: Unit | null,
  worn: Pick<WearStatus, "wear"> | undefined,
  lastDone: PlainDate | null,
): DueTask | null {
  const { snapshot, years } = grounds;
  const system = unit ? systemOf(snapshot, unit) : undefined;
  const since = owedSince(snapshot, task, unit);
  const drivers = snapshot.drivers.filter((driver) => concerns(driver, task, unit));
  const dueTask: Omit<DueTask, "cadence"> = {
    lastDone: lastDone ?? undefined,
    since: since ?? undefined,
    climate: snapshot.home.climate,
    actuals: snapshot.actuals,
    equipment: system?.equipment,
    measured: system && countsHours(task) ? hoursOf(snapshot, system, drivers) : [],
    // A replacement counts as new on the day it was fitted, until its own manufacturing day is known.
    manufactured: latest(readPlainDate(unit?.attributes["made-on"] ?? ""), lastDone) ?? undefined,
    events: eventsFor(grounds, task, drivers),
    readings: readingsFor(grounds, task),
    wear: worn?.wear ? { ...worn.wear.input, horizonDays: WEAR_HORIZON_DAYS } : undefined,
    years,
    ...(worn?.wear ? { wearDays: worn.wear } : {}),
  };
  const trigger = countable(task.trigger, dueTask);
  return trigger && { cadence: trigger, ...dueTask };
}

/**
 * Every job of a home as it stands today, with its rounds up to `until`, each counted from the one
 * before. Jobs that nothing calls for are there too, without dates.
 *
 * @param grounds of the same home, where somebody has them already
 * @param wanted the ids of those that are asked for, where it is not all of them: when the others were
 * done counts for them all the same
 * @example scheduleOf(snapshot([]), [], new Map(), today, day(60)) // []
 */
export function scheduleOf(
  snapshot: HomeSnapshot,
  tasks: readonly PlannedTask[],
  wornParts: WearByPart,
  today: PlainDate,
  until: PlainDate,
  grounds = scheduleGrounds(snapshot),
  wanted?: ReadonlySet<string>,
): JobStatus[] {
  const units = new Map(snapshot.units.map((unit) => [unit.id, unit]));
  const byUnit = new Map<string | undefined, PlannedTask[]>();
  const mainIds = new Set<string>();
  const seen = new Set<string>();
  for (const task of tasks) {
    byUnit.set(task.unitId, [...(byUnit.get(task.unitId) ?? []), task]);
    if (!seen.has(placeKey(task))) mainIds.add(task.id);
    seen.add(placeKey(task));
  }
  const firsts = firstTimesOf(grounds, tasks, mainIds, byUnit);
  const [now, end] = [toDay(today), toDay(until)];
  const statusOf = (task: PlannedTask): JobStatus => {
    const unit = units.get(task.unitId ?? "") ?? null;
    const { jobs } = grounds.recordOf(task.unitId);
    const others = byUnit.get(task.unitId) ?? [];
    const lastDone = latest(
      ...daysOf(jobs.lastDay, task, mainIds.has(task.id), others),
      lastRead(grounds, task),
    );
    const worn = wornParts.get(task.partId ?? "");
    const deferral = deferralOf(jobs, task, lastDone);
    const problem = task.isUnreadable ? UNREADABLE : null;
    const common = {
      task,
      unit,
      lastDone,
      deferral,
      problem,
      apart: apartOf(snapshot, task, unit, others),
      since: owedSince(snapshot, task, unit),
    };
    const nothing = {
      ...common,
      isFirstTime: false,
      because: task.trigger,
      called: null,
      waits: null,
      opens: null,
      due: null,
      closes: null,
      state: "none" as const,
      ahead: [],
    };
    try {
      const dueTask = dueTaskOf(grounds, task, unit, worn, lastDone);
      const call = openCall(grounds, task, lastDone);
      if (task.isOff || !(dueTask ?? call)) return nothing;
      const own = dueTask ? dueCalculatorOf(dueTask, now, end) : NEVER_DUE;
      const called = call ? datesOfCall(call) : null;
      const byCalendar = own.now();
      const calm = lastDone === null ? firsts.get(task.id) : undefined;
      const firstTime =
        calm && dueTask ? firstTimeOf(dueTask, calm, unit?.fittedOn, now, end) : null;
      const { dates: dueItself, waits } = byWeather(
        snapshot,
        task.trigger,
        firstTime ? soonerOf(firstTime, byCalendar) : byCalendar,
        now,
      );
      const isCalled = soonest([called, dueItself]) === 0;
      const dates = isCalled ? called : dueItself;
      const work = { ...own, now: () => dates };
      const waitsForWeather = weatherOf(task.trigger) !== null;
      return {
        ...common,
        ...asDates(dates),
        because: dueTask ? governing(dueTask, now, end) : task.trigger,
        isFirstTime: firstTime !== null && dates?.due === firstTime.due,
        called: isCalled ? call : null,
        waits: isCalled ? null : waits,
        state: stateOn(dates, now),
        ahead: waitsForWeather ? [] : occurrencesOf(work, now, end).map(({ day }) => fromDay(day)),
      };
    } catch {
      // A job whose entries contradict each other must not break the page of the whole home.
      return { ...nothing, problem: problem ?? NOT_COUNTED };
    }
  };
  return tasks.flatMap((task) => {
    if (wanted && !wanted.has(task.id)) return [];
    const cleaning = cleaningAfterLook(task, byUnit.get(task.unitId) ?? []);
    const status = statusOf(task);
    return cleaning ? lookFirst(status, statusOf(cleaning), today) : status;
  });
}

/** The cleaning by reckoned dust that a look at the same part comes before. */
const cleaningAfterLook = (
  task: PlannedTask,
  others: readonly PlannedTask[],
): PlannedTask | undefined =>
  task.key === LOOK && task.partId !== undefined
    ? others.find(
        ({ partId, key, trigger }) =>
          partId === task.partId &&
          key === CLEAN &&
          partsOf(trigger).some(({ kind }) => kind === "wear"),
      )
    : undefined;

/**
 * Dust is reckoned, and a look tells: where a part is to be cleaned before it is looked at next, the look is due by
 * then. One had since then is enough.
 */
function lookFirst(look: JobStatus, cleaning: JobStatus, today: PlainDate): JobStatus {
  const { due, opens, closes } = cleaning;
  if (look.task.isOff || look.problem || due === null || cleaning.called) return look;
  if (look.due !== null && look.due <= due) return look;
  if (look.lastDone !== null && look.lastDone >= due) return look;
  const first = due < today ? today : due;
  return {
    ...look,
    opens: opens !== null && (look.opens === null || opens < look.opens) ? opens : look.opens,
    ...{ due, closes, because: cleaning.because, isFirstTime: false },
    state: cleaning.state,
    ahead: [first, ...look.ahead.filter((day) => day > first)],
  };
}

/**
 * When a job of unknown past is due first: counted from the day its machine was fitted where that says later
 * than the order of calm; null where what it goes by begins with that day anyhow, as the dust on a coil does, or
 * where its day of make is known.
 */
function firstTimeOf(
  task: DueTask,
  calm: Dates,
  fittedOn: PlainDate | undefined,
  today: DayNumber,
  until: DayNumber,
): Dates | null {
  const goesBy = (kind: Trigger["kind"]) =>
    partsOf(task.cadence).some((each) => each.kind === kind);
  if (goesBy("wear") || (goesBy("age") && task.manufactured)) return null;
  if (!fittedOn) return calm;
  const fromNew = dueCalculatorOf({ ...task, since: fittedOn }, today, until).now();
  return fromNew?.due != null && fromNew.due > calm.due! ? fromNew : calm;
}

const soonerOf = (a: Dates, b: Dates | null): Dates => (b?.due != null && b.due < a.due! ? b : a);

/** What waits for its weather has no day before that. */
function byWeather(
  { actuals }: HomeSnapshot,
  trigger: Trigger,
  dates: Dates | null,
  today: DayNumber,
): { dates: Dates | null; waits: WeatherWait | null } {
  const weather = weatherOf(trigger);
  if (!weather || !dates || dates.due === null) return { dates, waits: null };
  const offsetDays = trigger.kind === "season" ? trigger.offsetDays : 0;
  const called = calledByWeather(
    weather,
    { ...dates, due: dates.due },
    { today, actuals, offsetDays },
  );
  return "for" in called ? { dates: null, waits: called } : { dates: called, waits: null };
}

const NEVER_DUE: DueCalculator = { now: () => null, after: () => null };

/** What was noticed is seen to within so many days. Our choice. */
const CALL_OPEN_DAYS = 7;
const datesOfCall = ({ on }: Call): Dates => {
  const day = toDay(on);
  return { opens: day, due: day, closes: day + CALL_OPEN_DAYS };
};

/** What calls for a job that was not done since. */
function openCall(
  { calls }: ScheduleGrounds,
  { id }: PlannedTask,
  lastDone: PlainDate | null,
): Call | null {
  const call = calls.get(id);
  return call && (lastDone === null || lastDone < call.on) ? call : null;
}

const UNREADABLE = "what was changed of it can’t be read; it comes round as usual. Set it again.";
const NOT_COUNTED = "no day can be worked out from what is stored of it. Look at its entries.";

/** Of a trigger made of several, the one whose due day comes first. */
function governing(task: DueTask, today: DayNumber, until: DayNumber): Trigger {
  const { cadence: trigger } = task;
  if (trigger.kind !== "earliest") return trigger;
  const dates = trigger.of.map((each) =>
    dueCalculatorOf({ ...task, cadence: each }, today, until).now(),
  );
  const first = soonest(dates);
  return first === null ? trigger : trigger.of[first]!;
}

const BEFORE_ALL = "";
const AFTER_ALL = "9999-12-31";

/**
 * Soonest due first; a filter nobody saw fitted before all, as it needs a word.
 *
 * @example bySoonestDue({ due: "2026-01-01", task: {} }, { due: "2026-02-01", task: {} }) // -1
 */
export function bySoonestDue(a: JobStatus, b: JobStatus): number {
  const key = ({ due, task, lastDone }: JobStatus) =>
    due ?? (task.key === RENEW && lastDone === null ? BEFORE_ALL : AFTER_ALL);
  return key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0;
}
