import type { Climate } from "../climate/climate";
import type { Equipment } from "../climate/run-hours";
import type { EndKind } from "../procedures/loose-ends";
import type { PlainDate } from "../quantities/plain-date";
import type { Rating } from "../quantities/rating";
import type { LengthUnit, SizeMm } from "../quantities/size";
import type { Grade } from "../wear/belief";
import type { AirSide, DriverKind } from "../wear/drivers";
import type { Media } from "../wear/media";

/** What the register knows of a home and its machines: plain data, no truth derived in it. */
export type UnitSystem = "metric" | "us";

export type Home = {
  id: string;
  name: string;
  timeZone: string;
  unitSystem: UnitSystem;
  currency: string;
  climate: Climate;
};

export type LevelPlace = "inside" | "outdoors" | "outbuilding";
export type Level = { id: string; name: string; storey: number; place: LevelPlace };

export type AirSystem = { id: string; name: string; ducted: boolean; equipment: Equipment };

export const SHUT_OFF_KINDS = [
  "switch",
  "breaker",
  "disconnect",
  "plug",
  "gas-cock",
  "water-valve",
] as const;
export type ShutOffKind = (typeof SHUT_OFF_KINDS)[number];
export type ShutOff = { id: string; kind: ShutOffKind; place: string; offPosition?: string };

export type Unit = {
  id: string;
  levelId: string;
  systemId: string;
  kind: string;
  name: string;
  makeModel?: string;
  access?: string;
  /** In the order in which they are shut. */
  shutOffs: ShutOff[];
};

export const DIRECTIONS = [
  "unknown",
  "left",
  "right",
  "up",
  "down",
  "into-the-unit",
  "into-the-wall",
] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** A size as somebody typed it, and what it means. */
export type TypedSize = { text: string; mm: SizeMm };

export type FilterSlot = {
  id: string;
  unitId: string;
  name: string;
  place?: string;
  media: Media;
  rating?: Rating;
  airSide: AirSide;
  filterCount: number;
  nominal: TypedSize & { unit: LengthUnit };
  measured?: TypedSize;
  opening?: TypedSize;
  direction: Direction;
  directionMark?: string;
  indicator: boolean;
  priceMinor?: number;
  baseHours?: number;
  maxAgeDays?: number;
};

export type Item = {
  id: string;
  partId: string;
  media: Media;
  rating?: Rating;
  sizeText: string;
  priceMinor?: number;
};

export type DriverScope =
  { scope: "home" } | { scope: "system"; systemId: string } | { scope: "part"; partId: string };

export type DriverFacts = {
  kind: DriverKind;
  count?: number;
  fraction?: number;
  from?: PlainDate;
  to?: PlainDate;
  label?: string;
};
export type ScopedDriver = DriverScope & DriverFacts & { id: string };

export type Task = { id: string; unitId?: string; partId?: string; procedureId: string };

export type HistoryKind = "fitted" | "cleaned" | "look" | "note" | "withdrawn";
export type HistoryEvent = {
  id: string;
  kind: HistoryKind;
  unitId?: string;
  partId?: string;
  itemId?: string;
  date: PlainDate;
  recordedAt: string;
  corrects?: string;
  runId?: string;
  words?: string;
  minutes?: number;
  costMinor?: number;
  look?: { grade?: Grade; pressureDropPa?: number };
};

/** A home with everything that due dates follow from. */
export type HomeBook = {
  home: Home;
  levels: Level[];
  systems: AirSystem[];
  units: Unit[];
  slots: FilterSlot[];
  items: Item[];
  drivers: ScopedDriver[];
  tasks: Task[];
  /** Of filters only: fittings, cleanings, looks and what corrects them, in the order recorded. */
  events: HistoryEvent[];
  actuals: { date: PlainDate; meanC: number }[];
  measured: { systemId: string; date: PlainDate; hours: number }[];
};

/** The isolator that a unit's first electric shut-off is. */
export function isolatorOf(unit: Unit): EndKind {
  for (const { kind } of unit.shutOffs) {
    if (kind === "switch") return "switch-off";
    if (kind === "breaker") return "breaker-off";
    if (kind === "disconnect" || kind === "plug") return "disconnect-out";
  }
  return "switch-off";
}
