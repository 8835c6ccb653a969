import { z } from "zod";
import type { PlainDate } from "../quantities/plain-date";
import { triggerSchema, type Trigger } from "./trigger";
import type { ReadingKind } from "../readings/reading-kinds";
import { QUALIFICATIONS, type Qualification } from "../runs/qualification";

/** Three ways of deciding when a filter goes. */
export const STRATEGIES = ["wear", "look", "calendar"] as const;
export type Strategy = (typeof STRATEGIES)[number];

/** A job as it usually comes round, before anybody changed it. */
export type TaskDefinition = {
  /** Of its part, unit or the home; never used again for another job. */
  key: string;
  /** What is done, as a plain verb. */
  name: string;
  trigger: Trigger;
  who: Qualification;
  /** Minutes at work, and of waiting that needs nobody. */
  handsOn: number;
  waiting: number;
  /** The procedures that do it step by step: the usual one first. */
  procedureIds?: readonly string[];
  /** Jobs of the same unit that are done with it, as `kind of part:key`. */
  alsoDoes?: readonly string[];
  /** Only offered once something happened or was read; never owed by the calendar. */
  onlyWhen?: true;
  /** It comes round only where somebody switched it on: for what not every household has. */
  whereWanted?: true;
  /** It keeps people from harm: it comes before what is for comfort. */
  safety?: true;
  /** Readings that are out of date once it was done: a new seal, a cleaned coil. */
  settles?: readonly ReadingKind[];
  /** All parts of its kind at a machine are one job: nobody bleeds one radiator. */
  together?: true;
  /** The reading that is all there is to it: read at its place, it was done. */
  reads?: ReadingKind;
};

/** What somebody changed about a job, or all there is of a job of their own. */
export const taskChangesSchema = z.strictObject({
  name: z.string().min(1).optional(),
  cadence: triggerSchema.optional(),
  school: z.enum(STRATEGIES).optional(),
  /** Days between looks, where the filter is looked at first. */
  lookEveryDays: z.number().int().positive().optional(),
  who: z.enum(QUALIFICATIONS).optional(),
  handsOn: z.number().int().min(0).optional(),
  waiting: z.number().int().min(0).optional(),
  isOff: z.boolean().optional(),
});
export type TaskChanges = z.output<typeof taskChangesSchema>;

/** A job as it is stored: what was changed of it, and a name for its runs to point at. */
export type TaskSetting = {
  id: string;
  unitId?: string;
  partId?: string;
  key: string;
  changes: TaskChanges;
  /** What was changed of it cannot be read any more. */
  isUnreadable?: true;
  /** The day it was first stored: a job of one’s own is owed from then. */
  enteredOn?: PlainDate;
};

/** Where a job belongs: to a part of a unit, to a unit, or to the home. */
export type TaskPlace = { unitId?: string; partId?: string };

/** A job as it is planned: its definition with everything somebody changed. */
export type PlannedTask = TaskPlace & {
  /** The same for ever: its place and key. */
  id: string;
  key: string;
  name: string;
  /** What it belongs to: the kind of a part or unit, or “home”; with the key, what `alsoDoes` names. */
  kind: string;
  trigger: Trigger;
  /** Of a filter’s renewal. */
  strategy?: Strategy;
  who: Qualification;
  handsOn: number;
  waiting: number;
  procedureIds: readonly string[];
  alsoDoes: readonly string[];
  isOff: boolean;
  isChanged: boolean;
  isSafety: boolean;
  settles: readonly ReadingKind[];
  reads?: ReadingKind;
  /** What was stored of it cannot be read: it comes round as usual. */
  isUnreadable: boolean;
  /** Somebody’s own: there is no default to go back to. */
  isOwn: boolean;
  /** Of a job of one’s own: the day it was made up. */
  madeUpOn?: PlainDate;
};

/** The keys of a filter’s own jobs. */
export const RENEW = "renew";
export const LOOK = "look";
/** Days between looks where nobody said otherwise. */
export const LOOK_EVERY_DAYS = 30;

/**
 * The place a job belongs to, as part of its name: the part, else the unit, else the home.
 *
 * @example placeKey({ unitId: "u1" }) // "u1"
 */
export const placeKey = ({ partId, unitId }: TaskPlace): string => partId ?? unitId ?? "home";
/**
 * The name of a job: its place and its key. The same on every device and after every restart.
 *
 * @example taskId({ unitId: "u1", partId: "p1" }, "change") // "p1.change"
 */
export const taskId = (place: TaskPlace, key: string): string => `${placeKey(place)}.${key}`;
export const OWN_KEY = "own-";

/**
 * A job at a place with what was changed of it: its name, trigger and strategy, and whether it is wanted.
 *
 * @example planned({ key: "look", name: "Look", trigger: { kind: "wear" }, who: "owner" }, { partId: "slot", kind: "slot" }).id // "slot.look"
 */
export function planned(
  definition: TaskDefinition,
  place: TaskPlace & { kind: string },
  setting: TaskSetting | undefined,
): PlannedTask {
  const { key, alsoDoes = [], procedureIds = [] } = definition;
  const changes = setting?.changes ?? {};
  const value = { ...definition, ...changes };
  return {
    ...place,
    id: taskId(place, key),
    key,
    name: value.name,
    trigger: changes.cadence ?? definition.trigger,
    ...(changes.school ? { strategy: changes.school } : {}),
    who: value.who,
    handsOn: value.handsOn,
    waiting: value.waiting,
    procedureIds,
    alsoDoes,
    isSafety: definition.safety === true,
    settles: definition.settles ?? [],
    ...(definition.reads ? { reads: definition.reads } : {}),
    isUnreadable: setting?.isUnreadable === true,
    isOff: changes.isOff ?? definition.whereWanted === true,
    isChanged: Object.keys(changes).length > 0,
    isOwn: key.startsWith(OWN_KEY),
    ...(key.startsWith(OWN_KEY) && setting?.enteredOn ? { madeUpOn: setting.enteredOn } : {}),
  };
}
