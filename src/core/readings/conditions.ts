import { z } from "zod";
import { optional } from "../quantities/schemas";

/** What the machine did while it was measured. */
export const RUNNING_MODES = ["heating", "cooling", "fan", "off"] as const;

/** Colder and hotter than any place people live in, °C. */
export const OUTDOOR_C = { min: -60, max: 60 } as const;
/** A day: nothing is run longer for a reading, minutes. */
export const MOST_MINUTES_RUNNING = 1440;

/** Under what a value was read: a figure by itself says little. */
export const conditionsSchema = z.strictObject({
  /** What it was read with, one of the home’s instruments. */
  instrumentId: optional(z.string()),
  outdoorC: optional(z.number().min(OUTDOOR_C.min).max(OUTDOOR_C.max)),
  running: optional(z.enum(RUNNING_MODES)),
  minutesRunning: optional(z.number().int().min(0).max(MOST_MINUTES_RUNNING)),
});
export type Conditions = Partial<z.output<typeof conditionsSchema>>;

/** What readings are taken with: a house has two or three. */
export type Instrument = {
  id: string;
  name: string;
  /** When its battery went, when it was compared with another. */
  note?: string;
};
