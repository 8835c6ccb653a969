import fc from "fast-check";
import { compute } from "../compute/compute";
import { addDays, plainDate } from "../quantities/plain-date";
import { carried, FIRST_BELIEF } from "../filters/belief";
import { beliefAfter, laterFilters, wear } from "../filters/wear";
import { wearInput } from "../filters/wear-schema";
import { toDay } from "../quantities/plain-date";
import { chain, chainInput } from "./chain";
import { triggerSchema, dueInput } from "./trigger";
import { due } from "./due";

const today = plainDate("2026-03-14");
const climate = {
  monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
  heatingDesignC: -24,
  coolingDesignMeanC: 26,
};
const always = { heats: false, cools: false, fan: { mode: "continuous" } };
const ask = (input: object) => due(dueInput.parse({ today, ...input }));
const dates = (input: object) => {
  const { opens, due: on, closes } = ask(input);
  return [opens, on, closes];
};
const refused = (input: object) => {
  const answer = compute("due", JSON.stringify({ today, ...input }));
  return answer.ok ? null : answer.error;
};

describe("a job every so often", () => {
  it.each([
    // 31 Jan + 3 months clamps to 30 Apr, 89 days: opens after 71 (⌊71.2⌋), closes after 98 (⌈97.9⌉).
    ["month", 3, "2026-01-31", ["2026-04-12", "2026-04-30", "2026-05-09"]],
    // 10 days: opens after 8, closes after 11.
    ["day", 10, "2026-03-10", ["2026-03-18", "2026-03-20", "2026-03-21"]],
    ["week", 2, "2026-03-10", ["2026-03-21", "2026-03-24", "2026-03-26"]],
    // A leap day comes back as 28 Feb; 365 days: 292 and 402 (⌈401.5⌉).
    ["year", 1, "2024-02-29", ["2024-12-17", "2025-02-28", "2025-04-06"]],
  ])("every %s × %i", (unit, n, lastDone, expected) => {
    expect(dates({ cadence: { kind: "every", n, unit }, lastDone })).toEqual(expected);
  });

  it("counts from when it is owed where it was never done, and says nothing without either", () => {
    const trigger = { kind: "every", n: 1, unit: "month" };
    expect(ask({ cadence: trigger, since: "2026-03-01" }).due).toBe("2026-04-01");
    expect(ask({ cadence: trigger, since: "2020-01-01", lastDone: "2026-03-01" }).due).toBe(
      "2026-04-01",
    );
    expect(ask({ cadence: trigger })).toEqual({
      opens: null,
      due: null,
      closes: null,
      state: "none",
      reason: { code: "none", facts: {} },
    });
  });

  it("waits for its stretch of the year", () => {
    // The normals pass 13 on 15 May by 5/31 a day; the week ending on 25 May has its middle 7 days
    // on, at 14.13: heating ends. From 15 on 15 Sep by 7/30 a day the week ending on 23 Sep is the
    // first below 14.
    const monthly = { kind: "every", n: 1, unit: "month", within: "heating" };
    expect(dates({ cadence: monthly, climate, lastDone: "2026-04-24" })).toEqual([
      "2026-05-18",
      "2026-05-24",
      "2026-05-27",
    ]);
    // One day later it is due on the 25th, outside; of 31 days a tenth, rounded up, stays open.
    expect(dates({ cadence: monthly, climate, lastDone: "2026-05-01" })).toEqual([
      "2026-09-23",
      "2026-09-23",
      "2026-09-27",
    ]);
    // The very day after heating has ended is not taken for the day before; of 30 days a tenth.
    expect(dates({ cadence: monthly, climate, lastDone: "2026-04-25" })).toEqual([
      "2026-09-23",
      "2026-09-23",
      "2026-09-26",
    ]);
    const equipment = { ...always, inUse: [{ from: "05-20", to: "09-20" }] };
    const inUse = { kind: "every", n: 2, unit: "week", within: "inUse" };
    expect(dates({ cadence: inUse, equipment, lastDone: "2026-01-10" })).toEqual([
      "2026-05-20",
      "2026-05-20",
      "2026-05-23",
    ]);
    const tropics = { ...climate, monthlyMeanC: Array(12).fill(27) as number[] };
    const snowy = { kind: "every", n: 1, unit: "week", within: "snow" };
    expect(ask({ cadence: snowy, climate: tropics, lastDone: "2026-03-01" }).state).toBe("none");
  });
});

describe("jobs by other clocks", () => {
  it("counts run hours from the day it was done, that day included", () => {
    // 24 h a day: 192 h after 8 days, 240 after 10, 264 after 11.
    const trigger = { kind: "run-hours", n: 240 };
    expect(dates({ cadence: trigger, climate, equipment: always, lastDone: "2026-03-10" })).toEqual(
      ["2026-03-18", "2026-03-20", "2026-03-21"],
    );
    const never = { ...always, inUse: [] };
    expect(
      ask({ cadence: trigger, climate, equipment: never, lastDone: "2026-03-10" }),
    ).toMatchObject({
      due: null,
      state: "not-yet",
      reason: { code: "run-hours" },
    });
  });

  it("finds the first turn of the season that lies more than two months after it was done", () => {
    const trigger = { kind: "season", anchor: "heatingStart", offsetDays: -30 };
    // 23 Sep less 30 days is 24 Aug, three weeks either side.
    const autumn = ["2026-08-03", "2026-08-24", "2026-09-14"];
    // 24 Jun is 61 days before its day, 25 Jun 60: then it was done for the season to come.
    expect(dates({ cadence: trigger, climate, lastDone: "2026-06-24" })).toEqual(autumn);
    expect(ask({ cadence: trigger, climate, lastDone: "2026-06-25" }).due).toBe("2027-08-24");
    // Never done: the first that has not closed.
    expect(dates({ cadence: trigger, climate })).toEqual(autumn);
    expect(ask({ today: "2026-09-14", cadence: trigger, climate }).due).toBe("2026-08-24");
    expect(ask({ today: "2026-09-15", cadence: trigger, climate }).due).toBe("2027-08-24");
  });

  it("knows an age from the plate", () => {
    const trigger = { kind: "age", minYears: 5, maxYears: 6 };
    // The middle of 60 and 72 months is 66.
    expect(dates({ cadence: trigger, manufactured: "2020-02-29" })).toEqual([
      "2025-02-28",
      "2025-08-29",
      "2026-02-28",
    ]);
    expect(ask({ cadence: trigger, lastDone: "2026-01-01" }).state).toBe("none");
  });

  it("follows what happened, until it is done after that", () => {
    const trigger = { kind: "after", event: "renovation", days: 10 };
    const events = [
      { kind: "renovation", date: "2026-01-10", to: "2026-02-20" },
      { kind: "renovation", date: "2025-01-10" },
      { kind: "breakdown", date: "2026-03-01" },
    ];
    expect(dates({ cadence: trigger, events })).toEqual(["2026-02-20", "2026-03-02", "2026-03-12"]);
    expect(dates({ cadence: { ...trigger, days: 3 }, events })[2]).toBe("2026-03-02");
    expect(ask({ cadence: trigger, events, lastDone: "2026-02-19" }).due).toBe("2026-03-02");
    expect(ask({ cadence: trigger, events, lastDone: "2026-02-20" }).state).toBe("none");
    expect(ask({ cadence: trigger }).state).toBe("none");
  });

  it("answers a reading that turned bad", () => {
    const trigger = { kind: "reading", reading: "coil", verdict: "act" };
    const readings = [
      { kind: "coil", date: "2026-03-10", verdict: "act" },
      { kind: "coil", date: "2025-03-10", verdict: "sound" },
      { kind: "drain", date: "2026-03-12", verdict: "stop" },
    ];
    expect(dates({ cadence: trigger, readings })).toEqual([
      "2026-03-10",
      "2026-03-10",
      "2026-03-24",
    ]);
    expect(ask({ cadence: trigger, readings, lastDone: "2026-03-09" }).state).toBe("due");
    expect(ask({ cadence: trigger, readings, lastDone: "2026-03-10" }).state).toBe("none");
    expect(ask({ cadence: trigger, readings }).reason.facts).toMatchObject({ date: "2026-03-10" });
    const better = [...readings, { kind: "coil", date: "2026-03-13", verdict: "watch" }];
    expect(ask({ cadence: trigger, readings: better }).state).toBe("none");
    expect(ask({ cadence: { ...trigger, verdict: "watch" }, readings: better }).due).toBe(
      "2026-03-13",
    );
  });

  it("takes the soonest of several, and says which it was", () => {
    const trigger = {
      kind: "earliest",
      of: [
        { kind: "every", n: 1, unit: "year" },
        { kind: "after", event: "duct-cleaning", days: 7 },
      ],
    };
    const events = [{ kind: "duct-cleaning", date: "2026-03-10" }];
    expect(ask({ cadence: trigger, lastDone: "2026-01-01" })).toMatchObject({
      due: "2027-01-01",
      reason: { code: "earliest", facts: { governs: 0, code: "every" } },
    });
    expect(ask({ cadence: trigger, lastDone: "2026-01-01", events })).toMatchObject({
      due: "2026-03-17",
      reason: { code: "earliest", facts: { governs: 1, code: "after", event: "duct-cleaning" } },
    });
  });
});

describe("the state of a job", () => {
  it.each([
    ["2026-03-17", "not-yet"],
    ["2026-03-18", "open"],
    ["2026-03-19", "open"],
    ["2026-03-20", "due"],
    ["2026-03-21", "due"],
    ["2026-03-22", "past"],
  ])("on %s is %s", (day, state) => {
    const trigger = { kind: "every", n: 10, unit: "day" };
    expect(ask({ today: day, cadence: trigger, lastDone: "2026-03-10" }).state).toBe(state);
  });
});

describe("what due refuses", () => {
  it.each([
    [{ kind: "season", anchor: "leafFall" }, ["climate"]],
    [{ kind: "run-hours", n: 10 }, ["climate"]],
    [{ kind: "wear" }, ["wear"]],
    [{ kind: "every", n: 1, unit: "week", within: "snow" }, ["climate"]],
    [{ kind: "every", n: 1, unit: "week", within: "inUse" }, ["equipment"]],
    [{ kind: "every", n: 0, unit: "week" }, ["cadence", "n"]],
    [{ kind: "every", n: 1.5, unit: "week" }, ["cadence", "n"]],
    [{ kind: "every", n: 101, unit: "year" }, ["cadence", "n"]],
    [{ kind: "season", anchor: "leafFall", offsetDays: 400 }, ["cadence", "offsetDays"]],
    [{ kind: "every", n: 1, unit: "fortnight" }, ["cadence", "unit"]],
    [{ kind: "age", minYears: 7, maxYears: 5 }, ["cadence", "maxYears"]],
    [{ kind: "earliest", of: [] }, ["cadence", "of"]],
    [{ kind: "earliest", of: [{ kind: "wear" }] }, ["wear"]],
    [{ kind: "reading", reading: "mood", verdict: "act" }, ["cadence", "reading"]],
  ])("%j", (trigger, path) => {
    expect(refused({ cadence: trigger })?.path).toEqual(path);
  });

  it("an event that ends before it starts", () => {
    const events = [{ kind: "renovation", date: "2026-03-01", to: "2026-02-01" }];
    expect(refused({ cadence: { kind: "after", event: "x", days: 1 }, events })?.path).toEqual([
      "events",
      0,
      "to",
    ]);
  });
});

const cellar = wearInput.parse({
  today,
  fittedOn: "2026-01-18",
  climate,
  equipment: { heats: true, cools: true, fan: { mode: "auto" } },
  slot: { media: "pleated-25", airSide: "recirculated", rating: { scheme: "MERV", class: "8" } },
  drivers: [
    { kind: "shedding-pets", count: 1 },
    { kind: "renovation", from: "2026-05-01", to: "2026-06-10" },
  ],
  looks: [{ date: "2026-02-14", grade: "light" }],
});

describe("chains", () => {
  const run = (input: object) => chain(chainInput.parse({ today, ...input }));

  it("counts each round from the day of the one before, pinned days included", () => {
    const task = { cadence: { kind: "every", n: 30, unit: "day" }, lastDone: "2026-03-01" };
    const days = run({ until: "2026-07-01", task }).occurrences.map((each) => each.day);
    expect(days).toEqual(["2026-03-31", "2026-04-30", "2026-05-30", "2026-06-29"]);
    const pinned = run({ until: "2026-07-01", task, fixed: [{ n: 2, day: "2026-04-26" }] });
    expect(pinned.occurrences[1]).toEqual({
      n: 2,
      opens: "2026-04-24",
      due: "2026-04-30",
      closes: "2026-05-03",
      day: "2026-04-26",
    });
    expect(pinned.occurrences[2]!.due).toBe("2026-05-26");
  });

  it("names fixed days that cannot be kept, and lays those rounds where they would lie without", () => {
    const task = { cadence: { kind: "every", n: 30, unit: "day" }, lastDone: "2026-03-01" };
    const fixed = [
      { n: 1, day: "2026-03-10" },
      { n: 2, day: "2026-04-20" },
      { n: 3, day: "2026-04-20" },
      { n: 9, day: "2026-03-01" },
    ];
    const { occurrences, conflicts } = run({ until: "2026-07-01", task, fixed });
    expect(occurrences.map(({ day }) => day)).toEqual([
      // The tenth is past: 31 March, its due day. The twentieth is kept, and counted from.
      ...["2026-03-31", "2026-04-20", "2026-05-20", "2026-06-19"],
    ]);
    expect(conflicts).toEqual([
      { n: 1, day: "2026-03-10", why: "past" },
      { n: 3, day: "2026-04-20", why: "not-after-the-one-before" },
    ]);
    // Two reasons at once: it is past.
    const both = run({ until: "2026-05-01", task, fixed: [{ n: 2, day: "2026-03-13" }] });
    expect(both.conflicts).toEqual([{ n: 2, day: "2026-03-13", why: "past" }]);
  });

  it("lets what is past be done today at the soonest", () => {
    const task = { cadence: { kind: "every", n: 1, unit: "month" }, lastDone: "2025-11-10" };
    const { occurrences } = run({ until: "2026-05-01", task });
    expect(occurrences.map(({ due: on, day }) => [on, day])).toEqual([
      ["2025-12-10", "2026-03-14"],
      ["2026-04-14", "2026-04-14"],
    ]);
  });

  it("ends where nothing calls for the job again", () => {
    const task = {
      cadence: { kind: "after", event: "renovation", days: 0 },
      events: [{ kind: "renovation", date: "2026-03-20" }],
    };
    expect(run({ until: "2028-03-14", task }).occurrences).toHaveLength(1);
    expect(
      run({ until: "2026-03-14", task: { cadence: { kind: "age", minYears: 1, maxYears: 2 } } })
        .occurrences,
    ).toEqual([]);
    expect(compute("chain", JSON.stringify({ today, until: "2026-03-13", task }))).toMatchObject({
      ok: false,
      error: { path: ["until"] },
    });
    expect(compute("chain", JSON.stringify({ today, until: "2066-03-14", task }))).toMatchObject({
      ok: false,
      error: { path: ["until"] },
    });
  });

  const triggers = [
    { kind: "every", n: 6, unit: "week", within: "growth" },
    { kind: "season", anchor: "coolingStart", offsetDays: -14 },
    { kind: "run-hours", n: 700 },
    { kind: "wear" },
    { kind: "earliest", of: [{ kind: "wear" }, { kind: "every", n: 2, unit: "month" }] },
  ].map((trigger) => triggerSchema.parse(trigger));

  it.each(triggers)("says in its windows what it says in its rounds: %j", (trigger) => {
    const { equipment, climate: parsed } = cellar;
    const task = {
      cadence: trigger,
      climate: parsed,
      equipment,
      lastDone: "2026-02-01",
      wear: cellar,
    };
    const { occurrences, windows } = run({ until: "2028-03-14", task });
    expect(occurrences.length).toBeGreaterThan(1);
    expect(windows.due).toHaveLength(732);
    occurrences.slice(1).forEach((next, i) => {
      const done = toDay(occurrences[i]!.day) - toDay(windows.from);
      expect([windows.opens[done], windows.due[done], windows.closes[done]]).toEqual([
        next.opens,
        next.due,
        next.closes,
      ]);
    });
  });

  it("finds for a later filter what wear itself says of it", () => {
    const from = toDay(today);
    const next = laterFilters(cellar, from, from + 800);
    const belief = carried(beliefAfter(cellar));
    expect(belief.mu).not.toBe(FIRST_BELIEF.mu);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 800 }), (later) => {
        const fittedOn = addDays(today, later);
        const { early, likely, late } = wear({ ...cellar, fittedOn, belief, looks: [] });
        const day = (date: typeof early) => (date === null ? null : toDay(date));
        expect(next(toDay(fittedOn))).toEqual({
          early: day(early),
          likely: day(likely),
          late: day(late),
        });
      }),
      { numRuns: 60 },
    );
  });

  it("finds the same for what is washed and used for a part of the year", () => {
    const mesh = wearInput.parse({
      ...cellar,
      slot: { media: "portable-mesh", airSide: "recirculated" },
      equipment: { ...cellar.equipment, inUse: [{ from: "05-20", to: "09-20" }] },
      looks: [],
    });
    const from = toDay(today);
    const next = laterFilters(mesh, from, from + 400);
    for (const later of [0, 66, 67, 150, 191, 400]) {
      const fittedOn = addDays(today, later);
      const { likely } = wear({ ...mesh, fittedOn, belief: carried(mesh.belief) });
      expect(next(toDay(fittedOn)).likely).toBe(likely === null ? null : toDay(likely));
    }
  });
});
