import type { ReadingKind } from "./reading-kinds";
import { MEASURED_KINDS, PLATE_UNITS, type MeasuredReading } from "./reading-kinds";
import type { UnitSystem } from "../quantities/length";

/** A way to write a reading, and how many of the judged unit one of it is. */
export type ReadingUnit = { value: string; label: string; per: number };

const one = (value: string, label = value): ReadingUnit => ({ value, label, per: 1 });
/** Differences of temperature convert without an offset. */
const FAHRENHEIT_DEGREES: ReadingUnit = { value: "F", label: "°F", per: 1 / 1.8 };
const INCH_OF_WATER_PA = 249.089;
const PSI_BAR = 0.0689476;
const FOOT_M = 0.3048;
const CFM_M3H = 1.699011;

const US: Readonly<Record<string, ReadingUnit>> = {
  K: FAHRENHEIT_DEGREES,
  Pa: { value: "inH2O", label: "in. w.g.", per: INCH_OF_WATER_PA },
  bar: { value: "psi", label: "psi", per: PSI_BAR },
  m: { value: "ft", label: "ft", per: FOOT_M },
  "m3/h": { value: "cfm", label: "cfm", per: CFM_M3H },
};
const LABELS: Readonly<Record<string, string>> = {
  uF: "µF",
  uA: "µA",
  yr: "years",
  "1": "",
  "m3/h": "m³/h",
};

/**
 * The units a kind of reading can be written in, the home's own first; none for words.
 *
 * @example unitsFor("co-ppm", "us") // [{"value":"ppm","label":"ppm","per":1}]
 */
export function unitsFor(kind: ReadingKind, system: UnitSystem): ReadingUnit[] {
  if (kind === "plate-range") return PLATE_UNITS.map((unit) => one(unit, LABELS[unit] ?? unit));
  if (!(kind in MEASURED_KINDS)) return [];
  const { unit } = MEASURED_KINDS[kind as MeasuredReading];
  if (kind === "heat-recovery-efficiency") return [{ value: "%", label: "%", per: 0.01 }];
  const metric = one(unit, LABELS[unit] ?? (unit === "K" ? "°C" : unit));
  const other = US[unit];
  if (!other) return [metric];
  return system === "us" ? [other, metric] : [metric, other];
}

/**
 * A judged value as it is typed again into a field of the home's unit, to as many places as it takes to
 * read back as the same value.
 *
 * @example readingFigure("filter-drop", 24.9089, "us") // "0.1"
 */
export function readingFigure(kind: ReadingKind, value: number, system: UnitSystem): string {
  const [unit] = unitsFor(kind, system);
  return String(Number((value / (unit?.per ?? 1)).toPrecision(7)));
}

/**
 * A judged value as the home writes it: “4.79 µF”, “61 %”.
 *
 * @example readingWords("capacitor-uf", 4.7912, "us") // "4.79 µF"
 */
export function readingWords(kind: ReadingKind, value: number, system: UnitSystem): string {
  const [unit] = unitsFor(kind, system);
  if (!unit) return String(value);
  const shown = Number((value / unit.per).toPrecision(3));
  return `${String(shown).replace("-", "−")}${unit.label ? ` ${unit.label}` : ""}`;
}
