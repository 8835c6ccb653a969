import { z } from "zod";
import { readMoney } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { pastDay } from "./forms";

const MOST_MINUTES = 6000;

/** That something was done: the day, what was seen, the minutes and the money. */
export const doneForm = (today: PlainDate, currency: string) =>
  z
    .object({
      date: pastDay(today),
      words: z.string().max(300, "Shorter, please: up to 300 letters."),
      minutes: z.string(),
      cost: z.string(),
    })
    .transform((fields, context) => {
      const minutes = fields.minutes === "" ? undefined : Number(fields.minutes);
      if (minutes !== undefined && !(Number.isInteger(minutes) && minutes <= MOST_MINUTES))
        context.addIssue({ code: "custom", path: ["minutes"], message: "Whole minutes." });
      const cost = fields.cost === "" ? undefined : readMoney(fields.cost, currency);
      if (cost === null)
        context.addIssue({
          code: "custom",
          path: ["cost"],
          message: `Write what it cost in ${currency}, such as 18.50.`,
        });
      return {
        date: fields.date,
        ...(fields.words ? { words: fields.words } : {}),
        ...(minutes === undefined ? {} : { minutes }),
        ...(cost === undefined || cost === null ? {} : { costMinor: cost }),
      };
    });
