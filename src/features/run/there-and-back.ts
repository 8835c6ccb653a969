import type { Step, StepEnd } from "@/core/procedures/procedure";
import type { RunState } from "@/core/procedures/run";

/** One rung of the V: what is shut, opened or taken out, and the step that puts it back. */
export type Rung = StepEnd & {
  opened: boolean;
  closed: boolean;
  /** Left open, with words. */
  left: boolean;
};

export type ThereAndBack = {
  rungs: Rung[];
  /** Whether the step now is on the way down, at the foot, or on the way up. */
  leg: "down" | "foot" | "up" | "over";
};

/** How far a run has gone down the one side of its V and up the other. */
export function thereAndBack(steps: readonly Step[], state: RunState): ThereAndBack {
  const settled = new Map(state.settled.map((each) => [each.step.id, each]));
  const rungs = steps.flatMap((step) =>
    (step.opens ?? []).map((end): Rung => {
      const back = steps.find((each) => each.closes === end.key);
      const closing = back && settled.get(back.id);
      return {
        ...end,
        opened: settled.has(step.id),
        closed: closing !== undefined && closing.leftOpen === undefined,
        left: closing?.leftOpen !== undefined,
      };
    }),
  );
  if (!state.current) return { rungs, leg: "over" };
  if (rungs.some((rung) => !rung.opened)) return { rungs, leg: "down" };
  return { rungs, leg: rungs.some((rung) => rung.closed || rung.left) ? "up" : "foot" };
}
