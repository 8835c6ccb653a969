import fc from "fast-check";
import { addDays, daysFrom, isoWeekday, plainDate } from "@/core/quantities/plain-date";
import { droppedOn, nextDay, offeredDays } from "./year-drag";
import { placedRounds } from "./placed-rounds";

const today = plainDate("2026-03-14");
const on = (days: number) => addDays(today, days);
const year = { today, until: on(335), from: on(-30) };
const rounds = [on(1), on(8), on(22)];

describe("where something is dropped", () => {
  it("is a round that is near, else the very day", () => {
    // Three pixels a day: a round one day off is three pixels away, three days off nine.
    expect(droppedOn(year, rounds, on(1), { dragged: 6 * 3, day: 3 })).toBe(on(8));
    expect(droppedOn(year, rounds, on(1), { dragged: 4 * 3, day: 3 })).toBe(on(5));
  });

  it("is never before today, nor past the year in sight", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -5000, max: 5000 }),
        fc.integer({ min: 2, max: 40 }),
        (dragged, day) => {
          const to = droppedOn(year, rounds, on(22), { dragged, day });
          expect(to >= today && to <= year.until).toBe(true);
          // Never further from where it was let go than a round may draw it.
          const exact = dragged / day;
          if (exact > -20 && exact < 300)
            expect(Math.abs(daysFrom(on(22), to) - exact) * day).toBeLessThanOrEqual(
              Math.max(6, day / 2) + 0.001,
            );
        },
      ),
    );
  });
});

describe("the next day by the keys", () => {
  it("is a round of theirs or a day they like, and stays at the ends", () => {
    // 14 March 2026 is a Saturday; on Wednesdays somebody else goes.
    expect(nextDay(year, [on(4)], [6, 7], on(1), 1)).toBe(on(4));
    expect(nextDay(year, [on(4)], [6, 7], on(4), 1)).toBe(on(7));
    expect(nextDay(year, [on(4)], [6, 7], on(7), -1)).toBe(on(4));
    expect(nextDay(year, [], [6, 7], today, -1)).toBe(today);
    expect(nextDay(year, [], [], on(3), 1)).toBe(on(4));
    expect(isoWeekday(nextDay(year, [], [2], on(3), 1))).toBe(2);
  });
});

it("offers the rounds about it and its own day, the nearest six in order", () => {
  const many = Array.from({ length: 12 }, (_, i) => on(7 * i));
  const offered = offeredDays(year, many, on(21), on(25));
  expect(offered).toEqual([on(0), on(7), on(14), on(25), on(28), on(35)]);
  expect(offeredDays(year, [on(-7), on(400)], on(3), null)).toEqual([]);
});

it("puts the heads of rounds in two rows where they have room, and without words where they have none", () => {
  const round = (days: number) => ({
    ...{ person: "owner", name: null, day: on(days), minutes: 30, jobs: 1, overCap: 0 },
    ...{ returns: [], isVisit: false, isAnnounced: false, isLiked: true },
  });
  const rows = (zoom: number, ...days: number[]) =>
    placedRounds(days.map(round), year, zoom).map(({ row }) => row);
  expect(rows(1, 0, 6, 9, 20)).toEqual([0, 1, null, 0]);
  expect(rows(4, 0, 6, 9, 20)).toEqual([0, 0, 0, 0]);
});
