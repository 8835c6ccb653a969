import type { HistoryEvent } from "@/core/history/history-event";
import { HistoryRecord } from "@/core/history/history-record";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Year } from "@/core/planning/year";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { Reader } from "@/db/client";
import { listContacts } from "@/db/repositories/contacts";
import { listDrivers } from "@/db/repositories/drivers";
import { listEventsAfter, newestOrdinal } from "@/db/repositories/history";
import {
  findHome,
  listLevels,
  listWeatherDays,
  observedVersion,
  registerNumberNow,
  restoredNumber,
} from "@/db/repositories/homes";
import { listItems, listItemsOfHome, listParts, listSlots } from "@/db/repositories/parts";
import { listRegisters, listRooms } from "@/db/repositories/rooms";
import { listEndEntries, type RecordedEnd } from "@/db/repositories/runs";
import { listOwnProcedures } from "@/db/repositories/own-procedures";
import { listSettings } from "@/db/repositories/settings";
import { readYear } from "@/db/repositories/year";
import { listTasks } from "@/db/repositories/tasks";
import { listGoing, type GoingRun } from "./read-runs";
import { listFindings, listInstruments, listVisits } from "@/db/repositories/visits";
import { listMeasuredHours, listSystems, listUnits } from "@/db/repositories/units";

/** A snapshot with how far its record goes, from which the next reading goes on. */
export type HomeRead = {
  snapshot: HomeSnapshot;
  /** How often a copy had been put in the place of everything. */
  restored: number;
  /** The newest entry of the record in it. */
  ordinal: number;
  /** How often what homes consist of had been changed. */
  registerNumber: number;
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

const keepYear = (before: Year | undefined, fresh: Year): Year =>
  before && JSON.stringify(before) === JSON.stringify(fresh) ? before : fresh;

type Register = Pick<
  HomeSnapshot,
  | "home"
  | "levels"
  | "rooms"
  | "registers"
  | "contacts"
  | "systems"
  | "units"
  | "retired"
  | "slots"
  | "retiredSlots"
  | "parts"
  | "drivers"
  | "tasks"
  | "settings"
  | "ownProcedures"
  | "visits"
  | "findings"
  | "instruments"
  | "year"
>;

/** What a home consists of; what did not change since an earlier reading is the very same object. */
async function readRegister(
  db: Reader,
  homeId: string,
  before: Register | undefined,
): Promise<Register | null> {
  const home = await findHome(db, homeId);
  if (!home) return null;
  const units = await listUnits(db, homeId);
  const slots = await listSlots(db, homeId);
  const retired = new Set(units.flatMap((unit) => (unit.retiredOn ? [unit.id] : [])));
  const [keptHome] = keep(before ? [before.home] : undefined, [home]);
  return {
    home: keptHome!,
    levels: keep(before?.levels, await listLevels(db, homeId)),
    rooms: keep(before?.rooms, await listRooms(db, homeId)),
    registers: keep(before?.registers, await listRegisters(db, homeId)),
    contacts: keep(before?.contacts, await listContacts(db, homeId)),
    systems: keep(before?.systems, await listSystems(db, homeId)),
    units: keep(
      before?.units,
      units.filter(({ id }) => !retired.has(id)),
    ),
    retired: keep(
      before?.retired,
      units.filter(({ id }) => retired.has(id)),
    ),
    slots: keep(
      before?.slots,
      slots.filter(({ unitId }) => !retired.has(unitId)),
    ),
    retiredSlots: keep(
      before?.retiredSlots,
      slots.filter(({ unitId }) => retired.has(unitId)),
    ),
    parts: keep(before?.parts, await listParts(db, homeId)),
    drivers: keep(before?.drivers, await listDrivers(db, homeId)),
    tasks: keep(before?.tasks, await listTasks(db, homeId)),
    settings: keep(before?.settings, await listSettings(db, homeId)),
    visits: keep(before?.visits, await listVisits(db, homeId)),
    findings: keep(before?.findings, await listFindings(db, homeId)),
    instruments: keep(before?.instruments, await listInstruments(db, homeId)),
    year: keepYear(before?.year, await readYear(db, homeId)),
    ownProcedures: keep(before?.ownProcedures, await listOwnProcedures(db, homeId)),
  };
}

/**
 * Reads a home with everything its due dates follow from; null when there is none of that id. With
 * an earlier reading only what was added to the record since is read again, as the record is append
 * only, and what the home consists of where its number moved.
 */
export async function readHome(
  db: Reader,
  homeId: string,
  last: HomeRead | null = null,
): Promise<HomeRead | null> {
  const restored = await restoredNumber(db);
  // What was read before a copy took the place of everything has nothing to do with what is there now.
  const earlier = last?.restored === restored ? last : null;
  const ordinal = await newestOrdinal(db);
  const before = earlier?.snapshot;
  const number = await registerNumberNow(db);
  const register =
    before && earlier.registerNumber === number ? before : await readRegister(db, homeId, before);
  if (!register) return null;
  const observed = await observedVersion(db, homeId);
  const isStale = !before || earlier.observed !== observed;
  const added = await listEventsAfter(db, homeId, earlier?.ordinal ?? 0);
  const items = before
    ? [...before.items, ...(await listItems(db, unknownItems(before, added)))]
    : await listItemsOfHome(db, homeId);
  const snapshot: HomeSnapshot = {
    ...register,
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
          register.systems.map((system) => system.id),
        )
      : before.measured,
  };
  const isSame =
    before !== undefined &&
    (Object.keys(snapshot) as (keyof HomeSnapshot)[]).every((key) => before[key] === snapshot[key]);
  return {
    snapshot: isSame ? before : snapshot,
    restored,
    ordinal,
    registerNumber: number,
    observed,
    going: await listGoing(db, homeId),
    recordedEnds: await listEndEntries(db, homeId),
  };
}

function unknownItems(before: HomeSnapshot, added: readonly HistoryEvent[]): string[] {
  const has = new Set(before.items.map((item) => item.id));
  return [...new Set(added.flatMap(({ itemId }) => (itemId && !has.has(itemId) ? [itemId] : [])))];
}
