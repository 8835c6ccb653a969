import fc from "fast-check";
import { plainDate } from "@/core/quantities/plain-date";
import { keptBySchema } from "@/core/readings/judge";
import { openDemoStore, type DemoStore } from "../../../tests/demo-store";
import { appendEvent, listEventsAfter, newestOrdinal } from "./history";

jest.setTimeout(60_000);
const HOME = "sluice-house";
let demo: DemoStore;
beforeAll(async () => (demo = await openDemoStore()));
afterAll(() => demo.discard());

it("comes to its end however far apart the numbers of entries are", async () => {
  const before = await newestOrdinal(demo.store.db);
  const note = (id: string) =>
    demo.store.write((tx) =>
      appendEvent(tx, HOME, {
        ...{ id, kind: "note", unitId: "cellar-furnace", words: id },
        ...{ date: plainDate("2026-03-14"), recordedAt: "2026-03-14T08:30:00.000Z" },
      }),
    );
  await note("near");
  await demo.store.client.execute("UPDATE events SET ordinal = 9007199254740000 WHERE id = 'near'");
  await note("far");
  const read = await listEventsAfter(demo.store.db, HOME, before);
  expect(read.map(({ id }) => id)).toEqual(["near", "far"]);
});

it("gives back entries to the last letter and the last digit, in the order they were written", async () => {
  const figure = fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e300, max: 1e300 });
  const entry = fc.record({
    // Any letter there is, but for what no text can hold.
    words: fc.string({ unit: "binary", minLength: 1 }).filter((text) => !text.includes("\u0000")),
    value: figure,
    pressureDropPa: figure,
  });
  let written = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(entry, { minLength: 1, maxLength: 6 }), async (entries) => {
      const before = await newestOrdinal(demo.store.db);
      const events = entries.map(({ words, value, pressureDropPa }) => {
        const base = {
          ...{ id: `odd-${++written}`, unitId: "cellar-furnace", partId: "cellar-filter" },
          ...{ date: plainDate("2026-03-14"), recordedAt: "2026-03-14T08:30:00.000Z", words },
        };
        return written % 2 === 0
          ? { ...base, kind: "look" as const, look: { pressureDropPa } }
          : {
              ...base,
              kind: "reading" as const,
              reading: {
                ...keptBySchema.parse({}),
                kind: "filter-drop" as const,
                value,
                unit: "Pa",
              },
            };
      });
      await demo.store.write(async (tx) => {
        for (const event of events) await appendEvent(tx, HOME, event);
      });
      const read = await listEventsAfter(demo.store.db, HOME, before);
      expect(read).toMatchObject(JSON.parse(JSON.stringify(events)) as object[]);
      expect(read).toHaveLength(events.length);
    }),
    { numRuns: 40 },
  );
});
