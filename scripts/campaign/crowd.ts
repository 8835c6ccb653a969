/** A crowd: fifty who read and five who write, for a minute. */
import { Agent } from "node:http";
import { openStore } from "../../src/db/client";
import { CLOCK, startApp } from "../../e2e/app-server";
import { ask, HOME, note, notesIn, percentile, rounded, sleep, type Chapter } from "./shared";

const READERS = 50;
const WRITERS = 5;
const MINUTE_MS = 60_000;
/** How long each page is rendered for whoever asks, to compare with. */
const ALONE_MS = 15_000;
/** A writer writes, and does something else for a moment, ms. */
const BETWEEN_WRITES_MS = 400;
const WRITE_MS = 3000;
const TIMES = 3;

export type Crowd = {
  /** Pages of Today in a second. */
  perSecond: number;
  pageP95Ms: number;
  writes: number;
  slowestWriteMs: number;
  acknowledged: string[];
  /** Answers that were none: of readers, and of writers. */
  failed: number;
};

/**
 * A crowd at a server for some time.
 *
 * @param isAlone asks so that each page is rendered for itself
 */
export async function crowdAt(
  url: string,
  ms: number,
  name: string,
  isAlone = false,
): Promise<Crowd> {
  const agent = new Agent({ keepAlive: true, maxSockets: READERS + WRITERS });
  const until = performance.now() + ms;
  const began = performance.now();
  const pages: number[] = [];
  const writes: number[] = [];
  const acknowledged: string[] = [];
  let failed = 0;
  const reader = async (lane: number) => {
    for (let nth = 0; performance.now() < until; nth++) {
      const path = isAlone ? `${HOME}?reader=${lane}-${nth}` : HOME;
      const answer = await ask(url, { path, agent, headers: { "accept-encoding": "gzip" } });
      if (answer.status === 200) pages.push(answer.ms);
      else failed++;
    }
  };
  const writer = async (lane: number) => {
    for (let nth = 0; performance.now() < until; nth++) {
      const id = `crowd-${name}-${lane}-${nth}`;
      const answer = await note(url, id, CLOCK, agent);
      writes.push(answer.ms);
      if (answer.status === 200) acknowledged.push(id);
      else failed++;
      await sleep(BETWEEN_WRITES_MS);
    }
  };
  await Promise.all([
    ...Array.from({ length: READERS }, (_, lane) => reader(lane)),
    ...Array.from({ length: WRITERS }, (_, lane) => writer(lane)),
  ]);
  agent.destroy();
  return {
    perSecond: (pages.length / (performance.now() - began)) * 1000,
    pageP95Ms: percentile(pages, 0.95),
    writes: writes.length,
    slowestWriteMs: Math.max(...writes),
    acknowledged,
    failed,
  };
}

export const crowd: Chapter = async () => {
  const app = await startApp("demo");
  try {
    for (let i = 0; i < 50; i++) await ask(app.url, { path: HOME });
    const alone = await crowdAt(app.url, ALONE_MS, "alone", true);
    const all = await crowdAt(app.url, MINUTE_MS, "all");
    const store = await openStore(app.file);
    const kept = await notesIn(store);
    store.close();
    const lost = [...alone.acknowledged, ...all.acknowledged].filter((id) => !kept.has(id)).length;
    return [
      {
        promise: "A crowd is served without an error, and no write waits more than 3 s",
        tried: `${READERS} readers and ${WRITERS} writers for a minute, ${all.writes} writes`,
        found: `${all.failed} errors, ${lost} lost, slowest write ${rounded(all.slowestWriteMs)} ms`,
        isKept: all.failed === 0 && lost === 0 && all.slowestWriteMs < WRITE_MS,
      },
      {
        promise: `Today comes ${TIMES} times as often as when each page is rendered for itself`,
        tried: `the same crowd, for ${ALONE_MS / 1000} s with addresses of their own`,
        found: `${rounded(all.perSecond)} pages a second (p95 ${rounded(all.pageP95Ms)} ms) instead of ${rounded(alone.perSecond)} (p95 ${rounded(alone.pageP95Ms)} ms)`,
        isKept: all.perSecond >= TIMES * alone.perSecond,
      },
    ];
  } finally {
    await app.stop();
  }
};
