import { mkdtempSync, createReadStream, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import "server-only";
import { dayIn } from "@/core/quantities/plain-date";
import { appStore } from "@/db/app-store";
import { backUp, copyName } from "@/db/backup";
import { listHomes } from "@/db/repositories/homes";
import { now } from "@/lib/clock";
import { readEnv } from "@/lib/env";

/** Everything in one file, as a download; the file on the server goes when it is sent. */
export async function getBackup(): Promise<Response> {
  const { db } = await appStore();
  const [home] = await listHomes(db);
  const today = dayIn(home?.timeZone ?? "Etc/UTC", now().getTime());
  const folder = mkdtempSync(path.join(tmpdir(), "amber-copy-"));
  const discard = () => rmSync(folder, { recursive: true, force: true });
  try {
    const copy = await backUp(readEnv(process.env).AMBER_DB, folder, today);
    const file = createReadStream(copy).on("close", discard);
    return new Response(Readable.toWeb(file) as ReadableStream<Uint8Array>, {
      headers: {
        "content-type": "application/vnd.sqlite3",
        "content-length": String(statSync(copy).size),
        "content-disposition": `attachment; filename="${copyName(today)}"`,
        "cache-control": "no-store",
      },
    });
  } catch (error) {
    discard();
    throw error;
  }
}
