import { addDays, addMonths, type PlainDate } from "../quantities/plain-date";
import type { Level, Part, Room, Unit } from "./inventory";

/** A carbon monoxide sensor is spent five to seven years after it was made; new batteries change nothing. */
const SPENT_FROM_YEARS = 5;
const SPENT_BY_YEARS = 7;
const MONTHS_PER_YEAR = 12;

export type AlarmLife = {
  /** From this day on it may be spent, by that day it is. */
  from: PlainDate;
  by: PlainDate;
  verdict: "sound" | "watch" | "act";
};

/** @source docs/sources.md#alarms */
export function alarmLife(madeOn: PlainDate, today: PlainDate): AlarmLife {
  const from = addMonths(madeOn, SPENT_FROM_YEARS * MONTHS_PER_YEAR);
  const by = addMonths(madeOn, SPENT_BY_YEARS * MONTHS_PER_YEAR);
  return { from, by, verdict: today >= by ? "act" : today >= from ? "watch" : "sound" };
}

/** Whether an alarm shows a figure: it has a display among its parts. Silence is no reading. */
export const hasDisplay = ({ parts }: { parts: readonly Part[] }, alarmId: string): boolean =>
  parts.some(({ unitId, kind }) => unitId === alarmId && kind === "alarm-display");

/** The lived-in levels, those with rooms, that no alarm stands on. */
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
export function warrantyOf(endsOn: PlainDate, today: PlainDate): Warranty {
  if (endsOn < today) return "over";
  return endsOn <= addDays(today, WARRANTY_NOTICE_DAYS) ? "ends-soon" : "running";
}
