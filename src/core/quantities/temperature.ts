export type TemperatureUnit = "C" | "F";

/** @example fromCelsius(-40, "F") // -40 */
export const fromCelsius = (celsius: number, unit: TemperatureUnit): number =>
  unit === "C" ? celsius : (celsius * 9) / 5 + 32;

export const toCelsius = (value: number, unit: TemperatureUnit): number =>
  unit === "C" ? value : ((value - 32) * 5) / 9;

/** A difference converts without the offset: 10 K is 18 °F. */
export const differenceToKelvin = (value: number, unit: TemperatureUnit): number =>
  unit === "C" ? value : (value * 5) / 9;

export const differenceFromKelvin = (kelvin: number, unit: TemperatureUnit): number =>
  unit === "C" ? kelvin : (kelvin * 9) / 5;

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
