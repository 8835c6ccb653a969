import "server-only";
import { procedureIn } from "@/content/procedures/library";
import { slotTitle } from "@/presentation/slot-words";
import { inSentence } from "@/core/quantities/words";
import type { Procedure } from "@/core/runs/procedure";
import { homeSnapshot, tasksNow } from "@/server/snapshots/snapshot-cache";

export type JobPlace = { jobId: string; words: string };

/** A procedure of the library, with the jobs of a home it leads through. */
export async function jobOf(
  homeId: string,
  procedureId: string,
): Promise<{ job: Procedure; places: JobPlace[]; isOwn: boolean } | null> {
  const snapshot = await homeSnapshot(homeId);
  const job = snapshot && procedureIn(snapshot, procedureId);
  if (!snapshot || !job) return null;
  const places = tasksNow(snapshot)
    .filter((task) => !task.isOff && task.procedureIds.includes(procedureId))
    .map((task) => {
      const unit = snapshot.units.find(({ id }) => id === task.unitId);
      const slot = snapshot.slots.find(({ id }) => id === task.partId);
      const what = slot ? slotTitle(slot) : inSentence(task.name);
      return { jobId: task.id, words: unit ? `${unit.name}: ${what}` : task.name };
    });
  const isOwn = snapshot.ownProcedures.some(({ id }) => id === procedureId);
  return { job, places, isOwn };
}
