import { plainDate } from "../quantities/plain-date";
import { alarmLife, levelsWithoutAlarm, warrantyOf } from "./alarms";
import type { Level, Room, Unit } from "./inventory";

const today = plainDate("2026-03-14");

describe("the life of an alarm", () => {
  it.each([
    // Five years and seven years from the day it was made, whatever its batteries.
    ["2022-01-01", "sound", "2027-01-01", "2029-01-01"],
    ["2021-03-15", "sound", "2026-03-15", "2028-03-15"],
    ["2021-03-14", "watch", "2026-03-14", "2028-03-14"],
    ["2019-03-15", "watch", "2024-03-15", "2026-03-15"],
    ["2019-03-14", "act", "2024-03-14", "2026-03-14"],
    ["2020-02-29", "watch", "2025-02-28", "2027-02-28"],
  ])("made %s is %s", (made, verdict, from, by) => {
    expect(alarmLife(plainDate(made), today)).toEqual({ from, by, verdict });
  });
});

describe("the levels without an alarm", () => {
  const level = (id: string, place: Level["place"] = "inside"): Level => ({
    id,
    name: id,
    storey: 0,
    place,
  });
  const room = (levelId: string): Room => ({
    id: `in ${levelId}`,
    levelId,
    name: "",
    sleeps: false,
  });
  it("are those that are lived in, and have none", () => {
    const levels = [level("loft"), level("upper"), level("ground"), level("yard", "outdoors")];
    const alarm = { levelId: "upper" } as Unit;
    const rooms = [room("upper"), room("ground"), room("yard")];
    expect(levelsWithoutAlarm(levels, rooms, [alarm]).map(({ id }) => id)).toEqual(["ground"]);
  });
});

describe("a warranty", () => {
  it.each([
    ["2026-03-13", "over"],
    ["2026-03-14", "ends-soon"],
    ["2026-05-13", "ends-soon"],
    ["2026-05-14", "running"],
  ])("to %s is %s", (ends, state) => expect(warrantyOf(plainDate(ends), today)).toBe(state));
});
