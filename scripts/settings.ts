/**
 * Before anything listens: prints the configuration as the application reads it and opens the database once,
 * or says in one sentence what is wrong.
 */
import { openStore } from "../src/db/client";
import { oddDayIn } from "../src/db/odd-days";
import { openAndMend } from "../src/db/open";
import { listUnreadable } from "../src/db/repositories/homes";
import { readEnv } from "../src/lib/env";

/** A home that cannot be read keeps nobody from the others: it is named, and left as it is. */
async function nameUnreadable(file: string): Promise<void> {
  const store = await openStore(file);
  for (const { name, why } of await store.read(listUnreadable))
    console.error(`“${name}” cannot be read and is kept as it is: ${why}. The other homes open.`);
  const odd = await oddDayIn(store.client);
  if (odd) console.error(`${odd}: the page that shows it does not open; all others do.`);
  store.close();
}

async function main(): Promise<void> {
  const env = readEnv(process.env);
  if (!process.argv.includes("--only-read")) {
    await openAndMend(env.AMBER_DB);
    await nameUnreadable(env.AMBER_DB);
  }
  console.log(JSON.stringify(env));
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
