import { runDays, type Measured } from "../climate/run-hours";
import { fromDay, toDay } from "../quantities/plain-date";
import type { AirSystem, ScopedDriver } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";

/** What is taken of the usual hours where nobody said how far the machines were turned down. */
export const USUAL_AWAY_SHARE = 0.5;
/** An absence without an end is counted so far ahead, days. */
const OPEN_END_DAYS = 120;
/** The longest absence that is counted, days: older than any filter. */
const LONGEST_AWAY_DAYS = 3650;

/**
 * The hours a day that a meter of this air system really gave, as they were entered.
 *
 * @example measuredOf({ measured: [{ systemId: "a" }, { systemId: "b" }] }, { id: "b" }) // [{"systemId":"b"}]
 */
export const measuredOf = (snapshot: HomeSnapshot, system: AirSystem): Measured[] =>
  snapshot.measured.filter((entry) => entry.systemId === system.id);

/**
 * The hours of the days on which the house is left alone: the model’s, at the share its machines are
 * left running. They stand before what a meter read, which counts for more.
 */
function hoursAway(
  snapshot: HomeSnapshot,
  system: AirSystem,
  drivers: readonly ScopedDriver[],
): Measured[] {
  return drivers
    .filter(({ kind, from }) => kind === "away" && from !== undefined)
    .flatMap(({ from, to, fraction = USUAL_AWAY_SHARE }) => {
      const last = to ? toDay(to) : toDay(from!) + OPEN_END_DAYS;
      // However long ago it began, no filter is asked about more than this.
      const first = Math.max(toDay(from!), last - LONGEST_AWAY_DAYS);
      const { climate } = snapshot.home;
      const { run } = runDays(climate, snapshot.actuals, system.equipment, [], first, last);
      return Array.from(run, (hours, i) => ({ date: fromDay(first + i), hours: fraction * hours }));
    });
}

/**
 * Every day whose hours are known otherwise than by the model: away, and after that, so that it counts
 * for more, as measured. In hours a day.
 *
 * @example hoursOf(snapshot([]), snapshot([]).systems[0], []) // []
 */
export const hoursOf = (
  snapshot: HomeSnapshot,
  system: AirSystem,
  drivers: readonly ScopedDriver[],
): Measured[] => [...hoursAway(snapshot, system, drivers), ...measuredOf(snapshot, system)];
