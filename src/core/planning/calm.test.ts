import fc from "fast-check";
import { at, madeUpJob as job, wednesday as today } from "../../../tests/made-up-job";
import { daysFrom } from "../quantities/plain-date";
import { CALM_JOBS, CALM_MINUTES } from "../scheduling/first-time";
import { calmFrom } from "./calm";

describe("jobs of a house that is new to its people", () => {
  it("wait their turn: safety first, then what is past, the worst first, then what is quickly done", () => {
    const jobs = [
      job("long", { due: 3, minutes: 60 }),
      job("quick", { due: 20, minutes: 5 }),
      job("over", { due: -20, minutes: 30 }),
      job("worst", { due: -90, minutes: 40 }),
      job("alarm", { due: 10, minutes: 10, safety: true }),
    ];
    // 10 + 40 + 30 + 5 minutes are a morning; the hour’s job is for the week after.
    expect([...calmFrom(jobs, today)]).toEqual([["long", at(7)]]);
  });

  it("come five a week, however short they are", () => {
    const jobs = Array.from({ length: 12 }, (_, i) => job(`look ${i}`, { minutes: 1 }));
    const from = calmFrom(jobs, today);
    expect(jobs.map(({ task }) => from.get(task.id))).toEqual([
      ...new Array<undefined>(5).fill(undefined),
      ...new Array(5).fill(at(7)),
      ...new Array(2).fill(at(14)),
    ]);
  });

  it("wait for nothing where they were done before, need a licence, are put off or of a season to come", () => {
    const many = Array.from({ length: 5 }, (_, i) => job(`first ${i}`, { due: -9 }));
    const free = [
      job("known", { done: -200 }),
      job("visit", { who: "licensed" }),
      job("spring", { due: 90, opens: 80 }),
      job("dayless", { due: null }),
      { ...job("later"), deferral: { on: today, words: "no ladder", until: at(60) } },
    ];
    const from = calmFrom([...many, ...free], today);
    for (const { task } of free) expect([task.id, from.has(task.id)]).toEqual([task.id, false]);
  });

  it("never fill a week past a morning", () => {
    const facts = fc.record({
      due: fc.integer({ min: -400, max: 45 }),
      minutes: fc.integer({ min: 1, max: 200 }),
      safety: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(facts, { maxLength: 40 }), (all) => {
        const jobs = all.map((each, i) => job(`job ${i}`, each));
        const from = calmFrom(jobs, today);
        const weeks = new Map<number, typeof jobs>();
        for (const each of jobs) {
          const week = daysFrom(today, from.get(each.task.id) ?? today) / 7;
          weeks.set(week, [...(weeks.get(week) ?? []), each]);
        }
        for (const [week, its] of weeks) {
          expect(Number.isInteger(week)).toBe(true);
          const minutes = its.reduce((sum, { task }) => sum + task.handsOn, 0);
          expect(its.length <= CALM_JOBS).toBe(true);
          expect(minutes <= CALM_MINUTES || its.length === 1).toBe(true);
        }
        // What keeps people safe never waits longer than what does not.
        const turn = (is: boolean) =>
          jobs
            .filter(({ task }) => task.isSafety === is)
            .map(({ task }) => daysFrom(today, from.get(task.id) ?? today));
        expect(Math.max(0, ...turn(true))).toBeLessThanOrEqual(
          Math.min(Number.POSITIVE_INFINITY, ...turn(false)) + 7,
        );
      }),
    );
  });
});
