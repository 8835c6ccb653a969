import { addDays, toDay } from "@/core/quantities/plain-date";
import { SEEN_BY_GRADE } from "@/core/filters/belief";
import { curveDate, curveOf, filterSeen } from "./curve";
import { filterStatusesOf } from "@/server/snapshots/snapshot-cache";
import { snapshot, today } from "../../../../tests/demo-snapshot";

const slot = snapshot.slots.find((each) => each.id === "cellar-filter")!;
const wear = filterStatusesOf(snapshot, today).find((each) => each.slot.id === slot.id)!.wear!;
const { fittedOn, lifeShare } = wear.input;
const history = snapshot.history.ofPart(slot.id).toReversed();
const renovation = {
  driver: {
    id: "r",
    scope: "home" as const,
    kind: "renovation" as const,
    from: addDays(today, -10),
    to: addDays(today, -4),
  },
  words: "plaster",
};
const seen = filterSeen(history, slot.cleanDropPa, "metric");
const LONGEST = 400;
const curve = curveOf(wear, seen, [renovation], today, LONGEST);

describe("the wear curve", () => {
  it("runs from the fitting to some days past the latest due day", () => {
    expect(curveDate(curve.from)).toBe(fittedOn);
    expect(curve.to).toBe(toDay(wear.late!) + 10);
    expect(curve.past.at(-1)!.x).toBe(curve.today);
    expect(curve.ahead[0]!.x).toBe(curve.today);
  });

  it("shows the percentage that is said beside it", () => {
    expect(100 * curve.past.at(-1)!.y).toBeCloseTo(wear.percentNow, 0);
  });

  it("crosses due on the likely day, its band on the early and the late one", () => {
    const firstFull = (points: { x: number; y: number }[]) =>
      points.find((point) => point.y >= 1 - 1e-4)!.x;
    expect(firstFull([...curve.past, ...curve.ahead])).toBe(toDay(wear.likely!));
    expect(firstFull(curve.high)).toBe(toDay(wear.early!));
    expect(firstFull(curve.low)).toBe(toDay(wear.late!));
  });

  it("has a dot for each look at this filter, at the load its grade stands for", () => {
    const looks = history.filter((event) => event.kind === "look" && event.date > fittedOn);
    expect(curve.looks.map((look) => look.x).sort()).toEqual(
      looks.map((look) => toDay(look.date)).sort(),
    );
    for (const look of curve.looks)
      expect(Object.values(SEEN_BY_GRADE).map((seen) => seen.load)).toContain(
        Math.round(1e6 * look.y * lifeShare) / 1e6,
      );
  });

  it("shades the dust that fell on it, and no other", () => {
    expect(curve.spells).toEqual([
      { from: curve.today - 10, to: curve.today - 4, words: "plaster" },
    ]);
    const long = {
      ...renovation,
      driver: { ...renovation.driver, from: addDays(today, -900), to: addDays(today, -800) },
    };
    expect(curveOf(wear, seen, [long], today, LONGEST).spells).toEqual([]);
    const always = {
      driver: { id: "p", scope: "home" as const, kind: "people" as const, count: 4 },
      words: "a full house",
    };
    expect(curveOf(wear, seen, [always], today, LONGEST).spells).toEqual([]);
  });

  it("has the same figures in the table behind it", () => {
    for (const row of curve.rows) {
      const point = [...curve.past, ...curve.ahead].find(({ x }) => x === toDay(row.date))!;
      expect(row.load).toBe(point.y);
      expect(row.low <= row.load && row.load <= row.high).toBe(true);
    }
    expect(curve.rows.length).toBe(Math.ceil((curve.to - curve.from + 1) / 7));
  });
});
