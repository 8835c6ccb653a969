import { now } from "@/lib/clock";
import { migrateStore, openStore } from "./client";
import { markOurs, mendTexts, refusedFile, WAITS_MS } from "./file-check";
import journal from "./migrations/meta/_journal.json";

/** A database that is not opened, in one sentence with what to do. */
export class FileIsRefused extends Error {}

/**
 * Brings a database to where the app may work with it, before anything listens: looked at, migrated, marked as
 * ours, and with no text in it that would end the process. Killed on the way it goes on from there the next
 * time.
 *
 * @throws FileIsRefused where the file is not to be opened; it is left as it is
 * @returns how many texts had to be mended
 */
export async function openAndMend(file: string): Promise<number> {
  const refused = await refusedFile(file, journal.entries.length);
  if (refused) throw new FileIsRefused(refused.sentence);
  // Nobody is answered yet: it may wait for another process that starts on the same file.
  const store = await openStore(file, { waitsMs: WAITS_MS });
  try {
    await migrateStore(store);
    await markOurs(store.client);
    const mended = await mendTexts(store.client, now().toISOString());
    if (mended > 0)
      console.error(
        `${mended} ${mended === 1 ? "text was" : "texts were"} no UTF-8: shown as far as readable, kept as they were in the table unreadable_texts.`,
      );
    return mended;
  } finally {
    store.close();
  }
}
