import { z } from "zod";
import { settingLabel, settingValue } from "@/core/inventory/as-it-should-be";

/** A line of the sheet: what, where, and how it is set. */
export const settingForm = z.object({
  place: z.string(),
  label: settingLabel,
  value: settingValue,
});
