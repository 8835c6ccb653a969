/** npm run backup [-- FOLDER]: one file with everything, named by the day; also while it runs. */
import path from "node:path";
import { dayIn } from "../src/core/quantities/plain-date";
import { backUp } from "../src/db/backup";
import { COPY_FOLDERS } from "../src/db/copies-beside";
import { readEnv } from "../src/lib/env";

const { AMBER_DB, AMBER_CLOCK } = readEnv(process.env);
const folder = process.argv[2] ?? path.join(path.dirname(AMBER_DB), COPY_FOLDERS.asked);
const instant = AMBER_CLOCK ? Date.parse(AMBER_CLOCK) : Date.now();
const today = dayIn(Intl.DateTimeFormat().resolvedOptions().timeZone, instant);

backUp(AMBER_DB, folder, today).then(
  (copy) => console.log(`Everything is in ${copy}\nPut it back with: npm run restore -- ${copy}`),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exitCode = 1;
  },
);
