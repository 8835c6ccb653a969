import type { UnitSystem } from "@/core/quantities/length";

/** In which order a home writes a day. */
export type DayOrder = "day-first" | "month-first";

/** The order of the units a home measures in: inches and month first go together. */
export const dayOrderOf = (system: UnitSystem): DayOrder =>
  system === "us" ? "month-first" : "day-first";
