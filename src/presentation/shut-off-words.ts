import type { ShutOff, ShutOffKind } from "@/core/inventory/inventory";

/** What of a shut-off goes without saying; which way a switch or a handle is off does not. */
const PLAIN_OFF: Partial<Record<ShutOffKind, string>> = { plug: "pulled", breaker: "off" };
export const OFF_UNKNOWN = "which position is off is not noted: find out and write it here";

/** Which position is off, as somebody noted it: it is never supposed. */
export const offWords = ({ kind, offPosition }: ShutOff): string =>
  offPosition ?? PLAIN_OFF[kind] ?? OFF_UNKNOWN;
