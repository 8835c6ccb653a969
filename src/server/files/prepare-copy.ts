import { inFile, problemOf } from "@/db/backup";
import { openStore } from "@/db/client";
import journal from "@/db/migrations/meta/_journal.json";
import { oddDayIn } from "@/db/odd-days";
import { openAndMend } from "@/db/open";
import { foreignIn } from "@/db/own-schema";
import { listHomes, listUnreadable } from "@/db/repositories/homes";
import { todayIn } from "@/lib/clock";
import { readHome } from "../snapshots/read-home";
import { homeStatus } from "../snapshots/snapshot-cache";

/**
 * Brings a file to the present schema and reads it as the app would: whole, nothing in it that runs by itself, each
 * day one, and every home to the dates of its jobs.
 *
 * @returns what keeps it from being put back, in words; null where every page of it would open
 */
export async function prepareCopy(file: string): Promise<string | null> {
  const problem =
    (await problemOf(file, journal.entries.length)) ?? (await inFile(file, foreignIn));
  if (problem) return problem;
  await openAndMend(file);
  const store = await openStore(file);
  try {
    const odd = await oddDayIn(store.client);
    if (odd) return odd;
    const [unreadable] = await store.read(listUnreadable);
    if (unreadable) return `its home “${unreadable.name}” cannot be read: ${unreadable.why}`;
    for (const { id, name, timeZone } of await store.read(listHomes))
      try {
        const read = await store.read((db) => readHome(db, id));
        const status = homeStatus(read!.snapshot, todayIn(timeZone));
        // What every page of it shows.
        void [status.jobs, status.filters, status.lintel];
      } catch (error) {
        console.error(error);
        return `its home “${name}” cannot be read: something in it has no meaning`;
      }
    return null;
  } finally {
    store.close();
  }
}
