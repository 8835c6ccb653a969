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
  referenceVelocityMs: number,
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
