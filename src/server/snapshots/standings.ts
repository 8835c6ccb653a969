import type { PlainDate } from "@/core/quantities/plain-date";
import { eventsOfPart } from "@/core/history/record";
import { ductCleanings } from "@/core/history/duct-cleanings";
import type { FilterSlot, HomeBook, ScopedDriver } from "@/core/inventory/inventory";
import { standingOf, type Standing } from "@/core/filters/filter-status";
import { HOUSEHOLD_WORDS } from "@/content/words";

/** A driver inside a sentence of reasons: in the owner's own word where there is one. */
export const reasonWords = (driver: ScopedDriver): string =>
  driver.label ?? HOUSEHOLD_WORDS[driver.kind].reason(driver.count);

const known = new WeakMap<HomeBook, Map<PlainDate, Standing[]>>();
const bySlot = new WeakMap<FilterSlot, { of: unknown[]; standing: Standing }>();

/** Everything a standing follows from; the record only grows, so its length and end tell it. */
function groundsOf(book: HomeBook, slot: FilterSlot, today: PlainDate): unknown[] {
  const unit = book.units.find((each) => each.id === slot.unitId);
  const events = eventsOfPart(book.events, slot.id);
  const { home, systems, drivers, actuals, measured } = book;
  const cleanings = ductCleanings(book).join();
  return [
    ...[today, home, unit, systems, drivers, actuals, measured],
    ...[cleanings, events.length, events.at(-1)?.id],
  ];
}

function standingNow(book: HomeBook, slot: FilterSlot, today: PlainDate): Standing {
  const of = groundsOf(book, slot, today);
  const before = bySlot.get(slot);
  if (before?.of.every((ground, i) => ground === of[i])) return before.standing;
  const standing = standingOf(book, slot, today, reasonWords);
  bySlot.set(slot, { of, standing });
  return standing;
}

/** How every slot of a home stands today, worked out once as long as nothing under it changes. */
export function standingsOf(book: HomeBook, today: PlainDate): Standing[] {
  const days = known.get(book) ?? new Map<PlainDate, Standing[]>();
  known.set(book, days);
  let standings = days.get(today);
  if (!standings) {
    standings = book.slots.map((slot) => standingNow(book, slot, today));
    days.set(today, standings);
  }
  return standings;
}
