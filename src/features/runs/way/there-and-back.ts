import type { StepEnd } from "@/core/runs/procedure";
import type { RunState } from "@/core/runs/run-state";

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
export function thereAndBack(state: RunState): ThereAndBack {
  const { steps } = state;
  const completed = new Map(state.completed.map((each) => [each.step.id, each]));
  const kept = new Set(state.stillOpen.map(({ end }) => end.key));
  const rungs = steps.flatMap((step) =>
    (step.opens ?? []).map((end): Rung => {
      const back = steps.find((each) => each.closes === end.key);
      const closing = back && completed.get(back.id);
      return {
        ...end,
        opened: completed.has(step.id) || kept.has(end.key),
        closed: closing !== undefined && closing.leftOpen === undefined,
        left: closing?.leftOpen !== undefined,
      };
    }),
  );
  // A run that is led back shows only ends that were opened: the others need no closing.
  const way = state.aborted ? rungs.filter((rung) => rung.opened) : rungs;
  if (!state.current) return { rungs: way, leg: "over" };
  const isUp = state.aborted !== null || way.some((rung) => rung.closed || rung.left);
  if (isUp && way.every((rung) => rung.opened || rung.closed)) return { rungs: way, leg: "up" };
  if (way.some((rung) => !rung.opened)) return { rungs: way, leg: "down" };
  return { rungs: way, leg: "foot" };
}

const endAtHand = (state: RunState): StepEnd | undefined =>
  [
    ...state.steps.flatMap((step) => step.opens ?? []),
    ...state.stillOpen.map(({ end }) => end),
  ].find(({ key }) => key === state.current?.closes);

/** The end that the step closes, in words: “cover stays off”. */
export function staysWords(state: RunState): string {
  const end = endAtHand(state);
  return end ? `${end.thing} stays ${end.state}` : "it stays as it is";
}

/** The same on a button that has room for little: “It stays off”. */
export const staysPress = (state: RunState): string =>
  `It stays ${endAtHand(state)?.state ?? "as it is"}`;

/** What was on again when somebody went back over it: “power”, “first valve”. */
export const onAgain = (state: RunState): string[] =>
  state.backOn.flatMap((key) => {
    if (state.current?.closes === key) return [];
    const end = [...state.steps.flatMap((step) => step.opens ?? [])].find(
      (each) => each.key === key,
    );
    return end ? [end.thing] : [];
  });
