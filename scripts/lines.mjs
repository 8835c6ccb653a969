/** npm run lines: lines of code and of tests that git tracks, and the tests' share of all. */
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";
import { root } from "./project.mjs";

const files = execFileSync(
  "git",
  ["ls-files", "--cached", "--others", "--exclude-standard", "*.ts", "*.tsx", "*.mts", "*.css"],
  {
    cwd: root,
    encoding: "utf8",
  },
)
  .split("\n")
  .filter(Boolean);
const isTest = (file) => /\.(test|spec)\.|^e2e\/|^tests\//.test(file);
const count = (list) =>
  list.reduce(
    (sum, file) => sum + readFileSync(path.join(root, file), "utf8").split("\n").length - 1,
    0,
  );

const tests = count(files.filter(isTest));
const code = count(files.filter((file) => !isTest(file)));
const share = Math.round((1000 * tests) / (code + tests)) / 10;
console.log(`code ${code}, tests ${tests}: tests are ${share} % of all (wanted: 25 to 33)`);
