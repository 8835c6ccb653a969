import { ESLint } from "eslint";
import { retiredIn, retiredInComment } from "./lint/retired-words.mjs";

jest.setTimeout(30_000);

describe("words that were given up", () => {
  it.each([
    ["taskStanding", "standing"],
    ["AGENDA_DAYS", "agenda"],
    ["readHomeBook", "homebook"],
    ["isPutOff", "putoff"],
    ["schoolCards", "school"],
  ])("are found in the name %s", (name, word) => {
    expect(retiredIn(name)?.word).toBe(word);
  });

  it.each(["filterStatus", "understanding", "bookDue", "standard", "reschooled", "output"])(
    "are not found in %s",
    (name) => {
      expect(retiredIn(name)).toBeNull();
    },
  );

  it("are found in a comment, but for keys in code marks", () => {
    expect(retiredInComment("/** How a stint ends. */")?.say).toBe("installed period");
    expect(retiredInComment("// The home book is read.")?.word).toBe("home book");
    expect(retiredInComment("/** `cadence` in the contract. */")).toBeNull();
  });

  it("are refused by the project's own lint, where the contract's keys are not", async () => {
    const eslint = new ESLint();
    const messages = async (text: string) =>
      (await eslint.lintText(text, { filePath: "src/core/planted.ts" }))[0]!.messages.map(
        ({ ruleId }) => ruleId,
      );
    expect(await messages("export const agenda = 1;\n")).toContain("words/retired-words");
    expect(await messages("/** Its clockwork. */\nexport const a = 1;\n")).toContain(
      "words/retired-words",
    );
    expect(await messages("export const key = { cadence: 1, school: 2 };\n")).toEqual([]);
  });
});
