import type { PlainDate } from "@/core/quantities/plain-date";
import { betweenWords, dayAndMonth } from "@/core/quantities/words";
import type { Going } from "@/core/readings/going";

/** “at this pace it leaves its limits between 3 Jun and 12 Oct 2027”; empty where it does not. */
export function crossingWords({ trend: { crossing }, isBeyond }: Going, today: PlainDate): string {
  if (!crossing?.likely) return "";
  const { early, likely, late } = crossing;
  if (isBeyond) return `past its limit since ${dayAndMonth(likely, today)}`;
  const when =
    early && late && early !== late
      ? betweenWords(early, late, today)
      : early && !late
        ? `${dayAndMonth(early, today)} at the earliest, about ${dayAndMonth(likely, today)}`
        : `about ${dayAndMonth(likely, today)}`;
  return `at this pace it leaves its limits ${when}`;
}
