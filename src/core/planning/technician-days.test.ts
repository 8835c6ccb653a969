import { madeUpInput, madeUpTask as task, on } from "../../../tests/made-up-plan";
import { daysFrom, isoWeekday } from "../quantities/plain-date";
import { technicianDays, visitsOf } from "./technician-days";

const visit = (id: string, extra = {}) => task(id, { crew: "technician", ...extra });
const home = (name: string, tasks: Parameters<typeof madeUpInput>[0], extra = {}) =>
  madeUpInput(tasks, {
    units: ["furnace", "ventilator"].map((id) => ({ id, home: name })),
    ...extra,
  });

describe("a technician’s days", () => {
  it("are the same for machines and homes of one owner: one call-out for all of it", () => {
    const days = technicianDays([
      home("house", [visit("a"), visit("b", { unit: "ventilator" }), task("own")]),
      home("boathouse", [visit("a", { lastDone: on(-4) })]),
    ]);
    const [first] = days;
    expect(first!.homes).toEqual([
      { home: "house", tasks: expect.arrayContaining(["a", "b"]) as string[] },
      { home: "boathouse", tasks: ["a"] },
    ]);
    expect(first!.minutes).toBe(30);
    expect(isoWeekday(first!.day)).toBeLessThanOrEqual(5);
  });

  it("are asked for by three days, some days apart, the best among them", () => {
    for (const { day, asked } of technicianDays([home("house", [visit("a")])])) {
      expect(asked).toHaveLength(3);
      expect(asked.find((each) => each.day === day)?.minutes).toBe(0);
      for (const [i, each] of asked.entries()) {
        expect(isoWeekday(each.day)).toBeLessThanOrEqual(5);
        if (i > 0) expect(daysFrom(asked[i - 1]!.day, each.day)).toBeGreaterThanOrEqual(2);
      }
    }
  });

  it("stay where a visit is agreed, and are then asked for no more", () => {
    const lockedRounds = [{ crew: "technician", home: "house", day: on(26) }];
    const days = technicianDays([home("house", [visit("a")], { lockedRounds })]);
    expect(days[0]).toMatchObject({ day: on(26), asked: [{ day: on(26), minutes: 0 }] });
  });

  it("are none where nobody has to be called, and an owner’s tasks are never among them", () => {
    expect(technicianDays([home("house", [task("own")])])).toEqual([]);
    const { tasks, units } = visitsOf([home("house", [visit("a"), task("own")])]);
    expect(tasks.map(({ id }) => id)).toEqual(["0 / a"]);
    expect(units.map(({ id }) => id)).toEqual(["0 / furnace", "0 / ventilator"]);
  });
});
