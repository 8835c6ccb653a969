import { mkdirSync } from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { createClient, type Client } from "@libsql/client";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import * as schema from "./schema";
import { asTrouble, troubleOf } from "./trouble";

type Schema = typeof schema;
export type Db = LibSQLDatabase<Schema>;
export type Tx = Parameters<Parameters<Db["transaction"]>[0]>[0];
/** What a repository reads through: the database, or the transaction it is called in. */
export type Reader = Db | Tx;

export type Store = {
  db: Db;
  client: Client;
  /**
   * Runs one writing transaction after another: two at once would freeze the process. Where another process
   * holds the file it waits without holding anybody else up.
   *
   * @throws StoreTrouble where the file stays held, or the disk takes nothing more
   */
  write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  /** Reads, and waits in the same way where that is not possible for the moment. */
  read: <T>(work: (db: Db) => Promise<T>) => Promise<T>;
  /** A number that changes with every write to the file, by this process or another. */
  version: () => Promise<number>;
  /** Whether a write waits for another process at the moment: it needs nothing of this one. */
  isHeld: () => boolean;
  close: () => void;
  /** Waits for the writes under way, folds the log into the file, and closes. */
  foldAndClose: () => Promise<void>;
};

/** So long a write waits for another process’s, ms: then whoever asked hears that it is not saved yet. */
const MOST_WAIT_MS = 2500;
/** How often one looks whether the file is free again, ms: at first, and later. */
const LOOKS_AGAIN_MS = { first: 5, most: 25 };

/**
 * Tries until it is not refused as busy, or the time is over; in between everybody else goes on.
 *
 * @param afresh what has to be done after trouble, before anything is tried again; told whether it was busy
 */
export async function whenFree<T>(
  work: () => Promise<T>,
  until = performance.now() + MOST_WAIT_MS,
  afresh: (isBusy: boolean) => void = () => undefined,
): Promise<T> {
  for (let pause = LOOKS_AGAIN_MS.first; ; pause = Math.min(LOOKS_AGAIN_MS.most, pause * 2))
    try {
      return await work();
    } catch (error) {
      const trouble = troubleOf(error);
      if (trouble) afresh(trouble === "busy");
      if (trouble !== "busy" || performance.now() + pause > until) throw asTrouble(error);
      await sleep(pause);
    }
}

/**
 * Opens a database, and makes its folder where there is none.
 *
 * @param waitsMs how long a connection waits for another process inside SQLite, ms. The driver is
 *   synchronous: nothing else of this process goes on meanwhile, so only what runs alone may wait there.
 */
export async function openStore(file: string, { waitsMs = 0 } = {}): Promise<Store> {
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  // The client's timeout holds on every pooled connection; a PRAGMA would reach only one.
  const client = createClient({ url: `file:${file}`, timeout: waitsMs, concurrency: 4 });
  await whenFree(() => client.execute("PRAGMA journal_mode = WAL"));
  const db = drizzle(client, { schema });
  // A statement that was refused leaves its connection unable to commit: writes have one of their own, which is
  // then opened anew.
  const writer = createClient({ url: `file:${file}`, timeout: waitsMs, concurrency: 1 });
  const written = drizzle(writer, { schema });
  let last: Promise<unknown> = Promise.resolve();
  let isHeld = false;
  const write: Store["write"] = (work) => {
    // From when it was asked for: it waits for the writes before it too.
    const until = performance.now() + MOST_WAIT_MS;
    const next = last.then(() =>
      whenFree(
        () => written.transaction(work, { behavior: "immediate" }),
        until,
        (isBusy) => {
          isHeld = isBusy;
          writer.reconnect();
        },
      ).finally(() => (isHeld = false)),
    );
    last = next.catch(() => undefined);
    return next;
  };
  const read: Store["read"] = (work) => whenFree(() => work(db));
  // A connection that never writes sees every other one's commits, and nothing of its own.
  const watch = createClient({ url: `file:${file}`, timeout: waitsMs, concurrency: 1 });
  const version = () =>
    whenFree(async () => Number((await watch.execute("PRAGMA data_version")).rows[0]?.[0]));
  const close = () => {
    watch.close();
    writer.close();
    client.close();
  };
  const foldAndClose = async () => {
    await last;
    await client.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    close();
  };
  return { db, client, write, read, version, isHeld: () => isHeld, close, foldAndClose };
}

/** Where the steps to the present schema lie. */
export const MIGRATIONS = "src/db/migrations";

/** Brings a database to the present schema; a failed step leaves it as it was. */
export async function migrateStore(store: Store, folder = MIGRATIONS): Promise<void> {
  await migrate(store.db, { migrationsFolder: folder });
}

// Next keeps several instances of a module; they have to share one client and one queue.
const shared = globalThis as typeof globalThis & { amberStore?: Promise<Store> };

export function sharedStore(file: string): Promise<Store> {
  shared.amberStore ??= openStore(file);
  return shared.amberStore;
}
