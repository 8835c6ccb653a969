import { tasksNow } from "@/server/snapshots/snapshot-cache";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { PlannedTask, TaskChanges } from "@/core/scheduling/task";
import type { jobForm } from "./jobs-form";

/** A job of a home by its id. */
export const findTask = (snapshot: HomeSnapshot | null, id: string): PlannedTask | undefined =>
  snapshot ? tasksNow(snapshot).find((task) => task.id === id) : undefined;

/** Only what differs from the default is a change: what is typed the same stays with the content. */
export function changesFrom(
  task: PlannedTask,
  usual: PlannedTask | undefined,
  typed: ReturnType<typeof jobForm.parse>,
): TaskChanges {
  const { name, cadence, who, handsOn, waiting, isOff } = typed;
  const kept = usual ?? { ...task, name: "", who: null, handsOn: -1, waiting: -1 };
  return {
    ...(name !== "" && name !== kept.name ? { name } : {}),
    ...(cadence && JSON.stringify(cadence) !== JSON.stringify(usual?.trigger) ? { cadence } : {}),
    ...(who !== kept.who ? { who } : {}),
    ...(handsOn !== kept.handsOn ? { handsOn } : {}),
    ...(waiting !== kept.waiting ? { waiting } : {}),
    ...(isOff !== (usual?.isOff ?? false) ? { isOff } : {}),
  };
}

/** The same job as its default says. */
export const usualOf = (snapshot: HomeSnapshot, taskId: string) =>
  findTask({ ...snapshot, tasks: [] }, taskId);
