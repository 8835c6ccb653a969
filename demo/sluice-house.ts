import { climateSchema } from "@/core/climate/climate";
import { judgeInput } from "@/core/readings/judge";
import { addDays, plainDate, type PlainDate } from "@/core/quantities/plain-date";
import type { RunEvent } from "@/core/runs/run-event";
import type {
  AirSystem,
  Contact,
  FilterSlot,
  Home,
  Level,
  Part,
  ScopedDriver,
  Unit,
} from "@/core/inventory/inventory";
import type { NotedSetting } from "@/core/inventory/as-it-should-be";
import type { HistoryEvent } from "@/core/history/history-event";
import { always, equipment, partsOf, readingsAt, roomsOn, slot, system, unit } from "./entering";
import { washRecoveryCore } from "../src/content/procedures/wash-recovery-core";
import type { Truth } from "./demo-history";
import { KILN_STOPPED_DAYS_AGO } from "./visits";

export const SLUICE_HOUSE = "sluice-house";

/** The winters and summers of Merrow Bend, on both sides of its canal. */
export const merrowBend = climateSchema.parse({
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
  dailyRangeC: 10,
});

export const home: Home = {
  id: SLUICE_HOUSE,
  name: "Sluice House",
  timeZone: "Etc/UTC",
  unitSystem: "metric",
  currency: "EUR",
  hourMinor: 2000,
  climate: merrowBend,
  localRules:
    "Gas and refrigerant only by licensed people; a changed vent needs the inspector’s stamp. Filters, drains and washing are the householder’s own.",
};

export const levels: Level[] = [
  { id: "loft", name: "Loft", storey: 3, place: "inside" },
  { id: "upper", name: "Upper floor", storey: 1, place: "inside" },
  { id: "ground", name: "Ground floor", storey: 0, place: "inside" },
  { id: "cellar", name: "Cellar", storey: -1, place: "inside" },
  { id: "yard", name: "Yard", storey: 0, place: "outdoors" },
  { id: "stable", name: "Stable", storey: 0, place: "outbuilding" },
  { id: "shop", name: "Gallery", storey: 0, place: "outbuilding" },
];

const placed = [
  roomsOn("upper", [
    { name: "Landing", supplies: 1, returns: 1 },
    { name: "East bedroom", sleeps: true, supplies: 2, returns: 1 },
    { name: "West bedroom", sleeps: true, supplies: 2, shut: 1 },
    { name: "Reading room", supplies: 1 },
    { name: "Box room", supplies: 1, shut: 1 },
    { name: "Bath", supplies: 1 },
  ]),
  roomsOn("ground", [
    { name: "Hall", supplies: 2, returns: 1 },
    { name: "Kitchen", supplies: 2 },
    { name: "Scullery", supplies: 1 },
    { name: "Parlour", supplies: 3, returns: 1 },
    { name: "Study", supplies: 1, shut: 1 },
  ]),
  roomsOn("cellar", [{ name: "Furnace cellar", supplies: 1, shut: 1 }]),
  roomsOn("stable", [{ name: "Studio" }, { name: "Workshop" }, { name: "Kiln shed" }]),
  roomsOn("shop", [{ name: "Shop" }]),
];
export const rooms = placed.flatMap((each) => each.rooms);
export const registers = placed.flatMap((each) => each.registers);

export const contacts: Contact[] = [
  {
    id: "sluice-technician",
    name: "Ottoline Ferrow, Lockside Heating",
    role: "technician",
    phone: "+99 555 0142",
    note: "half-yearly, likes a call the day before",
  },
  {
    id: "sluice-gas",
    name: "Merrow Bend gas emergency line",
    role: "gas",
    phone: "+99 555 0199",
  },
  {
    id: "sluice-supplier",
    name: "Quillon Filters",
    role: "supplier",
    phone: "+99 555 0117",
    email: "orders@quillon-filters.example",
  },
];

export const systems: AirSystem[] = [
  system("cellar-furnace", "Cellar furnace", true, equipment({ heats: true, cools: true }), 2300),
  system(
    "kiln-furnace",
    "Kiln-shed furnace",
    true,
    equipment({ heats: true, cools: false, useShare: 0.6 }),
  ),
  system(
    "studio-pump",
    "Studio heat pump",
    false,
    equipment({ heats: true, cools: true, useShare: 0.7 }),
  ),
  system(
    "loft-ventilator",
    "Loft ventilator",
    false,
    equipment({ heats: false, cools: false, fan: always(1) }),
  ),
  system(
    "purifier",
    "Reading-room purifier",
    false,
    equipment({ heats: false, cools: false, fan: always(0.6) }),
  ),
  system(
    "box-cooler",
    "Box-room cooler",
    false,
    equipment({ heats: false, cools: true, inUse: [{ from: "05-20", to: "09-20" }] }),
  ),
  system("gallery", "Gallery unit", true, equipment({ heats: true, cools: true, useShare: 0.8 })),
  system(
    "workshop-heater",
    "Workshop heater",
    false,
    equipment({ heats: true, cools: false, useShare: 0.5 }),
  ),
  ...["ducts", "dryer", "thermostat-hall", "thermostat-upper", "thermostat-studio"].map((id) =>
    system(id, id, false, equipment({ heats: false, cools: false })),
  ),
  ...["alarm-upper", "alarm-ground", "alarm-cellar", "alarm-stable"].map((id) =>
    system(id, id, false, equipment({ heats: false, cools: false })),
  ),
];

/** The day nearest to today on which February ends: when one alarm's seven years are over. */
function thisWinter(today: PlainDate): PlainDate {
  const year = Number(today.slice(0, 4));
  return today < `${year}-08-30` ? plainDate(`${year}-02-28`) : plainDate(`${year + 1}-02-28`);
}

const yearsBefore = (date: PlainDate, years: number): PlainDate =>
  plainDate(`${Number(date.slice(0, 4)) - years}${date.slice(4)}`);

export function unitsOn(today: PlainDate): Unit[] {
  const year = Number(today.slice(0, 4));
  const technician = { contactId: "sluice-technician" };
  const alarm = (id: string, levelId: string, name: string, madeOn: string, near: "yes" | "no") =>
    unit({
      id,
      levelId,
      kind: "co-alarm",
      name,
      make: "Wickett",
      model: "A-3",
      attributes: { "made-on": madeOn, "near-bedrooms": near },
    });
  const thermostat = (id: string, levelId: string, roomId: string, name: string) =>
    unit({
      id,
      levelId,
      roomId,
      kind: "thermostat",
      name,
      make: "Millrace",
      model: "T-1",
      attributes: { power: "batteries", "made-on": `${year - 6}-05-01` },
    });
  return [
    unit({
      id: "cellar-furnace",
      levelId: "cellar",
      roomId: "cellar-furnace-cellar",
      kind: "condensing-furnace",
      name: "Cellar furnace",
      make: "Northgate",
      model: "CF-80",
      serial: "NG-8041-0277",
      fittedOn: plainDate(`${year - 12}-09-14`),
      papers: "green folder, kitchen dresser",
      warrantyEndsOn: plainDate(`${year - 2}-09-14`),
      warrantyRegistered: true,
      access: "mind the low beam at the foot of the stairs",
      note: "Lower door first: lift, then pull. The upper one hangs on it.",
      purchaseMinor: 485000,
      replacementMinor: 620000,
      attributes: { position: "upflow" },
      ...technician,
      shutOffs: [
        {
          kind: "switch",
          place: "with the amber tag, left of the door",
          offPosition: "down is off",
        },
        { kind: "breaker", place: "number 7, hall cupboard" },
        {
          kind: "gas-cock",
          place: "behind the furnace",
          offPosition: "handle across the pipe is shut",
        },
      ],
    }),
    unit({
      id: "humidifier",
      levelId: "cellar",
      roomId: "cellar-furnace-cellar",
      kind: "humidifier",
      name: "Cellar humidifier",
      air: "cellar-furnace",
      make: "Tarn",
      model: "H-12",
      attributes: { duct: "return" },
      shutOffs: [
        { kind: "plug", place: "above the return duct" },
        { kind: "water-valve", place: "saddle on the pipe beside it" },
      ],
    }),
    unit({
      id: "yard-condenser",
      levelId: "yard",
      kind: "split-cooling",
      name: "Yard condenser",
      air: "cellar-furnace",
      make: "Northgate",
      model: "Y-36",
      serial: "NG-3610-1190",
      refrigerant: "R-410A, 2.6 kg",
      fittedOn: plainDate(`${year - 7}-05-20`),
      warrantyEndsOn: plainDate(`${year + 3}-05-20`),
      warrantyRegistered: false,
      access: "under the lime tree, shaded and sticky in June",
      ...technician,
      shutOffs: [
        { kind: "disconnect", place: "behind the trellis", offPosition: "pulled out" },
        { kind: "breaker", place: "number 9, hall cupboard" },
      ],
    }),
    unit({
      id: "kiln-furnace",
      levelId: "stable",
      roomId: "stable-kiln-shed",
      kind: "metal-vent-furnace",
      name: "Kiln-shed furnace",
      make: "Northgate",
      model: "M-60",
      attributes: { position: "upflow" },
      ...technician,
      shutOffs: [
        { kind: "switch", place: "on the joist above the furnace", offPosition: "down is off" },
        {
          kind: "gas-cock",
          place: "at the meter end of the shed",
          offPosition: "handle across the pipe is shut",
        },
      ],
    }),
    unit({
      id: "studio-pump",
      levelId: "stable",
      roomId: "stable-studio",
      kind: "ductless-head",
      name: "Studio heat pump",
      make: "Tarn",
      model: "S-35",
      refrigerant: "R-32, 1.1 kg",
      attributes: { heads: "2" },
      shutOffs: [{ kind: "breaker", place: "number 11, stable board" }],
    }),
    unit({
      id: "loft-ventilator",
      levelId: "loft",
      kind: "ventilator",
      name: "Loft ventilator",
      make: "Tarn",
      model: "V2",
      fittedOn: plainDate(`${year - 5}-03-02`),
      access: "ladder from the landing, key on the hook",
      attributes: { reached: "loft" },
      shutOffs: [
        { kind: "switch", place: "on its own side, under the cover’s lip", offPosition: "0" },
      ],
    }),
    unit({
      id: "hall-cleaner",
      levelId: "upper",
      roomId: "upper-landing",
      kind: "electrostatic-cleaner",
      name: "Hall cleaner",
      air: "cellar-furnace",
      make: "Wickett",
      model: "E-20",
      access: "in the return of the upper floor, steps from the box room",
      shutOffs: [{ kind: "switch", place: "beside the return grille", offPosition: "down is off" }],
    }),
    unit({
      id: "purifier",
      levelId: "upper",
      roomId: "upper-reading-room",
      kind: "portable-purifier",
      name: "Reading-room purifier",
      make: "Millrace",
      model: "P-4",
      shutOffs: [{ kind: "plug", place: "behind the armchair" }],
    }),
    unit({
      id: "box-cooler",
      levelId: "upper",
      roomId: "upper-box-room",
      kind: "portable-cooler",
      name: "Box-room cooler",
      make: "Millrace",
      model: "C-9",
      attributes: { "winter-place": "under the stairs, in its sheet" },
      shutOffs: [{ kind: "plug", place: "left of the window" }],
    }),
    unit({
      id: "gallery",
      levelId: "shop",
      roomId: "shop-shop",
      kind: "rooftop",
      name: "Gallery unit",
      make: "Northgate",
      model: "R-120",
      access: "by the fixed ladder; not in wind or ice",
      attributes: { reached: "roof" },
      ...technician,
      shutOffs: [
        { kind: "disconnect", place: "in the grey box beside it", offPosition: "pulled out" },
      ],
    }),
    unit({
      id: "workshop-heater",
      levelId: "stable",
      roomId: "stable-workshop",
      kind: "gas-room-heater",
      name: "Workshop heater",
      make: "Hob & Vane",
      model: "W-5",
      shutOffs: [
        { kind: "plug", place: "under the bench" },
        { kind: "gas-cock", place: "at the wall", offPosition: "handle across the pipe is shut" },
      ],
    }),
    unit({
      id: "ducts",
      levelId: "cellar",
      kind: "ducts",
      name: "Ducts",
      attributes: { "cleaned-on": `${year - 1}-06-03` },
    }),
    unit({
      id: "dryer",
      levelId: "ground",
      roomId: "ground-scullery",
      kind: "dryer-vent",
      name: "Scullery dryer vent",
      attributes: { "duct-made-of": "rigid" },
      shutOffs: [{ kind: "plug", place: "behind the dryer" }],
    }),
    thermostat("thermostat-hall", "ground", "ground-hall", "Hall thermostat"),
    thermostat("thermostat-upper", "upper", "upper-landing", "Landing thermostat"),
    thermostat("thermostat-studio", "stable", "stable-studio", "Studio thermostat"),
    alarm("alarm-upper", "upper", "Landing alarm", `${year - 3}-03-01`, "yes"),
    alarm("alarm-ground", "ground", "Hall alarm", yearsBefore(thisWinter(today), 7), "no"),
    alarm("alarm-cellar", "cellar", "Cellar alarm", `${year - 2}-11-01`, "no"),
    alarm("alarm-stable", "stable", "Stable alarm", `${year - 6}-02-01`, "no"),
  ];
}

export const slots: FilterSlot[] = [
  slot({
    id: "cellar-filter",
    unitId: "cellar-furnace",
    name: "Filter",
    slotPlace: "return-duct",
    place: "left of the furnace, behind the sliding plate",
    media: "pleated-25",
    ratingText: "MERV 8",
    airSide: "recirculated",
    direction: "right",
    directionMark: "An arrow is drawn on the duct.",
    printed: "20x20x1",
    measured: "495x495x22 mm",
    opening: "508x508x26 mm",
    cleanDropPa: 48,
    priceMinor: 950,
  }),
  slot({
    id: "kiln-filter",
    unitId: "kiln-furnace",
    name: "Filter",
    slotPlace: "blower-compartment",
    place: "lower door",
    media: "pleated-25",
    ratingText: "MERV 8",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "16x25x1",
    priceMinor: 890,
  }),
  ...(["left", "right"] as const).map((side) =>
    slot({
      id: `mesh-${side}`,
      unitId: "studio-pump",
      name: side === "left" ? "Left mesh" : "Right mesh",
      place: `behind the front of the ${side} head`,
      media: "head-mesh",
      airSide: "recirculated",
      direction: "into-the-unit",
      printed: "300x260 mm",
    }),
  ),
  slot({
    id: "vent-extract",
    unitId: "loft-ventilator",
    name: "Extract filter",
    place: "left cap",
    media: "vent-coarse",
    ratingText: "G4",
    airSide: "extract",
    direction: "into-the-unit",
    printed: "420x180x25 mm",
    seat: "gasket",
    priceMinor: 1400,
  }),
  slot({
    id: "vent-supply",
    unitId: "loft-ventilator",
    name: "Supply filter",
    place: "right cap",
    media: "vent-fine",
    ratingText: "F7",
    airSide: "outdoor",
    direction: "into-the-unit",
    printed: "420x180x25 mm",
    seat: "gasket",
    priceMinor: 2600,
  }),
  slot({
    id: "hall-cells",
    unitId: "hall-cleaner",
    name: "Cells",
    slotPlace: "return-duct",
    place: "behind the hinged door, the red mark up",
    media: "electrostatic-cell",
    airSide: "recirculated",
    direction: "right",
    directionMark: "Arrows on the cells.",
    printed: "400x500x100 mm",
    filterCount: 3,
  }),
  slot({
    id: "hall-prefilter",
    unitId: "hall-cleaner",
    name: "Pre-filter",
    slotPlace: "return-duct",
    place: "in front of the cells",
    media: "washable-panel",
    airSide: "recirculated",
    direction: "right",
    printed: "400x500x10 mm",
  }),
  slot({
    id: "humidifier-panel",
    unitId: "humidifier",
    name: "Water panel",
    place: "behind its cover",
    media: "humidifier-panel",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "250x330x40 mm",
    priceMinor: 1650,
  }),
  slot({
    id: "purifier-wrap",
    unitId: "purifier",
    name: "Carbon wrap",
    place: "round the cylinder",
    media: "carbon-prefilter",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "940x300x5 mm",
    cutToSize: true,
    indicator: true,
    indicatorReset: "Hold the leaf button for three seconds.",
    priceMinor: 1900,
  }),
  slot({
    id: "purifier-hepa",
    unitId: "purifier",
    name: "HEPA cylinder",
    place: "under the cover",
    media: "hepa-cylinder",
    ratingText: "H13",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "290x290x300 mm",
    seat: "gasket",
    indicator: true,
    indicatorReset: "Hold the ring button for three seconds.",
    priceMinor: 7900,
  }),
  slot({
    id: "cooler-mesh",
    unitId: "box-cooler",
    name: "Mesh",
    place: "at its back, upper half",
    media: "portable-mesh",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "310x220 mm",
  }),
  slot({
    id: "gallery-bank",
    unitId: "gallery",
    name: "Filter bank",
    place: "behind the north panel",
    media: "pleated-50",
    ratingText: "MERV 8",
    airSide: "recirculated",
    direction: "left",
    printed: "20x25x2",
    filterCount: 4,
    priceMinor: 1250,
  }),
  slot({
    id: "heater-filters",
    unitId: "workshop-heater",
    name: "Dust filters",
    place: "two clips at its back",
    media: "heater-mesh",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "280x120 mm",
    filterCount: 2,
    indicator: true,
    indicatorReset: "Goes out by itself at the next start.",
  }),
];

export const truths: Record<string, Truth> = {
  "cellar-filter": { factor: 0.95, lookEvery: 24, dueIn: 2, seed: 11 },
  "kiln-filter": {
    ...{ factor: 1.05, dueIn: 26, seed: 12 },
    forgottenUntil: KILN_STOPPED_DAYS_AGO,
  },
  "mesh-left": { factor: 1.95, lookEvery: 11, dueIn: 5, begunDaysAgo: 420, seed: 13 },
  "mesh-right": { factor: 1.7, dueIn: 9, begunDaysAgo: 420, seed: 14 },
  "vent-extract": { factor: 0.95, lookEvery: 60, dueIn: 41, seed: 15 },
  "vent-supply": { factor: 1.1, lookEvery: 60, dueIn: 96, seed: 16 },
  "hall-cells": { factor: 1, lookEvery: 45, dueIn: 35, seed: 20 },
  "hall-prefilter": { factor: 1.1, dueIn: 14, begunDaysAgo: 420, seed: 21 },
  "humidifier-panel": { factor: 1, dueIn: 190, seed: 22 },
  "purifier-wrap": { factor: 0.9, dueIn: 34, seed: 17 },
  "purifier-hepa": { factor: 1, dueIn: 240, seed: 18 },
  "cooler-mesh": { factor: 1, dueIn: 110, begunDaysAgo: 700, seed: 23 },
  "gallery-bank": { factor: 1.1, dueIn: 19, seed: 19 },
  "heater-filters": { factor: 1.3, lookEvery: 30, dueIn: 16, begunDaysAgo: 420, seed: 24 },
};

export function partsIn(units: readonly Unit[]): Part[] {
  const by = (id: string) => units.find((each) => each.id === id)!;
  const water = { place: "through the floor to the gully" };
  return [
    ...partsOf(by("cellar-furnace"), {
      "evaporator-coil": { place: "on top of the furnace", attributes: { reached: "door" } },
      "drain-pan": {},
      "float-switch": {},
      capacitor: { name: "Inducer capacitor", attributes: { rated: "5 µF ± 6 %" } },
      blower: { attributes: { drive: "direct" } },
      "condensate-line": { ...water, attributes: { length: "4.5", ends: "the cellar gully" } },
      "plastic-vent": {
        place: "north wall, under the study window",
        attributes: { ends: "side-wall" },
      },
    }),
    ...partsOf(by("humidifier")),
    ...partsOf(by("yard-condenser"), {
      // Its indoor coil sits on the furnace and is entered there.
      capacitor: { attributes: { rated: "45 µF ± 6 %" } },
      "line-insulation": { attributes: { length: "9" } },
    }).filter(({ kind }) => !["evaporator-coil", "drain-pan", "condensate-line"].includes(kind)),
    ...partsOf(by("kiln-furnace"), {
      belt: { attributes: { size: "A-38" } },
      pilot: {},
      blower: { attributes: { drive: "belt" } },
    }),
    ...partsOf(by("studio-pump"), { "base-drain": {}, "fine-filter": { name: "Fine filter" } }),
    ...partsOf(by("loft-ventilator"), {
      "room-valves": { attributes: { count: "11" } },
      "condensate-line": { attributes: { length: "3", ends: "the bath’s stack" } },
    }),
    ...partsOf(by("hall-cleaner")),
    ...partsOf(by("purifier"), { "filter-light": { several: ["Leaf light", "Ring light"] } }),
    ...partsOf(by("box-cooler")),
    ...partsOf(by("gallery"), { belt: { attributes: { size: "A-51" } }, blower: {} }),
    ...partsOf(by("workshop-heater"), { "filter-light": {} }),
    ...partsOf(by("ducts"), {
      trunk: { attributes: { length: "11" }, place: "cellar ceiling, old wrap: leave it alone" },
      "supply-run": {
        several: ["North run", "East run", "Loft run"],
        attributes: { length: "7.5" },
      },
      "return-run": { attributes: { length: "9" } },
      "outside-terminal": { place: "west gable" },
    }),
    ...partsOf(by("dryer"), { "dryer-duct": { attributes: { length: "2.4" } } }),
    ...["thermostat-hall", "thermostat-upper", "thermostat-studio"].flatMap((id) =>
      partsOf(by(id), { batteries: { attributes: { type: "2 AA" } } }),
    ),
    ...["alarm-upper", "alarm-ground", "alarm-cellar", "alarm-stable"].flatMap((id) =>
      partsOf(by(id), { batteries: { attributes: { type: "3 AA" } } }),
    ),
  ];
}

/** The last spring that is wholly over: plaster dust from the scullery, for five weeks of it. */
function lastSpring(today: PlainDate): { from: PlainDate; to: PlainDate } {
  const year = Number(today.slice(0, 4));
  const over = plainDate(`${year}-05-18`) < today;
  const spring = over ? year : year - 1;
  return { from: plainDate(`${spring}-04-14`), to: plainDate(`${spring}-05-18`) };
}

export function drivers(today: PlainDate): ScopedDriver[] {
  return [
    { id: "household", scope: "home", kind: "people", count: 2 },
    { id: "asthma", scope: "home", kind: "breathing-trouble", label: "asthma" },
    { id: "dog", scope: "home", kind: "shedding-pets", count: 1, label: "the dog" },
    { id: "clay", scope: "home", kind: "dusty-hobby", label: "clay dust" },
    {
      id: "scullery",
      scope: "home",
      kind: "renovation",
      ...lastSpring(today),
      label: "scullery plaster",
    },
    {
      id: "rail",
      scope: "part",
      partId: "cellar-filter",
      kind: "bypass",
      fraction: 0.016,
      label: "air past its rail",
    },
  ];
}

/** How things are set when all is as it should be. */
export function settings(today: PlainDate): NotedSetting[] {
  const set = (
    id: string,
    daysAgo: number,
    unitId: string,
    label: string,
    value: string,
    partId?: string,
  ): NotedSetting => ({
    id: `set-${id}`,
    unitId,
    ...(partId ? { partId } : {}),
    key: id,
    label,
    value,
    on: addDays(today, -daysAgo),
  });
  return [
    set("mode", 160, "thermostat-hall", "Mode and setting", "heating, 20 by day, 17 at night"),
    set("fan", 160, "thermostat-hall", "Fan", "auto"),
    set("level", 320, "loft-ventilator", "Level", "2, by day and night"),
    set("humidistat", 150, "humidifier", "Humidistat", "35 %"),
    set("damper", 150, "humidifier", "Damper", "winter", "humidifier-damper"),
  ];
}

/** What was written down besides, on days counted back from today. */
export function notes(today: PlainDate): HistoryEvent[] {
  const note = (id: string, daysAgo: number, unitId: string, words: string): HistoryEvent => {
    const date = addDays(today, -daysAgo);
    return { id, kind: "note", unitId, date, recordedAt: `${date}T18:00:00.000Z`, words };
  };
  const fog = (id: string, daysAgo: number, value: string, words: string): HistoryEvent => {
    const { unitId: _, ...entry } = note(id, daysAgo, "", words);
    const reading = judgeInput.parse({ kind: "window-fog", value });
    return { ...entry, kind: "reading", sign: `fog:${value}`, reading };
  };
  return [
    {
      ...note(
        "kiln-stopped",
        KILN_STOPPED_DAYS_AGO,
        "kiln-furnace",
        "Stopped in the coldest week: the filter was blocked, the limit had tripped. New filter, runs again.",
      ),
      kind: "breakdown",
      breakdown: {
        code: "33",
        found: "Limit tripped, filter blocked with clay dust",
        cause: "No air through the filter",
        daysWithout: 2,
        prevented: { taskId: "kiln-filter.renew" },
      },
    },
    fog("fog-panes", 52, "panes", "Bedroom and scullery, in the mornings."),
    fog("fog-clear", 41, "clear", "Humidistat five per cent lower."),
    {
      ...note("better-breath", 96, "purifier", "No cough at night since the new cylinder."),
      ...{ kind: "noticed", sign: "breathing:better" },
    },
    note(
      "switch-off",
      251,
      "cellar-furnace",
      "Cold house in the morning: somebody had left the switch with the amber tag off.",
    ),
    note("vent-whistle", 74, "loft-ventilator", "Whistles in a west wind; worse since the autumn."),
    note("lime-tree", 268, "yard-condenser", "Ants on the honeydew under the lime tree."),
    {
      ...note(
        "coil-cleaned",
        COIL_CLEANED_DAYS_AGO,
        "cellar-furnace",
        "Matted on the side the air comes in; combed, foamed and rinsed by the technician.",
      ),
      ...{ kind: "done", partId: "cellar-furnace-evaporator-coil", taskKey: "clean" },
      ...{ minutes: 95, costMinor: 21000 },
    },
    ...readings(today),
  ];
}

/** The indoor coil was matted by dust that went past the filter’s frame, and was cleaned since. */
const COIL_CLEANED_DAYS_AGO = 690;

/** What was measured over the years: a capacitor that drifts, a pilot that fades, a core that clogs. */
function readings(today: PlainDate): HistoryEvent[] {
  const at = (days: number) => addDays(today, -days);
  return [
    ...readingsAt(
      { unitId: "cellar-furnace", partId: "cellar-furnace-capacitor" },
      { kind: "capacitor-uf", unit: "uF", rated: 5 },
      [
        [at(895), 5.02],
        [at(712), 4.96],
        [at(531), 4.9],
        [at(349), 4.84],
        [at(166), 4.77],
      ],
    ),
    ...readingsAt(
      { unitId: "yard-condenser", partId: "yard-condenser-capacitor" },
      { kind: "capacitor-uf", unit: "uF", rated: 45 },
      [
        [at(700), 45.3],
        [at(338), 45.1],
        [at(166), 46.1],
      ],
    ),
    ...readingsAt({ unitId: "yard-condenser" }, { kind: "cooling-split-k", unit: "K" }, [
      [at(650), 10.6],
      [at(288), 9.7],
    ]),
    ...readingsAt(
      { unitId: "cellar-furnace", partId: "cellar-furnace-evaporator-coil" },
      { kind: "coil", unit: undefined },
      [
        [at(COIL_CLEANED_DAYS_AGO + 1), "matted"],
        [at(325), "dusted"],
      ],
    ),
    ...readingsAt(
      { unitId: "kiln-furnace", partId: "kiln-furnace-pilot" },
      { kind: "thermocouple-mv", unit: "mV" },
      [
        [at(905), 24.6],
        [at(540), 21.3],
        [at(175), 18.1],
      ],
    ),
    ...readingsAt(
      { unitId: "loft-ventilator", partId: "loft-ventilator-recovery-core" },
      { kind: "heat-recovery-efficiency", unit: "1", rated: 0.84 },
      [
        [at(1000), 0.84],
        [at(760), 0.8],
        [at(480), 0.74],
        [at(120), 0.66],
        [at(5), 0.61],
      ],
    ),
    ...readingsAt({ unitId: "workshop-heater" }, { kind: "sensor-offset-k", unit: "K" }, [
      [at(98), 4],
      [at(97), 0.5],
    ]),
    {
      ...{ id: "heater-vacuumed", kind: "done", unitId: "workshop-heater", date: at(98) },
      recordedAt: `${at(98)}T15:00:00.000Z`,
      ...{ partId: "workshop-heater-grilles", taskKey: "vacuum", minutes: 15 },
      words: "Dust filters and grilles, clay dust: it had stopped early for weeks.",
    },
  ];
}

/** Jobs that slipped: with an alarm that is spent three things are past their time when the demo starts. */
export const FORGOTTEN = ["cellar-furnace-condensate-trap.flush", "dryer-dryer-duct.brush"];

const STARTED_HOURS_AGO = 26;

/** A run that somebody has begun and left, as the demo starts. */
export type DemoRun = {
  id: string;
  unitId: string;
  partId: string;
  taskKey: string;
  procedureId: string;
  startedAt: string;
  events: RunEvent[];
  /** A picture taken on the way. */
  photo: { id: string; step: string; moment: "before" | "after" };
};

const SEEN_ON_THE_WAY: Record<string, object> = {
  seal: { reading: { value: "flattened" } },
  "runs-clear": { choice: "clear" },
};

/** The recovery core of the ventilator, washed yesterday and still drying; the machine is off. */
export function leftDrying(now: Date): DemoRun {
  const started = now.getTime() - (STARTED_HOURS_AGO + 1) * 3_600_000;
  const at = (minutes: number) => new Date(started + minutes * 60_000).toISOString();
  const last = washRecoveryCore.steps.findIndex((step) => step.id === "is-it-dry");
  const set = washRecoveryCore.steps.findIndex((step) => step.id === "set-to-dry");
  return {
    id: "demo-core-run",
    unitId: "loft-ventilator",
    partId: "loft-ventilator-recovery-core",
    taskKey: "wash",
    procedureId: washRecoveryCore.id,
    startedAt: at(0),
    events: washRecoveryCore.steps.slice(0, last).map((step, i): RunEvent => ({
      id: `demo-core-${step.id}`,
      // An hour's work until it is set to dry, then a few minutes more.
      at: at(i <= set ? (60 * i) / set : 60 + 5 * (i - set)),
      kind: "done",
      step: step.id,
      ...SEEN_ON_THE_WAY[step.id],
    })),
    photo: { id: "demo-photo-core-before", step: "note-arrow", moment: "before" },
  };
}
