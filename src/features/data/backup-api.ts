import { listHomes } from "@/server/snapshots/beside";
import { rmSync } from "node:fs";
import { open } from "node:fs/promises";
import { Readable } from "node:stream";
import "server-only";
import { dayIn } from "@/core/quantities/plain-date";
import { copyDatabase } from "@/server/snapshots/backup";
import { copyFolder } from "@/lib/copy-folders";
import { readEnv } from "@/lib/env";
import { now } from "@/lib/clock";

/**
 * POST /api/v1/backup: everything in one file, as a download. It is asked for with POST, so that no page of another
 * site makes the server copy everything. The file has no name on the server any more once it is being sent:
 * whatever breaks off, nothing of it is left.
 */
export async function postBackup(): Promise<Response> {
  const [home] = await listHomes();
  const today = dayIn(home?.timeZone ?? "Etc/UTC", now().getTime());
  const folder = copyFolder(readEnv(process.env).AMBER_DB);
  try {
    const { file: copy, name } = await copyDatabase(folder, today);
    const handle = await open(copy);
    const { size } = await handle.stat();
    return new Response(Readable.toWeb(handle.createReadStream()) as ReadableStream<Uint8Array>, {
      headers: {
        "content-type": "application/vnd.sqlite3",
        "content-length": String(size),
        "content-disposition": `attachment; filename="${name}"`,
        "cache-control": "no-store",
      },
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
