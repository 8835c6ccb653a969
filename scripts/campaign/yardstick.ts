/** What this machine can do at the moment: the limits of a chapter are multiples of it, so that a red line means the app. */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { startApp } from "../../e2e/app-server";
import { ask, percentile } from "./shared";

export type Yardstick = {
  /** From the start of a server of an empty home to its first answer, ms. */
  start: number;
  /** A page that shows nothing of a home, ms. */
  page: number;
  /** One row written to the disk and waited for, by nothing of ours, ms. */
  write: number;
};

const STARTS = 3;
const PAGES = 60;
const WRITES = 40;
const middle = (times: readonly number[]) => percentile(times, 0.5);

async function startsAndPages(): Promise<Pick<Yardstick, "start" | "page">> {
  const starts: number[] = [];
  const pages: number[] = [];
  for (let nth = 0; nth < STARTS; nth++) {
    const began = performance.now();
    const app = await startApp("empty");
    starts.push(performance.now() - began);
    try {
      if (nth === STARTS - 1)
        for (let i = 0; i < PAGES; i++) pages.push((await ask(app.url, { path: "/welcome" })).ms);
    } finally {
      await app.stop();
    }
  }
  // The first ones are those of a server that has just started.
  return { start: middle(starts), page: middle(pages.slice(PAGES / 2)) };
}

async function writes(): Promise<number> {
  const folder = mkdtempSync(path.join(tmpdir(), "amber-yardstick-"));
  const client = createClient({ url: `file:${path.join(folder, "bare.db")}`, concurrency: 1 });
  try {
    await client.execute("PRAGMA journal_mode = WAL");
    await client.execute("PRAGMA synchronous = FULL");
    await client.execute("CREATE TABLE bare (words text)");
    const times: number[] = [];
    for (let i = 0; i < WRITES; i++) {
      const began = performance.now();
      await client.execute("INSERT INTO bare VALUES ('a note of some length, as one is')");
      times.push(performance.now() - began);
    }
    return middle(times);
  } finally {
    client.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Measured anew for each chapter: a machine with other work may be busy now and free then. */
export const yardstick = async (): Promise<Yardstick> => ({
  ...(await startsAndPages()),
  write: await writes(),
});
