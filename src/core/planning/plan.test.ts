import fc from "fast-check";
import { addDays, daysFrom, isoWeekday, plainDate, type PlainDate } from "../quantities/plain-date";
import { evaluate } from "./evaluate";
import { naivePlan, plan } from "./plan";
import { isWeekend, madeUpPlan } from "./plan-instances";
import { evaluateInput, planInput, type PlanInput } from "./plan-schema";

const today = plainDate("2026-03-14");
const day = (offset: number) => addDays(today, offset);
const horizonEnd = day(60);

/** Each day done opens the next window after so many days, is due after so many, and closes after so many. */
const every = (opens: number, due: number, closes: number, lastDone = day(-1)) => {
  const rows = daysFrom(lastDone, horizonEnd) + 1;
  const table = (span: number) =>
    Array.from({ length: rows }, (_, i) => addDays(lastDone, i + span));
  return { from: lastDone, opens: table(opens), due: table(due), closes: table(closes) };
};
type Raw = Record<string, unknown>;
const task = (id: string, extra: Raw = {}): Raw => {
  const lastDone = (extra["lastDone"] as PlainDate | undefined) ?? day(-1);
  return {
    ...{ id, unit: "u", crew: "owner", handsOn: 10, lastDone },
    windows: every(20, 30, 40, lastDone),
    ...extra,
  };
};
const owner = {
  ...{ id: "owner", kind: "owner", capMinutes: 120, capScope: "home-day" },
  days: { weekdays: [1, 2, 3, 4, 5, 6, 7] },
};
const technician = {
  ...{ id: "tech", kind: "technician", capMinutes: 420, capScope: "day" },
  days: { weekdays: [1, 2, 3, 4, 5] },
};
const small = (extra: Raw = {}): PlanInput =>
  planInput.parse({
    ...{ today, horizonEnd, iterations: 300, crews: [owner, technician] },
    units: [
      { id: "u", home: "h" },
      { id: "v", home: "h" },
      { id: "w", home: "other" },
    ],
    tasks: [task("a")],
    ...extra,
  });
const priced = (input: PlanInput, ...days: [task: string, offset: number][]) =>
  evaluate(
    evaluateInput.parse({
      input: { ...input, cost: { ...input.cost } },
      occurrences: days.map(([id, offset]) => ({ task: id, day: day(offset) })),
    }),
  );

describe("what a plan costs, worked by hand in centi-minutes", () => {
  it("is a set-up for each round, and more on a day nobody likes", () => {
    // Due on day 29 and again on 58, which the horizon still holds.
    expect(priced(small(), ["a", 29], ["a", 59]).cost).toEqual({
      ...{ total: 3000, setup: 3000, callOut: 0, powerDown: 0, early: 0, late: 0, stability: 0 },
    });
    const picky = small({ crews: [{ ...owner, preferred: [6, 7] }, technician] });
    // Day 29 is a Sunday, day 59 a Tuesday: 14 March 2026 is a Saturday.
    expect([29, 59].map((offset) => isoWeekday(day(offset)))).toEqual([7, 2]);
    expect(priced(picky, ["a", 29], ["a", 59]).cost.setup).toBe(1500 + 1500 + 1000);
  });

  it("wastes what is left of the interval when early: 10 minutes and 5.00 of material", () => {
    const tasks = [task("a", { consumable: 500 })];
    // Six of thirty days, from the day before today: (1000 + 500) · 6 / 30.
    expect(priced(small({ tasks }), ["a", 23], ["a", 53]).cost.early).toBe(300);
    // Half up, once: 1500 · 7 / 30 = 350 and 1500 · 1 / 30 = 50.
    expect(priced(small({ tasks }), ["a", 22], ["a", 51]).cost.early).toBe(350 + 50);
  });

  it("counts half a day’s lateness up to the close, whole days and their square after it", () => {
    // Due day 29, closes 39. Five days: 2 · 5/2 = 5 minutes.
    expect(priced(small(), ["a", 34]).cost.late).toBe(500);
    // Thirteen days: 2 · (10/2 + 3) + 9/7 = 17.2857… minutes.
    const late = priced(small(), ["a", 42]);
    expect(late.cost.late).toBe(1729);
    expect(late.overdue).toEqual([{ task: "a", day: day(42), days: 3 }]);
    // Three times as grave at criticality 3, rounded once: 51.857….
    const grave = small({ tasks: [task("a", { criticality: 3 })] });
    expect(priced(grave, ["a", 42]).cost.late).toBe(5186);
  });

  it("does not count what was late before today", () => {
    const tasks = [task("a", { first: { opens: day(-60), due: day(-50), closes: day(-40) } })];
    // Due and close are taken as yesterday: one day late, 2 + 1/7 minutes.
    const late = priced(small({ tasks }), ["a", 0], ["a", 30], ["a", 60]);
    expect(late.cost.late).toBe(214);
    expect(late.overdue).toEqual([{ task: "a", day: today, days: 40 }]);
  });

  it("powers a unit down once for all tasks of a round", () => {
    const off = { powerOff: true };
    const tasks = [task("a", off), task("b", off), task("c", { ...off, unit: "v" })];
    expect(priced(small({ tasks }), ["a", 29], ["b", 29], ["c", 29]).cost).toMatchObject({
      ...{ setup: 1500, powerDown: 1000 },
    });
    expect(priced(small({ tasks }), ["a", 29], ["b", 30], ["c", 29]).cost.powerDown).toBe(1500);
  });

  it("calls a technician out once a day, and visits each home", () => {
    const at = (unit: string) => ({ unit, crew: "tech" });
    const tasks = [task("a", at("u")), task("b", at("v")), task("c", at("w"))];
    const both = small({ tasks });
    expect(priced(both, ["a", 30], ["b", 30], ["c", 30]).cost.callOut).toBe(15000 + 2 * 2000);
    expect(priced(both, ["a", 30], ["b", 30], ["c", 31]).cost.callOut).toBe(2 * 15000 + 2 * 2000);
    // An announced visit is called out already, and a second home on that day pays its visit only.
    const announced = small({
      tasks,
      lockedRounds: [{ crew: "tech", home: "h", day: day(30) }],
    });
    expect(priced(announced, ["a", 30], ["b", 30], ["c", 30]).cost.callOut).toBe(2000);
  });

  it("comes back for what dries, where a round is already, else on a liked day", () => {
    const returns = { minHours: 48, maxHours: 96, minutes: 15 };
    const crews = [{ ...owner, preferred: [6] }, technician];
    const tasks = [task("core", { returns }), task("b")];
    // Done on Monday 30; back between Wednesday and Friday: b’s round on Thursday is there.
    const input = small({ crews, tasks });
    const monday = daysFrom(today, plainDate("2026-04-13"));
    expect(isoWeekday(day(monday))).toBe(1);
    expect(priced(input, ["core", monday], ["b", monday + 3]).cost.setup).toBe(2 * 2500);
    // Alone it makes a round of its own, on the first day in reach.
    expect(priced(input, ["core", monday]).cost.setup).toBe(2 * 2500);
    const [round] = plan(small({ crews, tasks: [tasks[0]!] })).rounds.filter(
      (each) => each.returns.length > 0,
    );
    expect(round).toMatchObject({ returns: ["core"], poweredDown: [] });
  });

  it("holds on to what was published", () => {
    const previous = [{ task: "a", n: 1, day: day(29) }];
    expect(priced(small({ previous }), ["a", 29], ["a", 59]).cost.stability).toBe(0);
    // Seven days off: 3 · (7 + 14) / 28 = 2.25; and a round that was not there, 15.
    expect(priced(small({ previous }), ["a", 22], ["a", 52]).cost.stability).toBe(225 + 1500);
    // What lies behind the last published day is free.
    expect(priced(small({ previous }), ["a", 36]).cost.stability).toBe(0);
  });

  it("names what cannot be so", () => {
    const tasks = [task("a", { allowed: [{ from: day(0), to: day(40) }] })];
    const pins = [
      { task: "a", n: 1, day: day(5) },
      { task: "a", n: 2, day: day(-4) },
    ];
    const input = small({ tasks, pins, crews: [{ ...owner, capMinutes: 5 }, technician] });
    expect(
      priced(input, ["a", 6], ["a", 6], ["a", 44]).conflicts.map(
        ({ kind, day: on }) => `${kind} ${on ? daysFrom(today, on) : ""}`,
      ),
    ).toEqual([
      "pin-past -4",
      "pin-missed 5",
      "twice 6",
      "before-opens 6",
      "over-cap 6",
      "not-allowed 44",
      "over-cap 44",
    ]);
    expect(priced(small(), ["a", 29]).conflicts).toEqual([
      { kind: "missing", task: "a", day: day(59) },
    ]);
    const weekdays = small({ crews: [{ ...owner, days: [day(29), day(59)] }, technician] });
    expect(priced(weekdays, ["a", 28], ["a", 58]).conflicts.map(({ kind }) => kind)).toEqual([
      "off-day",
      "off-day",
    ]);
  });
});

describe("a plan", () => {
  it("brings together what can go together", () => {
    const tasks = [
      task("a", { powerOff: true }),
      task("b", { powerOff: true, windows: every(22, 33, 44) }),
      task("c", { windows: every(18, 27, 36) }),
    ];
    const { rounds, cost, conflicts } = plan(small({ tasks }));
    expect(conflicts).toEqual([]);
    expect(rounds[0]).toMatchObject({ tasks: ["a", "b", "c"], minutes: 30, poweredDown: ["u"] });
    // What was done late in its window needs no second time within the horizon.
    expect(cost.powerDown).toBe(500);
  });

  it("keeps every pin, also before its window, and says so", () => {
    const pins = [{ task: "a", n: 1, day: day(9) }];
    const { occurrences, conflicts } = plan(small({ pins }));
    expect(occurrences[0]).toMatchObject({ day: day(9), pinned: true });
    expect(conflicts).toEqual([{ kind: "pin-before-opens", task: "a", day: day(9) }]);
  });

  it("keeps announced rounds though they are empty", () => {
    const lockedRounds = [{ crew: "owner", home: "other", day: day(12) }];
    expect(plan(small({ lockedRounds })).rounds[0]).toMatchObject({
      ...{ home: "other", day: day(12), tasks: [], minutes: 0 },
    });
  });

  it("stays under the cap of a round where it can, and says where it cannot", () => {
    const crews = [{ ...owner, capMinutes: 25 }, technician];
    const tasks = ["a", "b", "c"].map((id) => task(id));
    const split = plan(small({ crews, tasks }));
    expect(Math.max(...split.rounds.map(({ minutes }) => minutes))).toBe(20);
    const long = plan(small({ crews, tasks: [task("a", { handsOn: 30 })] }));
    expect(long.rounds[0]).toMatchObject({ minutes: 30, overCap: 5 });
    expect(long.conflicts[0]).toMatchObject({ kind: "over-cap", crew: "owner", home: "h" });
  });

  it("says which task no day is left for", () => {
    const tasks = [task("a", { allowed: [{ from: day(0), to: day(3) }] })];
    expect(plan(small({ tasks })).conflicts).toEqual([{ kind: "no-day", task: "a", day: day(29) }]);
  });

  it("refuses what is not there, and tables that are too short", () => {
    const problems = (extra: Raw) => {
      const read = planInput.safeParse({ ...raw, ...extra });
      return read.success ? [] : read.error.issues.map(({ path }) => path.join("."));
    };
    const raw = {
      today,
      horizonEnd,
      crews: [owner],
      units: [{ id: "u", home: "h" }],
      tasks: [task("a")],
    };
    expect(problems({})).toEqual([]);
    expect(problems({ tasks: [task("a", { unit: "x" })] })).toEqual(["tasks.0.unit"]);
    expect(problems({ pins: [{ task: "z", n: 1, day: today }] })).toEqual(["pins.0.task"]);
    expect(problems({ horizonEnd: day(-1) })).toEqual(["horizonEnd"]);
    const odd = every(20, 30, 40) as Record<string, unknown>;
    const bad = { ...odd, closes: (odd["closes"] as string[]).with(3, "2026-02-30") };
    expect(problems({ tasks: [task("a", { windows: bad })] })).toEqual([
      "tasks.0.windows.closes.3",
    ]);
    const short = { from: day(-1), opens: [], due: [], closes: [] };
    expect(problems({ tasks: [task("a", { windows: short })] })).toContain("tasks.0.windows.due");
  });

  it("may be stopped, and says that it was", () => {
    let asked = 0;
    const stopped = plan(madeUpPlan("small", 3), { shouldStop: () => ++asked > 20 });
    expect(stopped).toMatchObject({ iterations: 21, truncated: true });
    const seen: number[] = [];
    plan(
      { ...madeUpPlan("small", 3), iterations: 120 },
      { onProgress: ({ done }) => seen.push(done) },
    );
    expect(seen.length).toBeGreaterThan(0);
  });
});

describe("over made-up homes", () => {
  const seeds = fc.integer({ min: 1, max: 400 });
  const found = (seed: number, extra: Partial<PlanInput> = {}) => {
    const input = { ...madeUpPlan("small", seed), iterations: 40, ...extra };
    return { input, found: plan(input) };
  };

  it("a plan costs what the evaluation says, nothing in it is too soon, and none of it is missing", () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const { input, found: made } = found(seed);
        const again = evaluate({
          input,
          occurrences: made.occurrences.map(({ task: id, day: on }) => ({ task: id, day: on })),
        });
        expect(again.cost).toEqual(made.cost);
        expect(made.conflicts.filter(({ kind }) => kind !== "over-cap")).toEqual([]);
        for (const { day: on, opens } of made.occurrences)
          expect(opens === null || on >= opens).toBe(true);
        expect(made.cost.total).toBeGreaterThanOrEqual(made.lowerBound);
        const sum = made.occurrences.reduce((all, each) => all + each.early + each.late, 0);
        expect(sum).toBe(made.cost.early + made.cost.late);
      }),
      { numRuns: 5 },
    );
  });

  it("a pin always holds, whatever day it is on", () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: 14 }), fc.nat(200), (seed, index, offset) => {
        const base = madeUpPlan("small", seed);
        const pinned = base.tasks[index]!.id;
        const pins = [{ task: pinned, n: 1, day: addDays(base.today, offset) }];
        const { found: made } = found(seed, { pins });
        expect(made.occurrences).toContainEqual(
          expect.objectContaining({ task: pinned, day: pins[0]!.day, pinned: true }),
        );
        const ends = made.conflicts.filter(({ kind }) => kind !== "over-cap");
        for (const { kind } of ends) expect(kind).toBe("pin-before-opens");
      }),
      { numRuns: 5 },
    );
  });

  it("the same input gives the same bytes, and more iterations never cost more", () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const first = found(seed).found;
        expect(JSON.stringify(found(seed).found)).toBe(JSON.stringify(first));
        const longer = plan({ ...madeUpPlan("small", seed), iterations: 280 });
        expect(longer.cost.total).toBeLessThanOrEqual(first.cost.total);
      }),
      { numRuns: 2 },
    );
  });

  it("beats each task on its first weekend by half, and more yet each on its own day", () => {
    const input = { ...madeUpPlan("small", 1), iterations: 300 };
    const cost = (isFirstLiked: boolean) =>
      evaluate({ input, occurrences: naivePlan(input, isFirstLiked) }).cost.total;
    const made = plan(input);
    for (const { crew, day: on, tasks } of made.rounds)
      expect(crew !== "owner" || tasks.length === 0 || isWeekend(on)).toBe(true);
    expect(made.cost.total * 1.4).toBeLessThan(cost(true));
    expect(cost(true)).toBeLessThan(cost(false));
  });

  it("one job done late moves few of the others", () => {
    const input = { ...madeUpPlan("small", 5), iterations: 200 };
    const published = plan(input);
    const previous = published.occurrences.map(({ task: id, day: on }) => ({
      task: id,
      n: 0,
      day: on,
    }));
    const [first] = published.occurrences;
    const on = addDays(first!.day, 9);
    const tasks = input.tasks.map((each) =>
      each.id === first!.task ? { ...each, first: undefined, lastDone: on } : each,
    );
    const moved = (extra: Partial<PlanInput>) => {
      const next = plan({ ...input, today: on, tasks, ...extra });
      const was = new Set(previous.map(({ task: id, day: then }) => `${id} ${then}`));
      const shown = next.occurrences.filter(({ day: then }) => then <= input.horizonEnd);
      return (
        shown.filter(({ task: id, day: then }) => !was.has(`${id} ${then}`)).length / shown.length
      );
    };
    const kept = moved({ previous });
    expect(kept).toBeLessThan(0.35);
    expect(kept).toBeLessThan(moved({ previous: [] }));
  });
});

describe("what keeps people from harm", () => {
  const weekend = { ...owner, preferred: [6, 7] };
  const alarm = (extra: Raw = {}) =>
    task("alarm", {
      ...{ criticality: 2, windows: every(20, 22, 24) },
      first: { opens: day(2), due: day(3), closes: day(5) },
      ...extra,
    });

  it("is done inside its window on a day nobody likes, rather than late on one they do", () => {
    // From Monday to Thursday: no Saturday lies in it.
    const input = small({ crews: [weekend], tasks: [alarm()] });
    const made = plan(input);
    expect(made.overdue).toEqual([]);
    expect(made.occurrences[0]!.day <= day(5)).toBe(true);
  });

  it("is never late while there is a day in its window, which is checked by whoever only prices", () => {
    const input = small({ crews: [weekend], tasks: [alarm()] });
    const late = priced(input, ["alarm", 7], ["alarm", 29], ["alarm", 51]);
    expect(late.conflicts).toContainEqual({ kind: "late-safety", task: "alarm", day: day(7) });
    const away = {
      ...weekend,
      days: { weekdays: [1, 2, 3, 4, 5, 6, 7], except: [{ from: day(0), to: day(6) }] },
    };
    const none = priced(small({ crews: [away], tasks: [alarm()] }), ["alarm", 7]);
    expect(none.conflicts.map(({ kind }) => kind)).not.toContain("late-safety");
    expect(none.overdue).toContainEqual({ task: "alarm", day: day(7), days: 2 });
  });

  it("is on the first day there is where its window has none, and is never left out", () => {
    const away = {
      ...weekend,
      days: { weekdays: [1, 2, 3, 4, 5, 6, 7], except: [{ from: day(0), to: day(8) }] },
    };
    const made = plan(small({ crews: [away], tasks: [alarm()] }));
    expect(made.occurrences[0]!.day).toBe(day(9));
    expect(made.conflicts).toEqual([]);
  });

  it("holds in made-up plans: no conflict of lateness, nothing missing that has a day", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1000 }), (seed) => {
        const input = { ...madeUpPlan("small", seed), iterations: 60 };
        const safe = {
          ...input,
          tasks: input.tasks.map((each, i) => ({ ...each, criticality: i % 2 === 0 ? 2 : 1 })),
        };
        const kinds = plan(safe).conflicts.map(({ kind }) => kind);
        return !kinds.includes("late-safety") && !kinds.includes("missing");
      }),
      { numRuns: 12 },
    );
  });
});
