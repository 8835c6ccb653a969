import "server-only";
import { listWords } from "@/core/quantities/words";
import { togetherOf } from "@/core/inventory/shared-shut-offs";
import { offInFrost } from "@/core/runs/frost";
import {
  endsOfHome,
  leftOpenOf,
  type HomeEnd,
  type HomeEnds,
  type LeftOpen,
} from "@/core/runs/home-ends";
import { isSupply } from "@/core/runs/run-ends";
import { stopsByUnit } from "@/server/snapshots/stops";
import type { GoingRun } from "@/server/snapshots/read-runs";
import { homeNow, homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { now, todayIn } from "@/lib/clock";

/** The runs of a home that somebody has started and not ended, each where it stands. */
export const goingRuns = async (homeId: string): Promise<readonly GoingRun[]> =>
  (await homeNow(homeId))?.going ?? [];

export async function openEnds(homeId: string): Promise<HomeEnds> {
  const home = await homeNow(homeId);
  if (!home) return { open: [], parked: [], order: [] };
  const { recordedEnds, going, snapshot } = home;
  const ends = endsOfHome(now().toISOString(), recordedEnds, going, togetherOf(snapshot.units));
  const stops = stopsByUnit(snapshot, todayIn(snapshot.home.timeZone));
  const held = (end: HomeEnd): HomeEnd => {
    const stopped = isSupply(end) ? stops.get(end.unit) : undefined;
    return stopped ? { ...end, stopped } : end;
  };
  return { ...ends, open: ends.open.map(held) };
}

/** What is left open in a home, all of one run together. */
export const leftOpen = async (homeId: string): Promise<LeftOpen[]> =>
  leftOpenOf(await openEnds(homeId));

/** A job begun and left, with nothing open: it waits to be gone on with, or dropped. */
export type Begun = { runId: string; unitId: string | null; title: string; startedAt: string };

export const begunRuns = async (homeId: string): Promise<Begun[]> =>
  (await goingRuns(homeId))
    .filter(({ state }) => state.ends.open.length === 0)
    .map(({ run }) => ({
      runId: run.id,
      unitId: run.unitId,
      title: run.procedure.title,
      startedAt: run.startedAt,
    }));

/** Everything a page says of what is open, as it is at this instant. */
export type OpenNow = { left: LeftOpen[]; frost: string | null; now: string };

export async function openNow(homeId: string): Promise<OpenNow> {
  const at = now();
  const { open } = await openEnds(homeId);
  return {
    left: await leftOpen(homeId),
    frost: await frostWords(homeId, open),
    now: at.toISOString(),
  };
}

/** That the house cools down: a machine that heats is off, and it freezes outside. */
async function frostWords(homeId: string, open: readonly HomeEnd[]): Promise<string | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const cold = offInFrost(snapshot, open, today);
  if (cold.length === 0) return null;
  const names = listWords(cold.map(({ name }) => name));
  const is = cold.length === 1 ? "is" : "are";
  return `It freezes outside and ${names} ${is} off: the house cools down and pipes may freeze. Switch on again, keep the house warm otherwise, or drain its water.`;
}

/** What to call for when it has dried, in words. */
export const dryWaits = (
  left: readonly LeftOpen[],
  unitNames: Record<string, string>,
): { runId: string; words: string; readyAt: string }[] =>
  left.flatMap(({ unit, runId, drying }) =>
    runId && drying
      ? [{ runId, words: `${unitNames[unit]}: dry, put it back`, readyAt: drying.readyAt }]
      : [],
  );
