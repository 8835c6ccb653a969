import fc from "fast-check";
import { carried, FIRST_BELIEF, learn, SEEN_BY_GRADE, seenByPressure } from "./belief";

describe("what a look says", () => {
  it.each([
    [60, 30, 2, 1, 0.2],
    // √((40/30 − 1)/1) = 0.57735; 0.035·(1 + 1/3)/(1/3) = 0.14, so the least s
    [40, 30, 2, 0.57735, 0.2],
    // no rise at all: the least load, and s = 0.035·1.0225/0.0225
    [30, 30, 2, 0.15, 1.590556],
    [20, 30, 2, 0.15, 1.590556],
    [75, 25, 3, 1, 0.2],
  ])("%d Pa over %d clean at ratio %d is a load of %d, s %d", (drop, clean, ratio, load, s) => {
    const seen = seenByPressure(drop, clean, ratio);
    expect(seen.load).toBeCloseTo(load, 5);
    expect(seen.s).toBeCloseTo(s, 5);
  });

  it("takes white powder for blocked", () => {
    expect(SEEN_BY_GRADE["white-powder"]).toEqual(SEEN_BY_GRADE.blocked);
  });
});

describe("learning", () => {
  it("weighs the look against what was believed", () => {
    // Both s 0.40: half way from 0 to ln(0.3/0.6) = −0.693147; sd 0.4/√2
    const belief = learn(FIRST_BELIEF, SEEN_BY_GRADE.light, 0.6);
    expect(belief.mu).toBeCloseTo(-0.346574, 6);
    expect(belief.sd).toBeCloseTo(0.282843, 6);
  });

  it("never gets surer than 0.08, nor less sure by looking", () => {
    const grade = fc.constantFrom(...Object.values(SEEN_BY_GRADE));
    fc.assert(
      fc.property(
        fc.array(grade, { minLength: 1, maxLength: 60 }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        (looks, load) => {
          let belief = FIRST_BELIEF;
          for (const seen of looks) {
            const next = learn(belief, seen, load);
            expect(next.sd).toBeLessThanOrEqual(belief.sd);
            belief = next;
          }
          expect(belief.sd).toBeGreaterThanOrEqual(0.08);
        },
      ),
    );
  });

  it("comes to the truth from looks without error", () => {
    let belief = FIRST_BELIEF;
    const k = 1.8;
    for (let i = 0; i < 200; i++) belief = learn(belief, { load: k * 0.5, s: 0.3 }, 0.5);
    expect(Math.exp(belief.mu)).toBeCloseTo(k, 1);
  });

  it("carries over to the next filter a little less sure, at most 0.6", () => {
    expect(carried({ mu: 0.5, sd: 0.12 })).toEqual({ mu: 0.5, sd: 0.13 });
    expect(carried({ mu: 0, sd: 0.7 }).sd).toBe(0.6);
  });
});
