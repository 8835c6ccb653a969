import { REPLACE_WHEN } from "./keys";
import type { Attribute } from "@/core/inventory/attribute";

export type PartKind = {
  id: string;
  name: string;
  /** What was done to it, as the record says it. */
  done: string;
  /** What its care consists of, in a line. */
  care: string;
  attributes?: readonly Attribute[];
};

const where = (label: string, ...values: [string, string][]): Attribute => ({
  key: label.toLowerCase().replace(/\W+/g, "-"),
  label,
  kind: "choice",
  options: values.map(([value, words]) => ({ value, label: words })),
});
const long = (label: string): Attribute => ({ key: "length", label, kind: "length" });

/** Every kind of part a household's machines have, but for the filter slots. */
export const PART_KINDS = [
  {
    id: "blower",
    name: "Blower",
    done: "Cleaned",
    care: "wheel and housing free of dust, bearings quiet",
    attributes: [where("Drive", ["direct", "direct drive"], ["belt", "belt drive"])],
  },
  {
    id: "belt",
    name: "Drive belt",
    done: "Replaced",
    care: "neither glazed, cracked nor slack",
    attributes: [{ key: "size", label: "Size printed on it", kind: "text" }],
  },
  {
    id: "burners",
    name: "Burners",
    done: "Cleaned",
    care: "a steady blue flame; rolling, lazy yellow or soot means stop and call",
  },
  {
    id: "flame-sensor",
    name: "Flame sensor",
    done: "Polished",
    care: "rod wiped bright every second year",
  },
  { id: "igniter", name: "Igniter", done: "Checked", care: "not to be touched with bare fingers" },
  {
    id: "pilot",
    name: "Standing pilot and thermocouple",
    done: "Checked",
    care: "a firm blue pilot; its millivolts fall over the years",
  },
  {
    id: "heat-exchanger",
    name: "Heat exchanger",
    done: "Checked",
    care: "tested by licensed people only",
  },
  {
    id: "condensate-trap",
    name: "Condensate trap",
    done: "Flushed",
    care: "emptied of slime, filled again before it runs",
  },
  {
    id: "condensate-line",
    name: "Condensate line",
    done: "Flushed",
    care: "poured through until it runs clear",
    attributes: [long("Length"), { key: "ends", label: "Where it ends", kind: "text" }],
  },
  {
    id: "plastic-vent",
    name: "Plastic vent and intake",
    done: "Cleared",
    care: "snow, icicles and leaves off both ends outside",
    attributes: [
      where("Ends", ["side-wall", "through the side wall"], ["roof", "through the roof"]),
    ],
  },
  {
    id: "metal-vent",
    name: "Metal vent pipe",
    done: "Looked at",
    care: "hot while it runs; rusted through means stop and call",
  },
  {
    id: "air-intake",
    name: "Combustion air intake",
    done: "Cleared",
    care: "never boxed in or stuffed shut",
  },
  {
    id: "door-switch",
    name: "Door switch",
    done: "Checked",
    care: "stops the machine with its door off; never taped down",
  },
  { id: "wiring", name: "Wiring", done: "Looked at", care: "no brown insulation, nothing loose" },
  {
    id: "evaporator-coil",
    name: "Indoor coil",
    done: "Cleaned",
    care: "combed and brushed dry first, then washed",
    attributes: [
      where("Reached", ["door", "by a door of its own"], ["cut", "only by opening the duct"]),
    ],
  },
  { id: "drain-pan", name: "Drain pan", done: "Emptied", care: "dry, level and free of slime" },
  {
    id: "float-switch",
    name: "Float switch",
    done: "Tested",
    care: "lifted by hand, the cooling stops",
  },
  {
    id: "condenser-coil",
    name: "Outdoor coil",
    done: "Rinsed",
    care: "top to bottom, never under pressure",
  },
  { id: "base-drain", name: "Base drain holes", done: "Cleared", care: "open before the cold" },
  { id: "fan", name: "Fan", done: "Looked at", care: "blades whole, free of leaves, quiet" },
  {
    id: "capacitor",
    name: "Capacitor",
    done: "Measured",
    care: "holds a charge: technicians only",
    attributes: [
      { key: "rated", label: "Printed on it", hint: "“5 µF ± 6 %”.", kind: "text" },
      {
        key: REPLACE_WHEN.key,
        label: "When it is replaced",
        fact: "Replaced",
        hint: "Those who wait save a part now and then; those who don’t are not called out in the hottest week.",
        kind: "choice",
        options: [
          { value: "limits", label: "once it is out of its limits" },
          {
            value: REPLACE_WHEN.drifting,
            label: "before the summer in which it would drift out",
          },
        ],
      },
    ],
  },
  { id: "contactor", name: "Contactor", done: "Checked", care: "contacts flat and clean" },
  {
    id: "refrigerant-charge",
    name: "Refrigerant charge",
    done: "Checked",
    care: "licensed people only",
  },
  {
    id: "line-insulation",
    name: "Line insulation",
    done: "Mended",
    care: "whole on the thick line: bare, it drips",
    attributes: [long("Length of the line")],
  },
  { id: "louvres", name: "Louvres", done: "Wiped", care: "turned by hand only with the power off" },
  {
    id: "fine-filter",
    name: "Fine filter of a head",
    done: "Washed",
    care: "soaked, dried in the shade; new after three years",
  },
  { id: "head-drain", name: "Drain of a head", done: "Flushed", care: "a cup of water runs away" },
  {
    id: "clearance",
    name: "Clear space outdoors",
    done: "Cleared",
    care: "free all round, out of the snow",
  },
  { id: "inlet-screen", name: "Inlet screen", done: "Washed", care: "washed, dry, put back" },
  { id: "access-panels", name: "Access panels", done: "Checked", care: "all screws, no rattle" },
  {
    id: "recovery-core",
    name: "Recovery core",
    done: "Washed",
    care: "lukewarm water, then two days to dry",
  },
  { id: "cover-seal", name: "Cover seal", done: "Checked", care: "soft, whole, not flattened" },
  {
    id: "room-valves",
    name: "Room valves",
    done: "Wiped",
    care: "wiped without turning them: their opening is set",
    attributes: [{ key: "count", label: "How many", kind: "count" }],
  },
  { id: "outside-grilles", name: "Outside grilles", done: "Cleared", care: "no leaves, no nest" },
  { id: "grilles", name: "Grilles", done: "Vacuumed", care: "nothing in front of them" },
  {
    id: "filter-light",
    name: "Filter light",
    done: "Reset",
    care: "reset after the change it asks for",
  },
  {
    id: "drain-ports",
    name: "Drain ports",
    done: "Emptied",
    care: "upper and lower; a lit tank light with a dry port means clogged",
  },
  { id: "exhaust-hose", name: "Exhaust hose", done: "Cleaned", care: "short, straight, no holes" },
  { id: "flue", name: "Flue", done: "Looked at", care: "sound and clear; else stop and call" },
  {
    id: "magnetic-filter",
    name: "Magnetic filter",
    done: "Cleaned",
    care: "valves shut, magnet wiped, water topped up after",
    attributes: [
      {
        key: "system",
        label: "The heating’s water",
        kind: "choice",
        options: [
          { value: "sealed", label: "sealed, with a gauge" },
          { value: "header-tank", label: "open to a header tank" },
        ],
      },
      { key: "washer", label: "Washer of its drain plug", hint: "Have one ready.", kind: "text" },
    ],
  },
  {
    id: "inhibitor",
    name: "Inhibitor",
    done: "Topped up",
    care: "less sludge each year shows that it works",
    attributes: [{ key: "inhibitor", label: "Which one is in", kind: "text" }],
  },
  {
    id: "pressure",
    name: "Water pressure",
    done: "Topped up",
    care: "about 1.5 bar (22 psi) when cold",
  },
  {
    id: "radiator",
    name: "Radiator",
    done: "Bled",
    care: "cold at the top means air; at the foot, sludge",
    attributes: [{ key: "litres", label: "Water in it, L", kind: "count" }],
  },
  { id: "damper", name: "Damper", done: "Set", care: "open in winter, shut in summer" },
  { id: "humidistat", name: "Humidistat", done: "Set", care: "lower when the windows fog" },
  {
    id: "supply-run",
    name: "Supply run",
    done: "Cleaned",
    care: "by a professional, or its grille only",
    attributes: [long("Length")],
  },
  {
    id: "return-run",
    name: "Return run",
    done: "Cleaned",
    care: "by a professional, or its grille only",
    attributes: [long("Length")],
  },
  {
    id: "trunk",
    name: "Trunk",
    done: "Cleaned",
    care: "old wrap may hold asbestos: don’t disturb it",
    attributes: [long("Length")],
  },
  {
    id: "outside-terminal",
    name: "Outside terminal",
    done: "Cleared",
    care: "flap moves, no nest",
  },
  {
    id: "dryer-duct",
    name: "Dryer duct",
    done: "Cleaned",
    care: "lint burns: every year, end to end; twice where it is long, bent or flexible",
    attributes: [
      long("Length"),
      { key: "bends", label: "How many bends has it?", fact: "Bends", kind: "count" },
      {
        key: "tube",
        label: "What is it made of?",
        fact: "Tube",
        kind: "choice",
        options: [
          { value: "rigid", label: "smooth metal pipe" },
          { value: "half-rigid", label: "half-rigid metal" },
          { value: "flexible", label: "flexible foil or plastic" },
        ],
      },
    ],
  },
  {
    id: "outside-flap",
    name: "Outside flap",
    done: "Cleaned",
    care: "opens while it blows, shuts after",
  },
  {
    id: "batteries",
    name: "Batteries",
    done: "Replaced",
    care: "once a year, weak ones may not warn",
    attributes: [{ key: "type", label: "Which ones", hint: "“2 AA”.", kind: "text" }],
  },
  { id: "programme", name: "Schedule", done: "Checked", care: "a bumped one looks like a fault" },
  {
    id: "alarm-display",
    name: "Display",
    done: "Read",
    care: "zero; many alarms keep silent below 50 ppm",
  },
  {
    id: "gas-hose",
    name: "Gas hose and regulator",
    done: "Checked",
    care: "replaced by its printed date, proved with soapy water",
    attributes: [{ key: "hose-date", label: "Date printed on it", kind: "text" }],
  },
  {
    id: "gas-bottle",
    name: "Gas bottle",
    done: "Changed",
    care: "upright, above ground, its valve shut when it rests",
    attributes: [{ key: "size", label: "Size", hint: "“11 kg”.", kind: "text" }],
  },
  { id: "room-air", name: "Air for the room", done: "Looked at", care: "open to outside" },
  {
    id: "grease-filter",
    name: "Grease filters",
    done: "Washed",
    care: "hot water and dish soap, dry before they go back",
    attributes: [{ key: "count", label: "How many", kind: "count" }],
  },
  { id: "hood-carbon", name: "Carbon", done: "Changed", care: "not washed: changed" },
  {
    id: "water-tank",
    name: "Water tank",
    done: "Washed",
    care: "free of slime, its float moves",
  },
  {
    id: "relief-valve",
    name: "Relief valve",
    done: "Tried",
    care: "lifted once a year: the last safety there is",
  },
  { id: "sediment", name: "Tank’s bottom", done: "Flushed", care: "until it runs clear" },
  { id: "anode", name: "Anode", done: "Looked at", care: "rusts in the tank’s place" },
  { id: "other", name: "Something else", done: "Serviced", care: "as its manual says" },
] as const satisfies readonly PartKind[];

export type PartKindId = (typeof PART_KINDS)[number]["id"];

export const PART_KIND_IDS = PART_KINDS.map((kind) => kind.id) as [PartKindId, ...PartKindId[]];

export function partKind(id: string): PartKind {
  return (
    PART_KINDS.find((kind) => kind.id === id) ?? PART_KINDS.find((kind) => kind.id === "other")!
  );
}
