import type { EndKind } from "@/core/runs/loose-ends";
import type {
  ContactRole,
  HouseholdKind,
  Main,
  Seat,
  ShutOffKind,
  SlotPlace,
} from "@/core/inventory/inventory";
import type { Direction } from "@/core/inventory/directions";
import type { Grade } from "@/core/filters/belief";
import type { AirSide } from "@/core/filters/drivers";
import type { Media } from "@/core/filters/media";

/** The householder's words for what the core calls by a key. */
export const MEDIA_WORDS: Readonly<Record<Media, string>> = {
  "fibreglass-25": "Fibreglass, 25 mm (1 in)",
  "pleated-25": "Pleated, 25 mm (1 in)",
  "pleated-50": "Pleated, 50 mm (2 in)",
  "pleated-100": "Pleated, 100 mm (4 in)",
  "pleated-125": "Pleated, 125 mm (5 in)",
  "washable-panel": "Washable panel",
  "head-mesh": "Mesh of an indoor head",
  "heater-mesh": "Dust filter of a room heater",
  "portable-mesh": "Mesh of a portable unit",
  "vent-coarse": "Ventilator filter, coarse",
  "vent-fine": "Ventilator filter, fine",
  "carbon-prefilter": "Carbon pre-filter",
  "hepa-cylinder": "HEPA cylinder",
  "electrostatic-cell": "Electrostatic cell",
  "humidifier-panel": "Humidifier water panel",
};

export const GRADE_WORDS: Readonly<Record<Grade, { name: string; meaning: string }>> = {
  clean: { name: "clean", meaning: "white as it came" },
  light: { name: "light grey", meaning: "a breath of dust" },
  grey: { name: "grey", meaning: "grey all over" },
  loaded: { name: "loaded", meaning: "felted, little light comes through" },
  blocked: { name: "blocked", meaning: "no light comes through" },
  collapsed: { name: "caved in", meaning: "bent or sucked inward" },
  "white-powder": { name: "white powder", meaning: "fine building dust: as good as blocked" },
};

export const AIR_SIDE_WORDS: Readonly<Record<AirSide, string>> = {
  recirculated: "Air of the rooms, going round",
  outdoor: "Fresh air coming in",
  extract: "Stale air going out",
};

export const DIRECTION_WORDS: Readonly<Record<Direction, string>> = {
  unknown: "I don’t know yet",
  left: "to the left",
  right: "to the right",
  up: "upward",
  down: "downward",
  "into-the-unit": "into the unit",
  "into-the-wall": "into the wall, away from the room",
  either: "either way round: it has no arrow",
};

export const SLOT_PLACE_WORDS: Readonly<Record<SlotPlace, string>> = {
  "return-duct": "in the return duct at the machine",
  "blower-compartment": "inside the blower compartment",
  "wall-grille": "behind a return grille in a wall",
  "ceiling-grille": "behind a return grille in a ceiling",
  "in-the-machine": "in the machine",
  elsewhere: "elsewhere",
};

export const SEAT_WORDS: Readonly<Record<Seat, { name: string; meaning: string }>> = {
  open: { name: "loose", meaning: "it stands free, with a gap all round" },
  rail: { name: "between rails", meaning: "it slides in guides, frame on metal" },
  gasket: { name: "on a seal", meaning: "foam or felt all round, pressed on" },
};

export const CONTACT_ROLE_WORDS: Readonly<Record<ContactRole, string>> = {
  technician: "Technician",
  supplier: "Supplier of filters and parts",
  gas: "Gas emergency line",
  emergency: "Emergency number",
  landlord: "Landlord or caretaker",
  other: "Somebody else",
};

export const SHUT_OFF_WORDS: Readonly<Record<ShutOffKind, string>> = {
  switch: "Electric switch",
  breaker: "Breaker",
  disconnect: "Disconnect",
  plug: "Plug",
  "gas-cock": "Gas shut-off",
  "water-valve": "Water valve",
};

export const MAIN_WORDS: Readonly<Record<Main, string>> = {
  water: "Main water valve",
  gas: "Main gas valve",
  power: "Main breaker",
};

/** How an end is named while it is open, and the verb that puts it right. */
export const END_WORDS: Readonly<Record<EndKind, { open: string; close: string }>> = {
  "switch-off": { open: "power is off", close: "Switch it on again" },
  "breaker-off": { open: "breaker is off", close: "Switch it on again" },
  "disconnect-out": { open: "power is disconnected", close: "Connect it again" },
  "gas-shut": { open: "gas is shut", close: "Open it again" },
  "valve-shut": { open: "a valve is shut", close: "Open it again" },
  "valve-open": { open: "a filling loop is open", close: "Shut it" },
  "bleed-open": { open: "bleed point is open", close: "Shut it" },
  "drain-open": { open: "drain is open", close: "Shut it" },
  "panel-off": { open: "a cover is off", close: "Close it" },
  "part-out": { open: "a part is out", close: "Put it back" },
  "part-drying": { open: "a part is drying", close: "Put it back" },
  "sensor-out": { open: "a sensor is out", close: "Put it back" },
  "window-open": { open: "windows are open", close: "Shut them" },
  "alarm-muted": { open: "an alarm is muted", close: "Unmute it" },
  "vent-off": { open: "vent pipe is off", close: "Have it refitted" },
  "setting-changed": { open: "a setting is changed", close: "Set it back" },
  "light-unreset": { open: "filter light is not reset", close: "Reset it" },
};

export type HouseholdWords = {
  /** As an entry in a list to choose from. */
  name: string;
  /** Inside a sentence of reasons. */
  reason: (count: number | undefined) => string;
  counted?: string;
  /** What its percent are of. */
  share?: string;
  /** As a question to the household; what is not asked of everyone has none. */
  ask?: string;
  dates: "none" | "spell" | "must-begin" | "day";
};
const plain = (reason: string) => () => reason;
const pets = (count: number | undefined) => (count === 1 ? "a shedding pet" : "shedding pets");

export const HOUSEHOLD_WORDS: Readonly<Record<HouseholdKind, HouseholdWords>> = {
  people: {
    name: "People living here",
    reason: plain("a full house"),
    counted: "How many",
    ask: "How many people live here?",
    dates: "spell",
  },
  "breathing-trouble": {
    name: "Asthma or another breathing trouble",
    reason: plain("breathing trouble"),
    ask: "Does anybody here have asthma or another breathing trouble?",
    dates: "spell",
  },
  "shedding-pets": {
    name: "Shedding pets",
    reason: pets,
    counted: "How many",
    ask: "Are there animals that shed?",
    dates: "spell",
  },
  "indoor-smoking": {
    name: "Smoking indoors",
    reason: plain("smoke indoors"),
    ask: "Does anybody smoke indoors?",
    dates: "spell",
  },
  "dusty-hobby": {
    name: "A dusty hobby or workshop",
    reason: plain("workshop dust"),
    ask: "Is there a workshop or a dusty hobby?",
    dates: "spell",
  },
  renovation: {
    name: "Building work",
    reason: plain("building dust"),
    ask: "Is there building work, or was there in the last months?",
    dates: "must-begin",
  },
  "duct-cleaning": { name: "Ducts cleaned", reason: plain("the duct cleaning"), dates: "day" },
  "moved-in": {
    name: "Moved in",
    reason: plain("the move"),
    ask: "Did you move in within the last four months?",
    dates: "day",
  },
  "dusty-region": {
    name: "A dusty region",
    reason: plain("dust from outside"),
    ask: "Is it a dusty region: fields, gravel, dry ground?",
    dates: "spell",
  },
  "busy-road": {
    name: "A busy road",
    reason: plain("the road"),
    ask: "Does a busy road run past?",
    dates: "spell",
  },
  "smoke-episode": {
    name: "Smoke from outside",
    reason: plain("smoke from outside"),
    ask: "Does smoke from outside lie over the place just now?",
    dates: "must-begin",
  },
  "dryer-or-litter-beside": {
    name: "Dryer or litter tray beside it",
    reason: plain("lint and litter"),
    dates: "spell",
  },
  "cooking-grease": {
    name: "Frying in the kitchen",
    reason: plain("kitchen grease"),
    dates: "spell",
  },
  "building-nearby": {
    name: "Building work nearby",
    reason: plain("building work nearby"),
    ask: "Is somebody building within sight just now?",
    dates: "must-begin",
  },
  "seed-fluff": {
    name: "Trees or a meadow that shed",
    reason: plain("seed fluff"),
    ask: "Do trees or a meadow shed seeds and fluff beside the outdoor machines?",
    dates: "spell",
  },
  "dryer-vent-near": {
    name: "A dryer’s vent that blows toward it",
    reason: plain("the dryer’s lint"),
    dates: "spell",
  },
  bypass: {
    name: "Air slipping past the filter",
    reason: plain("air past the frame"),
    share: "Share of the air, percent",
    dates: "spell",
  },
  away: {
    name: "House left alone",
    reason: plain("nobody at home"),
    share: "Machines then run, percent of their usual hours",
    ask: "Will the house stand empty for weeks, or did it lately?",
    dates: "must-begin",
  },
};
