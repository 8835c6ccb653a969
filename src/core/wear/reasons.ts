import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { capitalised, spanWords } from "../quantities/words";
import { TENTH, type Belief } from "./belief";
import type { DriverKind } from "./drivers";
import type { WearSummary } from "./wear";

/** One thing that moves a due date. Days overlap: they are never added up. */
export type Reason = { words: string; daysSooner: number };

/** A shift too small to speak of, days. */
const SMALLEST_SHIFT_DAYS = 2;
const MOST_REASONS = 3;

/**
 * What moved a due date away from the book, the strongest first: drivers, weather, and the place's
 * own factor, which is what the due day at the book's pace is compared for. `wholeLife` is the likely
 * day without the quarter taken off for lungs.
 */
export function reasonsOf(
  result: WearSummary,
  wordsFor: (driver: { id?: string | undefined; kind: DriverKind }) => string,
  weather: string | null,
  bookPace: PlainDate | null,
  wholeLife: PlainDate | null = null,
): Reason[] {
  const reasons: Reason[] = result.drivers.flatMap((driver) =>
    driver.daysBroughtForward
      ? [{ words: wordsFor(driver), daysSooner: driver.daysBroughtForward }]
      : [],
  );
  if (weather && result.weatherDays)
    reasons.push({ words: weather, daysSooner: result.weatherDays });
  if (result.likely && bookPace && bookPace !== result.likely)
    reasons.push({ words: "this slot’s own pace", daysSooner: daysFrom(result.likely, bookPace) });
  if (result.likely && wholeLife && wholeLife !== result.likely)
    reasons.push({ words: "easier breathing", daysSooner: daysFrom(result.likely, wholeLife) });
  return reasons.sort((a, b) => Math.abs(b.daysSooner) - Math.abs(a.daysSooner));
}

/**
 * Why a due date is not the book's, as a sentence: “2 weeks sooner than the book: clay dust alone 9
 * days, a cold January 4 days.”
 */
export function reasonSentence(result: WearSummary, reasons: readonly Reason[]): string {
  if (!result.likely) return "Not due within three years at this rate.";
  if (result.limitedBy === "age") return "By its age: it runs too little to fill up first.";
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

const figure = (k: number) => (k >= 1.95 ? k.toFixed(1) : k.toFixed(2).replace(/0$/, ""));

/** “about 1.8 times as fast as the book says”, or slower in the same way. */
export function factorWords(belief: Belief): string {
  const k = Math.exp(belief.mu);
  if (Math.abs(k - 1) < 0.05) return "about as fast as the book says";
  return `about ${figure(k)} times as fast as the book says`;
}

/** How sure the factor is, by the band in which eight of ten such places lie. */
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
