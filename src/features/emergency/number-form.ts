import { z } from "zod";

/** A number to call, as one dials it. */
export const numberForm = z.object({
  phone: z
    .string()
    .min(1, "Write the number.")
    .max(40, "Shorter, please.")
    .regex(/^[+\d][\d\s()/.-]{1,}$/, "Digits, as one dials them: +99 555 0142."),
});
