import { z } from "zod";
import { signOf } from "@/content/signs";
import type { PlainDate } from "@/core/quantities/plain-date";
import { DAY_WORDS, isDay, pastDay, readPastDay } from "@/lib/forms";

/** What somebody noticed: which sign, at which machine or in the house as a whole, when, in their words. */
export const noticedForm = (
  unitIds: readonly string[],
  roomIds: readonly string[],
  today: PlainDate,
) =>
  z
    .object({
      sign: z.string().default(""),
      unitId: z.string().default(""),
      roomId: z.string().default(""),
      date: z.string(),
      words: z.string().max(1000, "Shorter, please: up to 1000 letters.").default(""),
    })
    .transform((fields, context) => {
      const problem = (path: string, message: string) =>
        context.addIssue({ code: "custom", path: [path], message });
      const sign = signOf(fields.sign);
      const date = readPastDay(fields.date, today);
      if (!isDay(date)) problem("date", DAY_WORDS[date]);
      if (!sign) problem("sign", "Choose what comes nearest.");
      const isKnown = unitIds.includes(fields.unitId);
      if (sign?.needsUnit && !isKnown) problem("unitId", "Choose the machine it is at.");
      else if (fields.unitId !== "" && !isKnown) problem("unitId", "That machine is not there.");
      const isRoom = roomIds.includes(fields.roomId);
      if (fields.roomId !== "" && !isRoom) problem("roomId", "That room is not there.");
      if (!isDay(date) || !sign || context.issues.length > 0) return z.NEVER;
      return {
        sign,
        date,
        ...(isKnown ? { unitId: fields.unitId } : {}),
        // A room says where it is only for what is of rooms.
        ...(isRoom && sign.ofRoom ? { roomId: fields.roomId } : {}),
        ...(fields.words === "" ? {} : { words: fields.words }),
      };
    });

/** Who saw to what meant stop, and what was found, on a day not before it. */
export const seenToForm = (today: PlainDate, since: PlainDate) =>
  z.object({
    by: z
      .string()
      .min(1, "Write who saw to it: a name will do, your own too.")
      .max(80, "Shorter, please: up to 80 letters."),
    found: z
      .string()
      .min(1, "Write what was found, and what was done about it.")
      .max(1000, "Shorter, please: up to 1000 letters."),
    date: pastDay(today).refine((date) => date >= since, "That was before it was noticed."),
  });
