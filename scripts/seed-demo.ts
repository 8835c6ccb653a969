/** Fills the demo's own database, once. */
import { migrateStore, openStore } from "../src/db/client";
import { now } from "../src/lib/clock";
import { readEnv } from "../src/lib/env";
import { seedDemo } from "./demo-data";

async function main(): Promise<void> {
  const store = await openStore(readEnv(process.env).AMBER_DB);
  await migrateStore(store);
  const isNew = await seedDemo(store, now());
  console.log(
    isNew ? "Sluice House and the boathouse are entered." : "Sluice House is as you left it.",
  );
  store.close();
}

void main();
