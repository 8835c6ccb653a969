import type { ReadingKind } from "@/core/readings/reading-kinds";
import type { KeptVerdict } from "@/core/readings/judge";
import type { PartKindId } from "./part-kinds";
import type { UnitKindId } from "./unit-kinds";

export type ReadingWords = {
  name: string;
  /** Upon what it calls for a job, where its name makes no sentence of that. */
  calls?: string;
  /** How it is taken, in a line. */
  how: string;
  /** What the rated value is called, where it is compared with one. */
  rated?: string;
  /** What a verdict asks for. */
  act: string;
  /** What a verdict of stop asks for, where that is more. */
  stop?: string;
  /** What one reads off a safe distance, or leaves to others. */
  caution?: string;
};

const TECHNICIAN = "Capacitors hold their charge: only a licensed person opens and measures here.";

export const READING_WORDS: Readonly<Record<ReadingKind, ReadingWords>> = {
  "capacitor-uf": {
    name: "Capacitor",
    how: "Discharged, off its wires, with the meter on capacitance.",
    rated: "Printed on it",
    act: "have it replaced",
    caution: TECHNICIAN,
  },
  "motor-amps": {
    name: "Motor current",
    how: "One wire in the clamp, after 15 minutes of running.",
    rated: "On its plate",
    act: "have the motor looked at",
  },
  "thermocouple-mv": {
    name: "Pilot’s millivolts",
    calls: "when the pilot’s millivolts are out of their limits",
    how: "Its end off the valve, knob held, pilot lit: wait for the most.",
    act: "have it replaced",
  },
  "temperature-rise-k": {
    name: "Temperature rise",
    how: "Air into the ducts less air coming back, after 15 minutes.",
    rated: "On the plate",
    act: "look at filter and registers, then call",
    stop: "off: so hot it cracks its exchanger; look at filter and registers, call",
  },
  "cooling-split-k": {
    name: "Cooling of the air",
    how: "Air coming back less air into the ducts, after 15 minutes.",
    act: "look at filter and coil, then call",
  },
  "static-pressure-pa": {
    name: "Static pressure",
    how: "Across the blower, filter in, all registers open.",
    rated: "Its limit",
    act: "look for what is in the air’s way",
  },
  "filter-drop": {
    name: "Pressure across the filter",
    how: "One probe before it, one behind, the blower at full speed.",
    rated: "When it was clean",
    act: "change the filter",
  },
  "boiler-pressure-bar": {
    name: "Heating’s pressure",
    how: "On its gauge, cold.",
    act: "top the heating up to about 1.5 bar (22 psi); if it falls again, look for the leak",
    stop: "off: at 3 bar its safety valve opens; fill in no more, call",
  },
  "co-ppm": {
    name: "Carbon monoxide",
    how: "On the alarm’s display, steady.",
    act: "air the rooms, leave the burners off, have them looked at",
    stop: "everybody out, now; call from outside",
    caution: "If an alarm sounds: everyone out, then call. Silence is no reading.",
  },
  "relative-humidity": {
    name: "Humidity of the rooms",
    how: "Away from kitchen and windows, after an hour.",
    act: "set the humidifier, or air more",
  },
  "sensor-offset-k": {
    name: "Display against thermometer",
    how: "Its display less a thermometer beside it, out of the air it blows, after an hour.",
    act: "find why it reads wrong, then compare again",
  },
  "heat-recovery-efficiency": {
    name: "Share of heat kept",
    how: "Supply less outdoor, divided by extract less outdoor.",
    rated: "Its first",
    act: "wash the core",
  },
  "closed-registers": {
    name: "Registers shut",
    how: "Counted through the house.",
    rated: "How many there are",
    act: "open some",
  },
  "superheat-k": {
    name: "Superheat",
    how: "By the technician, after 15 steady minutes.",
    rated: "Target",
    act: "have the charge looked at",
  },
  "subcooling-k": {
    name: "Subcooling",
    how: "By the technician, after 15 steady minutes.",
    rated: "Target",
    act: "have the charge looked at",
  },
  "alarm-age-years": {
    name: "Age of an alarm",
    how: "From the day of manufacture on its back.",
    act: "replace it; new batteries don’t help",
  },
  "clearance-m": {
    name: "Free space round it",
    how: "From the coil to the nearest thing, the least.",
    act: "cut back or move what stands there",
  },
  flame: {
    name: "Flame",
    how: "Through its window, a minute after the start.",
    act: "have the burners seen to",
    stop: "switch off, leave it off, call",
  },
  "vent-pipe": {
    name: "Vent pipe",
    how: "Along its whole length.",
    act: "have it inspected",
    stop: "switch off, leave it off, call",
    caution: "A metal vent gets 150 to 200 °C (300 to 400 °F): tap it before you touch it.",
  },
  noise: {
    name: "Noise",
    how: "At the start, and while it runs.",
    act: "find what it comes from",
    stop: "switch off, leave it off, call",
  },
  "water-at-unit": {
    name: "Water at its foot",
    how: "On the floor and under the casing.",
    act: "find where it comes from: trap, line, pan or panel",
  },
  belt: { name: "Belt", how: "Off its pulley and turned inside out.", act: "put on a new one" },
  coil: {
    name: "Coil",
    how: "With a torch, from the side the air comes in.",
    act: "clean it; ice indoors: cooling off and let it thaw; oil: off, and call",
  },
  seal: { name: "Seal", how: "Along the whole edge, with a finger.", act: "put in a new one" },
  sludge: { name: "Sludge", how: "On the magnet, as it comes out.", act: "flush once more" },
  drain: { name: "Drain", how: "Poured through, and watched.", act: "clear it" },
  "duct-debris": {
    name: "What lies in the ducts",
    calls: "when what lies in the ducts looks bad",
    how: "Through a register, with a torch; touch nothing dark.",
    act: "have the ducts cleaned",
    stop: "touch nothing, no air moved through it: find the damp, ask a professional",
    caution: "Dark, sticky or speckled: don’t disturb it. Find the damp, ask a professional.",
  },
  "duct-amount": {
    name: "How much lies in the ducts",
    calls: "when much lies in the ducts",
    how: "Through a register, with a torch; a finger’s width at most is drawn aside.",
    act: "have them cleaned by people with a sealed vacuum",
  },
  "heat-exchanger": {
    name: "Heat exchanger",
    how: "With a torch or a mirror, while the coil or the burner box is open.",
    act: "have it tested",
    stop: "it does not heat again until it was tested: a crack lets carbon monoxide into the rooms",
    caution: "A stain like a hair counts as a crack until somebody measured.",
  },
  "plastic-pipe": {
    name: "Plastic vent",
    how: "Along its whole length: hangers, joints, colour.",
    act: "have it hung or joined anew before the heating season",
    stop: "switch off, leave it off, call",
  },
  frost: {
    name: "Frost outdoors",
    how: "On the outdoor unit while it heats: white hoar, or ice.",
    act: "off; snow and base drains cleared, never chipped; other heat; call",
  },
  "line-wrap": {
    name: "Wrap of its lines",
    how: "The thick line, end to end, where it enters the wall too.",
    act: "put new wrap on",
  },
  "flame-current-ua": {
    name: "Flame current",
    how: "The meter in line with the sensor’s wire, burner lit.",
    rated: "When it was clean",
    act: "polish the sensor; if it stays low, have it replaced",
  },
  "valve-airflow": {
    name: "Air of a room valve",
    how: "With a hood over the valve, doors shut.",
    rated: "As it was set",
    act: "clean valve and filters, then measure again",
  },
  "indicator-light": {
    name: "Filter light",
    how: "As it stands, before anything is reset.",
    act: "change what it asks for, then reset it",
  },
  "window-fog": {
    name: "Fog on the windows",
    how: "In the morning, where people slept.",
    act: "set the humidifier lower, air more",
  },
  smell: {
    name: "Smell",
    how: "Beside it, while it runs.",
    act: "find where it comes from: drain, filter, damp",
    stop: "gas: leave, touch no switch, call from outside; burning: off, then call",
    caution: "Gas smell: touch no switch, leave, call the gas emergency line from outside.",
  },
  "heating-water": {
    name: "Heating’s water",
    how: "A glass of it, against the light.",
    act: "have it flushed, then inhibitor",
  },
  "inhibitor-strip": {
    name: "Inhibitor in the water",
    how: "A test strip, read after its time.",
    act: "put inhibitor in",
  },
  wires: {
    name: "Wires and their ends",
    calls: "when wires or their ends look bad",
    how: "Power off: with a torch, touching nothing.",
    act: "have the ends made anew",
    stop: "switch off, leave it off, call",
  },
  "hood-steam": {
    name: "Steam at the stove",
    how: "Something simmering, the ventilation as usual.",
    act: "look at filters, valves and hood",
  },
  "plate-range": {
    name: "Against the plate",
    how: "A technician’s figure beside the range on the plate.",
    rated: "On the plate",
    act: "have it set",
  },
};

/** The words of what is seen, as a person says them. */
export const SEEN_WORDS: Readonly<Record<string, string>> = {
  "steady-blue": "steady blue",
  "yellow-tips": "yellow tips",
  "rolling-yellow": "lazy, rolling yellow",
  sooting: "soot",
  sound: "sound",
  "surface-rust": "rust on the surface",
  "rusted-through": "rusted through",
  disconnected: "apart somewhere",
  quiet: "quiet",
  rattle: "a rattle",
  whistle: "a whistle",
  squeal: "a squeal",
  bang: "a bang",
  dry: "dry",
  "old-stain": "an old stain",
  fresh: "fresh water",
  glazed: "glazed",
  cracked: "cracked",
  slack: "slack",
  clean: "clean",
  dusted: "dusted",
  "bent-fins": "bent fins",
  matted: "matted",
  iced: "iced over",
  oily: "oily spots",
  flattened: "flattened",
  leaking: "leaking",
  film: "a film",
  coat: "a coat",
  thick: "thick",
  clear: "clear",
  cloudy: "cloudy",
  slow: "slow",
  blocked: "blocked",
  fluff: "dust and fluff",
  "pale-grit": "pale grit",
  yellow: "yellowish",
  dark: "dark, sticky or speckled",
  off: "off",
  on: "lit",
  edges: "fog at the edges",
  panes: "fog on the panes",
  streaming: "running down",
  none: "none",
  stale: "stale",
  "first-heat-dust": "the first heat’s dust",
  musty: "musty",
  foul: "foul",
  burning: "something burning",
  gas: "gas",
  straw: "like straw",
  brown: "brown",
  black: "black",
  enough: "enough",
  low: "low",
  dull: "dull ends",
  corroded: "corroded",
  loose: "loose",
  scorched: "scorched",
  "drawn-in": "drawn in",
  drifts: "it drifts",
  "not-drawn": "not drawn in",
  thin: "a thin layer",
  modest: "a layer one can wipe off",
  heavy: "felted thick",
  stained: "a stain, or a hairline",
  sags: "it sags",
  drips: "a joint drips",
  apart: "apart somewhere",
  hoar: "white hoar that comes and goes",
  beneath: "ice beneath it",
  block: "a block of ice",
  whole: "whole",
  frayed: "frayed",
  bare: "bare in places",
};

/** What something seen suggests, beyond its verdict, where nothing leads on from it (`leads.ts`). */
export const SUGGESTS: Partial<Record<ReadingKind, Readonly<Record<string, string>>>> = {
  "duct-debris": {
    fluff: "Skin, fibres, pets: ordinary house dust.",
  },
  frost: {
    hoar: "Ordinary in heating weather: it thaws itself every hour or so.",
  },
  drain: {
    cloudy: "Dirt still comes. Brush and flush again.",
  },
  sludge: {
    film: "Little: the inhibitor does its work.",
    coat: "As much as in many houses. Compare it with next year’s.",
  },
  coil: {
    "bent-fins": "A fin comb straightens them.",
  },
  noise: {
    rattle: "Often a panel or a screw.",
  },
};

export const VERDICT_WORDS: Readonly<Record<KeptVerdict, string>> = {
  unknown: "not to be told without its plate",
  sound: "sound",
  watch: "to watch",
  act: "act",
  stop: "stop",
};

/** What is measured or seen at each kind of part; any other can be chosen too. */
export const PART_READINGS: Partial<Record<PartKindId, readonly ReadingKind[]>> = {
  blower: ["motor-amps", "noise"],
  belt: ["belt"],
  "flame-sensor": ["flame-current-ua"],
  wiring: ["wires"],
  "filter-light": ["indicator-light"],
  "room-valves": ["valve-airflow"],
  radiator: ["heating-water"],
  inhibitor: ["inhibitor-strip", "heating-water"],
  burners: ["flame"],
  pilot: ["thermocouple-mv", "flame"],
  "condensate-trap": ["drain"],
  "condensate-line": ["drain"],
  "plastic-vent": ["plastic-pipe"],
  "heat-exchanger": ["heat-exchanger"],
  "line-insulation": ["line-wrap"],
  "metal-vent": ["vent-pipe"],
  "evaporator-coil": ["coil"],
  "drain-pan": ["water-at-unit"],
  "condenser-coil": ["coil"],
  fan: ["motor-amps", "noise"],
  capacitor: ["capacitor-uf"],
  "refrigerant-charge": ["superheat-k", "subcooling-k", "plate-range"],
  "head-drain": ["drain"],
  clearance: ["clearance-m"],
  "recovery-core": ["heat-recovery-efficiency"],
  "cover-seal": ["seal"],
  "drain-ports": ["drain"],
  flue: ["vent-pipe"],
  "magnetic-filter": ["sludge", "heating-water", "seal"],
  pressure: ["boiler-pressure-bar"],
  humidistat: ["relative-humidity"],
  "supply-run": ["duct-debris", "duct-amount"],
  "return-run": ["duct-debris", "duct-amount"],
  trunk: ["duct-debris", "duct-amount"],
  "alarm-display": ["co-ppm"],
};

const FURNACE: readonly ReadingKind[] = [
  "temperature-rise-k",
  "static-pressure-pa",
  "flame",
  "noise",
  "water-at-unit",
];
export const UNIT_READINGS: Partial<Record<UnitKindId, readonly ReadingKind[]>> = {
  "condensing-furnace": FURNACE,
  "metal-vent-furnace": FURNACE,
  "split-cooling": ["cooling-split-k", "noise", "water-at-unit"],
  "ducted-heat-pump": ["temperature-rise-k", "cooling-split-k", "static-pressure-pa", "frost"],
  "ductless-head": ["cooling-split-k", "noise", "water-at-unit", "frost"],
  rooftop: ["cooling-split-k", "temperature-rise-k", "plate-range"],
  ventilator: ["heat-recovery-efficiency", "noise", "hood-steam", "window-fog"],
  "exhaust-air-heater": ["noise", "hood-steam"],
  "gas-room-heater": ["sensor-offset-k", "flame"],
  boiler: ["boiler-pressure-bar", "flame", "noise", "water-at-unit", "heating-water"],
  humidifier: ["relative-humidity", "window-fog"],
  ducts: ["duct-debris", "duct-amount", "closed-registers", "static-pressure-pa"],
  thermostat: ["sensor-offset-k"],
  "co-alarm": ["co-ppm", "alarm-age-years"],
  "smoke-co-alarm": ["co-ppm", "alarm-age-years"],
};
