import { todayHere } from "@/lib/clock";
import { tellOfFile } from "@/lib/data-version";
import { readEnv } from "@/lib/env";
import { copyOfTheDay } from "./daily-copies";
import { indexProcedures } from "./repositories/find";
import { sharedStore, type Store } from "./client";
import { openAndMend } from "./open";

/** The store of the running application, as its configuration names it. */
export function appStore(): Promise<Store> {
  return sharedStore(readEnv(process.env).AMBER_DB);
}

/** Brings the database to the present schema, and the library's procedures into what is found. */
export async function prepareAppStore(
  procedures: readonly { id: string; title: string; words: string }[],
): Promise<void> {
  const { AMBER_DB, AMBER_CHECKED } = readEnv(process.env);
  if (AMBER_CHECKED !== "1") await openAndMend(AMBER_DB);
  const store = await appStore();
  tellOfFile(store.version, store.isHeld);
  await store.write((tx) => indexProcedures(tx, procedures));
}

/** On the first word to stop: what was written is folded into the one file before the process ends. */
export function foldWhenStopped(): void {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    const ended = () => process.exit(0);
    appStore()
      .then((store) => store.foldAndClose())
      .then(ended, ended);
  };
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"] as const) process.on(signal, stop);
}

/** How long after the start the first copy may be made, and how often one looks whether a day has none, ms. */
const FIRST_COPY_MS = 60_000;
const LOOKS_EVERY_MS = 3_600_000;

/** A copy a day while the app runs, beside the file; what goes wrong with one is said, and tried again. */
export function keepDailyCopies(): void {
  const { AMBER_DB } = readEnv(process.env);
  const copy = () =>
    void copyOfTheDay(AMBER_DB, todayHere()).catch((error: unknown) =>
      console.error(
        `No copy was made today: ${error instanceof Error ? error.message : String(error)}`,
      ),
    );
  setTimeout(copy, FIRST_COPY_MS).unref();
  setInterval(copy, LOOKS_EVERY_MS).unref();
}
