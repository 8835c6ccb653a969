"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { pathOfTask } from "@/presentation/task-words";
import type { HomeBook } from "@/core/inventory/inventory";
import {
  OWN_KEY,
  type PlannedTask,
  type TaskChanges,
  type TaskPlace,
} from "@/core/scheduling/task";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { appendEvent } from "@/db/repositories/history";
import { saveTask } from "@/db/repositories/tasks";
import { now, todayIn } from "@/lib/clock";
import { doneForm } from "@/lib/done-form";
import { fieldsOf, invalid, overtaken, refused, singles, type FormState } from "@/lib/forms";
import { leadOn, leadOnNoted } from "@/lib/lead-on";
import { jobFormOf } from "./job-form-values";
import { jobForm, schoolForm } from "./jobs-form";
import { whatIf, type JobDates } from "./job-dates";

const findTask = (book: HomeBook | null, id: string): PlannedTask | undefined =>
  book ? tasksOf(book).find((task) => task.id === id) : undefined;

/** A job and the home it belongs to; leads away where there is none. */
async function jobAt(
  homeId: string,
  taskId: string,
): Promise<{ book: HomeBook; task: PlannedTask }> {
  const book = await homeBook(homeId);
  const task = findTask(book, taskId);
  if (!book || !task) redirect("/");
  return { book, task };
}

/** That a job was done, today or earlier. */
export async function noteJobDone(
  homeId: string,
  taskId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const { book, task } = await jobAt(homeId, taskId);
  const today = todayIn(book.home.timeZone);
  const parsed = doneForm(today, book.home.currency).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const store = await appStore();
  const id = randomUUID();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id,
      kind: "done",
      ...placeOf(task),
      taskKey: task.key,
      recordedAt: now().toISOString(),
      ...parsed.data,
    }),
  );
  leadOnNoted(`/homes/${homeId}/${pathOfTask(task)}`, id);
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
    ...(cadence && JSON.stringify(cadence) !== JSON.stringify(usual?.cadence) ? { cadence } : {}),
    ...(who !== kept.who ? { who } : {}),
    ...(handsOn !== kept.handsOn ? { handsOn } : {}),
    ...(waiting !== kept.waiting ? { waiting } : {}),
    ...(isOff ? { isOff } : {}),
  };
}

const usualOf = (book: HomeBook, taskId: string) => findTask({ ...book, tasks: [] }, taskId);

/** How a job comes round here, who does it, how long it takes, or that it is not done at all. */
export async function changeJob(
  homeId: string,
  taskId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const { book, task } = await jobAt(homeId, taskId);
  const theirs = overtaken(previous, form, jobFormOf({ book, standing: { task } }).values);
  if (theirs) return theirs;
  const parsed = jobForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  if (task.isOwn && parsed.data.name === "")
    return refused(previous, fields, { name: "Say what is done." });
  await save(homeId, task, changesFrom(task, usualOf(book, taskId), parsed.data));
  leadOn(`/homes/${homeId}/${pathOfTask(task)}`);
}

async function save(
  homeId: string,
  place: TaskPlace & { key: string },
  changes: TaskChanges,
): Promise<void> {
  const store = await appStore();
  const setting = { id: randomUUID(), key: place.key, changes, ...placeOf(place) };
  await store.write((tx) => saveTask(tx, homeId, setting, now().toISOString()));
}

/** Gives a job back to its default. */
export async function resetJob(homeId: string, taskId: string): Promise<void> {
  const book = await homeBook(homeId);
  const task = findTask(book, taskId);
  if (!task || task.isOwn) redirect(`/homes/${homeId}/jobs`);
  await save(homeId, task, {});
  leadOn(`/homes/${homeId}/${pathOfTask(task)}`);
}

/** A job of somebody’s own, at a part, a unit or the home. */
export async function addJob(
  homeId: string,
  place: TaskPlace,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book || !isPlace(book, place)) redirect("/");
  const parsed = jobForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { name, cadence, who, handsOn, waiting } = parsed.data;
  if (name === "") return refused(previous, fields, { name: "Say what is done." });
  if (!cadence) return refused(previous, fields, { by: "Say how it comes round." });
  const key = `${OWN_KEY}${randomUUID()}`;
  await save(homeId, { ...place, key }, { name, cadence, who, handsOn, waiting });
  leadOn(`/homes/${homeId}/${pathOfTask(place)}`);
}

function isPlace(book: HomeBook, { unitId, partId }: TaskPlace): boolean {
  if (partId)
    return [...book.slots, ...book.parts].some(
      (part) => part.id === partId && part.unitId === unitId,
    );
  return unitId === undefined || book.units.some((unit) => unit.id === unitId);
}

/** What a change of a job would make of its dates; null for what cannot be read yet. */
export async function previewJob(
  homeId: string,
  taskId: string,
  form: FormData,
): Promise<JobDates | null> {
  const book = await homeBook(homeId);
  const task = findTask(book, taskId);
  const parsed = jobForm.safeParse(singles(fieldsOf(form)));
  if (!book || !task || !parsed.success) return null;
  const changes = changesFrom(task, usualOf(book, taskId), parsed.data);
  return whatIf(book, task, changes, todayIn(book.home.timeZone));
}

/** By which school a filter is changed here. */
export async function chooseSchool(
  homeId: string,
  taskId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const { book, task } = await jobAt(homeId, taskId);
  const parsed = schoolForm.safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const before = book.tasks.find(
    (each) => each.key === task.key && each.partId === task.partId,
  )?.changes;
  const { school: _, cadence: __, lookEveryDays: ___, ...rest } = before ?? {};
  await save(homeId, task, { ...rest, ...parsed.data });
  leadOn(`/homes/${homeId}/${pathOfTask(task)}`);
}

/** What another school would make of a filter’s dates. */
export async function previewSchool(
  homeId: string,
  taskId: string,
  form: FormData,
): Promise<JobDates | null> {
  const book = await homeBook(homeId);
  const task = findTask(book, taskId);
  const parsed = schoolForm.safeParse(singles(fieldsOf(form)));
  if (!book || !task || !parsed.success) return null;
  return whatIf(book, task, parsed.data, todayIn(book.home.timeZone));
}
