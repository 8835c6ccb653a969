"use server";

import { randomUUID } from "node:crypto";
import { redirect, RedirectType } from "next/navigation";
import { z } from "zod";
import { NOT_POSSIBLE } from "@/core/procedures/run-event";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { isolatorOf } from "@/core/register/register";
import { appStore } from "@/db/app-store";
import { appendEvent } from "@/db/repositories/history";
import { insertRun, listOpenRuns } from "@/db/repositories/runs";
import { ensureTask } from "@/db/repositories/tasks";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, refused, singles, type FormState } from "@/lib/forms";
import { prepareOf } from "./prepare-queries";

const NOT_TICKED = "Tick it once it is so, or say below what is in the way.";

/** Begins a job in the way that was chosen, or goes on with the one already begun there. */
export async function startRun(
  homeId: string,
  jobId: string,
  wayValue: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const ready = await prepareOf(homeId, jobId, wayValue);
  if (!ready) redirect(`/homes/${homeId}`);
  const { way, job, unit, part, facts } = ready;
  const doer = fields["doer"]?.[0] === "licensed" ? "licensed" : "owner";
  const errors: Record<string, string> = {};
  for (const { id } of ready.checks) if (!fields[`check-${id}`]) errors[`check-${id}`] = NOT_TICKED;
  if (way.value !== wayValue || way.barred)
    errors["form"] = way.barred ?? "That way is not open today.";
  if (way.procedure.who === "licensed" && doer === "owner")
    errors["doer"] = "This is licensed work: have it done by somebody who may.";
  if (Object.keys(errors).length > 0) return refused(previous, fields, errors);

  const store = await appStore();
  const id = await store.write(async (tx) => {
    const place = { unitId: unit?.id ?? null, partId: part?.id ?? null };
    const going = (await listOpenRuns(tx, homeId)).find(
      (run) =>
        run.unitId === place.unitId && run.partId === place.partId && run.taskKey === job.task.key,
    );
    if (going) return going.id;
    const startedAt = now().toISOString();
    const setting = {
      id: randomUUID(),
      key: job.task.key,
      changes: {},
      ...(unit ? { unitId: unit.id } : {}),
      ...(part ? { partId: part.id } : {}),
    };
    const run = {
      id: randomUUID(),
      homeId,
      ...place,
      taskId: await ensureTask(tx, homeId, setting, startedAt),
      procedureId: way.procedure.id,
      procedure: way.procedure,
      facts,
      variant: way.variant,
      doer,
      isolator: unit ? isolatorOf(unit) : ("switch-off" as const),
      startedAt,
      endedAt: null,
    } as const;
    await insertRun(tx, { ...run, facts: [...facts] });
    return run.id;
  });
  // Back leads past what was prepared, to where the job was begun from.
  redirect(`/runs/${id}`, RedirectType.replace);
}

const putOffForm = (today: PlainDate) =>
  z.object({
    reason: z.enum(NOT_POSSIBLE, { error: "Choose what comes nearest." }),
    words: z
      .string()
      .min(3, "Say in a few words what is in the way.")
      .max(300, "Shorter, please: up to 300 letters."),
    until: z.string().transform((text, context): PlainDate => {
      const day = readPlainDate(text);
      if (day && day >= today) return day;
      context.addIssue({ code: "custom", message: "Give today or a later day." });
      return z.NEVER;
    }),
  });

/** That a job is not possible now, before anything of it was begun. */
export async function putOff(
  homeId: string,
  jobId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const ready = await prepareOf(homeId, jobId, undefined);
  if (!ready) redirect(`/homes/${homeId}`);
  const parsed = putOffForm(ready.today).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { words, until } = parsed.data;
  const { task } = ready.job;
  const store = await appStore();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id: randomUUID(),
      kind: "put-off",
      ...(task.unitId ? { unitId: task.unitId } : {}),
      ...(task.partId ? { partId: task.partId } : {}),
      taskKey: task.key,
      date: ready.today,
      recordedAt: now().toISOString(),
      words,
      until,
    }),
  );
  redirect(`/homes/${homeId}`);
}
