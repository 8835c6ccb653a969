import { dayIn, type PlainDate } from "@/core/quantities/plain-date";
import { readEnv } from "./env";

/** The one place that asks what time it is. */
export function now(): Date {
  const { AMBER_CLOCK } = readEnv(process.env);
  return AMBER_CLOCK ? new Date(AMBER_CLOCK) : new Date();
}

export const todayIn = (timeZone: string): PlainDate => dayIn(timeZone, now().getTime());
