import fc from "fast-check";
import { addDays, daysFrom, plainDate } from "@/core/quantities/plain-date";
import { hasRoom, KEYSTONE_HALF, placedNotches, spanOf } from "./beam-layout";

const today = plainDate("2026-11-27");
const year = { from: addDays(today, -30), to: addDays(today, 335), today };
const SEASONS = ["heating ends", "first warm day", "leaf fall", "snow"] as const;

describe("the words on the beam", () => {
  it("never meet each other, today, or the beam's end, wherever the turns of the year lie", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -30, max: 335 }), fc.constantFrom(...SEASONS)), {
          maxLength: 8,
        }),
        fc.constantFrom(1, 4, 11),
        (turns, zoom) => {
          const notches = turns.map(([in_, season]) => ({ date: addDays(today, in_), season }));
          const all = placedNotches({ ...year, notches }, zoom);
          const placed = all.filter(({ side }) => side);
          // Marks stand beside each other, and no word at the foot lies over the mark of another.
          const x = (each: (typeof all)[number]) =>
            (960 * zoom * (daysFrom(year.from, each.date) + 0.5)) / 366 + each.nudge;
          const marks = all.map(x);
          for (const [i, at] of marks.entries())
            if (i > 0) expect(at - marks[i - 1]!).toBeGreaterThanOrEqual(12 - 1e-6);
          for (const word of placed.filter(({ row }) => row === 0)) {
            const { from, to } = spanOf(year, zoom, word);
            for (const other of all)
              if (other.date !== word.date)
                expect(x(other) + 6 <= from + 1e-6 || x(other) - 6 >= to - 1e-6).toBe(true);
          }
          const spans = placed.map((each) => ({ row: each.row, ...spanOf(year, zoom, each) }));
          const middle = (960 * zoom * 30.5) / 366;
          for (const [i, a] of spans.entries()) {
            expect(a.from).toBeGreaterThanOrEqual(0);
            expect(a.to).toBeLessThanOrEqual(960 * zoom);
            expect(a.to <= middle - KEYSTONE_HALF || a.from >= middle + KEYSTONE_HALF).toBe(true);
            for (const b of spans.slice(i + 1))
              if (a.row === b.row) expect(a.to <= b.from || b.to <= a.from).toBe(true);
          }
        },
      ),
    );
  });

  it("stands beside the keystone where its notch is behind it, and left of what is near the end", () => {
    const at = (in_: number, season: (typeof SEASONS)[number]) =>
      placedNotches({ ...year, notches: [{ date: addDays(today, in_), season }] }, 1)[0];
    expect(at(3, "snow")).toMatchObject({ isBehind: true, side: "right", row: 0 });
    expect(at(330, "leaf fall")).toMatchObject({ isBehind: false, side: "left" });
    expect(at(100, "snow")).toMatchObject({ side: "right", row: 0 });
  });

  it("names a month only where its word has room beside today", () => {
    expect(hasRoom(year, 1, plainDate("2026-12-01"), "Dec")).toBe(false);
    expect(hasRoom(year, 1, plainDate("2027-02-01"), "Feb")).toBe(true);
    expect(hasRoom(year, 11, plainDate("2026-12-01"), "Dec")).toBe(true);
  });
});
