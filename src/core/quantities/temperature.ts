export type TemperatureUnit = "C" | "F";

/** @example fromCelsius(-40, "F") // -40 */
export const fromCelsius = (celsius: number, unit: TemperatureUnit): number =>
  unit === "C" ? celsius : (celsius * 9) / 5 + 32;

/** @example toCelsius(32, "F") // 0 */
export const toCelsius = (value: number, unit: TemperatureUnit): number =>
  unit === "C" ? value : ((value - 32) * 5) / 9;

/**
 * A difference converts without the offset: 10 K is 18 °F.
 *
 * @example differenceToKelvin(18, "F") // 10
 */
export const differenceToKelvin = (value: number, unit: TemperatureUnit): number =>
  unit === "C" ? value : (value * 5) / 9;

/** @example differenceFromKelvin(10, "F") // 18 */
export const differenceFromKelvin = (kelvin: number, unit: TemperatureUnit): number =>
  unit === "C" ? kelvin : (kelvin * 9) / 5;

/** A figure shown in another unit comes back to within this of what it was, in the unit it came from. */
const SAME = 0.005;
const MOST_PLACES = 6;

/**
 * A figure in another unit with as few places as take it back to what it was: figures of up to
 * two places survive any number of conversions to and fro.
 *
 * @example figureIn(21, (f) => toCelsius(f, "F"), (c) => fromCelsius(c, "F")) // "-6.11"
 */
export function figureIn(
  value: number,
  there: (value: number) => number,
  back: (value: number) => number,
): string {
  for (let places = 0; places < MOST_PLACES; places++) {
    const text = there(value).toFixed(places);
    if (Math.abs(back(Number(text)) - value) < SAME) return String(Number(text));
  }
  return String(Number(there(value).toFixed(MOST_PLACES)));
}

const temperatureIn = (value: number, from: TemperatureUnit, to: TemperatureUnit): string =>
  figureIn(
    value,
    (each) => fromCelsius(toCelsius(each, from), to),
    (each) => fromCelsius(toCelsius(each, to), from),
  );

const differenceIn = (value: number, from: TemperatureUnit, to: TemperatureUnit): string =>
  figureIn(
    value,
    (each) => differenceFromKelvin(differenceToKelvin(each, from), to),
    (each) => differenceFromKelvin(differenceToKelvin(each, to), from),
  );

/**
 * A temperature in °C, or a difference in K, as a form shows it.
 *
 * @example degreesText(-40, "F") // "-40"
 */
export const degreesText = (celsius: number, unit: TemperatureUnit): string =>
  temperatureIn(celsius, "C", unit);
/** @example spanText(10, "F") // "18" */
export const spanText = (kelvin: number, unit: TemperatureUnit): string =>
  differenceIn(kelvin, "C", unit);

/**
 * Typed temperatures, or differences, in the other unit; what is no list of figures stays as it is.
 *
 * @example retyped("10 20", "C", "F") // "50 68"
 */
export const retyped = (
  text: string,
  from: TemperatureUnit,
  to: TemperatureUnit,
  what: "temperatures" | "differences" = "temperatures",
): string => {
  const figures = readFigures(text);
  const one = what === "temperatures" ? temperatureIn : differenceIn;
  return figures && from !== to ? figures.map((each) => one(each, from, to)).join(" ") : text;
};

/**
 * Reads a list of figures as people paste it: separated by spaces, commas, semicolons or lines,
 * with either minus sign. Null where a piece is not a figure.
 *
 * @example readFigures("−9, 2.5; 7") // [-9, 2.5, 7]
 */
export function readFigures(text: string): number[] | null {
  const pieces = text
    .replace(/[−–]/g, "-")
    .replace(/°\s*[cf]?/gi, " ")
    .split(/[\s;,]+/)
    .filter((piece) => piece !== "");
  const figures = pieces.map(Number);
  return figures.every((figure) => Number.isFinite(figure)) ? figures : null;
}
