"use server";

import { refused, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import { record } from "@/server/commands/records";
import { readWhenLast } from "./when-last-form";
import { askedOf, unknownJobs } from "./when-last-queries";

/** Writes down when the jobs of a home, or of one machine, were last done, as far as anybody knows. */
export async function saveWhenLast(
  homeId: string,
  unitId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    if (unitId !== null && !home.snapshot.units.some(({ id }) => id === unitId)) return { to: "/" };
    const jobs = unknownJobs(home.snapshot, home.today, unitId ?? undefined);
    const { values, problems } = readWhenLast(typed, jobs.map(askedOf), home.today);
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    for (const { id, last } of values) {
      const task = jobs.find((job) => job.task.id === id)?.task;
      if (!task) continue;
      const place = {
        ...(task.unitId ? { unitId: task.unitId } : {}),
        ...(task.partId ? { partId: task.partId } : {}),
      };
      if (last === "never")
        await record(home, {
          ...place,
          kind: "note",
          date: home.today,
          words: `${task.name}: never done, as far as anybody knows.`,
        });
      else await record(home, { ...place, kind: "done", taskKey: task.key, date: last });
    }
    const to = unitId ? `/homes/${homeId}/units/${unitId}/set-up/done` : `/homes/${homeId}`;
    return { to };
  });
}
