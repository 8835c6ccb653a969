import type { Occurrence } from "./plan-schema";
import fc from "fast-check";
import { at, madeUpJob as job, wednesday as today } from "../../../tests/made-up-job";
import { asOfToday, numbered, planChanges, planLeft, planSums } from "./published";

const on = (task: string, ...days: number[]): Occurrence[] =>
  days.map((day) => ({ task, day: at(day) }));
const plan = (...days: Occurrence[]) => ({ madeOn: at(-30), days: numbered(days) });

describe("what is left of a published plan", () => {
  it("is what is still to come, and what was missed, the first of each job", () => {
    const jobs = [job("filter"), job("trap", { done: -60 })];
    const days = [...on("filter", -20, -5, 4), ...on("trap", 12)];
    expect(planLeft(jobs, today, plan(...days))).toEqual({
      ahead: [...on("filter", 4), ...on("trap", 12)],
      missed: on("filter", -20),
    });
  });

  it("is not what was done since, though done on another day: late, or early for the next one", () => {
    // Planned for day −10, done on −7; the next window opens on day 20.
    const late = [job("filter", { done: -7, due: 30, opens: 20 })];
    expect(planLeft(late, today, plan(...on("filter", -10, 22)))).toEqual({
      ahead: on("filter", 22),
      missed: [],
    });
    // Planned for day 3, done on −1: that one is covered.
    const early = [job("filter", { done: -1, due: 35, opens: 25 })];
    expect(planLeft(early, today, plan(...on("filter", 3, 33))).ahead).toEqual(on("filter", 33));
  });

  it("keeps what is planned before its window on purpose, where nothing was done since", () => {
    const jobs = [job("filter", { done: -60, due: 30, opens: 20 })];
    expect(planLeft(jobs, today, plan(...on("filter", 5))).ahead).toEqual(on("filter", 5));
  });

  it("knows nothing of jobs that are off, gone, or called for by nothing", () => {
    const jobs = [job("off", { off: true }), job("dayless", { due: null })];
    const days = [...on("off", 3), ...on("dayless", 3), ...on("gone", 3)];
    expect(planLeft(jobs, today, plan(...days))).toEqual({ ahead: [], missed: [] });
  });

  it("is looked at as if what was missed were done today, once", () => {
    const left = {
      ahead: [...on("trap", 0), ...on("filter", 9)],
      missed: [...on("filter", -4), ...on("trap", -3)],
    };
    expect(asOfToday({ today }, left)).toEqual([
      ...on("filter", 0),
      ...on("trap", 0),
      ...on("filter", 9),
    ]);
  });
});

describe("what is different in another plan", () => {
  it("pairs the days of a job in order, and says what comes and goes", () => {
    const before = [...on("a", 3, 40), ...on("b", 5), ...on("c", 8)];
    const after = [...on("a", 5, 40), ...on("b", 5, 50), ...on("d", 9)];
    expect(planChanges(before, after, at(100))).toEqual([
      { task: "a", from: at(3), to: at(5) },
      { task: "c", from: at(8), to: null },
      { task: "d", from: null, to: at(9) },
      { task: "b", from: null, to: at(50) },
    ]);
  });

  it("pairs the nearest where one plan has more of them", () => {
    // Of 3, 33 and 63 the one at 33 has gone; the last moved by a day.
    expect(planChanges(on("a", 3, 33, 63), on("a", 3, 64), at(100))).toEqual([
      { task: "a", from: at(33), to: null },
      { task: "a", from: at(63), to: at(64) },
    ]);
    expect(planChanges(on("a", 3, 64), on("a", 3, 33, 63), at(100))).toEqual([
      { task: "a", from: null, to: at(33) },
      { task: "a", from: at(64), to: at(63) },
    ]);
  });

  it("leaves out what lies past the end of the earlier one", () => {
    expect(planChanges(on("a", 3), on("a", 3, 120), at(100))).toEqual([]);
  });

  it("is nothing between a plan and itself, and every day is named once between any two", () => {
    const days = fc.uniqueArray(fc.integer({ min: 0, max: 90 }), { maxLength: 8 });
    fc.assert(
      fc.property(days, days, (first, second) => {
        const [a, b] = [on("a", ...first), on("a", ...second)];
        expect(planChanges(a, a, at(100))).toEqual([]);
        const changes = planChanges(a, b, at(100));
        const same = first.filter((day) => second.includes(day)).length;
        expect(changes.filter(({ from }) => from).length).toBeLessThanOrEqual(first.length);
        expect(changes.filter(({ to }) => to).length).toBeLessThanOrEqual(second.length);
        if (same === first.length && same === second.length) expect(changes).toEqual([]);
        // What one plan has more than the other stands alone.
        const alone = (is: "from" | "to") => changes.filter((each) => each[is] === null).length;
        expect(alone("from") - alone("to")).toBe(second.length - first.length);
      }),
    );
  });
});

it("numbers the days of each job from one on, whatever their order was", () => {
  expect(numbered([...on("a", 9, 2), ...on("b", 5)])).toEqual([
    { task: "a", n: 1, day: at(2) },
    { task: "b", n: 1, day: at(5) },
    { task: "a", n: 2, day: at(9) },
  ]);
});

it("sums up one’s own rounds apart from visits, up to a day", () => {
  const round = (crew: string, day: number, minutes: number, tasks = ["x"]) => ({
    ...{ crew, home: "home", day: at(day), tasks, returns: [], minutes },
    ...{ poweredDown: [], overCap: 0 },
  });
  const rounds = [
    round("owner", 3, 40),
    round("technician", 4, 90),
    round("owner", 5, 0, []),
    round("owner", 80, 25),
  ];
  const overdue = [
    { task: "x", day: at(3), days: 2 },
    { task: "x", day: at(80), days: 1 },
  ];
  expect(planSums({ rounds, overdue }, new Set(["technician"]), at(60))).toEqual({
    ...{ rounds: 1, visits: 1, minutes: 40, late: 1 },
  });
});
