import "server-only";
import { backUp, copyName } from "@/db/backup";
import type { PlainDate } from "@/core/quantities/plain-date";
import { readEnv } from "@/lib/env";

/** Copies the running database into a folder; answers the file and what it is called. */
export async function copyDatabase(
  folder: string,
  today: PlainDate,
): Promise<{ file: string; name: string }> {
  const file = await backUp(readEnv(process.env).AMBER_DB, folder, today);
  return { file, name: copyName(today) };
}
