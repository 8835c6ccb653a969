import { readEnv } from "@/lib/env";
import { migrateStore, sharedStore, type Store } from "./client";

/** The store of the running application, as its configuration names it. */
export function appStore(): Promise<Store> {
  return sharedStore(readEnv(process.env).AMBER_DB);
}

export async function prepareAppStore(): Promise<void> {
  await migrateStore(await appStore());
}
