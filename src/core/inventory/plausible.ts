import { addDays, readPlainDate, type PlainDate } from "../quantities/plain-date";
import type { Unit } from "./inventory";

/** A slot may be older than the machine that was put to it, by no more than this, days. Our choice. */
const OLDER_BY_DAYS = 366;

/**
 * The day before which nothing can have been fitted in a unit: long before it was made or came here.
 * Null where neither is known.
 *
 * @example earliestInstallation({ attributes: {} }) // null
 */
export function earliestInstallation(
  unit: Pick<Unit, "fittedOn" | "attributes">,
): PlainDate | null {
  const made = readPlainDate(unit.attributes["made-on"] ?? "") ?? unit.fittedOn;
  return made ? addDays(made, -OLDER_BY_DAYS) : null;
}
