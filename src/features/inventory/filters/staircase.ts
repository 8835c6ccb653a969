import { scaleLinear } from "d3-scale";
import { HOUSEHOLD_WORDS } from "@/content/words";
import type { ScopedDriver } from "@/core/inventory/inventory";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth } from "@/core/quantities/words";
import { factorWords, type NamedCause } from "@/core/filters/reasons";
import type { Explanation, WearNow } from "@/core/filters/wear-status";

/** One step: a cause with its length, where it lies, and what is said when it is pressed. */
export type Step = {
  words: string;
  /** “9 days”, “12 points”, with a sign where it puts off. */
  amount: string;
  /** Where the step begins and ends, percent of the width. */
  from: number;
  to: number;
  isNearer: boolean;
  what: string;
  change: { words: string; href: string } | null;
};

export type Staircase = {
  /** What the width measures: days on the calendar, or points of load. */
  measure: "days" | "points";
  top: { words: string; at: number };
  foot: { words: string; at: number };
  steps: Step[];
};

/** What a staircase is drawn from. */
export type StairGround = {
  explanation: Explanation;
  wear: WearNow;
  drivers: readonly ScopedDriver[];
  homeId: string;
  partId: string;
  today: PlainDate;
  /** Days, or points where days leap the seasons in which it stands still. */
  measure: Staircase["measure"];
};

const FULL_PERCENT = 100;
/** The steps lie within these shares of the width, so that the words at their ends have room. */
const WIDTH = [4, 96];

/**
 * The causes of a due day as a staircase from the book's day to the likely one: first what brings it
 * nearer, then what puts it off, each step as long as its days. None where there is nothing to climb: no
 * cause, or its age sets both days.
 */
export function staircaseOf(ground: StairGround): Staircase | null {
  const { explanation, wear, measure, today } = ground;
  const { bookDue, likely } = wear;
  if (!bookDue || !likely || wear.isBeforePutAway) return null;
  const sizeOf = ({ days, points }: NamedCause) => (measure === "days" ? days : points) ?? 0;
  const moving = explanation.causes.filter((cause) => sizeOf(cause) !== 0);
  // Where age sets both days, all that is between them is the share for lungs; a coil that goes by its age
  // is no fuller by any cause.
  const isByAge =
    wear.limitedBy === "age" &&
    (measure === "points" || moving.every(({ cause }) => cause === "breathing"));
  if (moving.length === 0 || isByAge) return null;
  const inOrder = [
    ...moving.filter((cause) => sizeOf(cause) > 0),
    ...moving.filter((cause) => sizeOf(cause) < 0),
  ];
  // Nearer is to the left on a calendar; more load is to the right.
  const way = measure === "days" ? -1 : 1;
  const total = inOrder.reduce((sum, cause) => sum + sizeOf(cause), 0);
  const start = measure === "days" ? daysFrom(today, bookDue) : FULL_PERCENT - total;
  let at = start;
  const edges = inOrder.map((cause) => {
    const before = at;
    at += way * sizeOf(cause);
    return [before, at] as const;
  });
  const all = [start, ...edges.flat()];
  const scale = scaleLinear([Math.min(...all), Math.max(...all)], WIDTH);
  const onDay = (date: PlainDate) => dayAndMonth(date, today);
  return {
    measure,
    top: {
      words: measure === "days" ? `Usually ${onDay(bookDue)}` : `Usually ${Math.round(start)} %`,
      at: scale(start),
    },
    foot: {
      words: measure === "days" ? `Likely ${onDay(likely)}` : `Matted ${onDay(likely)}`,
      at: scale(at),
    },
    steps: inOrder.map((cause, i) => ({
      words: cause.words,
      amount: amountWords(sizeOf(cause), measure),
      from: scale(edges[i]![0]),
      to: scale(edges[i]![1]),
      isNearer: sizeOf(cause) > 0,
      ...said(cause, ground),
    })),
  };
}

function amountWords(size: number, measure: Staircase["measure"]): string {
  const n = measure === "days" ? Math.abs(size) : Math.round(Math.abs(size));
  const sign = size < 0 && n > 0 ? "−" : "";
  return measure === "days" ? `${sign}${n} day${n === 1 ? "" : "s"}` : `${sign}${n} %`;
}

/** What a cause is, since when, and where it is changed. */
function said(
  { cause, id, kind }: NamedCause,
  { wear, drivers, homeId, partId, today }: StairGround,
): Pick<Step, "what" | "change"> {
  const household = `/homes/${homeId}/household`;
  const part = `/homes/${homeId}/parts/${partId}`;
  const { fittedOn, lifeShare, reliefs } = wear.input;
  const since = dayAndMonth(fittedOn, today);
  switch (cause) {
    case "driver": {
      const driver = drivers.find((each) => each.id === id);
      if (driver)
        return {
          what: `${HOUSEHOLD_WORDS[driver.kind].name}${spellWords(driver, today)}.`,
          change: { words: "Change it", href: `${household}?change=${driver.id}` },
        };
      return kind === "duct-cleaning"
        ? {
            what: "The dust that the cleaning of the ducts stirred up, for two weeks.",
            change: null,
          }
        : {
            what: "Several small ones together.",
            change: { words: "See who and what lives here", href: household },
          };
    }
    case "weather":
      return {
        what: `What was observed and measured since ${since}, against a usual year.`,
        change: { words: "See the usual year", href: `/homes/${homeId}/edit` },
      };
    case "place":
      return {
        what: `By the looks here it loads ${factorWords({ mu: wear.pace.lnK, sd: 0 })}.`,
        change: { words: "See the looks", href: `${part}#history` },
      };
    case "breathing":
      return {
        what: `Somebody here has trouble breathing: a filter of what they breathe goes at ${Math.round(100 * lifeShare)} % of its life.`,
        change: breathingLink(drivers, household),
      };
    case "relief":
      return {
        what: `Vacuumed where it sits on ${reliefs.map(({ date }) => dayAndMonth(date, today)).join(", ")}.`,
        change: { words: "See its record", href: `${part}#history` },
      };
    case "look":
      return {
        what: "Somebody saw it full: that counts more than what its hours say.",
        change: { words: "See the looks", href: `${part}#history` },
      };
  }
}

const breathingLink = (drivers: readonly ScopedDriver[], household: string) => {
  const lungs = drivers.find(({ kind }) => kind === "breathing-trouble");
  return { words: "Change it", href: lungs ? `${household}?change=${lungs.id}` : household };
};

function spellWords({ from, to }: ScopedDriver, today: PlainDate): string {
  if (from && to) return `, ${dayAndMonth(from, today)} to ${dayAndMonth(to, today)}`;
  if (from) return `, since ${dayAndMonth(from, today)}`;
  return to ? `, until ${dayAndMonth(to, today)}` : ", all year round";
}
