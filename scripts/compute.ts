/**
 * npm run -s compute -- NAME < input.json      one JSON object out, exit 0; an error on stderr, exit 2
 * npm run -s compute -- NAME --batch < lines   JSON lines in, JSON lines out, errors in place
 * npm run -s compute                           the functions there are
 */
import { readFileSync } from "node:fs";
import { answerLine, compute, computeBatch } from "../src/core/compute/compute";
import { COMPUTE_FUNCTIONS } from "../src/core/compute/registry";

const args = process.argv.slice(2);
const batch = args.includes("--batch");
const name = args.find((arg) => !arg.startsWith("--"));

if (name === undefined) {
  for (const each of COMPUTE_FUNCTIONS) console.log(`${each.name.padEnd(14)} ${each.summary}`);
} else if (batch) {
  for (const line of computeBatch(name, readFileSync(0, "utf8").split("\n"))) console.log(line);
} else {
  const answer = compute(name, readFileSync(0, "utf8"));
  if (answer.ok) console.log(answerLine(answer));
  else console.error(answerLine(answer));
  process.exitCode = answer.ok ? 0 : 2;
}
