import { daysFrom, type PlainDate } from "../quantities/plain-date";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { ScopedDriver } from "../inventory/inventory";
import { TENTH } from "./belief";
import { isCoil } from "./media";
import { maxAgeOf } from "./wear-course";
import { wearInputNow, type InstalledPeriod, type PlaceContext } from "./place-history";
import { causesSentence, named, pointsSentence, type AgeFacts, type NamedCause } from "./reasons";
import { driversOf, type WearPlace } from "./slot-wear";
import { beforePutAway, likelyDue, wearSummary, type WearSummary } from "./wear";
import { wearCauses } from "./wear-causes";
import type { WearInput } from "./wear-schema";
import { weatherWords } from "./weather-words";

/** When what is in place is due, with what was asked of the engine. */
export type WearNow = WearSummary & {
  input: WearInput;
  /** Its day was brought forward: else it would come due while it stands still, or only after. */
  isBeforePutAway?: true;
};

/** How a place stands on a day: when what is in it is due. */
export type WearStatus = {
  /** Null where nobody recorded when it was fitted or cleaned. */
  wear: WearNow | null;
  fittedOn: PlainDate | null;
  /** Everything it follows from, for what else is asked of the same place. */
  context: PlaceContext;
  installedPeriods: InstalledPeriod[];
  /** Its entries are at odds with each other: no day can be worked out. */
  isAtOdds?: true;
};

/** Why it is due then. */
export type Explanation = {
  /** What sets its day apart from the book's, in days that add up; the greatest first. */
  causes: NamedCause[];
  sentence: string;
};

type Ground = Pick<WearStatus, "context" | "installedPeriods">;

/**
 * How a place stands on a day. One whose entries contradict each other has no days, and does not break the
 * page of the whole home.
 *
 * @param horizonDays how far ahead a due day is looked for; three years where it is left out
 * @example wearStatusOf({ context: { drivers: [] }, installedPeriods: [] }, today).wear // null
 */
export function wearStatusOf(ground: Ground, today: PlainDate, horizonDays?: number): WearStatus {
  try {
    const input = wearInputNow(ground.context, ground.installedPeriods, today, horizonDays);
    return {
      ...ground,
      wear: input && wearNow(input),
      fittedOn: input?.fittedOn ?? null,
    };
  } catch {
    return { ...ground, wear: null, fittedOn: null, isAtOdds: true };
  }
}

function wearNow(input: WearInput): WearNow {
  const summary = wearSummary(input);
  // What takes years to load is in no hurry before one winter.
  const dates = input.slot.media === "indoor-coil" ? summary : beforePutAway(input, summary);
  const isBefore = dates.likely !== summary.likely;
  const { early, likely, late } = dates;
  return {
    ...summary,
    early,
    likely,
    late,
    input,
    ...(isBefore ? { isBeforePutAway: true as const } : {}),
  };
}

/** What is put in words of a place: “this slot”, and what is missing where it has no day. */
export type PlaceWords = { place: string; neverFitted: string };

/**
 * Why a place is due when it is, in the words of its home.
 *
 * @param wordsFor names a driver
 * @example explain(snapshot([]), slot(), { wear: null }, today, () => "", { neverFitted: "Not yet." }).sentence // "Not yet."
 */
export function explain(
  snapshot: HomeSnapshot,
  place: WearPlace,
  { wear, context, isAtOdds }: WearStatus,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
  words: PlaceWords,
): Explanation {
  if (isAtOdds) return { causes: [], sentence: AT_ODDS };
  if (!wear) return { causes: [], sentence: words.neverFitted };
  const drivers = driversOf(snapshot, place);
  const found = wearCauses(wear.input);
  const causes = named(found, {
    driver: (id) => {
      const driver = drivers.find((each) => each.id === id);
      return driver ? wordsFor(driver) : "the cleaning of the ducts";
    },
    weather: weatherOf(context, drivers, wear.input, today, wordsFor),
    place: words.place,
  });
  const sentence = isCoil(wear.input.slot.media)
    ? pointsSentence(found, causes, wear.limitedBy === "look")
    : causesSentence(found, causes, ageFacts(wear), wear.limitedBy === "look");
  const put = wear.isBeforePutAway ? `${BEFORE_PUT_AWAY} ` : "";
  return { causes, sentence: `${put}${sentence}` };
}

const BEFORE_PUT_AWAY = "Before it stands still for months.";

const AT_ODDS = "No day can be worked out from what is stored here: look at its entries.";

/** The weather in words, and an absence with it: both are told to the engine as the hours there were. */
function weatherOf(
  context: PlaceContext,
  drivers: readonly ScopedDriver[],
  { fittedOn, slot }: WearInput,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): string {
  const away = drivers.find(
    ({ kind, from, to }) =>
      kind === "away" && from !== undefined && (to === undefined || to >= fittedOn),
  );
  const weather = weatherWords(context, slot.media, fittedOn, today);
  const measured = context.measured.some(({ date }) => date >= fittedOn);
  if (away) return weather ? `${wordsFor(away)} and ${weather}` : wordsFor(away);
  return weather ?? (measured ? "the hours it really ran" : "the weather");
}

/** No part is kept so long, days: its age is taken out of the question. */
const AGELESS_DAYS = 36_500;

/** Of a part that goes by its age: how old it may get, and when it would be full. */
function ageFacts({ limitedBy, input }: WearNow): AgeFacts | null {
  if (limitedBy !== "age") return null;
  const whole = maxAgeOf(input.slot);
  return {
    days: Math.ceil(input.lifeShare * whole),
    wholeDays: whole,
    isInUse: input.slot.agesInUse === true,
    byLoad: likelyDue({ ...input, slot: { ...input.slot, maxAgeDays: AGELESS_DAYS } }),
  };
}

/**
 * Days until a place is likely due: negative once past; null when nothing can be said.
 *
 * @example daysLeft({ wear: { likely: "2026-03-16" } }, "2026-03-14") // 2
 */
export function daysLeft({ wear }: Pick<WearStatus, "wear">, today: PlainDate): number | null {
  return wear?.likely ? daysFrom(today, wear.likely) : null;
}

/**
 * The shares between which the fill of a gauge may really lie, eight times in ten: 0 new, 1 due.
 *
 * @example fillBand({ percentNow: 50, pace: { lnK: 0, spread: 0 } }) // { low: 0.5, high: 0.5 }
 */
export function fillBand({ percentNow, pace }: Pick<WearNow, "percentNow" | "pace">): {
  low: number;
  high: number;
} {
  const fill = percentNow / 100;
  const factor = Math.exp(TENTH * pace.spread);
  return { low: fill / factor, high: fill * factor };
}
