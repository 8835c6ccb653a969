import { existsSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import type { CopyContents } from "@/db/backup";

/** Written there by the build; without one, as in tests and on the command line, it is run from its source. */
const BUILT = path.join(".next", "file-reader.cjs");
const SOURCE = path.join("src", "server", "files", "file-reader.ts");
/** A home of 100,000 entries is read within three seconds; what takes so long has no end. */
export const MOST_MS = { prepare: 30_000, contents: 10_000 };
/** What it may say, bytes; the words of a file have no end either. */
const MOST_BYTES = 1_000_000;

const preparedSchema = z.object({ problem: z.string().nullable() });
const contentsSchema = z.object({
  holds: z.object({ homes: z.array(z.string()), entries: z.number() }).nullable(),
});

/** Runs the program that reads files, and ends it when its time is over; what it said by then, line by line. */
async function ask(
  mode: keyof typeof MOST_MS,
  files: readonly string[],
  mostMs: number,
): Promise<unknown[]> {
  // Asked for by name: the bundler would else follow what is started.
  const { spawn } = process.getBuiltinModule("node:child_process");
  const isBuilt = process.env.NODE_ENV === "production" && existsSync(BUILT);
  const program = isBuilt ? [BUILT] : ["--conditions=react-server", "--import", "tsx", SOURCE];
  const child = spawn(process.execPath, [...program, mode, ...files], {
    env: { ...process.env, NODE_OPTIONS: "" },
    stdio: ["ignore", "pipe", "ignore"],
  });
  const timer = setTimeout(() => child.kill("SIGKILL"), mostMs);
  let said = "";
  child.stdout.on("data", (chunk: Buffer) => {
    said += chunk.toString();
    if (said.length > MOST_BYTES) child.kill("SIGKILL");
  });
  await new Promise((resolve) => child.once("close", resolve));
  clearTimeout(timer);
  return said
    .split("\n")
    .slice(0, -1)
    .map((line) => JSON.parse(line) as unknown);
}

/**
 * Reads a file as the app would, in a process of its own, and brings it to the present schema.
 *
 * @returns what keeps it from being put back, in words that go on after “it is not put back:”; null where nothing does
 */
export async function readFirst(file: string, mostMs = MOST_MS.prepare): Promise<string | null> {
  const [line] = await ask("prepare", [file], mostMs);
  const told = preparedSchema.safeParse(line);
  return told.success ? told.data.problem : "it could not be read in the time that reading takes";
}

/** What each file holds; null for one that cannot be read, or not in the time there is. */
export async function contentsAside(
  files: readonly string[],
  mostMs = MOST_MS.contents,
): Promise<(CopyContents | null)[]> {
  if (files.length === 0) return [];
  const lines = await ask("contents", files, mostMs);
  return files.map((_, i) => {
    const told = contentsSchema.safeParse(lines[i]);
    return told.success ? told.data.holds : null;
  });
}
