import type { Procedure } from "@/core/procedures/procedure";
import type { Media } from "@/core/wear/media";
import { changePanelFilter } from "./change-panel-filter";

export const PROCEDURES: readonly Procedure[] = [changePanelFilter];

export function procedure(id: string): Procedure | null {
  return PROCEDURES.find((each) => each.id === id) ?? null;
}

const PANELS: readonly Media[] = [
  "fibreglass-25",
  "pleated-25",
  "pleated-50",
  "pleated-100",
  "pleated-125",
];

/** The job that renews a filter of this kind, where the library has it step by step. */
export const renewalOf = (media: Media): Procedure | null =>
  PANELS.includes(media) ? changePanelFilter : null;

/** What a procedure is found by: what its steps say. */
export const procedureWords = (): { id: string; title: string; words: string }[] =>
  PROCEDURES.map(({ id, title, bring, steps }) => ({
    id,
    title,
    words: [id, ...bring, ...steps.flatMap((step) => [step.title, step.detail ?? ""])].join(" "),
  }));
