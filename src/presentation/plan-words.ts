import type { MovePrice, PlanWhyTerm, Stands, WhyHere } from "@/core/planning/moves";
import type { PlainDate } from "@/core/quantities/plain-date";
import { capitalised, countWords, dateWords, inSentence, spanWords } from "@/core/quantities/words";

/** What a job is called in a sentence. */
export type NameOf = (task: string) => string;

/** How few minutes are not worth a word. */
const SMALL_MINUTES = 0.5;
/** From this share of its interval early or late on it is said as percent. */
const SMALL_SHARE = 0.02;

const more = (count: number, one: string, many: string, verb = "more"): string =>
  count === 1 ? `one ${one} ${verb}` : `${countWords(count)} ${many} ${verb}`;

const percent = (share: number): string => `${Math.round(100 * Math.abs(share))} %`;

/** “12 % over its time”, “4 days before its window opens”; null where there is nothing to say. */
function standsWords({ afterDue, afterClose, beforeOpens, share }: Stands): string | null {
  if (beforeOpens > 0) return `${spanWords(beforeOpens)} before it may be done`;
  if (afterClose > 0) return `${spanWords(afterClose)} past its window`;
  if (share === null || Math.abs(share) < SMALL_SHARE) return null;
  return afterDue > 0 ? `${percent(share)} over its time` : `${percent(share)} of its time unused`;
}

/** The worst first; of many only how many there are. */
const MOST_NAMED = 2;

function allStands(stands: readonly Stands[], nameOf: NameOf): string[] {
  const worst = (each: Stands) =>
    1000 * each.beforeOpens + 100 * each.afterClose + Math.abs(each.share ?? 0);
  const said = [...stands]
    .sort((a, b) => worst(b) - worst(a))
    .flatMap((each) => {
      const words = standsWords(each);
      if (words === null) return [];
      return stands.length > 1 ? `${inSentence(nameOf(each.task))}: ${words}` : words;
    });
  if (said.length <= MOST_NAMED) return said;
  return [...said.slice(0, MOST_NAMED), `${said.length - MOST_NAMED} more off their days`];
}

/**
 * What it costs to do something on another day, in words: “the filter is 12 % over, one power-down more”.
 * What is gained stands behind what is lost.
 */
export function priceWords(price: MovePrice, nameOf: NameOf): string {
  const { rounds, visits, powerDowns, stands, overCap, missing } = price;
  const changes = [
    [rounds, "round", "rounds"],
    [visits, "call-out", "call-outs"],
    [powerDowns, "power-down", "power-downs"],
  ] as const;
  const words = [
    ...allStands(stands, nameOf),
    ...changes.flatMap(([count, one, many]) => (count > 0 ? [more(count, one, many)] : [])),
    ...(overCap > 0 ? [`the day is ${Math.round(overCap)} minutes too full`] : []),
    ...(missing > 0
      ? [`${countWords(missing)} later ${missing === 1 ? "time has" : "times have"} no day`]
      : []),
    ...changes.flatMap(([count, one, many]) =>
      count < 0 ? [more(-count, one, many, "less")] : [],
    ),
  ];
  return words.length > 0 ? words.join(", ") : "costs nothing";
}

/** “14 minutes more”: the price as one figure, for setting days side by side. */
export function minutesWords({ minutes }: Pick<MovePrice, "minutes">): string {
  if (Math.abs(minutes) < SMALL_MINUTES) return "no dearer";
  const whole = Math.round(Math.abs(minutes));
  return `${whole} ${whole === 1 ? "minute" : "minutes"} ${minutes > 0 ? "dearer" : "cheaper"}`;
}

const INSTEAD = {
  due: "On its own day",
  before: "In the round before",
  after: "In the round after",
} as const satisfies Record<WhyHere["instead"][number]["kind"], string>;

/** The term that makes most of a price, in a few words. */
const TERM_WORDS: Record<PlanWhyTerm, string> = {
  setup: "getting ready once more",
  callOut: "calling the technician out",
  powerDown: "switching off once more",
  early: "throwing it away early",
  late: "being late",
  stability: "moving what was agreed",
};

/** Why an occurrence is where it is, in whole sentences. */
export function whyWords(why: WhyHere, today: PlainDate): string[] {
  const { stands, isPinned, others, sharesPower, instead } = why;
  const own = standsWords(stands);
  const some = others === 1 ? "One other job is" : `${capitalised(countWords(others))} others are`;
  const power = sharesPower ? ", and its machine is off for them anyway" : "";
  const company =
    others === 0 ? "It has this round to itself." : `${some} done on the same round${power}.`;
  return [
    ...(isPinned ? ["It is pinned here: whatever else moves, it stays."] : []),
    own === null
      ? "It is neither early nor late here."
      : stands.afterDue > 0 || stands.beforeOpens > 0
        ? `Here it is ${own}.`
        : `Here ${own.replace("unused", "goes unused")}.`,
    company,
    ...instead.map(({ kind, day, price }) => {
      const dearest = (Object.entries(price.terms) as [PlanWhyTerm, number][]).reduce((a, b) =>
        b[1] > a[1] ? b : a,
      );
      const because =
        price.minutes > SMALL_MINUTES && dearest[1] > 0
          ? `, mostly for ${TERM_WORDS[dearest[0]]}`
          : "";
      return `${INSTEAD[kind]}, ${dateWords(day, today)}: ${minutesWords(price)}${because}.`;
    }),
  ];
}
