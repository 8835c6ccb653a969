/**
 * A program of its own that reads a file as the app would, before the app does: whoever starts it ends it when
 * it takes too long, and nobody else is held up or taken down by what is in the file.
 *
 * `prepare FILE` brings it to the present schema and reads every home in it; FILE is changed by that.
 * `contents FILE…` says what each holds, and changes none. One line of JSON comes for each file.
 */
import { foreignIn } from "@/db/own-schema";
import { contentsOf, inFile, problemOf } from "@/db/backup";
import { openStore } from "@/db/client";
import journal from "@/db/migrations/meta/_journal.json";
import { oddDayIn } from "@/db/odd-days";
import { openAndMend } from "@/db/open";
import { listHomes, listUnreadable } from "@/db/repositories/homes";
import { todayIn } from "@/lib/clock";
import { readHome } from "@/server/snapshots/read-home";
import { homeStatus } from "@/server/snapshots/snapshot-cache";

/** What keeps a file from being put back; null where every page of it would open. */
async function prepare(file: string): Promise<string | null> {
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

async function main([mode, ...files]: string[]): Promise<void> {
  for (const file of files) {
    const told =
      mode === "prepare"
        ? { problem: await prepare(file) }
        : {
            holds: (await inFile(file, foreignIn).catch(() => "none"))
              ? null
              : await contentsOf(file),
          };
    process.stdout.write(`${JSON.stringify(told)}\n`);
  }
}

main(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
