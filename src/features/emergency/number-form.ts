import { z } from "zod";
import { PHONE, PHONE_WORDS } from "@/lib/phone";

/** A number to call, as one dials it. */
export const numberForm = z.object({
  phone: z
    .string()
    .min(1, "Write the number.")
    .max(40, "Shorter, please.")
    .regex(PHONE, PHONE_WORDS),
});

/** Where a main of the house is shut. */
export const mainForm = z.object({
  place: z.string().min(1, "Write where it is.").max(200, "Shorter, please: up to 200 letters."),
  off: z.string().max(200, "Shorter, please: up to 200 letters.").default(""),
});
