"use server";

import { procedure, procedureIn } from "@/content/procedures/library";
import { invalid, overtaken, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import * as own from "@/server/commands/own-procedures";
import { tasksNow } from "@/server/snapshots/snapshot-cache";
import { fieldsOfOwn, ownForm } from "./own-form";

/** Keeps a procedure of one’s own, new or changed; what the check refuses is named at its step. */
export async function saveOwnProcedure(
  homeId: string,
  id: string,
  copyOf: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { snapshot } = home;
    const kept = snapshot.ownProcedures.find((each) => each.id === id);
    const theirs =
      kept && overtaken(previous, form, fieldsOfOwn(kept.procedure, kept.jobs[0] ?? ""));
    if (theirs) return theirs;
    const source = copyOf === null ? null : procedureIn(snapshot, copyOf);
    const before = kept?.procedure ?? source;
    const copied = snapshot.ownProcedures.find((each) => each.id === copyOf);
    const basedOn =
      kept?.basedOn ?? copied?.basedOn ?? (copyOf !== null && procedure(copyOf) ? copyOf : null);
    const parsed = ownForm({ id, before, basedOn }).safeParse(typed);
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { job, procedure: written } = parsed.data;
    const jobs = new Set(tasksNow(snapshot).map((task) => task.id));
    const wanted = job === "" || !jobs.has(job) ? [] : [job];
    await own.saveOwnProcedure(
      home,
      { id, procedure: written, jobs: wanted, ...(basedOn === null ? {} : { basedOn }) },
      jobs,
    );
    return { to: `/homes/${homeId}/procedures/${id}` };
  });
}
