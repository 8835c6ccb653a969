import { z } from "zod";

/** Reads an instrument: what it is called, and what happened to it. */
export const instrumentForm = z.object({
  name: z.string().min(1, "Give it a name.").max(60, "A shorter name, please: up to 60 letters."),
  note: z.string().max(300, "Shorter, please: up to 300 letters."),
});
