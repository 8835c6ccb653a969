import { spawnSync } from "node:child_process";
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

  it("are refused by the project's own lint, where the contract's keys are not", () => {
    const rulesFor = (input: string): string[] => {
      const name = ["--stdin", "--stdin-filename", "src/core/planted.ts", "--format", "json"];
      const { stdout } = spawnSync("node_modules/.bin/eslint", name, { input, encoding: "utf8" });
      const [file] = JSON.parse(stdout) as { messages: { ruleId: string }[] }[];
      return file!.messages.map(({ ruleId }) => ruleId);
    };
    const planted = "/** Its clockwork. */\nexport const agenda = { cadence: 1, school: 2 };\n";
    expect(rulesFor(planted)).toEqual(["words/retired-words", "words/retired-words"]);
  });
});
