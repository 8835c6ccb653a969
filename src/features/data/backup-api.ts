import { listHomes } from "@/server/snapshots/beside";
import { mkdtempSync, createReadStream, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import "server-only";
import { dayIn } from "@/core/quantities/plain-date";
import { copyDatabase } from "@/server/snapshots/backup";
import { now } from "@/lib/clock";

/** Everything in one file, as a download; the file on the server goes when it is sent. */
export async function getBackup(): Promise<Response> {
  const [home] = await listHomes();
  const today = dayIn(home?.timeZone ?? "Etc/UTC", now().getTime());
  const folder = mkdtempSync(path.join(tmpdir(), "amber-copy-"));
  const discard = () => rmSync(folder, { recursive: true, force: true });
  try {
    const { file: copy, name } = await copyDatabase(folder, today);
    const file = createReadStream(copy).on("close", discard);
    return new Response(Readable.toWeb(file) as ReadableStream<Uint8Array>, {
      headers: {
        "content-type": "application/vnd.sqlite3",
        "content-length": String(statSync(copy).size),
        "content-disposition": `attachment; filename="${name}"`,
        "cache-control": "no-store",
      },
    });
  } catch (error) {
    discard();
    throw error;
  }
}
