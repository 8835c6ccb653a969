/** What a filter or wearing part is made of. Cleaned media go back in; the others are replaced. */
export type MediaFacts = {
  /** Run hours to due at the reference load, h. */
  baseHours: number;
  /** Days after which it is due however little it ran. */
  maxAgeDays: number;
  /** Face velocity the base hours suppose, m/s; null where area does not matter. */
  referenceVelocityMs: number | null;
  cleaned: boolean;
  /** Whether a finer rating shortens its life. */
  rated: boolean;
};

const replaced = (
  baseHours: number,
  maxAgeDays: number,
  referenceVelocityMs: number | null,
  rated = false,
): MediaFacts => ({ baseHours, maxAgeDays, referenceVelocityMs, cleaned: false, rated });

const cleaned = (
  baseHours: number,
  maxAgeDays: number,
  referenceVelocityMs: number | null,
): MediaFacts => ({ baseHours, maxAgeDays, referenceVelocityMs, cleaned: true, rated: false });

/** @source docs/sources.md#media: general trade practice; a maker's own figure beats each of them */
export const MEDIA = {
  "fibreglass-25": replaced(350, 60, 2.0, true),
  "pleated-25": replaced(550, 120, 2.0, true),
  "pleated-50": replaced(1100, 180, 2.0, true),
  "pleated-100": replaced(2200, 365, 2.5, true),
  "pleated-125": replaced(2700, 450, 2.5, true),
  "washable-panel": cleaned(350, 60, 2.0),
  "head-mesh": cleaned(250, 45, 1.0),
  "heater-mesh": cleaned(300, 60, 1.0),
  "portable-mesh": cleaned(250, 45, 1.0),
  "vent-coarse": replaced(4400, 200, 0.6),
  "vent-fine": replaced(6000, 365, 0.6),
  "carbon-prefilter": replaced(2600, 120, 0.45),
  "hepa-cylinder": replaced(13_000, 730, 0.45),
  "electrostatic-cell": cleaned(800, 120, 2.0),
  "humidifier-panel": replaced(1900, 365, null),
} as const satisfies Record<string, MediaFacts>;

export type Media = keyof typeof MEDIA;
export const MEDIA_KINDS = Object.keys(MEDIA) as [Media, ...Media[]];

/**
 * Coils load like filters, with the dust of their air and their hours, and are cleaned. Behind a tight
 * filter of MERV 8 an indoor one is matted after ten years of 2400 h.
 *
 * @source docs/sources.md#coils
 */
export const COILS = {
  "outdoor-coil": cleaned(1500, 730, null),
  "indoor-coil": cleaned(24_000, 7300, null),
} as const satisfies Record<string, MediaFacts>;
export type Coil = keyof typeof COILS;

/** Everything that wears by hours and dust: the media of filters, and coils. */
export const WEARING = { ...MEDIA, ...COILS };
export type Wearing = Media | Coil;
export const WEARING_KINDS = Object.keys(WEARING) as [Wearing, ...Wearing[]];

/** Whether what wears is a coil rather than a filter. @example isCoil("indoor-coil") // true */
export const isCoil = (media: Wearing): media is Coil => media in COILS;

const PAPER: readonly Wearing[] = [
  "fibreglass-25",
  "pleated-25",
  "pleated-50",
  "pleated-100",
  "pleated-125",
];

/**
 * Whether it is paper or spun glass in a frame: what ages it is air that passes, so that months without
 * use do not count. Our choice.
 *
 * @example isPaper("pleated-25") // true
 */
export const isPaper = (media: Wearing): boolean => PAPER.includes(media);

/** Share of coarse dust that a filter holds back, up to each MERV; our choice, from how fast coils mat. */
const ARRESTANCE: readonly [upTo: number, share: number][] = [
  [4, 0.75],
  [6, 0.85],
  [8, 0.93],
  [10, 0.95],
  [12, 0.97],
  [Infinity, 0.985],
];
/** What a tight filter of MERV 8 lets past: what the hours of an indoor coil suppose. */
const USUAL_PENETRATION = 0.07;

/**
 * How many times as fast an indoor coil loads behind its filter as behind a tight one of MERV 8.
 *
 * @param merv of the filter; null for none
 * @param bypass share of the air that slips past its frame, 0 to 1
 * @source docs/sources.md#coils
 * @example Number(coilDust(8, 0.05).toFixed(3)) // 1.664
 */
export function coilDust(merv: number | null, bypass: number): number {
  const held = merv === null ? 0 : ARRESTANCE.find(([upTo]) => merv <= upTo)![1];
  return (bypass + (1 - bypass) * (1 - held)) / USUAL_PENETRATION;
}

/**
 * Share of the base life left by a finer rating: 1 up to MERV 8, less above, as finer media load sooner.
 *
 * @param merv 1 to 20
 * @source docs/sources.md#wear
 * @example ratingFactor(13) // 0.75
 */
export function ratingFactor(merv: number): number {
  if (merv <= 8) return 1.0;
  if (merv <= 10) return 0.95;
  if (merv <= 12) return 0.85;
  if (merv === 13) return 0.75;
  return 0.65;
}
