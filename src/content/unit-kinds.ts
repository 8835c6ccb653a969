import type { Equipment } from "@/core/climate/run-hours";
import type { Attribute } from "@/core/inventory/attribute";
import type { ShutOffKind, SlotPlace } from "@/core/inventory/inventory";
import type { Media } from "@/core/filters/media";
import type { AirSide } from "@/core/filters/drivers";
import type { PartKindId } from "./part-kinds";
import {
  FLUE,
  GAS_FEED,
  HEADS,
  HUMIDIFIER_PLACE,
  MADE_ON,
  POSITION,
  REACH,
  SAFE_ROOF,
  SLEEPS_NEAR,
  THERMOSTAT_POWER,
  WATER_SIDE,
} from "./unit-questions";

/** A filter slot that machines of a kind usually have. */
export type UsualSlot = {
  name: string;
  media: Media;
  airSide: AirSide;
  slotPlace: SlotPlace;
  /** Most have it: taken as there until someone says otherwise. */
  usual: boolean;
};

export type UsualPart = { kind: PartKindId; usual: boolean };

export type UnitKind = {
  id: string;
  name: string;
  /** Said under the name where one chooses. */
  hint: string;
  /** Its drawing in public/figures.svg. */
  figure: string;
  ducted: boolean;
  /** Runs air or heat: without it no run hours are asked for. */
  runs: boolean;
  equipment: Pick<Equipment, "heats" | "cools" | "fan">;
  /** Where it usually stands: words a level's name may hold, the likeliest first. */
  levels: readonly string[];
  /** How it is usually shut off, in the order in which it is done. */
  shutOffs: readonly ShutOffKind[];
  slots: readonly UsualSlot[];
  parts: readonly UsualPart[];
  attributes: readonly Attribute[];
  /** Worth a picture while one stands before it. */
  photograph: readonly string[];
};

const auto = { mode: "auto", hours: undefined, level: undefined } as const;
/** A fan that runs day and night, at a share of its full hours. */
const always = (level: number) => ({ mode: "continuous", hours: undefined, level }) as const;
const still = { heats: false, cools: false, fan: auto } as const;

const has = (...kinds: PartKindId[]): UsualPart[] => kinds.map((kind) => ({ kind, usual: true }));
const may = (...kinds: PartKindId[]): UsualPart[] => kinds.map((kind) => ({ kind, usual: false }));

const slot = (
  name: string,
  media: Media,
  airSide: AirSide = "recirculated",
  slotPlace: SlotPlace = "in-the-machine",
): UsualSlot => ({ name, media, airSide, slotPlace, usual: true });
const maySlot = (...args: Parameters<typeof slot>): UsualSlot => ({
  ...slot(...args),
  usual: false,
});

const PLATE = "its plate, usually inside the door";
const FRAME = "the printing on the filter’s frame";
const FURNACE_SLOTS = [
  slot("Filter", "pleated-25", "recirculated", "return-duct"),
  maySlot("Return grille filter", "pleated-25", "recirculated", "wall-grille"),
];

/** The machines a home has, with what they usually have and what is worth asking. */
export const UNIT_KINDS = [
  {
    id: "condensing-furnace",
    name: "Furnace, condensing",
    hint: "plastic vent, makes water",
    figure: "furnace",
    ducted: true,
    runs: true,
    equipment: { heats: true, cools: false, fan: auto },
    levels: ["cellar", "loft"],
    shutOffs: ["switch", "breaker", "gas-cock"],
    slots: FURNACE_SLOTS,
    parts: [
      ...has("blower", "burners", "flame-sensor", "igniter", "condensate-trap", "condensate-line"),
      ...has("plastic-vent", "door-switch", "heat-exchanger"),
      ...may("wiring", "capacitor", "evaporator-coil", "drain-pan", "float-switch"),
    ],
    attributes: [POSITION, MADE_ON, REACH],
    photograph: [PLATE, "the slot and the arrow on the duct", "both vent ends outside", FRAME],
  },
  {
    id: "metal-vent-furnace",
    name: "Furnace, metal vent",
    hint: "the vent pipe gets hot, makes no water",
    figure: "furnace",
    ducted: true,
    runs: true,
    equipment: { heats: true, cools: false, fan: auto },
    levels: ["cellar", "outbuilding"],
    shutOffs: ["switch", "breaker", "gas-cock"],
    slots: [
      slot("Filter", "pleated-25", "recirculated", "blower-compartment"),
      maySlot("Return grille filter", "pleated-25", "recirculated", "wall-grille"),
    ],
    parts: [
      ...has("blower", "burners", "metal-vent", "air-intake", "heat-exchanger"),
      ...may("belt", "flame-sensor", "igniter", "pilot", "door-switch", "wiring", "capacitor"),
      ...may("evaporator-coil", "drain-pan", "float-switch", "condensate-line"),
    ],
    attributes: [POSITION, MADE_ON, REACH],
    photograph: [PLATE, "the vent pipe, its whole length", "the belt’s printing", FRAME],
  },
  {
    id: "ducted-heat-pump",
    name: "Heat pump, ducted",
    hint: "an air handler with a filter indoors",
    figure: "furnace",
    ducted: true,
    runs: true,
    equipment: { heats: true, cools: true, fan: auto },
    levels: ["cellar", "loft", "ground"],
    shutOffs: ["breaker", "disconnect"],
    slots: [
      slot("Filter", "pleated-25", "recirculated", "return-duct"),
      maySlot("Return grille filter", "pleated-25", "recirculated", "ceiling-grille"),
    ],
    parts: [
      ...has("blower", "evaporator-coil", "drain-pan", "condensate-line", "condenser-coil"),
      ...has("clearance"),
      ...may("float-switch", "capacitor", "contactor", "line-insulation", "refrigerant-charge"),
    ],
    attributes: [POSITION, MADE_ON, REACH],
    photograph: [PLATE, "the outdoor unit’s plate", "the slot and its arrow", FRAME],
  },
  {
    id: "split-cooling",
    name: "Central cooling, outdoor unit",
    hint: "with a coil on the furnace or air handler",
    figure: "condenser",
    ducted: true,
    runs: true,
    equipment: { heats: false, cools: true, fan: auto },
    levels: ["yard", "garden", "outdoors"],
    shutOffs: ["disconnect", "breaker"],
    slots: [],
    parts: [
      ...has("condenser-coil", "base-drain", "fan", "capacitor", "contactor"),
      ...has("refrigerant-charge", "line-insulation"),
      ...has("evaporator-coil", "drain-pan", "condensate-line"),
      ...may("float-switch", "condensate-trap", "clearance"),
    ],
    attributes: [MADE_ON, REACH],
    photograph: [PLATE, "the two lines where they enter the wall", "its clear space all round"],
  },
  {
    id: "ductless-head",
    name: "Heat pump, ductless",
    hint: "one or more indoor heads with a mesh",
    figure: "head",
    ducted: false,
    runs: true,
    equipment: { heats: true, cools: true, fan: auto },
    levels: ["ground", "upper"],
    shutOffs: ["breaker", "disconnect"],
    slots: [slot("Mesh", "head-mesh"), maySlot("Second head’s mesh", "head-mesh")],
    parts: [
      ...has("evaporator-coil", "louvres", "head-drain", "condenser-coil", "clearance"),
      ...may("fine-filter", "base-drain", "line-insulation", "refrigerant-charge"),
    ],
    attributes: [HEADS, MADE_ON, REACH],
    photograph: [PLATE, "each head with its front open", "the outdoor unit and what stands near"],
  },
  {
    id: "rooftop",
    name: "Packaged rooftop unit",
    hint: "heats and cools from the roof",
    figure: "rooftop",
    ducted: true,
    runs: true,
    equipment: { heats: true, cools: true, fan: auto },
    levels: ["roof", "outbuilding"],
    shutOffs: ["disconnect", "breaker", "gas-cock"],
    slots: [slot("Filter bank", "pleated-50")],
    parts: [
      ...has("inlet-screen", "evaporator-coil", "condensate-trap", "condenser-coil", "fan"),
      ...has("access-panels"),
      ...may("belt", "blower", "capacitor", "contactor", "burners", "refrigerant-charge"),
    ],
    attributes: [MADE_ON, REACH, SAFE_ROOF],
    photograph: [PLATE, "the bank with its panel off", "the way up and where one can tie on"],
  },
  {
    id: "ventilator",
    name: "Ventilator with heat recovery",
    hint: "runs all year, fresh air in and stale air out",
    figure: "ventilator",
    ducted: true,
    runs: true,
    equipment: { heats: false, cools: false, fan: always(1) },
    levels: ["loft", "upper"],
    shutOffs: ["switch", "plug", "breaker"],
    slots: [
      slot("Extract filter", "vent-coarse", "extract"),
      slot("Supply filter", "vent-fine", "outdoor"),
    ],
    parts: [
      ...has("recovery-core", "fan", "condensate-line", "cover-seal", "room-valves"),
      ...has("outside-grilles"),
    ],
    attributes: [MADE_ON, REACH],
    photograph: [PLATE, "the core’s label and which way up it sits", FRAME],
  },
  {
    id: "exhaust-air-heater",
    name: "Exhaust-air water heater",
    hint: "ventilates and heats the tap water",
    figure: "tank",
    ducted: true,
    runs: true,
    equipment: { heats: false, cools: false, fan: always(1) },
    levels: ["ground", "cellar"],
    shutOffs: ["breaker", "water-valve"],
    slots: [
      slot("Coarse filter", "vent-coarse", "extract"),
      slot("Fine filter", "vent-fine", "outdoor"),
    ],
    parts: [...has("cover-seal", "room-valves", "outside-grilles"), ...may("condensate-line")],
    attributes: [MADE_ON, REACH],
    photograph: [PLATE, "both filters in place, and which is which"],
  },
  {
    id: "electrostatic-cleaner",
    name: "Electrostatic air cleaner",
    hint: "cells in the duct, washed and put back",
    figure: "cleaner",
    ducted: true,
    runs: true,
    equipment: { heats: false, cools: false, fan: auto },
    levels: ["upper", "cellar"],
    shutOffs: ["switch", "plug", "breaker"],
    slots: [
      slot("Cells", "electrostatic-cell", "recirculated", "return-duct"),
      slot("Pre-filter", "washable-panel", "recirculated", "return-duct"),
    ],
    parts: [...has("filter-light"), ...may("wiring")],
    attributes: [MADE_ON, REACH],
    photograph: [PLATE, "the marks that show which way the cells go back"],
  },
  {
    id: "portable-purifier",
    name: "Portable air purifier",
    hint: "a cylinder in the room",
    figure: "cylinder",
    ducted: false,
    runs: true,
    equipment: { heats: false, cools: false, fan: always(0.5) },
    levels: ["upper", "ground"],
    shutOffs: ["plug"],
    slots: [slot("Pre-filter", "carbon-prefilter"), slot("HEPA cylinder", "hepa-cylinder")],
    parts: [...has("filter-light", "grilles")],
    attributes: [MADE_ON],
    photograph: ["its plate, usually on the foot", "the two lights and their buttons"],
  },
  {
    id: "portable-cooler",
    name: "Portable air conditioner",
    hint: "on wheels, with a hose",
    figure: "portable",
    ducted: false,
    runs: true,
    equipment: { heats: false, cools: true, fan: auto },
    levels: ["upper", "ground"],
    shutOffs: ["plug"],
    slots: [slot("Mesh", "portable-mesh")],
    parts: [...has("condenser-coil", "drain-ports", "exhaust-hose"), ...may("grilles")],
    attributes: [
      { key: "winter-place", label: "Where it spends the winter", fact: "In winter", kind: "text" },
    ],
    photograph: ["its plate", "both drain ports", "how the hose is fitted to the window"],
  },
  {
    id: "gas-room-heater",
    name: "Gas room heater",
    hint: "on the wall, with or without a flue; fan, filters and a light",
    figure: "heater",
    ducted: false,
    runs: true,
    equipment: { heats: true, cools: false, fan: auto },
    levels: ["outbuilding", "ground"],
    shutOffs: ["plug", "gas-cock"],
    slots: [slot("Dust filter", "heater-mesh")],
    parts: [
      ...has("grilles"),
      ...may("filter-light", "flue", "room-air", "gas-hose", "gas-bottle"),
    ],
    attributes: [FLUE, GAS_FEED, MADE_ON, REACH],
    photograph: [PLATE, "the flue outside, if it has one", "how its filters clip in"],
  },
  {
    id: "boiler",
    name: "Boiler or hydronic heating",
    hint: "warm water to radiators or floors",
    figure: "boiler",
    ducted: false,
    runs: true,
    equipment: { heats: true, cools: false, fan: auto },
    levels: ["ground", "cellar"],
    shutOffs: ["switch", "gas-cock", "water-valve"],
    slots: [],
    parts: [
      ...has("magnetic-filter", "inhibitor", "pressure", "radiator"),
      ...may("condensate-trap", "condensate-line", "flue", "heat-exchanger"),
    ],
    attributes: [WATER_SIDE, MADE_ON, REACH],
    photograph: [PLATE, "the gauge when cold", "the magnetic filter with both its valves"],
  },
  {
    id: "humidifier",
    name: "Whole-house humidifier",
    hint: "on the duct, with a water panel",
    figure: "humidifier",
    ducted: true,
    runs: true,
    equipment: { heats: true, cools: false, fan: auto },
    levels: ["cellar"],
    shutOffs: ["switch", "plug", "water-valve"],
    slots: [slot("Water panel", "humidifier-panel")],
    parts: [...has("damper", "humidistat", "condensate-line")],
    attributes: [HUMIDIFIER_PLACE, MADE_ON, REACH],
    photograph: ["its plate", "the damper’s handle in winter", "the panel’s part number"],
  },
  {
    id: "ducts",
    name: "Ducts",
    hint: "supply runs, returns, registers",
    figure: "ducts",
    ducted: true,
    runs: false,
    equipment: still,
    levels: ["cellar", "loft"],
    shutOffs: [],
    slots: [maySlot("Return grille filter", "pleated-25", "recirculated", "ceiling-grille")],
    parts: [...has("trunk", "supply-run", "return-run"), ...may("outside-terminal")],
    attributes: [
      {
        key: "cleaned-on",
        label: "Cleaned by a professional, last",
        fact: "Cleaned",
        kind: "past-day",
      },
      REACH,
    ],
    photograph: ["a register with its grille off, for what lies in it"],
  },
  {
    id: "dryer-vent",
    name: "Laundry dryer vent",
    hint: "lint is a fire hazard: yearly",
    figure: "dryer",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["ground", "cellar"],
    shutOffs: ["plug", "gas-cock"],
    slots: [],
    parts: [...has("dryer-duct", "outside-flap")],
    attributes: [
      {
        key: "duct-made-of",
        label: "Its duct is",
        fact: "Duct",
        kind: "choice",
        options: [
          { value: "rigid", label: "rigid metal" },
          { value: "flexible-metal", label: "flexible metal" },
          { value: "plastic", label: "plastic or foil" },
        ],
        hint: "Plastic and foil hold lint and burn: worth replacing.",
      },
    ],
    photograph: ["the flap outside while it runs"],
  },
  {
    id: "thermostat",
    name: "Thermostat",
    hint: "its batteries and its schedule",
    figure: "thermostat",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["ground", "upper"],
    shutOffs: [],
    slots: [],
    parts: [...has("batteries", "programme")],
    attributes: [THERMOSTAT_POWER, MADE_ON],
    photograph: ["its wires with the cover off, and their letters"],
  },
  {
    id: "co-alarm",
    name: "Carbon monoxide alarm",
    hint: "expires five to seven years from manufacture",
    figure: "alarm",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["upper", "ground"],
    shutOffs: [],
    slots: [],
    parts: [...has("batteries", "alarm-display")],
    attributes: [MADE_ON, SLEEPS_NEAR],
    photograph: ["its back, with the date it was made"],
  },
  {
    id: "smoke-alarm",
    name: "Smoke alarm",
    hint: "one a floor, and where people sleep; ten years",
    figure: "smoke",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["upper", "ground"],
    shutOffs: [],
    slots: [],
    parts: [...has("batteries")],
    attributes: [MADE_ON, SLEEPS_NEAR],
    photograph: ["its back, with the date it was made"],
  },
  {
    id: "smoke-co-alarm",
    name: "Smoke and CO alarm in one",
    hint: "its print says both; two tests, one after the other",
    figure: "alarm-both",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["upper", "ground"],
    shutOffs: [],
    slots: [],
    parts: [...has("batteries"), ...may("alarm-display")],
    attributes: [MADE_ON, SLEEPS_NEAR],
    photograph: ["its back, with the date it was made and both words: smoke, and CO"],
  },
  {
    id: "portable-gas-heater",
    name: "Portable gas heater",
    hint: "on wheels, a bottle in it or a hose to the wall, often without a flue",
    figure: "bottle-heater",
    ducted: false,
    runs: true,
    equipment: { heats: true, cools: false, fan: auto },
    levels: ["outbuilding", "ground"],
    shutOffs: ["gas-cock", "plug"],
    slots: [maySlot("Dust filter", "heater-mesh")],
    parts: [
      ...has("gas-hose", "gas-bottle", "room-air"),
      ...may("grilles", "flue", "filter-light"),
    ],
    attributes: [FLUE, GAS_FEED],
    photograph: [PLATE, "the date on its hose", "the opening that gives the room air"],
  },
  {
    id: "range-hood",
    name: "Range hood",
    hint: "grease filters over the stove",
    figure: "hood",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["ground"],
    shutOffs: ["plug", "breaker"],
    slots: [],
    parts: [...has("grease-filter"), ...may("hood-carbon", "outside-flap")],
    attributes: [
      {
        key: "air",
        label: "Its air goes",
        fact: "Air goes",
        kind: "choice",
        options: [
          { value: "outside", label: "outside" },
          { value: "back", label: "back into the kitchen, through carbon" },
        ],
      },
    ],
    photograph: ["its plate, behind the grease filters", "the number on a filter"],
  },
  {
    id: "bath-fan",
    name: "Bath fan",
    hint: "a fan in wall or ceiling, with a duct",
    figure: "fan",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["upper", "ground"],
    shutOffs: ["breaker"],
    slots: [],
    parts: [...may("outside-flap")],
    attributes: [REACH],
    photograph: ["its plate, with the grille off"],
  },
  {
    id: "dehumidifier",
    name: "Dehumidifier",
    hint: "a tank or a hose, where it is damp",
    figure: "dehumidifier",
    ducted: false,
    runs: true,
    equipment: { heats: false, cools: false, fan: always(0.3) },
    levels: ["cellar"],
    shutOffs: ["plug"],
    slots: [slot("Mesh", "portable-mesh")],
    parts: [...has("water-tank")],
    attributes: [MADE_ON],
    photograph: ["its plate"],
  },
  {
    id: "tank-water-heater",
    name: "Water heater with a tank",
    hint: "gas or electric, a tall tank",
    figure: "tank",
    ducted: false,
    runs: false,
    equipment: still,
    levels: ["cellar", "ground"],
    shutOffs: ["breaker", "gas-cock", "water-valve"],
    slots: [],
    parts: [...has("relief-valve", "sediment", "anode"), ...may("metal-vent", "air-intake")],
    attributes: [
      {
        key: "heated-by",
        label: "Heated by",
        kind: "choice",
        options: [
          { value: "gas", label: "gas" },
          { value: "electricity", label: "electricity" },
        ],
      },
      MADE_ON,
      REACH,
    ],
    photograph: [PLATE, "the relief valve and where its pipe ends"],
  },
] as const satisfies readonly UnitKind[];

/**
 * The parts a machine usually has by what is known of it: what burns without a flue takes its air from the
 * room; a hose has a date, a bottle runs out.
 */
export function partsToExpect(
  kindId: string,
  attributes: Readonly<Record<string, string>>,
): UsualPart[] {
  const { parts } = unitKind(kindId);
  const flue = attributes[FLUE.key];
  const fed = attributes[GAS_FEED.key];
  const told: Partial<Record<PartKindId, boolean>> = {
    ...(flue ? { flue: flue === "flue", "room-air": flue === "none" } : {}),
    ...(fed ? { "gas-hose": fed !== "pipe", "gas-bottle": fed === "bottle" } : {}),
  };
  return parts.map((part) => ({ ...part, usual: told[part.kind] ?? part.usual }));
}

/** What burns in the room it heats, without a flue. */
export const burnsUnflued = ({
  kind,
  attributes,
}: {
  kind: string;
  attributes: Readonly<Record<string, string>>;
}): boolean =>
  (kind === "gas-room-heater" || kind === "portable-gas-heater") && attributes[FLUE.key] === "none";

export type UnitKindId = (typeof UNIT_KINDS)[number]["id"];

export function unitKind(id: string): UnitKind {
  return UNIT_KINDS.find((kind) => kind.id === id) ?? UNIT_KINDS[0];
}

export const UNIT_KIND_IDS = UNIT_KINDS.map((kind) => kind.id) as [string, ...string[]];

/** The media that carry a size printed on their frames; the others go by their machine’s model. */
export const PRINTED_SIZES: readonly Media[] = [
  "fibreglass-25",
  "pleated-25",
  "pleated-50",
  "pleated-100",
  "pleated-125",
  "washable-panel",
  "vent-coarse",
  "vent-fine",
];

/** The media of a kind's usual slots first, then all the rest. */
export function mediaFor(kindId: string, all: readonly Media[]): Media[] {
  const usual = unitKind(kindId).slots.map((each) => each.media);
  return [...new Set([...usual, ...all])];
}

/** Whether a machine moves air and so belongs to an air system; a boiler moves water. */
export const movesAir = (kindId: string): boolean => unitKind(kindId).runs && kindId !== "boiler";

/** Whether air goes through it at all: a grille in the ducts has its hours from what drives the air. */
export const carriesAir = (kindId: string): boolean => movesAir(kindId) || unitKind(kindId).ducted;

/** The name of a kind without what tells it from its cousins: “Furnace, condensing” is a furnace. */
export const shortKindName = (kindId: string): string => unitKind(kindId).name.split(",")[0]!;
