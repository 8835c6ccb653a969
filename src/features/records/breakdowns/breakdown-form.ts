import { z } from "zod";
import type { Breakdown } from "@/core/history/history-event";
import { readMoney } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { DAY_WORDS, isDay, readPastDay, readWhole } from "@/lib/forms";

const LONG = 1000;
const SHORT = 300;
const longest = (most: number) =>
  z.string().max(most, `Shorter, please: up to ${most} letters.`).default("");
const MOST_DAYS = 3650;

/** What would have prevented it where no job would: in words of one’s own. */
export const OTHERWISE = "otherwise";

export type BreakdownContext = {
  /** The jobs of the machine. */
  taskIds: readonly string[];
  currency: string;
  today: PlainDate;
};

/** A machine that stopped: what happened, what was found, what it cost, what follows. */
export const breakdownForm = ({ taskIds, currency, today }: BreakdownContext) =>
  z
    .object({
      date: z.string(),
      words: longest(LONG),
      code: longest(60),
      found: longest(SHORT),
      cause: longest(SHORT),
      cost: z.string().default(""),
      daysWithout: z.string().default(""),
      prevented: z.string().default(""),
      preventedWords: longest(SHORT),
      follows: z.string().default(""),
    })
    .transform((fields, context) => {
      const problem = (path: string, message: string) =>
        context.addIssue({ code: "custom", path: [path], message });
      const date = readPastDay(fields.date, today);
      if (!isDay(date)) problem("date", DAY_WORDS[date]);
      if (fields.words === "") problem("words", "Say what happened.");
      const cost = fields.cost === "" ? undefined : readMoney(fields.cost, currency);
      if (cost === null) problem("cost", `Write what it cost in ${currency}, such as 180.`);
      const days =
        fields.daysWithout === "" ? undefined : readWhole(fields.daysWithout, 0, MOST_DAYS);
      if (days === null) problem("daysWithout", `Whole days, 0 to ${MOST_DAYS}.`);
      const { prevented, preventedWords, follows } = fields;
      if (prevented === OTHERWISE && preventedWords === "")
        problem("preventedWords", "Say what would have.");
      if (prevented !== "" && prevented !== OTHERWISE && !taskIds.includes(prevented))
        problem("prevented", "That job is not there any more.");
      if (follows !== "" && !taskIds.includes(follows))
        problem("follows", "That job is not there any more.");
      if (!isDay(date) || context.issues.length > 0) return z.NEVER;
      const breakdown: Breakdown = {
        ...said("code", fields.code),
        ...said("found", fields.found),
        ...said("cause", fields.cause),
        ...(days === undefined || days === null ? {} : { daysWithout: days }),
        ...(prevented === OTHERWISE
          ? { prevented: { words: preventedWords } }
          : prevented === ""
            ? {}
            : { prevented: { taskId: prevented } }),
        ...said("follows", follows),
      };
      return {
        date,
        words: fields.words,
        ...(cost === undefined || cost === null ? {} : { costMinor: cost }),
        breakdown,
      };
    });

const said = <K extends string>(name: K, words: string) =>
  (words === "" ? {} : { [name]: words }) as Partial<Record<K, string>>;
