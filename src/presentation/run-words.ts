import type { SafetyStop } from "@/core/runs/run-state";
import type { AlarmState, NotPossible } from "@/core/runs/run-event";
import { emergency } from "@/content/emergencies";
import type { ReadingKind } from "@/core/readings/reading-kinds";
import { READING_WORDS, SEEN_WORDS } from "@/content/reading-words";

const NOT_POSSIBLE_WORDS: Readonly<Record<NotPossible, string>> = {
  "out-of-reach": "Out of reach",
  "in-the-way": "Something in the way",
  "wrong-size": "The wrong size",
  weather: "The weather",
  missing: "Something missing",
  licensed: "Licensed work first",
  found: "What was found",
  other: "Something else",
};
/** What a person may choose; what a step found speaks for itself. */
export const NOT_POSSIBLE_OPTIONS = Object.entries(NOT_POSSIBLE_WORDS).flatMap(([value, name]) =>
  value === "found" ? [] : [{ value, name }],
);

/** A reason in the words it is kept in, where nobody wrote their own. */
export const notPossibleWords = (reason: NotPossible): string => NOT_POSSIBLE_WORDS[reason];

export const ALARM_STATE_WORDS: Readonly<Record<AlarmState, string>> = {
  quiet: "quiet",
  tested: "tested, it sounded",
  silent: "tested, it stayed silent",
  chirps: "it chirps",
};

/** Of a reading that means stop, where something else is to be done than with a machine that burns. */
const STOP_STEPS: Partial<Record<ReadingKind, readonly string[]>> = {
  "duct-debris": [
    "Touch no more of it: nothing is wiped, brushed or vacuumed.",
    "No air through it: the fan stays off, its register shut.",
    "Find where the damp comes from. A professional looks before anything is cleaned.",
  ],
  "heat-exchanger": [
    "It does not heat again until it was tested: a crack lets carbon monoxide into the rooms.",
    "Put it together with its power off. Warm the house another way, a CO alarm near.",
    "Call for the test: combustion measured with the blower off and on.",
  ],
  "boiler-pressure-bar": [
    "Switch the boiler off, shut the filling loop: no more water in.",
    "Stay away from its safety valve: what comes is scalding.",
    "Call. Until then it stays off.",
  ],
};
const STOP_ANY: readonly string[] = [
  "Switch the machine off as its card says, and leave it off.",
  "Open windows if anything burns in it.",
  "Call a licensed person. Until then it stays off.",
];

/** What to do when nothing goes on. */
export const stopSteps = (stop: SafetyStop): readonly string[] =>
  stop.why === "reading"
    ? (STOP_STEPS[stop.reading] ?? STOP_ANY)
    : (emergency(stop.why)?.steps ?? STOP_ANY);

/** Why a machine stays off after what was seen, as it stands on every page. */
export const keptOffWords = (stop: SafetyStop): string =>
  `${safetyStopTitle(stop)}. Off until a licensed person has looked.`;

/** “Flame: sooting” */
export function safetyStopTitle(safetyStop: SafetyStop): string {
  if (safetyStop.why !== "reading") return emergency(safetyStop.why)?.title ?? "";
  const { value } = safetyStop.seen;
  const seen = typeof value === "string" ? (SEEN_WORDS[value] ?? value) : String(value);
  return `${READING_WORDS[safetyStop.reading].name}: ${seen}`;
}
