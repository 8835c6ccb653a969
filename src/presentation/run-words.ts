import type { SafetyStop } from "@/core/runs/run-state";
import type { AlarmState, NotPossible } from "@/core/runs/run-event";
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

/** What to do when nothing goes on. */
export const SAFETY_STOP_WORDS: Readonly<
  Record<SafetyStop["why"], { title: string; steps: string[] }>
> = {
  gas: {
    title: "Gas: everybody out, now",
    steps: [
      "Touch no switch, no plug, no phone in here; no flame.",
      "Leave the doors open behind you and take everybody along.",
      "From outside call the gas emergency line.",
      "Go back in only when they say so.",
    ],
  },
  co: {
    title: "CO alarm: everybody out, now",
    steps: [
      "Wake and take everybody outside, into fresh air. Count heads.",
      "From outside call the emergency number. A headache or dizziness: say so.",
      "Go back in only when they say so, and have every burner looked at first.",
    ],
  },
  reading: {
    title: "",
    steps: [
      "Switch the machine off as its card says, and leave it off.",
      "Open windows if anything burns in it.",
      "Call a licensed person. Until then it stays off.",
    ],
  },
};

/** “Flame: sooting” */
export function safetyStopTitle(safetyStop: SafetyStop): string {
  if (safetyStop.why !== "reading") return SAFETY_STOP_WORDS[safetyStop.why].title;
  const { value } = safetyStop.seen;
  const seen = typeof value === "string" ? (SEEN_WORDS[value] ?? value) : String(value);
  return `${READING_WORDS[safetyStop.reading].name}: ${seen}`;
}
