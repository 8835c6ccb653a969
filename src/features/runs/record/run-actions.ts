"use server";

import { randomUUID } from "node:crypto";
import type { Attributes } from "@/core/inventory/attribute";
import { isRoofWork } from "@/core/inventory/reach";
import type { PlaceAsk } from "@/core/runs/procedure";
import type { RunEvent } from "@/core/runs/run-event";
import { invalid, refused, singles, type FormState } from "@/lib/forms";
import { formCommand, keeping } from "@/server/commands/form-command";
import { reread, type OpenHome } from "@/server/commands/home-command";
import { record } from "@/server/commands/records";
import { recordInRun } from "@/server/commands/run-record";
import { beginRun, keepAttributes } from "@/server/commands/runs";
import { runsBefore } from "@/server/snapshots/read-runs";
import { deferralForm } from "../prepare/deferral-form";
import { prepareIn } from "../prepare/prepare-queries";

const NOT_OPEN = "That way is not open today.";
const NOT_TICKED = "Tick it once it is so, or say below what is in the way.";

/** A job's preparation as it is inside the write. */
const preparedIn = (home: OpenHome, jobId: string, way: string | undefined) => {
  const { snapshot, going, today, tx, homeId } = home;
  return prepareIn({ snapshot, going, today, before: runsBefore(tx, homeId) }, jobId, way);
};

/** Begins a job in the way that was chosen, or goes on with the one already begun there. */
export async function startRun(
  homeId: string,
  jobId: string,
  wayValue: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const ready = await preparedIn(home, jobId, wayValue);
    if (!ready) return { to: `/homes/${homeId}` };
    const { way, job, unit, part, slot, asks } = ready;
    const qualification = fields["qualification"]?.[0] === "licensed" ? "licensed" : "owner";
    const errors: Record<string, string> = {};
    for (const { id } of ready.checks)
      if (!fields[`check-${id}`]) errors[`check-${id}`] = NOT_TICKED;
    if (way.value !== wayValue || way.barred) errors["form"] = way.barred ?? NOT_OPEN;
    if (
      (way.procedure.who === "licensed" || job.task.who === "licensed") &&
      qualification === "owner"
    )
      errors["qualification"] = isRoofWork(unit)
        ? "Work on a roof is for licensed or building staff, until its unit says the roof is safely reached."
        : "This is licensed work: have it done by somebody who may.";
    const attributes = answersTo(asks, fields, errors);
    if (Object.keys(errors).length > 0) return refused(previous, fields, errors);
    if (asks.length > 0) {
      const of = (where: PlaceAsk["of"]) => attributesOf(asks, attributes, where);
      const other = slot ? undefined : home.snapshot.parts.find(({ id }) => id === part?.id);
      await keepAttributes(home, unit, other, { unit: of("unit"), part: of("part") });
    }
    // What was just answered may decide the steps, or bar the way.
    const known = asks.length > 0 ? await preparedIn(await reread(home), jobId, wayValue) : ready;
    const barred = known?.ways.find(({ value }) => value === wayValue)?.barred;
    if (!known || known.way.value !== wayValue || barred)
      return keeping(refused(previous, fields, { form: barred ?? NOT_OPEN }));
    const runId = await beginRun(home, {
      taskKey: job.task.key,
      unit,
      part,
      procedure: way.procedure,
      variant: way.variant,
      facts: known.facts,
      qualification,
    });
    // Back leads past what was prepared, to where the job was begun from.
    return { to: `/runs/${runId}`, replaces: true };
  });
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

/** What was answered of a unit, or of a part. */
const attributesOf = (
  asks: readonly PlaceAsk[],
  attributes: Attributes,
  where: PlaceAsk["of"],
): Attributes =>
  Object.fromEntries(
    asks.flatMap((ask) => (ask.of === where ? [[ask.key, attributes[ask.key]!] as const] : [])),
  );

/**
 * That a job is not possible now. Where it was begun and something is open, it is not simply
 * deferred: its run is aborted, and leads to what has to be closed.
 */
export async function deferJob(
  homeId: string,
  jobId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const ready = await preparedIn(home, jobId, undefined);
    if (!ready) return { to: `/homes/${homeId}` };
    const parsed = deferralForm(home.today).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { reason, words, until } = parsed.data;
    const { task } = ready.job;
    const begun = home.going.find(({ run }) => run.id === ready.going);
    if (begun) {
      const step = begun.state.current?.id ?? "finish";
      const isOpen = begun.state.ends.open.length > 0;
      const event = { id: randomUUID(), at: home.now.toISOString() };
      const ended: RunEvent = isOpen
        ? { ...event, kind: "turned-back", step, reason, words, until }
        : { ...event, kind: "stopped" };
      await recordInRun(home.tx, begun.run.id, [ended], home.now);
      if (isOpen) return { to: `/runs/${begun.run.id}` };
    }
    await record(home, {
      kind: "put-off",
      ...(task.unitId ? { unitId: task.unitId } : {}),
      ...(task.partId ? { partId: task.partId } : {}),
      taskKey: task.key,
      date: home.today,
      words,
      until,
    });
    return { to: `/homes/${homeId}` };
  });
}
