/**
 * Checks which way imports point, and that the check itself works: it must have seen the whole
 * tree, and must find a bad import planted for it. A checker that can't parse reports success.
 */
import { rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { cruise } from "dependency-cruiser";
import extractTsConfig from "dependency-cruiser/config-utl/extract-ts-config";
import config from "../.dependency-cruiser.cjs";
import { root } from "./project.mjs";

const FEWEST_MODULES = 120;
/** One for each rule that a hurried import would break first. */
const PLANTED = [
  { file: "src/core/climate/planted.ts", text: 'import "@/db/client";\n', rule: "core-is-pure" },
  {
    file: "src/core/wear/planted.ts",
    text: 'import type { Route } from "next";\nexport type R = Route;\n',
    rule: "core-is-pure",
  },
  {
    file: "src/core/quantities/planted.ts",
    text: 'import "../wear/media";\n',
    rule: "core-floors",
  },
  {
    file: "src/features/today/planted.ts",
    text: 'import "../unit/curve";\n',
    rule: "features-keep-apart",
  },
  { file: "src/ui/planted.ts", text: 'import "@/content/words";\n', rule: "ui-reaches-only-ui" },
];

async function violations() {
  const { options, forbidden } = config;
  const tsConfig = extractTsConfig(path.join(root, "tsconfig.json"));
  const { output } = await cruise(
    ["src", "demo"],
    { ...options, validate: true, ruleSet: { forbidden } },
    undefined,
    { tsConfig },
  );
  return output.summary;
}

process.chdir(root);
const clean = await violations();
const problems = clean.violations.map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`);
if (clean.totalCruised < FEWEST_MODULES)
  problems.push(`only ${clean.totalCruised} modules were seen`);

try {
  for (const { file, text } of PLANTED) writeFileSync(path.join(root, file), text);
  const found = (await violations()).violations;
  for (const { file, rule } of PLANTED)
    if (!found.some((violation) => violation.from === file && violation.rule.name === rule))
      problems.push(`the check did not find a bad import planted in ${file} (${rule})`);
} finally {
  for (const { file } of PLANTED) rmSync(path.join(root, file), { force: true });
}

for (const problem of problems) console.error(problem);
if (problems.length > 0) process.exit(1);
console.log(
  `Imports point the right way: ${clean.totalCruised} modules, ${PLANTED.length} planted ones found.`,
);
