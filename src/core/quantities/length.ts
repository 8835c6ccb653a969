/** What a home reads and types its figures in. */
export type UnitSystem = "metric" | "us";

const METRES_PER = { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, in: 0.0254 } as const;
/** No duct of a house is longer; a figure beyond it is a slip of the unit. */
const LONGEST_M = 200;

/**
 * Reads one length as people write it, in metres: “6.5 m”, “21 ft”, “21'”, “650 cm”. A bare figure
 * is in the unit given. Null when it is no length of 0 to 200 m.
 *
 * @example readLength("21 ft", "m") // 6.4008
 */
export function readLength(text: string, fallback: "m" | "ft"): number | null {
  const match = /^(\d+(?:[.,]\d+)?)\s*(m|cm|mm|ft|in|'|"|feet|foot)?$/.exec(
    text.trim().toLowerCase(),
  );
  if (!match) return null;
  const named = match[2]?.replace(/^(feet|foot|')$/, "ft").replace('"', "in") ?? fallback;
  const metres = Number(match[1]!.replace(",", ".")) * METRES_PER[named as keyof typeof METRES_PER];
  return metres > 0 && metres <= LONGEST_M ? Math.round(metres * 10_000) / 10_000 : null;
}

/** @example lengthWords(6.4008, "us") // "21 ft" */
export function lengthWords(metres: number, system: UnitSystem): string {
  const value = system === "us" ? metres / METRES_PER.ft : metres;
  return `${Math.round(value * 10) / 10} ${system === "us" ? "ft" : "m"}`;
}
