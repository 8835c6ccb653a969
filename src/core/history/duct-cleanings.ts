import type { PlainDate } from "../quantities/plain-date";
import type { HomeBook } from "../inventory/inventory";
import { historyOf } from "./record";

/** Parts whose cleaning stirs up what lies in all the ducts. */
const DUCT_KINDS: readonly string[] = ["supply-run", "return-run", "trunk"];
export const CLEAN_DUCTS = "clean";

/** The days on which ducts were cleaned, as the record of their parts tells; each day once. */
export function ductCleanings(book: HomeBook): PlainDate[] {
  const days = book.parts
    .filter(({ kind }) => DUCT_KINDS.includes(kind))
    .flatMap(({ id }) => historyOf(book, id))
    .filter(({ kind, taskKey }) => kind === "done" && (taskKey ?? CLEAN_DUCTS) === CLEAN_DUCTS)
    .map(({ date }) => date);
  return [...new Set(days)].sort();
}
