import { request, type Agent, type IncomingHttpHeaders } from "node:http";
import fc from "fast-check";
import type { Store } from "../../src/db/client";
import type { Yardstick } from "./yardstick";

/** One promise, how it was tried, and what came of it. */
export type Line = { promise: string; tried: string; found: string; isKept: boolean };
/** Tries some promises against what the machine can do just now; the same seed tries the same again. */
export type Chapter = (seed: number, can: Yardstick) => Promise<Line[]>;

export type Answer = { status: number; headers: IncomingHttpHeaders; body: string; ms: number };
export type Ask = {
  method?: string;
  /** Sent as it stands, whatever it is. */
  path: string;
  headers?: Record<string, string>;
  body?: string | Buffer;
  agent?: Agent;
};

/** Status of a request that was never answered: refused, cut short, or not possible at all. */
export const NO_ANSWER = 0;
const LONGEST_MS = 30_000;

/** Asks a server; whatever happens is an answer. */
export const ask = (url: string, { method = "GET", path, headers, body, agent }: Ask) =>
  new Promise<Answer>((resolve) => {
    const began = performance.now();
    const { hostname, port } = new URL(url);
    const tell = (status: number, of: IncomingHttpHeaders = {}, text = "") =>
      resolve({ status, headers: of, body: text, ms: performance.now() - began });
    try {
      const asked = request(
        { hostname, port, method, path, headers, ...(agent ? { agent } : {}) },
        (response) => {
          const chunks: Buffer[] = [];
          response.on("data", (chunk: Buffer) => chunks.push(chunk));
          response.on("end", () =>
            tell(
              response.statusCode ?? NO_ANSWER,
              response.headers,
              Buffer.concat(chunks).toString(),
            ),
          );
          response.on("error", () => tell(NO_ANSWER));
        },
      );
      asked.on("error", () => tell(NO_ANSWER));
      asked.setTimeout(LONGEST_MS, () => asked.destroy());
      asked.end(body);
    } catch {
      // A path no request can be made of.
      tell(NO_ANSWER);
    }
  });

/** The run of the demo that is under way: what campaigns write to. */
export const RUN = "demo-core-run";
export const HOME = "/homes/sluice-house";

/** Writes a note into the demo's run, under a name of its own. */
export const note = (url: string, id: string, at: string, agent?: Agent) =>
  ask(url, {
    method: "POST",
    path: `/api/v1/runs/${RUN}/events`,
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      events: [{ id, at, kind: "note", step: "x", words: `Campaign ${id}` }],
      after: id,
    }),
    ...(agent ? { agent } : {}),
  });

/** Which of some notes are in the file. */
export async function notesIn(store: Store): Promise<Set<string>> {
  const { rows } = await store.client.execute({
    sql: "SELECT id FROM run_events WHERE run_id = ?",
    args: [RUN],
  });
  return new Set(rows.map((row) => String(row["id"])));
}

export async function isWhole(store: Store): Promise<boolean> {
  const check = await store.client.execute("PRAGMA integrity_check");
  return check.rows[0]?.["integrity_check"] === "ok";
}

/** Values by a seed. */
export const drawn = <T>(of: fc.Arbitrary<T>, count: number, seed: number): T[] =>
  fc.sample(of, { numRuns: count, seed });

/** Does something for each of a list, so many at a time. */
export async function together<T>(
  list: readonly T[],
  lanes: number,
  work: (each: T, nth: number) => Promise<void>,
): Promise<void> {
  let next = 0;
  const lane = async () => {
    while (next < list.length) {
      const nth = next++;
      await work(list[nth]!, nth);
    }
  };
  await Promise.all(Array.from({ length: lanes }, lane));
}

export const sleep = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
export const percentile = (times: readonly number[], share: number): number =>
  times.toSorted((a, b) => a - b)[Math.floor(share * (times.length - 1))] ?? 0;
export const rounded = (figure: number): string =>
  new Intl.NumberFormat("en", { maximumFractionDigits: figure < 10 ? 1 : 0 }).format(figure);
