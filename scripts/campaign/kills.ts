/** The power goes: the server killed in the middle of its writes, time after time. */
import { openStore } from "../../src/db/client";
import { CLOCK, startApp } from "../../e2e/app-server";
import { drawn, isWhole, note, notesIn, percentile, rounded, sleep, type Chapter } from "./shared";
import fc from "fast-check";

const KILLS = 20;
const WRITERS = 6;
/** From the kill to the first answer it takes so many times what a start takes. */
const RESTART_TIMES = 1.5;

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
