import { READING_WORDS, SEEN_WORDS } from "@/content/reading-words";
import type { ReadingTaken } from "@/core/history/history-event";
import type { UnitSystem } from "@/core/quantities/length";
import type { KeptJudgement } from "@/core/readings/judge";
import type { ReadingKind, Verdict } from "@/core/readings/reading-kinds";
import { readingWords } from "@/core/readings/reading-units";

/** What a verdict asks for: of carbon monoxide to stop is to leave. */
export const actWords = (kind: ReadingKind, verdict: Verdict): string => {
  const { act, stop } = READING_WORDS[kind];
  return verdict === "stop" ? (stop ?? act) : act;
};

/** Where too much asks for something else than too little: what was measured wrongly is measured again. */
const ABOVE: Partial<Record<ReadingKind, string>> = {
  "thermocouple-mv": "more than one gives: it was measured wrongly. Measure again, replace nothing",
};

/** What a judgement asks for, by the side on which it lies. */
export const adviceWords = (
  kind: ReadingKind,
  { verdict, facts }: Pick<KeptJudgement, "verdict" | "facts">,
): string =>
  verdict === "unknown"
    ? PLATE_WANTED
    : ((facts["side"] === "above" ? ABOVE[kind] : undefined) ?? actWords(kind, verdict));

/** What would tell how it stands. */
const PLATE_WANTED = "write down what its plate says, and it is told";

/** What was read, as a person writes it: “4.79 µF”, “matted”. */
export const readWords = (
  { kind, value }: Pick<ReadingTaken, "kind" | "value">,
  system: UnitSystem,
): string =>
  typeof value === "number"
    ? readingWords(kind, value, system)
    : (SEEN_WORDS[value ?? ""] ?? "bulged or leaking");
