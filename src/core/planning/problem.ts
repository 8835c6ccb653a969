import {
  isoWeekday,
  fromDay,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import { SAFETY_CRITICALITY, type PlanInput } from "./plan-schema";

/**
 * A plan to be searched, in whole numbers: days counted from today, centi-minutes, tasks, units, crews and
 * homes by their place in the input. Days reach past the horizon, as an occurrence may.
 */
export type Problem = {
  /** How many days there are, and the last on which a next occurrence follows. */
  days: number;
  horizon: number;
  tasks: ProblemTask[];
  crews: ProblemCrew[];
  homes: number;
  units: number;
  cost: {
    setup: number;
    weekday: number;
    powerDown: number;
    callOut: number;
    visit: number;
    lateDay: number;
    lateSquare: number;
    stability: number;
    newRound: number;
    otherCrew: number;
  };
  /** By round: locked ones, and those that were published. */
  locked: Set<number>;
  published: Set<number>;
  /** The last published day; -1 where nothing was published. */
  lastPublished: number;
  roundOf: (crew: number, home: number, day: number) => number;
};

export type ProblemCrew = {
  isOwner: boolean;
  cap: number;
  isCapOfDay: boolean;
  /** By day: one on which it may come, one it likes, one that its rule leaves out. */
  isCandidate: Uint8Array;
  isLiked: Uint8Array;
  isExcepted: Uint8Array;
  /** Days worth trying: liked ones, pinned, locked and published ones. */
  tried: number[];
  /** By day: a locked round somewhere frees the call-out. */
  isCalledOut: Uint8Array;
};

/** A bound that is not there: no day is later, and none earlier. */
export const NO_DAY = 1_000_000;

export type ProblemWindow = { opens: number; due: number; closes: number };

export type ProblemTask = {
  unit: number;
  home: number;
  /** Who may do it, its own crew first. */
  crews: number[];
  /** It is not searched for, but hung on what was found. */
  isLight: boolean;
  /** It is never late while there is a day in its window. */
  isSafety: boolean;
  handsOn: number;
  powerOff: boolean;
  returns: { first: number; last: number; minutes: number } | null;
  /** What early renewal wastes of, and by how much lateness weighs. */
  wasted: number;
  weight: number;
  lastDone: number;
  first: ProblemWindow | null;
  /** The window of the one after, by the day it is done. */
  opens: Int32Array;
  due: Int32Array;
  closes: Int32Array;
  isAllowed: Uint8Array | null;
  /** In order; each is kept. */
  pins: number[];
  /** Where it was published; in order. */
  published: number[];
};

const PAST_HORIZON_DAYS = 84;
const HOURS_A_DAY = 24;
const centi = (minutes: number): number => Math.floor(minutes * 100 + 0.5);

/** From this share of their room on liked days are crowded. */
const CROWDED_SHARE = 0.6;

/** About how often a task comes round up to the horizon. */
const timesOf = ({ due, first }: ProblemTask, horizon: number): number =>
  first === null || due[0] === NO_DAY || due[0] === undefined
    ? 0
    : (horizon + 1) / Math.max(1, due[0]);

/**
 * An input as the search reads it.
 *
 * @example problemOf(planInput.parse(smallPlan)).tasks.length // 1
 */
export function problemOf(input: PlanInput): Problem {
  const start = toDay(input.today);
  const at = (date: PlainDate): number => toDay(date) - start;
  const horizon = at(input.horizonEnd);
  const listed = input.crews.flatMap(({ days }) => (Array.isArray(days) ? days.map(at) : []));
  const far = [...input.pins, ...input.lockedRounds].map(({ day }) => at(day));
  // A second errand may follow the last day of all.
  const back = input.tasks.map(({ returns }) =>
    returns
      ? Math.ceil(returns.minHours / HOURS_A_DAY) + Math.ceil(returns.maxHours / HOURS_A_DAY)
      : 0,
  );
  const days = Math.max(horizon + PAST_HORIZON_DAYS, ...listed, ...far) + Math.max(0, ...back) + 1;
  const homes = [...new Set(input.units.map(({ home }) => home))];
  const crewAt = new Map(input.crews.map(({ id }, i) => [id, i]));
  const unitAt = new Map(input.units.map(({ id }, i) => [id, i]));
  const homeAt = new Map(homes.map((home, i) => [home, i]));
  const homeOfUnit = input.units.map(({ home }) => homeAt.get(home)!);
  const roundOf = (crew: number, home: number, day: number) =>
    (crew * homes.length + home) * days + day;

  const tasks = input.tasks.map((task): ProblemTask => {
    const unit = unitAt.get(task.unit)!;
    const lastDone = at(task.lastDone);
    const rows = at(task.windows.from);
    const table = (dates: readonly (PlainDate | null)[]) =>
      Int32Array.from({ length: horizon + 1 }, (_, day) => {
        const date = dates[day - rows];
        return date ? at(date) : NO_DAY;
      });
    const windowAt = (row: number): ProblemWindow => {
      const read = (dates: readonly (PlainDate | null)[], none: number) => {
        const date = dates[row - rows];
        return date ? at(date) : none;
      };
      return {
        opens: read(task.windows.opens, -NO_DAY),
        due: read(task.windows.due, NO_DAY),
        closes: read(task.windows.closes, NO_DAY),
      };
    };
    const first =
      task.first === undefined
        ? lastDone > horizon
          ? null
          : windowAt(lastDone)
        : task.first && {
            opens: task.first.opens ? at(task.first.opens) : -NO_DAY,
            due: task.first.due ? at(task.first.due) : NO_DAY,
            closes: task.first.closes ? at(task.first.closes) : NO_DAY,
          };
    const pins = input.pins
      .filter((pin) => pin.task === task.id && at(pin.day) >= 0 && at(pin.day) > lastDone)
      .map(({ day }) => at(day));
    return {
      unit,
      home: homeOfUnit[unit]!,
      crews: [...new Set([task.crew, ...task.others])].map((id) => crewAt.get(id)!),
      // Whoever pins it wants it on that day: it is planned like any other.
      isLight: task.light && pins.length === 0,
      handsOn: centi(task.handsOn),
      powerOff: task.powerOff,
      returns: task.returns
        ? {
            first: Math.ceil(task.returns.minHours / HOURS_A_DAY),
            last: Math.max(
              Math.ceil(task.returns.minHours / HOURS_A_DAY),
              Math.floor(task.returns.maxHours / HOURS_A_DAY),
            ),
            minutes: centi(task.returns.minutes),
          }
        : null,
      wasted: centi(task.handsOn) + centi(task.consumable * input.cost.minutesPerMoney),
      weight: centi(task.criticality),
      isSafety: task.criticality >= SAFETY_CRITICALITY,
      lastDone,
      first: first && first.due !== NO_DAY ? first : null,
      opens: table(task.windows.opens).map((day) => (day === NO_DAY ? -NO_DAY : day)),
      due: table(task.windows.due),
      closes: table(task.windows.closes),
      isAllowed: task.allowed
        ? Uint8Array.from({ length: days }, (_, day) => {
            const date = fromDay(start + day);
            return task.allowed!.some(({ from, to }) => from <= date && date <= to) ? 1 : 0;
          })
        : null,
      pins: [...new Set(pins)].sort((a, b) => a - b),
      published: input.previous
        .filter(({ task: id, day }) => id === task.id && at(day) >= 0)
        .map(({ day }) => at(day))
        .sort((a, b) => a - b),
    };
  });

  const lockedRounds = input.lockedRounds.flatMap(({ crew, home, day }) =>
    at(day) < 0 ? [] : [{ crew: crewAt.get(crew)!, home: homeAt.get(home)!, day: at(day) }],
  );
  const crews = input.crews.map((crew, i): ProblemCrew => {
    const date = (day: number) => fromDay((start + day) as DayNumber);
    const by = (test: (day: PlainDate) => boolean) =>
      Uint8Array.from({ length: days }, (_, day) => (test(date(day)) ? 1 : 0));
    const isExcepted = by(
      (day) =>
        !Array.isArray(crew.days) &&
        crew.days.except.some((each) =>
          typeof each === "string" ? each === day : each.from <= day && day <= each.to,
        ),
    );
    const isLiked = by(
      (day) => crew.preferred.length === 0 || crew.preferred.includes(isoWeekday(day)),
    );
    const rule = crew.days;
    const isOwn = Array.isArray(rule)
      ? by((day) => rule.includes(day))
      : by((day) => rule.weekdays.includes(isoWeekday(day))).map((is, day) =>
          is && !isExcepted[day] && day <= horizon + PAST_HORIZON_DAYS ? 1 : 0,
        );
    const extra = [
      ...tasks.flatMap((task) => (task.crews.includes(i) ? task.pins : [])),
      ...lockedRounds.flatMap((round) => (round.crew === i ? [round.day] : [])),
    ];
    const isCandidate = isOwn.slice();
    for (const day of extra) isCandidate[day] = 1;
    const published = tasks.flatMap((task) => (task.crews.includes(i) ? task.published : []));
    const isTried = isOwn.map((is, day) => is & isLiked[day]!);
    for (const day of [...extra, ...published]) if (isCandidate[day]) isTried[day] = 1;
    const isCalledOut = new Uint8Array(days);
    for (const round of lockedRounds) if (round.crew === i) isCalledOut[round.day] = 1;
    // Where the liked days would be half full, the others are tried too.
    const mine = tasks.filter((task) => task.crews[0] === i && !task.isLight);
    const work = mine.reduce((sum, task) => sum + task.handsOn * timesOf(task, horizon), 0);
    const room = centi(crew.capMinutes) * isTried.reduce((sum, is) => sum + is, 0);
    if (work > room * CROWDED_SHARE) isTried.set(isCandidate);
    const listOf = (flags: Uint8Array) => [...flags.keys()].filter((day) => flags[day]);
    const liked = listOf(isTried);
    return {
      isOwner: crew.kind === "owner",
      cap: centi(crew.capMinutes),
      isCapOfDay: crew.capScope === "day",
      ...{ isCandidate, isLiked, isExcepted, isCalledOut },
      tried: liked.length > 0 ? liked : listOf(isCandidate),
    };
  });

  const { cost } = input;
  const taskAt = new Map(input.tasks.map(({ id }, i) => [id, i]));
  const published = input.previous.flatMap(({ task: id, day: date, crew }) => {
    const { crews: able, home } = tasks[taskAt.get(id)!]!;
    const day = at(date);
    const by = crew ? crewAt.get(crew)! : able[0]!;
    return day < 0 ? [] : [{ round: roundOf(by, home, day), day }];
  });
  return {
    ...{ days, horizon, tasks, crews, roundOf },
    homes: homes.length,
    units: input.units.length,
    cost: {
      setup: centi(cost.setup),
      weekday: centi(cost.weekday),
      powerDown: centi(cost.powerDown),
      callOut: centi(cost.callOut),
      visit: centi(cost.visit),
      lateDay: centi(cost.lateDay),
      lateSquare: cost.lateSquare,
      stability: centi(cost.stability),
      newRound: centi(cost.newRound),
      otherCrew: centi(cost.otherCrew),
    },
    locked: new Set(lockedRounds.map(({ crew, home, day }) => roundOf(crew, home, day))),
    published: new Set(published.map(({ round }) => round)),
    lastPublished: Math.max(-1, ...published.map(({ day }) => day)),
  };
}
