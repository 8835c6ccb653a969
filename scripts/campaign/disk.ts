/** A disk that is full, and a clock that is set back. */
import { rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { openStore } from "../../src/db/client";
import { CLOCK, startApp, type AppServer } from "../../e2e/app-server";
import { ask, HOME, note, notesIn, RUN, type Chapter, type Line } from "./shared";

/** Room for the demo, its log and a little more, MB. */
const DISK_MB = 24;
const FULL = "The disk is full";
const PIECE = Buffer.alloc(256 * 1024, 1);
const YEAR_BEFORE = "2025-03-14T08:30:00Z";

/** Takes all the room there is left, and gives the file that has it. */
function filled(folder: string): string {
  const file = path.join(folder, "filler");
  for (let size = PIECE.length; size >= 512; size /= 2)
    try {
      for (;;) writeFileSync(file, PIECE.subarray(0, size), { flag: "a" });
    } catch {
      // No room for one more of this size.
    }
  return file;
}

async function fullDisk(): Promise<Line> {
  const promise = "A full disk is said in words, loses nothing, and is written to again by itself";
  let app: AppServer;
  try {
    app = await startApp("demo", { diskMb: DISK_MB });
  } catch {
    return {
      promise,
      tried: "nothing",
      found: "this machine lets nobody make a small disk",
      isKept: true,
    };
  }
  try {
    const folder = path.join("/proc", String(app.pid()), "root", path.dirname(app.file));
    const acknowledged: string[] = [];
    const write = async (id: string) => {
      const answer = await note(app.url, id, CLOCK);
      if (answer.status === 200) acknowledged.push(id);
      return answer;
    };
    for (let nth = 0; nth < 20; nth++) await write(`disk-before-${nth}`);
    const filler = filled(folder);
    let refused = 0;
    let words = "";
    for (let nth = 0; nth < 60; nth++) {
      const { status, body } = await write(`disk-full-${nth}`);
      if (status !== 503) continue;
      refused++;
      words = body;
    }
    const page = await ask(app.url, { path: `${HOME}?full=1` });
    rmSync(filler);
    const again = await write("disk-again");
    const { body } = await ask(app.url, { path: `/api/v1/runs/${RUN}/events` });
    const lost = acknowledged.filter((id) => !body.includes(`"${id}"`)).length;
    return {
      promise,
      tried: `60 writes on a disk of ${DISK_MB} MB that something else has filled`,
      found: `${refused} refused${words.includes(FULL) ? `, “${FULL}”` : ""}; Today ${page.status}; with room again ${again.status}; ${lost} of ${acknowledged.length} acknowledged lost`,
      isKept:
        refused > 0 &&
        words.includes(FULL) &&
        page.status === 200 &&
        again.status === 200 &&
        lost === 0,
    };
  } finally {
    await app.stop();
  }
}

async function clockSetBack(): Promise<Line> {
  const app = await startApp("demo");
  try {
    await note(app.url, "clock-before", CLOCK);
    await app.kill();
    await app.start(YEAR_BEFORE);
    const page = await ask(app.url, { path: HOME });
    const said = /clock/i.test(page.body);
    const now = await note(app.url, "clock-meanwhile", YEAR_BEFORE);
    await app.kill();
    await app.start();
    const right = await ask(app.url, { path: HOME });
    const store = await openStore(app.file);
    const kept = await notesIn(store);
    store.close();
    return {
      promise: "A clock set back is said in words and loses nothing",
      tried: "a start a year earlier, a write, and a start at the right time",
      found: `Today ${page.status}, ${said ? "says that the clock is behind" : "SAYS NOTHING"}; the write ${now.status}; then ${right.status}`,
      isKept:
        page.status === 200 &&
        said &&
        right.status === 200 &&
        kept.has("clock-before") &&
        (now.status !== 200 || kept.has("clock-meanwhile")),
    };
  } finally {
    await app.stop();
  }
}

export const disk: Chapter = async () => [await fullDisk(), await clockSetBack()];
