import { plainDate } from "../quantities/plain-date";
import { factorWords, reasonSentence, reasonsOf, sureWords, type AgeFacts } from "./reasons";
import type { WearSummary } from "./wear";

const summary = (extra: Partial<WearSummary> = {}): WearSummary => ({
  early: plainDate("2026-03-10"),
  likely: plainDate("2026-03-16"),
  late: plainDate("2026-03-24"),
  limitedBy: "load",
  percentNow: 90,
  belief: { mu: 0.15, sd: 0.15 },
  looksUsed: 2,
  drivers: [
    { id: "dog", kind: "shedding-pets", daysBroughtForward: 6 },
    { id: "clay", kind: "dusty-hobby", daysBroughtForward: 9 },
    { id: "people", kind: "people", daysBroughtForward: 0 },
    { id: "rail", kind: "bypass", daysBroughtForward: -1 },
  ],
  bookDue: plainDate("2026-04-02"),
  weatherDays: 4,
  ...extra,
});
const words = ({ id }: { id?: string | undefined }) =>
  ({ dog: "the dog", clay: "clay dust", rail: "its rail" })[id ?? ""] ?? "";
const sentence = (
  result: WearSummary,
  weather: string | null = "a cold January",
  pace: string | null = null,
) => reasonSentence(result, reasonsOf(result, words, weather, pace ? plainDate(pace) : null));

describe("reasons", () => {
  it("name the strongest first, and three at most", () => {
    expect(sentence(summary())).toBe(
      "2 weeks sooner than the book: clay dust alone 9 days, the dog 6 days, a cold January 4 days.",
    );
    expect(sentence(summary(), null, "2026-03-23")).toBe(
      "2 weeks sooner than the book: clay dust alone 9 days, this slot’s own pace 7 days, the dog 6 days.",
    );
  });

  it("leave out what works the other way, and what is too small to speak of", () => {
    const mild = summary({
      weatherDays: -5,
      drivers: [{ id: "dog", kind: "shedding-pets", daysBroughtForward: 1 }],
    });
    expect(sentence(mild, "a mild January")).toBe(
      "2 weeks sooner than the book: this slot loads about 1.2 times as fast as the book says.",
    );
  });

  it("name what shortens an age, and what loads the filter meanwhile", () => {
    const old = summary({ limitedBy: "age" });
    const said = (age: AgeFacts, weather: string | null = null) =>
      reasonSentence(old, reasonsOf(old, words, weather, null), age);
    expect(said({ days: 120, wholeDays: 120, byLoad: null })).toBe(
      "By its age of 120 days: it runs too little to fill up first. What counts here beside: clay dust, the dog and its rail.",
    );
    // Three quarters of it for lungs; full it would be two weeks after.
    expect(said({ days: 90, wholeDays: 120, byLoad: plainDate("2026-03-30") })).toMatch(
      /^By its age of 90 days instead of 120, for easier breathing: full it would be 2 weeks later\./,
    );
  });

  it("say later as plainly as sooner", () => {
    const later = summary({ likely: plainDate("2026-04-20"), drivers: [], weatherDays: -12 });
    expect(sentence(later, "a mild March")).toBe(
      "3 weeks later than the book: a mild March alone 12 days.",
    );
  });

  it.each([
    [summary({ bookDue: plainDate("2026-03-17") }), "When the book says."],

    [summary({ likely: null, limitedBy: null }), "Not due within three years at this rate."],
  ])("know when there is nothing to explain", (result, expected) => {
    expect(sentence(result)).toBe(expected);
  });
});

describe("the place's own factor in words", () => {
  it.each([
    [0.588, "about 1.8 times as fast as the book says"],
    [0.7, "about 2.0 times as fast as the book says"],
    [0.02, "about as fast as the book says"],
    [-0.4, "about two thirds as fast as the book says"],
    [-0.78, "about half as fast as the book says"],
    [-1.5, "about a quarter as fast as the book says"],
    [-0.1, "a little slower than the book says"],
    [0.1, "a little faster than the book says"],
  ])("for mu %d: %s", (mu, expected) => {
    expect(factorWords({ mu, sd: 0.1 })).toBe(expected);
  });
  it.each([
    [0.08, "sure within a tenth"],
    [0.12, "sure within a sixth"],
    [0.15, "sure within a fifth"],
    [0.19, "sure within a quarter"],
    [0.24, "sure within a third"],
    [0.33, "sure within a half"],
    [0.4, "not sure yet"],
  ])("for sd %d: %s", (sd, expected) => {
    expect(sureWords({ mu: 0, sd })).toBe(expected);
  });
});

describe("reasons without a day", () => {
  it("leave the pace and the lungs out where no due day is known, or they change none", () => {
    const [pace, whole] = [plainDate("2026-04-01"), plainDate("2026-05-01")];
    const named = (result: WearSummary, rated = pace, life = whole) =>
      reasonsOf(result, words, null, rated, life).map(({ words: said }) => said);
    const bare = { drivers: [], weatherDays: null };
    expect(named(summary({ ...bare, likely: null }))).toEqual([]);
    expect(named(summary(bare))).toEqual(["easier breathing", "this slot’s own pace"]);
    const likely = summary(bare).likely!;
    expect(named(summary(bare), likely, likely)).toEqual([]);
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
