import { addDays, daysFrom, isoWeekday, type PlainDate } from "../quantities/plain-date";
import {
  SAFETY_CRITICALITY,
  type Crew,
  type Evaluation,
  type Occurrence,
  type PlanConflict,
  type PlanInput,
  type PlanTask,
} from "./plan-schema";

type Input = { input: PlanInput; occurrences: readonly Occurrence[] };
type Window = { opens: PlainDate | null; due: PlainDate | null; closes: PlainDate | null };

/** Candidates reach so many days past the horizon. */
const PAST_HORIZON_DAYS = 84;
const HOURS_A_DAY = 24;
/** Moved further than this an occurrence is simply another, days. */
const MOST_MOVED_DAYS = 28;
const MOVED_AT_ALL_DAYS = 14;

const centi = (minutes: number): number => Math.floor(minutes * 100 + 0.5);
/** A quotient of whole numbers, half up. */
const divided = (numerator: number, denominator: number): number =>
  Math.floor((2 * numerator + denominator) / (2 * denominator));

const latest = (a: PlainDate, b: PlainDate): PlainDate => (a > b ? a : b);

/** The window of the one after a task was done on a day; null past the horizon. */
function windowAfter({ windows }: PlanTask, day: PlainDate, horizonEnd: PlainDate): Window | null {
  if (day > horizonEnd) return null;
  const row = daysFrom(windows.from, day);
  return {
    opens: windows.opens[row] ?? null,
    due: windows.due[row] ?? null,
    closes: windows.closes[row] ?? null,
  };
}

const isExcepted = ({ days }: Crew, day: PlainDate): boolean =>
  !Array.isArray(days) &&
  days.except.some((each) =>
    typeof each === "string" ? each === day : each.from <= day && day <= each.to,
  );

const isLiked = ({ preferred }: Crew, day: PlainDate): boolean =>
  preferred.length === 0 || preferred.includes(isoWeekday(day));

/** The days of a crew by its own list or rule, before pins and locked rounds are added. */
function ownDays({ days }: Crew, { today, horizonEnd }: PlanInput, crew: Crew): PlainDate[] {
  if (Array.isArray(days)) return days.filter((day) => day >= today);
  const all = daysFrom(today, horizonEnd) + PAST_HORIZON_DAYS + 1;
  return Array.from({ length: all }, (_, i) => addDays(today, i)).filter(
    (day) => days.weekdays.includes(isoWeekday(day)) && !isExcepted(crew, day),
  );
}

type Round = { crew: Crew; home: string; day: PlainDate; tasks: PlanTask[]; returns: PlanTask[] };

/**
 * What a set of occurrences costs, who is late and what cannot be so, by the rules of the plan and from the
 * input alone: whatever searched for it had no hand in this. Costs are centi-minutes.
 *
 * @source docs/sources.md#rounds
 * @example evaluate({ input: planInput.parse(smallPlan), occurrences: [] }).cost.total // 0
 */
export function evaluate({ input, occurrences }: Input): Evaluation {
  const { today, horizonEnd, cost, tasks } = input;
  const yesterday = addDays(today, -1);
  const homeOf = new Map(input.units.map(({ id, home }) => [id, home]));
  const crewOf = new Map(input.crews.map((crew) => [crew.id, crew]));
  const locked = input.lockedRounds.filter(({ day }) => day >= today);
  const roundKey = (crew: string, home: string, day: PlainDate) =>
    JSON.stringify([day, crew, home]);
  const isLocked = new Set(locked.map(({ crew, home, day }) => roundKey(crew, home, day)));
  const conflicts: { order: number; conflict: PlanConflict }[] = [];
  const overdue: Evaluation["overdue"] = [];
  const sums = { setup: 0, callOut: 0, powerDown: 0, early: 0, late: 0, stability: 0 };

  const candidates = new Map(
    input.crews.map((crew) => [crew.id, new Set(ownDays(crew, input, crew))] as const),
  );
  for (const { crew, day } of locked) candidates.get(crew)!.add(day);
  const ableFor = (task: PlanTask) => [...new Set([task.crew, ...task.others])];
  const goodPins = input.pins.filter((pin) => {
    const task = tasks.find(({ id }) => id === pin.task)!;
    const isPast = pin.day < today || pin.day <= task.lastDone;
    if (!isPast) for (const crew of ableFor(task)) candidates.get(crew)!.add(pin.day);
    else
      conflicts.push({
        order: tasks.indexOf(task),
        conflict: { kind: "pin-past", task: pin.task, day: pin.day },
      });
    return !isPast;
  });

  const rounds = new Map<string, Round>();
  const light: { crew: Crew; home: string; day: PlainDate; task: PlanTask }[] = [];
  const roundAt = (crew: Crew, home: string, day: PlainDate): Round => {
    const key = roundKey(crew.id, home, day);
    const known = rounds.get(key) ?? { crew, home, day, tasks: [], returns: [] };
    rounds.set(key, known);
    return known;
  };
  for (const { crew, home, day } of locked) roundAt(crewOf.get(crew)!, home, day);

  const published = input.previous.filter(({ day }) => day >= today);
  const lastPublished = published.reduce<PlainDate | "">(
    (last, { day }) => (day > last ? day : last),
    "",
  );

  tasks.forEach((task, order) => {
    const home = homeOf.get(task.unit)!;
    const able = ableFor(task);
    const ableDays = new Set(able.flatMap((crew) => [...candidates.get(crew)!]));
    const report = (kind: PlanConflict["kind"], day: PlainDate) =>
      conflicts.push({ order, conflict: { kind, task: task.id, day } });
    const given = occurrences
      .filter(({ task: id }) => id === task.id)
      .sort((a, b) => compare(a.day, b.day));
    const byDay = new Map<PlainDate, string>();
    for (const { day, crew } of given)
      if (byDay.has(day)) report("twice", day);
      else byDay.set(day, crew ?? task.crew);
    const days = [...byDay.keys()];
    const pins = goodPins.filter(({ task: id }) => id === task.id).map(({ day }) => day);
    for (const pin of new Set(pins)) if (!days.includes(pin)) report("pin-missed", pin);
    const isAllowed = (day: PlainDate) =>
      task.allowed?.some(({ from, to }) => from <= day && day <= to) ?? true;

    // What hangs on others’ rounds costs nothing, whenever it is; only its minutes count.
    if (task.light && pins.length === 0) {
      for (const [day, by] of byDay) {
        if (!candidates.get(by)!.has(day)) report("off-day", day);
        if (!isAllowed(day)) report("not-allowed", day);
        light.push({ crew: crewOf.get(by)!, home, day, task });
      }
      return;
    }

    const wasted = centi(task.handsOn) + centi(task.consumable * cost.minutesPerMoney);
    const weight = centi(task.criticality);
    const lateDay = centi(cost.lateDay);
    let before = task.lastDone;
    let window: Window | null =
      task.first === undefined ? windowAfter(task, before, horizonEnd) : task.first;
    for (const [day, by] of byDay) {
      roundAt(crewOf.get(by)!, home, day).tasks.push(task);
      if (by !== task.crew) sums.setup += centi(cost.otherCrew);
      const isPinned = pins.includes(day);
      if (!candidates.get(by)!.has(day)) report("off-day", day);
      if (!isAllowed(day)) report(isPinned ? "pin-not-allowed" : "not-allowed", day);
      if (window?.opens && day < window.opens)
        report(isPinned ? "pin-before-opens" : "before-opens", day);
      if (window?.due) {
        const { due, closes } = window;
        if (day < due) sums.early += divided(wasted * daysFrom(day, due), daysFrom(before, due));
        const from = latest(due, yesterday);
        const until = closes === null ? null : latest(closes, yesterday);
        const end = until !== null && until < day ? until : day;
        const half = Math.max(0, daysFrom(from, end));
        const whole = until === null ? 0 : Math.max(0, daysFrom(until, day));
        // weight · (lateDay · (whole + half / 2) + whole² / lateSquare), in one quotient.
        sums.late += divided(
          weight * (lateDay * (2 * whole + half) * cost.lateSquare + 200 * whole * whole),
          200 * cost.lateSquare,
        );
        if (closes !== null && day > closes) {
          overdue.push({ task: task.id, day, days: daysFrom(closes, day) });
          const from = latest(window.opens ?? today, latest(addDays(before, 1), today));
          const isInTime = [...ableDays].some(
            (each) => from <= each && each <= closes && isAllowed(each),
          );
          if (task.criticality >= SAFETY_CRITICALITY && isInTime && !isPinned)
            report("late-safety", day);
        }
      }
      const own = published.filter(({ task: id }) => id === task.id);
      if (own.length > 0 && day <= lastPublished) {
        const moved = Math.min(
          MOST_MOVED_DAYS,
          ...own.map(({ day: was }) => Math.abs(daysFrom(was, day))),
        );
        if (moved > 0)
          sums.stability += divided(
            centi(cost.stability) * (moved + MOVED_AT_ALL_DAYS),
            MOST_MOVED_DAYS,
          );
      }
      before = day;
      window = windowAfter(task, day, horizonEnd);
    }
    const pinAhead = pins.some((pin) => pin > before);
    if (window?.due && (window.due <= horizonEnd || pinAhead)) {
      const { opens, due } = window;
      const isPossible = [...ableDays].some(
        (day) => day > before && (opens === null || day >= opens) && isAllowed(day),
      );
      report(isPossible ? "missing" : "no-day", latest(due, today));
    }
  });

  // Second errands go where a round is already, else where the crew would rather have one.
  const withTasks = [...rounds.values()];
  for (const { crew, home, day, tasks: done } of withTasks)
    for (const task of done) {
      if (!task.returns) continue;
      const first = Math.ceil(task.returns.minHours / HOURS_A_DAY);
      const last = Math.max(first, Math.floor(task.returns.maxHours / HOURS_A_DAY));
      const span = Array.from({ length: last - first + 1 }, (_, i) => addDays(day, first + i));
      const there = span.find((each) =>
        withTasks.some((round) => round.crew === crew && round.home === home && round.day === each),
      );
      const free = span.filter((each) => !isExcepted(crew, each));
      const on = there ?? free.find((each) => isLiked(crew, each)) ?? free[0] ?? span[0]!;
      roundAt(crew, home, on).returns.push(task);
    }

  const publishedRounds = new Set(
    published.map(({ task: id, day, crew }) => {
      const task = tasks.find((each) => each.id === id)!;
      return roundKey(crew ?? task.crew, homeOf.get(task.unit)!, day);
    }),
  );
  const technicianDays = new Set<string>();
  const minutesIn = new Map<string, { crew: Crew; home?: string; day: PlainDate; centi: number }>();
  const addMinutes = (crew: Crew, home: string, day: PlainDate, more: number) => {
    const isOfHome = crew.capScope === "home-day";
    const scope = JSON.stringify([crew.id, isOfHome ? home : null, day]);
    const sum = minutesIn.get(scope) ?? { crew, ...(isOfHome ? { home } : {}), day, centi: 0 };
    sum.centi += more;
    minutesIn.set(scope, sum);
  };
  for (const [key, { crew, home, day, tasks: done, returns }] of rounds) {
    const isFree = isLocked.has(key);
    if (crew.kind === "owner" && !isFree)
      sums.setup += centi(cost.setup) + (isLiked(crew, day) ? 0 : centi(cost.weekday));
    if (crew.kind === "technician" && !isFree) {
      sums.callOut += centi(cost.visit);
      technicianDays.add(JSON.stringify([crew.id, day]));
    }
    const off = new Set(done.filter(({ powerOff }) => powerOff).map(({ unit }) => unit));
    sums.powerDown += off.size * centi(cost.powerDown);
    if (done.length > 0 && !isFree && day <= lastPublished && !publishedRounds.has(key))
      sums.stability += centi(cost.newRound);
    const inRound =
      done.reduce((all, task) => all + centi(task.handsOn), 0) +
      returns.reduce((all, task) => all + centi(task.returns!.minutes), 0);
    addMinutes(crew, home, day, inRound);
  }
  for (const { crew, home, day, task } of light) addMinutes(crew, home, day, centi(task.handsOn));
  for (const { crew, day } of locked) technicianDays.delete(JSON.stringify([crew, day]));
  sums.callOut += technicianDays.size * centi(cost.callOut);
  for (const { crew, home, day, centi: sum } of minutesIn.values())
    if (sum > centi(crew.capMinutes))
      conflicts.push({
        order: tasks.length + input.crews.indexOf(crew),
        conflict: { kind: "over-cap", crew: crew.id, ...(home === undefined ? {} : { home }), day },
      });

  const total = Object.values(sums).reduce((all, each) => all + each, 0);
  const orderOf = new Map(tasks.map(({ id }, i) => [id, i]));
  return {
    cost: { total, ...sums },
    overdue: overdue.sort(
      (a, b) => compare(a.day, b.day) || orderOf.get(a.task)! - orderOf.get(b.task)!,
    ),
    conflicts: conflicts
      .sort((a, b) => compare(a.conflict.day ?? "", b.conflict.day ?? "") || a.order - b.order)
      .map(({ conflict }) => conflict),
  };
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
