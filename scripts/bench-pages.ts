/** How long every page of a large home takes on the server, as part of npm run bench. */
import { CLOCK, startApp } from "../e2e/app-server";
import { plainDate } from "../src/core/quantities/plain-date";
import { openStore } from "../src/db/client";
import { appendEvent } from "../src/db/repositories/history";
import { bigHome } from "./big-home";
import { enterHome } from "./demo-data";

const RUNS = 40;
/** Requests before the measured ones: a server just started has to compile what it runs. */
const WARM_UP = 25;
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

export async function benchPages(): Promise<void> {
  const app = await startApp("empty");
  const store = await openStore(app.file);
  await store.write((tx) => enterHome(tx, bigHome(today), new Date(CLOCK)));
  const answer = async (path: string): Promise<number> => {
    const start = performance.now();
    const response = await fetch(app.url + path);
    await response.text();
    if (!response.ok) throw new Error(`${path} answers ${response.status}`);
    return performance.now() - start;
  };
  const rows = [];
  for (const [what, path] of PAGES) {
    const first = await answer(path);
    for (let i = 0; i < WARM_UP; i++) await answer(path);
    const times: number[] = [];
    for (let i = 0; i < RUNS; i++) times.push(await answer(path));
    times.sort((a, b) => a - b);
    const afterWrite: number[] = [];
    for (let i = 0; i < 5; i++) {
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
      afterWrite.push(await answer(path));
    }
    rows.push({
      page: what,
      firstMs: round(first),
      medianMs: round(times[Math.floor(RUNS / 2)]!),
      p95Ms: round(times[Math.floor(0.95 * (RUNS - 1))]!),
      "worst after a write": round(Math.max(...afterWrite)),
    });
  }
  console.table(rows);
  store.close();
  await app.stop();
}
