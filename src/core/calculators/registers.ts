import { z } from "zod";
import { countSchema, withDefault } from "../quantities/schemas";
import { roundLoad } from "../quantities/rounding";

export const registersInput = z
  .strictObject({
    total: z.number().int().positive(),
    closed: countSchema,
    returns: withDefault(countSchema, 0),
    returnsShut: withDefault(countSchema, 0),
  })
  .superRefine(({ total, closed, returns, returnsShut }, context) => {
    if (closed > total)
      context.addIssue({
        code: "custom",
        path: ["closed"],
        message: "more are shut than there are",
      });
    if (returnsShut > returns)
      context.addIssue({
        code: "custom",
        path: ["returnsShut"],
        message: "more are shut than there are",
      });
  });

export const registersOutput = z.strictObject({
  closedShare: z.number(),
  maxClosed: z.number().int(),
  mustOpen: z.number().int(),
  verdict: z.enum(["sound", "watch", "act"]),
});
export type RegistersVerdict = z.output<typeof registersOutput>;

/** One in so many supply registers may be shut at most; half of that is the end of “sound”. */
const MOST_SHUT_OF = 3;
const SOUND_SHUT_OF = 6;

/**
 * Whether too many registers are shut. Starved of its outlets a blower strains and a coil freezes; a
 * return is never shut or blocked at all.
 *
 * @source docs/sources.md#registers
 * @example registersVerdict({ total: 12, closed: 5, returns: 2, returnsShut: 0 }) // { closedShare: 0.416667, maxClosed: 4, mustOpen: 1, verdict: "act" }
 */
export function registersVerdict(input: z.output<typeof registersInput>): RegistersVerdict {
  const { total, closed, returnsShut } = input;
  const maxClosed = Math.floor(total / MOST_SHUT_OF);
  const verdict =
    returnsShut > 0 || closed * MOST_SHUT_OF > total
      ? "act"
      : closed * SOUND_SHUT_OF > total
        ? "watch"
        : "sound";
  return {
    closedShare: roundLoad(closed / total),
    maxClosed,
    mustOpen: Math.max(0, closed - maxClosed),
    verdict,
  };
}
