import { z } from "zod";
import { withDefault } from "../quantities/schemas";
import { reaches, roundPhysical } from "../quantities/rounding";

const price = z.number().min(0);

export const diyOrProInput = z.strictObject({
  /** Jobs a year. */
  perYear: z.number().positive(),
  minutes: z.number().min(0),
  /** Of one job, in minor units of the home's currency, as all money here. */
  materials: price,
  tools: withDefault(price, 0),
  proPrice: price,
  /** What an hour of one's own is worth. */
  hourValue: withDefault(price, 0),
});
export const diyOrProOutput = z.strictObject({
  diyPerYear: z.number(),
  proPerYear: z.number(),
  savedPerYear: z.number(),
  jobsToPayTools: z.number().int().nullable(),
});

/**
 * What doing a job oneself saves a year, in minor units, and after how many jobs its tools are paid;
 * null where each job costs more than the technician.
 *
 * @example diyOrPro({ perYear: 2, minutes: 30, materials: 1000, tools: 9000, proPrice: 5000, hourValue: 2000 }).jobsToPayTools // 3
 */
export function diyOrPro(input: z.output<typeof diyOrProInput>): z.output<typeof diyOrProOutput> {
  const ownJob = input.materials + (input.minutes / 60) * input.hourValue;
  const savedPerJob = input.proPrice - ownJob;
  return {
    diyPerYear: roundPhysical(input.perYear * ownJob),
    proPerYear: roundPhysical(input.perYear * input.proPrice),
    savedPerYear: roundPhysical(input.perYear * savedPerJob),
    jobsToPayTools: reaches(0, savedPerJob)
      ? null
      : Math.max(0, Math.ceil(input.tools / savedPerJob - 1e-9)),
  };
}
