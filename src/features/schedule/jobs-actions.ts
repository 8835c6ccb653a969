"use server";

import { randomUUID } from "node:crypto";
import { JOBS } from "@/content/default-tasks";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { tasksOf } from "@/core/scheduling/home-tasks";
import {
  OWN_KEY,
  type PlannedTask,
  type TaskChanges,
  type TaskPlace,
} from "@/core/scheduling/task";
import { todayIn } from "@/lib/clock";
import { doneForm } from "@/lib/done-form";
import { fieldsOf, invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import { pathOfTask } from "@/presentation/task-words";
import { follow, formCommand } from "@/server/commands/form-command";
import { inHome } from "@/server/commands/home-command";
import { record } from "@/server/commands/records";
import * as schedule from "@/server/commands/schedule";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { jobFormOf } from "./job-form-values";
import { jobForm, strategyForm } from "./jobs-form";
import { whatIf, type JobDates } from "./job-dates";

const findTask = (snapshot: HomeSnapshot | null, id: string): PlannedTask | undefined =>
  snapshot ? tasksOf(snapshot, JOBS).find((task) => task.id === id) : undefined;

/** That a job was done, today or earlier. */
export async function noteJobDone(
  homeId: string,
  taskId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const task = findTask(home.snapshot, taskId);
    if (!task) return { to: "/" };
    const { currency } = home.snapshot.home;
    const parsed = doneForm(home.today, currency).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const noted = await record(home, {
      kind: "done",
      ...placeOf(task),
      taskKey: task.key,
      ...parsed.data,
    });
    return { to: `/homes/${homeId}/${pathOfTask(task)}`, noted };
  });
}

const placeOf = ({ unitId, partId }: TaskPlace): TaskPlace => ({
  ...(unitId ? { unitId } : {}),
  ...(partId ? { partId } : {}),
});

/** Only what differs from the default is a change: what is typed the same stays with the content. */
function changesFrom(
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
    ...(isOff ? { isOff } : {}),
  };
}

const usualOf = (snapshot: HomeSnapshot, taskId: string) =>
  findTask({ ...snapshot, tasks: [] }, taskId);

/** How a job comes round here, who does it, how long it takes, or that it is not done at all. */
export async function changeJob(
  homeId: string,
  taskId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const { snapshot } = home;
    const task = findTask(snapshot, taskId);
    if (!task) return { to: "/" };
    const now = jobFormOf({ snapshot, jobStatus: { task } }).values;
    const theirs = overtaken(previous, form, now);
    if (theirs) return theirs;
    const parsed = jobForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    if (task.isOwn && parsed.data.name === "")
      return refused(previous, fields, { name: "Say what is done." });
    await schedule.changeJob(home, task, changesFrom(task, usualOf(snapshot, taskId), parsed.data));
    return { to: `/homes/${homeId}/${pathOfTask(task)}` };
  });
}

/** Gives a job back to its default. */
export async function resetJob(homeId: string, taskId: string): Promise<void> {
  const lead = await inHome(homeId, async (home) => {
    const task = findTask(home.snapshot, taskId);
    if (!task || task.isOwn) return { to: `/homes/${homeId}/jobs` };
    await schedule.changeJob(home, task, {});
    return { to: `/homes/${homeId}/${pathOfTask(task)}` };
  });
  follow(lead);
}

/** A job of somebody’s own, at a part, a unit or the home. */
export async function addJob(
  homeId: string,
  place: TaskPlace,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    if (!isPlace(home.snapshot, place)) return { to: "/" };
    const parsed = jobForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { name, cadence, who, handsOn, waiting } = parsed.data;
    if (name === "") return refused(previous, fields, { name: "Say what is done." });
    if (!cadence) return refused(previous, fields, { by: "Say how it comes round." });
    const key = `${OWN_KEY}${randomUUID()}`;
    await schedule.changeJob(home, { ...place, key }, { name, cadence, who, handsOn, waiting });
    return { to: `/homes/${homeId}/${pathOfTask(place)}` };
  });
}

function isPlace(snapshot: HomeSnapshot, { unitId, partId }: TaskPlace): boolean {
  if (partId)
    return [...snapshot.slots, ...snapshot.parts].some(
      (part) => part.id === partId && part.unitId === unitId,
    );
  return unitId === undefined || snapshot.units.some((unit) => unit.id === unitId);
}

/** What a change of a job would make of its dates; null for what cannot be read yet. */
export async function previewJob(
  homeId: string,
  taskId: string,
  form: FormData,
): Promise<JobDates | null> {
  const snapshot = await homeSnapshot(homeId);
  const task = findTask(snapshot, taskId);
  const parsed = jobForm.safeParse(singles(fieldsOf(form)));
  if (!snapshot || !task || !parsed.success) return null;
  const changes = changesFrom(task, usualOf(snapshot, taskId), parsed.data);
  return whatIf(snapshot, task, changes, todayIn(snapshot.home.timeZone));
}

/** By which strategy a filter is changed here. */
export async function chooseStrategy(
  homeId: string,
  taskId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const task = findTask(home.snapshot, taskId);
    if (!task) return { to: "/" };
    const parsed = strategyForm.safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const before = home.snapshot.tasks.find(
      (each) => each.key === task.key && each.partId === task.partId,
    )?.changes;
    const { school: _, cadence: __, lookEveryDays: ___, ...rest } = before ?? {};
    await schedule.changeJob(home, task, { ...rest, ...parsed.data });
    return { to: `/homes/${homeId}/${pathOfTask(task)}` };
  });
}

/** What another strategy would make of a filter’s dates. */
export async function previewStrategy(
  homeId: string,
  taskId: string,
  form: FormData,
): Promise<JobDates | null> {
  const snapshot = await homeSnapshot(homeId);
  const task = findTask(snapshot, taskId);
  const parsed = strategyForm.safeParse(singles(fieldsOf(form)));
  if (!snapshot || !task || !parsed.success) return null;
  return whatIf(snapshot, task, parsed.data, todayIn(snapshot.home.timeZone));
}
