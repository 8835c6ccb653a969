import "server-only";
import { todayIn } from "@/lib/clock";
import { fieldsOf, singles, type Typed } from "@/lib/forms";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { changesFrom, findTask, usualOf } from "./job-changes";
import { whatIf } from "./job-dates";
import type { JobDates } from "./job-dates-schema";
import { jobForm, strategyForm } from "./jobs-form";

/** What a change of a job would make of its dates; null for what cannot be read yet. */
export async function previewJob(
  homeId: string,
  taskId: string,
  form: Typed,
): Promise<JobDates | null> {
  const snapshot = await homeSnapshot(homeId);
  const task = findTask(snapshot, taskId);
  const parsed = jobForm.safeParse(singles(fieldsOf(form)));
  if (!snapshot || !task || !parsed.success) return null;
  const changes = changesFrom(task, usualOf(snapshot, taskId), parsed.data);
  return whatIf(snapshot, task, changes, todayIn(snapshot.home.timeZone));
}

/** What another strategy would make of a filter’s dates. */
export async function previewStrategy(
  homeId: string,
  taskId: string,
  form: Typed,
): Promise<JobDates | null> {
  const snapshot = await homeSnapshot(homeId);
  const task = findTask(snapshot, taskId);
  const parsed = strategyForm.safeParse(singles(fieldsOf(form)));
  if (!snapshot || !task || !parsed.success) return null;
  return whatIf(snapshot, task, parsed.data, todayIn(snapshot.home.timeZone));
}

/** The answer to a form that asks what it would do. */
export const getJobPreview = async (
  preview: typeof previewJob,
  request: Request,
  { homeId, taskId }: { homeId: string; taskId: string },
): Promise<Response> =>
  Response.json(
    await preview(homeId, decodeURIComponent(taskId), new URL(request.url).searchParams),
  );
