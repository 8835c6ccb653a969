import { lengthWords, readLength, type UnitSystem } from "../quantities/length";
import { EARLIEST_DAY, LATEST_DAY, readPlainDate, type PlainDate } from "../quantities/plain-date";
import { dateWords } from "../quantities/words";

/**
 * Something worth knowing about a unit or a part. It is asked as a question; without an answer it
 * stays unknown. `fact` names it on a sheet, where the question itself is too long.
 */
export type Attribute = { key: string; label: string; fact?: string; hint?: string } & (
  | { kind: "choice"; options: readonly { value: string; label: string }[] }
  | { kind: "yes-no" | "text" | "day" | "past-day" | "count" | "length" }
);

/** What is known, by the key of the attribute: a choice's value, “yes” or “no”, a day, a count, metres, or plain words. */
export type Attributes = Record<string, string>;

const LONGEST_TEXT = 200;
const MOST_COUNTED = 999;

type Reading = { attributes: Attributes; problems: Record<string, string> };

/**
 * Reads what was typed for each attribute, in the home's units, into stored answers; an empty field is
 * no answer, and no problem. Everything unreadable is named at its field; nothing throws.
 *
 * @example readAttributes([], () => "", "metric", today).problems // {}
 */
export function readAttributes(
  definitions: readonly Attribute[],
  typed: (key: string) => string,
  system: UnitSystem,
  today: PlainDate,
): Reading {
  const attributes: Attributes = {};
  const problems: Record<string, string> = {};
  for (const attribute of definitions) {
    const text = typed(attribute.key).trim();
    if (text === "") continue;
    const read = readAttribute(attribute, text, system, today);
    if ("problem" in read) problems[attribute.key] = read.problem;
    else attributes[attribute.key] = read.answer;
  }
  return { attributes, problems };
}

function readAttribute(
  attribute: Attribute,
  text: string,
  system: UnitSystem,
  today: PlainDate,
): { answer: string } | { problem: string } {
  switch (attribute.kind) {
    case "choice":
      return attribute.options.some((option) => option.value === text)
        ? { answer: text }
        : { problem: "Choose one of these." };
    case "yes-no":
      return text === "yes" || text === "no" ? { answer: text } : { problem: "Yes or no?" };
    case "text":
      return text.length <= LONGEST_TEXT
        ? { answer: text }
        : { problem: `Shorter, please: up to ${LONGEST_TEXT} letters.` };
    case "count":
      return /^\d+$/.test(text) && Number(text) <= MOST_COUNTED
        ? { answer: String(Number(text)) }
        : { problem: `A whole number, 0 to ${MOST_COUNTED}.` };
    case "length": {
      const metres = readLength(text, system === "us" ? "ft" : "m");
      return metres === null
        ? { problem: "A length, such as 6.5 m or 21 ft." }
        : { answer: String(metres) };
    }
    case "day":
    case "past-day": {
      const day = readPlainDate(text);
      if (!day) return { problem: "That is not a day. Write it as year, month and day." };
      if (day < EARLIEST_DAY)
        return { problem: "That is before 1900. Write the year with four figures." };
      if (day > LATEST_DAY) return { problem: "That is too far ahead. Look at the year again." };
      return attribute.kind === "past-day" && day > today
        ? { problem: "That day is still to come." }
        : { answer: day };
    }
  }
}

/**
 * An answer as its form field shows it again: what is read back from it is the same answer.
 *
 * @example attributeText({ kind: "text" }, "grey", "metric") // "grey"
 */
export const attributeText = (attribute: Attribute, answer: string, system: UnitSystem): string =>
  attribute.kind === "length" ? lengthWords(Number(answer), system) : answer;

/**
 * An answer as it is read on a sheet, with its unit, and for a day how long ago that was.
 *
 * @example attributeWords({ key: "made-on", kind: "text" }, "1998", "metric", today) // "1998"
 */
export function attributeWords(
  attribute: Attribute,
  answer: string,
  system: UnitSystem,
  today: PlainDate,
): string {
  switch (attribute.kind) {
    case "choice":
      return attribute.options.find((option) => option.value === answer)?.label ?? answer;
    case "length":
      return lengthWords(Number(answer), system);
    case "day":
    case "past-day": {
      const day = readPlainDate(answer);
      return day ? dateWords(day, today) : answer;
    }
    default:
      return answer;
  }
}
