import { addDays, addMonths, type PlainDate } from "../quantities/plain-date";
import type { Level, Part, Room, Unit } from "./inventory";

/** A carbon monoxide sensor is spent five to seven years after it was made; new batteries change nothing. */
const SPENT_FROM_YEARS = 5;
const SPENT_BY_YEARS = 7;
const MONTHS_PER_YEAR = 12;

/** The kinds of unit that warn of carbon monoxide: an alarm of its own, or one for smoke and CO together. */
const CO_ALARMS: readonly string[] = ["co-alarm", "smoke-co-alarm"];
/**
 * Whether a kind of unit warns of carbon monoxide.
 *
 * @example isCoAlarm("smoke-alarm") // false
 */
export const isCoAlarm = (kind: string): boolean => CO_ALARMS.includes(kind);

/**
 * Whether a kind of unit is an alarm at all: its life is counted from the day on its back.
 *
 * @example isAlarm("smoke-alarm") // true
 */
export const isAlarm = (kind: string): boolean => kind === "smoke-alarm" || isCoAlarm(kind);

export type AlarmLife = {
  /** From this day on it may be spent, by that day it is. */
  from: PlainDate;
  by: PlainDate;
  verdict: "sound" | "watch" | "act";
};

/**
 * How long an alarm still serves: its sensor ages from the day it was made, whether it was in use or
 * not. Sound up to five years, to be watched up to seven, then to be replaced.
 *
 * @source docs/sources.md#alarms
 * @example alarmLife("2020-01-15", "2026-01-15") // { from: "2025-01-15", by: "2027-01-15", verdict: "watch" }
 */
export function alarmLife(madeOn: PlainDate, today: PlainDate): AlarmLife {
  const from = addMonths(madeOn, SPENT_FROM_YEARS * MONTHS_PER_YEAR);
  const by = addMonths(madeOn, SPENT_BY_YEARS * MONTHS_PER_YEAR);
  return { from, by, verdict: today >= by ? "act" : today >= from ? "watch" : "sound" };
}

/**
 * Whether an alarm shows a figure: it has a display among its parts. Silence is no reading.
 *
 * @example hasDisplay({ parts: [{ unitId: "hall", kind: "alarm-display" }] }, "hall") // true
 */
export const hasDisplay = ({ parts }: { parts: readonly Part[] }, alarmId: string): boolean =>
  parts.some(({ unitId, kind }) => unitId === alarmId && kind === "alarm-display");

/**
 * The lived-in levels, those with rooms, that no alarm stands on, in the order of the levels given.
 *
 * @source docs/sources.md#alarms
 * @example levelsWithoutAlarm([{ id: "up", place: "inside" }], [{ levelId: "up" }], []).length // 1
 */
export function levelsWithoutAlarm(
  levels: readonly Level[],
  rooms: readonly Room[],
  alarms: readonly Unit[],
): Level[] {
  return levels.filter(
    (level) =>
      level.place === "inside" &&
      rooms.some((room) => room.levelId === level.id) &&
      !alarms.some((alarm) => alarm.levelId === level.id),
  );
}

/** Days before the end of a warranty on which it is spoken of. */
const WARRANTY_NOTICE_DAYS = 60;

export type Warranty = "running" | "ends-soon" | "over";
/**
 * How a warranty that ends on a day stands today: the last day still counts, and from 60 days before it
 * it is spoken of.
 *
 * @example warrantyOf("2026-03-01", "2026-03-02") // "over"
 */
export function warrantyOf(endsOn: PlainDate, today: PlainDate): Warranty {
  if (endsOn < today) return "over";
  return endsOn <= addDays(today, WARRANTY_NOTICE_DAYS) ? "ends-soon" : "running";
}
