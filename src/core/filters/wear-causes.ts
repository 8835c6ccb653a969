import { z } from "zod";
import { fromDay, toDay } from "../quantities/plain-date";
import { dateSchema } from "../quantities/schemas";
import { atMost, reaches, roundPercent } from "../quantities/rounding";
import { clampDust, driverFactors, type Driver } from "./drivers";
import { paceNow } from "./wear";
import {
  ageDueIndex,
  bearsOn,
  decisiveDay,
  keptOf,
  NO_RELIEF,
  NO_WEATHER,
  penetration,
  ratedHours,
  seenFullOn,
  wearingHours,
  weatherOf,
} from "./wear-course";
import type { WearInput } from "./wear-schema";

/** What can set a due day apart from the book's, in the order that settles ties. */
export const CAUSES = ["driver", "weather", "place", "breathing", "relief", "look"] as const;

const causeSchema = z.strictObject({
  cause: z.enum(CAUSES),
  /** Of a driver that carries one. */
  id: z.string().optional(),
  /** Of a driver; “other” for several small ones together. */
  kind: z.string().optional(),
  /** Days by which it brings the due day nearer; later below 0. */
  days: z.number().int().nullable(),
  /** Percent of load it adds by the likely day. */
  points: z.number().nullable(),
});
const maybeDate = dateSchema.nullable();
export const wearCausesOutput = z.strictObject({
  bookDue: maybeDate,
  likely: maybeDate,
  totalDays: z.number().int().nullable(),
  causes: z.array(causeSchema),
});
export type WearCause = z.output<typeof causeSchema>;
export type WearCauses = z.output<typeof wearCausesOutput>;

/** More players than these are too many to tell apart, and to work out. */
const MOST_PLAYERS = 8;

type Player = {
  cause: (typeof CAUSES)[number];
  /** Of drivers: which of those that act. */
  drivers: readonly number[];
  id?: string | undefined;
  kind?: string | undefined;
};

/** A due day, as an index from fitting, and the load on the likely day. */
type Worth = { day: number; percent: number };

type Dust = { driver: Driver; factors: Float64Array };

/** What every evaluation walks along: worked out once. */
type Ground = {
  input: WearInput;
  rated: number;
  lnK: number;
  hours: { normal: Float64Array; real: Float64Array };
  /** By weather and breathing: when age sets the day. */
  ageDue: (isReal: boolean, isShort: boolean) => number | null;
  dust: readonly Dust[];
  /** The index of the first look that saw it full. */
  seenFull: number | null;
  /** The index of the likely day, once it is known. */
  likely: number | null;
};

function groundOf(input: WearInput): Ground {
  const fitted = toDay(input.fittedOn);
  const last = decisiveDay(input);
  const hasWeather = input.actuals.length > 0 || input.measured.length > 0;
  const normal = wearingHours(input, NO_WEATHER, fitted, last);
  const real = hasWeather ? wearingHours(input, weatherOf(input), fitted, last) : normal;
  const ages = [normal, real].map((hours) =>
    [1, input.lifeShare].map((share) => ageDueIndex(input, hours, fitted, share)),
  );
  const { airSide } = input.slot;
  const drivers = input.drivers.filter((driver) => bearsOn(input.slot, driver));
  return {
    input,
    rated: ratedHours(input.slot),
    lnK: paceNow(input).lnK,
    hours: { normal, real },
    ageDue: (isReal, isShort) => ages[isReal ? 1 : 0]![isShort ? 1 : 0]!,
    dust: drivers.map((driver) => ({
      driver,
      factors: driverFactors(driver, airSide, fitted, normal.length, input.climate),
    })),
    seenFull: seenFullOn(input),
    likely: null,
  };
}

/** The factors of the drivers that act, those of one kind together: of them the strongest counts. */
function byKind(dust: readonly Dust[]): Float64Array[][] {
  const kinds = new Map<string, Float64Array[]>();
  for (const { driver, factors } of dust)
    kinds.set(driver.kind, [...(kinds.get(driver.kind) ?? []), factors]);
  return [...kinds.values()];
}

const strongest = (factors: readonly Float64Array[], i: number): number => {
  let most = factors[0]![i]!;
  for (let j = 1; j < factors.length; j++)
    if (Math.abs(factors[j]![i]! - 1) > Math.abs(most - 1)) most = factors[j]![i]!;
  return most;
};

/** When the part is due, and how full on the likely day, with only these players acting. */
function worthOf(ground: Ground, players: readonly Player[]): Worth {
  const has = (cause: Player["cause"]) => players.some((player) => player.cause === cause);
  const { input, rated, dust } = ground;
  const isReal = has("weather");
  const isShort = has("breathing");
  const hours = isReal ? ground.hours.real : ground.hours.normal;
  const acting = new Set(players.flatMap(({ drivers }) => drivers));
  const kinds = byKind(dust.filter((_, nth) => acting.has(nth)));
  const k = has("place") ? Math.exp(ground.lnK) : 1;
  const dueAt = isShort ? input.lifeShare : 1;
  const kept = has("relief") ? keptOf(input) : NO_RELIEF;
  const from = Math.max(0, ...kept.keys());
  const tooOld = ground.ageDue(isReal, isShort);
  const full = has("look") ? ground.seenFull : null;
  const past = penetration(input.slot);
  const seen = ground.likely ?? -1;

  let day: number | null = null;
  let percent = 0;
  let sum = 0;
  for (let i = 0; i < hours.length && (day === null || i <= seen); i++) {
    sum *= kept.get(i) ?? 1;
    const load = (k * sum) / rated;
    if (i === seen) percent = (100 * load) / dueAt;
    if (day === null && (i === tooOld || i === full || (i >= from && reaches(load, dueAt))))
      day = i;
    let multiplier = 1;
    for (const factors of kinds) multiplier *= strongest(factors, i);
    sum += hours[i]! * clampDust(multiplier) * past;
  }
  return { day: day ?? hours.length, percent };
}

const isSame = (a: Worth, b: Worth): boolean =>
  a.day === b.day && reaches(a.percent, b.percent) && atMost(a.percent, b.percent);

/** The drivers that act before the later of the book's day and the likely one, then all the rest. */
function playersOf(ground: Ground, until: number): Player[] {
  const drivers = ground.dust.flatMap(({ driver: { id, kind }, factors }, nth): Player[] =>
    factors.subarray(0, until).some((factor) => factor !== 1)
      ? [{ cause: "driver", drivers: [nth], id, kind }]
      : [],
  );
  const others = CAUSES.filter((cause) => cause !== "driver");
  return [...drivers, ...others.map((cause): Player => ({ cause, drivers: [] }))];
}

/** Leaves out who changes nothing, alone or in company, and joins the least drivers of too many. */
function whoCounts(ground: Ground, players: readonly Player[], none: Worth, all: Worth): Player[] {
  const rows = players.flatMap((player, nth) => {
    const without = worthOf(
      ground,
      players.filter((each) => each !== player),
    );
    if (isSame(worthOf(ground, [player]), none) && isSame(without, all)) return [];
    const effect = [Math.abs(without.day - all.day), Math.abs(without.percent - all.percent)];
    return [{ player, nth, effect }];
  });
  const tooMany = rows.length - MOST_PLAYERS;
  if (tooMany <= 0) return rows.map(({ player }) => player);
  const least = rows
    .filter(({ player }) => player.cause === "driver")
    .sort((a, b) => a.effect[0]! - b.effect[0]! || a.effect[1]! - b.effect[1]! || b.nth - a.nth)
    .slice(0, tooMany + 1)
    .map(({ player }) => player);
  const kept = rows.map(({ player }) => player).filter((player) => !least.includes(player));
  const joined: Player = {
    cause: "driver",
    drivers: least.flatMap(({ drivers }) => drivers),
    kind: "other",
  };
  const firstOther = kept.findIndex(({ cause }) => cause !== "driver");
  const at = firstOther === -1 ? kept.length : firstOther;
  return [...kept.slice(0, at), joined, ...kept.slice(at)];
}

/** Each player's fair share of what all together change: the mean over every order of joining in. */
function sharesOf(ground: Ground, players: readonly Player[]): Worth[] {
  const n = players.length;
  const worth = Array.from({ length: 2 ** n }, (_, set) =>
    worthOf(
      ground,
      players.filter((__, i) => set & (1 << i)),
    ),
  );
  const factorial = [1];
  for (let i = 1; i <= n; i++) factorial.push(factorial[i - 1]! * i);
  const sizeOf = (set: number) => players.filter((_, i) => set & (1 << i)).length;
  const weights = worth.map((_, set) => {
    const size = sizeOf(set);
    return size === n ? 0 : (factorial[size]! * factorial[n - size - 1]!) / factorial[n]!;
  });
  return players.map((_, i) => {
    const share = { day: 0, percent: 0 };
    for (let set = 0; set < worth.length; set++) {
      if (set & (1 << i)) continue;
      const [before, after] = [worth[set]!, worth[set | (1 << i)]!];
      share.day += weights[set]! * (before.day - after.day);
      share.percent += weights[set]! * (after.percent - before.percent);
    }
    return share;
  });
}

/** The last bits of a sum must not decide who gets a day. */
const ROUNDING = 1e-9;

/**
 * Shares in whole days that add up: each rounded down, and what is left over goes to the largest
 * remainders, of equal ones to the first.
 *
 * @example wholeDays([8.5, 11.5], 20) // [9, 11]
 */
export function wholeDays(shares: readonly number[], total: number): number[] {
  const days = shares.map((share) => Math.floor(share + ROUNDING));
  const left = total - days.reduce((sum, each) => sum + each, 0);
  const order = shares
    .map((share, i) => ({ i, rest: share - days[i]! }))
    .sort((a, b) => (Math.abs(a.rest - b.rest) < ROUNDING ? a.i - b.i : b.rest - a.rest));
  for (const { i } of order.slice(0, left)) days[i]!++;
  return days;
}

/**
 * What sets the likely day apart from the book's, as causes that add up to the whole difference: each
 * gets the mean of what it changes over every order in which the causes may be thought to join in
 * (Shapley values). Days by which one brings the due day nearer are above 0; points are the percent of
 * load it adds by the likely day.
 *
 * @source docs/sources.md#wear-causes
 * @example wearCauses(asked).causes // []
 */
export function wearCauses(input: WearInput): WearCauses {
  const fitted = toDay(input.fittedOn);
  const ground = groundOf(input);
  const end = ground.hours.normal.length;
  const everybody = playersOf(ground, end);
  const dueWith = (players: readonly Player[]): number | null => {
    const { day } = worthOf(ground, players);
    return day < end ? day : null;
  };
  const book = dueWith([]);
  const due = dueWith(everybody);
  ground.likely = due;
  const [none, all] = [worthOf(ground, []), worthOf(ground, everybody)];
  const players = playersOf(ground, Math.max(none.day, all.day));
  const counted = whoCounts(ground, players, none, all);
  const shares = sharesOf(ground, counted);
  const totalDays = book === null || due === null ? null : book - due;
  const days =
    totalDays === null
      ? null
      : wholeDays(
          shares.map(({ day }) => day),
          totalDays,
        );
  const causes = counted.map(({ cause, id, kind }, i): WearCause & { nth: number } => ({
    cause,
    ...(id === undefined ? {} : { id }),
    ...(kind === undefined ? {} : { kind }),
    days: days && days[i]!,
    points: due === null ? null : roundPercent(shares[i]!.percent),
    nth: i,
  }));
  causes.sort(
    (a, b) =>
      Math.abs(b.days ?? 0) - Math.abs(a.days ?? 0) ||
      Math.abs(b.points ?? 0) - Math.abs(a.points ?? 0) ||
      a.nth - b.nth,
  );
  const dateAt = (day: number | null) => (day === null ? null : fromDay(fitted + day));
  return {
    bookDue: dateAt(book),
    likely: dateAt(due),
    totalDays,
    causes: causes.map(({ nth: _, ...cause }) => cause),
  };
}
