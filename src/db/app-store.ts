import { readEnv } from "@/lib/env";
import { indexProcedures } from "./repositories/find";
import { migrateStore, sharedStore, type Store } from "./client";

/** The store of the running application, as its configuration names it. */
export function appStore(): Promise<Store> {
  return sharedStore(readEnv(process.env).AMBER_DB);
}

/** Brings the database to the present schema, and the library's procedures into what is found. */
export async function prepareAppStore(
  procedures: readonly { id: string; title: string; words: string }[],
): Promise<void> {
  const store = await appStore();
  await migrateStore(store);
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
