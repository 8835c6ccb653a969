import { dayIn, type PlainDate } from "@/core/quantities/plain-date";
import { readEnv } from "./env";

/** The one place that asks what time it is. */
export function now(): Date {
  const { AMBER_CLOCK } = readEnv(process.env);
  return AMBER_CLOCK ? new Date(AMBER_CLOCK) : new Date();
}

export const todayIn = (timeZone: string): PlainDate => dayIn(timeZone, now().getTime());

/** The day it is where this computer stands: for what belongs to the file and to no home of it. */
export const todayHere = (): PlainDate => todayIn(Intl.DateTimeFormat().resolvedOptions().timeZone);
