import fc from "fast-check";
import { sequence, sequenceInput } from "./sequence";

type Raw = Record<string, unknown>;
const step = (id: string, extra: Raw = {}): Raw => ({
  id,
  unit: "u",
  level: 0,
  handsOn: 5,
  ...extra,
});
const run = (steps: Raw[], width?: number) =>
  sequence(sequenceInput.parse({ steps, ...(width ? { width } : {}) }));

describe("the order of a round, worked by hand in minutes", () => {
  it("uses a wait for other work", () => {
    // The wash dries 30 minutes; meanwhile two things of ten minutes are done.
    const { order, end, cost } = run([
      step("wash", { handsOn: 5, tail: 30 }),
      step("back", { handsOn: 5, preds: ["wash"] }),
      step("b", { handsOn: 10 }),
      step("c", { handsOn: 10 }),
    ]);
    expect(order[0]).toBe("wash");
    expect(order.at(-1)).toBe("back");
    expect([end, cost]).toEqual([40, 40]);
  });

  it("keeps a unit without power as short as may be: off late, on early", () => {
    const power = [
      step("off", { handsOn: 1, power: "down" }),
      step("filter", { handsOn: 6, preds: ["off"] }),
      step("on", { handsOn: 1, power: "up", preds: ["filter"] }),
      step("else", { unit: "v", handsOn: 20 }),
    ];
    const { downMinutes, end, cost } = run(power);
    expect([downMinutes, end, cost]).toEqual([8, 28, 36]);
  });

  it("begins a power-down later where something has to dry first", () => {
    // Off and open cost 2 minutes; what goes in is dry only after 40.
    const { order, start, downMinutes } = run([
      step("wash", { handsOn: 4, tail: 40 }),
      step("off", { handsOn: 1, power: "down" }),
      step("in", { handsOn: 3, preds: ["wash", "off"] }),
      step("on", { handsOn: 1, power: "up", preds: ["in"] }),
    ]);
    expect(order).toEqual(["wash", "off", "in", "on"]);
    expect(start).toEqual([0, 43, 44, 47]);
    expect(downMinutes).toBe(5);
  });

  it("counts a unit that never has its power back as without it to the end", () => {
    expect(run([step("off", { power: "down" }), step("b", { unit: "v" })])).toMatchObject({
      order: ["b", "off"],
      ...{ downMinutes: 5, end: 10, cost: 15 },
    });
  });

  it("goes from the top down, and out of doors once", () => {
    const { order, cost } = run([
      step("cellar", { level: -1 }),
      step("loft", { level: 2 }),
      step("yard", { level: 0, outdoor: true }),
      step("shed", { level: 0, outdoor: true }),
      step("ground", { level: 0 }),
    ]);
    expect(order[0]).toBe("loft");
    expect(order.at(-1)).toBe("cellar");
    expect(Math.abs(order.indexOf("yard") - order.indexOf("shed"))).toBe(1);
    expect(cost).toBe(25);
    // A rise costs two, whatever its height, where something has to come later above.
    const up = run([step("a", { level: -1 }), step("b", { level: 3, preds: ["a"] })]);
    expect(up.cost).toBe(12);
  });

  it("counts no wait after the last step, and has an answer for no steps", () => {
    expect(run([step("a", { tail: 90 })]).end).toBe(5);
    expect(run([])).toEqual({
      ...{ order: [], start: [], end: 0, downMinutes: 0, cost: 0, proven: true },
    });
  });

  it("says whether anything was cut", () => {
    const many = Array.from({ length: 6 }, (_, i) =>
      step(`s${i}`, { level: i % 4, handsOn: i + 1 }),
    );
    expect(run(many).proven).toBe(true);
    expect(run(many, 2).proven).toBe(false);
  });

  it("refuses steps that wait for each other, or for none that is there", () => {
    const read = (steps: Raw[]) => sequenceInput.safeParse({ steps }).success;
    expect(read([step("a", { preds: ["b"] }), step("b", { preds: ["a"] })])).toBe(false);
    expect(read([step("a", { preds: ["z"] })])).toBe(false);
    expect(read([step("a"), step("a")])).toBe(false);
    expect(read([step("a", { handsOn: 1.5 })])).toBe(false);
  });
});

describe("over made-up rounds", () => {
  const arbitrary = fc.array(
    fc.record({
      unit: fc.constantFrom("u", "v"),
      level: fc.integer({ min: -1, max: 2 }),
      outdoor: fc.boolean(),
      handsOn: fc.integer({ min: 1, max: 12 }),
      tail: fc.constantFrom(0, 0, 15, 40),
      after: fc.nat(6),
    }),
    { minLength: 1, maxLength: 6 },
  );
  const stepsOf = (made: readonly { after: number }[]): Raw[] =>
    made.map(({ after, ...rest }, i) => ({
      ...rest,
      id: `s${i}`,
      preds: after < i ? [`s${after}`] : [],
    }));
  /** Every order there is, each as early as may be: only for a few steps without a switch. */
  function cheapestOfAll(steps: Raw[]): number {
    const parsed = sequenceInput.parse({ steps }).steps;
    let best = Infinity;
    const go = (
      left: typeof parsed,
      now: number,
      cost: number,
      ends: Map<string, number>,
      last: (typeof parsed)[number] | null,
      wentOut: boolean,
    ): void => {
      if (left.length === 0) best = Math.min(best, now + cost);
      for (const each of left) {
        if (each.preds.some((pred) => !ends.has(pred))) continue;
        const end = Math.max(now, ...each.preds.map((pred) => ends.get(pred)!)) + each.handsOn;
        const rise = last && each.level > last.level ? 2 : 0;
        const out = each.outdoor && !last?.outdoor && wentOut ? 3 : 0;
        go(
          left.filter((other) => other !== each),
          end,
          cost + rise + out,
          new Map([...ends, [each.id, end + each.tail]]),
          each,
          wentOut || each.outdoor,
        );
      }
    };
    go(parsed, 0, 0, new Map(), null, false);
    return best;
  }

  it("none is better than the one found", () => {
    fc.assert(
      fc.property(arbitrary, (made) => {
        const steps = stepsOf(made);
        expect(run(steps).cost).toBe(cheapestOfAll(steps));
      }),
      { numRuns: 60 },
    );
  });

  it("no step begins before those it waits for, nor two at once", () => {
    fc.assert(
      fc.property(arbitrary, (made) => {
        const steps = sequenceInput.parse({ steps: stepsOf(made) }).steps;
        const { order, start } = sequence({ steps, width: 300 });
        const begin = new Map(order.map((id, i) => [id, start[i]!]));
        expect([...order].sort()).toEqual(steps.map(({ id }) => id).sort());
        expect(start[0]).toBe(0);
        order.forEach((id, i) => {
          const it = steps.find((each) => each.id === id)!;
          if (i + 1 < order.length)
            expect(start[i + 1]).toBeGreaterThanOrEqual(start[i]! + it.handsOn);
          for (const pred of it.preds) {
            const before = steps.find((each) => each.id === pred)!;
            expect(begin.get(id)).toBeGreaterThanOrEqual(
              begin.get(pred)! + before.handsOn + before.tail,
            );
          }
        });
      }),
      { numRuns: 60 },
    );
  });
});
