import { atMost, reaches } from "../quantities/rounding";

export const VERDICTS = ["sound", "watch", "act", "stop"] as const;
export type Verdict = (typeof VERDICTS)[number];

/**
 * Whether a verdict is at least as bad as another, from sound over watch and act to stop.
 *
 * @example isAtLeast("act", "watch") // true
 */
export const isAtLeast = (verdict: Verdict | "unknown", bound: Verdict): boolean =>
  verdict !== "unknown" && VERDICTS.indexOf(verdict) >= VERDICTS.indexOf(bound);

export const READING_UNITS = [
  "uF",
  "uA",
  "A",
  "mV",
  "K",
  "Pa",
  "bar",
  "ppm",
  "%",
  "1",
  "yr",
  "m",
  "m3/h",
] as const;
export const PLATE_UNITS = [
  "Pa",
  "kPa",
  "bar",
  "A",
  "V",
  "mV",
  "W",
  "K",
  "C",
  "%",
  "ppm",
  "uF",
] as const;

/** The ground a value is judged on: its rated value or band, and the limits that somebody set. */
export type Grounds = {
  rated: number | null;
  range: { min: number; max: number } | null;
  tolerancePercent: number;
  finalRatio: number;
  fogLimit: number | null;
  mode: "open" | "loaded";
  returnShut: boolean;
};

/** Values up to `watch` away are watched; inclusive at both ends, as a bound belongs to the better. */
export type Bands = {
  sound: { low: number; high: number };
  /** Where watching ends and acting begins, on either side; infinite where it never does. */
  watch: { low: number; high: number };
  verdict: (value: number) => Verdict;
};

/** What a measured kind asks of its value. */
export type MeasuredKind = {
  unit: (typeof READING_UNITS)[number];
  accepts: { min: number; max: number };
  /** Whether it is compared with one rated value, with a band of them, or with neither. */
  rated: "value" | "band" | "none";
  /** The rated value when nobody gave one. */
  usualRated?: number;
  /** It may be given, and counts where it is. */
  ratedIsOptional?: true;
  whole?: true;
  bands: (grounds: Grounds) => Bands;
};

type Span = { low: number; high: number };
const UP_TO = (high: number): Span => ({ low: -Infinity, high });
const FROM = (low: number): Span => ({ low, high: Infinity });
const within = (value: number, { low, high }: Span) => reaches(value, low) && atMost(value, high);

/** Sound inside one span, watched inside a wider one, else to be acted on; bounds inclusive. */
function nested(sound: Span, watch: Span, stop: (value: number) => boolean = () => false): Bands {
  return {
    sound,
    watch,
    verdict: (value) =>
      stop(value)
        ? "stop"
        : within(value, sound)
          ? "sound"
          : within(value, watch)
            ? "watch"
            : "act",
  };
}

const spanAround = (middle: number, by: number): Span => ({ low: middle - by, high: middle + by });
const ofRated = (grounds: Grounds): number => {
  if (grounds.rated === null) throw new Error("judge: a rated value is needed");
  return grounds.rated;
};
const ofRange = (grounds: Grounds) => {
  if (grounds.range === null) throw new Error("judge: a rated band is needed");
  return grounds.range;
};
/** A share of what a limit allows that is still sound without a second look. */
const CAPACITOR_SOUND_SHARE = 0.6;
const FILTER_SOUND_RATIO = 1.6;
const PLATE_WATCH_SHARE = 0.05;
const REGISTERS_SOUND_OF = 6;
const REGISTERS_WATCH_OF = 3;

/** Bounds that are written with “less than”: the value on the bound is of the worse class. */
const strictlyBelow = (sound: number, watch: number): Bands => ({
  sound: UP_TO(sound),
  watch: UP_TO(watch),
  verdict: (value) => (!reaches(value, sound) ? "sound" : !reaches(value, watch) ? "watch" : "act"),
});

/** Draughts hardly ever fog a window below this, percent; people feel it dry or damp beyond. */
const HUMIDITY_SOUND: Span = { low: 30, high: 50 };
const HUMIDITY_WATCH: Span = { low: 20, high: 60 };

/** @source docs/sources.md#readings; a unit’s own manual always comes first */
export const MEASURED_KINDS = {
  "capacitor-uf": {
    unit: "uF",
    accepts: { min: 0, max: 500 },
    rated: "value",
    bands: (grounds) => {
      const rated = ofRated(grounds);
      const allowed = (rated * grounds.tolerancePercent) / 100;
      return nested(spanAround(rated, CAPACITOR_SOUND_SHARE * allowed), spanAround(rated, allowed));
    },
  },
  "motor-amps": {
    unit: "A",
    accepts: { min: 0, max: 200 },
    rated: "value",
    bands: (grounds) => nested(UP_TO(0.9 * ofRated(grounds)), UP_TO(ofRated(grounds))),
  },
  "thermocouple-mv": {
    unit: "mV",
    accepts: { min: 0, max: 100 },
    rated: "none",
    bands: ({ mode }) =>
      mode === "open"
        ? nested({ low: 17, high: 32 }, { low: 15, high: 32 })
        : nested(FROM(12), FROM(9)),
  },
  "temperature-rise-k": {
    unit: "K",
    accepts: { min: 0, max: 150 },
    rated: "band",
    bands: (grounds) => {
      const { min, max } = ofRange(grounds);
      return nested(
        { low: min, high: max },
        { low: min - 2, high: max + 2 },
        (value) => !atMost(value, max + 15),
      );
    },
  },
  "cooling-split-k": {
    unit: "K",
    accepts: { min: -10, max: 40 },
    rated: "none",
    bands: () => nested({ low: 8, high: 12 }, { low: 6, high: 14 }),
  },
  "static-pressure-pa": {
    unit: "Pa",
    accepts: { min: 0, max: 2000 },
    rated: "value",
    usualRated: 125,
    bands: (grounds) => nested(UP_TO(0.8 * ofRated(grounds)), UP_TO(ofRated(grounds))),
  },
  "filter-drop": {
    unit: "Pa",
    accepts: { min: 0, max: 2000 },
    rated: "value",
    bands: (grounds) => {
      const clean = ofRated(grounds);
      const final = grounds.finalRatio;
      return strictlyBelow(Math.min(FILTER_SOUND_RATIO, final) * clean, final * clean);
    },
  },
  "boiler-pressure-bar": {
    unit: "bar",
    accepts: { min: 0, max: 10 },
    rated: "none",
    bands: () => nested({ low: 1, high: 2 }, { low: 0.8, high: 2.5 }, (value) => reaches(value, 3)),
  },
  "co-ppm": {
    unit: "ppm",
    accepts: { min: 0, max: 10_000 },
    rated: "none",
    bands: () => nested(UP_TO(0), UP_TO(9), (value) => reaches(value, 30)),
  },
  "relative-humidity": {
    unit: "%",
    accepts: { min: 0, max: 100 },
    rated: "none",
    bands: ({ fogLimit }) => {
      const low = HUMIDITY_SOUND.low;
      const high = Math.min(HUMIDITY_SOUND.high, fogLimit ?? HUMIDITY_SOUND.high);
      const { verdict } = nested({ low, high }, HUMIDITY_WATCH);
      // In the hardest frost windows fog below what is sound for people: the band moves down with them.
      return { sound: { low: Math.min(low, high), high }, watch: HUMIDITY_WATCH, verdict };
    },
  },
  "sensor-offset-k": {
    unit: "K",
    accepts: { min: -40, max: 40 },
    rated: "none",
    bands: () => nested(spanAround(0, 1), spanAround(0, 2)),
  },
  "heat-recovery-efficiency": {
    unit: "1",
    accepts: { min: 0, max: 1.1 },
    rated: "value",
    bands: (grounds) => nested(FROM(0.9 * ofRated(grounds)), FROM(0.75 * ofRated(grounds))),
  },
  "closed-registers": {
    unit: "1",
    accepts: { min: 0, max: 500 },
    rated: "value",
    whole: true,
    bands: (grounds) => {
      const total = ofRated(grounds);
      const { sound, watch, verdict } = nested(
        UP_TO(Math.floor(total / REGISTERS_SOUND_OF)),
        UP_TO(Math.floor(total / REGISTERS_WATCH_OF)),
      );
      return { sound, watch, verdict: (value) => (grounds.returnShut ? "act" : verdict(value)) };
    },
  },
  "superheat-k": {
    unit: "K",
    accepts: { min: -5, max: 60 },
    rated: "value",
    bands: (grounds) => nested(spanAround(ofRated(grounds), 3), spanAround(ofRated(grounds), 5)),
  },
  "subcooling-k": {
    unit: "K",
    accepts: { min: -5, max: 60 },
    rated: "value",
    bands: (grounds) => nested(spanAround(ofRated(grounds), 3), spanAround(ofRated(grounds), 5)),
  },
  "alarm-age-years": {
    unit: "yr",
    accepts: { min: 0, max: 50 },
    rated: "none",
    bands: () => strictlyBelow(5, 7),
  },
  "clearance-m": {
    unit: "m",
    accepts: { min: 0, max: 100 },
    rated: "none",
    bands: () => nested(FROM(0.9), FROM(0.6)),
  },
  "flame-current-ua": {
    unit: "uA",
    accepts: { min: 0, max: 100 },
    rated: "value",
    ratedIsOptional: true,
    bands: ({ rated }) =>
      nested(FROM(Math.max(2, 0.6 * (rated ?? 0))), FROM(Math.max(1, 0.3 * (rated ?? 0)))),
  },
  "valve-airflow": {
    unit: "m3/h",
    accepts: { min: 0, max: 2000 },
    rated: "value",
    bands: (grounds) => nested(FROM(0.85 * ofRated(grounds)), FROM(0.7 * ofRated(grounds))),
  },
} as const satisfies Record<string, MeasuredKind>;
export type MeasuredReading = keyof typeof MEASURED_KINDS;

/**
 * The bands of a figure against its plate, in any unit: a technician's readings. Sound within the plate's
 * range, to be watched a share of it beyond either end.
 *
 * @example plateBands({ range: { min: 1, max: 3 } }).watch // {"low":0.9,"high":3.1}
 */
export function plateBands(grounds: Grounds): Bands {
  const { min, max } = ofRange(grounds);
  const slack = PLATE_WATCH_SHARE * (max - min);
  return nested({ low: min, high: max }, { low: min - slack, high: max + slack });
}

/** What is seen, heard or felt, in words. @source docs/sources.md#readings */
export const WORD_KINDS = {
  flame: {
    "steady-blue": "sound",
    "yellow-tips": "act",
    "rolling-yellow": "stop",
    sooting: "stop",
  },
  "vent-pipe": {
    sound: "sound",
    "surface-rust": "watch",
    "rusted-through": "stop",
    disconnected: "stop",
  },
  noise: { quiet: "sound", rattle: "watch", whistle: "act", squeal: "act", bang: "stop" },
  "water-at-unit": { dry: "sound", "old-stain": "watch", fresh: "act" },
  belt: { sound: "sound", glazed: "watch", cracked: "act", slack: "act" },
  coil: {
    clean: "sound",
    dusted: "watch",
    "bent-fins": "watch",
    matted: "act",
    iced: "act",
    oily: "act",
  },
  seal: { sound: "sound", flattened: "watch", leaking: "act" },
  sludge: { film: "sound", coat: "watch", thick: "act" },
  drain: { clear: "sound", cloudy: "watch", slow: "watch", blocked: "act" },
  "duct-debris": { fluff: "sound", "pale-grit": "watch", yellow: "watch", dark: "stop" },
  "duct-amount": { thin: "sound", modest: "watch", heavy: "act" },
  // A crack lets carbon monoxide into the rooms; a stain or a hairline is one until it was tested.
  "heat-exchanger": { sound: "sound", stained: "stop", cracked: "stop" },
  "plastic-pipe": { sound: "sound", sags: "act", drips: "act", brown: "act", apart: "stop" },
  // Of an outdoor unit that heats: hoar comes and goes by itself, a block does not.
  frost: { none: "sound", hoar: "sound", beneath: "watch", block: "act" },
  "line-wrap": { whole: "sound", frayed: "watch", bare: "act" },
  "indicator-light": { off: "sound", on: "act" },
  "window-fog": { clear: "sound", edges: "watch", panes: "act", streaming: "act" },
  smell: {
    none: "sound",
    stale: "watch",
    "first-heat-dust": "watch",
    musty: "act",
    foul: "act",
    burning: "stop",
    gas: "stop",
  },
  "heating-water": { clear: "sound", straw: "watch", brown: "act", black: "act" },
  "inhibitor-strip": { enough: "sound", low: "watch", none: "act" },
  wires: { sound: "sound", dull: "watch", corroded: "act", loose: "act", scorched: "stop" },
  "hood-steam": { "drawn-in": "sound", drifts: "watch", "not-drawn": "act" },
} as const satisfies Record<string, Record<string, Verdict>>;
export type WordReading = keyof typeof WORD_KINDS;

export type ReadingKind = MeasuredReading | WordReading | "plate-range";
export const READING_KINDS: readonly ReadingKind[] = [
  ...(Object.keys(MEASURED_KINDS) as MeasuredReading[]),
  ...(Object.keys(WORD_KINDS) as WordReading[]),
  "plate-range",
];

/**
 * Whether a kind of reading is a word (quiet, cloudy) rather than a figure.
 *
 * @example isWordKind("noise") // true
 */
export const isWordKind = (kind: ReadingKind): kind is WordReading => kind in WORD_KINDS;
