import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { countWords, dayAndMonth, listWords } from "@/core/quantities/words";
import { alarmLife, levelsWithoutAlarm, warrantyOf } from "@/core/register/alarms";
import type { HomeBook } from "@/core/register/register";
import { shutRegisters } from "@/core/register/shut-registers";

export type Watch = { verdict: "watch" | "act"; words: string; href: string };

/** What is on watch in a home, the worst first: alarms, registers, warranties. */
export function watchOf(book: HomeBook, today: PlainDate): Watch[] {
  return [...alarms(book, today), ...registers(book), ...warranties(book, today)].sort((a, b) =>
    a.verdict === b.verdict ? 0 : a.verdict === "act" ? -1 : 1,
  );
}

function alarms(book: HomeBook, today: PlainDate): Watch[] {
  const all = book.units.filter((unit) => unit.kind === "co-alarm");
  const spent = all.flatMap((unit): Watch[] => {
    const made = readPlainDate(unit.answers["made-on"] ?? "");
    if (!made) return [];
    const life = alarmLife(made, today);
    if (life.verdict === "sound") return [];
    const by = dayAndMonth(life.by, today);
    return [
      {
        verdict: life.verdict,
        href: `units/${unit.id}`,
        words:
          life.verdict === "act"
            ? `${unit.name}: its sensor is spent since ${by}. Replace the alarm; new batteries don’t help.`
            : `${unit.name}: its sensor may be spent. Replace the alarm by ${by}.`,
      },
    ];
  });
  const bare = levelsWithoutAlarm(book.levels, book.rooms, all).map((level) => level.name);
  if (bare.length === 0) return spent;
  const words = `No carbon monoxide alarm on: ${listWords(bare)}.`;
  return [...spent, { verdict: "act", words, href: "rooms" }];
}

function registers({ registers: all }: HomeBook): Watch[] {
  const shut = shutRegisters(all);
  if (shut?.verdict !== "act") return [];
  const { verdict, mustOpen, returnsShut } = shut;
  const words =
    returnsShut > 0
      ? "A return is shut or blocked: open it."
      : `Too many registers are shut: open ${countWords(mustOpen)} at least.`;
  return [{ verdict, words, href: "rooms" }];
}

const warranties = (book: HomeBook, today: PlainDate): Watch[] =>
  book.units.flatMap((unit): Watch[] => {
    const { warrantyEndsOn: ends, warrantyRegistered: isRegistered } = unit;
    if (!ends || warrantyOf(ends, today) === "over") return [];
    const day = dayAndMonth(ends, today);
    const href = `units/${unit.id}`;
    if (isRegistered === false)
      return [
        {
          verdict: "watch",
          href,
          words: `${unit.name}: its warranty, until ${day}, is not registered yet.`,
        },
      ];
    return warrantyOf(ends, today) === "ends-soon"
      ? [{ verdict: "watch", href, words: `${unit.name}: its warranty ends ${day}.` }]
      : [];
  });
