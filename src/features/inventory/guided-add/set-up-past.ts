import { JOBS } from "@/content/default-tasks";
import { unitKind } from "@/content/unit-kinds";
import { isOwedAnew } from "@/core/scheduling/first-time";

/** Whether any job of such a machine is owed where nobody knows when it was done: then that is asked last. */
export function asksForPast(kindId: string): boolean {
  const jobs = [
    ...JOBS.unit(kindId),
    ...unitKind(kindId).parts.flatMap(({ kind, usual }) => (usual ? JOBS.part(kind, kindId) : [])),
  ];
  return jobs.some(
    ({ trigger, safety, whereWanted }) => !whereWanted && isOwedAnew(trigger, safety === true),
  );
}
