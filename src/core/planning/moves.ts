import { daysFrom, type PlainDate } from "../quantities/plain-date";
import type { PlanModel, PlanView } from "./plan";
import type { Occurrence, Plan } from "./plan-schema";

/** Some occurrences that go to another day together: one job, or a whole round. */
export type Move = { of: readonly Occurrence[]; to: PlainDate };

/**
 * A plan with some of its occurrences on another day; two of one task on one day become one.
 *
 * @example moved([{ task: "a", day: "2026-03-14" }], { of: [{ task: "a", day: "2026-03-14" }], to: "2026-03-21" }) // [{"task":"a","day":"2026-03-21"}]
 */
export function moved(occurrences: readonly Occurrence[], { of, to }: Move): Occurrence[] {
  const known = new Set<string>();
  return occurrences
    .map(({ task, day, crew }) => ({
      task,
      day: of.some((each) => each.task === task && each.day === day) ? to : day,
      ...(crew ? { crew } : {}),
    }))
    .filter(({ task, day }) => {
      const key = `${task} ${day}`;
      return known.has(key) ? false : known.add(key);
    });
}

/** How an occurrence stands to its window on its day. */
export type Stands = {
  task: string;
  /** Days after it was due; negative before. */
  afterDue: number;
  /** Days after its window closed, 0 within it. */
  afterClose: number;
  /** Days before its window opens, 0 within it. */
  beforeOpens: number;
  /** By how much of its interval it is over (positive) or wasted (negative); null where it was never done. */
  share: number | null;
};

/** What the price of a plan is made of. */
export type PlanWhyTerm = Exclude<keyof Plan["cost"], "total">;

/** What a change of days costs, and how the moved ones stand after it. */
export type MovePrice = {
  /** Of the whole plan, minutes: more is worse. By what it is made of. */
  minutes: number;
  terms: Record<PlanWhyTerm, number>;
  /** More of them, or fewer where negative. */
  rounds: number;
  visits: number;
  powerDowns: number;
  stands: Stands[];
  /** Minutes by which the fullest round on that day is over what its person gives. */
  overCap: number;
  /** Occurrences that are needed and have no day after it. */
  missing: number;
};

const CENTI = 100;
const TERMS = ["setup", "callOut", "powerDown", "early", "late", "stability"] as const;

/**
 * What it costs to do a plan’s occurrences on other days. Every figure comes from the evaluation of both
 * plans: the windows that follow in each chain follow from the new day.
 *
 * @param before the plan as it is, looked at by the same model
 * @example movePrice(smallModel, smallModel.view(smallDays), { of: [smallDays[0]], to: "2026-04-15" }).minutes // 3
 */
export function movePrice(model: PlanModel, before: PlanView, move: Move): MovePrice {
  const after = model.view(moved(before.occurrences, move));
  const technicians = new Set(
    model.input.crews.flatMap(({ id, kind }) => (kind === "technician" ? [id] : [])),
  );
  const count = ({ rounds }: PlanView, isVisit: boolean) =>
    rounds.filter(
      ({ crew, tasks, returns }) =>
        tasks.length + returns.length > 0 && technicians.has(crew) === isVisit,
    ).length;
  const off = ({ rounds }: PlanView) =>
    rounds.reduce((sum, { poweredDown }) => sum + poweredDown.length, 0);
  const missing = ({ conflicts }: PlanView) =>
    conflicts.filter(({ kind }) => kind === "missing").length;
  const tasks = new Set(move.of.map(({ task }) => task));
  const lastDone = new Map(model.input.tasks.map(({ id, lastDone: day }) => [id, day]));
  return {
    minutes: (after.cost.total - before.cost.total) / CENTI,
    terms: Object.fromEntries(
      TERMS.map((term) => [term, (after.cost[term] - before.cost[term]) / CENTI]),
    ) as MovePrice["terms"],
    rounds: count(after, false) - count(before, false),
    visits: count(after, true) - count(before, true),
    powerDowns: off(after) - off(before),
    stands: after.occurrences
      .filter(({ task, day }) => day === move.to && tasks.has(task))
      .map((each) => {
        const earlier = after.occurrences.findLast(
          ({ task, day }) => task === each.task && day < each.day,
        );
        return standsOf(each, earlier?.day ?? lastDone.get(each.task)!);
      }),
    overCap: Math.max(
      0,
      ...after.rounds.filter(({ day }) => day === move.to).map(({ overCap }) => overCap),
    ),
    missing: missing(after) - missing(before),
  };
}

/**
 * How an occurrence stands to its window.
 *
 * @param before the day of the one before it, from which its interval counts
 * @example standsOf({ task: "a", day: "2026-04-15", opens: null, due: "2026-04-12", closes: "2026-04-22" }, "2026-03-13").share // 0.1
 */
export function standsOf(
  { task, day, opens, due, closes }: Omit<Plan["occurrences"][number], "crew" | "light">,
  before: PlainDate,
): Stands {
  const afterDue = due === null ? 0 : daysFrom(due, day);
  const span = due === null ? 0 : daysFrom(before, due);
  return {
    task,
    afterDue,
    afterClose: closes === null ? 0 : Math.max(0, daysFrom(closes, day)),
    beforeOpens: opens === null ? 0 : Math.max(0, daysFrom(day, opens)),
    share: span > 0 ? Math.round((afterDue / span) * CENTI) / CENTI : null,
  };
}

/** Why an occurrence is where it is: what its round is, and what other days would cost. */
export type WhyHere = {
  stands: Stands;
  isPinned: boolean;
  /** Others in its round, and whether its machine is without power for one of them anyway. */
  others: number;
  sharesPower: boolean;
  /** Alone on its own due day, and in the rounds before and after. */
  instead: { kind: "due" | "before" | "after"; day: PlainDate; price: MovePrice }[];
};

/**
 * Why an occurrence is where it is, from what its plan costs.
 *
 * @example whyHere(smallModel, smallModel.view(smallDays), smallDays[0]).others // 0
 */
export function whyHere(
  model: PlanModel,
  view: PlanView,
  { task, day }: Occurrence,
): WhyHere | null {
  const { input } = model;
  const it = view.occurrences.find((each) => each.task === task && each.day === day);
  const own = input.tasks.find(({ id }) => id === task);
  if (!it || !own) return null;
  const mine = view.rounds.filter(
    ({ crew, tasks, returns }) =>
      crew === (it.crew ?? own.crew) && tasks.length + returns.length > 0,
  );
  const round = mine.find((each) => each.day === day);
  const earlier = view.occurrences.findLast((each) => each.task === task && each.day < day);
  const days = [
    { kind: "due" as const, day: it.due },
    { kind: "before" as const, day: mine.findLast((each) => each.day < day)?.day },
    { kind: "after" as const, day: mine.find((each) => each.day > day)?.day },
  ];
  const asked = new Set<PlainDate>([day]);
  return {
    stands: standsOf(it, earlier?.day ?? own.lastDone),
    isPinned: it.pinned,
    others: (round?.tasks.length ?? 1) - 1,
    sharesPower:
      own.powerOff &&
      input.tasks.some(
        ({ id, unit, powerOff }) =>
          id !== task && powerOff && unit === own.unit && (round?.tasks.includes(id) ?? false),
      ),
    instead: days.flatMap(({ kind, day: to }) => {
      if (!to || to < input.today || asked.has(to)) return [];
      asked.add(to);
      return [{ kind, day: to, price: movePrice(model, view, { of: [{ task, day }], to }) }];
    }),
  };
}
