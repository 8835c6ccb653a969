"use server";

import { randomUUID } from "node:crypto";
import { redirect, RedirectType } from "next/navigation";
import { z } from "zod";
import { NOT_POSSIBLE } from "@/core/runs/run-event";
import type { PlainDate } from "@/core/quantities/plain-date";
import { notPossibleWords } from "@/presentation/run-words";
import type { PlaceAsk } from "@/core/runs/procedure";
import type { Attributes } from "@/core/inventory/attribute";
import { isRoofWork } from "@/core/inventory/reach";
import { isolatorOf } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { listParts, updatePart } from "@/db/repositories/parts";
import { listUnits, updateUnit } from "@/db/repositories/units";
import { appendEvent } from "@/db/repositories/history";
import { insertRun, listOpenRuns } from "@/db/repositories/runs";
import { ensureTask } from "@/db/repositories/tasks";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, isDay, readDay, refused, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { prepareOf } from "../prepare/prepare-queries";
import { recordRunEvents } from "./run-record";
import { readRun } from "@/server/snapshots/read-runs";

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
  const { way, job, unit, part, asks } = ready;
  const qualification = fields["qualification"]?.[0] === "licensed" ? "licensed" : "owner";
  const errors: Record<string, string> = {};
  for (const { id } of ready.checks) if (!fields[`check-${id}`]) errors[`check-${id}`] = NOT_TICKED;
  if (way.value !== wayValue || way.barred)
    errors["form"] = way.barred ?? "That way is not open today.";
  if (
    (way.procedure.who === "licensed" || job.task.who === "licensed") &&
    qualification === "owner"
  )
    errors["qualification"] = isRoofWork(unit)
      ? "Work on a roof is for licensed or building staff, until its unit says the roof is safely reached."
      : "This is licensed work: have it done by somebody who may.";
  const attributes = answersTo(asks, fields, errors);
  if (Object.keys(errors).length > 0) return refused(previous, fields, errors);

  const store = await appStore();
  if (asks.length > 0)
    await store.write((tx) => keepAnswers(tx, homeId, asks, attributes, unit?.id, part?.id));
  // What was just answered may decide the steps, or bar the way.
  const known = await prepareOf(homeId, jobId, wayValue);
  if (!known || known.way.value !== wayValue || known.way.barred)
    return refused(previous, fields, {
      form:
        known?.way.barred ??
        known?.ways.find(({ value }) => value === wayValue)?.barred ??
        "That way is not open today.",
    });
  const { facts } = known;
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
      qualification,
      isolator: unit ? isolatorOf(unit) : ("switch-off" as const),
      startedAt,
      endedAt: null,
    } as const;
    await insertRun(tx, { ...run, facts: [...facts] });
    return run.id;
  });
  // Back leads past what was prepared, to where the job was begun from.
  leadOn(`/runs/${id}`, RedirectType.replace);
}

/** What was answered of the place; a question without its answer is named at its field. */
function answersTo(
  asks: readonly PlaceAsk[],
  fields: Record<string, string[]>,
  errors: Record<string, string>,
): Attributes {
  const attributes: Attributes = {};
  for (const { key, options } of asks) {
    const chosen = options.find(({ value }) => value === fields[`ask-${key}`]?.[0]);
    if (chosen) attributes[key] = chosen.value;
    else errors[`ask-${key}`] = "Choose what is so: it is asked once.";
  }
  return attributes;
}

/** Remembers what was answered where it belongs: at the part, or at its unit. */
async function keepAnswers(
  tx: Tx,
  homeId: string,
  asks: readonly PlaceAsk[],
  attributes: Attributes,
  unitId: string | undefined,
  partId: string | undefined,
): Promise<void> {
  const of = (where: PlaceAsk["of"]): Attributes =>
    Object.fromEntries(
      asks.flatMap((ask) => (ask.of === where ? [[ask.key, attributes[ask.key]!] as const] : [])),
    );
  const part = (await listParts(tx, homeId)).find(({ id }) => id === partId);
  if (part) await updatePart(tx, { ...part, attributes: { ...part.attributes, ...of("part") } });
  const unit = (await listUnits(tx, homeId)).find(({ id }) => id === unitId);
  if (unit) await updateUnit(tx, { ...unit, attributes: { ...unit.attributes, ...of("unit") } });
}

const deferralForm = (today: PlainDate) =>
  z
    .object({
      reason: z.enum(NOT_POSSIBLE, { error: "Choose what comes nearest." }),
      words: z.string().max(300, "Shorter, please: up to 300 letters.").default(""),
      until: z.string().transform((text, context): PlainDate => {
        const day = readDay(text);
        if (isDay(day) && day >= today) return day;
        context.addIssue({ code: "custom", message: "Give today or a later day." });
        return z.NEVER;
      }),
    })
    .transform(({ words, ...rest }) => ({
      ...rest,
      words: words || notPossibleWords(rest.reason),
    }));

/**
 * That a job is not possible now. Where it was begun and something is open, it is not simply put
 * off: its run is aborted, and leads to what has to be closed.
 */
export async function deferJob(
  homeId: string,
  jobId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const ready = await prepareOf(homeId, jobId, undefined);
  if (!ready) redirect(`/homes/${homeId}`);
  const parsed = deferralForm(ready.today).safeParse(singles(fields));
  if (!parsed.success) return invalid(previous, fields, parsed.error);
  const { reason, words, until } = parsed.data;
  const { task } = ready.job;
  const store = await appStore();
  const at = now();
  if (ready.going) {
    const runId = ready.going;
    const found = await readRun(store.db, runId);
    const step = found?.state.current?.id ?? "finish";
    const isOpen = (found?.state.ends.open.length ?? 0) > 0;
    const event = { id: randomUUID(), at: at.toISOString() };
    await recordRunEvents(
      store,
      runId,
      [
        isOpen
          ? { ...event, kind: "turned-back", step, reason, words, until }
          : { ...event, kind: "stopped" },
      ],
      at,
    );
    if (isOpen) redirect(`/runs/${runId}`);
  }
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id: randomUUID(),
      kind: "put-off",
      ...(task.unitId ? { unitId: task.unitId } : {}),
      ...(task.partId ? { partId: task.partId } : {}),
      taskKey: task.key,
      date: ready.today,
      recordedAt: at.toISOString(),
      words,
      until,
    }),
  );
  leadOn(`/homes/${homeId}`);
}
