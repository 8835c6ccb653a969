import { READING_WORDS, SEEN_WORDS, VERDICT_WORDS } from "@/content/reading-words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, inSentence } from "@/core/quantities/words";
import type { LikelyPart } from "@/core/visits/likely-parts";

/** Why a part is likely to be needed: “drifts out of its tolerance between next June and October”. */
export function likelyWords(part: LikelyPart, today: PlainDate): string {
  switch (part.because) {
    case "read":
      return `${inSentence(READING_WORDS[part.kind].name)} read ${dayAndMonth(part.on, today)}: ${VERDICT_WORDS[part.verdict]}`;
    case "drifts": {
      const on = dayAndMonth(part.likely, today);
      const from = part.early ? `, perhaps ${dayAndMonth(part.early, today)}` : "";
      return `${inSentence(READING_WORDS[part.kind].name)} leaves its limits about ${on}${from}`;
    }
    case "seen":
      return `${inSentence(READING_WORDS[part.kind].name)}, ${dayAndMonth(part.on, today)}: ${SEEN_WORDS[part.word] ?? part.word}`;
    case "age":
      return `${part.years} years in; such a part lasts about ${part.usualYears}`;
  }
}
