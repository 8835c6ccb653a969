/** npm run restore -- FILE: puts a copy back; the present database is kept beside it. */
import { putBack } from "../src/db/backup";
import { todayHere } from "../src/lib/clock";
import { readEnv } from "../src/lib/env";
import { readFirst } from "../src/server/files/read-aside";

const { AMBER_DB } = readEnv(process.env);
const today = todayHere();
const [copy] = process.argv.slice(2);

if (copy === undefined) {
  console.error("Say which file: npm run restore -- FILE");
  process.exitCode = 1;
} else {
  putBack(copy, AMBER_DB, today, readFirst).then(
    (aside) => {
      console.log(`${copy} is back in ${AMBER_DB}.`);
      if (aside) console.log(`What was there before is kept in ${aside}.`);
    },
    (error: unknown) => {
      console.error(error instanceof Error ? error.message : error);
      process.exitCode = 1;
    },
  );
}
