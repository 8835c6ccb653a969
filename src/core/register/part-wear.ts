import type { PlainDate } from "../quantities/plain-date";
import type { Driver } from "../wear/drivers";
import { wearOfPlace, type PlaceContext, type Stint } from "../wear/place-history";
import type { WearResult, WearSlot } from "../wear/wear-schema";
import { driverSchema } from "../wear/drivers";
import { effectiveHistory } from "./effective-history";
import type { FilterSlot, HistoryEvent, HomeBook, Item, ScopedDriver } from "./register";

/** Whether a driver's scope takes in a slot of an air system. */
function reaches(driver: ScopedDriver, slot: FilterSlot, systemId: string): boolean {
  switch (driver.scope) {
    case "home":
      return true;
    case "system":
      return driver.systemId === systemId;
    case "part":
      return driver.partId === slot.id;
  }
}

/** The engine's form of a driver in the register. */
export function engineDriver(driver: ScopedDriver): Driver {
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
  return book.drivers.filter((driver) => reaches(driver, slot, unit?.systemId ?? ""));
}

export function contextOf(book: HomeBook, slot: FilterSlot): PlaceContext {
  const unit = book.units.find((each) => each.id === slot.unitId);
  const system = book.systems.find((each) => each.id === unit?.systemId);
  if (!system) throw new Error(`contextOf: slot ${slot.id} has no air system`);
  return {
    climate: book.home.climate,
    actuals: book.actuals,
    equipment: system.equipment,
    measured: book.measured.filter((entry) => entry.systemId === system.id),
    drivers: driversOf(book, slot).map(engineDriver),
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
    cleanDropPa: undefined,
    finalRatio: 2,
  };
}

/** Everything that counts of what was recorded at one part. */
export const historyOf = (book: HomeBook, partId: string): HistoryEvent[] =>
  effectiveHistory(book.events.filter((event) => event.partId === partId));

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
  wearOfPlace(contextOf(book, slot), stintsOf(book, slot), today);
