import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { capitalised, listWords, spanWords } from "../quantities/words";
import { TENTH, type Belief } from "./belief";
import { wholeDays, type WearCause, type WearCauses } from "./wear-causes";

/** A cause in the words of this home, with the days and the points it comes to. */
export type NamedCause = WearCause & { words: string };

/** What the causes of a due day are called. */
export type CauseNames = {
  /** A driver by its id; null for several small ones together. */
  driver: (id: string) => string;
  weather: string;
  /** “this slot”, “this coil”. */
  place: string;
};

/**
 * The causes of a due day with their words, in their order.
 *
 * @example named({ causes: [] }, {}) // []
 */
export const named = ({ causes }: WearCauses, names: CauseNames): NamedCause[] =>
  causes.map((cause) => ({ ...cause, words: wordsOf(cause, names) }));

/** Whether a cause brings the day nearer, or adds to the load where it moves no day. */
const isNearer = ({ days, points }: Pick<WearCause, "days" | "points">): boolean =>
  (days || points || 0) > 0;

function wordsOf({ cause, id, kind, days, points }: WearCause, names: CauseNames): string {
  switch (cause) {
    case "driver":
      return id === undefined ? SMALLER : names.driver(id) || (kind ?? SMALLER);
    case "weather":
      return names.weather;
    case "place":
      return `${names.place} filling ${isNearer({ days, points }) ? "faster" : "slower"} than most`;
    case "breathing":
      return "breathing trouble";
    case "relief":
      return "vacuuming it in place";
    case "look":
      return "what was seen of it";
  }
}

const SMALLER = "smaller causes";

/** A shift too small to speak of, days. */
const SMALLEST_SHIFT_DAYS = 2;
/** What is said in one sentence; the rest stand together. */
const MOST_NAMED = 3;

/** In what a difference is told: whole days, or halves of weeks, months or years. */
type Measure = { days: number; noun: string; steps: number };
const DAYS: Measure = { days: 1, noun: "day", steps: 1 };
const WEEKS: Measure = { days: 7, noun: "week", steps: 2 };
const MONTHS: Measure = { days: 30.44, noun: "month", steps: 2 };
const YEARS: Measure = { days: 365.25, noun: "year", steps: 2 };
/** Up to these a difference is told in days, weeks and months. Our choice. */
const MEASURES: readonly [upTo: number, measure: Measure][] = [
  [20, DAYS],
  [182, WEEKS],
  [730, MONTHS],
];

const measureOf = (days: number): Measure =>
  MEASURES.find(([upTo]) => Math.abs(days) <= upTo)?.[1] ?? YEARS;

const counted = (n: number, noun: string) => `${figure(n)} ${noun}${n > 0 && n <= 1 ? "" : "s"}`;
const figure = (n: number) =>
  Number.isInteger(n) ? String(n) : `${Math.floor(n) === 0 ? "" : Math.floor(n)}½`;

/** What one cause comes to in the words of a sentence, in steps of its measure. */
type Part = { words: string; amount: number };

/**
 * The causes as parts of the whole difference, the greatest three by name and the rest together. What is
 * rounded is rounded so that the parts add up to the whole.
 */
function partsOf(causes: readonly NamedCause[], total: number, { days, steps }: Measure): Part[] {
  const all = causes.filter((cause) => cause.days !== null && cause.days !== 0);
  const kept = all.filter(({ words }) => words !== SMALLER).slice(0, MOST_NAMED);
  const rest = all.filter((cause) => !kept.includes(cause));
  const rows = [
    ...kept.map(({ words, days: own }) => ({ words, days: own! })),
    ...(rest.length > 0
      ? [{ words: SMALLER, days: rest.reduce((sum, { days: own }) => sum + own!, 0) }]
      : []),
  ];
  const measured = (each: number) => (steps * each) / days;
  const amounts = wholeDays(
    rows.map((row) => measured(row.days)),
    Math.round(measured(total)),
  );
  return rows
    .map(({ words }, i) => ({ words, amount: amounts[i]! / steps }))
    .filter(({ amount }) => amount !== 0);
}

/** “13 weeks sooner than usual” */
function headWords(total: number): string {
  const { days, noun, steps } = measureOf(total);
  const whole = Math.round((steps * Math.abs(total)) / days) / steps;
  return `${capitalised(counted(whole, noun))} ${total > 0 ? "sooner" : "later"} than usual`;
}

/** “13 weeks sooner than usual: breathing trouble (4 weeks), clay dust (4), the dog (2)” */
function differenceWords(causes: readonly NamedCause[], total: number): string {
  const measure = measureOf(total);
  const way = Math.sign(total);
  const parts = partsOf(causes, total, measure);
  // The first figure of a sentence carries its noun.
  let isFirst = true;
  const told = ({ words, amount }: Part): string => {
    const n = Math.abs(amount);
    const size = isFirst ? counted(n, measure.noun) : figure(n);
    isFirst = false;
    return `${words} (${size})`;
  };
  const towards = parts.filter(({ amount }) => Math.sign(amount) === way).map(told);
  const against = parts.filter(({ amount }) => Math.sign(amount) === -way).map(told);
  const head = headWords(total);
  const back = total > 0 ? "put off by" : "brought nearer by";
  const less = against.length > 0 ? `; ${back} ${listWords(against)}` : "";
  return towards.length > 0 ? `${head}: ${listWords(towards)}${less}.` : `${head}.`;
}

/** What makes up for each other is worth a word from this on, days. Our choice. */
const WORTH_A_WORD_DAYS = 7;

function evenWords(causes: readonly NamedCause[]): string {
  const most = (way: number) =>
    causes.find(({ days }) => days !== null && way * days >= WORTH_A_WORD_DAYS);
  const [nearer, later] = [most(1), most(-1)];
  return nearer && later
    ? `As usual: ${nearer.words} and ${later.words} make up for each other.`
    : "As usual.";
}

/** What is said of a part that goes by its age: how old it may get, and how full it will be. */
export type AgeFacts = {
  /** Days it may get old here, and the days it could without a troubled breathing. */
  days: number;
  wholeDays: number;
  /** When it would be full; null when not within three years. */
  byLoad: PlainDate | null;
  /** Only days on which it ran count. */
  isInUse: boolean;
};

/** Full so much later than too old it runs too little, as a share of its age. Our choice. */
const SLOW_SHARE = 0.5;

/** Why a filter goes by its age, what shortens that, and what loads it meanwhile. */
function ageSentence(likely: PlainDate, age: AgeFacts, causes: readonly NamedCause[]): string {
  const { days, wholeDays: whole, byLoad, isInUse } = age;
  const short = days < whole ? ` instead of ${whole}, for somebody’s breathing` : "";
  const later = byLoad === null ? Infinity : daysFrom(likely, byLoad);
  const because =
    later > SLOW_SHARE * days
      ? "it runs too little to fill up first"
      : `full it would be ${spanWords(later)} later`;
  const loads = byPoints(causes)
    .filter(({ cause }) => cause !== "breathing")
    .slice(0, MOST_NAMED)
    .map(({ words }) => words);
  const meanwhile = loads.length > 0 ? `. What counts here beside: ${listWords(loads)}` : "";
  return `By its age of ${days} days${isInUse ? " in use" : ""}${short}: ${because}${meanwhile}.`;
}

/** Said of what was seen full before it was reckoned to be. */
const SEEN_FULL = "It was seen full: it is due, whatever its hours say.";

/**
 * Why a due day is not the rated one, as a sentence whose parts add up: “13 weeks sooner than usual:
 * breathing trouble (4 weeks), clay dust (4), the dog (2) and smaller causes (3).”
 *
 * @param age of a part that goes by its age
 * @param isSeenFull a look saw it full before that
 * @source docs/sources.md#wear-causes
 * @example causesSentence({ likely: "2026-03-16", totalDays: 9 }, [{ cause: "driver", words: "the dog", days: 9 }], null) // "9 days sooner than usual: the dog (9 days)."
 */
export function causesSentence(
  { likely, totalDays }: Pick<WearCauses, "likely" | "totalDays">,
  causes: readonly NamedCause[],
  age: AgeFacts | null,
  isSeenFull = false,
): string {
  if (isSeenFull) return SEEN_FULL;
  if (!likely) return "Not due within three years at this rate.";
  if (age) return ageSentence(likely, age, causes);
  if (totalDays === null) return "Usually it would not be due within three years.";
  return Math.abs(totalDays) < SMALLEST_SHIFT_DAYS
    ? evenWords(causes)
    : differenceWords(causes, totalDays);
}

/**
 * Why a coil is matted when it is: in points of its load by that day, because days leap the seasons in which
 * it stands still. “4½ years sooner than usual: of what will be on it 18 % is this coil
 * filling faster than most, 15 % clay dust and 8 % the dog.”
 *
 * @param causes in their order
 * @source docs/sources.md#wear-causes
 * @example pointsSentence({ likely: "2026-03-16", totalDays: 9 }, [{ cause: "driver", words: "the dog", points: 12.3 }]) // "9 days sooner than usual: of what will be on it 12 % is the dog."
 */
export function pointsSentence(
  { likely, totalDays }: Pick<WearCauses, "likely" | "totalDays">,
  causes: readonly NamedCause[],
  isSeenFull = false,
): string {
  if (isSeenFull) return SEEN_FULL;
  if (!likely) return "Not matted within fifteen years at this rate.";
  const by = byPoints(causes).slice(0, MOST_NAMED);
  const shares = listWords(
    by.map(({ words, points: n }, i) => `${Math.round(n!)} %${i === 0 ? " is" : ""} ${words}`),
  );
  const loads = by.length > 0 ? `: of what will be on it ${shares}` : "";
  if (totalDays === null || Math.abs(totalDays) < SMALLEST_SHIFT_DAYS) return `As usual${loads}.`;
  return `${headWords(totalDays)}${loads}.`;
}

/** The causes that add a point of load or take one off, most first. */
const byPoints = (causes: readonly NamedCause[]): NamedCause[] =>
  causes
    .filter(({ points }) => points !== null && Math.abs(points) >= 0.5)
    .sort((a, b) => Math.abs(b.points!) - Math.abs(a.points!));

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
 * @example factorWords({ mu: 0, sd: 0.4 }) // "about as fast as usual"
 */
export function factorWords(belief: Belief): string {
  const k = Math.exp(belief.mu);
  if (Math.abs(k - 1) < 0.05) return "about as fast as usual";
  const slower = SLOWER.find(([upTo]) => k <= upTo);
  if (slower) return `about ${slower[1]} usual`;
  if (k < 1) return "a little slower than usual";
  if (k < 1.15) return "a little faster than usual";
  return `about ${k.toFixed(1)} times as fast as usual`;
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
