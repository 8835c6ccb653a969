import type { RunEvent } from "@/core/runs/run-event";

/** A run as this page showed it last: what the server had acknowledged, and what was on its way. */
export type Seen = { known: readonly RunEvent[]; queue: readonly RunEvent[] };

/** So many runs at most; a page is not open for longer than a few. */
const MOST_RUNS = 8;

/**
 * What was seen of runs while a page stays open. Going back and forward, the browser shows a run as the server sent
 * it first, from before all that was done since: what was seen last takes its place at once.
 */
export class LastSeen {
  readonly #runs = new Map<string, Seen>();

  keep(runId: string, seen: Seen): void {
    this.#runs.delete(runId);
    this.#runs.set(runId, seen);
    for (const oldest of this.#runs.keys()) {
      if (this.#runs.size <= MOST_RUNS) break;
      this.#runs.delete(oldest);
    }
  }

  /** Nothing that was seen is so any more: a copy took the place of everything. */
  forget(): void {
    this.#runs.clear();
  }

  /** The further on of the two: the record of a run is only ever added to. */
  of(runId: string, sent: readonly RunEvent[]): Seen {
    const last = this.#runs.get(runId);
    const known = last && last.known.length > sent.length ? last.known : sent;
    const ids = new Set(known.map(({ id }) => id));
    return { known, queue: last?.queue.filter(({ id }) => !ids.has(id)) ?? [] };
  }
}

/** Of the page that is open. */
export const SEEN = new LastSeen();
