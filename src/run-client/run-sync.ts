import { runEventSchema, type Doing, type RunEvent } from "@/core/runs/run-event";
import type { RunJob } from "@/core/runs/run-state";
import type { EventQueue } from "./device-store";
import { newId } from "./new-id";
import { refusedWords, REFUSED_WORDS } from "./refused-words";
import { earlyIn, type Ask, type Send, type Taken } from "./send-events";

/** How long until what was not taken is sent again, ms. */
export const RETRY_MS = 3000;
/** So many are sent at once: longer runs go in several batches. */
export const BATCH = 200;
/** How often a run in sight asks what another device has done, ms. */
const LOOK_EVERY_MS = 5000;

const UNREACHABLE =
  "Not saved yet: Amber Lintel can’t be reached. It stays on this device and is sent again.";
const GONE =
  "Not saved: this job is not there any more. What you did is kept on this device; tell whoever keeps the house.";
const FULL =
  "This device has no room left: what you do is kept only while this page is open. Stay on it until it is saved.";

export type Told = { id: string; words: string };

/** What a screen is told of a run on this device. */
export type SyncState = {
  /** What the server has acknowledged. */
  known: readonly RunEvent[];
  /** What was done here and is on its way. */
  queue: readonly RunEvent[];
  /** Why something is not saved yet; it is tried again by itself. */
  trouble: string | null;
  /** What did not count, in words, until it is put away. */
  refused: readonly Told[];
};

/** The clock and the timers of a device, so that a test may hold them. */
export type Device = {
  now: () => number;
  later: (work: () => void, ms: number) => () => void;
  /** Whether anybody can see the page: one in the background asks nothing. */
  isSeen: () => boolean;
};

export type SyncSetting = {
  runId: string;
  job: RunJob;
  known: readonly RunEvent[];
  /** What was on its way when this run was seen last; the device’s own list of it takes a moment to be read. */
  onItsWay: readonly RunEvent[];
  serverNow: string;
  queue: EventQueue;
  send: Send;
  ask: Ask;
  device: Device;
};

/**
 * A run on one device: what the server knows, and what was done here and is on its way. Every event is
 * acknowledged for itself; none is dropped before the server has taken it, or it was said why not.
 */
export class RunSync {
  #state: SyncState;
  readonly #listeners = new Set<() => void>();
  /** By how much this device's clock is behind the server's, ms; the server's counts. */
  #clockError: number;
  #isSending = false;
  #isStopped = false;
  #stopWaiting: (() => void) | null = null;
  #stopLooking: (() => void) | null = null;
  /** What the server can't read: kept, named, and not sent again from this page. */
  readonly #unreadable = new Map<string, string>();

  constructor(private readonly setting: SyncSetting) {
    this.#clockError = Date.parse(setting.serverNow) - setting.device.now();
    this.#state = {
      ...{ known: setting.known, queue: setting.onItsWay },
      ...{ trouble: null, refused: [] },
    };
  }

  readonly state = (): SyncState => this.#state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** The server's time by this device's clock, ms. */
  readonly now = (): number => this.setting.device.now() + this.#clockError;

  /** Picks up what an earlier page left behind, and looks out for other devices. */
  start(): void {
    this.#isStopped = false;
    this.#set({ queue: this.#waiting() });
    void this.flush();
    this.#lookAgain();
  }

  /** Ends every timer and loop: called when the page goes. */
  stop(): void {
    this.#isStopped = true;
    this.#stopWaiting?.();
    this.#stopLooking?.();
    this.#stopWaiting = null;
    this.#stopLooking = null;
  }

  readonly act = (doing: Doing): void => {
    const at = new Date(this.now()).toISOString();
    const event = runEventSchema.safeParse({ id: newId(), at, ...doing });
    if (!event.success) {
      const { job } = this.setting;
      const words = refusedWords(job, { id: "", at, ...doing } as RunEvent, "seen-unreadable");
      this.#set({ refused: [...this.#state.refused, { id: newId(), words }] });
      return;
    }
    this.setting.queue.add(event.data);
    this.#set({ queue: this.#waiting() });
    if (!this.setting.queue.isStored) this.#set({ trouble: FULL });
    void this.flush();
  };

  readonly putAway = (id: string): void =>
    this.#set({ refused: this.#state.refused.filter((each) => each.id !== id) });

  /** Asks what another device has done, unless something of this one is on its way. */
  async look(): Promise<void> {
    if (this.#isStopped || this.setting.queue.all().length > 0) return;
    const answer = await this.setting.ask(this.setting.runId, this.#state.known.at(-1)?.id);
    // The answer may have been sent before the latest step was done here. It would then lack that step.
    if (!answer || this.#isStopped || this.setting.queue.all().length > 0) return;
    this.#clockError = Date.parse(answer.now) - this.setting.device.now();
    const known = this.#knownWith(answer);
    if (known.length > this.#state.known.length) this.#set({ known });
  }

  /** Sends what waits, batch after batch, until nothing does or the page goes. */
  async flush(): Promise<void> {
    if (this.#isSending) return;
    this.#isSending = true;
    let size = BATCH;
    while (!this.#isStopped) {
      const batch = this.#sendable().slice(0, size);
      if (batch.length === 0) break;
      const last = this.#state.known.at(-1)?.id;
      const answer = await this.setting.send(this.setting.runId, batch, last);
      if (answer.kind === "taken") {
        size = BATCH;
        if (this.#taken(batch, answer)) await this.#wait();
      } else if (answer.kind === "refused") {
        // The server refuses a whole batch for one unreadable event. Halving the batch finds that event, so
        // that it cannot hold up the others.
        if (batch.length > 1) size = Math.ceil(batch.length / 2);
        else {
          this.#setAside(batch[0]!, answer.words);
          size = BATCH;
        }
      } else {
        this.#set({ trouble: answer.kind === "gone" ? GONE : UNREACHABLE });
        await this.#wait();
      }
    }
    this.#isSending = false;
    if (!this.#isStopped) await this.#sentElsewhere();
  }

  /** What may be sent, nothing of it later than now: this device's clock may have been set since. */
  #sendable(): RunEvent[] {
    const now = this.now();
    return this.#waiting().map((event) =>
      Date.parse(event.at) > now ? { ...event, at: new Date(now).toISOString() } : event,
    );
  }

  #waiting(): RunEvent[] {
    return this.setting.queue.all().filter(({ id }) => !this.#unreadable.has(id));
  }

  /** Another page of this device may have sent what this one still shows as waiting. */
  async #sentElsewhere(): Promise<void> {
    if (this.#state.queue.length === 0 || this.#waiting().length > 0) return;
    await this.look();
    if (this.#waiting().length === 0) this.#set({ queue: [], trouble: null });
  }

  /** @returns whether something of it has to wait for this device's clock to be set */
  #taken(batch: readonly RunEvent[], answer: Taken): boolean {
    const { queue, device, job } = this.setting;
    this.#clockError = Date.parse(answer.now) - device.now();
    const early = earlyIn(answer);
    const told = answer.refused.flatMap(({ id, why }): Told[] => {
      const event = batch.find((each) => each.id === id);
      return early.has(id) ? [] : [{ id, words: refusedWords(job, event, why) }];
    });
    // The events are added before they leave the queue: in between they are in both lists and still shown
    // once, whereas the other order would hide them for a moment.
    this.#set({ known: this.#knownWith(answer), refused: [...this.#state.refused, ...told] });
    queue.drop(new Set(batch.flatMap(({ id }) => (early.has(id) ? [] : [id]))));
    const trouble =
      early.size > 0
        ? `Not saved yet: ${REFUSED_WORDS["clock-off"]}`
        : queue.all().length > 0 && !queue.isStored
          ? FULL
          : null;
    this.#set({ queue: this.#waiting(), trouble });
    return early.size > 0;
  }

  /** All that is known with an answer, which holds only what the device lacked. */
  #knownWith({ after, events }: Taken): readonly RunEvent[] {
    const { known } = this.#state;
    const place = after === null ? -1 : known.findLastIndex(({ id }) => id === after);
    return [...known.slice(0, place + 1), ...events];
  }

  #setAside(event: RunEvent, words: string): void {
    this.#unreadable.set(event.id, words);
    const told = {
      id: event.id,
      words: `${refusedWords(this.setting.job, event, "unreadable")} (${words}) It is kept on this device.`,
    };
    this.#set({
      queue: this.#waiting(),
      refused: [...this.#state.refused, told],
      trouble: null,
    });
  }

  #wait(): Promise<void> {
    if (this.#isStopped) return Promise.resolve();
    return new Promise((resolve) => {
      const end = this.setting.device.later(resolve, RETRY_MS);
      this.#stopWaiting = () => {
        end();
        resolve();
      };
    });
  }

  #lookAgain(): void {
    this.#stopLooking = this.setting.device.later(() => {
      if (this.setting.device.isSeen()) void this.look();
      if (!this.#isStopped) this.#lookAgain();
    }, LOOK_EVERY_MS);
  }

  #set(change: Partial<SyncState>): void {
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }
}
