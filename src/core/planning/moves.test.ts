import fc from "fast-check";
import { madeUpInput, madeUpTask as task, on, technicianCrew } from "../../../tests/made-up-plan";
import { moved, movePrice, standsOf, whyHere } from "./moves";
import { plan, PlanModel } from "./plan";
import type { Occurrence } from "./plan-schema";
import { madeUpPlan } from "./plan-instances";

const at = (id: string, day: number): Occurrence => ({ task: id, day: on(day) });
/** A price worked out for a plan of which one thing goes to another day. */
function priced(
  tasks: Parameters<typeof madeUpInput>[0],
  days: Occurrence[],
  of: Occurrence[],
  to: number,
) {
  const model = new PlanModel(madeUpInput(tasks));
  return movePrice(model, model.view(days), { of, to: on(to) });
}

describe("the price of another day", () => {
  it("is what it adds: a round, a power-down and the time it is late by", () => {
    const tasks = [task("a", { powerOff: true }), task("b", { powerOff: true })];
    // Both due on day 29; b goes to day 32: a set-up of 15, a power-down of 5, and 3 · 2 / 2 minutes late.
    const price = priced(tasks, [at("a", 29), at("b", 29)], [at("b", 29)], 32);
    expect(price).toMatchObject({ minutes: 23, rounds: 1, powerDowns: 1, visits: 0 });
    expect(price.terms).toMatchObject({ setup: 15, powerDown: 5, late: 3, early: 0 });
    // Three days of thirty.
    expect(price.stands).toEqual([
      { task: "b", afterDue: 3, afterClose: 0, beforeOpens: 0, share: 0.1 },
    ]);
  });

  it("is what it saves where it joins a round that is there", () => {
    const tasks = [task("a"), task("b", { lastDone: on(-3) })];
    // b was due on day 27 and has it alone; on day 29 it is two days late: 2 · 2 / 2 = 2 minutes for 15.
    const price = priced(tasks, [at("a", 29), at("b", 27)], [at("b", 27)], 29);
    expect(price).toMatchObject({ minutes: -13, rounds: -1 });
  });

  it("moves a whole round: everything in it, for one price", () => {
    const tasks = [task("a"), task("b")];
    const days = [at("a", 29), at("b", 29)];
    const price = priced(tasks, days, days, 24);
    // Five of thirty days are wasted of ten minutes each, 1.67 each.
    expect(price).toMatchObject({ rounds: 0, minutes: 3.34 });
    expect(price.stands.map(({ task: id, share }) => [id, share])).toEqual([
      ["a", -0.17],
      ["b", -0.17],
    ]);
  });

  it("counts a call-out as a visit, and a day that gets too full", () => {
    const tasks = [
      task("a", { handsOn: 90 }),
      task("b", { handsOn: 60 }),
      task("c", { crew: "technician" }),
    ];
    const days = [at("a", 29), at("b", 31), at("c", 30)];
    expect(priced(tasks, days, [at("b", 31)], 29).overCap).toBe(30);
    const visit = priced(
      [...tasks, task("d", { crew: "technician" })],
      [...days, at("d", 30)],
      [at("d", 30)],
      32,
    );
    expect(visit).toMatchObject({ visits: 1, rounds: 0 });
    expect(visit.terms.callOut).toBe(150 + 20);
  });

  it("says what is too soon, past its window, or left without a day", () => {
    const early = priced([task("a")], [at("a", 32)], [at("a", 32)], 10);
    expect(early.stands[0]).toMatchObject({ beforeOpens: 9, afterDue: -19 });
    // Done on day 10 the next is due on day 40, within the sixty days: it has no day.
    expect(early.missing).toBe(1);
    expect(priced([task("a")], [at("a", 29)], [at("a", 29)], 45).stands[0]).toMatchObject({
      afterClose: 6,
    });
  });

  it("is the difference of two evaluations whatever is moved, its terms sum to it, and back again costs nothing", () => {
    const input = { ...madeUpPlan("small", 5), iterations: 60 };
    const model = new PlanModel(input);
    const view = model.view(plan(input).occurrences);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: view.occurrences.length - 1 }),
        fc.integer({ min: 0, max: 200 }),
        (nth, away) => {
          const { task: id, day } = view.occurrences[nth]!;
          const to = model.input.today > day ? day : (on(away) as typeof day);
          const of = [{ task: id, day }];
          const price = movePrice(model, view, { of, to });
          const sum = Object.values(price.terms).reduce((a, b) => a + b, 0);
          expect(sum).toBeCloseTo(price.minutes, 6);
          const there = moved(view.occurrences, { of, to });
          if (there.length === view.occurrences.length) {
            const back = moved(there, { of: [{ task: id, day: to }], to: day });
            expect(model.view(back).cost).toEqual(view.cost);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

it("makes one of two occurrences of a task on one day", () => {
  const days = [at("a", 3), at("a", 9), at("b", 9)];
  expect(moved(days, { of: [at("a", 3)], to: on(9) })).toEqual([at("a", 9), at("b", 9)]);
});

it("has no share of an interval that never was", () => {
  const bare = { opens: null, closes: null, pinned: false, early: 0, late: 0 };
  expect(standsOf({ ...at("a", 3), ...bare, due: on(-9) }, on(-9)).share).toBeNull();
  expect(standsOf({ ...at("a", 3), ...bare, due: null }, on(-9))).toMatchObject({ afterDue: 0 });
});

describe("why something is where it is", () => {
  const tasks = [
    task("a", { powerOff: true }),
    task("b", { powerOff: true }),
    task("c", { unit: "ventilator" }),
    task("d", { unit: "ventilator", lastDone: on(-12) }),
  ];
  const days = [at("a", 29), at("b", 29), at("c", 29), at("d", 18)];
  const model = new PlanModel(madeUpInput(tasks, { pins: [{ task: "b", n: 1, day: on(29) }] }));
  const view = model.view(days);

  it("is the company it has, the power it shares, and that it is pinned", () => {
    expect(whyHere(model, view, at("a", 29))).toMatchObject({
      others: 2,
      sharesPower: true,
      isPinned: false,
    });
    expect(whyHere(model, view, at("b", 29))).toMatchObject({ isPinned: true });
    expect(whyHere(model, view, at("d", 18))).toMatchObject({ others: 0, sharesPower: false });
  });

  it("sets it beside its own day and the rounds before and after, each with its price", () => {
    const { instead } = whyHere(model, view, at("c", 29))!;
    // It stands on its own due day: that is not offered.
    expect(instead.map(({ kind, day, price }) => [kind, day, price.rounds])).toEqual([
      ["before", on(18), 0],
    ]);
    const alone = whyHere(model, view, at("d", 18))!;
    expect(alone.instead.map(({ kind, day }) => [kind, day])).toEqual([["after", on(29)]]);
    expect(alone.instead[0]!.price.terms.setup).toBe(-15);
  });

  it("is nothing for what is not in the plan", () => {
    expect(whyHere(model, view, at("a", 30))).toBeNull();
    expect(whyHere(model, view, at("gone", 29))).toBeNull();
  });
});

it("frees a technician’s day from its call-out where a round of it is agreed", () => {
  const model = new PlanModel(
    madeUpInput([task("a", { crew: "technician" })], {
      crews: [technicianCrew],
      lockedRounds: [{ crew: "technician", home: "home", day: on(32) }],
    }),
  );
  const price = movePrice(model, model.view([at("a", 31)]), { of: [at("a", 31)], to: on(32) });
  expect(price.terms.callOut).toBe(-170);
});
