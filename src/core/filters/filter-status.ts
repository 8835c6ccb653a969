import type { PlainDate } from "../quantities/plain-date";
import type { FilterSlot, ScopedDriver, Unit } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";
import { contextOf, installedPeriodsOf } from "./slot-wear";
import { explain, wearStatusOf, type Explanation, type WearStatus } from "./wear-status";

/** How a slot stands today: what every screen says of it. */
export type FilterStatus = WearStatus & Explanation & { slot: FilterSlot; unit: Unit };

const SLOT_WORDS = { place: "this slot", neverFitted: "No change recorded yet." };

function unitOf(snapshot: HomeSnapshot, slot: FilterSlot): Unit {
  const unit = snapshot.units.find((each) => each.id === slot.unitId);
  if (!unit) throw new Error(`filterStatusOf: slot ${slot.id} has no unit`);
  return unit;
}

/**
 * How the filter of one slot stands on a day: what is in place, when it is due and why. A slot nobody
 * ever saw a filter fitted in has a status too, without days; so has one whose entries are at odds with
 * themselves, and its sentence says so.
 *
 * @throws where its unit moves no air: a mistake of ours, the store lets no slot be there
 * @param wordsFor names a driver in the words of this home, for the causes
 * @example filterStatusOf(snapshot([]), slot(), today, () => "").sentence // "No change recorded yet."
 */
export function filterStatusOf(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): FilterStatus {
  const unit = unitOf(snapshot, slot);
  const status = wearStatusOf(
    {
      context: contextOf(snapshot, slot, today),
      installedPeriods: installedPeriodsOf(snapshot, slot),
    },
    today,
  );
  return { slot, unit, ...status, ...explain(snapshot, slot, status, today, wordsFor, SLOT_WORDS) };
}

/**
 * Soonest due first; what was never recorded comes first of all, as it needs a word.
 *
 * @example bySoonest({ wear: null }, { wear: { likely: "2026-03-16" } }) // -1
 */
export function bySoonest(a: FilterStatus, b: FilterStatus): number {
  const key = (filterStatus: FilterStatus) =>
    filterStatus.wear === null ? "" : (filterStatus.wear.likely ?? "9999-12-31");
  return key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0;
}
