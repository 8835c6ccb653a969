import type { PlainDate } from "@/core/quantities/plain-date";
import { addDays, plainDate } from "@/core/quantities/plain-date";
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
import type { Truth } from "./demo-history";
import { always, equipment, partsOf, roomsOn, slot, system, unit, readingsAt } from "./entering";
import { merrowBend } from "./sluice-house";

/** The boathouse next door, let to a tenant: a home of its own on the same land. */
export const home: Home = {
  id: "boathouse",
  name: "The boathouse",
  timeZone: "Etc/UTC",
  unitSystem: "metric",
  currency: "EUR",
  climate: merrowBend,
  localRules:
    "The boiler’s gas side only by licensed people. Let home: a CO alarm on both levels, tested at each change of tenant.",
};

export const levels: Level[] = [
  { id: "boat-upper", name: "Upper floor", storey: 1, place: "inside" },
  { id: "boat-ground", name: "Ground floor", storey: 0, place: "inside" },
];

const placed = [
  roomsOn("boat-upper", [{ name: "Bedroom", sleeps: true }, { name: "Bath" }]),
  roomsOn("boat-ground", [{ name: "Living room" }, { name: "Kitchen" }, { name: "Store" }]),
];
export const rooms = placed.flatMap((each) => each.rooms);

export const contacts: Contact[] = [
  {
    id: "boat-technician",
    name: "Ottoline Ferrow, Lockside Heating",
    role: "technician",
    phone: "+99 555 0142",
  },
  { id: "boat-gas", name: "Merrow Bend gas emergency line", role: "gas", phone: "+99 555 0199" },
];

export const systems: AirSystem[] = [
  system("boat-boiler", "Boathouse boiler", false, equipment({ heats: true, cools: false })),
  system(
    "boat-heater",
    "Water heater",
    true,
    equipment({ heats: false, cools: false, fan: always(1) }),
  ),
  ...["boat-dryer", "boat-thermostat", "boat-alarm-upper", "boat-alarm-ground"].map((id) =>
    system(id, id, false, equipment({ heats: false, cools: false })),
  ),
];

export function unitsOn(today: PlainDate): Unit[] {
  const year = Number(today.slice(0, 4));
  const alarm = (id: string, levelId: string, name: string, madeOn: string) =>
    unit({
      id,
      levelId,
      kind: "co-alarm",
      name,
      make: "Wickett",
      model: "A-3",
      attributes: { "made-on": madeOn },
    });
  return [
    unit({
      id: "boat-boiler",
      levelId: "boat-ground",
      roomId: "boat-ground-store",
      kind: "boiler",
      name: "Boathouse boiler",
      make: "Hob & Vane",
      model: "B-24",
      serial: "HV-24-5531",
      fittedOn: plainDate(`${year - 6}-08-11`),
      papers: "with the owner, green folder",
      contactId: "boat-technician",
      attributes: { water: "sealed" },
      shutOffs: [
        { kind: "switch", place: "on the wall beside it", offPosition: "up is off" },
        { kind: "gas-cock", place: "under it", offPosition: "handle across the pipe is shut" },
        {
          kind: "water-valve",
          place: "both sides of the magnetic filter",
          offPosition: "slot across the pipe is shut",
        },
      ],
    }),
    unit({
      id: "boat-heater",
      levelId: "boat-ground",
      roomId: "boat-ground-store",
      kind: "exhaust-air-heater",
      name: "Water heater",
      make: "Tarn",
      model: "X-200",
      access: "the ironing board stands before it",
      shutOffs: [
        { kind: "breaker", place: "number 3, store" },
        { kind: "water-valve", place: "cold inlet, above it" },
      ],
    }),
    unit({
      id: "boat-dryer",
      levelId: "boat-upper",
      roomId: "boat-upper-bath",
      kind: "dryer-vent",
      name: "Dryer vent",
      attributes: { "duct-made-of": "flexible-metal" },
      shutOffs: [{ kind: "plug", place: "beside the basin" }],
    }),
    unit({
      id: "boat-thermostat",
      levelId: "boat-ground",
      roomId: "boat-ground-living-room",
      kind: "thermostat",
      name: "Thermostat",
      make: "Millrace",
      model: "T-1",
      attributes: { power: "batteries" },
    }),
    alarm("boat-alarm-upper", "boat-upper", "Bedroom alarm", `${year - 2}-04-01`),
    alarm("boat-alarm-ground", "boat-ground", "Store alarm", `${year - 4}-10-01`),
  ];
}

export const slots: FilterSlot[] = [
  slot({
    id: "boat-coarse",
    unitId: "boat-heater",
    name: "Coarse filter",
    place: "upper drawer",
    media: "vent-coarse",
    ratingText: "G3",
    airSide: "extract",
    direction: "into-the-unit",
    printed: "500x250x20 mm",
    priceMinor: 1100,
  }),
  slot({
    id: "boat-fine",
    unitId: "boat-heater",
    name: "Fine filter",
    place: "lower drawer",
    media: "vent-fine",
    ratingText: "ePM1 50",
    airSide: "outdoor",
    direction: "into-the-unit",
    printed: "500x250x48 mm",
    seat: "gasket",
    priceMinor: 3200,
  }),
];

export const truths: Record<string, Truth> = {
  "boat-coarse": { factor: 1.05, lookEvery: 70, dueIn: 22, seed: 31 },
  "boat-fine": { factor: 1, dueIn: 130, seed: 32 },
};

export function partsIn(units: readonly Unit[]): Part[] {
  const by = (id: string) => units.find((each) => each.id === id)!;
  return [
    ...partsOf(by("boat-boiler"), {
      "magnetic-filter": {
        place: "on the return, under the boiler",
        attributes: { system: "sealed", washer: "24 mm, fibre" },
      },
      radiator: {
        several: [
          "Living room, canal side",
          "Living room, door",
          "Kitchen",
          "Bedroom",
          "Bath",
          "Stair",
        ],
      },
    }),
    ...partsOf(by("boat-heater")),
    ...partsOf(by("boat-dryer"), { "dryer-duct": { attributes: { length: "3.1" } } }),
    ...partsOf(by("boat-thermostat")),
    ...partsOf(by("boat-alarm-upper")),
    ...partsOf(by("boat-alarm-ground")),
  ];
}

export const drivers = (): ScopedDriver[] => [
  { id: "boat-people", scope: "home", kind: "people", count: 1 },
  { id: "boat-road", scope: "home", kind: "busy-road", label: "the towpath road" },
];

/** How things are set when all is as it should be. */
export const settings = (today: PlainDate): NotedSetting[] => [
  {
    id: "set-boat-programme",
    unitId: "boat-thermostat",
    key: "mode",
    label: "Mode and setting",
    value: "programme, 19 by day",
    on: addDays(today, -190),
  },
];

export function notes(today: PlainDate): HistoryEvent[] {
  const date = addDays(today, -190);
  return [
    {
      id: "boat-tenant",
      kind: "note",
      unitId: "boat-boiler",
      date,
      recordedAt: `${date}T18:00:00.000Z`,
      words: "The tenant asks for a day’s notice; the key is at Sluice House.",
    },
    ...readingsAt(
      { unitId: "boat-boiler", partId: "boat-boiler-pressure" },
      { kind: "boiler-pressure-bar", unit: "bar" },
      [
        [addDays(today, -420), 1.6],
        [addDays(today, -210), 1.5],
        [addDays(today, -40), 1.3],
      ],
    ),
    ...readingsAt(
      { unitId: "boat-boiler", partId: "boat-boiler-magnetic-filter" },
      { kind: "sludge", unit: undefined },
      [
        [addDays(today, -900), "thick"],
        [addDays(today, -540), "coat"],
        [addDays(today, -180), "film"],
      ],
    ),
  ];
}
