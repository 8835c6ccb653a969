import { cache } from "react";
import type { HomeBook } from "@/core/inventory/inventory";
import { appStore } from "./app-store";
import { readHomeBook, type ReadBook } from "./repositories/home-book";

type Shelved = { version: number; read: Promise<ReadBook | null> };

// Next keeps several instances of a module; they have to share one shelf.
const shared = globalThis as typeof globalThis & { amberBooks?: Map<string, Shelved> };
const shelf = (shared.amberBooks ??= new Map<string, Shelved>());

/**
 * A home's book, read once for everything that shows it in one request, and kept until the database
 * has changed, by whatever process. It may be thrown away at any time.
 */
export const homeBook = cache(async (homeId: string): Promise<HomeBook | null> => {
  const { db, version } = await appStore();
  // Taken before the reading: a write in between makes the next request read again.
  const now = await version();
  const shelved = shelf.get(homeId);
  if (shelved?.version === now) return (await shelved.read)?.book ?? null;
  const earlier = shelved ? await shelved.read.catch(() => null) : null;
  const read = readHomeBook(db, homeId, earlier);
  shelf.set(homeId, { version: now, read });
  try {
    return (await read)?.book ?? null;
  } catch (error) {
    shelf.delete(homeId);
    throw error;
  }
});
