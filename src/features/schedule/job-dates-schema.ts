import { z } from "zod";

/** A job’s dates as words, and how far they move from what they are. */
export const jobDatesSchema = z.object({
  due: z.string(),
  window: z.string(),
  /** Rounds within two years. */
  rounds: z.number(),
  moved: z.string().nullable(),
  /** Of a filter that is looked at first: when the next look is. */
  look: z.string().nullable(),
});
export type JobDates = z.output<typeof jobDatesSchema>;
