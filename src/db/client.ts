import { mkdirSync } from "node:fs";
import path from "node:path";
import { createClient, type Client } from "@libsql/client";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import * as schema from "./schema";

type Schema = typeof schema;
export type Db = LibSQLDatabase<Schema>;
export type Tx = Parameters<Parameters<Db["transaction"]>[0]>[0];
/** What a repository reads through: the database, or the transaction it is called in. */
export type Reader = Db | Tx;

export type Store = {
  db: Db;
  client: Client;
  /** Runs one writing transaction after another: two at once would freeze the process. */
  write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  /** A number that changes with every write to the file, by this process or another. */
  version: () => Promise<number>;
  close: () => void;
  /** Waits for the writes under way, folds the log into the file, and closes. */
  foldAndClose: () => Promise<void>;
};

/** How long a connection waits for another process's write, ms. */
const BUSY_TIMEOUT_MS = 5000;

export async function openStore(file: string): Promise<Store> {
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  // The client's timeout holds on every pooled connection; a PRAGMA would reach only one.
  const client = createClient({ url: `file:${file}`, timeout: BUSY_TIMEOUT_MS, concurrency: 4 });
  await client.execute("PRAGMA journal_mode = WAL");
  const db = drizzle(client, { schema });
  let last: Promise<unknown> = Promise.resolve();
  const write: Store["write"] = (work) => {
    const next = last.then(() => db.transaction(work, { behavior: "immediate" }));
    last = next.catch(() => undefined);
    return next;
  };
  // A connection that never writes sees every other one's commits, and nothing of its own.
  const watch = createClient({ url: `file:${file}`, timeout: BUSY_TIMEOUT_MS, concurrency: 1 });
  const version = async () => Number((await watch.execute("PRAGMA data_version")).rows[0]?.[0]);
  const close = () => {
    watch.close();
    client.close();
  };
  const foldAndClose = async () => {
    await last;
    await client.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    close();
  };
  return { db, client, write, version, close, foldAndClose };
}

/** Brings a database to the present schema; a failed step leaves it as it was. */
export async function migrateStore(store: Store, folder = "src/db/migrations"): Promise<void> {
  await migrate(store.db, { migrationsFolder: folder });
}

// Next keeps several instances of a module; they have to share one client and one queue.
const shared = globalThis as typeof globalThis & { amberStore?: Promise<Store> };

export function sharedStore(file: string): Promise<Store> {
  shared.amberStore ??= openStore(file);
  return shared.amberStore;
}
