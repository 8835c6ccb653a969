/** What the file may be: broken, foreign, newer, read-only or gone; looked at before anything listens. */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import fc from "fast-check";
import { createClient } from "@libsql/client";
import { copyDemo } from "../../tests/demo-store";
import { drawn, rounded, type Chapter } from "./shared";

const FLIPPED = 14;
const CUT = 8;
/** A spoiled file is told so within so many times what opening a sound one takes. */
const SLOWEST_TIMES = 4;

/** A file that was spoiled, and whether it may still be opened. */
type Case = { what: string; file: string; mayOpen: boolean; mend?: () => void };

const digest = (file: string) =>
  existsSync(file) ? createHash("sha256").update(readFileSync(file)).digest("hex") : "none";

const run = async (file: string, ...statements: string[]) => {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  for (const sql of statements) await client.execute(sql);
  client.close();
};

async function casesIn(folder: string, seed: number): Promise<Case[]> {
  const whole = copyDemo(folder);
  await run(whole, "PRAGMA wal_checkpoint(TRUNCATE)", "PRAGMA journal_mode = DELETE");
  const size = readFileSync(whole).length;
  const cases: Case[] = [];
  const fresh = (name: string) => {
    const file = path.join(folder, `${name}.db`);
    copyFileSync(whole, file);
    return file;
  };
  const spots = drawn(fc.tuple(fc.nat(size - 1), fc.integer({ min: 1, max: 4000 })), FLIPPED, seed);
  for (const [nth, [at, length]] of spots.entries()) {
    const file = fresh(`flipped-${nth}`);
    const bytes = readFileSync(file);
    for (let i = at; i < Math.min(size, at + length); i++) bytes[i] = bytes[i]! ^ 0xa5;
    writeFileSync(file, bytes);
    // What lies on a page nobody uses is no damage; what lies inside a text is none to the file.
    cases.push({ what: `${length} bytes flipped at ${at}`, file, mayOpen: true });
  }
  for (const [nth, length] of drawn(fc.integer({ min: 1, max: size - 1 }), CUT, seed).entries()) {
    const file = fresh(`cut-${nth}`);
    truncateSync(file, length);
    cases.push({ what: `cut to ${length} bytes`, file, mayOpen: false });
  }
  const foreign = path.join(folder, "foreign.db");
  await run(foreign, "CREATE TABLE songs (id TEXT)");
  cases.push({ what: "a database of another program", file: foreign, mayOpen: false });
  const text = path.join(folder, "letter.db");
  writeFileSync(text, "Dear Sir or Madam, ".repeat(500));
  cases.push({ what: "a letter", file: text, mayOpen: false });
  const newer = fresh("newer");
  await run(
    newer,
    "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 99999999999999)",
  );
  cases.push({ what: "a newer version’s file", file: newer, mayOpen: false });
  const scrambled = fresh("scrambled");
  await run(scrambled, "UPDATE homes SET name = CAST(x'ff41fe' AS TEXT) WHERE id = 'boathouse'");
  cases.push({ what: "a text that is no UTF-8", file: scrambled, mayOpen: true });
  return cases;
}

export const files: Chapter = async (seed) => {
  const folder = mkdtempSync(path.join(tmpdir(), "amber-campaign-"));
  try {
    const cases = await casesIn(folder, seed);
    const wrong: string[] = [];
    let refused = 0;
    let slowest = 0;
    const sound = copyDemo(mkdtempSync(path.join(folder, "sound-")));
    const beganSound = performance.now();
    spawnSync("node_modules/.bin/tsx", ["scripts/settings.ts"], {
      env: { ...process.env, AMBER_DB: sound },
    });
    const most = (SLOWEST_TIMES * (performance.now() - beganSound)) / 1000;
    for (const { what, file, mayOpen } of cases) {
      const before = digest(file);
      const began = performance.now();
      const { status, stderr } = spawnSync("node_modules/.bin/tsx", ["scripts/settings.ts"], {
        env: { ...process.env, AMBER_DB: file },
        encoding: "utf8",
        timeout: 60_000,
      });
      slowest = Math.max(slowest, (performance.now() - began) / 1000);
      const said = stderr
        .split("\n")
        .filter((line) => line.trim() !== "" && !line.startsWith("npm "));
      if (status === 0) {
        if (!mayOpen) wrong.push(`${what}: opened`);
        continue;
      }
      refused++;
      if (status !== 1 || said.length !== 1)
        wrong.push(`${what}: exit ${status}, ${said.join(" / ").slice(0, 160)}`);
      if (digest(file) !== before) wrong.push(`${what}: touched`);
    }
    return [
      {
        promise: "A file that cannot be right is refused in one sentence and left as it is",
        tried: `${cases.length} spoiled files, opened as at a start`,
        found: [
          `${refused} refused, ${cases.length - refused} sound enough to open, ${rounded(slowest)} of ${rounded(most)} s at most`,
          ...wrong.slice(0, 4),
        ].join("; "),
        isKept: wrong.length === 0 && slowest < most,
      },
    ];
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};
