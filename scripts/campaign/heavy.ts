/** How much one may ask: the worst requests, while somebody else looks at a page. */
import { madeUpPlan } from "../../src/core/planning/plan-instances";
import { startApp } from "../../e2e/app-server";
import { ask, HOME, percentile, rounded, sleep, type Chapter, type Line } from "./shared";

/** Nobody is held up longer than so many of their own questions take alone, by what somebody else asks. */
const HELD_UP_TIMES = 20;
const LOOK_EVERY_MS = 25;
const MEGABYTE = 1024 * 1024;

const climate = {
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
};
const json = (value: unknown) => JSON.stringify(value);

/** Each with what it is asked of; the worst that is within all bounds, and some that are not. */
const WORST: { what: string; path: string; body: string }[] = [
  { what: "a plan searched a million times", path: "plan", body: json({ ...madeUpPlan("small", 1), iterations: 1_000_000 }) },
  { what: "the climate of three centuries", path: "climate", body: json({ climate, from: "1900-01-01", to: "2200-12-31" }) },
  { what: "run hours of three centuries", path: "run-hours", body: json({ climate, from: "1900-01-01", to: "2200-12-31", equipment: { heats: true, cools: true, fan: { mode: "auto" } } }) },
  { what: "wear since 1900", path: "wear", body: json({ today: "2199-12-31", fittedOn: "1900-01-01", climate, equipment: { heats: true, cools: true, fan: { mode: "auto" } }, slot: { media: "pleated-25", rating: { scheme: "MERV", class: "8" }, airSide: "recirculated" }, drivers: [], looks: [] }) },
  { what: "a megabyte of brackets", path: "wear", body: "[".repeat(MEGABYTE - 10) },
  { what: "a megabyte of zeros", path: "trend", body: `{"points":[${"0,".repeat(400_000)}0]}` },
  { what: "a text of a megabyte", path: "filter-fit", body: json({ opening: "9".repeat(MEGABYTE - 100) }) },
  { what: "a number of a megabyte", path: "dose", body: `{"volume":${"9".repeat(MEGABYTE - 100)}}` },
]; // prettier-ignore

export const heavy: Chapter = async () => {
  const app = await startApp("demo");
  try {
    const look = () => ask(app.url, { path: `/api/v1${HOME}/find?q=furnace` });
    // A server just started compiles what it runs.
    for (let i = 0; i < 60; i++) await look();
    const alone: number[] = [];
    for (let i = 0; i < 40; i++) alone.push((await look()).ms);
    const most = HELD_UP_TIMES * percentile(alone, 0.5);
    const lines: Line[] = [];
    for (const { what, path, body } of WORST) {
      let isOver = false;
      const asked = ask(app.url, {
        method: "POST",
        path: `/api/v1/compute/${path}`,
        headers: { "content-type": "application/json" },
        body,
      }).finally(() => (isOver = true));
      const waits: number[] = [];
      do {
        const { ms } = await look();
        waits.push(ms);
        await sleep(LOOK_EVERY_MS);
      } while (!isOver);
      const { status, ms } = await asked;
      lines.push({
        promise: `No request holds others up longer than ${HELD_UP_TIMES} of their questions take`,
        tried: `${what}, ${rounded(body.length / 1000)} kB`,
        found: `answered ${status} after ${rounded(ms)} ms; others waited ${rounded(percentile(waits, 0.5))}, at most ${rounded(Math.max(...waits))} of ${rounded(most)} ms`,
        isKept: Math.max(...waits) < most && status !== 500 && status !== 0,
      });
    }
    return lines;
  } finally {
    await app.stop();
  }
};
