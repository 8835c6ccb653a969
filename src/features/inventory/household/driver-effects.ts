import { inSentence } from "@/core/quantities/words";
import { filterStatusesOf } from "@/server/snapshots/snapshot-cache";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import type { ScopedDriver } from "@/core/inventory/inventory";
import type { Effect } from "./driver-effects-schema";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

/** The due days that move when a driver is added, or changed, and by how much; the most first. */
export function effectsOf(
  snapshot: HomeSnapshot,
  driver: ScopedDriver,
  today: PlainDate,
): Effect[] {
  const others = snapshot.drivers.filter((each) => each.id !== driver.id);
  const changed: HomeSnapshot = { ...snapshot, drivers: [...others, driver] };
  const after = new Map(filterStatusesOf(changed, today).map((each) => [each.slot.id, each]));
  return filterStatusesOf(snapshot, today)
    .flatMap(({ slot, unit, wear }): Effect[] => {
      const then = after.get(slot.id)?.wear?.likely;
      if (!wear?.likely || !then || then === wear.likely) return [];
      const name = `${unit.name}, ${inSentence(slot.name)}`;
      const daysSooner = daysFrom(then, wear.likely);
      return [{ slotId: slot.id, name, before: wear.likely, after: then, daysSooner }];
    })
    .sort((a, b) => Math.abs(b.daysSooner) - Math.abs(a.daysSooner));
}
