import { z } from "zod";
import { HOUSEHOLD_WORDS } from "@/content/words";
import { DAY_WORDS, isDay, readDay, readDecimal, readWhole } from "@/lib/forms";
import type { DriverFacts, DriverScope, HouseholdKind } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

const kinds = Object.keys(HOUSEHOLD_WORDS) as [HouseholdKind, ...HouseholdKind[]];
const MOST_COUNTED = 30;

/** Reads what surrounds the filters: one driver, where it acts, and from when to when. */
export const driverForm = z
  .object({
    kind: z.enum(kinds, "Choose what it is."),
    /** “home”, or “room:”, “system:” and “part:” with an id. */
    scope: z.string(),
    count: z.string(),
    fraction: z.string(),
    from: z.string(),
    to: z.string(),
    label: z.string().max(60, "Shorter, please: up to 60 letters."),
  })
  .transform((fields, context): DriverScope & DriverFacts => {
    const problem = (name: string, message: string) =>
      context.addIssue({ code: "custom", path: [name], message });
    const words = HOUSEHOLD_WORDS[fields.kind];
    const day = (name: "from" | "to") => {
      if (fields[name] === "") return undefined;
      const date = readDay(fields[name]);
      if (isDay(date)) return date;
      problem(name, DAY_WORDS[date]);
      return undefined;
    };
    const from = day("from");
    const to = words.dates === "day" ? undefined : day("to");
    if (words.dates === "must-begin" && fields.from === "")
      problem("from", "Give the day it began.");
    if (words.dates === "day" && fields.from === "") problem("from", "Give the day it was.");
    if (from && to && from > to) problem("to", "It ends before it begins.");
    const count = readWhole(fields.count, 0, MOST_COUNTED) ?? 0;
    const isCounted = words.counted !== undefined;
    if (isCounted && readWhole(fields.count, 0, MOST_COUNTED) === null)
      problem("count", `Give a number, 0 to ${MOST_COUNTED}.`);
    const percent = readDecimal(fields.fraction) ?? -1;
    const isShare = words.share !== undefined;
    if (isShare && !(percent >= 0 && percent <= 100))
      problem("fraction", "Give a share in percent, 0 to 100.");
    const [scope, id] = fields.scope.split(":");
    if (context.issues.length > 0) return z.NEVER;
    return {
      ...scopeFrom(scope ?? "", id),
      kind: fields.kind,
      ...(isCounted ? { count } : {}),
      ...(isShare ? { fraction: percent / 100 } : {}),
      ...(from ? { from } : {}),
      ...(to ? { to } : {}),
      ...(fields.label ? { label: fields.label } : {}),
    };
  });

function scopeFrom(scope: string, id: string | undefined): DriverScope {
  if (!id) return { scope: "home" };
  switch (scope) {
    case "room":
      return { scope, roomId: id };
    case "system":
      return { scope, systemId: id };
    case "part":
      return { scope, partId: id };
    default:
      return { scope: "home" };
  }
}

/** Whether the place a driver acts at is there. */
export function isPlaceKnown(driver: DriverScope, snapshot: HomeSnapshot): boolean {
  switch (driver.scope) {
    case "home":
      return true;
    case "room":
      return snapshot.rooms.some((room) => room.id === driver.roomId);
    case "system":
      return snapshot.systems.some((system) => system.id === driver.systemId);
    case "part":
      return snapshot.slots.some((slot) => slot.id === driver.partId);
  }
}
