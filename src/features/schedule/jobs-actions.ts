"use server";

import { randomUUID } from "node:crypto";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { OWN_KEY, type TaskPlace } from "@/core/scheduling/task";
import { doneForm } from "@/lib/done-form";
import { invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import { pathOfTask } from "@/presentation/task-words";
import { follow, formCommand } from "@/server/commands/form-command";
import { inHome } from "@/server/commands/home-command";
import { record } from "@/server/commands/records";
import * as schedule from "@/server/commands/schedule";
import { jobFormOf } from "./job-form-values";
import { madeNew } from "@/core/inventory/unit-plate";
import { isRenewedByIt } from "@/core/scheduling/trigger";
import { changeUnit } from "@/server/commands/units";
import { changesFrom, findTask, usualOf } from "./job-changes";
import { jobForm, strategyForm } from "./jobs-form";

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
    const { madeOn, ...done } = parsed.data;
    const noted = await record(home, {
      kind: "done",
      ...placeOf(task),
      taskKey: task.key,
      ...done,
    });
    const unit = home.snapshot.units.find(({ id }) => id === task.unitId);
    if (unit && isRenewedByIt(task))
      await changeUnit(home, unit, { attributes: madeNew(unit, madeOn).attributes });
    return { to: `/homes/${homeId}/${pathOfTask(task)}`, noted };
  });
}

const placeOf = ({ unitId, partId }: TaskPlace): TaskPlace => ({
  ...(unitId ? { unitId } : {}),
  ...(partId ? { partId } : {}),
});

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
