"use client";

import { useSyncExternalStore } from "react";
import { TextField } from "@/ui/field";
import type { Fields } from "@/ui/form";

const nothing = () => () => undefined;
const deviceZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The home's time zone, which a new home takes from the device. */
export function TimeZoneField({ fields }: { fields: Fields }) {
  const device = useSyncExternalStore(nothing, deviceZone, () => "");
  const zone = fields.value("timeZone") ?? device;
  // Its formal name says nothing to most people; it is read back the same.
  const value = zone === "Etc/UTC" ? "UTC" : zone;
  return (
    <TextField
      key={value}
      label="Time zone"
      name="timeZone"
      defaultValue={value}
      error={fields.error("timeZone")}
    />
  );
}
