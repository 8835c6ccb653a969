import { z } from "zod";
import { dateSchema } from "@/core/quantities/schemas";

/** What a driver does to one filter that is in place now. */
const effectSchema = z.object({
  slotId: z.string(),
  name: z.string(),
  before: dateSchema,
  after: dateSchema,
  /** Days by which it comes sooner; later below 0. */
  daysSooner: z.number(),
});
export const effectsSchema = z.array(effectSchema);
export type Effect = z.output<typeof effectSchema>;
