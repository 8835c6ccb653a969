import type { PlainDate } from "../quantities/plain-date";
import { FINAL_RATIO } from "./belief";
import type { Driver, DriverKind } from "./drivers";
import { isPaper } from "./media";
import { airflowThrough, faceAreaM2 } from "./slot-airflow";
import { SHORTER_LIFE_SHARE, type PlaceContext, type InstalledPeriod } from "./place-history";
import { RELIEF_SHARE, type Relief, type WearLook, type WearSlot } from "./wear-schema";
import { driverSchema } from "./drivers";
import { ductCleanings } from "../history/duct-cleanings";
import { hoursOf } from "./hours-away";
import type { AirSystem, FilterSlot, Item, ScopedDriver, Unit } from "../inventory/inventory";
import type { HistoryEvent } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";

/** A place in a machine that air wears: a filter's slot, or a coil. */
export type WearPlace = { id: string; unitId: string; roomId?: string };

/** Whether a driver's scope takes in a place of an air system. */
function reaches(
  driver: ScopedDriver,
  place: WearPlace,
  roomId: string | undefined,
  systemId: string,
): boolean {
  switch (driver.scope) {
    case "home":
      return true;
    case "room":
      return driver.roomId === roomId;
    case "system":
      return driver.systemId === systemId;
    case "part":
      return driver.partId === place.id;
  }
}

type DustDriver = ScopedDriver & { kind: DriverKind };
const isDust = (driver: ScopedDriver): driver is DustDriver =>
  driver.kind !== "breathing-trouble" && driver.kind !== "away";

/**
 * A driver of the inventory in the form in which the wear engine takes it: without its id and scope.
 *
 * @example engineDriver({ id: "a", scope: "home", kind: "moved-in", from: "2026-01-01" }) // {"id":"a","kind":"moved-in","on":"2026-01-01"}
 */
export function engineDriver(driver: DustDriver): Driver {
  const { id, kind, count, fraction, from, to } = driver;
  const dated = kind === "duct-cleaning" || kind === "moved-in";
  return driverSchema.parse({
    id,
    kind,
    ...(count === undefined ? {} : { count }),
    ...(fraction === undefined ? {} : { fraction }),
    ...(dated ? { on: from } : { from, to }),
  });
}

/**
 * The drivers that bear on a place, in the order in which they are stored: of its home, its air system,
 * its room and itself. Each keeps its id, by which the reasons name it.
 *
 * @example driversOf(snapshot([]), slot()) // []
 */
export function driversOf(snapshot: HomeSnapshot, place: WearPlace): ScopedDriver[] {
  const unit = snapshot.units.find((each) => each.id === place.unitId);
  const roomId = place.roomId ?? unit?.roomId;
  return snapshot.drivers.filter((driver) => reaches(driver, place, roomId, unit?.systemId ?? ""));
}

/** Whether somebody whose breathing is troubled breathes what this filter lets through, today. */
function sparesLungs(drivers: readonly ScopedDriver[], slot: FilterSlot, today: PlainDate) {
  return (
    slot.airSide !== "extract" &&
    slot.media !== "humidifier-panel" &&
    drivers.some(
      ({ kind, from, to }) =>
        kind === "breathing-trouble" &&
        (from === undefined || from <= today) &&
        (to === undefined || to >= today),
    )
  );
}

/**
 * The air system a unit belongs to; none where it moves air of its own.
 *
 * @example systemOf({ systems: [{ id: "air" }] }, { systemId: "air" }) // {"id":"air"}
 */
export const systemOf = (snapshot: HomeSnapshot, unit: Unit): AirSystem | undefined =>
  snapshot.systems.find((each) => each.id === unit.systemId);

/** The dust of duct cleanings that are in the record, where air of ducts passes. */
function ductDust(snapshot: HomeSnapshot, system: AirSystem): Driver[] {
  if (!system.ducted) return [];
  return ductCleanings(snapshot).map((on) => ({ kind: "duct-cleaning", on, id: `ducts-${on}` }));
}

/**
 * All that wear in one place depends on apart from what was done there: climate, equipment, drivers,
 * hours. Plain data, worked out from one snapshot.
 *
 * @throws where its unit moves no air: a mistake of ours, the store lets no slot be there
 * @example contextOf(snapshot([]), slot(), today).lifeShare // 1
 */
export function contextOf(
  snapshot: HomeSnapshot,
  place: WearPlace,
  today: PlainDate,
): PlaceContext {
  const unit = snapshot.units.find((each) => each.id === place.unitId);
  const system = unit && systemOf(snapshot, unit);
  if (!system) throw new Error(`contextOf: ${place.id} has no air system`);
  const drivers = driversOf(snapshot, place);
  const slot = snapshot.slots.find((each) => each.id === place.id);
  return {
    climate: snapshot.home.climate,
    actuals: snapshot.actuals,
    equipment: system.equipment,
    measured: hoursOf(snapshot, system, drivers),
    drivers: [...drivers.filter(isDust).map(engineDriver), ...ductDust(snapshot, system)],
    lifeShare: slot && sparesLungs(drivers, slot, today) ? SHORTER_LIFE_SHARE : 1,
  };
}

function wearSlotOf(
  slot: FilterSlot,
  item: Item | undefined,
  airflowM3h: number | undefined,
): WearSlot {
  return {
    media: item?.media ?? slot.media,
    rating: item ? item.rating : slot.rating,
    airSide: slot.airSide,
    faceAreaM2: faceAreaM2(slot),
    airflowM3h,
    baseHours: slot.baseHours,
    maxAgeDays: slot.maxAgeDays,
    agesInUse: isPaper(item?.media ?? slot.media),
    cleanDropPa: slot.cleanDropPa,
    finalRatio: FINAL_RATIO,
    upstream: undefined,
  };
}

/** The job of vacuuming a filter where it sits: it stays the same filter, with less in it. */
export const VACUUM = "vacuum";

/**
 * Whether an entry says that the light of a filter came on.
 *
 * @example isLightOn(event("note", 0)) // false
 */
export const isLightOn = ({ kind, reading }: HistoryEvent): boolean =>
  kind === "reading" && reading?.kind === "indicator-light" && reading.value === "on";

/** What the light of a filter says as a look: its maker lets it come on when little of its life is left. */
export const LIT_GRADE = "loaded";

/** What begins at a day: a filter fitted, a coil clean. */
export type Start = { date: PlainDate; slot: WearSlot };

/**
 * From each start to the next, with the looks and reliefs between. The look at the old filter on the day
 * of the change belongs to the old one; a relief of that day to neither.
 *
 * @param starts, looks, reliefs each in the order of their days
 * @example periodsBetween([{ date: today }], [{ date: day(1) }], [])[0].looks.length // 1
 */
export function periodsBetween(
  starts: readonly Start[],
  looks: readonly WearLook[],
  reliefs: readonly Relief[],
): InstalledPeriod[] {
  const periods = starts.map(({ date, slot }): InstalledPeriod => ({
    startedOn: date,
    slot,
    looks: [],
    reliefs: [],
  }));
  /** Hands each entry to the last period that began before its day. */
  const deal = <T extends { date: PlainDate }>(
    entries: readonly T[],
    give: (period: InstalledPeriod, entry: T, next: InstalledPeriod | undefined) => void,
  ) => {
    let after = 0;
    for (const entry of entries) {
      while (after < periods.length && periods[after]!.startedOn < entry.date) after++;
      if (after > 0) give(periods[after - 1]!, entry, periods[after]);
    }
  };
  deal(looks, (period, look) => period.looks.push(look));
  deal(reliefs, (period, relief, next) => {
    if (relief.date !== next?.startedOn) period.reliefs.push(relief);
  });
  return periods;
}

/**
 * From each fitting or cleaning of a slot to the next, with the looks and reliefs between.
 *
 * @example installedPeriodsOf(snapshot([event("fitted", -3)]), slot())[0].startedOn // "2026-03-11"
 */
export function installedPeriodsOf(snapshot: HomeSnapshot, slot: FilterSlot): InstalledPeriod[] {
  const history = snapshot.history.ofPart(slot.id);
  const airflowM3h = airflowThrough(snapshot, slot);
  const items = new Map(
    snapshot.items.flatMap((item) => (item.partId === slot.id ? [[item.id, item]] : [])),
  );
  // The user can tell a slot to forget its looks; looks recorded before that teach nothing.
  const forgotten = history.findLast((event) => event.kind === "forgotten")?.recordedAt ?? "";
  const starts: Start[] = [];
  const looks: WearLook[] = [];
  const reliefs: Relief[] = [];
  // A look at the new one on the day it went in is too soon to say anything of it.
  const fittings = new Set(
    history.flatMap(({ kind, date, itemId }) => (kind === "fitted" ? [`${date} ${itemId}`] : [])),
  );
  const isAtNew = ({ date, itemId }: HistoryEvent) =>
    itemId !== undefined && fittings.has(`${date} ${itemId}`);
  for (const event of history) {
    const { kind, date, itemId, look, recordedAt, taskKey } = event;
    if (kind === "fitted" || kind === "cleaned")
      starts.push({ date, slot: wearSlotOf(slot, items.get(itemId ?? ""), airflowM3h) });
    else if (kind === "done" && taskKey === VACUUM) reliefs.push({ date, share: RELIEF_SHARE });
    else if (recordedAt > forgotten && isLightOn(event))
      looks.push({ date, grade: LIT_GRADE, pressureDropPa: undefined });
    else if (kind === "look" && recordedAt > forgotten && !isAtNew(event)) {
      // A pressure drop can only be compared with that of a clean filter. Until that is written down the
      // drop is left out, and it counts again afterwards.
      const pressureDropPa = slot.cleanDropPa === undefined ? undefined : look?.pressureDropPa;
      if (look?.grade !== undefined || pressureDropPa !== undefined)
        looks.push({ date, grade: look?.grade, pressureDropPa });
    }
  }
  return periodsBetween(starts, looks, reliefs);
}
