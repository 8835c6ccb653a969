import { addDays, daysFrom, toDay, type PlainDate } from "../quantities/plain-date";
import { reaches } from "../quantities/rounding";
import { SEEN_BY_GRADE } from "./belief";
import type { Driver } from "./drivers";
import type { Media } from "./media";
import { MEDIA } from "./media";
import { shortened } from "./place-history";
import { wear } from "./wear";
import type { WearInput } from "./wear-schema";

/** What somebody would like to try at a filter’s place. */
export type WhatIf = {
  /** Shedding animals in all; null as it is. */
  pets: number | null;
  /** Colder, below 0, or warmer than usual from today on, K. */
  warmerK: number;
  /** Another filter, from the next change on; null as it is. */
  media: Media | null;
  /** A look every so many days from today on; null as it is. */
  lookEveryDays: number | null;
};

export type WhatIfResult = {
  early: PlainDate | null;
  likely: PlainDate | null;
  late: PlainDate | null;
  /** Days that a new filter would last, fitted today. */
  newOneLasts: number | null;
  /** Days, as day numbers, with the likely load of each. */
  points: { x: number; y: number }[];
};

function withPets(drivers: readonly Driver[], today: PlainDate, pets: number): Driver[] {
  const others = drivers.filter(({ kind }) => kind !== "shedding-pets");
  const yesterday = addDays(today, -1);
  const before = drivers.flatMap((driver) => {
    if (driver.kind !== "shedding-pets" || (driver.from && driver.from >= today)) return [];
    return [{ ...driver, to: driver.to && driver.to < today ? driver.to : yesterday }];
  });
  return [
    ...others,
    ...before,
    { kind: "shedding-pets", count: pets, from: today, to: undefined, id: undefined },
  ];
}

/** The spread that is left if the filter is looked at every so often until it is due. */
function sdWithLooks(input: WearInput, likely: PlainDate, every: number): number {
  const days = toDay(likely) - toDay(input.today);
  const looks = Math.max(0, Math.floor(days / every));
  // Grey is what most looks before the end show.
  const weight = looks / SEEN_BY_GRADE.grey.s ** 2;
  return 1 / Math.sqrt(1 / input.belief.sd ** 2 + weight);
}

/**
 * When a filter would be due if something about its place were otherwise from today on. What has
 * happened stays as it was; another medium is tried as if it had been fitted when this one was.
 *
 * @param input with its belief as it is today and no looks: nothing is learnt here
 * @param lifeShare the share of its life after which a filter goes here, already taken off `input`
 */
export function whatIf(input: WearInput, change: WhatIf, lifeShare: number): WhatIfResult {
  const { climate } = input;
  const changed: WearInput = {
    ...input,
    climate: {
      ...climate,
      monthlyMeanC: climate.monthlyMeanC.map((mean) => mean + change.warmerK),
    },
    drivers:
      change.pets === null ? input.drivers : withPets(input.drivers, input.today, change.pets),
    slot: change.media === null ? input.slot : slotOf(input, change.media, lifeShare),
  };
  const first = wear(changed);
  const sd =
    change.lookEveryDays !== null && first.likely
      ? sdWithLooks(changed, first.likely, change.lookEveryDays)
      : input.belief.sd;
  const { early, likely, late, days } =
    sd === input.belief.sd ? first : wear({ ...changed, belief: { ...input.belief, sd } });
  const newOne = wear({ ...changed, fittedOn: input.today, looks: [] }).likely;
  const end = days.findIndex(({ load }) => reaches(load, END_LOAD));
  const shown = end === -1 ? days : days.slice(0, end + 1);
  return {
    ...{ early, likely, late },
    newOneLasts: newOne && daysFrom(input.today, newOne),
    points: shown.map(({ date, load }) => ({ x: toDay(date), y: load })),
  };
}

/** Everything left as it is: what the sliders are compared with. */
export const AS_IT_IS: WhatIf = { pets: null, warmerK: 0, media: null, lookEveryDays: null };

/** Past this there is nothing more to see. */
const END_LOAD = 1.5;

/** Another medium at the same place: what a maker said of this one is not of that. */
function slotOf({ slot }: WearInput, media: Media, lifeShare: number): WearInput["slot"] {
  const { baseHours: _, maxAgeDays: __, cleanDropPa: ___, ...rest } = slot;
  const rated: boolean = MEDIA[media].rated;
  const whole: WearInput["slot"] = {
    ...rest,
    media,
    rating: rated ? slot.rating : undefined,
    ...{ baseHours: undefined, maxAgeDays: undefined, cleanDropPa: undefined },
  };
  return lifeShare === 1 ? whole : shortened(whole, lifeShare);
}
