import { smallPlan } from "../../../scripts/example-names";
import { plainDate } from "../quantities/plain-date";
import { madeUpPlan } from "./plan-instances";
import { planInput } from "./plan-schema";
import { NO_DAY, problemOf } from "./problem";
import { earlyCost, lateCost, movedCost, Routes, triedDays } from "./route";
import { Rounds, turnOf } from "./rounds";

const [small] = [problemOf(planInput.parse(smallPlan))];
const filter = small.tasks[0]!;

describe("a plan in whole numbers", () => {
  it("counts days from today, and reaches past the horizon", () => {
    // 90 days to the horizon, 84 past it, and today.
    expect([small.horizon, small.days]).toEqual([90, 175]);
    expect(filter).toMatchObject({ lastDone: -1, handsOn: 1000, weight: 100, wasted: 1000 });
    expect(filter.first).toEqual({ opens: 19, due: 29, closes: 39 });
    expect([filter.opens[4], filter.due[4], filter.closes[4]]).toEqual([24, 34, 44]);
  });

  it("tries days that are liked, and the others too where those are crowded", () => {
    const tried = (extra: object) => {
      const crews = [{ ...smallPlan.crews[0]!, preferred: [6], ...extra }];
      return problemOf(planInput.parse({ ...smallPlan, crews })).crews[0]!.tried;
    };
    // 14 March 2026 is a Saturday.
    expect(tried({}).slice(0, 3)).toEqual([0, 7, 14]);
    expect(tried({ capMinutes: 1 }).slice(0, 3)).toEqual([0, 1, 2]);
    expect(tried({ days: [plainDate("2026-03-18")] })).toEqual([4]);
  });

  it("takes pins and locked rounds for days of their crew", () => {
    const extra = {
      crews: [{ ...smallPlan.crews[0]!, days: { weekdays: [1] } }],
      pins: [{ task: "filter", n: 1, day: "2026-03-17" }],
      lockedRounds: [{ crew: "owner", home: "home", day: "2026-03-18" }],
    };
    const { crews, tasks, locked } = problemOf(planInput.parse({ ...smallPlan, ...extra }));
    expect([2, 3, 4, 5].map((day) => crews[0]!.isCandidate[day])).toEqual([1, 1, 1, 0]);
    expect(tasks[0]!.pins).toEqual([3]);
    expect([...locked]).toEqual([4]);
  });
});

describe("what a step of a chain costs, centi-minutes", () => {
  it("is early by the share that is thrown away, half up", () => {
    expect(earlyCost(filter, -1, 29, 29)).toBe(0);
    // Ten of thirty days: 1000 · 10 / 30 = 333.3…; eleven: 366.6….
    expect(earlyCost(filter, -1, 19, 29)).toBe(333);
    expect(earlyCost(filter, -1, 18, 29)).toBe(367);
  });
  it("is late by half days, then by days and their square", () => {
    expect(lateCost(small, filter, 29, 29, 39)).toBe(0);
    expect(lateCost(small, filter, 30, 29, 39)).toBe(100);
    expect(lateCost(small, filter, 39, 29, 39)).toBe(1000);
    expect(lateCost(small, filter, 46, 29, 39)).toBe(1000 + 1400 + 700);
    // Without a close it only ever counts half.
    expect(lateCost(small, filter, 129, 29, NO_DAY)).toBe(10_000);
  });
  it("is moved by how far the nearest published day is, 28 days at most", () => {
    const published = { ...filter, published: [10, 50] };
    const problem = { ...small, lastPublished: 50 };
    const moved = (day: number) => movedCost(problem, published, day);
    // 3 · (1 + 14) / 28 = 1.607…, 3 · (20 + 14) / 28 = 3.642….
    expect([moved(10), moved(11), moved(30), moved(51)]).toEqual([0, 161, 364, 0]);
  });
});

describe("the way of one task", () => {
  it("is the cheapest, as the days cost", () => {
    const routes = new Routes(small, filter, triedDays(small, filter));
    routes.dayCost.fill(0);
    const days = () => routes.cheapest().places.map((place) => routes.days[place]);
    expect(days()).toEqual([29, 59, 89]);
    expect(routes.cheapest().cost).toBe(0);
    // What is dear is gone round where that costs less: two days early cost 2/30 of ten minutes.
    routes.dayCost.fill(100, 28, 30);
    expect(days()[0]).toBe(27);
    expect(routes.cheapest().cost).toBe(67);
  });
  it("waits for the first day there is, and says when there is none", () => {
    const routes = new Routes(small, filter, Int32Array.from([80]));
    routes.dayCost.fill(0);
    expect(routes.cheapest().places).toEqual([0]);
    const none = new Routes(small, filter, new Int32Array(0));
    expect(none.cheapest().places).toEqual([]);
  });
});

describe("rounds while they are searched", () => {
  it("are as they were once everything is taken out again", () => {
    const problem = problemOf(madeUpPlan("landlord", 2));
    const rounds = new Rounds(problem);
    const days = problem.tasks.map((_, i) => (i * 7) % 300);
    days.forEach((day, task) =>
      rounds.occur(task, turnOf(problem, problem.tasks[task]!.crews[0]!, day), 1),
    );
    const filled = rounds.tasks.reduce((sum, count) => sum + count, 0);
    expect(filled).toBe(problem.tasks.length);
    days.forEach((day, task) =>
      rounds.occur(task, turnOf(problem, problem.tasks[task]!.crews[0]!, day), -1),
    );
    for (const table of [rounds.tasks, rounds.minutes, rounds.crewRounds, rounds.powered])
      expect(table.some((each) => each !== 0)).toBe(false);
  });
  it("cost nothing to open where one is, and a visit alone where the technician comes anyway", () => {
    const problem = problemOf(madeUpPlan("landlord", 2));
    const technician = problem.tasks.findIndex(({ crews }) => !problem.crews[crews[0]!]!.isOwner);
    const { crews, home } = problem.tasks[technician]!;
    const crew = crews[0]!;
    const rounds = new Rounds(problem);
    expect(rounds.opening(crew, home, 9)).toBe(17_000);
    rounds.occur(technician, turnOf(problem, crew, 9), 1);
    expect(rounds.opening(crew, home, 9)).toBe(0);
    expect(rounds.opening(crew, (home + 1) % problem.homes, 9)).toBe(2000);
  });
});
