import { z } from "zod";
import { readMoney } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { DAY_WORDS, isDay, readPastDay, readWhole } from "./forms";

const MOST_MINUTES = 6000;

/** That something was done: the day, what was seen, the minutes and the money. */
export const doneForm = (today: PlainDate, currency: string) =>
  z
    .object({
      date: z.string(),
      words: z.string().max(300, "Shorter, please: up to 300 letters."),
      minutes: z.string(),
      cost: z.string(),
      /** Of what was put in new, where its life counts from the day it was made; empty where nobody knows. */
      madeOn: z.string().optional(),
    })
    .transform((fields, context) => {
      // Everything is looked at before anything is refused, so that all problems show at once.
      const date = readPastDay(fields.date, today);
      if (!isDay(date))
        context.addIssue({ code: "custom", path: ["date"], message: DAY_WORDS[date] });
      const minutes =
        fields.minutes === "" ? undefined : readWhole(fields.minutes, 0, MOST_MINUTES);
      if (minutes === null)
        context.addIssue({
          code: "custom",
          path: ["minutes"],
          message: `Whole minutes, 0 to ${MOST_MINUTES}.`,
        });
      const cost = fields.cost === "" ? undefined : readMoney(fields.cost, currency);
      if (cost === null)
        context.addIssue({
          code: "custom",
          path: ["cost"],
          message: `Write what it cost in ${currency}, such as 18.50.`,
        });
      const madeOn = fields.madeOn ? readPastDay(fields.madeOn, today) : undefined;
      if (madeOn !== undefined && !isDay(madeOn))
        context.addIssue({ code: "custom", path: ["madeOn"], message: DAY_WORDS[madeOn] });
      if (!isDay(date) || context.issues.length > 0) return z.NEVER;
      return {
        date,
        ...(madeOn !== undefined && isDay(madeOn) ? { madeOn } : {}),
        ...(fields.words ? { words: fields.words } : {}),
        ...(minutes === undefined || minutes === null ? {} : { minutes }),
        ...(cost === undefined || cost === null ? {} : { costMinor: cost }),
      };
    });
