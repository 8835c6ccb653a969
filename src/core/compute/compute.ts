import { z } from "zod";
import { COMPUTE_FUNCTIONS } from "./registry";

export type ComputeError = {
  code: "unknown-function" | "invalid-json" | "invalid-input";
  message: string;
  /** Keys and indexes leading to the value at fault; empty for the whole input. */
  path: (string | number)[];
};
export type ComputeAnswer = { ok: true; value: unknown } | { ok: false; error: ComputeError };

/** What is asked of a worker, and what it answers: the line of the contract, and whether it is a value. */
export type ComputeAsk = { name: string; json: string };
export type ComputeTold = {
  ok: boolean;
  code: ComputeError["code"] | null;
  line: string;
};

const refuse = (
  code: ComputeError["code"],
  message: string,
  path: ComputeError["path"] = [],
): ComputeAnswer => ({ ok: false, error: { code, message, path } });

/**
 * Runs a registered function on a JSON text: the one door for command line, batch and HTTP. An unknown
 * name, a text that is no JSON and an input its schema refuses are answers with `error`, never throws.
 *
 * @example compute("heat-recovery", '{"supplyC":17,"outdoorC":5,"extractC":21}').ok // true
 */
export function compute(name: string, json: string): ComputeAnswer {
  const found = COMPUTE_FUNCTIONS.find((candidate) => candidate.name === name);
  if (!found) {
    const known = COMPUTE_FUNCTIONS.map((candidate) => candidate.name).join(", ");
    return refuse("unknown-function", `no function is called “${name}”; there are ${known}`);
  }
  let raw: unknown;
  try {
    raw = JSON.parse(json);
  } catch {
    // Nested beyond all measure it ends here too: the reader gives up.
    return refuse("invalid-json", "the input is not JSON");
  }
  try {
    return { ok: true, value: found.run(raw) };
  } catch (error) {
    if (!(error instanceof z.ZodError)) throw error;
    const issue = error.issues[0]!;
    return refuse(
      "invalid-input",
      issue.message,
      issue.path.map((key) => (typeof key === "symbol" ? String(key) : key)),
    );
  }
}

/**
 * The JSON line of an answer: its value, or `{error}`. Without a line break.
 *
 * @example answerLine({ ok: true, value: 3 }) // "3"
 */
export const answerLine = (answer: ComputeAnswer): string =>
  JSON.stringify(answer.ok ? answer.value : { error: answer.error });

/**
 * JSON lines in, one JSON line out for each, an error in the place of its line: one bad line never
 * costs the others.
 *
 * @example computeBatch("airflow", [""]) // []
 */
export const computeBatch = (name: string, lines: readonly string[]): string[] =>
  lines.filter((line) => line.trim() !== "").map((line) => answerLine(compute(name, line)));
