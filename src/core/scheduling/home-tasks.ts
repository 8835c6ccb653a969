import {
  LOOK,
  LOOK_EVERY_DAYS,
  OWN_KEY,
  planned,
  RENEW,
  taskId,
  type PlannedTask,
  type TaskDefinition,
  type TaskPlace,
  type TaskSetting,
} from "./task";
import { seasonDays } from "../climate/climate";
import type { Climate } from "../climate/climate";
import type { Trigger } from "./trigger";
import { isRoofWork } from "../inventory/reach";
import type { FilterSlot, Unit } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { JobCatalogue } from "./catalogue";

type Settings = ReadonlyMap<string, TaskSetting>;

/** Looks at filters in ducts follow the cleaning of those. */
const inDucts = (snapshot: HomeSnapshot, slot: FilterSlot): boolean => {
  const unit = snapshot.units.find((each) => each.id === slot.unitId);
  const system = snapshot.systems.find((each) => each.id === unit?.systemId);
  const takesDust = slot.airSide === "recirculated" && slot.media !== "humidifier-panel";
  return takesDust && system?.ducted === true;
};

/** A filter’s jobs: its renewal by the strategy somebody follows, and the looks that go with it. */
function slotTasks(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  settings: Settings,
  jobs: JobCatalogue,
  unitKind: string,
): PlannedTask[] {
  const place = { unitId: slot.unitId, partId: slot.id, kind: "filter" };
  const setting = settings.get(taskId(place, RENEW));
  const {
    school = "wear",
    lookEveryDays = LOOK_EVERY_DAYS,
    cadence: trigger,
  } = setting?.changes ?? {};
  const renewal = planned(jobs.renewal(slot.media, unitKind), place, setting);
  // Its light is heeded whatever else says when it goes.
  const orByLight = (usual: Trigger): Trigger =>
    slot.indicator ? { kind: "earliest", of: [usual, jobs.atLight] } : usual;
  const byGrey = { ...renewal, strategy: school, trigger: orByLight(jobs.atGrey) };
  const lookSetting = settings.get(taskId(place, LOOK));
  const lookBeside = inDucts(snapshot, slot) ? jobs.lookAfterDucts : jobs.lookWhenAsked(slot.media);
  switch (school) {
    case "wear":
      return [
        { ...renewal, strategy: school, trigger: orByLight({ kind: "wear" }) },
        planned(lookBeside, place, lookSetting),
      ];
    case "calendar":
      return [
        { ...renewal, strategy: school, trigger: orByLight(trigger ?? jobs.calendar(slot.media)) },
        planned(lookBeside, place, lookSetting),
      ];
    case "look":
      return [byGrey, planned(jobs.look(lookEveryDays), place, lookSetting)];
  }
}

/** A job somebody made up: a maker’s own checklist, a habit of the house. */
function ownTask(setting: TaskSetting, kind: string): PlannedTask {
  const { key, changes, unitId, partId } = setting;
  const definition: TaskDefinition = {
    key,
    name: changes.name ?? "",
    trigger: changes.cadence ?? { kind: "every", n: 1, unit: "year", within: undefined },
    who: "owner",
    handsOn: 10,
    waiting: 0,
  };
  return planned(
    definition,
    { kind, ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) },
    setting,
  );
}

/**
 * Every job of a home: what comes with its parts, units and itself, and what people added.
 *
 * @example tasksOf(snapshot([]), JOBS).some(({ id }) => id === "slot.renew") // true
 */
export function tasksOf(snapshot: HomeSnapshot, jobs: JobCatalogue): PlannedTask[] {
  const isWithoutCooling = !hasCooling(snapshot.home.climate);
  return [
    ...tasksOfHome(snapshot, jobs),
    ...snapshot.units.flatMap((unit) => tasksOfUnit(snapshot, unit, jobs, isWithoutCooling)),
  ];
}

/**
 * The jobs that belong to no machine: the walk-round, and what people made up for the whole home.
 *
 * @example tasksOfHome(snapshot([]), JOBS).every(({ unitId }) => unitId === undefined) // true
 */
export const tasksOfHome = (snapshot: HomeSnapshot, jobs: JobCatalogue): PlannedTask[] =>
  planAll(snapshot, jobs.home, { kind: "home" }, settingsOf(snapshot)).map((task) =>
    ledByOwn(snapshot, task),
  );

/** A job with the procedures of the home’s own beside those of the library. */
function ledByOwn({ ownProcedures }: HomeSnapshot, task: PlannedTask): PlannedTask {
  const own = ownProcedures.filter(
    ({ basedOn, jobs }) =>
      jobs.includes(task.id) || (basedOn !== undefined && task.procedureIds.includes(basedOn)),
  );
  if (own.length === 0) return task;
  return { ...task, procedureIds: [...task.procedureIds, ...own.map(({ id }) => id)] };
}

const settingsOf = (snapshot: HomeSnapshot): Settings =>
  new Map(snapshot.tasks.map((each) => [taskId(each, each.key), each]));

function planAll(
  snapshot: HomeSnapshot,
  definitions: readonly TaskDefinition[],
  place: TaskPlace & { kind: string },
  settings: Settings,
): PlannedTask[] {
  const own = snapshot.tasks.filter(
    (each) =>
      each.key.startsWith(OWN_KEY) && each.unitId === place.unitId && each.partId === place.partId,
  );
  return [
    ...definitions.map((each) => planned(each, place, settings.get(taskId(place, each.key)))),
    ...own.map((each) => ownTask(each, place.kind)),
  ];
}

/**
 * The jobs of one unit and its parts; none while it is being entered.
 *
 * @example tasksOfUnit(snapshot([]), unit, JOBS).some(({ id }) => id === "slot.look") // true
 */
export function tasksOfUnit(
  snapshot: HomeSnapshot,
  unit: Unit,
  jobs: JobCatalogue,
  isWithoutCooling = !hasCooling(snapshot.home.climate),
): PlannedTask[] {
  if (unit.setUpStep !== undefined) return [];
  const settings = settingsOf(snapshot);
  const unitId = unit.id;
  return [
    ...planAll(
      snapshot,
      here(snapshot, unit, isWithoutCooling, jobs, jobs.unit(unit.kind)),
      { unitId, kind: unit.kind },
      settings,
    ),
    ...snapshot.slots
      .filter((slot) => slot.unitId === unitId)
      .flatMap((slot) => [
        ...slotTasks(snapshot, slot, settings, jobs, unit.kind),
        ...planAll(
          snapshot,
          jobs.besideRenewal(slot.media),
          { unitId, partId: slot.id, kind: "filter" },
          settings,
        ),
      ]),
    ...snapshot.parts
      .filter((part) => part.unitId === unitId)
      .flatMap(({ id, kind, attributes }, _, all) =>
        planAll(
          snapshot,
          here(
            snapshot,
            unit,
            isWithoutCooling,
            jobs,
            jobs
              .part(kind, unit.kind, attributes)
              .filter(
                ({ together }) => !together || all.find((each) => each.kind === kind)?.id === id,
              ),
          ),
          { unitId, partId: id, kind },
          settings,
        ),
      ),
  ].map((task) => ledByOwn(snapshot, doneByWhom(unit, task, settings.get(task.id))));
}

/** On a roof nobody called safely reached everything is for licensed or building staff. */
const doneByWhom = (
  unit: Unit,
  task: PlannedTask,
  setting: TaskSetting | undefined,
): PlannedTask =>
  isRoofWork(unit) && setting?.changes.who === undefined ? { ...task, who: "licensed" } : task;

/** Definitions as this house has them: what stands beside its machine, and what its climate never does. */
function here(
  snapshot: HomeSnapshot,
  unit: Unit,
  isWithoutCooling: boolean,
  { soonerBesideLint }: JobCatalogue,
  definitions: readonly TaskDefinition[],
): TaskDefinition[] {
  const besideLint = snapshot.drivers.some(
    (driver) =>
      driver.kind === "dryer-or-litter-beside" &&
      (driver.scope === "home" ||
        (driver.scope === "system" && driver.systemId === unit.systemId) ||
        (driver.scope === "room" && driver.roomId === unit.roomId)),
  );
  return definitions.map((each) => {
    const trigger =
      besideLint && each.key === soonerBesideLint.key ? soonerBesideLint.trigger : each.trigger;
    return { ...each, trigger: isWithoutCooling ? byTimeInUse(trigger) : trigger };
  });
}

/** Where no summer is warm enough for a season of its own, cooling jobs go by the time in use. */
function byTimeInUse(trigger: Trigger): Trigger {
  switch (trigger.kind) {
    case "season":
      return isOfCooling(trigger.anchor)
        ? { kind: "every", n: 1, unit: "year", within: "inUse" }
        : trigger;
    case "every":
      return trigger.within === "cooling" ? { ...trigger, within: "inUse" } : trigger;
    case "earliest":
      return { ...trigger, of: trigger.of.map(byTimeInUse) };
    default:
      return trigger;
  }
}

const isOfCooling = (anchor: string) => anchor.startsWith("cooling") || anchor === "firstWarmDay";

const YEAR_DAYS = 366;
/** Whether a climate's usual year ever crosses the bound of the cooling season; the same every year. */
const hasCooling = (climate: Climate): boolean =>
  seasonDays(climate, 0, YEAR_DAYS).coolingStart.length > 0;
