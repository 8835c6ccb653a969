/** The power goes: the server killed in the middle of its writes, time after time. */
import { spawn } from "node:child_process";
import { once } from "node:events";
import { readFileSync } from "node:fs";
import path from "node:path";
import { openStore } from "../../src/db/client";
import { CLOCK, startApp } from "../../e2e/app-server";
import {
  drawn,
  isWhole,
  note,
  notesIn,
  percentile,
  rounded,
  sleep,
  type Chapter,
  type Line,
} from "./shared";
import fc from "fast-check";

const KILLS = 20;
const WRITERS = 6;
/** From the kill to the first answer it takes so many times what a start takes. */
const RESTART_TIMES = 1.5;
const WATCHED_WRITES = 20;

/**
 * Counts how often the server has the disk take what it wrote, by what the system is asked for: a power cut takes
 * what only its memory holds, and no kill of a process shows that.
 *
 * @returns nothing where the machine has no strace
 */
async function onTheDisk(): Promise<Line[]> {
  const app = await startApp("demo");
  const seen = path.join(path.dirname(app.file), "seen.txt");
  try {
    await note(app.url, "on-the-disk-first", CLOCK);
    const watching = spawn("strace", [
      ...["-f", "-e", "trace=fsync,fdatasync"],
      ...["-o", seen, "-p", String(app.pid())],
    ]);
    const isThere = await Promise.race([
      // It may be there and not be let near another process.
      once(watching.stderr, "data").then(([said]) => String(said).includes(" attached")),
      once(watching, "error").then(() => false),
    ]);
    if (!isThere) {
      console.error("kills: without strace nobody counts what is on the disk");
      return [];
    }
    const asked = Array.from({ length: WATCHED_WRITES }, (_, nth) => `on-the-disk-${nth}`);
    for (const id of asked) await note(app.url, id, CLOCK);
    watching.kill("SIGINT");
    await once(watching, "close");
    const store = await openStore(app.file);
    const kept = await notesIn(store);
    store.close();
    const acknowledged = asked.filter((id) => kept.has(id)).length;
    const synced = readFileSync(seen, "utf8").match(/\bf(data)?sync\(/g)?.length ?? 0;
    return [
      {
        promise: "What is acknowledged is on the disk, not in memory alone",
        tried: `${acknowledged} acknowledged writes, one after another`,
        found: `the disk was waited for ${synced} times`,
        isKept: acknowledged === WATCHED_WRITES && synced >= acknowledged,
      },
    ];
  } finally {
    await app.stop();
  }
}

export const kills: Chapter = async (seed, can) => {
  const app = await startApp("demo");
  try {
    const acknowledged: string[] = [];
    const restarts: number[] = [];
    for (const [round, lives] of drawn(fc.integer({ min: 30, max: 600 }), KILLS, seed).entries()) {
      let isOver = false;
      const writer = async (lane: number) => {
        for (let nth = 0; !isOver; nth++) {
          const id = `kill-${round}-${lane}-${nth}`;
          const { status } = await note(app.url, id, CLOCK);
          if (status === 200) acknowledged.push(id);
        }
      };
      const writing = Array.from({ length: WRITERS }, (_, lane) => writer(lane));
      // What was killed while it started had no write under way.
      while (!acknowledged.some((id) => id.startsWith(`kill-${round}-`))) await sleep(10);
      await sleep(lives);
      await app.kill();
      isOver = true;
      await Promise.all(writing);
      const began = performance.now();
      await app.start();
      restarts.push(performance.now() - began);
    }
    const store = await openStore(app.file);
    const kept = await notesIn(store);
    const lost = acknowledged.filter((id) => !kept.has(id));
    const whole = await isWhole(store);
    store.close();
    const middle = percentile(restarts, 0.5);
    return [
      ...(await onTheDisk()),
      {
        promise: "Killed at any moment, nothing acknowledged is lost",
        tried: `${KILLS} kills amid ${acknowledged.length} acknowledged writes of ${WRITERS} writers`,
        found: `${lost.length} lost, ${whole ? "file whole" : "FILE DAMAGED"}`,
        isKept: lost.length === 0 && whole,
      },
      {
        promise: `It answers again within ${RESTART_TIMES} starts of a kill`,
        tried: `${KILLS} starts after a kill`,
        found: `${rounded(middle)} ms in the middle, ${rounded(Math.max(...restarts))} at most; a start ${rounded(can.start)} ms`,
        isKept: middle < RESTART_TIMES * can.start,
      },
    ];
  } finally {
    await app.stop();
  }
};
