import "server-only";
import { UNIT_LIFE } from "@/content/unit-life";
import type { UnitKindId } from "@/content/unit-kinds";
import { warrantyOf } from "@/core/inventory/alarms";
import type { Home, Unit } from "@/core/inventory/inventory";
import { totalOf, unitCosts, type UsualLife, type YearCosts } from "@/core/money/unit-costs";
import { moneyAbout, moneyFigure } from "@/core/quantities/money";
import { addDays, daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { RENEW } from "@/core/scheduling/task";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { todayIn } from "@/lib/clock";
import { homeSnapshot, scheduleNow } from "@/server/snapshots/snapshot-cache";

/** A home’s and a machine’s money as its form holds it. */
export function fieldsOfMoney(
  { currency, hourMinor }: Pick<Home, "currency" | "hourMinor">,
  { purchaseMinor, replacementMinor }: Pick<Unit, "purchaseMinor" | "replacementMinor">,
): Record<string, string[]> {
  const figure = (minor: number | undefined) => [
    minor === undefined ? "" : moneyFigure(minor, currency),
  ];
  return {
    purchase: figure(purchaseMinor),
    replacement: figure(replacementMinor),
    hour: figure(hourMinor),
  };
}

export type CostsPage = {
  home: Home;
  today: PlainDate;
  unit: Unit;
  years: YearCosts[];
  /** What it costs a year and how often it stopped, in a sentence or two. */
  summary: string;
  /** What a year costs on average of the last three whole ones, repairs apart; null without one. */
  running: { perYear: number; repairs: number; years: number } | null;
  ageYears: number | null;
  life: UsualLife | null;
  isUnderWarranty: boolean;
  /** What repairs were found and not done would cost together, minor units; 0 where none has a price. */
  openRepairs: number;
};

const DAYS_PER_YEAR = 365.25;
const YEARS_LOOKED_BACK = 3;

/** What a machine costs, and what is known for deciding about it; null where there is none such. */
export async function costsOf(homeId: string, unitId: string): Promise<CostsPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const unit =
    snapshot && [...snapshot.units, ...snapshot.retired].find((each) => each.id === unitId);
  if (!snapshot || !unit) return null;
  const { home } = snapshot;
  const today = todayIn(home.timeZone);
  const years = unitCosts(snapshot, unitId, today);
  const whole = years.slice(0, -1).slice(-YEARS_LOOKED_BACK);
  const mean = (of: (costs: YearCosts) => number) =>
    whole.reduce((sum, each) => sum + of(each), 0) / whole.length;
  const made = unit.fittedOn;
  const running =
    whole.length === 0
      ? null
      : {
          perYear: mean((each) => totalOf(each) - each.repairs),
          repairs: mean((each) => each.repairs),
          years: whole.length,
        };
  return {
    ...{ home, today, unit, years },
    running,
    summary: [
      summaryOf(running, years, home.currency),
      spreadWords(unit, made ? daysFrom(made, today) / DAYS_PER_YEAR : 0, running, home.currency),
    ]
      .filter(Boolean)
      .join(" "),
    ageYears: made ? daysFrom(made, today) / DAYS_PER_YEAR : null,
    life: UNIT_LIFE[unit.kind as UnitKindId] ?? null,
    isUnderWarranty:
      unit.warrantyEndsOn !== undefined && warrantyOf(unit.warrantyEndsOn, today) !== "over",
    openRepairs: snapshot.findings
      .filter((each) => each.unitId === unitId && each.settledOn === undefined)
      .reduce((sum, { priceMinor = 0 }) => sum + priceMinor, 0),
  };
}

/** What it came to a year with its price spread over the years it has served. */
function spreadWords(
  { purchaseMinor }: Unit,
  years: number,
  running: CostsPage["running"],
  currency: string,
): string {
  if (purchaseMinor === undefined || years < 1) return "";
  const perYear = purchaseMinor / years + (running ? running.perYear + running.repairs : 0);
  return `With its price spread over its ${Math.floor(years)} years so far: ${moneyAbout({ minor: perYear, currency })} a year.`;
}

function summaryOf(
  running: CostsPage["running"],
  years: readonly YearCosts[],
  currency: string,
): string {
  const words = (minor: number) => moneyAbout({ minor, currency });
  const sum = (of: (costs: YearCosts) => number) => years.reduce((all, each) => all + of(each), 0);
  const stops = sum(({ breakdowns }) => breakdowns);
  const days = sum(({ daysWithout }) => daysWithout);
  const cost = running
    ? `About ${words(running.perYear)} a year over ${running.years === 1 ? "the last year" : `the last ${running.years} years`}${running.repairs > 0 ? `, and ${words(running.repairs)} of repairs` : ""}.`
    : "Not a whole year is on record yet.";
  const without = days > 0 ? `, ${days} ${days === 1 ? "day" : "days"} without it` : "";
  return stops === 0
    ? cost
    : `${cost} It stopped ${stops === 1 ? "once" : `${stops} times`}${without}.`;
}

export type DiyFacts = {
  perYear: number;
  minutes: number;
  materialsMinor: number;
  hourMinor: number;
  currency: string;
  isLicensed: boolean;
};

/** Of a job: how often it comes round, what it takes and what goes into it; null where nothing calls for it. */
export async function diyFactsOf(homeId: string, taskId: string): Promise<DiyFacts | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const job = scheduleNow(snapshot, today).find(({ task }) => task.id === taskId);
  const perYear = job ? timesAYear(job, today) : 0;
  if (!job || perYear === 0) return null;
  return {
    perYear,
    minutes: job.task.handsOn,
    materialsMinor: materialsOf(snapshot, job),
    hourMinor: snapshot.home.hourMinor ?? 0,
    currency: snapshot.home.currency,
    isLicensed: job.task.who === "licensed",
  };
}

/** Of the rounds of the coming two years; a job that comes round less often counts by its own span. */
function timesAYear({ ahead, lastDone, due }: JobStatus, today: PlainDate): number {
  const end = addDays(today, Math.round(2 * DAYS_PER_YEAR));
  const rounds = ahead.filter((day) => day <= end).length;
  if (rounds > 0) return rounds / 2;
  return lastDone && due && due > lastDone ? DAYS_PER_YEAR / daysFrom(lastDone, due) : 0;
}

function materialsOf({ slots }: HomeSnapshot, { task }: JobStatus): number {
  const slot = task.key === RENEW ? slots.find(({ id }) => id === task.partId) : undefined;
  return (slot?.priceMinor ?? 0) * (slot?.filterCount ?? 1);
}
