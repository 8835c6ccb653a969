/**
 * Loaded before the application of a browser test: the clock stands where the test says, without a new start. Its
 * threads and its own processes are loaded with it too, and have other messages to read.
 */
import { isMainThread } from "node:worker_threads";

if (isMainThread && process.channel && process.argv[1]?.endsWith("serve.mjs")) {
  process.on("message", (clock) => {
    process.env.AMBER_CLOCK = clock;
    process.send(clock);
  });
  process.channel.unref();
}
