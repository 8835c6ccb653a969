import fc from "fast-check";
import { plainDate, addDays } from "../quantities/plain-date";
import type { FilterSlot } from "../inventory/inventory";
import { CLEAN_DUCTS, ductCleanings } from "./duct-cleanings";
import { judgeInput } from "../readings/judge";
import { HISTORY_KINDS, type HistoryEvent, type ReadingTaken } from "./history-event";
import { HistoryRecord } from "./history-record";
import type { HomeSnapshot } from "./home-snapshot";
import { judged } from "./readings-taken";
import { replacementOf } from "./replacement";
import { event, look } from "../../../tests/small-home";

const today = plainDate("2026-03-14");
const pressure: ReadingTaken = {
  ...judgeInput.parse({ kind: "boiler-pressure-bar", value: 1.4, unit: "bar" }),
  kind: "boiler-pressure-bar",
};

/** Records as people write them: some entries correct or withdraw an earlier one. */
const records = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...HISTORY_KINDS.filter((kind) => kind !== "withdrawn")),
      ago: fc.integer({ min: 0, max: 9 }),
      partId: fc.constantFrom("a", "b", undefined),
      unitId: fc.constantFrom("u", undefined),
      corrects: fc.option(fc.nat(), { nil: undefined }),
      withdraws: fc.boolean(),
    }),
    { maxLength: 25 },
  )
  .map((drawn) =>
    drawn.map(({ kind, ago, partId, unitId, corrects, withdraws }, i): HistoryEvent => {
      const earlier = corrects === undefined || i === 0 ? undefined : `e${corrects % i}`;
      return {
        id: `e${i}`,
        kind: earlier && withdraws ? "withdrawn" : kind,
        date: addDays(today, -ago),
        recordedAt: `${today}T08:00:00Z`,
        ...(partId ? { partId } : {}),
        ...(unitId ? { unitId } : {}),
        ...(earlier ? { corrects: earlier } : {}),
        ...(kind === "reading" ? { reading: pressure } : {}),
      };
    }),
  );

/** Everything a record can be asked. */
const answersOf = (record: HistoryRecord) => ({
  counted: record.counted,
  parts: ["a", "b", "none"].map((id) => record.ofPart(id)),
  unit: record.ofUnit("u"),
  kinds: HISTORY_KINDS.map((kind) => record.ofKind(kind)),
  readings: record.readings,
  superseded: record.entries.map(({ id }) => record.isSuperseded(id)),
});

describe("a record", () => {
  it("counts each entry in its last form, by day and then in the order recorded", () => {
    fc.assert(
      fc.property(records, (entries) => {
        const { counted } = new HistoryRecord(entries);
        const gone = new Set(entries.map(({ corrects }) => corrects));
        const kept = entries.filter(({ id, kind }) => !gone.has(id) && kind !== "withdrawn");
        expect(new Set(counted)).toEqual(new Set(kept));
        const order = (event: HistoryEvent) => entries.indexOf(event);
        for (const [i, event] of counted.slice(1).entries()) {
          const before = counted[i]!;
          expect(before.date <= event.date).toBe(true);
          if (before.date === event.date) expect(order(before)).toBeLessThan(order(event));
        }
      }),
    );
  });

  it("that grew entry by entry answers like one read whole, whatever was asked before", () => {
    fc.assert(
      fc.property(records, fc.boolean(), fc.integer({ min: 1, max: 3 }), (entries, asks, step) => {
        let record = new HistoryRecord([]);
        for (let i = 0; i < entries.length; i += step) {
          if (asks) answersOf(record);
          record = record.with(...entries.slice(i, i + step));
        }
        expect(answersOf(record)).toEqual(answersOf(new HistoryRecord(entries)));
      }),
    );
  });

  it("keeps what it did not touch as the very same list", () => {
    const look = (id: string, partId: string): HistoryEvent => ({
      id,
      kind: "look",
      partId,
      date: today,
      recordedAt: `${today}T08:00:00Z`,
    });
    const before = new HistoryRecord([look("1", "a"), look("2", "b")]);
    const untouched = before.ofPart("a");
    expect(before.with(look("3", "b")).ofPart("a")).toBe(untouched);
    expect(before.ofPart("b")).toHaveLength(1);
  });

  it("leaves out what a test picks, and itself stays whole", () => {
    fc.assert(
      fc.property(records, (entries) => {
        const record = new HistoryRecord(entries);
        const without = record.without(({ partId }) => partId === "a");
        expect(without.ofPart("a")).toEqual([]);
        expect(record.entries).toHaveLength(entries.length);
      }),
    );
  });
});

describe("readings in the record", () => {
  const taken = (reading: HistoryEvent["reading"]): HistoryEvent => ({
    id: "r",
    kind: "reading",
    date: today,
    recordedAt: `${today}T08:00:00Z`,
    ...(reading ? { reading } : {}),
  });

  it("come with their verdict, and what can't be judged any more is left out", () => {
    expect(judged([taken(pressure)])).toMatchObject([{ judgement: { verdict: "sound" } }]);
    expect(judged([taken({ ...pressure, value: -3 })])).toEqual([]);
    expect(judged([taken(undefined)])).toEqual([]);
  });
});

describe("the days on which ducts were cleaned", () => {
  const done = (partId: string, ago: number, taskKey?: string): HistoryEvent => ({
    id: `${partId}-${ago}`,
    kind: "done",
    partId,
    date: addDays(today, -ago),
    recordedAt: `${today}T08:00:00Z`,
    ...(taskKey ? { taskKey } : {}),
  });
  const home = (...events: HistoryEvent[]) =>
    ({
      parts: [
        { id: "run", kind: "supply-run" },
        { id: "back", kind: "return-run" },
        { id: "coil", kind: "evaporator-coil" },
      ],
      history: new HistoryRecord(events),
    }) as unknown as HomeSnapshot;

  it("are those of runs and trunks, each once, and of their cleaning alone", () => {
    const events = [
      done("run", 3),
      done("back", 3, CLEAN_DUCTS),
      done("run", 9, CLEAN_DUCTS),
      done("run", 5, "look"),
      done("coil", 1, CLEAN_DUCTS),
    ];
    expect(ductCleanings(home(...events))).toEqual([addDays(today, -9), addDays(today, -3)]);
    expect(ductCleanings(home())).toEqual([]);
  });
});

describe("a filter that goes in", () => {
  const slot = {
    id: "slot",
    unitId: "unit",
    media: "pleated-25",
    nominal: { text: "20x20x1" },
    filterCount: 4,
    priceMinor: 1250,
  } as FilterSlot;
  const ids = { event: "event", item: "item" };
  const happened = { date: today, recordedAt: `${today}T08:00:00Z` };

  it("is a new one, with what all of the slot cost", () => {
    const { event, item } = replacementOf(slot, ids, happened, "old");
    expect(event).toMatchObject({ kind: "fitted", itemId: "item", costMinor: 5000 });
    expect(item).toEqual({
      id: "item",
      partId: "slot",
      media: "pleated-25",
      sizeText: "20x20x1",
      priceMinor: 1250,
    });
    const free = replacementOf({ ...slot, priceMinor: undefined } as never, ids, happened);
    expect(free.event).not.toHaveProperty("costMinor");
    expect(free.item).not.toHaveProperty("priceMinor");
  });

  it("is the old one where it was washed, and costs nothing", () => {
    const mesh = { ...slot, media: "head-mesh" } as FilterSlot;
    const { event, item } = replacementOf(mesh, ids, happened, "old");
    expect([event.kind, event.itemId, item]).toEqual(["cleaned", "old", null]);
    expect(event).not.toHaveProperty("costMinor");
    // The first one that is washed has to come in at some time.
    expect(replacementOf(mesh, ids, happened).event.kind).toBe("fitted");
  });
});

describe("the history that counts", () => {
  it("takes the last correction, leaves out what was withdrawn, and what was put back counts again", () => {
    const fitted = event("fitted", -40);
    const corrected = event("fitted", -38, { corrects: fitted.id });
    const withdrawn = event("withdrawn", -38, { corrects: corrected.id });
    const again = event("fitted", -38, { corrects: withdrawn.id });
    const ids = (list: HistoryEvent[]) => new HistoryRecord(list).counted.map((each) => each.id);
    expect(ids([fitted])).toEqual([fitted.id]);
    expect(ids([fitted, corrected])).toEqual([corrected.id]);
    expect(ids([fitted, corrected, withdrawn])).toEqual([]);
    expect(ids([fitted, corrected, withdrawn, again])).toEqual([again.id]);
  });

  it("goes by date and keeps the order recorded within a day", () => {
    const [late, early, same] = [event("fitted", -1), event("fitted", -9), look(-1, "grey")];
    expect(new HistoryRecord([late, early, same]).counted).toEqual([early, late, same]);
  });

  it("never changes the record it reads", () => {
    const list = Object.freeze([event("fitted", -3), event("fitted", -9)]);
    expect(() => new HistoryRecord(list).counted).not.toThrow();
  });
});
