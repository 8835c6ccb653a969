import type { JobFact, Procedure } from "./procedure";
import { normalOn } from "../climate/climate";
import { addDays, daysFrom, fromDay, toDay, type PlainDate } from "../quantities/plain-date";
import type { FilterSlot, Part, Unit } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";

/** Where a job is done. */
export type At = {
  unit?: Unit | undefined;
  slot?: FilterSlot | undefined;
  part?: Part | undefined;
};

/**
 * What is true of the place a job is done at: the slot or part, its machine, what else is in that.
 *
 * @param house what there is beside it
 * @param isStored put away for a season, its plug pulled
 * @example factsOf({ units: [], slots: [], parts: [] }, {}).includes("in-use") // true
 */
export function factsOf(
  { units, slots, parts }: Pick<HomeSnapshot, "units" | "slots" | "parts">,
  { unit, slot, part }: At,
  isStored = false,
): JobFact[] {
  const has = (kind: string) =>
    parts.some((each) => each.unitId === unit?.id && each.kind === kind);
  const ofItsAir = new Set(
    units.filter(({ systemId }) => systemId === unit?.systemId).map(({ id }) => id),
  );
  // The door of a blower stops it while it is open, whether or not somebody wrote its switch down: nothing
  // turns while one looks in, and where it does turn no hand belongs in there.
  const isBehindDoor = slot?.slotPlace === "blower-compartment";
  const isUnknown = slot?.direction === "unknown";
  const water = part?.attributes["system"] ?? unit?.attributes["water"];
  const isWet = unit?.kind === "boiler" || part?.kind === "magnetic-filter";
  const facts: [boolean | undefined, JobFact][] = [
    [isUnknown && !isBehindDoor, "direction-unknown"],
    [isUnknown && isBehindDoor, "direction-behind-door"],
    [isUnknown, "direction-unasked"],
    [slot && !slot.opening && !slot.measured, "size-unknown"],
    [slot?.indicator, "has-indicator"],
    [slot?.cutToSize, "cut-to-size"],
    [slot && slot.filterCount > 1, "bank"],
    [water === "header-tank", "header-tank"],
    [isWet && water !== "header-tank", "sealed-system"],
    [part?.attributes["top"] === "off", "top-comes-off"],
    [slots.length > 0, "has-filters"],
    [has("door-switch"), "door-switch"],
    [has("plastic-vent"), "plastic-vent"],
    [has("metal-vent"), "metal-vent"],
    [has("float-switch"), "has-float"],
    [has("alarm-display"), "has-display"],
    [has("belt"), "belt-drive"],
    [Number(unit?.attributes["heads"] ?? "1") > 1, "several-heads"],
    [slot?.slotPlace === "wall-grille" || slot?.slotPlace === "ceiling-grille", "in-grille"],
    [has("batteries") && unit?.attributes["power"] !== "wired", "on-batteries"],
    [unit?.kind === "thermostat", "keeps-settings"],
    [part?.attributes["intake-box"] === "owner", "owner-opens-box"],
    [part?.attributes["coil-comes-out"] === "flexes", "coil-eases-out"],
    [part?.attributes["coil-comes-out"] !== "flexes", "coil-fixed"],
    [
      parts.some(({ unitId, kind }) => kind === "heat-exchanger" && ofItsAir.has(unitId)),
      "has-exchanger",
    ],
    [isStored, "stored"],
    [!isStored, "in-use"],
  ];
  return facts.flatMap(([isSo, fact]) => (isSo ? [fact] : []));
}

/** A day's mean that was observed counts for this many days, before the usual one is better. */
const OBSERVED_DAYS = 2;

export type Mildness = {
  /** What the day has, as observed or as is usual, °C: its mean, or its afternoon's. */
  meanC: number;
  isObserved: boolean;
  isMild: boolean;
  /** The next day that usually is mild enough, when this one is not. */
  from: PlainDate | null;
};

/**
 * Whether a day is likely to be as warm as a job wants it, °C.
 *
 * @example mildnessOf(snapshot([]), { leastC: -60 }, today).isMild // true
 */
export function mildnessOf(
  snapshot: HomeSnapshot,
  { leastC, at }: Pick<NonNullable<Procedure["mildDay"]>, "leastC" | "at">,
  today: PlainDate,
): Mildness {
  const { climate } = snapshot.home;
  const seen = snapshot.actuals.at(-1);
  const isObserved = seen !== undefined && daysFrom(seen.date, today) <= OBSERVED_DAYS;
  const { dailyRangeC } = climate;
  // An afternoon is warmer than its day’s mean by half of what the day ranges over.
  const warmer = (day: number) =>
    at !== "afternoon"
      ? 0
      : (typeof dailyRangeC === "number" ? dailyRangeC : normalOn(dailyRangeC, day)) / 2;
  const usual = (day: number) => normalOn(climate.monthlyMeanC, day) + warmer(day);
  const meanC = isObserved ? seen.meanC + warmer(toDay(seen.date)) : usual(toDay(today));
  const isMild = meanC >= leastC;
  const first = toDay(today) + 1;
  const ahead = Array.from({ length: 365 }, (_, i) => first + i);
  const from = isMild ? undefined : ahead.find((day) => usual(day) >= leastC);
  return { meanC, isObserved, isMild, from: from === undefined ? null : fromDay(from) };
}

/**
 * Jobs of the same air that were done on this day, as `kind of part:key`.
 *
 * @example doneToday(snapshot([]), undefined, today).size // 0
 */
export function doneToday(
  snapshot: HomeSnapshot,
  unit: Unit | undefined,
  today: PlainDate,
): Set<string> {
  const kinds = new Map(snapshot.parts.map((part) => [part.id, part.kind]));
  const systems = new Map(snapshot.units.map((each) => [each.id, each.systemId]));
  return new Set(
    snapshot.history
      .ofKind("done")
      .flatMap(({ date, unitId, partId, taskKey }) =>
        date === today && systems.get(unitId ?? "") === unit?.systemId
          ? [`${kinds.get(partId ?? "")}:${taskKey}`]
          : [],
      ),
  );
}

/** When a deferred job is usually tried again, days. */
const TRY_AGAIN_DAYS = 7;
/**
 * The day on which a job that was not possible is usually tried again.
 *
 * @example tryAgainOn("2026-03-14") // "2026-03-21"
 */
export const tryAgainOn = (today: PlainDate): PlainDate => addDays(today, TRY_AGAIN_DAYS);

/**
 * Whether any of its steps is for a licensed person alone.
 *
 * @example needsLicence({ who: "licensed", steps: [] }) // true
 */
export const needsLicence = ({ who, steps }: Procedure): boolean =>
  who === "licensed" || steps.some((step) => step.who === "licensed");
