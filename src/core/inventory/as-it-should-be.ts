import { z } from "zod";
import { placeKey } from "../scheduling/task";
import type { PlainDate } from "../quantities/plain-date";

/** The longest name and value of a setting, letters. Our choice. */
const LONGEST_LABEL = 60;
const LONGEST_VALUE = 120;
const LONGEST = "Shorter, please.";
export const settingLabel = z
  .string()
  .trim()
  .min(1, "Say what is set.")
  .max(LONGEST_LABEL, LONGEST);
export const settingValue = z
  .string()
  .trim()
  .min(1, "Say how it is set.")
  .max(LONGEST_VALUE, LONGEST);

/** A note of how something is set; one without a value takes it off the sheet. */
export type NotedSetting = {
  id: string;
  unitId?: string;
  partId?: string;
  /** The same thing at the same place carries the same key. */
  key: string;
  /** “Humidistat” */
  label: string;
  /** “35 %” */
  value?: string;
  on: PlainDate;
  runId?: string;
};

/** A line of the sheet of how things should be. */
export type Setting = NotedSetting & { value: string };

/**
 * How everything in a home is set when all is as it should be: the last note of each thing, in the
 * order in which they were first noted.
 *
 * @example asItShouldBe([{ id: "a", key: "hold", label: "Hold", value: "on" }, { id: "b", key: "hold", label: "Hold", value: "off" }])[0].value // "off"
 */
export function asItShouldBe(notes: readonly NotedSetting[]): Setting[] {
  const last = new Map<string, NotedSetting>();
  for (const note of notes) last.set(`${placeKey(note)}\n${note.key}`, note);
  return [...last.values()].filter((note): note is Setting => note.value !== undefined);
}
