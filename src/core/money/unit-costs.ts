import { daysFrom, type PlainDate } from "../quantities/plain-date";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { HistoryEvent } from "../history/history-event";

/** What a machine cost in a calendar year, minor units, and what it took. */
export type YearCosts = {
  year: number;
  filters: number;
  /** What was done to its parts without a technician’s visit. */
  jobs: number;
  /** Its share of the visits that were no breakdown’s. */
  visits: number;
  repairs: number;
  /** The household’s own work, by what its hour is worth. */
  own: number;
  /** Minutes of that work. */
  minutes: number;
  breakdowns: number;
  daysWithout: number;
};

export const COST_KINDS = ["filters", "jobs", "visits", "repairs", "own"] as const;
const MINUTES_PER_HOUR = 60;
/** A visit for a breakdown within so many days of it sent the same bill. Our choice. */
const SAME_BILL_DAYS = 14;

const yearOf = (date: PlainDate): number => Number(date.slice(0, 4));

/**
 * Everything of a year together, minor units.
 *
 * @example totalOf({ year: 2026, filters: 900, jobs: 0, visits: 9000, repairs: 0, own: 100, minutes: 3, breakdowns: 0, daysWithout: 0 }) // 10000
 */
export const totalOf = (costs: YearCosts): number =>
  COST_KINDS.reduce((sum, kind) => sum + costs[kind], 0);

/**
 * What a machine cost, year by year from the first that the record knows to `today`’s, those without
 * anything among them. A visit to several machines is shared evenly; the bill of a breakdown and of the
 * visit that mended it counts once, the greater of the two.
 *
 * @example unitCosts(snapshot([event("fitted", -30, { costMinor: 900 })]), "furnace", today).map(({ filters }) => filters) // [900]
 */
export function unitCosts(snapshot: HomeSnapshot, unitId: string, today: PlainDate): YearCosts[] {
  const { home, history } = snapshot;
  const years = new Map<number, YearCosts>();
  const of = (date: PlainDate): YearCosts => {
    const year = yearOf(date);
    const known = years.get(year) ?? nothing(year);
    years.set(year, known);
    return known;
  };
  const visits = snapshot.visits.flatMap(({ on, endedAt, unitIds, costMinor, reason }) =>
    on && endedAt && unitIds.includes(unitId)
      ? [{ on, share: Math.round((costMinor ?? 0) / unitIds.length), reason }]
      : [],
  );
  for (const { on, share, reason } of visits)
    of(on)[reason === "breakdown" ? "repairs" : "visits"] += share;
  for (const event of history.ofUnit(unitId)) {
    const { kind, date, costMinor = 0, minutes = 0, visitId } = event;
    if (kind === "breakdown") {
      const year = of(date);
      const billed = visits.find(
        (visit) =>
          visit.reason === "breakdown" && Math.abs(daysFrom(date, visit.on)) <= SAME_BILL_DAYS,
      );
      year.breakdowns++;
      year.daysWithout += event.breakdown?.daysWithout ?? 0;
      year.repairs += Math.max(0, costMinor - (billed?.share ?? 0));
      continue;
    }
    // What was done on a visit is on its bill.
    if (visitId !== undefined) continue;
    if (kind === "fitted") of(date).filters += event.costMinor ?? priceOf(snapshot, event);
    else if (costMinor > 0) of(date)[kind === "cleaned" ? "filters" : "jobs"] += costMinor;
    if (minutes > 0) {
      const year = of(date);
      year.minutes += minutes;
      year.own += ((home.hourMinor ?? 0) * minutes) / MINUTES_PER_HOUR;
    }
  }
  const first = Math.min(yearOf(today), ...years.keys());
  return Array.from({ length: yearOf(today) - first + 1 }, (_, i) => {
    const costs = years.get(first + i) ?? nothing(first + i);
    return { ...costs, own: Math.round(costs.own) };
  });
}

const nothing = (year: number): YearCosts => ({
  ...{ year, filters: 0, jobs: 0, visits: 0, repairs: 0, own: 0 },
  ...{ minutes: 0, breakdowns: 0, daysWithout: 0 },
});

/** What a filter cost that went in, by its own price, else by what one costs there today. */
function priceOf({ items, slots, retiredSlots }: HomeSnapshot, event: HistoryEvent): number {
  const slot = [...slots, ...retiredSlots].find(({ id }) => id === event.partId);
  const item = items.find(({ id }) => id === event.itemId);
  return (item?.priceMinor ?? slot?.priceMinor ?? 0) * (slot?.filterCount ?? 1);
}

/** How many years a kind of machine usually lasts. */
export type UsualLife = { min: number; max: number };

export type Worth = {
  /** Years it has still to go, by the middle of its usual life; never fewer than one. */
  yearsLeft: number;
  /** A year of keeping it: the repair over the years left, and what it costs to run. */
  keepPerYear: number;
  /** A year of a new one: its price over a usual life, and what it costs to run without repairs. */
  replacePerYear: number;
  advice: "repair" | "even" | "replace";
};

/** Within this share of each other the two ways are even: the figures are no better than that. */
const EVEN_SHARE = 0.15;
const FEWEST_YEARS_LEFT = 1;

/**
 * Whether a repair or a new machine costs less a year. Money is minor units.
 *
 * @param runningPerYear what it costs a year, filters, visits and own work, without repairs
 * @param repairsPerYear what repairs cost a year lately: a new one has none of them
 * @source docs/sources.md#machines
 * @example worthOf({ ageYears: 5, life: { min: 10, max: 20 }, repairMinor: 10000, replacementMinor: 300000, runningPerYear: 0, repairsPerYear: 0 }).advice // "repair"
 */
export function worthOf({
  ageYears,
  life,
  repairMinor,
  replacementMinor,
  runningPerYear,
  repairsPerYear,
}: {
  ageYears: number;
  life: UsualLife;
  repairMinor: number;
  replacementMinor: number;
  runningPerYear: number;
  repairsPerYear: number;
}): Worth {
  const usual = (life.min + life.max) / 2;
  const yearsLeft = Math.max(FEWEST_YEARS_LEFT, usual - ageYears);
  const keepPerYear = repairMinor / yearsLeft + runningPerYear + repairsPerYear;
  const replacePerYear = replacementMinor / usual + runningPerYear;
  const isEven =
    Math.abs(keepPerYear - replacePerYear) <= EVEN_SHARE * Math.max(keepPerYear, replacePerYear);
  return {
    yearsLeft,
    keepPerYear,
    replacePerYear,
    advice: isEven ? "even" : keepPerYear < replacePerYear ? "repair" : "replace",
  };
}
