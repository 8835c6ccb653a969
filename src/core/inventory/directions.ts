/** Which way the air goes through a slot, as one stands before it. */
export const DIRECTIONS = [
  "unknown",
  "left",
  "right",
  "up",
  "down",
  "into-the-unit",
  "into-the-wall",
  "either",
] as const;
export type Direction = (typeof DIRECTIONS)[number];
