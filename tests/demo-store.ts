import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { migrateStore, openStore, type Store } from "../src/db/client";
import { seedDemo } from "../scripts/demo-data";

/** The instant at which every test of the demo stands. */
export const NOW = "2026-03-14T08:30:00Z";

export type DemoStore = { store: Store; file: string; discard: () => void };

/** A database of its own with both homes of the demo in it. */
export async function openDemoStore(): Promise<DemoStore> {
  const folder = mkdtempSync(path.join(tmpdir(), "amber-demo-"));
  const file = path.join(folder, "demo.db");
  const store = await openStore(file);
  await migrateStore(store);
  await seedDemo(store, new Date(NOW));
  const discard = () => {
    store.close();
    rmSync(folder, { recursive: true, force: true });
  };
  return { store, file, discard };
}
