/**
 * Checks which way imports point, and that the check itself works: it must have seen the whole
 * tree, and must find a bad import planted for it. A checker that can't parse reports success.
 * With --draw it writes the pictures of docs/architecture.md from what it saw; without, it fails
 * where they are no longer true.
 */
import { readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { cruise } from "dependency-cruiser";
import extractTsConfig from "dependency-cruiser/config-utl/extract-ts-config";
import config from "../.dependency-cruiser.cjs";
import { root } from "./project.mjs";

const FEWEST_MODULES = 120;
/** One for each row of the table in docs/architecture.md, and for each rule inside a row. */
const PLANTED = [
  { file: "src/core/climate/planted.ts", text: 'import "@/db/client";\n', rule: "core-is-pure" },
  {
    file: "src/core/filters/planted.ts",
    text: 'import type { Route } from "next";\nexport type R = Route;\n',
    rule: "core-is-pure",
  },
  {
    file: "src/core/quantities/planted.ts",
    text: 'import "../filters/media";\n',
    rule: "core-floors",
  },
  {
    file: "src/core/runs/planted.ts",
    text: 'import "../compute/registry";\n',
    rule: "registry-is-the-roof",
  },
  {
    file: "src/content/planted.ts",
    text: 'import { MEDIA } from "@/core/filters/media";\nexport const M = MEDIA;\n',
    rule: "content-knows-only-types-of-core",
  },
  {
    file: "src/content/planted-too.ts",
    text: 'import "@/presentation/moved";\n',
    rule: "content-reaches-only-content-core",
  },
  {
    file: "src/presentation/planted.ts",
    text: 'import "@/server/snapshots/snapshot-cache";\n',
    rule: "presentation-reaches-only-presentation-content-core",
  },
  {
    file: "src/lib/planted.ts",
    text: 'import "@/db/client";\n',
    rule: "lib-reaches-only-lib-core",
  },
  {
    file: "src/db/planted.ts",
    text: 'import "@/content/words";\n',
    rule: "db-reaches-only-db-core-lib",
  },
  {
    file: "src/server/planted.ts",
    text: 'import "@/features/data/backup-api";\n',
    rule: "server-reaches-only-server-db-core-content-lib",
  },
  { file: "src/ui/planted.ts", text: 'import "@/content/words";\n', rule: "ui-reaches-only-ui" },
  {
    file: "src/run-client/planted.ts",
    text: 'import "@/content/words";\n',
    rule: "run-client-reaches-only-run-client-core-lib",
  },
  {
    file: "src/workers/planted.ts",
    text: 'import "@/ui/button";\n',
    rule: "workers-reaches-only-workers-core-content-lib",
  },
  {
    file: "src/features/today/planted.ts",
    text: 'import "@/db/app-store";\n',
    rule: "features-reaches",
  },
  {
    file: "src/features/today/planted-too.ts",
    text: 'import "../search/find-queries";\n',
    rule: "feature-groups-keep-apart",
  },
  {
    file: "src/app/planted.ts",
    text: 'import "@/core/filters/media";\n',
    rule: "app-reaches-only-app-features-ui-lib",
  },
  {
    file: "demo/planted.ts",
    text: 'import "../src/features/data/backup-api";\n',
    rule: "demo-reaches-only-demo-server-core-content",
  },
];

async function cruised() {
  const { options, forbidden } = config;
  const tsConfig = extractTsConfig(path.join(root, "tsconfig.json"));
  const { output } = await cruise(
    ["src", "demo"],
    { ...options, validate: true, ruleSet: { forbidden } },
    undefined,
    { tsConfig },
  );
  return output;
}

const isTest = (file) => /\.test\.tsx?$/.test(file);

/** The arrows between rooms, as a Mermaid graph; `roomOf` says in which room a file is, if in any. */
function graph(modules, roomOf) {
  const arrows = new Set();
  for (const { source, dependencies } of modules) {
    const from = isTest(source) ? null : roomOf(source);
    for (const { resolved } of dependencies) {
      const to = roomOf(resolved);
      if (from && to && from !== to) arrows.add(`  ${from} --> ${to}`);
    }
  }
  return ["```mermaid", "graph TD", ...[...arrows].sort(), "```"].join("\n");
}

const houseRoom = (file) => /^(?:src\/)?(demo|[a-z-]+)\//.exec(file)?.[1] ?? null;
const isOfTheHouse = (file) => /^(src|demo)\//.test(file);
const coreRoom = (file) => /^src\/core\/([a-z-]+)\//.exec(file)?.[1] ?? null;

const DOCUMENT = "docs/architecture.md";
const [BEGIN, END] = ["<!-- drawn by npm run draw:architecture -->", "<!-- drawn to here -->"];

function drawn(modules) {
  const house = graph(modules, (file) => (isOfTheHouse(file) ? houseRoom(file) : null));
  const pictures = `The rooms of the house:\n\n${house}\n\nThose of the core:\n\n${graph(modules, coreRoom)}`;
  const text = readFileSync(DOCUMENT, "utf8");
  const [before, rest] = text.split(BEGIN);
  const after = rest.split(END)[1];
  return { text, next: `${before}${BEGIN}\n\n${pictures}\n\n${END}${after}` };
}

process.chdir(root);
const tree = await cruised();
const clean = tree.summary;
const problems = clean.violations.map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`);
if (clean.totalCruised < FEWEST_MODULES)
  problems.push(`only ${clean.totalCruised} modules were seen`);

const { text, next } = drawn(tree.modules);
if (process.argv.includes("--draw")) writeFileSync(DOCUMENT, next);
else if (text !== next)
  problems.push(`${DOCUMENT} no longer shows what is so: npm run draw:architecture`);

try {
  for (const { file, text } of PLANTED) writeFileSync(path.join(root, file), text);
  const found = (await cruised()).summary.violations;
  for (const { file, rule } of PLANTED)
    if (!found.some((violation) => violation.from === file && violation.rule.name.startsWith(rule)))
      problems.push(`the check did not find a bad import planted in ${file} (${rule})`);
} finally {
  for (const { file } of PLANTED) rmSync(path.join(root, file), { force: true });
}

for (const problem of problems) console.error(problem);
if (problems.length > 0) process.exit(1);
console.log(
  `Imports point the right way: ${clean.totalCruised} modules, ${PLANTED.length} planted ones found.`,
);
