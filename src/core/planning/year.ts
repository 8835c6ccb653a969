import { z } from "zod";
import { dateSchema } from "../quantities/schemas";
import type { PlainDate } from "../quantities/plain-date";

/** What somebody leaves to others: switching machines off, work out of doors, ladders and lofts. */
export const LEAVES = ["power", "outdoors", "height"] as const;
export type Leaves = (typeof LEAVES)[number];

/** 1 Monday to 7 Sunday, each once, in order. */
const weekdaysSchema = z
  .array(z.number().int().min(1).max(7))
  .transform((days) => [...new Set(days)].sort((a, b) => a - b));
export const awaySchema = z
  .strictObject({ from: dateSchema, to: dateSchema })
  .refine(({ from, to }) => from <= to, { path: ["to"], message: "ends before it starts" });

/** On which days somebody goes round, for how long, and what they do: as it is stored. */
export const personDaysSchema = z.strictObject({
  /** Days on which it can be, and of them those that are liked; none liked: all alike. */
  weekdays: weekdaysSchema,
  preferred: weekdaysSchema,
  away: z.array(awaySchema).max(40),
  /** Minutes of work a day takes at most. */
  mostMinutes: z.number().int().min(10).max(720),
  leaves: z.array(z.enum(LEAVES)),
  /** Machines that are theirs before anybody else’s; none: all alike. */
  unitIds: z.array(z.string()),
});
export type PersonDays = z.output<typeof personDaysSchema>;

export type Person = PersonDays & {
  /** Unique in its home. */
  id: string;
  name: string;
  kind: "owner" | "technician";
};

/** Whoever keeps the home, while nobody said who that is; and whoever is called in. */
export const OWNER = "owner";
export const TECHNICIAN = "technician";

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const WORKING_DAYS = [1, 2, 3, 4, 5];
const WEEKEND = [6, 7];
/** Minutes of work that a round of one’s own takes at most, and a technician’s day. Our choice. */
const OWNER_MINUTES = 120;
const TECHNICIAN_MINUTES = 420;
const ALL = { away: [], leaves: [], unitIds: [] };

export const USUAL_OWNER: Person = {
  ...{ id: OWNER, name: "You", kind: "owner", mostMinutes: OWNER_MINUTES },
  ...{ weekdays: EVERY_DAY, preferred: WEEKEND, ...ALL },
};
export const USUAL_TECHNICIAN: Person = {
  ...{ id: TECHNICIAN, name: "The technician", kind: "technician" },
  ...{ mostMinutes: TECHNICIAN_MINUTES, weekdays: WORKING_DAYS, preferred: [], ...ALL },
};

/** An occurrence of a job in a plan: the how manieth of it, from 1, and its day. */
const plannedDaySchema = z.strictObject({
  task: z.string(),
  n: z.number().int().min(0),
  day: dateSchema,
});
export const plannedDaysSchema = z.array(plannedDaySchema);
export type PlannedDay = z.output<typeof plannedDaySchema>;

/** A plan as somebody keeps it: a draft until it is published. */
export type YearPlan = {
  id: string;
  /** The day it was made for, and up to which it goes. */
  madeOn: PlainDate;
  horizonEnd: PlainDate;
  days: PlannedDay[];
  /** Moves with each change of a draft. */
  version: number;
  /** Instant, ISO 8601. */
  publishedAt?: string;
};

/** A job that is to be done on that day, whatever else moves. */
export type Pin = { id: string; task: string; day: PlainDate };

/** A round that was announced or begun. */
export type RoundEntry = {
  id: string;
  /** Whose it is, and on which day. */
  person: string;
  day: PlainDate;
  /** The household was told: it is never called off by a plan. Instants, ISO 8601. */
  announcedAt?: string;
  startedAt?: string;
  endedAt?: string;
  /** Once it is begun: its jobs in the order in which they are led. */
  order: string[];
};

/** What is kept of a home’s year beside the record. */
export type Year = {
  /** Those somebody named or changed; see `peopleOf`. */
  people: Person[];
  current: YearPlan | null;
  draft: YearPlan | null;
  pins: Pin[];
  rounds: RoundEntry[];
};
export const NO_YEAR: Year = { people: [], current: null, draft: null, pins: [], rounds: [] };

/**
 * Who goes round in a home: those it named, else its keeper; and the technician it calls in.
 *
 * @example peopleOf({ people: [] }).map(({ id }) => id) // ["owner","technician"]
 */
export function peopleOf({ people }: Pick<Year, "people">): Person[] {
  const owners = people.filter(({ kind }) => kind === "owner");
  const technician = people.find(({ kind }) => kind === "technician");
  return [...(owners.length > 0 ? owners : [USUAL_OWNER]), technician ?? USUAL_TECHNICIAN];
}
