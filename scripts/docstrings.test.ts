import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";
import * as common from "./example-names";

/** `@example EXPRESSION // VALUE`: what a docstring of the core says an expression comes to. */
const EXAMPLE = /@example (.+?) \/\/ (.+?)\s*(?:\*\/)?$/gm;
const SOURCE = /@source docs\/sources\.md#([\w-]+)/g;

const files = execFileSync("git", ["ls-files", "src/core/**/*.ts"], { encoding: "utf8" })
  .split("\n")
  .filter((file) => file.endsWith(".ts") && !file.endsWith(".test.ts"));
const texts = files.map((file) => ({ file, text: readFileSync(file, "utf8") }));

const isFunction = (node: ts.Expression | undefined) =>
  node !== undefined && (ts.isArrowFunction(node) || ts.isFunctionExpression(node));

type Exported = { name: string; isDocumented: boolean; hasExample: boolean };

/** The functions and classes that a file exports, and whether a docstring and an example stand over each. */
function exportedFunctions(text: string): Exported[] {
  const source = ts.createSourceFile("of-the-core.ts", text, ts.ScriptTarget.Latest, true);
  return source.statements.flatMap((node) => {
    const isExported =
      ts.canHaveModifiers(node) &&
      ts.getModifiers(node)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
    if (!isExported) return [];
    const docs = ts.getJSDocCommentsAndTags(node);
    const isDocumented = docs.length > 0;
    const hasExample = docs.some((doc) => doc.getText(source).includes("@example"));
    if (ts.isFunctionDeclaration(node) || ts.isClassDeclaration(node))
      return [{ name: node.name?.text ?? "default", isDocumented, hasExample }];
    if (!ts.isVariableStatement(node)) return [];
    return node.declarationList.declarations
      .filter(({ initializer }) => isFunction(initializer))
      .map(({ name }) => ({ name: name.getText(source), isDocumented, hasExample }));
  });
}

describe("what the core exports", () => {
  it("has a docstring with an example over each function and class", () => {
    const all = texts.flatMap(({ file, text }) =>
      exportedFunctions(text).map((each) => ({ ...each, file })),
    );
    expect(all.length).toBeGreaterThan(180);
    const bare = all.filter(({ isDocumented }) => !isDocumented);
    expect(bare.map(({ file, name }) => `${file}: ${name}`)).toEqual([]);
    const plain = all.filter(({ hasExample }) => !hasExample);
    expect(plain.map(({ file, name }) => `${file}: ${name}`)).toEqual([]);
  });

  it("is noticed without one", () => {
    expect(
      exportedFunctions(
        "export const a = () => 1;\n/** Two. */\nexport function b() {}\n/** @example c() // 1 */\nexport const c = () => 1;",
      ),
    ).toEqual([
      { name: "a", isDocumented: false, hasExample: false },
      { name: "b", isDocumented: true, hasExample: false },
      { name: "c", isDocumented: true, hasExample: true },
    ]);
  });

  it("names sources that are there", () => {
    const headings = readFileSync("docs/sources.md", "utf8").matchAll(/^## (.+)$/gm);
    const anchors = new Set(
      [...headings].map(([, words]) => words!.toLowerCase().replace(/ /g, "-")),
    );
    const named = texts.flatMap(({ text }) =>
      [...text.matchAll(SOURCE)].map(([, anchor]) => anchor!),
    );
    expect(named.length).toBeGreaterThan(30);
    expect(named.filter((anchor) => !anchors.has(anchor))).toEqual([]);
  });
});

const examples = texts.flatMap(({ file, text }) =>
  [...text.matchAll(EXAMPLE)].map(([, code, value]) => ({ file, code: code!, value: value! })),
);

describe("the examples in the core’s docstrings", () => {
  it("are found", () => {
    expect(examples.length).toBeGreaterThan(190);
  });

  it.each(examples.map(({ file, code, value }) => [path.basename(file), code, value, file]))(
    "%s: %s // %s",
    async (_, code, value, file) => {
      const own = (await import(path.resolve(file))) as Record<string, unknown>;
      const known: Record<string, unknown> = { ...common, ...own };
      const names = Object.keys(known).filter((name) => name !== "default");
      // An example may use whatever its own file exports, and a few names that all know.
      const run = new Function(...names, `return (${code});`) as (...all: unknown[]) => unknown;
      expect(run(...names.map((name) => known[name]))).toEqual(
        new Function(`return (${value});`)(),
      );
    },
  );
});
