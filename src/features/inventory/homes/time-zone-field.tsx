"use client";

import { useSyncExternalStore } from "react";
import { TextField } from "@/ui/field";

const nothing = () => () => undefined;
const deviceZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone.replace("Etc/UTC", "UTC");

/** The home's time zone, which a new home takes from the device. */
export function TimeZoneField() {
  const device = useSyncExternalStore(nothing, deviceZone, () => "");
  return <TextField label="Time zone" name="timeZone" defaultValue={device} />;
}
