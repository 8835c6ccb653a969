/**
 * Filter ratings of the schemes printed on boxes, and their nearest MERV.
 *
 * The crosswalk is a rule of thumb between test methods that measure different things; nothing
 * computed from it is better than one class.
 *
 * @source docs/sources.md#ratings
 */
export const RATING_SCHEMES = ["MERV", "ISO16890", "EN779", "EN1822"] as const;
export type RatingScheme = (typeof RATING_SCHEMES)[number];
export type Rating = { scheme: RatingScheme; class: string };

const EN779_TO_MERV: Record<string, number> = {
  G1: 4,
  G2: 4,
  G3: 6,
  G4: 8,
  M5: 10,
  M6: 12,
  F7: 13,
  F8: 14,
  F9: 15,
};
const EN1822 = ["E10", "E11", "E12", "H13", "H14", "U15", "U16", "U17"];
const ISO_SHAPE = /^(Coarse|ePM10|ePM2\.5|ePM1) (\d{1,2})$/;

function isoToMerv(name: string): number | null {
  const match = ISO_SHAPE.exec(name);
  if (!match) return null;
  const percent = Number(match[2]);
  // The standard reports in steps of five; an ePM group needs at least half.
  if (percent % 5 !== 0 || percent < (match[1] === "Coarse" ? 5 : 50)) return null;
  switch (match[1]) {
    case "Coarse":
      return percent < 80 ? 6 : 8;
    case "ePM10":
      return percent < 60 ? 10 : 12;
    case "ePM2.5":
      return percent < 65 ? 12 : 13;
    default:
      return percent < 65 ? 13 : percent < 80 ? 14 : 15;
  }
}

/**
 * The nearest MERV, 1 to 16; null when the scheme has no such class.
 *
 * @example toMerv({ scheme: "EN779", class: "F7" }) // 13
 */
export function toMerv(rating: Rating): number | null {
  switch (rating.scheme) {
    case "MERV":
      return /^([1-9]|1[0-6])$/.test(rating.class) ? Number(rating.class) : null;
    case "EN779":
      return EN779_TO_MERV[rating.class] ?? null;
    case "EN1822":
      return EN1822.includes(rating.class) ? 16 : null;
    case "ISO16890":
      return isoToMerv(rating.class);
  }
}

/**
 * What a class of this scheme looks like, for the message at its field.
 *
 * @example classesOf("MERV") // "1 to 16"
 */
export function classesOf(scheme: RatingScheme): string {
  switch (scheme) {
    case "MERV":
      return "1 to 16";
    case "EN779":
      return "G1 to G4, M5, M6, F7 to F9";
    case "EN1822":
      return "E10 to E12, H13, H14, U15 to U17";
    case "ISO16890":
      return "“Coarse 60”, “ePM10 50”, “ePM2.5 65” or “ePM1 80”, in steps of 5";
  }
}

/**
 * Reads a rating as people write it, with or without its scheme.
 *
 * @example readRating("merv8") // { scheme: "MERV", class: "8" }
 */
export function readRating(text: string): Rating | null {
  const plain = text.trim().replace(/\s+/g, " ");
  const merv = /^(?:merv[ -]?)?(\d{1,2})$/i.exec(plain);
  const iso = /^(?:iso ?16890 )?(coarse|e?pm ?10|e?pm ?2[.,]5|e?pm ?1)[ -]?(\d{1,2}) ?%?$/i.exec(
    plain,
  );
  const candidates: Rating[] = [];
  if (merv) candidates.push({ scheme: "MERV", class: String(Number(merv[1])) });
  if (iso) {
    const group = iso[1]!.toLowerCase().replace(/[ e]/g, "").replace(",", ".");
    const name = group.startsWith("pm") ? `ePM${group.slice(2)}` : "Coarse";
    candidates.push({ scheme: "ISO16890", class: `${name} ${Number(iso[2])}` });
  }
  candidates.push({ scheme: "EN779", class: plain.toUpperCase() });
  candidates.push({ scheme: "EN1822", class: plain.toUpperCase() });
  return candidates.find((rating) => toMerv(rating) !== null) ?? null;
}

/** @example ratingWords({ scheme: "MERV", class: "8" }) // "MERV 8" */
export const ratingWords = (rating: Rating): string =>
  rating.scheme === "MERV" ? `MERV ${rating.class}` : rating.class;
