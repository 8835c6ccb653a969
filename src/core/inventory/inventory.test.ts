import { plainDate } from "../quantities/plain-date";
import { alarmLife, levelsWithoutAlarm, warrantyOf } from "./alarms";
import type { Level, Room, Unit } from "./inventory";
import { crosswalkOfSlot, fitOfSlot } from "../filters/slot-fit";

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

describe("how a slot's filter fits", () => {
  const mm = (w: number, h: number, d?: number) => ({
    text: "",
    mm: { w, h, ...(d === undefined ? {} : { d }) },
  });
  const slot = {
    nominal: { ...mm(508, 508, 25.4), unit: "in" as const },
    opening: mm(508, 508, 26),
    seat: "rail" as const,
    media: "pleated-25" as const,
    filterCount: 1,
  };

  it("is not known before the slot is measured", () => {
    expect(fitOfSlot({ ...slot, opening: undefined } as never, undefined)).toBeNull();
  });

  it("supposes what nobody measured, and says what", () => {
    const fit = fitOfSlot(slot, undefined)!;
    // Nominal inches less half an inch in all: 12.7 mm of play each way.
    expect(fit.gapMm).toEqual({ w: 12.7, h: 12.7 });
    expect(fit.supposed).toEqual(["size", "drop", "airflow"]);
    // 495.3² mm² at 2 m/s are 0.4906 m³/s; leak (0.508² − 0.4953²)·0.15 = 0.0019113 m²;
    // 0.6·0.0019113·√(2·50/1.2) = 0.010469 m³/s, a little less for the flow that went past: 2.1 %.
    expect(fit.bypass).toBeCloseTo(0.021, 3);
    expect(fit.verdict).toBe("leaky");
  });

  it("takes what was measured, read and known of the system", () => {
    const known = { ...slot, measured: mm(495, 495, 25), cleanDropPa: 48 };
    const fit = fitOfSlot(known, { airflowM3h: 1800 })!;
    // The hand-worked case of filter-fit itself.
    expect(fit.bypass).toBeCloseTo(0.0207, 4);
    expect(fit.supposed).toEqual([]);
  });

  it("shares the air among the filters of a bank", () => {
    const known = { ...slot, measured: mm(495, 495, 25), cleanDropPa: 48 };
    const one = fitOfSlot(known, { airflowM3h: 1800 })!;
    const four = fitOfSlot({ ...known, filterCount: 4 }, { airflowM3h: 7200 })!;
    expect(four.bypass).toBe(one.bypass);
  });

  it("forgives a millimetre of the tape, and not two", () => {
    const tight = fitOfSlot({ ...slot, measured: mm(509, 508, 26) }, undefined)!;
    expect([tight.verdict, tight.bypass]).toEqual(["tight", 0]);
    const larger = fitOfSlot({ ...slot, measured: mm(510, 508, 26) }, undefined)!;
    expect([larger.verdict, larger.bypass]).toEqual(["does-not-fit", null]);
  });

  it("knows a rating elsewhere only where there is one", () => {
    expect(crosswalkOfSlot({})).toBeNull();
    expect(crosswalkOfSlot({ rating: { scheme: "MERV", class: "8" } })!.nearest.EN779).toBe("G4");
  });
});
