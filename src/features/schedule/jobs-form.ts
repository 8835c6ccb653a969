import { z } from "zod";
import { SEASONS } from "@/core/climate/climate";
import { triggerSchema, SPAN_UNITS, WITHIN, type Trigger } from "@/core/scheduling/trigger";
import { QUALIFICATIONS } from "@/core/runs/qualification";
import { capitalised } from "@/core/quantities/words";
import { STRATEGIES, type TaskChanges } from "@/core/scheduling/task";
import { readDecimal, readWhole } from "@/lib/forms";

const MOST_SPAN = 1000;
const MOST_MINUTES = 6000;
const MOST_OFFSET = 180;
const MOST_HOURS = 100_000;

/** The ways a job can be made to come round by hand; the rest stay as their default says. */
export const TRIGGER_CHOICES = ["default", "every", "season", "run-hours"] as const;

const choice = <T extends string>(values: readonly T[]) => z.enum(values as readonly [T, ...T[]]);

/** How a job comes round, who does it and how long it takes, as somebody typed it. */
export const jobForm = z
  .object({
    name: z.string().max(60, "Shorter, please: up to 60 letters."),
    by: choice(TRIGGER_CHOICES),
    n: z.string(),
    unit: choice(SPAN_UNITS),
    within: choice([...WITHIN, ""]),
    anchor: choice(SEASONS),
    offsetDays: z.string(),
    hours: z.string(),
    who: choice(QUALIFICATIONS),
    handsOn: z.string(),
    waiting: z.string(),
    isOff: z.string().optional(),
  })
  .transform((fields, context) => {
    const problem = (path: string, message: string) =>
      context.addIssue({ code: "custom", path: [path], message });
    const whole = (name: "n" | "handsOn" | "waiting" | "hours", most: number, least = 0) => {
      const value = readWhole(fields[name], least, most);
      if (value === null) problem(name, `A whole number, ${least} to ${most}.`);
      return value ?? least;
    };
    let trigger: Trigger | undefined;
    if (fields.by === "every") {
      const n = whole("n", MOST_SPAN, 1);
      trigger = { kind: "every", n, unit: fields.unit, within: fields.within || undefined };
    }
    if (fields.by === "run-hours")
      trigger = { kind: "run-hours", n: whole("hours", MOST_HOURS, 1) };
    if (fields.by === "season") {
      const days = readDecimal(fields.offsetDays || "0");
      const isFine = days !== null && Number.isInteger(days) && Math.abs(days) <= MOST_OFFSET;
      if (!isFine) problem("offsetDays", `Whole days, −${MOST_OFFSET} to ${MOST_OFFSET}.`);
      trigger = { kind: "season", anchor: fields.anchor, offsetDays: isFine ? days : 0 };
    }
    // The check of the form is the check of the store: what this lets through can be read again.
    const checked = trigger && triggerSchema.safeParse(trigger);
    if (checked && !checked.success)
      problem(
        fields.by === "every" ? "n" : fields.by === "season" ? "offsetDays" : "hours",
        capitalised(`${checked.error.issues[0]?.message ?? "that cannot be counted"}.`),
      );
    const handsOn = whole("handsOn", MOST_MINUTES);
    const waiting = whole("waiting", MOST_MINUTES);
    return {
      name: fields.name,
      cadence: trigger,
      who: fields.who,
      handsOn,
      waiting,
      isOff: fields.isOff === "on",
    };
  });

/** By which strategy a filter goes, and the figures that strategy needs. */
export const strategyForm = z
  .object({
    school: choice(STRATEGIES),
    n: z.string(),
    unit: choice(SPAN_UNITS),
    lookEvery: z.string(),
  })
  .transform((fields, context): Pick<TaskChanges, "school" | "cadence" | "lookEveryDays"> => {
    const whole = (name: "n" | "lookEvery", most: number) => {
      const value = readWhole(fields[name], 1, most);
      if (value === null)
        context.addIssue({
          code: "custom",
          path: [name],
          message: `A whole number, 1 to ${most}.`,
        });
      return value ?? 1;
    };
    switch (fields.school) {
      case "wear":
        return {};
      case "calendar": {
        // Left empty it goes by what is usual for such a filter, which may count by the season.
        if (fields.n.trim() === "") return { school: "calendar" };
        const n = whole("n", MOST_SPAN);
        const trigger: Trigger = { kind: "every", n, unit: fields.unit, within: undefined };
        const checked = triggerSchema.safeParse(trigger);
        if (!checked.success)
          context.addIssue({
            code: "custom",
            path: ["n"],
            message: capitalised(`${checked.error.issues[0]?.message ?? "too long"}.`),
          });
        return { school: "calendar", cadence: trigger };
      }
      case "look":
        return { school: "look", lookEveryDays: whole("lookEvery", 365) };
    }
  });
