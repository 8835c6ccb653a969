import { readPlainDate } from "../quantities/plain-date";

/** What an input may hold at most: more than any home has, less than would hold a server up. */
export const BOUNDS = {
  /** Lists and objects inside each other. */
  depth: 32,
  /** Items of one list, and keys of one object. */
  items: 20_000,
  /** Letters of one text. */
  letters: 10_000,
  /** Greatest number, either sign. */
  number: 1e9,
  /** Values in all. */
  values: 1_000_000,
  /** Years that days may lie in. */
  firstYear: 1900,
  lastYear: 2200,
} as const;

/** Where an input goes too far, and how. */
export type OutOfBounds = { path: (string | number)[]; message: string };

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** What is wrong with one value by itself; null where nothing is. */
function problemOf(value: unknown): string | null {
  if (typeof value === "string") {
    if (value.length > BOUNDS.letters) return `longer than ${BOUNDS.letters} letters`;
    if (!DAY.test(value) || readPlainDate(value) === null) return null;
    const year = Number(value.slice(0, 4));
    return year < BOUNDS.firstYear || year > BOUNDS.lastYear
      ? `not between ${BOUNDS.firstYear} and ${BOUNDS.lastYear}`
      : null;
  }
  if (typeof value === "number" && Math.abs(value) > BOUNDS.number)
    return `greater than ${BOUNDS.number}`;
  return null;
}

/**
 * The first place where an input goes further than anything of a home does; null where it is within all
 * bounds. It is looked at before any schema is, so that all ways in agree and none is held up.
 *
 * @example outOfBounds({ looks: [1e12] }) // {"path":["looks",0],"message":"greater than 1000000000"}
 */
export function outOfBounds(input: unknown): OutOfBounds | null {
  type Place = { value: unknown; up: Place | null; key: string | number; depth: number };
  const pathOf = (place: Place): (string | number)[] => {
    const path: (string | number)[] = [];
    for (let at: Place | null = place; at?.up; at = at.up) path.unshift(at.key);
    return path;
  };
  const open: Place[] = [{ value: input, up: null, key: "", depth: 0 }];
  let count = 0;
  for (let place = open.pop(); place; place = open.pop()) {
    const refuse = (message: string) => ({ path: pathOf(place), message });
    if (++count > BOUNDS.values) return refuse(`more than ${BOUNDS.values} values in all`);
    const { value, depth } = place;
    const problem = problemOf(value);
    if (problem) return refuse(problem);
    if (value === null || typeof value !== "object") continue;
    if (depth >= BOUNDS.depth) return refuse(`nested deeper than ${BOUNDS.depth}`);
    const entries: [string | number, unknown][] = Array.isArray(value)
      ? value.map((each, i) => [i, each])
      : Object.entries(value);
    if (entries.length > BOUNDS.items) return refuse(`more than ${BOUNDS.items} items`);
    // The last is looked at first: pushed the other way round, the first in the input is named.
    for (let i = entries.length - 1; i >= 0; i--) {
      const [key, each] = entries[i]!;
      open.push({ value: each, up: place, key, depth: depth + 1 });
    }
  }
  return null;
}
