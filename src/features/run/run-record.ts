import { randomUUID } from "node:crypto";
import { dayIn, type PlainDate } from "@/core/quantities/plain-date";
import { replayRun, type RunEvent, type RunRefusal, type RunState } from "@/core/procedures/run";
import { fittingOf } from "@/core/register/fitting";
import { effectiveHistory } from "@/core/register/effective-history";
import type { FilterSlot } from "@/core/register/register";
import type { Store, Tx } from "@/db/client";
import { appendEvent, listEventsOfPart } from "@/db/repositories/history";
import { findHome } from "@/db/repositories/homes";
import { insertItem, listSlots } from "@/db/repositories/parts";
import { appendEndEntry, appendRunEvents, markRunEnded, type Run } from "@/db/repositories/runs";
import { placeOf, readRun, stepsOf } from "./run-replay";

/** A device's clock may be this far off before what it says is not believed, ms. */
const MOST_CLOCK_ERROR_MS = 86_400_000;

export type Recorded =
  | {
      kind: "recorded";
      events: RunEvent[];
      state: RunState;
      refused: { id: string; why: RunRefusal }[];
    }
  | { kind: "unknown-run" }
  | { kind: "clock-off" };

/**
 * Adds what a device did to a run. What is there already is passed over, what the rules forbid is
 * named and left out; the rest is kept, and a finish writes what the run amounts to.
 */
export async function recordRunEvents(
  store: Store,
  runId: string,
  sent: readonly RunEvent[],
  now: Date,
): Promise<Recorded> {
  if (sent.some((event) => Date.parse(event.at) > now.getTime() + MOST_CLOCK_ERROR_MS))
    return { kind: "clock-off" };
  return store.write(async (tx): Promise<Recorded> => {
    const found = await readRun(tx, runId);
    if (!found) return { kind: "unknown-run" };
    const { run, events, state: before } = found;
    const fresh = sent.filter((event) => !events.some((known) => known.id === event.id));
    const state = replayRun(stepsOf(run), [...events, ...fresh], placeOf(run));
    const refusals = state.refused.slice(before.refused.length);
    const accepted = fresh.filter(
      (event) => !refusals.some((refusal) => refusal.event.id === event.id),
    );
    await appendRunEvents(tx, runId, accepted);
    if (before.status === "going" && state.status !== "going") await conclude(tx, run, state, now);
    return {
      kind: "recorded",
      events: [...events, ...accepted],
      state,
      refused: refusals.map(({ event, why }) => ({ id: event.id, why })),
    };
  });
}

/** What a run amounts to once it is over: the look, the fitting, and what stays open with words. */
async function conclude(tx: Tx, run: Run, state: RunState, now: Date): Promise<void> {
  await markRunEnded(tx, run.id, now.toISOString());
  if (state.status !== "finished") return;
  const home = await findHome(tx, run.homeId);
  const slot = (await listSlots(tx, run.homeId)).find((each) => each.id === run.partId);
  if (!home || !slot) return;
  const dayOf = (at: string) => dayIn(home.timeZone, Date.parse(at));
  await recordWork(tx, run, slot, state, dayOf, now.toISOString());
  for (const end of state.ends.open) {
    const left = state.settled.find(
      (settled) => settled.leftOpen !== undefined && end.id === `${run.id}:${settled.step.closes}`,
    );
    const entry = state.log.find((each) => each.id === end.id && each.action === "open")!;
    await appendEndEntry(tx, run.homeId, { ...entry, runId: run.id, words: left?.leftOpen });
  }
}

async function recordWork(
  tx: Tx,
  run: Run,
  slot: FilterSlot,
  state: RunState,
  dayOf: (at: string) => PlainDate,
  recordedAt: string,
): Promise<void> {
  const common = { unitId: run.unitId, partId: run.partId, runId: run.id, recordedAt };
  const itemBefore = effectiveHistory(await listEventsOfPart(tx, run.partId)).findLast(
    (event) => event.itemId !== undefined,
  )?.itemId;
  const look = state.settled.find((settled) => settled.grade !== undefined);
  if (look?.grade)
    await appendEvent(tx, run.homeId, {
      ...common,
      id: randomUUID(),
      kind: "look",
      date: dayOf(look.at),
      look: { grade: look.grade },
      ...(itemBefore ? { itemId: itemBefore } : {}),
    });
  const renewed = state.settled.find(({ step, leftOpen }) => step.renews && leftOpen === undefined);
  if (!renewed) return;
  const ids = { event: randomUUID(), item: randomUUID() };
  const happened = { date: dayOf(renewed.at), recordedAt, runId: run.id };
  const { event, item } = fittingOf(slot, ids, happened, itemBefore);
  if (item) await insertItem(tx, item);
  await appendEvent(tx, run.homeId, event);
}
