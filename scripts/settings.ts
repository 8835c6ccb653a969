/** Prints the configuration as the application reads it, or says what is wrong with it. */
import { readEnv } from "../src/lib/env";

try {
  console.log(JSON.stringify(readEnv(process.env)));
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
