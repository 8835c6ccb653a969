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
} from "@/core/scheduling/task";
import { seasonDays } from "@/core/climate/climate";
import type { Climate } from "@/core/climate/climate";
import type { Cadence } from "@/core/scheduling/trigger";
import { isRoofWork } from "@/core/inventory/reach";
import type { FilterSlot, HomeBook, Unit } from "@/core/inventory/inventory";
import {
  AFTER_DUCTS,
  AT_GREY,
  calendarOf,
  HOME_TASKS,
  lookTask,
  partTasks,
  POLISH_SOONER,
  renewalTask,
  slotExtras,
  unitTasks,
} from "@/content/default-tasks";

type Settings = ReadonlyMap<string, TaskSetting>;

/** Looks at filters in ducts follow the cleaning of those. */
const inDucts = (book: HomeBook, slot: FilterSlot): boolean => {
  const unit = book.units.find((each) => each.id === slot.unitId);
  const system = book.systems.find((each) => each.id === unit?.systemId);
  return slot.airSide === "recirculated" && system?.ducted === true;
};

/** A filter’s jobs: its renewal by the school somebody follows, and the looks that go with it. */
function slotTasks(book: HomeBook, slot: FilterSlot, settings: Settings): PlannedTask[] {
  const place = { unitId: slot.unitId, partId: slot.id, kind: "filter" };
  const setting = settings.get(taskId(place, RENEW));
  const { school = "wear", lookEveryDays = LOOK_EVERY_DAYS, cadence } = setting?.changes ?? {};
  const renewal = planned(renewalTask(slot.media), place, setting);
  const byGrey = { ...renewal, school, cadence: AT_GREY };
  const lookSetting = settings.get(taskId(place, LOOK));
  switch (school) {
    case "wear":
      return [
        { ...renewal, school, cadence: { kind: "wear" } },
        ...(inDucts(book, slot) ? [planned(AFTER_DUCTS, place, lookSetting)] : []),
      ];
    case "calendar":
      return [
        { ...renewal, school, cadence: cadence ?? calendarOf(slot.media) },
        ...(inDucts(book, slot) ? [planned(AFTER_DUCTS, place, lookSetting)] : []),
      ];
    case "look":
      return [byGrey, planned(lookTask(lookEveryDays), place, lookSetting)];
  }
}

/** A job somebody made up: a maker’s own checklist, a habit of the house. */
function ownTask(setting: TaskSetting, kind: string): PlannedTask {
  const { key, changes, unitId, partId } = setting;
  const definition: TaskDefinition = {
    key,
    name: changes.name ?? "",
    cadence: changes.cadence ?? { kind: "every", n: 1, unit: "year", within: undefined },
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

const known = new WeakMap<HomeBook, PlannedTask[]>();

/** Every job of a home: what comes with its parts, units and itself, and what people added. */
export function tasksOf(book: HomeBook): PlannedTask[] {
  let tasks = known.get(book);
  if (!tasks) {
    tasks = [
      ...planAll(book, HOME_TASKS, { kind: "home" }, settingsOf(book)),
      ...book.units.flatMap((unit) => tasksOfUnit(book, unit)),
    ];
    known.set(book, tasks);
  }
  return tasks;
}

const settingsOf = (book: HomeBook): Settings =>
  new Map(book.tasks.map((each) => [taskId(each, each.key), each]));

function planAll(
  book: HomeBook,
  definitions: readonly TaskDefinition[],
  place: TaskPlace & { kind: string },
  settings: Settings,
): PlannedTask[] {
  const own = book.tasks.filter(
    (each) =>
      each.key.startsWith(OWN_KEY) && each.unitId === place.unitId && each.partId === place.partId,
  );
  return [
    ...definitions.map((each) => planned(each, place, settings.get(taskId(place, each.key)))),
    ...own.map((each) => ownTask(each, place.kind)),
  ];
}

/** The jobs of one unit and its parts; none while it is being entered. */
export function tasksOfUnit(book: HomeBook, unit: Unit): PlannedTask[] {
  if (unit.setUpStep !== undefined) return [];
  const settings = settingsOf(book);
  const unitId = unit.id;
  return [
    ...planAll(book, here(book, unit, unitTasks(unit.kind)), { unitId, kind: unit.kind }, settings),
    ...book.slots
      .filter((slot) => slot.unitId === unitId)
      .flatMap((slot) => [
        ...slotTasks(book, slot, settings),
        ...planAll(
          book,
          slotExtras(slot.media),
          { unitId, partId: slot.id, kind: "filter" },
          settings,
        ),
      ]),
    ...book.parts
      .filter((part) => part.unitId === unitId)
      .flatMap(({ id, kind }) =>
        planAll(
          book,
          here(book, unit, partTasks(kind, unit.kind)),
          { unitId, partId: id, kind },
          settings,
        ),
      ),
  ].map((task) => doneByWhom(unit, task, settings.get(task.id)));
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
  book: HomeBook,
  unit: Unit,
  definitions: readonly TaskDefinition[],
): TaskDefinition[] {
  const besideLint = book.drivers.some(
    (driver) =>
      driver.kind === "dryer-or-litter-beside" &&
      (driver.scope === "home" ||
        (driver.scope === "system" && driver.systemId === unit.systemId) ||
        (driver.scope === "room" && driver.roomId === unit.roomId)),
  );
  return definitions.map((each) => {
    const cadence = besideLint && each.key === "polish" ? POLISH_SOONER : each.cadence;
    return { ...each, cadence: inThisClimate(book.home.climate, cadence) };
  });
}

/** Where no summer is warm enough for a season of its own, cooling jobs go by the time in use. */
function inThisClimate(climate: Climate, cadence: Cadence): Cadence {
  switch (cadence.kind) {
    case "season":
      return isOfCooling(cadence.anchor) && !hasCooling(climate)
        ? { kind: "every", n: 1, unit: "year", within: "inUse" }
        : cadence;
    case "every":
      return cadence.within === "cooling" && !hasCooling(climate)
        ? { ...cadence, within: "inUse" }
        : cadence;
    case "earliest":
      return { ...cadence, of: cadence.of.map((each) => inThisClimate(climate, each)) };
    default:
      return cadence;
  }
}

const isOfCooling = (anchor: string) => anchor.startsWith("cooling") || anchor === "firstWarmDay";

const YEAR_DAYS = 366;
const cools = new WeakMap<Climate, boolean>();
/** Whether a climate's usual year ever crosses the bound of the cooling season; the same every year. */
function hasCooling(climate: Climate): boolean {
  const known = cools.get(climate);
  if (known !== undefined) return known;
  const has = seasonDays(climate, 0, YEAR_DAYS).coolingStart.length > 0;
  cools.set(climate, has);
  return has;
}
