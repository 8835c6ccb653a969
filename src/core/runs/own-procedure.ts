import { lintProcedures, LINT_RULES } from "./lint";
import type { Procedure, Step } from "./procedure";

/** Why a procedure of one’s own is not taken, beyond what the library’s own check asks. */
export const OWN_RULES = [...LINT_RULES, "licensed-taken", "licensed-by-words"] as const;
export type OwnRule = (typeof OWN_RULES)[number];
export type OwnFault = { step: string; rule: OwnRule };

/** Kinds of step that do something; the others look, wait or warn. */
const DOES: readonly Step["kind"][] = [
  "shut",
  "open",
  "remove",
  "clean",
  "measure",
  "fit",
  "restore",
];

/** A procedure that somebody wrote or changed: what it is copied from, and the jobs it may do. */
export type OwnProcedure = {
  id: string;
  procedure: Procedure;
  /** The procedure of the library it was copied from. */
  basedOn?: string;
  /** Jobs it does beside those of the procedure it was copied from, by their ids. */
  jobs: readonly string[];
};

/**
 * What is wrong with a procedure of one’s own, each fault at its step; none means that it may be led.
 * It has to pass the check of the library, and licensed work stays licensed: copied, renamed or written
 * anew in the words of the trade.
 *
 * @param original what it was copied from; null where it was written from nothing
 * @param licensedWork words by which work for licensed people is known
 * @example checkOwn(job.procedure, job.procedure, []) // []
 */
export function checkOwn(
  own: Procedure,
  original: Procedure | null,
  licensedWork: readonly RegExp[],
): OwnFault[] {
  const faults = new Map<string, OwnFault>();
  const note = (step: string, rule: OwnRule) => faults.set(`${step}\n${rule}`, { step, rule });
  for (const { step, rule } of lintProcedures({ procedures: [own] }).faults) note(step, rule);
  if (original?.who === "licensed" && own.who !== "licensed") note("", "licensed-taken");
  const before = new Map(original?.steps.map((step) => [step.id, step]));
  for (const step of own.steps) {
    const copied = before.get(step.id);
    if (copied?.who === "licensed" && step.who !== "licensed") note(step.id, "licensed-taken");
    const isNew = copied?.title !== step.title;
    const isTheirsByWords = licensedWork.some((words) => words.test(step.title));
    if (isNew && isTheirsByWords && DOES.includes(step.kind) && step.who !== "licensed")
      note(step.id, "licensed-by-words");
  }
  return [...faults.values()];
}
