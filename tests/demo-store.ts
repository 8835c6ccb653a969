import { cpSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { openStore, type Store } from "../src/db/client";
import { readHome, type HomeRead } from "../src/server/snapshots/read-home";
import makeTemplate, { TEMPLATE } from "./demo-template";

/** Copies the demo's database, with all that was entered, into a folder as demo.db. */
export function copyDemo(folder: string): string {
  // Outside Jest nobody has made it before.
  if (process.env["JEST_WORKER_ID"] === undefined) makeTemplate();
  cpSync(TEMPLATE, folder, { recursive: true });
  return path.join(folder, "demo.db");
}

export type DemoStore = {
  store: Store;
  file: string;
  /** A home as it is now; each reading goes on from the one before, as the application’s do. */
  read: (homeId: string) => Promise<HomeRead>;
  discard: () => void;
};

/** A database of its own with both homes of the demo in it. */
export async function openDemoStore(): Promise<DemoStore> {
  const folder = mkdtempSync(path.join(tmpdir(), "amber-demo-"));
  const file = copyDemo(folder);
  const store = await openStore(file);
  const discard = () => {
    store.close();
    rmSync(folder, { recursive: true, force: true });
  };
  const last = new Map<string, HomeRead>();
  const read = async (homeId: string) => {
    const now = (await readHome(store.db, homeId, last.get(homeId)))!;
    last.set(homeId, now);
    return now;
  };
  return { store, file, read, discard };
}
