import type { MovePrice, Stands, WhyHere } from "@/core/planning/moves";
import { plainDate } from "@/core/quantities/plain-date";
import { minutesWords, priceWords, whyWords } from "./plan-words";

const today = plainDate("2026-03-14");
const stands = (extra: Partial<Stands> = {}): Stands => ({
  ...{ task: "filter", afterDue: 0, afterClose: 0, beforeOpens: 0, share: 0 },
  ...extra,
});
const price = (extra: Partial<MovePrice> = {}): MovePrice => ({
  minutes: 0,
  terms: { setup: 0, callOut: 0, powerDown: 0, early: 0, late: 0, stability: 0 },
  ...{ rounds: 0, visits: 0, powerDowns: 0, stands: [stands()], overCap: 0, missing: 0 },
  ...extra,
});
const nameOf = (task: string) => (task === "filter" ? "Change the filter" : "Rinse the trap");
const words = (extra: Partial<MovePrice>) => priceWords(price(extra), nameOf);

describe("what a move costs, in words", () => {
  it("says by how much of its time something is over, and what comes on top", () => {
    expect(words({ stands: [stands({ afterDue: 4, share: 0.12 })], powerDowns: 1 })).toBe(
      "12 % over its time, one power-down more",
    );
    expect(words({ stands: [stands({ afterDue: -9, share: -0.3 })], rounds: 1 })).toBe(
      "30 % of its time unused, one round more",
    );
  });

  it("says what is past its window or too soon, before all shares", () => {
    expect(words({ stands: [stands({ afterDue: 14, afterClose: 4, share: 0.4 })] })).toBe(
      "4 days past its window",
    );
    expect(words({ stands: [stands({ beforeOpens: 21, share: -0.6 })] })).toBe(
      "3 weeks before it may be done",
    );
  });

  it("names the jobs where several move, the worst two and how many more", () => {
    const all = [
      stands({ share: 0.05, afterDue: 2 }),
      stands({ task: "trap", afterDue: 20, afterClose: 3, share: 0.2 }),
      stands({ share: 0.3, afterDue: 9 }),
    ];
    expect(words({ stands: all })).toBe(
      "rinse the trap: 3 days past its window, change the filter: 30 % over its time, 1 more off their days",
    );
  });

  it("puts what is gained behind what is lost, and says so where nothing is", () => {
    expect(words({ rounds: -1, powerDowns: 2, overCap: 12.4, missing: 2 })).toBe(
      "two power-downs more, the day is 12 minutes too full, two later times have no day, one round less",
    );
    expect(words({})).toBe("costs nothing");
    expect(words({ visits: 1 })).toBe("one call-out more");
  });

  it("gives one figure to set days side by side", () => {
    expect([23.4, -13, 0.2, 1].map((minutes) => minutesWords({ minutes }))).toEqual([
      "23 minutes dearer",
      "13 minutes cheaper",
      "no dearer",
      "1 minute dearer",
    ]);
  });
});

describe("why something is where it is", () => {
  const why = (extra: Partial<WhyHere> = {}): WhyHere => ({
    ...{ stands: stands(), isPinned: false, others: 0, sharesPower: false, instead: [] },
    ...extra,
  });

  it("is its company, its pin, and what other days would cost and for what", () => {
    const terms = { ...price().terms, setup: 15, late: 3 };
    const instead = [
      { kind: "due" as const, day: plainDate("2026-03-18"), price: price({ minutes: 18, terms }) },
      { kind: "after" as const, day: plainDate("2026-03-21"), price: price({ minutes: -2 }) },
    ];
    expect(whyWords(why({ isPinned: true, others: 3, sharesPower: true, instead }), today)).toEqual(
      [
        "It is pinned here: whatever else moves, it stays.",
        "It is neither early nor late here.",
        "Three others are done on the same round, and its machine is off for them anyway.",
        "On its own day, Wed 18 Mar: 18 minutes dearer, mostly for getting ready once more.",
        "In the round after, Sat 21 Mar: 2 minutes cheaper.",
      ],
    );
  });

  it("says that it is alone, and how it stands", () => {
    expect(whyWords(why({ stands: stands({ afterDue: 3, share: 0.1 }) }), today)).toEqual([
      "Here it is 10 % over its time.",
      "It has this round to itself.",
    ]);
    const early = stands({ afterDue: -4, share: -0.08 });
    expect(whyWords(why({ stands: early }), today)[0]).toBe("Here 8 % of its time goes unused.");
    expect(whyWords(why({ others: 1 }), today)[1]).toBe("One other job is done on the same round.");
  });
});
