import type { OwnRule } from "@/core/runs/own-procedure";

/** Why a step is refused, and what would mend it. */
const WORDS: Readonly<Record<OwnRule, readonly [why: string, mend: string]>> = {
  "id-twice": ["Two steps carry the same name.", "Take one of them out and add it anew."],
  "refers-to-nothing": [
    "It speaks of a step that does not come before it.",
    "Move it behind that step, or take what it asks for away.",
  ],
  "counts-once": [
    "From one step on the job counts as done: exactly one.",
    "Mark the step after which it counts.",
  ],
  "opened-twice": ["It opens what is open already.", "Put it back first, or open it once."],
  "closes-nothing": [
    "It puts back what no step before it took off.",
    "Add the step that takes it off, or choose something else.",
  ],
  "left-open": [
    "What it switches off, opens or takes out is put back by no step.",
    "Add a step behind it that puts it back.",
  ],
  "out-of-turn": [
    "What was opened last goes back first.",
    "Move it, so that things go back in the reverse order.",
  ],
  "runs-dead": [
    "It has to run for this, and its power is off, or may have been left off.",
    "Move it before the step that switches it off, or behind the one that switches it on.",
  ],
  "power-first": [
    "Something is taken off or out with the power on.",
    "Put a step before it that switches the power off.",
  ],
  "power-last": [
    "The power comes back while something is open.",
    "Move it behind the steps that put everything back.",
  ],
  "gas-last": [
    "The gas comes back while something is out.",
    "Move it behind the steps that put everything back.",
  ],
  "water-last": [
    "The water comes back while something is open.",
    "Move it behind the steps that put everything back.",
  ],
  "setting-unmarked": [
    "It turns something up or down that no step sets back.",
    "Let it open “a setting changed”, and add the step that sets it back.",
  ],
  "wet-before-dry": ["Wet cleaning comes before dry.", "Brush and vacuum first, then wash."],
  "refit-before-dry": [
    "What was washed goes back wet.",
    "Put a step between that lets it dry, and one that asks whether it is dry.",
  ],
  "no-drying-time": ["It dries for no time.", "Say how many minutes it takes at least."],
  "ends-in-a-loop": [
    "A step that is repeated opens or closes something.",
    "Repeat only steps that look or clean.",
  ],
  "licensed-offered": [
    "A step for licensed people does something in a job for everybody.",
    "Make it a caution, or the whole job one for licensed people.",
  ],
  "licensed-taken": [
    "This is licensed work, and copying does not change that.",
    "Leave it to a licensed person.",
  ],
  "licensed-by-words": [
    "By its words this is licensed work: gas, refrigerant, wiring or flue.",
    "Leave it to a licensed person, or say what an owner looks at instead.",
  ],
};

export const ownFaultWords = (rule: OwnRule): string => WORDS[rule].join(" ");
