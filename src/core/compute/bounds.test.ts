import fc from "fast-check";
import { BOUNDS, outOfBounds } from "./bounds";
import { answerLine, compute, computeBatch } from "./compute";
import { COMPUTE_FUNCTIONS } from "./registry";

const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)]);

describe("the bounds of an input", () => {
  it("are named with the place where they are passed, the first of the input", () => {
    const cases: [unknown, (string | number)[], string][] = [
      [{ a: 1, b: 1e12, c: 1e12 }, ["b"], "greater than"],
      [{ list: [1, "x".repeat(BOUNDS.letters + 1)] }, ["list", 1], "longer than"],
      [{ list: new Array(BOUNDS.items + 1).fill(0) }, ["list"], "more than 20000 items"],
      [nested(BOUNDS.depth + 1), new Array(BOUNDS.depth).fill(0), "nested deeper than 32"],
      [{ today: "0001-01-01" }, ["today"], "not between 1900 and 2200"],
      [{ to: "9999-12-31" }, ["to"], "not between 1900 and 2200"],
    ];
    for (const [input, path, message] of cases) {
      const found = outOfBounds(input);
      expect(found?.path).toEqual(path);
      expect(found?.message).toContain(message);
    }
  });

  it("leave alone what a home has, and what only looks like a day", () => {
    expect(outOfBounds(nested(BOUNDS.depth))).toBeNull();
    expect(outOfBounds({ note: "0001-13-77", size: "20x20x1", n: -BOUNDS.number })).toBeNull();
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 8 }), (value) => {
        const found = outOfBounds(value);
        // Whatever is refused lies where it says.
        let at: unknown = value;
        for (const key of found?.path ?? []) at = (at as Record<string | number, unknown>)[key];
        expect(at).not.toBeUndefined();
      }),
    );
  });

  it("hold at every function, by command line, batch and HTTP alike", () => {
    for (const { name } of COMPUTE_FUNCTIONS) {
      const line = `{"today":"2026-03-14","list":[${"0,".repeat(BOUNDS.items)}0]}`;
      const answer = compute(name, line);
      expect(answer).toMatchObject({ ok: false, error: { code: "invalid-input", path: ["list"] } });
      expect(computeBatch(name, [line])).toEqual([answerLine(answer)]);
    }
  });

  it("let no line end a batch, however deep or broken", () => {
    const lines = [
      "[".repeat(300_000),
      "{",
      '{"supplyC":17,"outdoorC":5,"extractC":21}',
      "[".repeat(40) + "]".repeat(40),
    ];
    const answers = computeBatch("heat-recovery", lines).map((line) => JSON.parse(line) as object);
    expect(answers.map((each) => "error" in each)).toEqual([true, true, false, true]);
  });
});

describe("the worst that can be asked within them", () => {
  const climate = {
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
    dailyRangeC: 10,
  };
  const refused = (name: string, input: unknown, path: (string | number)[]) => {
    const answer = compute(name, JSON.stringify(input));
    expect([name, answer.ok ? null : answer.error.path]).toEqual([name, path]);
  };

  it("is refused where it would go on for centuries", () => {
    const span = { climate, actuals: [], from: "1900-01-01", to: "2200-12-31" };
    refused("climate", span, ["to"]);
    refused(
      "run-hours",
      { ...span, equipment: { heats: true, cools: false, fan: { mode: "auto" } }, measured: [] },
      ["to"],
    );
    const wear = {
      ...{ today: "2026-03-14", fittedOn: "2026-03-01", climate, actuals: [], measured: [] },
      ...{ equipment: { heats: true, cools: true, fan: { mode: "auto" } }, drivers: [], looks: [] },
      slot: { media: "pleated-25", airSide: "recirculated" },
    };
    refused("wear", { ...wear, horizonDays: 100_000_000 }, ["horizonDays"]);
    refused("wear", { ...wear, fittedOn: "1901-01-01" }, ["fittedOn"]);
    refused(
      "compare-filters",
      {
        wear: { ...wear, slot: undefined },
        options: [{ name: "a", slot: wear.slot, price: 1 }],
        years: 5000,
      },
      ["years"],
    );
  });

  it("is refused where a procedure goes more ways than anybody looks at, counted without going them", () => {
    const steps = Array.from({ length: 24 }, (_, i) => [
      {
        id: `ask-${i}`,
        kind: "inspect",
        title: "Look",
        records: {
          kind: "choice",
          options: [
            { value: "a", name: "A" },
            { value: "b", name: "B" },
          ],
        },
      },
      { id: `then-${i}`, kind: "clean", title: "Wipe", whenSeen: { step: `ask-${i}`, is: ["a"] } },
    ]).flat();
    const procedure = {
      id: "p",
      title: "P",
      verb: "P",
      who: "owner",
      handsOnMinutes: 1,
      waitingMinutes: 0,
      steps,
    };
    const input = { procedures: [procedure] };
    refused("lint-procedures", input, ["procedures", 0, "steps"]);
    const few = { procedures: [{ ...procedure, steps: steps.slice(0, 8) }] };
    expect(compute("lint-procedures", JSON.stringify(few)).ok).toBe(true);
  });
});
