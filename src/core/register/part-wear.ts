import type { PlainDate } from "../quantities/plain-date";
import type { Driver, DriverKind } from "../wear/drivers";
import {
  SHORTER_LIFE_SHARE,
  wearOfPlace,
  type PlaceContext,
  type Stint,
} from "../wear/place-history";
import type { WearResult, WearSlot } from "../wear/wear-schema";
import { driverSchema } from "../wear/drivers";
import { effectiveHistory } from "./effective-history";
import type { FilterSlot, HistoryEvent, HomeBook, Item, ScopedDriver } from "./register";

/** Whether a driver's scope takes in a slot of an air system. */
function reaches(
  driver: ScopedDriver,
  slot: FilterSlot,
  roomId: string | undefined,
  systemId: string,
): boolean {
  switch (driver.scope) {
    case "home":
      return true;
    case "room":
      return driver.roomId === roomId;
    case "system":
      return driver.systemId === systemId;
    case "part":
      return driver.partId === slot.id;
  }
}

type DustDriver = ScopedDriver & { kind: DriverKind };
const isDust = (driver: ScopedDriver): driver is DustDriver => driver.kind !== "breathing-trouble";

/** The engine's form of a driver in the register. */
export function engineDriver(driver: DustDriver): Driver {
  const { id, kind, count, fraction, from, to } = driver;
  const dated = kind === "duct-cleaning" || kind === "moved-in";
  return driverSchema.parse({
    id,
    kind,
    ...(count === undefined ? {} : { count }),
    ...(fraction === undefined ? {} : { fraction }),
    ...(dated ? { on: from } : { from, to }),
  });
}

export function driversOf(book: HomeBook, slot: FilterSlot): ScopedDriver[] {
  const unit = book.units.find((each) => each.id === slot.unitId);
  const roomId = slot.roomId ?? unit?.roomId;
  return book.drivers.filter((driver) => reaches(driver, slot, roomId, unit?.systemId ?? ""));
}

/** Whether somebody whose breathing is troubled breathes what this filter lets through, today. */
function sparesLungs(drivers: readonly ScopedDriver[], slot: FilterSlot, today: PlainDate) {
  return (
    slot.airSide !== "extract" &&
    slot.media !== "humidifier-panel" &&
    drivers.some(
      ({ kind, from, to }) =>
        kind === "breathing-trouble" &&
        (from === undefined || from <= today) &&
        (to === undefined || to >= today),
    )
  );
}

export function contextOf(book: HomeBook, slot: FilterSlot, today: PlainDate): PlaceContext {
  const unit = book.units.find((each) => each.id === slot.unitId);
  const system = book.systems.find((each) => each.id === unit?.systemId);
  if (!system) throw new Error(`contextOf: slot ${slot.id} has no air system`);
  const drivers = driversOf(book, slot);
  return {
    climate: book.home.climate,
    actuals: book.actuals,
    equipment: system.equipment,
    measured: book.measured.filter((entry) => entry.systemId === system.id),
    drivers: drivers.filter(isDust).map(engineDriver),
    lifeShare: sparesLungs(drivers, slot, today) ? SHORTER_LIFE_SHARE : 1,
  };
}

const MM2_PER_M2 = 1_000_000;

/** The area that air passes, all filters of the slot together, m². */
export const faceAreaM2 = (slot: FilterSlot): number =>
  (slot.filterCount * slot.nominal.mm.w * slot.nominal.mm.h) / MM2_PER_M2;

function wearSlotOf(slot: FilterSlot, item: Item | undefined): WearSlot {
  return {
    media: item?.media ?? slot.media,
    rating: item ? item.rating : slot.rating,
    airSide: slot.airSide,
    faceAreaM2: faceAreaM2(slot),
    airflowM3h: undefined,
    baseHours: slot.baseHours,
    maxAgeDays: slot.maxAgeDays,
    cleanDropPa: slot.cleanDropPa,
    finalRatio: 2,
  };
}

const byPart = new WeakMap<readonly HistoryEvent[], Map<string, HistoryEvent[]>>();

/** Everything recorded at one part, sorted out once for a record of tens of thousands of entries. */
export function eventsOfPart(events: readonly HistoryEvent[], partId: string): HistoryEvent[] {
  let sorted = byPart.get(events);
  if (!sorted) {
    sorted = new Map();
    for (const event of events) {
      if (event.partId === undefined) continue;
      const list = sorted.get(event.partId);
      if (list) list.push(event);
      else sorted.set(event.partId, [event]);
    }
    byPart.set(events, sorted);
  }
  return sorted.get(partId) ?? [];
}

/** Everything that counts of what was recorded at one part. */
export const historyOf = (book: HomeBook, partId: string): HistoryEvent[] =>
  effectiveHistory(eventsOfPart(book.events, partId));

/** Everything that counts of what was recorded at a unit, its parts included. */
export const historyOfUnit = (book: HomeBook, unitId: string): HistoryEvent[] =>
  effectiveHistory(book.events.filter((event) => event.unitId === unitId));

/** From each fitting or cleaning of a part to the next, with the looks between. */
export function stintsOf(book: HomeBook, slot: FilterSlot): Stint[] {
  const stints: Stint[] = [];
  const history = historyOf(book, slot.id);
  const starts = history.filter((event) => event.kind === "fitted" || event.kind === "cleaned");
  starts.forEach((start, i) => {
    const until = starts[i + 1]?.date;
    const item = book.items.find((each) => each.id === start.itemId);
    const looks = history.filter(
      (event) =>
        event.kind === "look" &&
        event.date > start.date &&
        // The look at the old filter on the day of the change belongs to the old one.
        (until === undefined || event.date <= until),
    );
    stints.push({
      startedOn: start.date,
      slot: wearSlotOf(slot, item),
      looks: looks.map((event) => ({
        date: event.date,
        grade: event.look?.grade,
        pressureDropPa: event.look?.pressureDropPa,
      })),
    });
  });
  return stints;
}

/** How the filter in a slot stands; null when none was ever recorded. */
export const wearOfSlot = (book: HomeBook, slot: FilterSlot, today: PlainDate): WearResult | null =>
  wearOfPlace(contextOf(book, slot, today), stintsOf(book, slot), today);
