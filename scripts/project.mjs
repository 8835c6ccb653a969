/** What the commands of this project share: installing, building when needed, starting the server. */
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import path from "node:path";
import { fileURLToPath } from "node:url";

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");
const bin = (name) => path.join(root, "node_modules", ".bin", name);
/**
 * What a server is told beside its settings. Every page leaves many short-lived objects: with the usual
 * 16 MB for what is young, one page in twenty waited for the collector (p95 of Today 84 ms, with 64 MB
 * 69 ms, of a part 110 and 86; npm run bench).
 */
const serverEnv = JSON.parse(readFileSync(path.join(root, "scripts", "server-env.json"), "utf8"));

export const quietEnv = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };

export function run(command, args, env = quietEnv) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: "inherit", env });
  if (status !== 0) throw new Error(`${path.basename(command)} ${args.join(" ")} failed`);
}

export const runBin = (name, args, env) => run(bin(name), args, env);

function filesUnder(folder) {
  return readdirSync(path.join(root, folder), { withFileTypes: true }).flatMap((entry) => {
    const name = path.join(folder, entry.name);
    return entry.isDirectory() ? filesUnder(name) : [name];
  });
}

function stampOf(files) {
  const hash = createHash("sha256");
  for (const file of files.sort()) hash.update(file).update(readFileSync(path.join(root, file)));
  return hash.digest("hex");
}

/** Does a step when what it depends on changed since it was last done. */
function whenChanged(name, files, isThere, work) {
  const folder = path.join(root, ".cache");
  const stampFile = path.join(folder, `${name}.stamp`);
  const stamp = stampOf(files);
  const done = existsSync(stampFile) && readFileSync(stampFile, "utf8") === stamp;
  if (done && isThere()) return;
  work();
  mkdirSync(folder, { recursive: true });
  writeFileSync(stampFile, stamp);
}

export function install() {
  whenChanged(
    "install",
    ["package.json", "package-lock.json"],
    () => existsSync(bin("next")),
    () => {
      console.log("Installing what it needs…");
      run("npm", ["ci", "--no-fund", "--no-audit", "--loglevel=error"]);
    },
  );
}

const BUILD_INPUTS = [
  "scripts/serve.ts",
  "package-lock.json",
  "next.config.ts",
  "postcss.config.mjs",
  "tsconfig.json",
];

/** The server of the built application. */
export const SERVER = path.join(".next", "serve.mjs");

/** Makes one file of a program. */
const bundle = (source, file, more) =>
  runBin("esbuild", [
    source,
    "--bundle",
    "--platform=node",
    "--target=node20",
    "--log-level=warning",
    `--outfile=${file}`,
    ...more,
  ]);

export function build() {
  const isSource = (file) => !file.endsWith(".test.ts") && !file.endsWith(".test.tsx");
  const files = [...BUILD_INPUTS, ...filesUnder("src").filter(isSource)];
  whenChanged(
    "build",
    files,
    () =>
      existsSync(path.join(root, ".next", "BUILD_ID")) &&
      existsSync(path.join(root, ".next", "compute-worker.cjs")) &&
      existsSync(path.join(root, ".next", "visits-worker.cjs")) &&
      existsSync(path.join(root, ".next", "file-reader.cjs")) &&
      existsSync(path.join(root, SERVER)),
    () => {
      console.log("Building…");
      runBin("next", ["build"]);
      // What computes beside the server: one file, without the rest of the app.
      for (const name of ["compute-worker", "visits-worker"])
        bundle(`src/workers/${name}.ts`, `.next/${name}.cjs`, ["--format=cjs"]);
      // What reads a copy before it is put back, likewise.
      bundle("src/server/files/file-reader.ts", ".next/file-reader.cjs", [
        "--format=cjs",
        "--packages=external",
        "--conditions=react-server",
      ]);
      bundle("scripts/serve.ts", SERVER, ["--format=esm", "--packages=external"]);
    },
  );
}

/**
 * The configuration, read by the application's own schema, and its database opened once before anything
 * listens; a mistake in either ends here, in words.
 *
 * @param opens whether the database that is named is the one to be served
 */
export function settings(opens = true) {
  const read = spawnSync(bin("tsx"), ["scripts/settings.ts", ...(opens ? [] : ["--only-read"])], {
    cwd: root,
    encoding: "utf8",
    env: quietEnv,
  });
  if (read.status !== 0) {
    console.error(read.stderr.trim());
    process.exit(1);
  }
  if (read.stderr.trim() !== "") console.error(read.stderr.trim());
  const { AMBER_HOST: host, AMBER_PORT: port } = JSON.parse(read.stdout);
  const address = `http://${host === "0.0.0.0" ? "127.0.0.1" : host}:${port}`;
  // The application folds its database before it ends; the server's own exit would not wait for it.
  return {
    env: {
      ...quietEnv,
      ...serverEnv,
      // The server need not look at the file a second time.
      ...(opens ? { AMBER_CHECKED: "1" } : {}),
      NODE_OPTIONS: [process.env.NODE_OPTIONS, serverEnv.NODE_OPTIONS].filter(Boolean).join(" "),
    },
    host,
    port: String(port),
    address,
  };
}

/** Whether nothing listens there yet. */
function isFree(host, port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(false));
    probe.listen(Number(port), host, () => probe.close(() => resolve(true)));
  });
}

/** Ends here, in words, when something listens at the address already. */
export async function wantFree({ host, port, address }) {
  if (await isFree(host, port)) return;
  console.error(
    `Something listens on ${address} already. Stop it, or choose another port: AMBER_PORT=4181`,
  );
  process.exit(1);
}

/** Starts the server and prints its address once it answers; ends with it. */
export async function serve({ env, host, port, address }, mode = "start") {
  await wantFree({ host, port, address });
  const [command, args] =
    mode === "dev"
      ? [bin("next"), ["dev", "--hostname", host, "--port", port]]
      : [process.execPath, [SERVER]];
  const child = spawn(command, args, {
    cwd: root,
    env: {
      ...env,
      HOSTNAME: host,
      PORT: port,
      ...(mode === "dev" ? {} : { NODE_ENV: "production" }),
    },
    stdio: ["ignore", mode === "dev" ? "inherit" : "ignore", "inherit"],
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
  child.on("exit", (code) => process.exit(code ?? 0));
  for (;;) {
    const answer = await fetch(address, { redirect: "manual" }).catch(() => null);
    if (answer && answer.status < 500) break;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  console.log(`\nAmber Lintel is at ${address}\nStop it with Ctrl+C.`);
}
