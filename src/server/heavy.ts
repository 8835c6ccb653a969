import "server-only";
import { existsSync } from "node:fs";
import path from "node:path";
import type { Worker } from "node:worker_threads";
import { answerLine, compute, type ComputeAsk, type ComputeTold } from "@/core/compute/compute";

/** So long a request may compute, ms; nobody waits longer for a page either. */
export const MOST_MS = 10_000;
/** So many may wait while one computes. */
const MOST_WAITING = 32;
/** What a worker may hold, MB: more ends it, and nobody else. */
const MOST_MB = 512;
/** Written there by the build; without it, in tests, it is computed on the spot. */
const FILE = path.join(".next", "compute-worker.cjs");

export type Told =
  | { kind: "told"; ok: boolean; code: string | null; line: string }
  /** Too many wait already. */
  | { kind: "busy" }
  /** It took too long, or too much room, and was given up. */
  | { kind: "given-up" };

type Waiting = { ask: ComputeAsk; tell: (told: Told) => void };

/** One worker, and what waits for it, in order. */
class Line {
  readonly #waiting: Waiting[] = [];
  #worker: Worker | null = null;
  #now: Waiting | null = null;
  #timer: NodeJS.Timeout | undefined;
  #count = 0;

  ask(name: string, json: string): Promise<Told> {
    if (this.#waiting.length >= MOST_WAITING) return Promise.resolve({ kind: "busy" });
    return new Promise((tell) => {
      this.#waiting.push({ ask: { id: ++this.#count, name, json }, tell });
      this.#next();
    });
  }

  #next(): void {
    if (this.#now) return;
    const next = this.#waiting.shift();
    if (!next) return;
    this.#now = next;
    this.#worker ??= this.#begun();
    this.#timer = setTimeout(() => this.#giveUp(), MOST_MS);
    this.#worker.postMessage(next.ask);
  }

  #begun(): Worker {
    // Asked for by name: the bundler would else look for the file, which is written after it has run.
    const threads = process.getBuiltinModule("node:worker_threads");
    const worker = new threads.Worker(path.resolve(FILE), {
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
    worker.unref();
    worker.on("message", ({ id, ok, code, line }: ComputeTold) => {
      if (this.#now?.ask.id === id) this.#end({ kind: "told", ok, code, line });
    });
    // Out of room, or a mistake of ours: only this request hears of it.
    worker.on("error", () => this.#worker === worker && this.#giveUp());
    return worker;
  }

  #giveUp(): void {
    void this.#worker?.terminate();
    this.#worker = null;
    this.#end({ kind: "given-up" });
  }

  #end(told: Told): void {
    clearTimeout(this.#timer);
    const ended = this.#now;
    this.#now = null;
    ended?.tell(told);
    this.#next();
  }
}

// Next keeps several instances of a module; they have to share one line.
const shared = globalThis as typeof globalThis & { amberLine?: Line };

/** Computes beside the server: however long it takes, nobody else is held up. */
export async function computeAside(name: string, json: string): Promise<Told> {
  if (existsSync(FILE)) return (shared.amberLine ??= new Line()).ask(name, json);
  const answer = compute(name, json);
  const code = answer.ok ? null : answer.error.code;
  return { kind: "told", ok: answer.ok, code, line: answerLine(answer) };
}
