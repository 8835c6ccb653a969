import { isStoreTrouble, StoreTrouble, type Trouble } from "@/lib/store-trouble";

/** What SQLite calls each, in its code or, where the driver hands on only words, in those. */
const SIGNS: readonly (readonly [Trouble, RegExp])[] = [
  ["busy", /SQLITE_(BUSY|LOCKED)|database (table )?is locked/],
  ["full", /SQLITE_FULL|database or disk is full|ENOSPC/],
  // A log that cannot grow is told as a failed write of any kind.
  ["unwritable", /SQLITE_(READONLY|IOERR|CANTOPEN)|disk I\/O error|attempt to write a readonly/],
];

/** What an error of the database means for whoever asked; null where it is a mistake of ours. */
export function troubleOf(error: unknown): Trouble | null {
  for (let each = error; each instanceof Error; each = each.cause) {
    const said = `${"code" in each ? String(each.code) : ""} ${each.message}`;
    const sign = SIGNS.find(([, words]) => words.test(said));
    if (sign) return sign[0];
  }
  return null;
}

/** The same error, as trouble of the database where it is that. */
export function asTrouble(error: unknown): unknown {
  const trouble = isStoreTrouble(error) ? null : troubleOf(error);
  return trouble ? new StoreTrouble(trouble, error) : error;
}
