import { EventQueue, type DeviceStore } from "./device-store";
import { REFUSED_WORDS } from "./refused-words";
import { BATCH, type Told } from "./run-sync";
import { earlyIn, type Send } from "./send-events";

const PREFIX = "run-";

/** Where what was done in a run waits on this device. */
export const queueOf = (store: DeviceStore, runId: string): EventQueue =>
  new EventQueue(store, PREFIX + runId);

/** The runs of which something waits, by the names in a device's store. */
export const runsWaiting = (keys: readonly string[]): string[] =>
  keys.flatMap((key) => (key.startsWith(PREFIX) ? [key.slice(PREFIX.length)] : []));

export type LeftBehind = {
  /** So many events were taken. */
  taken: number;
  /** Something waits for the server to be reached, or for this device's clock to be set. */
  waits: boolean;
  /** What did not count, in words; the id is that of its run. */
  told: Told[];
};

/**
 * Sends what the page of a run left on this device when it went: steps done while the server was away, or a moment
 * before another page was opened. A batch that the server refuses whole, or of a run that is gone, stays for the run's
 * own page, which finds the one and names it.
 */
export async function sendLeftBehind(
  store: DeviceStore,
  runIds: readonly string[],
  send: Send,
): Promise<LeftBehind> {
  const left: LeftBehind = { taken: 0, waits: false, told: [] };
  for (const runId of runIds) {
    const queue = queueOf(store, runId);
    for (let batch = queue.all().slice(0, BATCH); batch.length > 0;) {
      const answer = await send(runId, batch);
      if (answer.kind === "unreachable") left.waits = true;
      if (answer.kind !== "taken") break;
      const early = earlyIn(answer);
      for (const { id, why } of answer.refused)
        if (!early.has(id))
          left.told.push({ id: runId, words: `Not counted, as ${REFUSED_WORDS[why]}` });
      left.taken += batch.length - answer.refused.length;
      queue.drop(new Set(batch.flatMap(({ id }) => (early.has(id) ? [] : [id]))));
      if (early.size > 0) {
        left.waits = true;
        break;
      }
      batch = queue.all().slice(0, BATCH);
    }
  }
  return left;
}
