import { HistoryRecord } from "@/core/history/history-record";
import { NO_YEAR } from "@/core/planning/year";
import { sluiceHouse, type Demo } from "../demo/demo-homes";
import { addDays, type PlainDate } from "../src/core/quantities/plain-date";
import type { FilterSlot, Item, Unit } from "../src/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";

const UNITS = 25;
const YEARS_DAYS = 1095;

/** A home as large as any: 25 units with a filter each, and so many entries in its record. */
export function bigHome(today: PlainDate, entries = 20_000): Demo {
  const { snapshot: book } = sluiceHouse(today, new Date(`${today}T08:30:00Z`));
  const renamed = <T extends { id: string }>(list: readonly T[]): T[] =>
    list.map((each) => ({ ...each, id: `big-${each.id}` }));
  const furnace = book.units[0]!;
  const units = Array.from({ length: UNITS }, (_, i): Unit => {
    const { roomId: _room, contactId: _contact, ...rest } = furnace;
    return {
      ...rest,
      id: `big-unit-${i}`,
      name: `Furnace ${i + 1}`,
      levelId: `big-${furnace.levelId}`,
      systemId: `big-${furnace.systemId}`,
      shutOffs: furnace.shutOffs.map((off) => ({ ...off, id: `big-${i}-${off.id}` })),
    };
  });
  const slots = units.map((unit, i): FilterSlot => ({
    ...book.slots[0]!,
    id: `big-slot-${i}`,
    unitId: unit.id,
  }));
  const { events, items } = recordOf(slots, today, entries);
  const whole: HomeSnapshot = {
    ...book,
    home: { ...book.home, id: "big", name: "The big house" },
    levels: renamed(book.levels),
    systems: renamed(book.systems),
    rooms: [],
    registers: [],
    contacts: [],
    units,
    slots,
    parts: units.flatMap((unit) =>
      ["flame-sensor", "condensate-trap", "blower"].map((kind) => ({
        id: `${unit.id}-${kind}`,
        unitId: unit.id,
        kind,
        name: kind,
        attributes: {},
      })),
    ),
    drivers: renamed(book.drivers).filter((driver) => driver.scope === "home"),
    tasks: [],
    settings: [],
    visits: [],
    findings: [],
    instruments: [],
    year: NO_YEAR,
    items,
    history: new HistoryRecord(events),
  };
  return { snapshot: whole, runs: [], photos: [] };
}

/** At every slot a change each quarter and a look on most days between. */
function recordOf(slots: readonly FilterSlot[], today: PlainDate, entries: number) {
  const events: HistoryEvent[] = [];
  const items: Item[] = [];
  const perSlot = entries / slots.length;
  for (const slot of slots) {
    let itemId = "";
    for (let i = 0; i < perSlot; i++) {
      const date = addDays(today, -YEARS_DAYS + Math.floor((i * YEARS_DAYS) / perSlot));
      const common = {
        id: `${slot.id}-${i}`,
        unitId: slot.unitId,
        partId: slot.id,
        date,
        recordedAt: `${date}T10:00:00.000Z`,
      };
      if (i % 60 === 0) {
        itemId = `${slot.id}-item-${i}`;
        items.push({ id: itemId, partId: slot.id, media: slot.media, sizeText: "20x20x1" });
        events.push({ ...common, kind: "fitted", itemId });
      } else
        events.push({
          ...common,
          kind: "look",
          itemId,
          look: { grade: i % 60 < 30 ? "light" : "grey" },
        });
    }
  }
  return { events, items };
}
