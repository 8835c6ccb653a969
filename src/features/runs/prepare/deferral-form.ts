import { z } from "zod";
import type { PlainDate } from "@/core/quantities/plain-date";
import { NOT_POSSIBLE } from "@/core/runs/run-event";
import { isDay, readDay } from "@/lib/forms";
import { notPossibleWords } from "@/presentation/run-words";

/** That a job is not possible now: what is in the way, and when it is tried again. */
export const deferralForm = (today: PlainDate) =>
  z
    .object({
      reason: z.enum(NOT_POSSIBLE, { error: "Choose what comes nearest." }),
      words: z.string().max(300, "Shorter, please: up to 300 letters.").default(""),
      until: z.string().transform((text, context): PlainDate => {
        const day = readDay(text);
        if (isDay(day) && day >= today) return day;
        context.addIssue({ code: "custom", message: "Give today or a later day." });
        return z.NEVER;
      }),
    })
    .transform(({ words, ...rest }) => ({
      ...rest,
      words: words || notPossibleWords(rest.reason),
    }));
