/**
 * Before anything listens: prints the configuration as the application reads it and opens the database once,
 * or says in one sentence what is wrong.
 */
import { openAndMend } from "../src/db/open";
import { readEnv } from "../src/lib/env";

async function main(): Promise<void> {
  const env = readEnv(process.env);
  if (!process.argv.includes("--only-read")) await openAndMend(env.AMBER_DB);
  console.log(JSON.stringify(env));
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
