import "server-only";
import { randomUUID } from "node:crypto";
import type { TaskChanges, TaskPlace } from "@/core/scheduling/task";
import { saveTask } from "@/db/repositories/tasks";
import { createdAt, placeIn, unitIn, type OpenHome } from "./home-command";

/**
 * What differs from the default of a job; no changes give it back to its default.
 *
 * @throws where the job's place is not of this home: a mistake of ours
 */
export async function changeJob(
  home: OpenHome,
  { unitId, partId, key }: TaskPlace & { key: string },
  changes: TaskChanges,
): Promise<void> {
  const isHere =
    (unitId === undefined || unitIn(home, unitId)) &&
    (partId === undefined || placeIn(home, partId));
  if (!isHere) throw new Error(`changeJob: ${partId ?? unitId} is not of home ${home.homeId}`);
  const setting = {
    id: randomUUID(),
    key,
    changes,
    ...(unitId ? { unitId } : {}),
    ...(partId ? { partId } : {}),
  };
  await saveTask(home.tx, home.homeId, setting, createdAt(home));
}
