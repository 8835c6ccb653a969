/** npm run backup [-- FOLDER]: one file with everything, named by the day; also while it runs. */
import path from "node:path";
import { backUp } from "../src/db/backup";
import { COPY_FOLDERS } from "../src/db/copies-beside";
import { todayHere } from "../src/lib/clock";
import { readEnv } from "../src/lib/env";

const { AMBER_DB } = readEnv(process.env);
const folder = process.argv[2] ?? path.join(path.dirname(AMBER_DB), COPY_FOLDERS.asked);
const today = todayHere();

backUp(AMBER_DB, folder, today).then(
  (copy) => console.log(`Everything is in ${copy}\nPut it back with: npm run restore -- ${copy}`),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exitCode = 1;
  },
);
