import { cache } from "react";
import { JOBS } from "@/content/default-tasks";
import { HOUSEHOLD_WORDS } from "@/content/words";
import { LEADS } from "@/content/leads";
import type { Climate } from "@/core/climate/climate";
import {
  coilSheetOf,
  coilStatusOf,
  entriesOfCoil,
  type CoilSheet,
  type CoilStatus,
} from "@/core/filters/coil-wear";
import { filterStatusOf, type FilterStatus } from "@/core/filters/filter-status";
import { ductCleanings } from "@/core/history/duct-cleanings";
import type { HistoryEvent } from "@/core/history/history-event";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { FilterSlot, Part, ScopedDriver, Unit } from "@/core/inventory/inventory";
import { windowsOf } from "@/core/planning/home-plan";
import type { PlanTask } from "@/core/planning/plan-schema";
import type { PlainDate } from "@/core/quantities/plain-date";
import { tasksOfHome, tasksOfUnit } from "@/core/scheduling/home-tasks";
import { entriesOfUnit, type JobStatus } from "@/core/scheduling/schedule";
import type { PlannedTask } from "@/core/scheduling/task";
import { YearTables } from "@/core/scheduling/year-tables";
import { HomeStatus, type StatusRules } from "@/core/timeline/home-status";
import { appStore } from "@/db/app-store";
import type { Store } from "@/db/client";
import { HomeUnreadable, isHomeUnreadable, nameOfHome } from "@/db/repositories/homes";
import { isStoreTrouble } from "@/lib/store-trouble";
import { readHome, type HomeRead } from "./read-home";

/**
 * Everything the server remembers between requests. All of it follows from the database and may be
 * thrown away at any time.
 *
 * | what                    | key                                                     |
 * | ----------------------- | ------------------------------------------------------- |
 * | a home as it was read   | its id, and the number of the database's last change    |
 * | its status on a day     | the snapshot itself, and the day                        |
 * | the status of a filter  | its slot, and everything in `groundsOf`                 |
 * | the status of a coil    | its part, and everything in `groundsOf`                 |
 * | the sheet of a coil     | its status                                              |
 * | the jobs of a unit      | the unit, and what they are planned from                |
 * | how those stand         | the unit, everything in `groundsOf`, and what wears     |
 * | a job’s windows ahead   | how it stands, and the end of the plan                  |
 * | the turns of the year   | the climate itself                                      |
 * | what a page says of it  | the status of the home, and the page's own word         |
 * | a run as it was read    | its id, and its last event (see `read-runs`)            |
 * | a page as it was sent   | who asked for it how, and the database's last change    |
 *                             (see `lib/rendered-pages`)
 *
 * A request reads a home once: what it shows is of one moment, whatever is written meanwhile. What did
 * not change between two readings stays the very same object (see `readHome`), so that what follows
 * from it stands too. The keys below the first are weak: they go with what they hang on.
 */
type Kept = { version: number; read: Promise<HomeRead | null> };

type Homes = Map<string, Kept>;
type Worked<S> = { grounds: readonly unknown[]; entries: readonly HistoryEvent[]; result: S };
const freshMemory = () => ({
  homesByStore: new WeakMap<Store, Homes>(),
  statuses: new WeakMap<HomeSnapshot, Map<PlainDate, HomeStatus>>(),
  filters: new WeakMap<FilterSlot, Worked<FilterStatus>>(),
  coils: new WeakMap<Part, Worked<CoilStatus | null>>(),
  unitTasks: new WeakMap<Unit, Worked<readonly PlannedTask[]>>(),
  unitJobs: new WeakMap<Unit, Worked<readonly JobStatus[]>>(),
  windows: new WeakMap<JobStatus, { until: PlainDate; result: PlanTask["windows"] }>(),
  coilSheets: new WeakMap<CoilStatus, CoilSheet>(),
  years: new WeakMap<Climate, YearTables>(),
  shown: new WeakMap<HomeStatus, Map<string, unknown>>(),
});
// Next keeps several instances of a module, of pages one and of actions another: what one worked out the others show.
const shared = globalThis as typeof globalThis & { amberMemory?: ReturnType<typeof freshMemory> };
const memory = (shared.amberMemory ??= freshMemory());
const { homesByStore, statuses, filters, coils, unitTasks, unitJobs } = memory;
const { windows, coilSheets, years, shown } = memory;

function homesIn(store: Store): Homes {
  const homes = homesByStore.get(store) ?? new Map<string, Kept>();
  homesByStore.set(store, homes);
  return homes;
}

/** A home as it is, read once for everything that shows it in one request; null where there is none. */
export const homeNow = cache(async (homeId: string): Promise<HomeRead | null> => {
  const store = await appStore();
  const homes = homesIn(store);
  // Taken before the reading: a write in between makes the next request read again.
  const now = await store.version();
  const kept = homes.get(homeId);
  if (kept?.version === now) return kept.read;
  const earlier = kept ? await kept.read.catch(() => null) : null;
  const read = store.read((db) =>
    db.transaction((tx) => readHome(tx, homeId, earlier), { behavior: "deferred" }),
  );
  homes.set(homeId, { version: now, read });
  try {
    return await read;
  } catch (error) {
    homes.delete(homeId);
    throw await asUnreadable(homeId, error);
  }
});

/** What went wrong with a home, as it is told: a store that is busy is no fault of what is in it. */
export async function asUnreadable(homeId: string, error: unknown): Promise<unknown> {
  if (isStoreTrouble(error) || isHomeUnreadable(error)) return error;
  console.error(error);
  const name = await (await appStore()).read((db) => nameOfHome(db, homeId));
  return new HomeUnreadable(name, "something in it has no meaning", error);
}

export const homeSnapshot = async (homeId: string): Promise<HomeSnapshot | null> =>
  (await homeNow(homeId))?.snapshot ?? null;

/** The last reading of a home, if any: from which a command inside its write goes on. */
export const lastRead = async (store: Store, homeId: string): Promise<HomeRead | null> =>
  (await homesIn(store)
    .get(homeId)
    ?.read.catch(() => null)) ?? null;

/** No database has a change of this number: what was read so is gone on from, never shown. */
const BEFORE_A_WRITE = -1;

/** Keeps what a command read before it wrote anything: the next reading goes on from there. */
export const keepRead = (store: Store, homeId: string, read: HomeRead): void =>
  void homesIn(store).set(homeId, { version: BEFORE_A_WRITE, read: Promise.resolve(read) });

/** A driver inside a sentence of reasons: in the owner's own word where there is one. */
export const reasonWords = (driver: ScopedDriver): string =>
  driver.label ?? HOUSEHOLD_WORDS[driver.kind].reason(driver.count);

/**
 * Everything the status of a filter or a coil follows from, beside itself and what was recorded at it: the
 * other slots share the air of its system, and a filter stands before a coil.
 */
function groundsOf(snapshot: HomeSnapshot, today: PlainDate): unknown[] {
  const { home, units, slots, systems, drivers, actuals, measured } = snapshot;
  const cleanings = ductCleanings(snapshot).join();
  return [today, home, units, slots, systems, drivers, actuals, measured, cleanings];
}

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a === b || (a.length === b.length && a.every((each, i) => each === b[i]));

/** What stands as long as nothing it follows from has changed, worked out anew where it has. */
function kept<P extends object, S>(
  known: WeakMap<P, Worked<S>>,
  of: P,
  grounds: readonly unknown[],
  entries: readonly HistoryEvent[],
  work: () => S,
): S {
  const before = known.get(of);
  if (before && isSame(before.grounds, grounds) && isSame(before.entries, entries))
    return before.result;
  const result = work();
  known.set(of, { grounds, entries, result });
  return result;
}

function yearsOf(climate: Climate): YearTables {
  const known = years.get(climate);
  if (known) return known;
  const made = new YearTables(climate);
  years.set(climate, made);
  return made;
}

const tasksOfUnitNow: StatusRules["unitTasks"] = (snapshot, unit) => {
  const { home, slots, parts, systems, drivers, tasks, ownProcedures } = snapshot;
  const grounds = [home, slots, parts, systems, drivers, tasks, ownProcedures];
  return kept(unitTasks, unit, grounds, [], () => tasksOfUnit(snapshot, unit, JOBS));
};

const RULES: StatusRules = {
  jobs: JOBS,
  leads: LEADS,
  filterStatus: (snapshot, slot, today) =>
    kept(filters, slot, groundsOf(snapshot, today), snapshot.history.ofPart(slot.id), () =>
      filterStatusOf(snapshot, slot, today, reasonWords),
    ),
  coilStatus: (snapshot, part, today) =>
    kept(coils, part, groundsOf(snapshot, today), entriesOfCoil(snapshot, part), () =>
      coilStatusOf(snapshot, part, today),
    ),
  unitTasks: tasksOfUnitNow,
  unitJobs: (status, unit) => {
    const { snapshot, today } = status;
    const tasks = tasksOfUnitNow(snapshot, unit);
    const grounds = [
      ...groundsOf(snapshot, today),
      snapshot.parts,
      snapshot.rooms,
      snapshot.levels,
      tasks,
      ...status.wornIn(unit),
      ...tasks.flatMap(({ id }) => status.calls.get(id)?.event.id ?? []),
    ];
    return kept(unitJobs, unit, grounds, entriesOfUnit(snapshot, unit.id), () =>
      status.scheduleOf(tasks),
    );
  },
  years: yearsOf,
};

/** How a home stands on a day. */
export function homeStatus(snapshot: HomeSnapshot, today: PlainDate): HomeStatus {
  const days = statuses.get(snapshot) ?? new Map<PlainDate, HomeStatus>();
  statuses.set(snapshot, days);
  const status = days.get(today) ?? new HomeStatus(snapshot, today, RULES);
  days.set(today, status);
  return status;
}

/**
 * What a page says of a home on a day, put into words once for as long as that status lives.
 *
 * @param what the page's own word for it: one word, one shape
 */
export function shownOnce<S>(status: HomeStatus, what: string, work: () => S): S {
  const known = shown.get(status) ?? new Map<string, unknown>();
  shown.set(status, known);
  if (!known.has(what)) known.set(what, work());
  return known.get(what) as S;
}

/** A job’s windows by the day it is done: kept for as long as it stands so. */
export function windowsAhead(
  status: HomeStatus,
  job: JobStatus,
  until: PlainDate,
): PlanTask["windows"] {
  const known = windows.get(job);
  if (known?.until === until) return known.result;
  const result = windowsOf(status, job, until);
  windows.set(job, { until, result });
  return result;
}

/** How every filter of a home stands on a day. */
export const filterStatusesOf = (
  snapshot: HomeSnapshot,
  today: PlainDate,
): readonly FilterStatus[] => homeStatus(snapshot, today).filters;

/** Every job of a home as it stands on a day. */
export const scheduleNow = (snapshot: HomeSnapshot, today: PlainDate): readonly JobStatus[] =>
  homeStatus(snapshot, today).jobs;

/** Every job of a home, whether or not anything calls for it. */
export const tasksNow = (snapshot: HomeSnapshot): readonly PlannedTask[] => [
  ...tasksOfHome(snapshot, JOBS),
  ...snapshot.units.flatMap((unit) => tasksOfUnitNow(snapshot, unit)),
];

/** What the sheet of a coil says of its wear. */
export function coilSheet(snapshot: HomeSnapshot, status: CoilStatus, today: PlainDate): CoilSheet {
  const sheet = coilSheets.get(status) ?? coilSheetOf(snapshot, status, today, reasonWords);
  coilSheets.set(status, sheet);
  return sheet;
}
