import type { Climate } from "../climate/climate";
import { coilOf, type CoilStatus } from "../filters/coil-wear";
import type { FilterStatus } from "../filters/filter-status";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { FilterSlot, Part, Unit } from "../inventory/inventory";
import { addDays, toDay, type PlainDate } from "../quantities/plain-date";
import { callsOf, NO_CALLS, type Calls } from "../noticed/calls";
import type { Lead } from "../readings/leads";
import type { JobCatalogue } from "../scheduling/catalogue";
import { dueCalculatorOf } from "../scheduling/chain";
import type { DueCalculator } from "../scheduling/due-calculator";
import { tasksOfHome } from "../scheduling/home-tasks";
import {
  dueTaskOf,
  scheduleGrounds,
  scheduleOf,
  type JobStatus,
  type ScheduleGrounds,
  type WearByPart,
} from "../scheduling/schedule";
import type { PlannedTask } from "../scheduling/task";
import type { YearTables } from "../scheduling/year-tables";
import { lintelOf, type Lintel } from "./lintel";

/** Two years of rounds: as far ahead as anybody plans. */
export const SCHEDULE_DAYS = 730;

/** What the status of a home is worked out with. */
export type StatusRules = {
  jobs: JobCatalogue;
  /** What is seen leads on to jobs. */
  leads: readonly Lead[];
  filterStatus: (snapshot: HomeSnapshot, slot: FilterSlot, today: PlainDate) => FilterStatus;
  coilStatus: (snapshot: HomeSnapshot, part: Part, today: PlainDate) => CoilStatus | null;
  unitTasks: (snapshot: HomeSnapshot, unit: Unit) => readonly PlannedTask[];
  /** The jobs of one unit; whoever keeps nothing asks `status.scheduleOf`. */
  unitJobs: (status: HomeStatus, unit: Unit) => readonly JobStatus[];
  years: (climate: Climate) => YearTables;
};

/**
 * What wears, found by the id of its part.
 *
 * @example wearByPart([], []).size // 0
 */
export const wearByPart = (
  filters: readonly FilterStatus[],
  coils: readonly CoilStatus[] = [],
): WearByPart =>
  new Map<string, FilterStatus | CoilStatus>([
    ...filters.map((each) => [each.slot.id, each] as const),
    ...coils.map((each) => [each.part.id, each] as const),
  ]);

/**
 * A home as it stands on a day: its filters, its jobs and its year, all from one snapshot. Each is
 * worked out when it is first asked for, once, and lives as long as the status.
 *
 * @example new HomeStatus(snapshot([]), today, { jobs: JOBS, unitTasks: () => [] }).tasks.some(({ id }) => id === "slot.renew") // false
 */
export class HomeStatus {
  #filters: FilterStatus[] | undefined;
  #coils: CoilStatus[] | undefined;
  #tasks: PlannedTask[] | undefined;
  #jobs: JobStatus[] | undefined;
  #worn: WearByPart | undefined;
  #lintel: Lintel | undefined;
  #calls: Calls | undefined;
  #grounds: ScheduleGrounds | undefined;

  constructor(
    readonly snapshot: HomeSnapshot,
    readonly today: PlainDate,
    private readonly rules: StatusRules,
  ) {}

  /** How every slot in service stands. */
  get filters(): readonly FilterStatus[] {
    this.#filters ??= this.snapshot.slots.map((slot) =>
      this.rules.filterStatus(this.snapshot, slot, this.today),
    );
    return this.#filters;
  }

  /** How every coil of the machines in service stands. */
  get coils(): readonly CoilStatus[] {
    const inService = new Set(this.snapshot.units.map(({ id }) => id));
    this.#coils ??= this.snapshot.parts.flatMap((part) =>
      coilOf(part) && inService.has(part.unitId)
        ? (this.rules.coilStatus(this.snapshot, part, this.today) ?? [])
        : [],
    );
    return this.#coils;
  }

  /** Every job there is, whether or not anything calls for it. */
  get tasks(): readonly PlannedTask[] {
    const { snapshot, rules } = this;
    this.#tasks ??= [
      ...tasksOfHome(snapshot, rules.jobs),
      ...snapshot.units.flatMap((unit) => rules.unitTasks(snapshot, unit)),
    ];
    return this.#tasks;
  }

  /** What was noticed and brings jobs forward. */
  get calls(): Calls {
    const { snapshot, rules } = this;
    // Most homes have nothing to call: their jobs need not be listed for it.
    const isQuiet =
      snapshot.history.noticed.length === 0 && snapshot.history.ofKind("breakdown").length === 0;
    this.#calls ??= isQuiet ? NO_CALLS : callsOf(snapshot, this.tasks, rules.leads);
    return this.#calls;
  }

  /** Every job as it stands, with its rounds of the next two years. */
  get jobs(): readonly JobStatus[] {
    const { snapshot, rules } = this;
    this.#jobs ??= [
      ...this.scheduleOf(tasksOfHome(snapshot, rules.jobs)),
      ...snapshot.units.flatMap((unit) => rules.unitJobs(this, unit)),
    ];
    return this.#jobs;
  }

  /** How what wears in a unit stands: its filters and coils. */
  wornIn(unit: Unit): readonly (FilterStatus | CoilStatus)[] {
    return [
      ...this.filters.filter(({ slot }) => slot.unitId === unit.id),
      ...this.coils.filter(({ part }) => part.unitId === unit.id),
    ];
  }

  /** Some jobs as they would stand, whoever planned them; of them those `wanted`, by their ids. */
  scheduleOf(tasks: readonly PlannedTask[], wanted?: ReadonlySet<string>): JobStatus[] {
    const { snapshot, today } = this;
    const until = addDays(today, SCHEDULE_DAYS);
    this.#worn ??= wearByPart(this.filters, this.coils);
    return scheduleOf(snapshot, tasks, this.#worn, today, until, this.grounds, wanted);
  }

  /** The dates of a job and, by the day it is done, of the one after; null where it has no rhythm. */
  calculatorOf({ task, unit, lastDone }: JobStatus, until: PlainDate): DueCalculator | null {
    this.#worn ??= wearByPart(this.filters, this.coils);
    const worn = this.#worn.get(task.partId ?? "");
    const dueTask = dueTaskOf(this.grounds, task, unit, worn, lastDone);
    return dueTask && dueCalculatorOf(dueTask, toDay(this.today), toDay(until));
  }

  private get grounds(): ScheduleGrounds {
    const { snapshot, rules } = this;
    this.#grounds ??= scheduleGrounds(snapshot, rules.years(snapshot.home.climate), this.calls);
    return this.#grounds;
  }

  /** The year over every page. */
  get lintel(): Lintel {
    this.#lintel ??= lintelOf(this.snapshot, this.jobs, this.today);
    return this.#lintel;
  }

  /** The same day in a home that is otherwise: what an entry or a change would make of it. */
  of(snapshot: HomeSnapshot): HomeStatus {
    const other = new HomeStatus(snapshot, this.today, this.rules);
    const differs = (Object.keys(snapshot) as (keyof HomeSnapshot)[]).filter(
      (key) => snapshot[key] !== this.snapshot[key],
    );
    // A what-if on jobs changes neither filters nor record, so their results are shared.
    if (differs.every((key) => key === "tasks")) {
      other.#grounds = { ...this.grounds, snapshot };
      other.#filters = [...this.filters];
      other.#coils = [...this.coils];
    }
    return other;
  }
}
