/**
 * npm run mutants -- FOLDER... [--sample N] [--seed S]: changes the code under the tests, one place at
 * a time, and lists the changes that no test noticed. It works on a copy; nothing here is touched.
 */
import { execFileSync, spawnSync } from "node:child_process";
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";
import { chanceFrom } from "../src/core/quantities/chance";

const COPY = ".cache/mutants";
const COPIED = ["src", "tests", "demo", "scripts", "e2e", "package.json", "tsconfig.json"];
const CONFIG = "jest.mutants.mjs";
const SAMPLE = 40;
const SEED = 7;
/** A change that makes a test run for ever is noticed, too, ms. */
const TIMEOUT_MS = 60_000;

export type Mutant = { file: string; start: number; end: number; put: string; line: number };

const SWAPPED: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.LessThanToken]: "<=",
  [ts.SyntaxKind.LessThanEqualsToken]: "<",
  [ts.SyntaxKind.GreaterThanToken]: ">=",
  [ts.SyntaxKind.GreaterThanEqualsToken]: ">",
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: "!==",
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: "===",
  [ts.SyntaxKind.PlusToken]: "-",
  [ts.SyntaxKind.MinusToken]: "+",
  [ts.SyntaxKind.AsteriskToken]: "/",
  [ts.SyntaxKind.SlashToken]: "*",
  [ts.SyntaxKind.AmpersandAmpersandToken]: "||",
  [ts.SyntaxKind.BarBarToken]: "&&",
};

/** Every place of a file that can be changed so that it means something else. */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const add = (node: ts.Node, put: string) => {
    const start = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(start).line + 1;
    found.push({ file, start, end: node.getEnd(), put, line });
  };
  const visit = (node: ts.Node): void => {
    // Types are gone when it runs, and words for people are no logic.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const put = SWAPPED[node.operatorToken.kind];
      const isText = [node.left, node.right].some((side) => ts.isStringLiteralLike(side));
      if (put && !(isText && node.operatorToken.kind === ts.SyntaxKind.PlusToken))
        add(node.operatorToken, put);
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, node.operand.getText(source));
    if (ts.isIfStatement(node)) add(node.expression, "false");
    if (ts.isConditionalExpression(node)) add(node.condition, "true");
    if (ts.isNumericLiteral(node)) add(node, String(Number(node.text) + 1));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

function copyTree(): void {
  rmSync(COPY, { recursive: true, force: true });
  mkdirSync(COPY, { recursive: true });
  for (const each of COPIED) cpSync(each, path.join(COPY, each), { recursive: true });
  symlinkSync(path.resolve("node_modules"), path.join(COPY, "node_modules"));
  writeFileSync(
    path.join(COPY, CONFIG),
    `import nextJest from "next/jest.js";
const config = await nextJest({ dir: "." })({
  testEnvironment: "node",
  testMatch: ["<rootDir>/{src,tests}/**/*.test.ts"],
  moduleNameMapper: {
    "^@/(.*)$": "<rootDir>/src/$1",
    "^server-only$": "<rootDir>/e2e/empty-module.ts",
    "^next/cache$": "<rootDir>/tests/next-cache.ts",
  },
})();
export default { ...config, transformIgnorePatterns: ["/node_modules/(?!(d3-[a-z-]+|internmap|comlink)/)"] };
`,
  );
}

/** The demo as the code makes it unchanged: a change must not make the ground it is tested on. */
function makeDemo(): void {
  const script = "make-demo.ts";
  writeFileSync(
    path.join(COPY, script),
    'import makeTemplate from "./tests/demo-template";\nmakeTemplate();\n',
  );
  execFileSync("node_modules/.bin/tsx", [script], { cwd: COPY });
}

/** Whether some tests notice that a file was changed. */
function isNoticed(tests: readonly string[]): boolean {
  const { status } = spawnSync(
    "node_modules/.bin/jest",
    ["--config", CONFIG, "--bail", "--silent", "--runTestsByPath", ...tests],
    { cwd: COPY, stdio: "ignore", timeout: TIMEOUT_MS },
  );
  return status !== 0;
}

/** The core's own tests that reach a file; the made-up town, which takes long, only for itself. */
function testsOf(file: string): string[] {
  const related = execFileSync(
    "node_modules/.bin/jest",
    ["--config", CONFIG, "--listTests", "--findRelatedTests", file],
    { cwd: COPY, encoding: "utf8" },
  );
  return related
    .split("\n")
    .filter((line) => line.endsWith(".test.ts"))
    .map((line) => path.relative(path.resolve(COPY), line))
    .filter((each) => each.startsWith("src/core/"))
    .filter((each) => !each.includes("cohort") || file.includes("cohort"));
}

function main(): void {
  const args = process.argv.slice(2);
  const option = (name: string, usual: number) => {
    const at = args.indexOf(name);
    return at === -1 ? usual : Number(args.splice(at, 2)[1]);
  };
  const [sample, seed] = [option("--sample", SAMPLE), option("--seed", SEED)];
  const folders = args.length > 0 ? args : ["src/core/filters"];
  const files = execFileSync("git", ["ls-files", ...folders], { encoding: "utf8" })
    .split("\n")
    .filter((file) => file.endsWith(".ts") && !file.endsWith(".test.ts"));
  const all = files.flatMap((file) => mutantsOf(file, readFileSync(file, "utf8")));
  const chance = chanceFrom(seed);
  const chosen = all
    .map((mutant) => ({ mutant, at: chance.uniform() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, sample)
    .map(({ mutant }) => mutant);
  copyTree();
  makeDemo();
  const tests = new Map<string, string[]>();
  const missed: Mutant[] = [];
  for (const mutant of chosen) {
    const near = tests.get(mutant.file) ?? testsOf(mutant.file);
    tests.set(mutant.file, near);
    const file = path.join(COPY, mutant.file);
    const text = readFileSync(mutant.file, "utf8");
    writeFileSync(file, text.slice(0, mutant.start) + mutant.put + text.slice(mutant.end));
    if (near.length === 0 || !isNoticed(near)) {
      missed.push(mutant);
      const was = text.slice(mutant.start, mutant.end);
      console.log(`not noticed: ${mutant.file}:${mutant.line} ${was} → ${mutant.put}`);
    }
    writeFileSync(file, text);
  }
  rmSync(COPY, { recursive: true, force: true });
  const caught = chosen.length - missed.length;
  console.log(
    `${folders.join(" ")}: ${caught} of ${chosen.length} caught (${Math.round((100 * caught) / chosen.length)} %), out of ${all.length} places`,
  );
}

if (process.argv[1]?.endsWith("mutants.ts")) main();
