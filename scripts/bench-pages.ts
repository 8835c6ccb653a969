import { gzipSync } from "node:zlib";
/** How long every page of a large home takes on the server, as part of npm run bench. */
import { CLOCK, startApp } from "../e2e/app-server";
import { plainDate } from "../src/core/quantities/plain-date";
import { openStore } from "../src/db/client";
import { appendEvent } from "../src/db/repositories/history";
import { bigHome } from "./big-home";
import { enterHome } from "./demo-data";

const RUNS = 100;
/** Requests before the measured ones: a server just started has to compile what it runs. */
const WARM_UP = 50;
const today = plainDate(CLOCK.slice(0, 10));
const HOME = "/homes/big";
const PAGES: [string, string][] = [
  ["Today", HOME],
  ["House", `${HOME}/house`],
  ["a unit", `${HOME}/units/big-unit-3`],
  ["a part", `${HOME}/parts/big-slot-3`],
  ["a part’s form", `${HOME}/parts/big-slot-3/edit`],
  ["a unit’s form", `${HOME}/units/big-unit-3/edit`],
  ["a new unit", `${HOME}/units/new`],
  ["household", `${HOME}/household`],
  ["rooms", `${HOME}/rooms`],
  ["air systems", `${HOME}/systems`],
  ["contacts", `${HOME}/contacts`],
  ["shut-offs", `${HOME}/shut-offs`],
  ["a look", `${HOME}/look`],
  ["removed", `${HOME}/removed`],
  ["an entry", `${HOME}/entries/big-slot-3-700`],
  ["find a word", "/api/v1/homes/big/find?q=furnace%203"],
  ["find a size", "/api/v1/homes/big/find?q=500x500"],
];

const round = (ms: number) => Math.round(ms * 10) / 10;

const WRITES = 20;
const percentile = (times: readonly number[], share: number) =>
  round([...times].sort((a, b) => a - b)[Math.floor(share * (times.length - 1))]!);

type App = Awaited<ReturnType<typeof startApp>>;

async function timed(app: App, path: string): Promise<{ ms: number; body: string }> {
  const start = performance.now();
  const response = await fetch(app.url + path);
  const body = await response.text();
  if (!response.ok) throw new Error(`${path} answers ${response.status}`);
  return { ms: performance.now() - start, body };
}

/** The JavaScript a page asks for at first, without what only old browsers take, kB gzip. */
async function scriptsOf(app: App, body: string): Promise<number> {
  const sources = [...body.matchAll(/<script[^>]*src="([^"]+)"[^>]*>/g)].flatMap(([tag, src]) =>
    tag.includes("noModule") || tag.includes("nomodule") ? [] : src!,
  );
  let bytes = 0;
  for (const src of new Set(sources)) {
    const text = await (await fetch(new URL(src, app.url))).arrayBuffer();
    bytes += gzipSync(Buffer.from(text)).length;
  }
  return Math.round(bytes / 1000);
}

/** Every page of a home with so many entries: warm, right after a write, and what it loads. */
export async function benchPages(entries: number, pages = PAGES): Promise<void> {
  const app = await startApp("empty");
  const store = await openStore(app.file);
  await store.write((tx) => enterHome(tx, bigHome(today, entries), new Date(CLOCK)));
  const rows = [];
  for (const [what, path] of pages) {
    const first = await timed(app, path);
    for (let i = 0; i < WARM_UP; i++) await timed(app, path);
    const warm: number[] = [];
    for (let i = 0; i < RUNS; i++) warm.push((await timed(app, path)).ms);
    const afterWrite: number[] = [];
    for (let i = 0; i < WRITES; i++) {
      await store.write((tx) =>
        appendEvent(tx, "big", {
          id: `${what}-${i}`,
          kind: "look",
          unitId: "big-unit-3",
          partId: "big-slot-3",
          date: today,
          recordedAt: CLOCK,
          look: { grade: "grey" },
        }),
      );
      afterWrite.push((await timed(app, path)).ms);
    }
    rows.push({
      page: what,
      "first, ms": round(first.ms),
      "median, ms": percentile(warm, 0.5),
      "p95, ms": percentile(warm, 0.95),
      "p95 after a write, ms": percentile(afterWrite, 0.95),
      "JavaScript, kB gzip": path.startsWith("/api") ? "-" : await scriptsOf(app, first.body),
    });
  }
  console.log(`A home of 25 units and ${entries} entries`);
  console.table(rows);
  store.close();
  await app.stop();
}

/** The pages of a home with a hundred thousand entries that show its record or its year. */
export const LONG_RECORD = PAGES.slice(0, 5);

/** What the screen of a run loads: the heaviest page there is. */
export async function benchRun(): Promise<void> {
  const app = await startApp("demo");
  const { body } = await timed(app, "/runs/demo-core-run");
  console.log(`The screen of a run loads ${await scriptsOf(app, body)} kB gzip of JavaScript.`);
  await app.stop();
}
