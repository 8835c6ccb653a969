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
} from "@/core/register/task";
import type { FilterSlot, HomeBook } from "@/core/register/register";
import {
  AFTER_DUCTS,
  AT_GREY,
  calendarOf,
  HOME_TASKS,
  lookTask,
  partTasks,
  renewalTask,
  unitTasks,
} from "./default-tasks";

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

/** Every job of a home: what comes with its parts, units and itself, and what people added. */
export function tasksOf(book: HomeBook): PlannedTask[] {
  const settings: Settings = new Map(book.tasks.map((each) => [taskId(each, each.key), each]));
  const plannedAll = (
    definitions: readonly TaskDefinition[],
    place: TaskPlace & { kind: string },
  ): PlannedTask[] => [
    ...definitions.map((each) => planned(each, place, settings.get(taskId(place, each.key)))),
    ...book.tasks
      .filter(
        (each) =>
          each.key.startsWith(OWN_KEY) &&
          each.unitId === place.unitId &&
          each.partId === place.partId,
      )
      .map((each) => ownTask(each, place.kind)),
  ];
  return [
    ...plannedAll(HOME_TASKS, { kind: "home" }),
    ...book.units
      .filter((unit) => unit.setUpStep === undefined)
      .flatMap((unit) => [
        ...plannedAll(unitTasks(unit.kind), { unitId: unit.id, kind: unit.kind }),
        ...book.slots
          .filter((slot) => slot.unitId === unit.id)
          .flatMap((slot) => [
            ...slotTasks(book, slot, settings),
            ...plannedAll([], { unitId: unit.id, partId: slot.id, kind: "filter" }),
          ]),
        ...book.parts
          .filter((part) => part.unitId === unit.id)
          .flatMap((part) =>
            plannedAll(partTasks(part.kind), {
              unitId: unit.id,
              partId: part.id,
              kind: part.kind,
            }),
          ),
      ]),
  ];
}
