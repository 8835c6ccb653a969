import "server-only";
import type { z } from "zod";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { PlannedTask, TaskChanges } from "@/core/scheduling/task";
import { todayIn } from "@/lib/clock";
import { fieldsOf, singles, type Typed } from "@/lib/forms";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { changesFrom, findTask, usualOf } from "./job-changes";
import { whatIf } from "./job-dates";
import type { JobDates } from "./job-dates-schema";
import { jobForm, strategyForm } from "./jobs-form";

/** What a form about a job would make of its dates; null for what cannot be read yet. */
async function preview<T>(
  homeId: string,
  taskId: string,
  form: Typed,
  schema: z.ZodType<T>,
  changesOf: (typed: T, task: PlannedTask, snapshot: HomeSnapshot) => TaskChanges,
): Promise<JobDates | null> {
  const snapshot = await homeSnapshot(homeId);
  const task = findTask(snapshot, taskId);
  const parsed = schema.safeParse(singles(fieldsOf(form)));
  if (!snapshot || !task || !parsed.success) return null;
  const changes = changesOf(parsed.data, task, snapshot);
  return whatIf(snapshot, task, changes, todayIn(snapshot.home.timeZone));
}

/** What a change of a job would make of its dates. */
export const previewJob = (homeId: string, taskId: string, form: Typed) =>
  preview(homeId, taskId, form, jobForm, (typed, task, snapshot) =>
    changesFrom(task, usualOf(snapshot, taskId), typed),
  );

/** What another strategy would make of a filter’s dates. */
export const previewStrategy = (homeId: string, taskId: string, form: Typed) =>
  preview(homeId, taskId, form, strategyForm, (typed) => typed);

/** The answer to a form that asks what it would do. */
export const getJobPreview = async (
  asked: typeof previewJob,
  request: Request,
  { homeId, taskId }: { homeId: string; taskId: string },
): Promise<Response> =>
  Response.json(await asked(homeId, decodeURIComponent(taskId), new URL(request.url).searchParams));
