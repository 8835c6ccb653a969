/**
 * npm test: installs what it needs, then every check and every test; the last line counts them.
 * --fast leaves out the browser.
 */
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { build, install, quietEnv, root } from "./project.mjs";

const bin = (name) => path.join("node_modules", ".bin", name);
const tally = { passed: 0, failed: 0 };
const started = Date.now();
const soFar = () => `${Math.round((Date.now() - started) / 1000)} s`;

function attempt(name, command, args, env) {
  console.log(`\n— ${name} (after ${soFar()})`);
  const { status } = spawnSync(command, args, { cwd: root, stdio: "inherit", env });
  return status === 0;
}

/** Runs a check without waiting for it; what it says is printed when it is over. */
function check([name, command, args]) {
  return new Promise((resolve) => {
    const said = [];
    const child = spawn(command, args, { cwd: root, env: quietEnv });
    child.stdout.on("data", (chunk) => said.push(chunk));
    child.stderr.on("data", (chunk) => said.push(chunk));
    child.once("error", (error) => said.push(Buffer.from(String(error))));
    child.once("close", (status) => {
      console.log(`\n— ${name} (after ${soFar()})\n${Buffer.concat(said)}`);
      tally[status === 0 ? "passed" : "failed"]++;
      resolve();
    });
  });
}

/** Checks that do not touch each other, two at a time. */
async function checks(list) {
  const waiting = [...list];
  const line = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) await check(next);
  };
  await Promise.all([line(), line()]);
}

function tests(name, project, extra = [], env = quietEnv) {
  const file = path.join(root, ".cache", `${project}-tests.json`);
  mkdirSync(path.dirname(file), { recursive: true });
  rmSync(file, { force: true });
  const good = attempt(
    name,
    bin("jest"),
    ["--selectProjects", project, "--json", "--outputFile", file, ...extra],
    env,
  );
  if (!existsSync(file)) {
    tally.failed++;
    return;
  }
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(
    readFileSync(file, "utf8"),
  );
  tally.passed += numPassedTests;
  // A suite that could not even start has no failed test of its own.
  tally.failed += Math.max(numFailedTests, numFailedTestSuites, good ? 0 : 1);
}

/** Chromium without a window, which does the same in two thirds of the time; else the whole of it. */
const SHELL = "chromium-headless-shell";

function installBrowser() {
  const has = (name) => existsSync(`/usr/bin/${name}`);
  if (has(SHELL) && has("chromedriver")) return;
  console.log("Installing Chromium and ChromeDriver from Debian’s packages…");
  const apt = (args) =>
    spawnSync(
      process.getuid?.() === 0 ? "apt-get" : "sudo",
      [...(process.getuid?.() === 0 ? [] : ["apt-get"]), ...args],
      {
        stdio: ["ignore", "ignore", "inherit"],
        env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
      },
    ).status === 0;
  const add = (...names) => apt(["install", "-y", "--no-install-recommends", ...names]);
  apt(["update"]);
  // The driver that is there already wants a browser of its own version.
  const { stdout: version } = spawnSync("dpkg-query", ["-W", "-f=${Version}", "chromium-driver"], {
    encoding: "utf8",
  });
  const isThere = has("chromedriver") && version;
  if (isThere ? add(`${SHELL}=${version}`) : add(SHELL, "chromium-driver")) return;
  if (has("chromium") && has("chromedriver")) return;
  if (!add("chromium", "chromium-driver"))
    console.error("They could not be installed: apt-get install chromium chromium-driver");
}

install();
// The types of the routes are written first: the others read them.
await check(["Types of the routes", bin("next"), ["typegen"]]);
await checks([
  ["Lint", bin("eslint"), [".", "--max-warnings", "0"]],
  ["Types", bin("tsc"), ["--noEmit"]],
  ["Types of the core, without browser and Node", bin("tsc"), ["--noEmit", "-p", "src/core"]],
  ["Format", bin("prettier"), ["--check", "--log-level", "warn", "."]],
  ["Unused code", bin("knip"), []],
  ["Architecture", "node", ["scripts/architecture.mjs"]],
]);
// One more than two processors: each waits for the disk now and then. Jest would leave one to itself.
tests("Unit tests", "unit", ["--maxWorkers=3"]);
if (!process.argv.includes("--fast")) {
  installBrowser();
  build();
  // Two at once: each has a server, a database and a browser of its own.
  tests("Browser tests", "browser", ["--maxWorkers=2"], { ...quietEnv, AMBER_TEMPLATE: "made" });
}
console.log(`\nAll after ${soFar()}`);
console.log(`${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed > 0 ? 1 : 0);
