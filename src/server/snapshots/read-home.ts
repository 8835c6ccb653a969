import type { HistoryEvent } from "@/core/history/history-event";
import { HistoryRecord } from "@/core/history/history-record";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { Reader } from "@/db/client";
import { listContacts } from "@/db/repositories/contacts";
import { listDrivers } from "@/db/repositories/drivers";
import { listEventsAfter, newestOrdinal } from "@/db/repositories/history";
import { findHome, listLevels, listWeatherDays, observedVersion } from "@/db/repositories/homes";
import { listItems, listItemsOfHome, listParts, listSlots } from "@/db/repositories/parts";
import { listRegisters, listRooms } from "@/db/repositories/rooms";
import { listEndEntries, type RecordedEnd } from "@/db/repositories/runs";
import { listTasks } from "@/db/repositories/tasks";
import { listGoing, type GoingRun } from "./read-runs";
import { listMeasuredHours, listSystems, listUnits } from "@/db/repositories/units";

/** A snapshot with how far its record goes, from which the next reading goes on. */
export type HomeRead = {
  snapshot: HomeSnapshot;
  /** The newest entry of the record in it. */
  ordinal: number;
  /** How often days had been observed. */
  observed: number;
  /** The runs somebody has begun and not ended, and the ends that outlived their run. */
  going: GoingRun[];
  recordedEnds: RecordedEnd[];
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
export async function readHome(
  db: Reader,
  homeId: string,
  earlier: HomeRead | null = null,
): Promise<HomeRead | null> {
  const ordinal = await newestOrdinal(db);
  const home = await findHome(db, homeId);
  if (!home) return null;
  const before = earlier?.snapshot;
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
  const snapshot: HomeSnapshot = {
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
    history: !before
      ? new HistoryRecord(added)
      : added.length === 0
        ? before.history
        : before.history.with(...added),
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
  const isSame =
    before !== undefined &&
    (Object.keys(snapshot) as (keyof HomeSnapshot)[]).every((key) => before[key] === snapshot[key]);
  return {
    snapshot: isSame ? before : snapshot,
    ordinal,
    observed,
    going: await listGoing(db, homeId),
    recordedEnds: await listEndEntries(db, homeId),
  };
}

function unknownItems(before: HomeSnapshot, added: readonly HistoryEvent[]): string[] {
  const has = new Set(before.items.map((item) => item.id));
  return [...new Set(added.flatMap(({ itemId }) => (itemId && !has.has(itemId) ? [itemId] : [])))];
}
