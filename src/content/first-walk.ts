import type { LevelPlace, SlotPlace } from "@/core/inventory/inventory";
import type { AirSide } from "@/core/filters/drivers";
import type { Media } from "@/core/filters/media";
import type { PartKindId } from "./part-kinds";
import type { UnitKindId } from "./unit-kinds";

/** What one finds becomes: a machine, a filter slot of one, or the outer end of one. */
export type Makes =
  | {
      unit: UnitKindId;
      /** Small enough to be entered whole, with what such a thing usually has. */
      whole?: true;
    }
  | {
      /** The machines it may belong to; the first is begun where none of them was found yet. */
      at: readonly [UnitKindId, ...UnitKindId[]];
      slot: { name: string; slotPlace: SlotPlace; media: Media; airSide: AirSide };
    }
  | { at: readonly [UnitKindId, ...UnitKindId[]]; part: PartKindId };

/** Something to look for on the first walk: how it looks, and how one finds out what it is. */
export type WalkFind = {
  id: string;
  name: string;
  /** Where it hides, and what one does to see it. */
  hint: string;
  /** Its drawing in public/figures.svg. */
  figure: string;
  makes: Makes;
  /** Where it is asked about at once: these places … */
  places: readonly LevelPlace[];
  /** … and of them only those whose name holds one of these; without it all of them. */
  words?: readonly string[];
};

const unit = (
  id: UnitKindId,
  name: string,
  hint: string,
  figure: string,
  places: readonly LevelPlace[],
  words?: readonly string[],
): WalkFind => ({
  id,
  name,
  hint,
  figure,
  makes: { unit: id },
  places,
  ...(words ? { words } : {}),
});
const whole = (...args: Parameters<typeof unit>): WalkFind => ({
  ...unit(...args),
  makes: { unit: args[0], whole: true },
});

const INSIDE = ["inside", "outbuilding"] as const;
const BELOW = ["cellar", "basement", "boiler", "plant", "utility", "loft", "attic", "crawl"];
const WET = ["bath", "shower", "toilet", "wc", "scullery", "laundry", "utility"];
const DUCTED = [
  "ducts",
  "condensing-furnace",
  "metal-vent-furnace",
  "ducted-heat-pump",
  "electrostatic-cleaner",
] as const;

/**
 * Every place a filter may hide, and all else that wants looking after, in the order in which one
 * turns round in a room: the walls, the ceiling, what stands on the floor, what is behind doors.
 */
export const WALK_FINDS: readonly WalkFind[] = [
  {
    id: "wall-grille",
    name: "A filter behind a grille in a wall",
    hint: "A grille that draws air: a sheet of paper sticks to it. Turn its catches, let it down.",
    figure: "grille",
    makes: {
      at: DUCTED,
      slot: {
        name: "Return grille filter",
        slotPlace: "wall-grille",
        media: "pleated-25",
        airSide: "recirculated",
      },
    },
    places: INSIDE,
  },
  {
    id: "ceiling-grille",
    name: "A filter behind a grille in the ceiling",
    hint: "The same overhead, often in the hall. From a firm ladder; it swings down on one side.",
    figure: "ceiling-grille",
    makes: {
      at: DUCTED,
      slot: {
        name: "Return grille filter",
        slotPlace: "ceiling-grille",
        media: "pleated-25",
        airSide: "recirculated",
      },
    },
    places: INSIDE,
  },
  unit(
    "ductless-head",
    "A long box high on the wall",
    "The head of a heat pump. Its front lifts: two meshes behind it.",
    "head",
    INSIDE,
  ),
  {
    id: "room-valve",
    name: "A round valve or slot of a ventilator",
    hint: "Always a little air, nothing to shut. Do not turn its middle: it is set.",
    figure: "valve",
    makes: { at: ["ventilator", "exhaust-air-heater"], part: "room-valves" },
    places: INSIDE,
  },
  {
    id: "valve-filter",
    name: "A filter behind such a valve",
    hint: "Some hold a small mat. Mark the middle before you pull the valve.",
    figure: "valve",
    makes: {
      at: ["ventilator", "exhaust-air-heater"],
      slot: {
        name: "Filter behind a room valve",
        slotPlace: "elsewhere",
        media: "vent-coarse",
        airSide: "extract",
      },
    },
    places: INSIDE,
    words: ["kitchen", ...WET],
  },
  whole("thermostat", "A thermostat", "On an inner wall, at eye height.", "thermostat", INSIDE),
  whole(
    "co-alarm",
    "A carbon monoxide alarm",
    "The date it was made is on its back.",
    "alarm",
    INSIDE,
  ),
  whole("smoke-alarm", "A smoke alarm", "On the ceiling; the date on its back.", "smoke", INSIDE),
  whole(
    "smoke-co-alarm",
    "An alarm for smoke and CO in one",
    "Its print names both. It is spent when its CO side is: five to seven years.",
    "alarm-both",
    INSIDE,
  ),
  whole("bath-fan", "A fan in wall or ceiling", "Behind its grille: dust.", "fan", INSIDE, WET),
  whole(
    "range-hood",
    "A range hood",
    "Metal grease filters beneath; carbon behind them where nothing goes outside.",
    "hood",
    INSIDE,
    ["kitchen"],
  ),
  unit("dryer-vent", "A dryer with a hose", "Where the hose goes, lint goes.", "dryer", INSIDE, [
    "laundry",
    "scullery",
    "utility",
    "cellar",
    "basement",
    "bath",
  ]),
  unit(
    "portable-purifier",
    "An air purifier",
    "A cylinder or box on the floor; its cover twists or pulls off.",
    "cylinder",
    INSIDE,
    [],
  ),
  unit(
    "portable-cooler",
    "A portable air conditioner",
    "On wheels, with a thick hose. A mesh pulls out at its back.",
    "portable",
    INSIDE,
    [],
  ),
  unit(
    "dehumidifier",
    "A dehumidifier",
    "A tank to empty, a mesh behind.",
    "dehumidifier",
    INSIDE,
    ["cellar", "basement", "laundry"],
  ),
  unit(
    "gas-room-heater",
    "A gas heater on the wall",
    "With or without a flue. A dust filter at its back or side, often a light for it.",
    "heater",
    INSIDE,
    [],
  ),
  unit(
    "portable-gas-heater",
    "A gas heater on wheels",
    "A bottle in its back, or a hose to the wall with a date on it.",
    "bottle-heater",
    INSIDE,
    [],
  ),
  unit(
    "condensing-furnace",
    "A furnace with plastic pipes",
    "A metal cabinet on the ducts, white pipes to outside. The filter is in its door, below it, or in the duct beside it.",
    "furnace",
    INSIDE,
    BELOW,
  ),
  unit(
    "metal-vent-furnace",
    "A furnace with a metal pipe",
    "The same, its pipe gets hot: tap before you touch.",
    "furnace",
    INSIDE,
    BELOW,
  ),
  unit(
    "ducted-heat-pump",
    "An air handler without a flame",
    "A cabinet on the ducts, thick and thin copper lines into it.",
    "furnace",
    INSIDE,
    BELOW,
  ),
  unit(
    "humidifier",
    "A box on the duct with a water line",
    "A humidifier: a panel behind its cover.",
    "humidifier",
    INSIDE,
    BELOW,
  ),
  unit(
    "electrostatic-cleaner",
    "An air cleaner in the duct",
    "A flat door with a lamp of its own; metal cells slide out.",
    "cleaner",
    INSIDE,
    BELOW,
  ),
  unit(
    "ventilator",
    "A ventilator",
    "A box with four round ducts. Two small caps in its front: a filter behind each.",
    "ventilator",
    INSIDE,
    BELOW,
  ),
  unit(
    "exhaust-air-heater",
    "A water heater with air ducts",
    "A tall tank with ducts on top; two filters under its lid.",
    "tank",
    INSIDE,
    BELOW,
  ),
  unit(
    "boiler",
    "A boiler",
    "Pipes, no ducts. A dirt filter sits in the return pipe.",
    "boiler",
    INSIDE,
    [...BELOW, "kitchen"],
  ),
  unit(
    "tank-water-heater",
    "A tank of hot water",
    "A valve at its side with a pipe to the floor.",
    "tank",
    INSIDE,
    BELOW,
  ),
  unit(
    "ducts",
    "Ducts",
    "Sheet metal or silver hoses under floor or roof.",
    "ducts",
    INSIDE,
    BELOW,
  ),
  unit(
    "split-cooling",
    "A big fan in a cage",
    "The outdoor unit of the cooling. Its disconnect hangs on the wall beside it.",
    "condenser",
    ["outdoors"],
  ),
  {
    id: "outdoor-unit",
    name: "The outdoor unit of a heat pump",
    hint: "A flat box with a fan in its face, lines into the wall. Nothing close around it.",
    figure: "condenser",
    makes: { at: ["ductless-head", "ducted-heat-pump"], part: "clearance" },
    places: ["outdoors"],
  },
  unit("rooftop", "A box on a flat roof", "From the ground only, for now.", "rooftop", [
    "outdoors",
  ]),
  {
    id: "intake-filter",
    name: "A filter at the outdoor intake",
    hint: "Behind the grille through which a ventilator takes its air: mesh or mat.",
    figure: "intake",
    makes: {
      at: ["ventilator", "exhaust-air-heater"],
      slot: {
        name: "Filter at the outdoor intake",
        slotPlace: "elsewhere",
        media: "vent-coarse",
        airSide: "outdoor",
      },
    },
    places: ["outdoors"],
  },
  {
    id: "outside-grilles",
    name: "Grilles of a ventilator",
    hint: "Two of them, often some way apart. Nothing nesting, no leaves.",
    figure: "intake",
    makes: { at: ["ventilator", "exhaust-air-heater"], part: "outside-grilles" },
    places: ["outdoors"],
  },
  {
    id: "plastic-vent",
    name: "White plastic pipes through the wall",
    hint: "Vent and intake of a condensing burner: both free, an arm’s length above snow.",
    figure: "vent-ends",
    makes: { at: ["condensing-furnace"], part: "plastic-vent" },
    places: ["outdoors"],
  },
  {
    id: "dryer-flap",
    name: "The dryer’s flap",
    hint: "It opens while the dryer runs, and falls shut after.",
    figure: "flap",
    makes: { at: ["dryer-vent"], part: "outside-flap" },
    places: ["outdoors"],
  },
  {
    id: "air-intake",
    name: "A grille that feeds a burner with air",
    hint: "Low in the wall of the room with the furnace. Never closed.",
    figure: "intake",
    makes: { at: ["metal-vent-furnace"], part: "air-intake" },
    places: ["outdoors"],
  },
];

/** Whether a place is asked about something at once, by its level and its name. */
export function isLikelyAt(
  find: WalkFind,
  place: { levelPlace: LevelPlace; name: string },
): boolean {
  const name = place.name.toLowerCase();
  return (
    find.places.includes(place.levelPlace) &&
    (find.words === undefined || find.words.some((word) => name.includes(word)))
  );
}

/** What those before may have left behind: how it is asked, and what follows from it. */
export const PAST_TRACES = [
  {
    kind: "indoor-smoking",
    ask: "They smoked indoors",
    why: "Smoke leaves a sticky film in ducts and on the coil: dust holds on to it for years.",
  },
  {
    kind: "shedding-pets",
    ask: "They had animals that shed",
    why: "Hair and dander lie in the ducts and come out for months.",
  },
  {
    kind: "renovation",
    ask: "There was building work",
    why: "Plaster dust goes through any thin filter: it lies in the ducts and mats the coil.",
  },
] as const;

/** The looks that a house taken over is worth, as `kind:key`; the coil first. */
export const PAST_LOOKS = ["evaporator-coil:look", "supply-run:debris"] as const;
