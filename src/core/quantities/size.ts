/**
 * Width × height × depth of a filter or its slot, mm; depth may be unknown. Of something round `w` is
 * its diameter and `h` its height: see `isRound`.
 */
export type SizeMm = { w: number; h: number; d?: number };
export type LengthUnit = "in" | "mm" | "cm";

export const MM_PER_INCH = 25.4;
const MM_PER = { in: MM_PER_INCH, mm: 1, cm: 10 } as const;
/** The trade makes a filter half an inch smaller than the size on its box, so that it slides. */
export const NOMINAL_ALLOWANCE_MM = 12.7;
/** Nobody's filter is larger; a figure beyond it is a slip of the unit. */
const LARGEST_MM = 3000;
/** No size is written in more letters; a longer text would only keep its reader busy. */
const MOST_LETTERS = 120;
/** A first figure up to here, without a unit, means inches; from MM_FROM on it means millimetres. */
const INCHES_TO = 60;
const MM_FROM = 100;
/** In a metric home figures up to here, which hardly any filter has in millimetres, mean inches. */
const METRIC_INCHES_TO = 36;

/** A cylinder or a wrap: “ø 200 × 300 mm”, “dia. 8 x 12 in”, “round 20x30 cm”. */
const ROUND = /^\s*(?:ø|⌀|diameter|dia\.?|round)\s*/i;
/** @example isRound("Ø 125") // true */
export const isRound = (text: string): boolean => text.length <= MOST_LETTERS && ROUND.test(text);

export type SizeReading =
  | { ok: true; mm: SizeMm; unit: LengthUnit }
  | { ok: false; why: "unreadable" | "zero" | "too-large" | "which-unit" };

/** “19 1/2”, “19.5”, “19,5” and “1/2” as numbers. */
function readNumber(text: string): number | null {
  const mixed = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(text);
  if (mixed) return Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]);
  return /^\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(",", ".")) : null;
}

/**
 * Reads a size as people write it: `20x25x4`, `20"x25"x4"`, `500mmx500mm`, `19 1/2 x 24 1/2 "`,
 * `ø200 × 300 mm`. Without a unit small figures are inches and large ones millimetres; between them
 * the home's own unit decides, and where both could be it is asked.
 *
 * @example readSize("20x20x1").ok // true
 */
export function readSize(text: string, fallback?: LengthUnit): SizeReading {
  if (text.length > MOST_LETTERS) return { ok: false, why: "unreadable" };
  const plain = text
    .replace(ROUND, "")
    .trim()
    .toLowerCase()
    .replace(/″|“|”|„|''|’’|"|inches|inch/g, "in")
    // A unit right before the next figure's sign stands by itself: “500mmx500mm”.
    .replace(/(in|mm|cm)\.?(?=\s*[x×*])/g, "$1 ");
  const unitless = plain.replace(/(in|mm|cm)\b\.?/g, " ").trim();
  const named = [...new Set([...plain.matchAll(/(in|mm|cm)(?![a-z])/g)].map((match) => match[1]))];
  if (named.length > 1) return { ok: false, why: "unreadable" };
  const numbers = unitless.split(/\s*[x×*]\s*/).map((part) => readNumber(part.trim()));
  if (numbers.length < 2 || numbers.length > 3 || numbers.some((n) => n === null))
    return { ok: false, why: "unreadable" };
  const [w, h, d] = numbers as number[];
  if (w === 0 || h === 0 || d === 0) return { ok: false, why: "zero" };
  if (![w, h, d ?? 1].every((n) => Number.isFinite(n))) return { ok: false, why: "unreadable" };
  const largest = Math.max(w!, h!);
  const unit = (named[0] as LengthUnit | undefined) ?? unitOf(largest, fallback);
  if (!unit) return { ok: false, why: "which-unit" };
  const mm = (n: number) => Math.round(n * MM_PER[unit] * 1000) / 1000;
  if (mm(largest) > LARGEST_MM) return { ok: false, why: "too-large" };
  return { ok: true, unit, mm: { w: mm(w!), h: mm(h!), ...(d === undefined ? {} : { d: mm(d) }) } };
}

/** What a bare figure is in; undefined where it could be either. */
function unitOf(largest: number, fallback: LengthUnit | undefined): LengthUnit | undefined {
  if (fallback === "mm")
    return largest > INCHES_TO ? "mm" : largest <= METRIC_INCHES_TO ? "in" : undefined;
  if (largest <= INCHES_TO) return "in";
  return largest >= MM_FROM ? "mm" : undefined;
}

const SIXTEENTHS = 16;
/** Inches to the nearest sixteenth, as a tape shows them: “19 1/2”. */
function inchWords(mm: number): string {
  const parts = Math.round((mm / MM_PER.in) * SIXTEENTHS);
  const whole = Math.floor(parts / SIXTEENTHS);
  let over = parts % SIXTEENTHS;
  let under = SIXTEENTHS;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  if (over === 0) return `${whole}`;
  return whole === 0 ? `${over}/${under}` : `${whole} ${over}/${under}`;
}

/** @example sizeWords({ w: 508, h: 508, d: 25.4 }, "in") // "20×20×1 in" */
export function sizeWords(size: SizeMm, unit: "in" | "mm"): string {
  const figures = [size.w, size.h, ...(size.d === undefined ? [] : [size.d])];
  const word = (mm: number) => (unit === "in" ? inchWords(mm) : `${Math.round(mm)}`);
  return `${figures.map(word).join("×")} ${unit}`;
}

/**
 * The size a filter really has: as measured, else what its nominal inches leave.
 *
 * @example actualSize({ w: 508, h: 508 }, "in") // {"w":495.3,"h":495.3}
 */
export function actualSize(nominal: SizeMm, unit: LengthUnit, measured?: SizeMm): SizeMm {
  if (measured) return measured;
  if (unit !== "in") return nominal;
  return { ...nominal, w: nominal.w - NOMINAL_ALLOWANCE_MM, h: nominal.h - NOMINAL_ALLOWANCE_MM };
}

export type Outgrown = "width" | "height" | "depth";
/**
 * In which directions a filter is larger than its slot; a millimetre is a tape's error.
 *
 * @example outgrows({ w: 510, h: 500 }, { w: 508, h: 508 }) // ["width"]
 */
export function outgrows(filter: SizeMm, slot: SizeMm): Outgrown[] {
  const tape = 1;
  return [
    ...(filter.w > slot.w + tape ? (["width"] as const) : []),
    ...(filter.h > slot.h + tape ? (["height"] as const) : []),
    ...(filter.d !== undefined && slot.d !== undefined && filter.d > slot.d + tape
      ? (["depth"] as const)
      : []),
  ];
}
