import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { inSentence } from "@/core/quantities/words";
import { bringList, type BringFor, type Wanted } from "@/core/runs/bring-list";
import type { JobStatus } from "@/core/scheduling/schedule";
import { withSize } from "@/presentation/bring-words";
import { slotTitle } from "@/presentation/slot-words";
import { jobTitle } from "@/presentation/task-words";
import { leadOf } from "@/server/snapshots/job-facts";

/** What to have in hand for some jobs: spares by their sizes, and own tools with where they hang. */
export function bringFor(
  snapshot: HomeSnapshot,
  jobs: readonly JobStatus[],
): { tools: Wanted[]; consumables: Wanted[]; ownTools: string[] } {
  const { slots, parts } = snapshot;
  const wanted = jobs.flatMap((job): BringFor[] => {
    const lead = leadOf(snapshot, job.task);
    const slot = slots.find(({ id }) => id === job.task.partId);
    if (!lead) return [];
    const procedure = withSize(lead.procedure, slot && slotTitle(slot));
    return [{ words: jobTitle(job), procedure, setting: lead.setting }];
  });
  const places = new Set(jobs.map(({ task }) => task.partId));
  return {
    ...bringList(wanted),
    ownTools: [...slots, ...parts].flatMap(({ id, name, identity }) => {
      if (!places.has(id) || !identity?.tool) return [];
      const hangs = identity.toolHangs ? `: hangs ${identity.toolHangs}` : "";
      return [`${identity.tool}, for the ${inSentence(name)}${hangs}`];
    }),
  };
}
