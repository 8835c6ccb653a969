import { createHash } from "node:crypto";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

/** How the folders of copies begin that are made of one database to be sent: two servers keep out of each other’s. */
const startOf = (database: string): string => {
  const name = createHash("sha256").update(path.resolve(database)).digest("hex").slice(0, 12);
  return `amber-copy-${name}-`;
};

/** A folder for a copy that is about to be sent. */
export const copyFolder = (database: string, where = tmpdir()): string =>
  mkdtempSync(path.join(where, startOf(database)));

/** Takes away what a server of the same database left that was killed while it made a copy. */
export function sweepCopies(database: string, where = tmpdir()): void {
  for (const name of readdirSync(where))
    if (name.startsWith(startOf(database)))
      rmSync(path.join(where, name), { recursive: true, force: true });
}
