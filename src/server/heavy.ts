import "server-only";
import { existsSync } from "node:fs";
import path from "node:path";
import type { Worker } from "node:worker_threads";
import { answerLine, compute, type ComputeAsk, type ComputeTold } from "@/core/compute/compute";
import type { PlanInput } from "@/core/planning/plan-schema";
import { technicianDays, type TechnicianDay } from "@/core/planning/technician-days";

/** So long a request may compute, ms; nobody waits longer for a page either. */
export const MOST_MS = 10_000;
/** So many may wait while one computes. */
const MOST_WAITING = 32;
/** What a worker may hold, MB: more ends it, and nobody else. */
const MOST_MB = 512;
/** Written there by the build; without them, in tests, it is computed on the spot. */
const COMPUTES = path.join(".next", "compute-worker.cjs");
const BUNDLES = path.join(".next", "visits-worker.cjs");

export type Told<T> =
  | { kind: "told"; told: T }
  /** Too many wait already. */
  | { kind: "busy" }
  /** It took too long, or too much room, and was given up. */
  | { kind: "given-up" };

type Waiting<A, T> = { id: number; asked: A; tell: (told: Told<T>) => void };

/** One worker, and what waits for it, in order. */
class Line<A, T> {
  readonly #waiting: Waiting<A, T>[] = [];
  #worker: Worker | null = null;
  #now: Waiting<A, T> | null = null;
  #timer: NodeJS.Timeout | undefined;
  #count = 0;

  constructor(private readonly file: string) {}

  ask(asked: A): Promise<Told<T>> {
    if (this.#waiting.length >= MOST_WAITING) return Promise.resolve({ kind: "busy" });
    return new Promise((tell) => {
      this.#waiting.push({ id: ++this.#count, asked, tell });
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
    this.#worker.postMessage({ id: next.id, asked: next.asked });
  }

  #begun(): Worker {
    // Asked for by name: the bundler would else look for the file, which is written after it has run.
    const threads = process.getBuiltinModule("node:worker_threads");
    const worker = new threads.Worker(path.resolve(this.file), {
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
    worker.unref();
    worker.on("message", ({ id, told }: { id: number; told: T }) => {
      if (this.#now?.id === id) this.#end({ kind: "told", told });
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

  #end(told: Told<T>): void {
    clearTimeout(this.#timer);
    const ended = this.#now;
    this.#now = null;
    ended?.tell(told);
    this.#next();
  }
}

// Next keeps several instances of a module; they have to share their lines. What strangers compute keeps no page waiting.
const shared = globalThis as typeof globalThis & {
  amberLines?: {
    computes: Line<ComputeAsk, ComputeTold>;
    bundles: Line<PlanInput[], TechnicianDay[]>;
  };
};
const lines = () =>
  (shared.amberLines ??= { computes: new Line(COMPUTES), bundles: new Line(BUNDLES) });

/** Computes beside the server: however long it takes, nobody else is held up. */
export async function computeAside(name: string, json: string): Promise<Told<ComputeTold>> {
  if (existsSync(COMPUTES)) return lines().computes.ask({ name, json });
  const answer = compute(name, json);
  const code = answer.ok ? null : answer.error.code;
  return { kind: "told", told: { ok: answer.ok, code, line: answerLine(answer) } };
}

/** The days a technician is asked for, worked out beside the server; null where that took too long. */
export async function technicianDaysAside(inputs: PlanInput[]): Promise<TechnicianDay[] | null> {
  if (!existsSync(BUNDLES)) return technicianDays(inputs);
  const answer = await lines().bundles.ask(inputs);
  return answer.kind === "told" ? answer.told : null;
}
