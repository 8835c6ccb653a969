import { z } from "zod";
import { GRADES } from "@/core/filters/belief";
import type { FilterSlot } from "@/core/inventory/inventory";
import type { UnitSystem } from "@/core/quantities/length";
import type { PlainDate } from "@/core/quantities/plain-date";
import { unitsFor } from "@/core/readings/reading-units";
import { DAY_WORDS, isDay, LONG_BEFORE, pastDay, readDecimal, readPastDay } from "@/lib/forms";

/** A past day on which something may have been fitted in a unit: not long before that was made. */
const installationDay = (today: PlainDate, earliest: PlainDate | undefined) =>
  pastDay(today).refine((date) => !earliest || date >= earliest, LONG_BEFORE);

/** A change that was made: from when on at the earliest, the first day its machine was there. */
export const changedForm = (today: PlainDate, earliest: PlainDate | undefined) =>
  z.object({
    date: installationDay(today, earliest),
    grade: z.enum([...GRADES, ""]).optional(),
    words: z.string().max(300, "Shorter, please: up to 300 letters.").optional(),
  });

/** Words for the record. */
export const noteForm = (today: PlainDate) =>
  z.object({
    date: pastDay(today),
    words: z.string().min(1, "Write the note.").max(1000, "Shorter, please: up to 1000 letters."),
    partId: z.string().optional(),
  });

type LookSlot = {
  id: string;
  cleanDropPa?: FilterSlot["cleanDropPa"] | undefined;
  /** The days on which it was changed. */
  changedOn?: readonly PlainDate[];
};
/** Of a look on the day of a change: which of the two it was. */
export const LOOKED_AT = ["old", "new"] as const;

/** A look by eye, by the drop across the filter, or by both: the drop counts for more. */
export const lookForm = (slots: readonly LookSlot[], system: UnitSystem, today: PlainDate) =>
  z
    .object({
      slotId: z.string().min(1, "Choose which filter you looked at."),
      date: z.string(),
      grade: z.enum([...GRADES, ""]).default(""),
      drop: z.string().default(""),
      of: z.enum([...LOOKED_AT, ""]).default(""),
    })
    .transform((fields, context) => {
      const problem = (path: string, message: string) =>
        context.addIssue({ code: "custom", path: [path], message });
      const date = readPastDay(fields.date, today);
      if (!isDay(date)) problem("date", DAY_WORDS[date]);
      const pressureDropPa = fields.drop === "" ? undefined : readDrop(fields.drop, system);
      const slot = slots.find((each) => each.id === fields.slotId);
      if (pressureDropPa === null)
        problem("drop", "Write the drop as a number, 0 or more, of what a filter can take.");
      else if (pressureDropPa !== undefined && slot && slot.cleanDropPa === undefined)
        problem("drop", "What it drops when clean is not written down for this filter yet.");
      const isDayOfChange = isDay(date) && slot?.changedOn?.includes(date) === true;
      if (isDayOfChange && fields.of === "")
        problem("of", "It was changed that day: say which of the two you looked at.");
      if (fields.grade === "" && fields.drop === "")
        problem("grade", "Choose the picture that comes nearest, or write the drop.");
      if (!isDay(date) || pressureDropPa === null || context.issues.length > 0) return z.NEVER;
      return {
        slotId: fields.slotId,
        date,
        isAtNew: isDayOfChange && fields.of === "new",
        look: {
          ...(fields.grade === "" ? {} : { grade: fields.grade }),
          ...(pressureDropPa === undefined ? {} : { pressureDropPa }),
        },
      };
    });

const MOST_PA = 2000;
/** A pressure drop in the home’s unit, as Pa; null for what is none. */
function readDrop(text: string, system: UnitSystem): number | null {
  const value = readDecimal(text);
  const pa = value === null ? -1 : value * unitsFor("filter-drop", system)[0]!.per;
  return pa >= 0 && pa <= MOST_PA ? Number(pa.toPrecision(8)) : null;
}
