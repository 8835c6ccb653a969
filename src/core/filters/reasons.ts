import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { capitalised, listWords, spanWords } from "../quantities/words";
import { TENTH, type Belief } from "./belief";
import type { DriverKind } from "./drivers";
import type { WearSummary } from "./wear";

/** One thing that moves a due date. Days overlap: they are never added up. */
export type Reason = { words: string; daysSooner: number };

/** A shift too small to speak of, days. */
const SMALLEST_SHIFT_DAYS = 2;
const MOST_REASONS = 3;
const BREATHING = "easier breathing";

/**
 * What moved a due date away from its rated life, the strongest first: drivers, weather, and the place's
 * own factor, which is what the due day at the rated pace is compared for. `wholeLife` is the likely
 * day without the quarter taken off for lungs.
 */
export function reasonsOf(
  result: WearSummary,
  wordsFor: (driver: { id?: string | undefined; kind: DriverKind }) => string,
  weather: string | null,
  ratedPace: PlainDate | null,
  wholeLife: PlainDate | null = null,
): Reason[] {
  // Where age sets the day no driver moves it, but the sentence still names what loads the filter.
  const isByAge = result.limitedBy === "age";
  const reasons: Reason[] = result.drivers.flatMap((driver) =>
    driver.daysBroughtForward || isByAge
      ? [{ words: wordsFor(driver), daysSooner: driver.daysBroughtForward ?? 0 }]
      : [],
  );
  if (weather && (result.weatherDays || isByAge))
    reasons.push({ words: weather, daysSooner: result.weatherDays ?? 0 });
  if (result.likely && ratedPace && ratedPace !== result.likely)
    reasons.push({ words: "this slot’s own pace", daysSooner: daysFrom(result.likely, ratedPace) });
  if (result.likely && wholeLife && wholeLife !== result.likely)
    reasons.push({ words: BREATHING, daysSooner: daysFrom(result.likely, wholeLife) });
  return reasons.sort((a, b) => Math.abs(b.daysSooner) - Math.abs(a.daysSooner));
}

/** What a filter that goes by its age is told: how old it may get, and how full it will be. */
export type AgeFacts = {
  /** Days it may get old here, and the days it could without a troubled breathing. */
  days: number;
  wholeDays: number;
  /** When it would be full; null when not within three years. */
  byLoad: PlainDate | null;
};

/** Full so much later than too old it runs too little, as a share of its age. Our choice. */
const SLOW_SHARE = 0.5;

/** Why a filter goes by its age, what shortens that, and what loads it meanwhile. */
function ageSentence(likely: PlainDate, age: AgeFacts, reasons: readonly Reason[]): string {
  const { days, wholeDays, byLoad } = age;
  const short = days < wholeDays ? ` instead of ${wholeDays}, for easier breathing` : "";
  const later = byLoad === null ? Infinity : daysFrom(likely, byLoad);
  const because =
    later > SLOW_SHARE * days
      ? "it runs too little to fill up first"
      : `full it would be ${spanWords(later)} later`;
  const loads = reasons
    .filter(({ words }) => words !== BREATHING)
    .slice(0, MOST_REASONS)
    .map(({ words }) => words);
  const meanwhile = loads.length > 0 ? `. What counts here beside: ${listWords(loads)}` : "";
  return `By its age of ${days} days${short}: ${because}${meanwhile}.`;
}

/**
 * Why a due date is not the rated one, as a sentence: “2 weeks sooner than the book: clay dust alone 9
 * days, a cold January 4 days.”
 */
export function reasonSentence(
  result: WearSummary,
  reasons: readonly Reason[],
  age: AgeFacts | null = null,
): string {
  if (!result.likely) return "Not due within three years at this rate.";
  if (result.limitedBy === "age" && age) return ageSentence(result.likely, age, reasons);
  if (!result.bookDue) return "";
  const sooner = daysFrom(result.likely, result.bookDue);
  const same = reasons.filter(
    (reason) =>
      Math.sign(reason.daysSooner) === Math.sign(sooner) &&
      Math.abs(reason.daysSooner) >= SMALLEST_SHIFT_DAYS,
  );
  if (Math.abs(sooner) < SMALLEST_SHIFT_DAYS) return "When the book says.";
  const head = capitalised(`${spanWords(sooner)} ${sooner > 0 ? "sooner" : "later"} than the book`);
  const named = same
    .slice(0, MOST_REASONS)
    // “Alone”: each is the due day without that one cause, and they overlap.
    .map(
      (reason, i) => `${reason.words}${i === 0 ? " alone" : ""} ${spanWords(reason.daysSooner)}`,
    );
  const against = againstWords(reasons, sooner);
  if (named.length > 0) return `${head}: ${named.join(", ")}${against}.`;
  return `${head}: this slot loads ${factorWords(result.belief)}.`;
}

/** What pulls the other way is worth a word from this on, days. */
const WORTH_A_WORD_DAYS = 7;

function againstWords(reasons: readonly Reason[], sooner: number): string {
  const other = reasons.find(
    ({ daysSooner }) =>
      Math.sign(daysSooner) === -Math.sign(sooner) && Math.abs(daysSooner) >= WORTH_A_WORD_DAYS,
  );
  if (!other) return "";
  const span = spanWords(other.daysSooner);
  return other.daysSooner < 0
    ? `; ${other.words} puts it off ${span}`
    : `; ${other.words} brings it ${span} forward`;
}

/** Shares as people say them: up to each bound a place loads about so fast. */
const SLOWER: readonly [upTo: number, words: string][] = [
  [0.29, "a quarter as fast as"],
  [0.42, "a third as fast as"],
  [0.58, "half as fast as"],
  [0.71, "two thirds as fast as"],
  [0.85, "three quarters as fast as"],
];

/**
 * A place's own factor in words: “about half as fast as rated”, “about 1.8 times as fast”, or a little
 * either way.
 *
 * @example factorWords({ mu: 0, sd: 0.4 }) // "about as fast as the book says"
 */
export function factorWords(belief: Belief): string {
  const k = Math.exp(belief.mu);
  if (Math.abs(k - 1) < 0.05) return "about as fast as the book says";
  const slower = SLOWER.find(([upTo]) => k <= upTo);
  if (slower) return `about ${slower[1]} the book says`;
  if (k < 1) return "a little slower than the book says";
  if (k < 1.15) return "a little faster than the book says";
  return `about ${k.toFixed(1)} times as fast as the book says`;
}

/**
 * How sure the factor is, by the band in which eight of ten such places lie.
 *
 * @example sureWords({ mu: 0, sd: 0.08 }) // "sure within a tenth"
 */
export function sureWords(belief: Belief): string {
  const spread = Math.exp(TENTH * belief.sd) - 1;
  if (spread <= 0.12) return "sure within a tenth";
  if (spread <= 0.18) return "sure within a sixth";
  if (spread <= 0.22) return "sure within a fifth";
  if (spread <= 0.28) return "sure within a quarter";
  if (spread <= 0.37) return "sure within a third";
  if (spread <= 0.55) return "sure within a half";
  return "not sure yet";
}
