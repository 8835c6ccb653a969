import fc from "fast-check";
import {
  atFitting,
  beliefOf,
  carried,
  FIRST_BELIEF,
  learn,
  paceOf,
  SEEN_BY_GRADE,
  seenByPressure,
  type Grade,
} from "./belief";

describe("what a look says", () => {
  it.each([
    [60, 30, 2, 1],
    // √((40/30 − 1)/1) = 0.57735
    [40, 30, 2, 0.57735],
    [75, 25, 3, 1],
  ])("%d Pa over %d clean at ratio %d is a load of %d", (drop, clean, ratio, load) => {
    const seen = seenByPressure(drop, clean, ratio);
    expect(seen.load).toBeCloseTo(load, 5);
    expect([seen.s, seen.isAtMost]).toEqual([0.25, undefined]);
  });

  it.each([
    // 36/30: √0.2 = 0.4472, just under; 36.075/30: √0.2025 = 0.45
    [36, true],
    [36.075, undefined],
    [30, true],
    [20, true],
  ])("%d Pa over 30 clean says no more than “at most 0.45”: %s", (drop, isAtMost) => {
    expect(seenByPressure(drop, 30, 2).isAtMost).toBe(isAtMost);
    if (isAtMost) expect(seenByPressure(drop, 30, 2).load).toBe(0.45);
  });

  it("takes white powder for blocked", () => {
    expect(SEEN_BY_GRADE["white-powder"]).toEqual(SEEN_BY_GRADE.blocked);
  });
});

describe("learning of a place and of its filter", () => {
  const fresh = atFitting(FIRST_BELIEF);

  it("gives the place what is its own, and the filter the rest, by hand", () => {
    // S = 0.16 + 0.0225 + 0.16 = 0.3425; r = ln(0.3/0.6) = −0.693147
    const known = learn(fresh, SEEN_BY_GRADE.light, 0.6);
    expect(known.place).toBeCloseTo((0.16 / 0.3425) * -0.693147, 6);
    expect(known.own).toBeCloseTo((0.0225 / 0.3425) * -0.693147, 6);
    expect(known.ofPlace).toBeCloseTo(0.16 - (0.16 * 0.16) / 0.3425, 9);
    expect(known.ofOwn).toBeCloseTo(0.0225 - (0.0225 * 0.0225) / 0.3425, 9);
    expect(known.ofBoth).toBeCloseTo((-0.16 * 0.0225) / 0.3425, 9);
    // What is left of the sum's spread: (0.1825 · 0.16)/0.3425, with the 0.2 that no look tells.
    expect(paceOf(known).spread).toBeCloseTo(Math.sqrt((0.1825 * 0.16) / 0.3425 + 0.04), 9);
  });

  it("takes a clean look as “at most”: it slows the pace or leaves it", () => {
    // Rated at 0.1, “at most 0.2” says nothing new; rated at 0.5 it does.
    expect(learn(fresh, SEEN_BY_GRADE.clean, 0.1).place).toBe(0);
    expect(learn(fresh, SEEN_BY_GRADE.clean, 0.5).place).toBeLessThan(0);
  });

  it("knows that nobody sees more than one and a half", () => {
    // Rated at 3, “collapsed” is as full as a look can show: no surprise.
    expect(learn(fresh, SEEN_BY_GRADE.collapsed, 3).place).toBe(0);
    expect(learn(fresh, SEEN_BY_GRADE.collapsed, 1).place).toBeGreaterThan(0);
  });

  const grade = fc.constantFrom<Grade>(
    ...(["clean", "light", "grey", "loaded", "blocked", "collapsed"] as const),
  );
  const load = fc.double({ min: 0.05, max: 4, noNaN: true });
  const looks = fc.array(fc.tuple(grade, load), { maxLength: 8 });
  const after = (seen: readonly (readonly [Grade, number])[]) =>
    seen.reduce((known, [each, at]) => learn(known, SEEN_BY_GRADE[each], at), fresh);

  it("never takes a dirtier look for a slower pace", () => {
    const order = Object.keys(SEEN_BY_GRADE).filter((each) => each !== "white-powder") as Grade[];
    fc.assert(
      fc.property(looks, load, grade, grade, (before, at, one, other) => {
        const [cleaner, dirtier] = [one, other].sort((a, b) => order.indexOf(a) - order.indexOf(b));
        const pace = (each: Grade) => paceOf(after([...before, [each, at]])).lnK;
        expect(pace(dirtier!)).toBeGreaterThanOrEqual(pace(cleaner!) - 1e-9);
      }),
      { numRuns: 400 },
    );
  });

  it("never gets less sure by looking, nor surer of a place than 0.05", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(grade, load), { minLength: 1, maxLength: 80 }), (seen) => {
        let known = fresh;
        for (const [each, at] of seen) {
          const next = learn(known, SEEN_BY_GRADE[each], at);
          expect(paceOf(next).spread).toBeLessThanOrEqual(paceOf(known).spread + 1e-12);
          expect(next.ofPlace).toBeLessThanOrEqual(known.ofPlace + 1e-12);
          known = next;
        }
        expect(beliefOf(known).sd).toBeGreaterThanOrEqual(0.05);
      }),
    );
  });

  it("comes to the truth about this filter from looks without error, and near it about the place", () => {
    let known = fresh;
    for (let i = 0; i < 200; i++) known = learn(known, { load: 0.9, s: 0.3 }, 0.5);
    expect(paceOf(known).lnK).toBeCloseTo(Math.log(1.8), 2);
    expect(known.place).toBeLessThan(Math.log(1.8));
    expect(known.place / known.own).toBeCloseTo(0.16 / 0.0225, 6);
  });
});

describe("what a place passes on to its next filter", () => {
  it("is a little less sure, much less where something lasting changed, at most 0.6", () => {
    expect(carried({ mu: 0.5, sd: 0.12 })).toEqual({ mu: 0.5, sd: 0.13 });
    expect(carried({ mu: 0.5, sd: 0.2 }, true)).toEqual({ mu: 0.5, sd: 0.25 });
    expect(carried({ mu: 0, sd: 0.7 }).sd).toBe(0.6);
  });
});
