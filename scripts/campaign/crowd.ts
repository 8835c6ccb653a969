/** A crowd: fifty who read and five who write, at one page and at ten different ones. */
import { Agent } from "node:http";
import { openStore } from "../../src/db/client";
import { CLOCK, startApp } from "../../e2e/app-server";
import { ask, HOME, note, notesIn, percentile, rounded, sleep, type Chapter } from "./shared";

const READERS = 50;
const WRITERS = 5;
const MINUTE_MS = 60_000;
/** How long each page is rendered for whoever asks, to compare with; and how long ten pages are read. */
const ALONE_MS = 15_000;
const MANY_MS = 30_000;
/** A writer writes, and does something else for a moment, ms. */
const BETWEEN_WRITES_MS = 400;
/** The slowest write takes no longer than so many pages that are each rendered alone: about a second at rest. */
const WRITE_PAGES = 20;
const TIMES = 3;
const MANY = [
  ...["/house", "/units/cellar-furnace", "/parts/cellar-filter", "/jobs", "/year"],
  ...["/household", "/rooms", "/visits", "/watch", "/breakdowns"],
].map((page) => HOME + page);

export type Crowd = {
  /** Pages in a second. */
  perSecond: number;
  pageP95Ms: number;
  writes: number;
  slowestWriteMs: number;
  acknowledged: string[];
  /** Answers that were none, of readers and of writers: an error, or a connection that was reset. */
  failed: number;
};

/**
 * A crowd at a server for some time.
 *
 * @param pathOf the page a reader asks for the nth time
 */
export async function crowdAt(
  url: string,
  ms: number,
  name: string,
  pathOf: (lane: number, nth: number) => string,
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
      const answer = await ask(url, {
        path: pathOf(lane, nth),
        agent,
        headers: { "accept-encoding": "gzip" },
      });
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
    const pages: number[] = [];
    for (let i = 0; i < 30; i++)
      pages.push((await ask(app.url, { path: `${HOME}?alone=${i}` })).ms);
    const most = WRITE_PAGES * percentile(pages, 0.5);
    const alone = await crowdAt(app.url, ALONE_MS, "alone", (lane, n) => `${HOME}?r=${lane}-${n}`);
    const many = await crowdAt(
      app.url,
      MANY_MS,
      "many",
      (lane, n) => MANY[(lane + n) % MANY.length]!,
    );
    const all = await crowdAt(app.url, MINUTE_MS, "all", () => HOME);
    const store = await openStore(app.file);
    const kept = await notesIn(store);
    store.close();
    const lostOf = ({ acknowledged }: Crowd) => acknowledged.filter((id) => !kept.has(id)).length;
    const served = (each: Crowd, what: string) => ({
      promise: `A crowd at ${what} is served without an error or a reset, and no write takes longer than ${WRITE_PAGES} pages`,
      tried: `${READERS} readers and ${WRITERS} writers, ${each.writes} writes`,
      found: `${each.failed} errors, ${lostOf(each)} lost, slowest write ${rounded(each.slowestWriteMs)} of ${rounded(most)} ms, ${rounded(each.perSecond)} pages a second`,
      isKept: each.failed === 0 && lostOf(each) === 0 && each.slowestWriteMs < most,
    });
    return [
      served(all, "Today"),
      served(many, `${MANY.length} different pages`),
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
