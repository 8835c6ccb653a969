import type { RunEvent } from "@/core/runs/run-event";
import type { NotTaken, RunJob } from "@/core/runs/run-state";

/** What did not count of what was done on this device, and what to do about it. */
export const REFUSED_WORDS: Readonly<Record<NotTaken, string>> = {
  "not-the-step": "another step was at hand: another device has gone on. See where it stands.",
  "power-comes-last":
    "something of this machine is still open, and power comes last. Close that first.",
  "gas-comes-last": "something is still out, and gas comes after it. Put that back first.",
  "water-comes-last": "something is still open, and water comes after it. Close that first.",
  "still-drying": "it was not dry yet. Leave it its time.",
  "after-another": "something else is closed before it. Close that first.",
  "still-waiting": "its time was not over. Wait, then do it again.",
  "licensed-only": "it is licensed work. Leave it to somebody who may.",
  "nothing-to-hand-over": "there was nothing to hand over.",
  "look-missing": "nothing was said of how it looks. Choose a picture.",
  "seen-missing": "nothing was said of what is seen. Say it, then go on.",
  "seen-unreadable": "what was typed can’t be read. Type it again.",
  "count-differs": "as many go back as came out. Count again.",
  "closes-nothing": "that step closes nothing.",
  "steps-left": "there are steps left. Do them first.",
  "ends-open": "something is still open. Close it, or say why it stays so.",
  "kept-off": "what was seen keeps it off. Leave it so, and have it seen to.",
  "on-hold": "everything stopped before it. See to that first.",
  over: "the job was over by then.",
  "too-late": "a finish can be taken back for some seconds only. Correct its entry in the record.",
  "clock-off":
    "this device’s clock is more than a day ahead. Set it: what was done is kept here and sent again.",
  unreadable: "it can’t be read by this version. Load the page anew and do it again.",
  "unknown-place": "the part or machine it names is not here any more. Choose another.",
  conflict: "something else was sent under its name before. See where it stands, and do it again.",
};

/** “Switch the power on: …”: what was not taken, by its step. */
export function refusedWords(job: RunJob, event: RunEvent | undefined, why: NotTaken): string {
  const step = event && "step" in event ? event.step : undefined;
  const title = job.procedure.steps.find(({ id }) => id === step)?.title ?? "One thing done here";
  return `${title}: not counted, as ${REFUSED_WORDS[why]}`;
}
