import type { Climate } from "../climate/climate";
import type { Equipment } from "../climate/run-hours";
import type { SEATS } from "../calculators/filter-fit";
import type { EndKind } from "../runs/loose-ends";
import type { UnitSystem } from "../quantities/length";
import type { CapacitorStrategy } from "../readings/judge";
import type { PlainDate } from "../quantities/plain-date";
import type { Rating } from "../quantities/rating";
import type { LengthUnit, SizeMm } from "../quantities/size";
import type { AirSide, DriverKind } from "../filters/drivers";
import type { Media } from "../filters/media";
import type { Direction } from "./directions";
import type { Attributes } from "./attribute";
import type { Identity } from "./identity";

/** Where the whole house is shut off. */
export const MAINS = ["water", "gas", "power"] as const;
export type Main = (typeof MAINS)[number];
export type Mains = Partial<Record<Main, { place: string; offPosition?: string }>>;

/** What the register knows of a home and its machines: plain data, no truth derived in it. */
export type Home = {
  id: string;
  name: string;
  timeZone: string;
  unitSystem: UnitSystem;
  currency: string;
  climate: Climate;
  /** What local rules ask for: who may touch gas, what needs a permit. */
  localRules?: string;
  /** The main cock, valve and breaker of the house. */
  mains?: Mains;
  /** When a capacitor goes: beyond what is printed on it, or beyond a tenth. */
  capacitorStrategy?: CapacitorStrategy;
  /** What an hour of the household’s own work is worth to it, minor units. */
  hourMinor?: number;
  /** The day it was entered, once it is stored: nothing was owed here before. */
  enteredOn?: PlainDate;
};

export type LevelPlace = "inside" | "outdoors" | "outbuilding";
export type Level = { id: string; name: string; storey: number; place: LevelPlace };

export type Room = { id: string; levelId: string; name: string; sleeps: boolean };

/** Where air comes into a room, or leaves it, and whether it is open. */
export type Register = {
  id: string;
  roomId: string;
  role: "supply" | "return";
  place?: string;
  isShut: boolean;
};

export const CONTACT_ROLES = [
  "technician",
  "supplier",
  "gas",
  "emergency",
  "landlord",
  "other",
] as const;
export type ContactRole = (typeof CONTACT_ROLES)[number];
export type Contact = {
  id: string;
  name: string;
  role: ContactRole;
  phone?: string;
  email?: string;
  note?: string;
};

/** Machines that move air together; `airflowM3h` is what they move when they run. */
export type AirSystem = {
  id: string;
  name: string;
  ducted: boolean;
  equipment: Equipment;
  airflowM3h?: number;
};

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

/** The steps in which a unit is entered; the half done one remembers which comes next. */
export const SET_UP_STEPS = ["plate", "place", "shut-off", "filters", "parts"] as const;
export type SetUpStep = (typeof SET_UP_STEPS)[number];

export type Unit = {
  id: string;
  levelId: string;
  roomId?: string;
  systemId: string;
  kind: string;
  name: string;
  make?: string;
  model?: string;
  serial?: string;
  refrigerant?: string;
  fittedOn?: PlainDate;
  /** Where its manual and papers are. */
  papers?: string;
  warrantyEndsOn?: PlainDate;
  warrantyRegistered?: boolean;
  contactId?: string;
  access?: string;
  note?: string;
  /** By the attributes of its kind. */
  attributes: Attributes;
  /** In the order in which they are shut. */
  shutOffs: ShutOff[];
  /** The step at which it was left half entered. */
  setUpStep?: SetUpStep;
  /** What it cost, fitted; and what a new one would cost today: minor units. */
  purchaseMinor?: number;
  replacementMinor?: number;
  /** Out of service since; its record stays. */
  retiredOn?: PlainDate;
  successorId?: string;
  /** The day it was entered, once it is stored. */
  enteredOn?: PlainDate;
};

/** A lasting place in or beside a unit that gets serviced; filter slots say more of themselves. */
export type Part = {
  id: string;
  unitId: string;
  kind: string;
  name: string;
  place?: string;
  roomId?: string;
  note?: string;
  attributes: Attributes;
  /** Who made it, and what it takes when something of it is to be had. */
  identity?: Identity;
  /** The day it was entered, once it is stored. */
  enteredOn?: PlainDate;
};

/** A size as somebody typed it, and what it means. */
export type TypedSize = { text: string; mm: SizeMm };

/** Where in the house a slot is. */
export const SLOT_PLACES = [
  "return-duct",
  "blower-compartment",
  "wall-grille",
  "ceiling-grille",
  "in-the-machine",
  "elsewhere",
] as const;
export type SlotPlace = (typeof SLOT_PLACES)[number];

/** How the frame is held, from loose to sealed. */
export type Seat = (typeof SEATS)[number];

export type FilterSlot = {
  id: string;
  unitId: string;
  name: string;
  slotPlace: SlotPlace;
  place?: string;
  /** The room of a grille that is not at its unit. */
  roomId?: string;
  note?: string;
  media: Media;
  rating?: Rating;
  airSide: AirSide;
  filterCount: number;
  /** As printed on its frame; none where nothing is printed, or nobody has read it yet. */
  nominal?: TypedSize & { unit: LengthUnit };
  measured?: TypedSize;
  opening?: TypedSize;
  direction: Direction;
  directionMark?: string;
  /** Bought as a sheet and cut. */
  cutToSize: boolean;
  seat: Seat;
  indicator: boolean;
  indicatorReset?: string;
  /** How wide its cylinder is across, mm: what a wrap is cut by. */
  acrossMm?: number;
  /** Of a clean one at the full airflow, as its box says, Pa. */
  cleanDropPa?: number;
  priceMinor?: number;
  baseHours?: number;
  maxAgeDays?: number;
  identity?: Identity;
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
  | { scope: "home" }
  | { scope: "room"; roomId: string }
  | { scope: "system"; systemId: string }
  | { scope: "part"; partId: string };

/**
 * What is asked about a household: dust for its filters, lungs that want them changed sooner, or a
 * house left alone, in which machines run for a `fraction` of their hours.
 */
export type HouseholdKind = DriverKind | "breathing-trouble" | "away";

export type DriverFacts = {
  kind: HouseholdKind;
  count?: number;
  fraction?: number;
  from?: PlainDate;
  to?: PlainDate;
  label?: string;
};
export type ScopedDriver = DriverScope & DriverFacts & { id: string };

/**
 * The isolator that a unit's first electric shut-off is.
 *
 * @example isolatorOf({ shutOffs: [{ kind: "gas-cock" }, { kind: "breaker" }] }) // "breaker-off"
 */
export function isolatorOf(unit: Unit): EndKind {
  for (const { kind } of unit.shutOffs) {
    if (kind === "switch") return "switch-off";
    if (kind === "breaker") return "breaker-off";
    if (kind === "disconnect" || kind === "plug") return "disconnect-out";
  }
  return "switch-off";
}

/**
 * “Northgate CF-80”
 *
 * @example plateWords({ make: "Northgate", model: "CF-80" }) // "Northgate CF-80"
 */
export const plateWords = (unit: Unit): string => [unit.make, unit.model].filter(Boolean).join(" ");
