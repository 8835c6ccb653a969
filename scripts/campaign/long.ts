/** Much of everything: a run with ten thousand events, and seven thousand requests. */
import { readFileSync } from "node:fs";
import { openStore } from "../../src/db/client";
import { CLOCK, startApp } from "../../e2e/app-server";
import {
  ask,
  HOME,
  note,
  percentile,
  rounded,
  RUN,
  together,
  type Chapter,
  type Line,
} from "./shared";

const EVENTS = 10_000;
/** A write to a run of any length takes at most so many times what one to a short run takes, in the slowest twentieth. */
const ANSWER_TIMES = 6;
const REQUESTS = 7000;
const ROUNDS = 7;
/** Of a server that has warmed up, MB; what the collector leaves for later is no leak. */
const MOST_GROWN_MB = 60;
const LANES = 4;

async function longRun(): Promise<Line[]> {
  const app = await startApp("demo");
  try {
    const store = await openStore(app.file);
    const short: number[] = [];
    for (let nth = 0; nth < 60; nth++)
      short.push((await note(app.url, `short-run-${nth}`, CLOCK)).ms);
    const most = ANSWER_TIMES * percentile(short.slice(20), 0.5);
    await store.write(async (tx) => {
      for (let nth = 0; nth < EVENTS; nth++) {
        const event = { id: `long-${nth}-event`, at: "2026-03-14T08:00:00.000Z", kind: "note", step: "x", words: `Note ${nth}` };
        await tx.run(
          `INSERT INTO run_events (id, run_id, ordinal, at, event) VALUES ('${event.id}', '${RUN}', ${10_000 + nth}, '${event.at}', '${JSON.stringify(event)}')`,
        );
      }
    }); // prettier-ignore
    store.close();
    const first = await ask(app.url, { path: `/api/v1/runs/${RUN}/events` });
    // A server's first write reads its code and the home, of which a long run is no part.
    await note(app.url, "first-of-all", CLOCK);
    const times: number[] = [];
    for (let nth = 0; nth < 60; nth++)
      times.push((await note(app.url, `after-long-${nth}`, CLOCK)).ms);
    const page = await ask(app.url, { path: `/runs/${RUN}` });
    const again = await ask(app.url, { path: `/runs/${RUN}` });
    return [
      {
        promise: `A run of ${EVENTS} events answers within ${ANSWER_TIMES} times what a short one takes`,
        tried: "60 more events, one after another, after a first one; and its page",
        found: `${rounded(percentile(times, 0.5))} ms in the middle, ${rounded(percentile(times, 0.95))} of ${rounded(most)} for nineteen in twenty, ${rounded(Math.max(...times))} at most; all of it read for the first time ${rounded(first.ms)} ms, its page ${rounded(page.ms)} ms, and ${rounded(again.ms)} the second time`,
        isKept: percentile(times, 0.95) < most && page.status === 200,
      },
    ];
  } finally {
    await app.stop();
  }
}

/** What a process holds, MB. */
const heldBy = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1]) / 1024;

async function memory(): Promise<Line[]> {
  const app = await startApp("demo");
  try {
    const pages = ["", "/house", "/look", "/parts/cellar-filter", "/jobs", "/year"].map(
      (each) => HOME + each,
    );
    const light = [`/api/v1${HOME}/find?q=filter`, HOME, `/api/v1/runs/${RUN}/events`];
    const held: number[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      const asked = Array.from({ length: REQUESTS / ROUNDS }, (_, nth) => nth);
      await together(asked, LANES, async (nth) => {
        if (nth % 10 === 0) await note(app.url, `memory-${round}-${nth}`, CLOCK);
        // Of ten one is rendered for itself, the others are of all other kinds.
        else if (nth % 10 === 1)
          await ask(app.url, { path: `${pages[nth % pages.length]!}?nth=${round}-${nth}` });
        else await ask(app.url, { path: light[nth % light.length]! });
      });
      held.push(heldBy(app.pid()));
    }
    const grown = held.at(-1)! - Math.max(...held.slice(1, 4));
    return [
      {
        promise: "Memory stays flat",
        tried: `${REQUESTS} requests: pages, searches, runs and writes`,
        found: `${held.map(rounded).join(", ")} MB after each thousand`,
        isKept: grown < MOST_GROWN_MB,
      },
    ];
  } finally {
    await app.stop();
  }
}

export const long: Chapter = async () => [...(await longRun()), ...(await memory())];
