import type { EndEntry, LooseEnds, OpenEnd } from "../procedures/loose-ends";
import { inStep, looseEnds } from "../procedures/loose-ends";
import type { RunState } from "../procedures/run";

/** An end left open somewhere in a home, and where to go to put it right. */
export type HomeEnd = OpenEnd & {
  /** The run it belongs to, while that is going on. */
  runId?: string;
  /** Why it stays open, where somebody said so. */
  words?: string;
  blockedBy: string[];
  /** A drying part that has to wait still. */
  isDrying: boolean;
};

export type HomeEnds = { open: HomeEnd[]; order: string[] };

type Recorded = EndEntry & { words?: string };
type Going = { runId: string; state: RunState };

/** What is open in a home: of the runs going on, and what outlived its run. */
export function endsOfHome(
  now: string,
  recorded: readonly Recorded[],
  going: readonly Going[],
): HomeEnds {
  // Each list is in the order it was recorded, whatever the clocks of its devices said.
  const log = [...inStep(recorded), ...going.flatMap((run) => run.state.log)];
  const ends: LooseEnds = looseEnds({ now, log });
  const open = ends.open.map((end): HomeEnd => {
    const run = going.find((each) => each.state.log.some((entry) => entry.id === end.id));
    const words = recorded.findLast((entry) => entry.id === end.id && entry.words)?.words;
    return {
      ...end,
      ...(run ? { runId: run.runId } : {}),
      ...(words ? { words } : {}),
      blockedBy: ends.blocked.filter((block) => block.id === end.id).flatMap((block) => block.by),
      isDrying: ends.blocked.some((block) => block.id === end.id && block.why === "still-drying"),
    };
  });
  return { open, order: ends.order };
}
