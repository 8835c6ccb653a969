import fc from "fast-check";
import { plainDate } from "../quantities/plain-date";
import {
  causesSentence,
  factorWords,
  named,
  sureWords,
  type AgeFacts,
  type NamedCause,
} from "./reasons";
import type { WearCause } from "./wear-causes";

const likely = plainDate("2026-03-16");
const names = {
  driver: (id: string) => ({ dog: "the dog", clay: "clay dust", rail: "its rail" })[id] ?? "",
  weather: "a cold January",
  place: "this slot",
};
const dog = (days: number, points = days): WearCause => ({
  ...{ cause: "driver", id: "dog", kind: "shedding-pets" },
  ...{ days, points },
});
const clay = (days: number, points = days): WearCause => ({
  ...{ cause: "driver", id: "clay", kind: "dusty-hobby" },
  ...{ days, points },
});
const of = (cause: WearCause["cause"], days: number, points = days): WearCause => ({
  cause,
  days,
  points,
});
const totalOf = (causes: WearCause[]) => causes.reduce((sum, { days }) => sum + days!, 0);
function sentence(causes: WearCause[], age: AgeFacts | null = null): string {
  const found = { bookDue: null, likely, totalDays: totalOf(causes), causes };
  return causesSentence(found, named(found, names), age);
}

describe("the sentence of causes", () => {
  it("names the three greatest, joins the rest, and adds up in days", () => {
    expect(sentence([clay(9), dog(6), of("weather", 4)])).toBe(
      "19 days sooner than usual: clay dust (9 days), the dog (6) and a cold January (4).",
    );
    expect(sentence([clay(8), dog(5), of("weather", 3), of("place", 2), of("relief", 1)])).toBe(
      "19 days sooner than usual: clay dust (8 days), the dog (5), a cold January (3) and smaller causes (3).",
    );
  });

  it("tells more in halves of weeks, which add up, too", () => {
    // 91 days are 13 weeks; 4.3, 4, 2.1 and 2.6 weeks, dealt in halves.
    expect(
      sentence([of("breathing", 30), clay(28), dog(15), of("place", 10), of("weather", 8)]),
    ).toBe(
      "13 weeks sooner than usual: breathing trouble (4½ weeks), clay dust (4), the dog (2) and smaller causes (2½).",
    );
    expect(sentence([clay(300), dog(34)])).toBe(
      "11 months sooner than usual: clay dust (10 months) and the dog (1).",
    );
  });

  it("says what works the other way as less", () => {
    expect(sentence([clay(24), of("weather", -6)])).toBe(
      "18 days sooner than usual: clay dust (24 days); put off by a cold January (6).",
    );
    expect(sentence([of("relief", -16), dog(3)])).toBe(
      "13 days later than usual: vacuuming it in place (16 days); brought nearer by the dog (3).",
    );
  });

  it("says so where nothing sets it apart, and what makes up for each other", () => {
    expect(sentence([])).toBe("As usual.");
    expect(sentence([dog(1)])).toBe("As usual.");
    expect(sentence([clay(10), of("weather", -9)])).toBe(
      "As usual: clay dust and a cold January make up for each other.",
    );
    const never = { likely: null, totalDays: null };
    expect(causesSentence(never, [], null)).toBe("Not due within three years at this rate.");
  });

  it("of a filter that goes by its age names what shortens it, and what loads it, most points first", () => {
    const causes = [of("breathing", 30, 0), dog(0, 9), clay(0, 20), of("weather", 0, 0)];
    expect(sentence(causes, { days: 90, wholeDays: 120, byLoad: null, isInUse: false })).toBe(
      "By its age of 90 days instead of 120, for somebody’s breathing: it runs too little to fill up first. " +
        "What counts here beside: clay dust and the dog.",
    );
    expect(
      sentence([], { days: 120, wholeDays: 120, byLoad: plainDate("2026-03-30"), isInUse: false }),
    ).toBe("By its age of 120 days: full it would be 2 weeks later.");
  });

  it("always adds up to what it says in all", () => {
    const days = fc.integer({ min: -200, max: 400 });
    const amount = (words: string) => Number(words.replace("½", ".5").replace(/^\./, "0."));
    fc.assert(
      fc.property(fc.array(days, { minLength: 1, maxLength: 5 }), (each) => {
        const causes = [dog, clay]
          .map((make, i) => make(each[i] ?? 0))
          .concat((["weather", "place", "relief"] as const).map((c, i) => of(c, each[i + 2] ?? 0)))
          .sort((a, b) => Math.abs(b.days!) - Math.abs(a.days!));
        const said = sentence(causes);
        const head = /^([\d½]+) \w+ (before|after) the book: (.*)\.$/.exec(said);
        if (!head) return;
        const [towards, against = ""] = head[3]!.split(", less ");
        const sum = (words: string) =>
          [...words.matchAll(/([\d½]+)(?=,| and|$)/g)].reduce((all, [, n]) => all + amount(n!), 0);
        expect(sum(towards!) - sum(against)).toBe(amount(head[1]!));
      }),
    );
  });
});

describe("names of causes", () => {
  it("join what is several small drivers, and keep the rest", () => {
    const other: NamedCause[] = named(
      {
        ...{ bookDue: null, likely, totalDays: 5 },
        causes: [{ cause: "driver", kind: "other", days: 5, points: 5 }],
      },
      names,
    );
    expect(other[0]!.words).toBe("smaller causes");
  });
});

describe("the place's own factor in words", () => {
  it.each([
    [0.588, "about 1.8 times as fast as usual"],
    [0.7, "about 2.0 times as fast as usual"],
    [0.02, "about as fast as usual"],
    [-0.4, "about two thirds as fast as usual"],
    [-0.78, "about half as fast as usual"],
    [-1.5, "about a quarter as fast as usual"],
    [-0.1, "a little slower than usual"],
    [0.1, "a little faster than usual"],
  ])("for mu %d: %s", (mu, expected) => {
    expect(factorWords({ mu, sd: 0.1 })).toBe(expected);
  });
});

describe("how sure a pace is", () => {
  /** The spread of ln k at which eight of ten lie within this share. */
  const sd = (share: number) => Math.log(1 + share) / 1.2816;
  it.each([
    [0.119, "a tenth"],
    [0.121, "a sixth"],
    [0.179, "a sixth"],
    [0.181, "a fifth"],
    [0.219, "a fifth"],
    [0.221, "a quarter"],
    [0.279, "a quarter"],
    [0.281, "a third"],
    [0.369, "a third"],
    [0.371, "a half"],
    [0.549, "a half"],
  ])("within %d is within %s", (share, words) => {
    expect(sureWords({ mu: 0, sd: sd(share) })).toBe(`sure within ${words}`);
  });
  it("is not said to be sure beyond that", () => {
    expect(sureWords({ mu: 0, sd: sd(0.551) })).toBe("not sure yet");
  });
});
