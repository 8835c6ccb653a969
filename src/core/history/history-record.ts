import type { HistoryEvent, HistoryKind } from "./history-event";
import { judged, type JudgedReading } from "./readings-taken";
import type { NoticedEvent } from "../noticed/sign";

/**
 * The entries that a later one corrects or withdraws. This alone says what is superseded: everything
 * else asks here, or asks a record.
 */
const supersededBy = (entries: readonly HistoryEvent[]): ReadonlySet<string> =>
  new Set(entries.flatMap(({ corrects }) => corrects ?? []));

const isNoticed = (event: HistoryEvent): event is NoticedEvent => event.sign !== undefined;

const NOTHING: readonly HistoryEvent[] = [];

/** Under which the home's own entries stand beside those of its units. */
const NO_UNIT = "";
const unitKey = ({ unitId }: HistoryEvent): string => unitId ?? NO_UNIT;

function grouped<K>(
  events: readonly HistoryEvent[],
  keyOf: (event: HistoryEvent) => K | undefined,
): ReadonlyMap<K, readonly HistoryEvent[]> {
  const groups = new Map<K, HistoryEvent[]>();
  for (const event of events) {
    const key = keyOf(event);
    if (key === undefined) continue;
    const group = groups.get(key);
    if (group) group.push(event);
    else groups.set(key, [event]);
  }
  return groups;
}

/** Entries in the order of their days, with later recorded ones put behind those of the same day. */
function placed(
  sorted: readonly HistoryEvent[],
  events: readonly HistoryEvent[],
): readonly HistoryEvent[] {
  const all = [...sorted];
  for (const event of events) {
    const at = all.findLastIndex(({ date }) => date <= event.date) + 1;
    all.splice(at, 0, event);
  }
  return all;
}

function placedIn<K>(
  groups: ReadonlyMap<K, readonly HistoryEvent[]>,
  events: readonly HistoryEvent[],
  keyOf: (event: HistoryEvent) => K | undefined,
): ReadonlyMap<K, readonly HistoryEvent[]> {
  const next = new Map(groups);
  for (const event of events) {
    const key = keyOf(event);
    if (key !== undefined) next.set(key, placed(next.get(key) ?? NOTHING, [event]));
  }
  return next;
}

/**
 * Everything recorded in a home, and what it amounts to: each entry in its last corrected form,
 * without those withdrawn, by date, then in the order recorded. Entries are never changed. What is
 * sorted out of them is sorted out once, when it is first asked for, and lives as long as the record.
 *
 * @example new HistoryRecord([]).counted // []
 */
export class HistoryRecord {
  #superseded: ReadonlySet<string> | undefined;
  #counted: readonly HistoryEvent[] | undefined;
  #byPart: ReadonlyMap<string, readonly HistoryEvent[]> | undefined;
  #byUnit: ReadonlyMap<string, readonly HistoryEvent[]> | undefined;
  #byKind: ReadonlyMap<HistoryKind, readonly HistoryEvent[]> | undefined;
  #readings: readonly JudgedReading[] | undefined;
  #noticed: readonly NoticedEvent[] | undefined;

  /** @param entries in the order recorded; must not change afterwards */
  constructor(readonly entries: readonly HistoryEvent[]) {}

  /** Whether a later entry corrects or withdraws this one. */
  isSuperseded(id: string): boolean {
    this.#superseded ??= supersededBy(this.entries);
    return this.#superseded.has(id);
  }

  /** Every entry that counts, the oldest first. */
  get counted(): readonly HistoryEvent[] {
    this.#counted ??= this.entries
      .filter(({ kind, id }) => kind !== "withdrawn" && !this.isSuperseded(id))
      .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
    return this.#counted;
  }

  /** What counts of one part. */
  ofPart(partId: string): readonly HistoryEvent[] {
    this.#byPart ??= grouped(this.counted, (event) => event.partId);
    return this.#byPart.get(partId) ?? NOTHING;
  }

  /** What counts of a unit, its parts included; without one, of the home itself. */
  ofUnit(unitId: string | undefined): readonly HistoryEvent[] {
    this.#byUnit ??= grouped(this.counted, unitKey);
    return this.#byUnit.get(unitId ?? NO_UNIT) ?? NOTHING;
  }

  /** What counts of one kind of entry. */
  ofKind(kind: HistoryKind): readonly HistoryEvent[] {
    this.#byKind ??= grouped(this.counted, (event) => event.kind);
    return this.#byKind.get(kind) ?? NOTHING;
  }

  /** Every reading that counts and can still be judged, the oldest first. */
  get readings(): readonly JudgedReading[] {
    this.#readings ??= judged(this.ofKind("reading"));
    return this.#readings;
  }

  /** What the household noticed and counts, the oldest first. */
  get noticed(): readonly NoticedEvent[] {
    this.#noticed ??= this.counted.filter(isNoticed);
    return this.#noticed;
  }

  /**
   * A record with more in it; this one stays as it is. What corrects nothing is put in its place in
   * what is sorted out already: a record of tens of thousands is not sorted anew for one entry.
   */
  with(...events: readonly HistoryEvent[]): HistoryRecord {
    const next = new HistoryRecord([...this.entries, ...events]);
    if (!this.#counted || events.some(({ corrects, kind }) => corrects || kind === "withdrawn"))
      return next;
    next.#superseded = this.#superseded;
    next.#counted = placed(this.#counted, events);
    next.#byPart = this.#byPart && placedIn(this.#byPart, events, (event) => event.partId);
    next.#byUnit = this.#byUnit && placedIn(this.#byUnit, events, unitKey);
    next.#byKind = this.#byKind && placedIn(this.#byKind, events, (event) => event.kind);
    if (events.every(({ kind }) => kind !== "reading")) next.#readings = this.#readings;
    if (!events.some(isNoticed)) next.#noticed = this.#noticed;
    return next;
  }

  /** A record without the entries that a test picks out; this one stays as it is. */
  without(isGone: (event: HistoryEvent) => boolean): HistoryRecord {
    return new HistoryRecord(this.entries.filter((event) => !isGone(event)));
  }
}
