import type { EndKind } from "./loose-ends";

export type StepKind =
  | "prepare"
  | "shut"
  | "open"
  | "remove"
  | "inspect"
  | "clean"
  | "measure"
  | "wait"
  | "fit"
  | "restore"
  | "test"
  | "reset"
  | "label"
  | "caution";

export type Who = "owner" | "confident" | "licensed";

/** What is known of a part that decides which steps its job has. */
export type PartFacts = { directionKnown: boolean; indicator: boolean };
export type StepCondition = "direction-unknown" | "has-indicator";

export type StepEnd = {
  /** Names the end within its procedure. */
  key: string;
  end: EndKind;
  /** As the V shows it: “power”, “off”. */
  thing: string;
  state: string;
};

export type Step = {
  id: string;
  kind: StepKind;
  /** Imperative and short: what to do. */
  title: string;
  detail?: string;
  /** Only where a mistake is costly. */
  why?: string;
  /** Shown just before what can hurt. */
  caution?: string;
  opens?: StepEnd[];
  /** The key of an end that an earlier step opened. */
  closes?: string;
  records?: "look";
  /** What the register knows that helps with this step. */
  shows?: "shut-off" | "size" | "direction" | "label" | "indicator";
  when?: StepCondition;
  /** The new filter, or the cleaned one, is in place once this is done. */
  renews?: true;
};

export type Procedure = {
  id: string;
  title: string;
  /** Finishes “… the filter”: the word on the button. */
  verb: string;
  who: Who;
  /** Whether a new item comes in, or the old one goes back. */
  outcome: "replaced" | "cleaned";
  handsOnMinutes: number;
  waitingMinutes: number;
  bring: string[];
  steps: Step[];
};

/** The steps of a job at one part, in order. */
export function stepsFor(procedure: Procedure, facts: PartFacts): Step[] {
  return procedure.steps.filter((step) => {
    switch (step.when) {
      case "direction-unknown":
        return !facts.directionKnown;
      case "has-indicator":
        return facts.indicator;
      case undefined:
        return true;
    }
  });
}
