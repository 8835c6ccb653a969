import { choiceWords } from "./compare-words";

const row = (changesPerYear: number, paybackYears: number | null = null) => ({
  changesPerYear,
  paybackYears,
});
const plain = { isPriced: false, hasFrame: false, costWords: null };

describe("a filter beside the one that is chosen", () => {
  it("says how often it is changed instead of how often, and when its frame has paid", () => {
    const priced = { isPriced: true, hasFrame: true, costWords: "€36" };
    expect(choiceWords(row(2.1, 3.2), row(7.2), priced)).toBe(
      "2 changes a year instead of 7, €36 a year, pays for its frame in 3 years.",
    );
    expect(choiceWords(row(2.1, 0.4), row(7.2), priced)).toContain("in 5 months");
    expect(choiceWords(row(2.1, 1), row(7.2), priced)).toContain("in a year");
  });

  it("says that it saves no money, or does so from the first day", () => {
    const priced = { isPriced: true, hasFrame: false, costWords: "€90" };
    expect(choiceWords(row(3), row(7), priced)).toBe(
      "3 changes a year instead of 7, €90 a year, saves no money.",
    );
    expect(choiceWords(row(3, 0), row(7), priced)).toContain("cheaper from the first day");
  });

  it("says no more than is known: without prices, beside itself, as often, or hardly ever", () => {
    expect(choiceWords(row(7.2), null, plain)).toBe("7 changes a year.");
    expect(choiceWords(row(1.1, 2), row(7), plain)).toBe("1 change a year instead of 7.");
    expect(choiceWords(row(7.4), row(6.8), plain)).toBe("7 changes a year.");
    expect(choiceWords(row(0.34), row(2), plain)).toBe("A change every 3 years instead of 2.");
    expect(choiceWords(row(0), row(2), plain)).toBe("No change instead of 2.");
  });
});
