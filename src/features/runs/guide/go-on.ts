import { GRADE_OPTIONS } from "@/presentation/grade-options";
import { SEEN_WORDS } from "@/content/reading-words";
import type { Step } from "@/core/runs/procedure";
import type { RunRefusal, RunState } from "@/core/runs/run-state";
import { capitalised, inSentence } from "@/core/quantities/words";
import type { Places } from "../step/rounds";
import type { ReadSeen, Typed } from "../step/seen";

/** A longer answer does not fit on the button. */
const MOST_LETTERS = 22;

/** “Loaded, go on”: what was chosen, on the button itself. */
function seenWords({ records }: Step, { word }: Typed): string | null {
  if (!word) return null;
  const name =
    records?.kind === "choice"
      ? records.options.find(({ value }) => value === word)?.name
      : records?.kind === "look"
        ? GRADE_OPTIONS.find(({ value }) => value === word)?.name
        : SEEN_WORDS[word];
  return name && name.length < MOST_LETTERS ? `${capitalised(name)}, go on` : null;
}

const HELD_WORDS: Partial<Record<RunRefusal, string>> = {
  "licensed-only": "Leave it to them",
  "kept-off": "Leave it off, go on",
  "still-drying": "Not before it is dry",
  "still-waiting": "Not yet",
  "power-comes-last": "Something comes first",
  "after-another": "Something comes first",
  "gas-comes-last": "Something comes first",
  "water-comes-last": "Something comes first",
};

/** What the large button says: what it will do, or why it does nothing yet. */
export function goOnWords(
  { current, safetyStop, aborted }: RunState,
  heldUp: RunRefusal | null,
  read: ReadSeen | null,
  typed: Typed,
): string {
  if (safetyStop) return "Stopped";
  if (!current) return aborted ? "Put it off" : "Finish";
  if (current.leavesTo !== undefined && !aborted) return "Leave it off, go on";
  if (heldUp) return HELD_WORDS[heldUp] ?? "Not yet";
  if (current.records && read?.kind === "nothing") {
    if (current.recordIsOptional) return "Go on without";
    return current.records.kind === "look" ? "Choose how it looks" : "Say what you see";
  }
  return seenWords(current, typed) ?? "Done, go on";
}

/** What is said of an end that stays open for a job later in the same round. */
export const leftFor = (to: string): string => `for “${inSentence(to)}”, later in the round`;

/** Where a step that goes through the house may have been looked at; none for one at its own place. */
export function placesOf({ records }: Step, places: Places): Places["machines"] {
  if (records?.kind === "look" && records.of === "any-filter") return places.filters;
  if (records?.kind === "filter-choice") return places.filters;
  if (records?.kind !== "reading") return [];
  if (records.of === "any-machine") return places.machines;
  return records.of === "every-co-alarm" ? places.alarms : [];
}
