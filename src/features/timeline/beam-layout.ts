import { scaleLinear } from "d3-scale";
import { toDay, type PlainDate } from "@/core/quantities/plain-date";
import type { Lintel, Notch } from "@/core/timeline/lintel";

/** The narrowest window in which the beam has words, px; wider ones only give them more room. */
const NARROWEST = 960;
/** The keystone is 56 px wide, and wants a little air. */
export const KEYSTONE_HALF = 32;
/** What a letter of the beam's words takes at most, px, and the notch beside it. */
const LETTER = 7;
const NOTCH = 18;

export type Side = "right" | "left";
/** Where the word of a notch stands: `row` counts from the foot; without a side it finds no room. */
export type PlacedNotch = Notch & {
  side: Side | null;
  row: 0 | 1;
  isBehind: boolean;
  /** How far its mark stands to the right of its day, px: two turns of the year stand beside each other. */
  nudge: number;
};
export type Span = { from: number; to: number };

/** Where a day lies along a beam of a given length, px. */
const pixelOf = (
  { from, to }: Pick<Lintel, "from" | "to">,
  zoom: number,
  date: PlainDate,
): number => scaleLinear([toDay(from) - 0.5, toDay(to) + 0.5], [0, NARROWEST * zoom])(toDay(date));

const meet = (a: Span, b: Span) => a.from < b.to && b.from < a.to;

/** What a word takes, px; beside the keystone where its notch is behind it. */
export function spanOf(
  lintel: Pick<Lintel, "from" | "to" | "today">,
  zoom: number,
  {
    date,
    season,
    side,
    isBehind,
    nudge,
  }: Pick<PlacedNotch, "date" | "season" | "side" | "isBehind" | "nudge">,
): Span {
  const width = NOTCH + LETTER * season.length;
  const x = pixelOf(lintel, zoom, date) + nudge;
  const today = pixelOf(lintel, zoom, lintel.today);
  if (side === "left") {
    const to = isBehind ? today - KEYSTONE_HALF : x + NOTCH / 2;
    return { from: to - width, to };
  }
  const from = isBehind ? today + KEYSTONE_HALF : x - NOTCH / 2;
  return { from, to: from + width };
}

/** A mark is so wide, px. */
const MARK = 12;

/** The notches in order, those that would lie over each other set apart. */
function nudged(
  lintel: Pick<Lintel, "from" | "to" | "notches">,
  zoom: number,
): (Notch & { nudge: number })[] {
  let before = -Infinity;
  return [...lintel.notches]
    .sort((a, b) => (a.date < b.date ? -1 : 1))
    .map((notch) => {
      const x = pixelOf(lintel, zoom, notch.date);
      const at = Math.max(x, before + MARK);
      before = at;
      return { ...notch, nudge: at - x };
    });
}

/** The notches in order, each word where it meets no other, nor today, nor the beam's end. */
export function placedNotches(
  lintel: Pick<Lintel, "from" | "to" | "today" | "notches">,
  zoom: number,
): PlacedNotch[] {
  const today = pixelOf(lintel, zoom, lintel.today);
  const keystone = { from: today - KEYSTONE_HALF, to: today + KEYSTONE_HALF };
  const taken: [Span[], Span[]] = [[keystone], [keystone]];
  const notches = nudged(lintel, zoom);
  // A word at the foot stands beside the marks of others, never over one; one in the row above is clear of them.
  const marks = notches.map(({ date, nudge }) => {
    const x = pixelOf(lintel, zoom, date) + nudge;
    return { date, span: { from: x - MARK / 2, to: x + MARK / 2 } };
  });
  return notches.map((notch): PlacedNotch => {
    const isBehind = Math.abs(pixelOf(lintel, zoom, notch.date) - today) < KEYSTONE_HALF;
    const others = marks.flatMap(({ date, span }) => (date === notch.date ? [] : [span]));
    for (const row of [0, 1] as const)
      for (const side of ["right", "left"] as const) {
        const span = spanOf(lintel, zoom, { ...notch, side, isBehind });
        const fits = span.from >= 0 && span.to <= NARROWEST * zoom;
        const inTheWay = row === 0 ? [...taken[0], ...others] : taken[1];
        if (!fits || inTheWay.some((each) => meet(each, span))) continue;
        taken[row].push(span);
        return { ...notch, side, row, isBehind };
      }
    return { ...notch, side: null, row: 0, isBehind };
  });
}

/** Whether a month's word has room at the top: before the keystone, after it, and to the end. */
export function hasRoom(
  lintel: Pick<Lintel, "from" | "to" | "today">,
  zoom: number,
  date: PlainDate,
  label: string,
): boolean {
  const from = pixelOf(lintel, zoom, date);
  const span = { from, to: from + NOTCH + LETTER * label.length };
  const today = pixelOf(lintel, zoom, lintel.today);
  return (
    span.to <= NARROWEST * zoom &&
    !meet(span, { from: today - KEYSTONE_HALF, to: today + KEYSTONE_HALF })
  );
}
