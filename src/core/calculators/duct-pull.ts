import { z } from "zod";
import { optional, positiveSchema, withDefault } from "../quantities/schemas";
import { roundPhysical } from "../quantities/rounding";

/** How fast a cleaning head is drawn so that it still loosens what it passes, m/s; practice. */
const DEFAULT_SPEED_MS = 0.3;
const DEFAULT_SETUP_MINUTES = 5;
const SECONDS_PER_MINUTE = 60;

export const ductPullInput = z.strictObject({
  runs: z.array(
    z.strictObject({
      name: optional(z.string()),
      lengthM: positiveSchema,
      /** Storeys above the ground floor; below it negative. */
      level: withDefault(z.number(), 0),
    }),
  ),
  speedMs: withDefault(positiveSchema, DEFAULT_SPEED_MS),
  setupMinutes: withDefault(z.number().min(0), DEFAULT_SETUP_MINUTES),
});
export const ductPullOutput = z.strictObject({
  order: z.array(
    z.strictObject({ name: z.string().nullable(), level: z.number(), minutes: z.number() }),
  ),
  minutes: z.number(),
});

/**
 * In which order duct runs are cleaned, from the top of the house down so that dust falls ahead of the
 * brush, and how many minutes it takes: each run is drawn through there and back.
 *
 * @source docs/sources.md#ducts
 * @example ductPull({ runs: [{ lengthM: 9, level: 0 }, { lengthM: 18, level: 1 }], speedMs: 0.3, setupMinutes: 5 }).minutes // 13
 */
export function ductPull(input: z.output<typeof ductPullInput>): z.output<typeof ductPullOutput> {
  const minutesOf = (lengthM: number) =>
    input.setupMinutes + (2 * lengthM) / input.speedMs / SECONDS_PER_MINUTE;
  const order = [...input.runs].sort((a, b) => b.level - a.level);
  return {
    order: order.map(({ name, level, lengthM }) => ({
      name: name ?? null,
      level,
      minutes: roundPhysical(minutesOf(lengthM)),
    })),
    minutes: roundPhysical(order.reduce((sum, { lengthM }) => sum + minutesOf(lengthM), 0)),
  };
}
