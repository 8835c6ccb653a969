import { climateSchema } from "@/core/climate/climate";
import { equipmentSchema, type Equipment } from "@/core/climate/run-hours";
import { addDays, plainDate, toDay, type PlainDate } from "@/core/quantities/plain-date";
import { readRating } from "@/core/quantities/rating";
import { readSize } from "@/core/quantities/size";
import type { EndEntry } from "@/core/procedures/loose-ends";
import type {
  AirSystem,
  FilterSlot,
  Home,
  HomeBook,
  Level,
  ScopedDriver,
  ShutOff,
  TypedSize,
  Unit,
} from "@/core/register/register";
import { renewalOf } from "../procedures/library";
import { chanceFrom } from "./chance";
import { demoHistory, type Truth } from "./demo-history";
import { demoWeather } from "./demo-weather";

const HOME = "sluice-house";
const WEATHER_SEED = 20_260_314;
const WEATHER_DAYS = 1300;

const home: Home = {
  id: HOME,
  name: "Sluice House",
  timeZone: "Etc/UTC",
  unitSystem: "metric",
  currency: "EUR",
  climate: climateSchema.parse({
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
    dailyRangeC: 10,
  }),
};

const levels: Level[] = [
  { id: "loft", name: "Loft", storey: 3, place: "inside" },
  { id: "upper", name: "Upper floor", storey: 1, place: "inside" },
  { id: "ground", name: "Ground floor", storey: 0, place: "inside" },
  { id: "cellar", name: "Cellar", storey: -1, place: "inside" },
  { id: "stable", name: "Stable", storey: 0, place: "outbuilding" },
  { id: "shop", name: "Gallery roof", storey: 0, place: "outbuilding" },
];

const equipment = (values: Partial<Equipment> & Pick<Equipment, "heats" | "cools">): Equipment =>
  equipmentSchema.parse({ fan: { mode: "auto" }, ...values });

const system = (id: string, name: string, ducted: boolean, values: Equipment): AirSystem => ({
  id: `${id}-air`,
  name,
  ducted,
  equipment: values,
});

const always = (level: number) => ({ mode: "continuous" as const, hours: undefined, level });

const systems: AirSystem[] = [
  system("cellar-furnace", "Cellar furnace", true, equipment({ heats: true, cools: true })),
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
  system("gallery", "Gallery unit", true, equipment({ heats: true, cools: true, useShare: 0.8 })),
];

type UnitFacts = Omit<Unit, "systemId" | "shutOffs"> & { shutOffs: Omit<ShutOff, "id">[] };
const unit = (facts: UnitFacts): Unit => ({
  ...facts,
  systemId: `${facts.id}-air`,
  shutOffs: facts.shutOffs.map((off, i) => ({ id: `${facts.id}-off-${i}`, ...off })),
});

const units: Unit[] = [
  unit({
    id: "cellar-furnace",
    levelId: "cellar",
    kind: "condensing-furnace",
    name: "Cellar furnace",
    makeModel: "Northgate CF-80",
    access: "mind the low beam at the foot of the stairs",
    shutOffs: [
      { kind: "switch", place: "with the amber tag, left of the door", offPosition: "down is off" },
      { kind: "breaker", place: "number 7, hall cupboard" },
      {
        kind: "gas-cock",
        place: "behind the furnace",
        offPosition: "handle across the pipe is shut",
      },
    ],
  }),
  unit({
    id: "kiln-furnace",
    levelId: "stable",
    kind: "metal-vent-furnace",
    name: "Kiln-shed furnace",
    makeModel: "Northgate M-60",
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
    kind: "ductless-head",
    name: "Studio heat pump",
    makeModel: "Tarn S-35, two heads",
    shutOffs: [{ kind: "breaker", place: "number 11, stable board" }],
  }),
  unit({
    id: "loft-ventilator",
    levelId: "loft",
    kind: "ventilator",
    name: "Loft ventilator",
    makeModel: "Tarn V2",
    access: "ladder from the landing, key on the hook",
    shutOffs: [
      { kind: "switch", place: "on its own side, under the cover’s lip", offPosition: "0" },
    ],
  }),
  unit({
    id: "purifier",
    levelId: "upper",
    kind: "portable-purifier",
    name: "Reading-room purifier",
    makeModel: "Millrace P-4",
    shutOffs: [{ kind: "plug", place: "behind the armchair" }],
  }),
  unit({
    id: "gallery",
    levelId: "shop",
    kind: "rooftop",
    name: "Gallery unit",
    makeModel: "Northgate R-120",
    access: "by the fixed ladder; not in wind or ice",
    shutOffs: [
      { kind: "disconnect", place: "in the grey box beside it", offPosition: "pulled out" },
    ],
  }),
];

function size(text: string): TypedSize & { unit: "in" | "mm" | "cm" } {
  const reading = readSize(text);
  if (!reading.ok) throw new Error(`sluice-house: size “${text}” is not readable`);
  return { text, mm: reading.mm, unit: reading.unit };
}

type SlotFacts = Pick<FilterSlot, "id" | "unitId" | "name" | "media" | "airSide" | "direction"> &
  Partial<FilterSlot> & { printed: string; ratingText?: string };
function slot({ printed, ratingText, ...facts }: SlotFacts): FilterSlot {
  const rating = ratingText ? readRating(ratingText) : null;
  return {
    filterCount: 1,
    indicator: false,
    nominal: size(printed),
    ...(rating ? { rating } : {}),
    ...facts,
  };
}

const slots: FilterSlot[] = [
  slot({
    id: "cellar-filter",
    unitId: "cellar-furnace",
    name: "Filter",
    place: "in the return duct, left of the furnace, behind the sliding plate",
    media: "pleated-25",
    ratingText: "MERV 8",
    airSide: "recirculated",
    direction: "right",
    directionMark: "An arrow is drawn on the duct.",
    printed: "20x20x1",
    measured: size("495x495x22 mm"),
    opening: size("508x508x26 mm"),
    priceMinor: 950,
  }),
  slot({
    id: "kiln-filter",
    unitId: "kiln-furnace",
    name: "Filter",
    place: "inside the blower compartment, lower door",
    media: "pleated-25",
    ratingText: "MERV 8",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "16x25x1",
    priceMinor: 890,
  }),
  slot({
    id: "mesh-left",
    unitId: "studio-pump",
    name: "Left mesh",
    place: "behind the front of the left head",
    media: "head-mesh",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "300x260 mm",
  }),
  slot({
    id: "mesh-right",
    unitId: "studio-pump",
    name: "Right mesh",
    place: "behind the front of the right head",
    media: "head-mesh",
    airSide: "recirculated",
    direction: "into-the-unit",
    printed: "300x260 mm",
  }),
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
    priceMinor: 2600,
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
    indicator: true,
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
    indicator: true,
    priceMinor: 7900,
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
];

const truths: Record<string, Truth> = {
  "cellar-filter": { factor: 1.16, lookEvery: 24, dueIn: 2, seed: 11 },
  "kiln-filter": { factor: 1.05, dueIn: 26, seed: 12 },
  "mesh-left": { factor: 1.95, lookEvery: 9, dueIn: 5, seed: 13 },
  "mesh-right": { factor: 1.7, dueIn: 9, seed: 14 },
  "vent-extract": { factor: 0.95, lookEvery: 60, dueIn: 41, seed: 15 },
  "vent-supply": { factor: 1.1, lookEvery: 60, dueIn: 96, seed: 16 },
  "purifier-wrap": { factor: 0.9, dueIn: 34, seed: 17 },
  "purifier-hepa": { factor: 1, dueIn: 240, seed: 18 },
  "gallery-bank": { factor: 1.1, dueIn: 19, seed: 19 },
};

/** The last spring that is wholly over: plaster dust from the scullery, for five weeks of it. */
function lastSpring(today: PlainDate): { from: PlainDate; to: PlainDate } {
  const year = Number(today.slice(0, 4));
  const over = plainDate(`${year}-05-18`) < today;
  const spring = over ? year : year - 1;
  return { from: plainDate(`${spring}-04-14`), to: plainDate(`${spring}-05-18`) };
}

function drivers(today: PlainDate): ScopedDriver[] {
  return [
    { id: "household", scope: "home", kind: "people", count: 2 },
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

const DRYING_HOURS = 48;
const STARTED_HOURS_AGO = 26;
const hoursFrom = (now: Date, hours: number) =>
  new Date(now.getTime() + hours * 3_600_000).toISOString();

/** The recovery core of the ventilator, washed yesterday and still drying; the machine is off. */
function leftOpen(now: Date): (EndEntry & { words: string })[] {
  const entry = (id: string, end: EndEntry["end"], hoursAgo: number, words: string) => ({
    id: `demo-${id}`,
    unit: "loft-ventilator",
    part: undefined,
    end,
    at: hoursFrom(now, -hoursAgo),
    action: "open" as const,
    readyAt: undefined,
    after: undefined,
    words,
  });
  return [
    entry("off", "switch-off", STARTED_HOURS_AGO + 1, "off while its core dries"),
    {
      ...entry("core", "part-drying", STARTED_HOURS_AGO, "the recovery core, washed yesterday"),
      readyAt: hoursFrom(now, DRYING_HOURS - STARTED_HOURS_AGO),
    },
  ];
}

export type Demo = { book: HomeBook; ends: (EndEntry & { words: string })[] };

/** Sluice House as it is on the day the demo starts, with three years behind it. */
export function sluiceHouse(today: PlainDate, now: Date): Demo {
  const weather = demoWeather(
    home.climate,
    toDay(addDays(today, -WEATHER_DAYS)),
    toDay(today) - 1,
    chanceFrom(WEATHER_SEED),
  );
  const book: HomeBook = {
    home,
    levels,
    systems,
    units,
    slots,
    items: [],
    drivers: drivers(today),
    tasks: slots.flatMap((each) => {
      const job = renewalOf(each.media);
      return job
        ? [{ id: `${each.id}-task`, unitId: each.unitId, partId: each.id, procedureId: job.id }]
        : [];
    }),
    events: [],
    actuals: weather,
    measured: [],
  };
  const made = slots.map((each) => demoHistory(book, each, truths[each.id]!, today));
  const events = made.flatMap((each) => each.events);
  return {
    book: {
      ...book,
      items: made.flatMap((each) => each.items),
      events: events.sort((a, b) =>
        a.recordedAt < b.recordedAt ? -1 : a.recordedAt > b.recordedAt ? 1 : 0,
      ),
    },
    ends: leftOpen(now),
  };
}
