import { lengthWords, readLength } from "../quantities/length";
import { plainDate } from "../quantities/plain-date";
import { inSentence } from "../quantities/words";
import { attributeText, attributeWords, readAttributes, type Attribute } from "./attribute";

const today = plainDate("2026-03-14");

describe("a length", () => {
  it.each([
    ["6.5 m", "ft", 6.5],
    ["6,5", "m", 6.5],
    ["21 ft", "m", 6.4008],
    ["21'", "m", 6.4008],
    ["21", "ft", 6.4008],
    ["650cm", "m", 6.5],
    ['24"', "m", 0.6096],
    ["3 feet", "m", 0.9144],
  ] as const)("%s, bare in %s, is %d m", (text, fallback, metres) => {
    expect(readLength(text, fallback)).toBe(metres);
  });
  it.each(["", "a few steps", "0 m", "-2 m", "900 m", "6.5 km", "6 5"])("is not “%s”", (text) => {
    expect(readLength(text, "m")).toBeNull();
  });
  it("is said in the home's own unit", () => {
    expect(lengthWords(6.4008, "us")).toBe("21 ft");
    expect(lengthWords(6.4008, "metric")).toBe("6.4 m");
  });
});

describe("answers", () => {
  const attributes: Attribute[] = [
    { key: "way", label: "Which way", kind: "choice", options: [{ value: "up", label: "upward" }] },
    { key: "near", label: "Near", kind: "yes-no" },
    { key: "size", label: "Size", kind: "text" },
    { key: "made", label: "Made", kind: "past-day" },
    { key: "ends", label: "Ends", kind: "day" },
    { key: "heads", label: "Heads", kind: "count" },
    { key: "length", label: "Length", kind: "length" },
  ];
  const read = (typed: Record<string, string>) =>
    readAttributes(attributes, (key) => typed[key] ?? "", "us", today);

  it("are read, and what is left empty stays unknown", () => {
    expect(
      read({ way: "up", made: "2020-02-01", heads: "02", length: "21", size: " A-38 " }),
    ).toEqual({
      attributes: { way: "up", made: "2020-02-01", heads: "2", length: "6.4008", size: "A-38" },
      problems: {},
    });
    expect(read({})).toEqual({ attributes: {}, problems: {} });
  });
  it.each([
    [{ way: "down" }, "way", "Choose one of these."],
    [{ near: "perhaps" }, "near", "Yes or no?"],
    [{ made: "2026-03-15" }, "made", "That day is still to come."],
    [{ made: "1 March" }, "made", "That is not a day. Write it as year, month and day."],
    [{ heads: "2.5" }, "heads", "A whole number, 0 to 999."],
    [{ length: "long" }, "length", "A length, such as 6.5 m or 21 ft."],
    [{ size: "x".repeat(201) }, "size", "Shorter, please: up to 200 letters."],
  ])("like %j are asked about again", (typed, key, words) => {
    expect(read(typed).problems).toEqual({ [key]: words });
  });
  it("may lie ahead where the question allows it", () => {
    expect(read({ ends: "2030-01-01" }).attributes).toEqual({ ends: "2030-01-01" });
  });
  it("are said in words, and typed again as they were meant", () => {
    const by = (key: string) => attributes.find((attribute) => attribute.key === key)!;
    expect(attributeWords(by("way"), "up", "us", today)).toBe("upward");
    expect(attributeWords(by("made"), "2020-02-01", "us", today)).toBe("Sat 1 Feb 2020");
    expect(attributeWords(by("length"), "6.4008", "us", today)).toBe("21 ft");
    expect(attributeText(by("length"), "6.4008", "metric")).toBe("6.4 m");
    expect(attributeText(by("heads"), "2", "us")).toBe("2");
  });
});

describe("a name inside a sentence", () => {
  it.each([
    ["Left mesh", "left mesh"],
    ["HEPA cylinder", "HEPA cylinder"],
    ["filter", "filter"],
  ])("%s is %s", (name, said) => expect(inSentence(name)).toBe(said));
});
