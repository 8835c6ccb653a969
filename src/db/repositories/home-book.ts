import type { PlainDate } from "@/core/quantities/plain-date";
import type { HomeBook } from "@/core/inventory/inventory";
import type { Reader } from "../client";
import { listContacts } from "./contacts";
import { listDrivers } from "./drivers";
import { listEventsAfter, newestOrdinal } from "./history";
import { findHome, listLevels, listWeatherDays, observedVersion } from "./homes";
import { listItems, listItemsOfHome, listParts, listSlots } from "./parts";
import { listRegisters, listRooms } from "./rooms";
import { listTasks } from "./tasks";
import { listMeasuredHours, listSystems, listUnits } from "./units";

/** A book with how far its record goes, from which the next reading goes on. */
export type ReadBook = {
  book: HomeBook;
  /** The newest entry of the record in it. */
  ordinal: number;
  /** How often days had been observed. */
  observed: number;
};

/** Keeps what has not changed as the very same object, so that what follows from it stands too. */
function keep<T extends { id: string }>(before: readonly T[] | undefined, fresh: T[]): T[] {
  if (!before) return fresh;
  const byId = new Map(before.map((each) => [each.id, each]));
  const kept = fresh.map((each) => {
    const old = byId.get(each.id);
    return old && JSON.stringify(old) === JSON.stringify(each) ? old : each;
  });
  const isSame = kept.length === before.length && kept.every((each, i) => each === before[i]);
  return isSame ? (before as T[]) : kept;
}

/**
 * Reads a home with everything its due dates follow from; null when there is none of that id. With
 * an earlier reading only what was added to the record since is read again: the record is append
 * only, and the rest is short.
 */
export async function readHomeBook(
  db: Reader,
  homeId: string,
  earlier: ReadBook | null = null,
): Promise<ReadBook | null> {
  const ordinal = await newestOrdinal(db);
  const home = await findHome(db, homeId);
  if (!home) return null;
  const before = earlier?.book;
  const observed = await observedVersion(db, homeId);
  const [levels, rooms, registers, contacts, systems, allUnits, allSlots, parts, drivers, tasks] = [
    await listLevels(db, homeId),
    await listRooms(db, homeId),
    await listRegisters(db, homeId),
    await listContacts(db, homeId),
    await listSystems(db, homeId),
    await listUnits(db, homeId),
    await listSlots(db, homeId),
    await listParts(db, homeId),
    await listDrivers(db, homeId),
    await listTasks(db, homeId),
  ];
  const isRetired = new Set(allUnits.flatMap((unit) => (unit.retiredOn ? [unit.id] : [])));
  const isStale = !before || earlier.observed !== observed;
  const added = await listEventsAfter(db, homeId, earlier?.ordinal ?? 0);
  const items = before
    ? [...before.items, ...(await listItems(db, unknownItems(before, added)))]
    : await listItemsOfHome(db, homeId);
  const [keptHome] = keep(before ? [before.home] : undefined, [home]);
  const book: HomeBook = {
    home: keptHome!,
    levels: keep(before?.levels, levels),
    rooms: keep(before?.rooms, rooms),
    registers: keep(before?.registers, registers),
    contacts: keep(before?.contacts, contacts),
    systems: keep(before?.systems, systems),
    units: keep(
      before?.units,
      allUnits.filter((unit) => !isRetired.has(unit.id)),
    ),
    retired: keep(
      before?.retired,
      allUnits.filter((unit) => isRetired.has(unit.id)),
    ),
    slots: keep(
      before?.slots,
      allSlots.filter((slot) => !isRetired.has(slot.unitId)),
    ),
    retiredSlots: keep(
      before?.retiredSlots,
      allSlots.filter((slot) => isRetired.has(slot.unitId)),
    ),
    parts: keep(before?.parts, parts),
    drivers: keep(before?.drivers, drivers),
    tasks: keep(before?.tasks, tasks),
    items: before && items.length === before.items.length ? before.items : items,
    events: before ? (added.length === 0 ? before.events : [...before.events, ...added]) : added,
    actuals: isStale
      ? (await listWeatherDays(db, homeId)).map((day) => ({
          date: day.date as PlainDate,
          meanC: day.meanC,
        }))
      : before.actuals,
    measured: isStale
      ? await listMeasuredHours(
          db,
          systems.map((system) => system.id),
        )
      : before.measured,
  };
  return { book, ordinal, observed };
}

function unknownItems(before: HomeBook, added: HomeBook["events"]): string[] {
  const has = new Set(before.items.map((item) => item.id));
  return [...new Set(added.flatMap(({ itemId }) => (itemId && !has.has(itemId) ? [itemId] : [])))];
}
