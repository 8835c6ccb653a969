/** Others on the same file: a lock held for ten seconds, and two servers at once. */
import { createClient } from "@libsql/client";
import { openStore } from "../../src/db/client";
import { CLOCK, startApp } from "../../e2e/app-server";
import {
  ask,
  HOME,
  isWhole,
  note,
  notesIn,
  percentile,
  rounded,
  sleep,
  type Chapter,
  type Line,
} from "./shared";

const HELD_MS = 10_000;
/** A reader who waits longer than so many pages take alone was held up. */
const HELD_UP_TIMES = 12;
/** So long a write waits for another program by itself, ms, and then so many pages longer. */
const WAITS_MS = 2500;
const WRITE_MS = 3000;
const TWO_SERVERS_MS = 8000;
const WRITERS = 3;

async function locked(): Promise<Line[]> {
  const app = await startApp("demo");
  try {
    for (let i = 0; i < 20; i++) await ask(app.url, { path: HOME });
    const alone: number[] = [];
    for (let i = 0; i < 30; i++)
      alone.push((await ask(app.url, { path: `${HOME}?alone=${i}` })).ms);
    const most = HELD_UP_TIMES * percentile(alone, 0.5);
    const other = createClient({ url: `file:${app.file}`, concurrency: 1 });
    const hold = await other.transaction("write");
    const until = performance.now() + HELD_MS;
    const pages: number[] = [];
    const writes: { status: number; ms: number; body: string }[] = [];
    const reading = (async () => {
      for (let nth = 0; performance.now() < until; nth++) {
        // Each rendered anew, so that none comes from what was sent before.
        const { status, ms } = await ask(app.url, { path: `${HOME}?nth=${nth}` });
        pages.push(status === 200 ? ms : Infinity);
      }
    })();
    const writing = (async () => {
      for (let nth = 0; performance.now() < until - WRITE_MS; nth++)
        writes.push(await note(app.url, `locked-${nth}`, CLOCK));
    })();
    await Promise.all([reading, writing]);
    await hold.commit();
    other.close();
    const after = await note(app.url, "after-lock", CLOCK);
    const store = await openStore(app.file);
    const kept = await notesIn(store);
    store.close();
    const busy = writes.filter(({ status }) => status === 503).length;
    const slowest = Math.max(...writes.map(({ ms }) => ms));
    return [
      {
        promise: "A lock held by another program stops no page",
        tried: `${pages.length} pages during ${HELD_MS / 1000} s of a lock`,
        found: `${rounded(Math.max(...pages))} of ${rounded(most)} ms at most`,
        isKept: Math.max(...pages) < most,
      },
      {
        promise: "A write meanwhile is told “busy, not saved yet”, and goes on by itself",
        tried: `${writes.length} writes during the lock, one after it`,
        found: `${busy} told busy, ${rounded(slowest)} ms at most; after it ${after.status === 200 ? "saved at once" : `answered ${after.status}`}`,
        isKept:
          busy === writes.length &&
          slowest < WAITS_MS + most &&
          after.status === 200 &&
          kept.has("after-lock") &&
          !kept.has("locked-0"),
      },
    ];
  } finally {
    await app.stop();
  }
}

async function twoServers(): Promise<Line[]> {
  const one = await startApp("demo");
  const two = await startApp({ file: one.file });
  try {
    const acknowledged: string[] = [];
    let failed = 0;
    const until = performance.now() + TWO_SERVERS_MS;
    const writer = async (url: string, name: string) => {
      for (let nth = 0; performance.now() < until; nth++) {
        const id = `${name}-${nth}-two`;
        const { status } = await note(url, id, CLOCK);
        if (status === 200) acknowledged.push(id);
        else if (status !== 503) failed++;
        await sleep(5);
      }
    };
    await Promise.all(
      [one.url, two.url].flatMap((url, server) =>
        Array.from({ length: WRITERS }, (_, lane) => writer(url, `s${server}-${lane}`)),
      ),
    );
    const seen = async (url: string) => {
      const { body } = await ask(url, { path: "/api/v1/runs/demo-core-run/events" });
      return acknowledged.filter((id) => !body.includes(`"${id}"`)).length;
    };
    const unseen = [await seen(one.url), await seen(two.url)];
    const store = await openStore(one.file);
    const whole = await isWhole(store);
    store.close();
    return [
      {
        promise: "Two servers on one file stay right",
        tried: `${acknowledged.length} writes of ${2 * WRITERS} writers at two servers`,
        found: `${unseen.join(" and ")} not seen at the one and the other, ${failed} failed, ${whole ? "file whole" : "FILE DAMAGED"}`,
        isKept: unseen.every((count) => count === 0) && failed === 0 && whole,
      },
    ];
  } finally {
    await two.stop();
    await one.stop();
  }
}

export const others: Chapter = async () => [...(await locked()), ...(await twoServers())];
