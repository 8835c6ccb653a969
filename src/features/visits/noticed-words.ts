import { signOf } from "@/content/signs";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { stillNoticed, verdictOfSign } from "@/core/noticed/sign";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, inSentence } from "@/core/quantities/words";

/** What the household noticed of a machine and holds still: “it squeals, since Thu 12 Mar”. */
export const noticedOf = (
  { history }: Pick<HomeSnapshot, "history">,
  unitId: string,
  today: PlainDate,
): string[] =>
  stillNoticed(history.noticed).flatMap(({ sign: id, unitId: at, date, words }) => {
    const sign = signOf(id);
    return at === unitId && sign && verdictOfSign(sign) !== "sound"
      ? [
          [`${inSentence(sign.words)}, since ${dayAndMonth(date, today)}`, words && `“${words}”`]
            .filter(Boolean)
            .join(" "),
        ]
      : [];
  });
