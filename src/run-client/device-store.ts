import { z } from "zod";
import { runEventSchema, type RunEvent } from "@/core/runs/run-event";

/**
 * Where a device keeps what is not saved yet. Writing is done before the next line: a page that is
 * left at once has kept what was pressed (docs/adr/0011).
 */
export type DeviceStore = {
  get: (key: string) => string | null;
  /** @throws where the store is full or shut off */
  set: (key: string, text: string) => void;
  remove: (key: string) => void;
};

/** The browser's own; made when it is first needed, as a server has none. */
export const browserStore = (): DeviceStore => ({
  get: (key) => localStorage.getItem(key),
  set: (key, text) => localStorage.setItem(key, text),
  remove: (key) => localStorage.removeItem(key),
});

const listSchema = z.array(z.unknown());

/**
 * The events of one run that wait to be acknowledged, in the order they happened. What the store
 * can't take is kept in memory: it is lost only with the page.
 */
export class EventQueue {
  /** What is there beyond the store, when that is full or shut off; null while it works. */
  #unstored: RunEvent[] | null = null;

  constructor(
    private readonly store: DeviceStore,
    private readonly key: string,
  ) {}

  /** Whether everything waiting would outlive the page. */
  get isStored(): boolean {
    return this.#unstored === null;
  }

  /** Each by itself: one that cannot be read loses no other. */
  all(): RunEvent[] {
    if (this.#unstored) return this.#unstored;
    try {
      const list = listSchema.safeParse(JSON.parse(this.store.get(this.key) ?? "[]"));
      return (list.data ?? []).flatMap((each) => {
        const event = runEventSchema.safeParse(each);
        return event.success ? [event.data] : [];
      });
    } catch {
      return [];
    }
  }

  add(event: RunEvent): void {
    this.#keep([...this.all(), event]);
  }

  /** Lets go of what was acknowledged, or told and put away. */
  drop(ids: ReadonlySet<string>): void {
    this.#keep(this.all().filter(({ id }) => !ids.has(id)));
  }

  #keep(events: RunEvent[]): void {
    try {
      if (events.length === 0) this.store.remove(this.key);
      else this.store.set(this.key, JSON.stringify(events));
      this.#unstored = null;
    } catch {
      this.#unstored = events;
    }
  }
}
