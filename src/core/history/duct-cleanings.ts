import type { PlainDate } from "../quantities/plain-date";
import type { HomeSnapshot } from "./home-snapshot";

/** Parts whose cleaning stirs up what lies in all the ducts. */
const DUCT_KINDS: readonly string[] = ["supply-run", "return-run", "trunk"];
export const CLEAN_DUCTS = "clean";

/**
 * The days on which ducts were cleaned, as the record of their parts tells; each day once, soonest
 * first. From then on the dust they held no longer loads a filter.
 *
 * @example ductCleanings(snapshot([])) // []
 */
export function ductCleanings({ parts, history }: HomeSnapshot): PlainDate[] {
  const ducts = new Set(parts.flatMap(({ id, kind }) => (DUCT_KINDS.includes(kind) ? id : [])));
  const days = history
    .ofKind("done")
    .filter(
      ({ partId, taskKey }) =>
        partId !== undefined && ducts.has(partId) && (taskKey ?? CLEAN_DUCTS) === CLEAN_DUCTS,
    )
    .map(({ date }) => date);
  return [...new Set(days)].sort();
}
