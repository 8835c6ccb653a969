import { inSentence } from "@/core/quantities/words";
import { standingsOf } from "@/server/snapshots/standings";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import type { HomeBook, ScopedDriver } from "@/core/inventory/inventory";

/** What a driver does to one filter that is in place now. */
export type Effect = {
  slotId: string;
  name: string;
  before: PlainDate;
  after: PlainDate;
  /** Days by which it comes sooner; later below 0. */
  daysSooner: number;
};

/** The due days that move when a driver is added, or changed, and by how much; the most first. */
export function effectsOf(book: HomeBook, driver: ScopedDriver, today: PlainDate): Effect[] {
  const others = book.drivers.filter((each) => each.id !== driver.id);
  const changed: HomeBook = { ...book, drivers: [...others, driver] };
  const after = new Map(standingsOf(changed, today).map((each) => [each.slot.id, each]));
  return standingsOf(book, today)
    .flatMap(({ slot, unit, wear }): Effect[] => {
      const then = after.get(slot.id)?.wear?.likely;
      if (!wear?.likely || !then || then === wear.likely) return [];
      const name = `${unit.name}, ${inSentence(slot.name)}`;
      const daysSooner = daysFrom(then, wear.likely);
      return [{ slotId: slot.id, name, before: wear.likely, after: then, daysSooner }];
    })
    .sort((a, b) => Math.abs(b.daysSooner) - Math.abs(a.daysSooner));
}
