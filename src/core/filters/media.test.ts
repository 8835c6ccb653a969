import { MEDIA, MEDIA_KINDS, ratingFactor, type Media } from "./media";

// docs/sources.md#media, as a table of practice: hours, days, metres a second.
const PRACTICE: Record<Media, [number, number, number | null]> = {
  "fibreglass-25": [350, 60, 2],
  "pleated-25": [550, 120, 2],
  "pleated-50": [1100, 180, 2],
  "pleated-100": [2200, 365, 2.5],
  "pleated-125": [2700, 450, 2.5],
  "washable-panel": [350, 60, 2],
  "head-mesh": [250, 45, 1],
  "heater-mesh": [300, 60, 1],
  "portable-mesh": [250, 45, 1],
  "vent-coarse": [4400, 200, 0.6],
  "vent-fine": [6000, 365, 0.6],
  "carbon-prefilter": [2600, 120, 0.45],
  "hepa-cylinder": [13_000, 730, 0.45],
  "electrostatic-cell": [800, 120, 2],
  "humidifier-panel": [1900, 365, null],
};
const WASHED = [
  ...["washable-panel", "head-mesh", "heater-mesh", "portable-mesh", "electrostatic-cell"],
];

describe("what filters are made of", () => {
  it.each(MEDIA_KINDS)("%s lasts and is treated as practice has it", (kind) => {
    const { baseHours, maxAgeDays, referenceVelocityMs, cleaned, rated } = MEDIA[kind];
    expect([baseHours, maxAgeDays, referenceVelocityMs]).toEqual(PRACTICE[kind]);
    expect(cleaned).toBe(WASHED.includes(kind));
    // Only panels of a furnace come in ratings that shorten their life.
    expect(rated).toBe(/^(fibreglass|pleated)/.test(kind));
  });
  it.each([
    [1, 1],
    [8, 1],
    [9, 0.95],
    [10, 0.95],
    [11, 0.85],
    [12, 0.85],
    [13, 0.75],
    [14, 0.65],
    [16, 0.65],
  ])("a rating of MERV %i leaves %d of its hours", (merv, share) => {
    expect(ratingFactor(merv)).toBe(share);
  });
});
