import { spawnSync } from "node:child_process";
import { mkdirSync, readdirSync, rmSync } from "node:fs";

/** Where the demo's database stands ready, with what its log still holds. */
export const TEMPLATE = ".cache/demo-template";
/** The instant at which every test of the demo stands. */
export const NOW = "2026-03-14T08:30:00Z";

/** Before the tests of a project: the demo's database once, for every test to take a copy of. */
export default function makeTemplate(): void {
  // npm test has made it for its first part already.
  if (process.env["AMBER_TEMPLATE"] === "made") return;
  rmSync(TEMPLATE, { recursive: true, force: true });
  mkdirSync(TEMPLATE, { recursive: true });
  for (const script of ["scripts/seed-demo.ts", "tests/write-book.ts"]) {
    const { status, stderr } = spawnSync("node_modules/.bin/tsx", [script], {
      env: { ...process.env, AMBER_DB: `${TEMPLATE}/demo.db`, AMBER_CLOCK: NOW },
      encoding: "utf8",
    });
    if (status !== 0) throw new Error(`The demo could not be entered: ${stderr}`);
  }
  // Kept for the process that has ended; whoever opens a copy makes its own.
  for (const name of readdirSync(TEMPLATE))
    if (name.endsWith("-shm")) rmSync(`${TEMPLATE}/${name}`);
}
