import type { UnitSystem } from "@/core/quantities/length";
import type { Procedure } from "@/core/runs/procedure";

/** A home with inches reads American, every other one British. */
export type English = "us" | "gb";

/** @example englishOf({ unitSystem: "us" }) // "us" */
export const englishOf = ({ unitSystem }: { unitSystem: UnitSystem }): English =>
  unitSystem === "us" ? "us" : "gb";

/** What is written British here, and how it reads in the other English; the longer before what they hold. */
const AMERICAN: readonly (readonly [RegExp, string])[] = (
  [
    ["a metre and a half", "five feet"],
    ["half a metre", "a foot and a half"],
    ["a few metres", "a few yards"],
    ["two metres", "six feet"],
    ["a metre", "three feet"],
    ["half a litre", "a pint"],
    ["a litre", "a quart"],
    ["each litre", "each quart"],
    ["litres", "quarts"],
    ["(nearest|hot|outside|that|cold) tap(?! water)", "$1 faucet"],
    ["torches", "flashlights"],
    ["torch", "flashlight"],
    ["grey", "gray"],
    ["mould", "mold"],
    ["colour", "color"],
    ["colours", "colors"],
    ["coloured", "colored"],
    ["odour", "odor"],
    ["vapour", "vapor"],
    ["draught", "draft"],
    ["draughts", "drafts"],
    ["spanner", "wrench"],
    ["programme", "program"],
    ["fibre", "fiber"],
    ["fibres", "fibers"],
    ["fibreglass", "fiberglass"],
    ["(\\d+) mm \\((\\d+) in\\)", "$2 in ($1 mm)"],
    ["cellar", "basement"],
    ["loft", "attic"],
    ["lofts", "attics"],
    ["labelled", "labeled"],
  ] as const
).map(([british, american]) => [new RegExp(`(?<!\\w)${british}(?!\\w)`, "gi"), american]);

/** The other word, with a capital where this one has it. */
const asWritten = (found: string, word: string): string =>
  found[0] === found[0]!.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word;

/**
 * Words of ours in a home’s English; what somebody typed is never put through it.
 *
 * @example inEnglish("us", "Torch on it: light grey") // "Flashlight on it: light gray"
 */
export const inEnglish = (english: English, words: string): string =>
  english === "gb"
    ? words
    : AMERICAN.reduce(
        (text, [british, american]) =>
          text.replace(british, (found: string, ...groups: unknown[]) =>
            asWritten(
              found,
              american.replace(/\$(\d)/g, (_, nth: string) => String(groups[Number(nth) - 1])),
            ),
          ),
        words,
      );

/** What of a procedure is read; all else are names by which its steps find one another. */
const READ = new Set([
  ...[
    "title",
    "verb",
    "detail",
    "why",
    "caution",
    "tools",
    "consumables",
    "name",
    "label",
    "words",
  ],
  ...["outOfTurn", "thing", "state"],
]);

function read<T>(english: English, value: T, isRead: boolean): T {
  if (typeof value === "string") return (isRead ? inEnglish(english, value) : value) as T;
  if (Array.isArray(value)) return value.map((each) => read(english, each, isRead)) as T;
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key, read(english, each, READ.has(key))]),
  ) as T;
}

const american = new WeakMap<Procedure, Procedure>();

/**
 * A procedure of the library in a home’s English: its words only, worked out once.
 *
 * @example procedureInEnglish("gb", oneStep) === oneStep // true
 */
export function procedureInEnglish(english: English, procedure: Procedure): Procedure {
  if (english === "gb") return procedure;
  const known = american.get(procedure) ?? read(english, procedure, false);
  american.set(procedure, known);
  return known;
}
