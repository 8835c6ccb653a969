import { addDays, plainDate } from "../src/core/quantities/plain-date";
import { wearInputNow } from "../src/core/filters/place-history";
import { contextOf, installedPeriodsOf } from "../src/core/filters/slot-wear";
import { wear } from "../src/core/filters/wear";
import type { WearResult } from "../src/core/filters/wear-schema";
import { equipmentSchema } from "../src/core/climate/run-hours";
import { climateSchema } from "../src/core/climate/climate";
import { HistoryRecord } from "../src/core/history/history-record";
import { NO_YEAR } from "../src/core/planning/year";
import { type FilterSlot, type ScopedDriver, type Unit } from "../src/core/inventory/inventory";
import { type HomeSnapshot } from "../src/core/history/home-snapshot";
import { type HistoryEvent } from "../src/core/history/history-event";

/** The day on which tests of the core stand. */
export const today = plainDate("2026-03-14");
/** So many days after it; before it where negative. */
export const day = (offset: number) => addDays(today, offset);

/** A pleated filter in the return duct of the furnace. */
export const slot = (extra: Partial<FilterSlot> = {}): FilterSlot => ({
  id: "slot",
  unitId: "furnace",
  name: "Filter",
  slotPlace: "return-duct",
  cutToSize: false,
  seat: "rail",
  media: "pleated-25",
  rating: { scheme: "MERV", class: "8" },
  airSide: "recirculated",
  filterCount: 1,
  nominal: { text: "20x20x1", unit: "in", mm: { w: 508, h: 508, d: 25.4 } },
  direction: "right",
  indicator: false,
  ...extra,
});

/** The furnace of the small home. */
export const unit: Unit = {
  id: "furnace",
  levelId: "cellar",
  systemId: "air",
  kind: "condensing-furnace",
  name: "Cellar furnace",
  attributes: {},
  shutOffs: [],
};

let ordinal = 0;
/** An entry about the filter; each recorded a second after the one before. */
export const event = (
  kind: HistoryEvent["kind"],
  offset: number,
  extra: Partial<HistoryEvent> = {},
): HistoryEvent => ({
  id: `e${++ordinal}`,
  kind,
  partId: "slot",
  unitId: "furnace",
  date: day(offset),
  recordedAt: `2026-03-14T08:00:0${ordinal % 10}Z`,
  ...extra,
});
export const look = (offset: number, grade: "clean" | "light" | "grey" | "loaded" | "blocked") =>
  event("look", offset, { look: { grade } });

/** A home with one furnace, one filter, and what is recorded of it. */
export const snapshot = (
  events: HistoryEvent[],
  extra: Partial<HomeSnapshot> = {},
): HomeSnapshot => ({
  home: {
    id: "home",
    name: "Home",
    timeZone: "Etc/UTC",
    unitSystem: "metric",
    currency: "EUR",
    climate: climateSchema.parse({
      monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
      heatingDesignC: -24,
      coolingDesignMeanC: 26,
    }),
  },
  levels: [{ id: "cellar", name: "Cellar", storey: -1, place: "inside" }],
  systems: [
    {
      id: "air",
      name: "Furnace",
      ducted: true,
      equipment: equipmentSchema.parse({ heats: true, cools: true, fan: { mode: "auto" } }),
    },
  ],
  rooms: [],
  registers: [],
  contacts: [],
  units: [unit],
  retired: [],
  slots: [slot()],
  retiredSlots: [],
  parts: [],
  items: [],
  drivers: [],
  visits: [],
  findings: [],
  instruments: [],
  year: NO_YEAR,
  tasks: [],
  settings: [],
  ownProcedures: [],
  history: new HistoryRecord(events),
  actuals: [],
  measured: [],
  ...extra,
});
/** A driver by its own words. */
export const wordsFor = (driver: ScopedDriver) => driver.label ?? driver.kind;

/** How the filter in a slot wears, with its days; null where none was ever recorded. */
export function wearOfSlot(home: HomeSnapshot, at: FilterSlot, on = today): WearResult | null {
  const input = wearInputNow(contextOf(home, at, on), installedPeriodsOf(home, at), on);
  return input && wear(input);
}
