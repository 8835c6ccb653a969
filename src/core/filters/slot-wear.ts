import type { PlainDate } from "../quantities/plain-date";
import { isRound } from "../quantities/size";
import { FINAL_RATIO } from "./belief";
import type { Driver, DriverKind } from "./drivers";
import {
  SHORTER_LIFE_SHARE,
  wearOfPlace,
  type PlaceContext,
  type InstalledPeriod,
} from "./place-history";
import { RELIEF_SHARE, type WearResult, type WearSlot } from "./wear-schema";
import { driverSchema } from "./drivers";
import { ductCleanings } from "../history/duct-cleanings";
import { hoursOf } from "./hours-away";
import type { AirSystem, FilterSlot, Item, ScopedDriver, Unit } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";

/** Whether a driver's scope takes in a slot of an air system. */
function reaches(
  driver: ScopedDriver,
  slot: FilterSlot,
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
      return driver.partId === slot.id;
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
 * The dust drivers that bear on a slot, in the order in which they are stored: of its home, its air
 * system, its room and itself. Each keeps its id, by which the reasons name it.
 */
export function driversOf(snapshot: HomeSnapshot, slot: FilterSlot): ScopedDriver[] {
  const unit = snapshot.units.find((each) => each.id === slot.unitId);
  const roomId = slot.roomId ?? unit?.roomId;
  return snapshot.drivers.filter((driver) => reaches(driver, slot, roomId, unit?.systemId ?? ""));
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
 * All that wear in one slot depends on apart from what was done there: climate, equipment, drivers,
 * hours. Plain data, worked out from one snapshot.
 */
export function contextOf(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  today: PlainDate,
): PlaceContext {
  const unit = snapshot.units.find((each) => each.id === slot.unitId);
  const system = unit && systemOf(snapshot, unit);
  if (!system) throw new Error(`contextOf: slot ${slot.id} has no air system`);
  const drivers = driversOf(snapshot, slot);
  return {
    climate: snapshot.home.climate,
    actuals: snapshot.actuals,
    equipment: system.equipment,
    measured: hoursOf(snapshot, system, drivers),
    drivers: [...drivers.filter(isDust).map(engineDriver), ...ductDust(snapshot, system)],
    lifeShare: sparesLungs(drivers, slot, today) ? SHORTER_LIFE_SHARE : 1,
  };
}

const MM2_PER_M2 = 1_000_000;

/**
 * The area that air passes, all filters of the slot together, m².
 *
 * @example faceAreaM2({ filterCount: 2, nominal: { text: "500x500x25", mm: { w: 500, h: 500 } } }) // 0.5
 */
export function faceAreaM2({ filterCount, nominal: { text, mm } }: FilterSlot): number {
  // Through a cylinder air comes from all round.
  const width = isRound(text) ? Math.PI * mm.w : mm.w;
  return (filterCount * width * mm.h) / MM2_PER_M2;
}

function wearSlotOf(slot: FilterSlot, item: Item | undefined): WearSlot {
  return {
    media: item?.media ?? slot.media,
    rating: item ? item.rating : slot.rating,
    airSide: slot.airSide,
    faceAreaM2: faceAreaM2(slot),
    airflowM3h: undefined,
    baseHours: slot.baseHours,
    maxAgeDays: slot.maxAgeDays,
    cleanDropPa: slot.cleanDropPa,
    finalRatio: FINAL_RATIO,
    upstream: undefined,
  };
}

/** The job of vacuuming a filter where it sits: it stays the same filter, with less in it. */
export const VACUUM = "vacuum";

/** From each fitting or cleaning of a part to the next, with the looks and reliefs between. */
export function installedPeriodsOf(snapshot: HomeSnapshot, slot: FilterSlot): InstalledPeriod[] {
  const installedPeriods: InstalledPeriod[] = [];
  const history = snapshot.history.ofPart(slot.id);
  // The user can tell a slot to forget its looks; looks recorded before that teach nothing.
  const forgotten = history.findLast((event) => event.kind === "forgotten")?.recordedAt ?? "";
  const starts = history.filter((event) => event.kind === "fitted" || event.kind === "cleaned");
  starts.forEach((start, i) => {
    const until = starts[i + 1]?.date;
    const item = snapshot.items.find((each) => each.id === start.itemId);
    const looks = history.filter(
      (event) =>
        event.kind === "look" &&
        event.recordedAt > forgotten &&
        event.date > start.date &&
        // The look at the old filter on the day of the change belongs to the old one.
        (until === undefined || event.date <= until),
    );
    const vacuumed = history.filter(
      ({ kind, taskKey, date }) =>
        kind === "done" &&
        taskKey === VACUUM &&
        date > start.date &&
        (until === undefined || date < until),
    );
    installedPeriods.push({
      startedOn: start.date,
      reliefs: vacuumed.map(({ date }) => ({ date, share: RELIEF_SHARE })),
      slot: wearSlotOf(slot, item),
      // A pressure drop can only be compared with that of a clean filter. Until that is written down the
      // drop is left out, and it counts again afterwards.
      looks: looks.flatMap(({ date, look }) => {
        const { grade, pressureDropPa } = look ?? {};
        const pressure = slot.cleanDropPa === undefined ? undefined : pressureDropPa;
        return grade === undefined && pressure === undefined
          ? []
          : [{ date, grade, pressureDropPa: pressure }];
      }),
    });
  });
  return installedPeriods;
}

/**
 * How the filter in a slot stands, with its days; null when none was ever recorded.
 */
export const wearOfSlot = (
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  today: PlainDate,
): WearResult | null =>
  wearOfPlace(contextOf(snapshot, slot, today), installedPeriodsOf(snapshot, slot), today);
