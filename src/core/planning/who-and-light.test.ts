import fc from "fast-check";
import {
  madeUpInput,
  madeUpTask as task,
  on,
  ownerCrew,
  technicianCrew,
} from "../../../tests/made-up-plan";
import { addDays } from "../quantities/plain-date";
import { evaluate } from "./evaluate";
import { partsOf } from "./parts";
import { plan, PlanModel } from "./plan";
import { madeUpPlan } from "./plan-instances";
import { evaluateInput, planInput, type PlanInput } from "./plan-schema";
import { problemOf } from "./problem";

const ruben = { ...ownerCrew, id: "ruben" };
const both = { crews: [ownerCrew, ruben, technicianCrew] };
type Given = { task: string; day: ReturnType<typeof on>; crew?: string };
const priced = (input: PlanInput, ...occurrences: Given[]) => evaluate({ input, occurrences });

describe("crews that stand in for one another", () => {
  it("cost five minutes each time, and make their own rounds", () => {
    const input = madeUpInput([task("a", { others: ["ruben"] }), task("b")], both);
    const days = (crew?: string): Given[] => [
      { task: "a", day: on(29), ...(crew ? { crew } : {}) },
      { task: "b", day: on(29) },
    ];
    expect(priced(input, ...days()).cost.setup).toBe(1500);
    // Two rounds of fifteen minutes, and five for Ruben in another’s place.
    expect(priced(input, ...days("ruben")).cost.setup).toBe(2 * 1500 + 500);
    const dear = madeUpInput([task("a", { others: ["ruben"] }), task("b")], {
      ...both,
      cost: { otherCrew: 7 },
    });
    expect(priced(dear, ...days("ruben")).cost.setup).toBe(2 * 1500 + 700);
  });

  it("step in while its own is away, and say who it is", () => {
    const away = {
      days: { weekdays: [1, 2, 3, 4, 5, 6, 7], except: [{ from: on(0), to: on(45) }] },
    };
    const crews = [{ ...ownerCrew, ...away }, ruben];
    const made = plan(madeUpInput([task("a", { others: ["ruben"] })], { crews }));
    // Two days late it saves a second round before the horizon.
    expect(made.occurrences).toEqual([
      expect.objectContaining({ task: "a", day: on(31), crew: "ruben" }),
    ]);
    expect(made.rounds.map(({ crew }) => crew)).toEqual(["ruben"]);
    const home = plan(madeUpInput([task("a", { others: ["ruben"] })], both));
    expect(home.occurrences[0]).not.toHaveProperty("crew");
  });

  it("keep what guards people in time, though their own is there later", () => {
    const away = {
      days: { weekdays: [1, 2, 3, 4, 5, 6, 7], except: [{ from: on(0), to: on(45) }] },
    };
    const crews = [{ ...ownerCrew, ...away }, ruben];
    const alarm = (extra = {}) => madeUpInput([task("a", { criticality: 2, ...extra })], { crews });
    const late = { task: "a", day: on(46) };
    const kinds = (input: PlanInput) => priced(input, late).conflicts.map(({ kind }) => kind);
    expect(kinds(alarm())).not.toContain("late-safety");
    expect(kinds(alarm({ others: ["ruben"] }))).toContain("late-safety");
  });

  it("both hold a pin", () => {
    const pins = [{ task: "a", n: 1, day: on(25) }];
    const crews = [ownerCrew, { ...ruben, days: [on(3)] }];
    const input = madeUpInput([task("a", { others: ["ruben"] })], { crews, pins });
    const kinds = (given: Given) => priced(input, given).conflicts.map(({ kind }) => kind);
    for (const crew of ["owner", "ruben"])
      expect(kinds({ task: "a", day: on(25), crew })).not.toContain("pin-missed");
    expect(kinds({ task: "a", day: on(25), crew: "ruben" })).not.toContain("off-day");
    expect(kinds({ task: "a", day: on(26), crew: "ruben" })).toEqual(
      expect.arrayContaining(["pin-missed", "off-day"]),
    );
  });

  it("are only those who may do it", () => {
    const input = madeUpInput([task("a")], both);
    const read = evaluateInput.safeParse({
      input: { ...input },
      occurrences: [{ task: "a", day: on(3), crew: "ruben" }],
    });
    expect(read.error?.issues.map(({ path }) => path.join("."))).toEqual(["occurrences.0.crew"]);
    expect(
      planInput.safeParse({ ...input, tasks: [task("a", { others: ["nobody"] })] }).success,
    ).toBe(false);
  });

  it("are no new round where the other did it in what was published", () => {
    const previous = (crew?: string) => [
      { task: "a", n: 1, day: on(29), ...(crew ? { crew } : {}) },
    ];
    const cost = (crew?: string) =>
      priced(
        madeUpInput([task("a", { others: ["ruben"] })], { ...both, previous: previous(crew) }),
        { task: "a", day: on(29), crew: "ruben" },
      ).cost.stability;
    expect([cost(), cost("ruben")]).toEqual([1500, 0]);
  });

  it("are priced in made-up plans as the evaluation prices them, and never cost more than one alone", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), (seed) => {
        const alone = { ...madeUpPlan("small", seed), iterations: 120 };
        const [first] = alone.crews;
        const input = planInput.parse({
          ...alone,
          crews: [...alone.crews, { ...first!, id: "ruben", preferred: [3] }],
          tasks: alone.tasks.map((each) =>
            each.crew === "owner" ? { ...each, others: ["ruben"] } : each,
          ),
        });
        const made = plan(input);
        expect(evaluate({ input, occurrences: made.occurrences }).cost).toEqual(made.cost);
        expect(made.conflicts.filter(({ kind }) => kind !== "over-cap")).toEqual([]);
        expect(made.cost.total).toBeGreaterThanOrEqual(made.lowerBound);
      }),
      { numRuns: 5 },
    );
  });
});

describe("what is light", () => {
  const light = (id: string, extra = {}) => task(id, { light: true, handsOn: 4, ...extra });

  it("hangs on the latest round before it is due, costs nothing, and counts its minutes", () => {
    // The other is due on day 29 and 59: the light one opens on 19, is due on 29 and 59 too.
    const alone = plan(madeUpInput([task("a")]));
    const made = plan(madeUpInput([light("look"), task("a")]));
    expect(made.cost).toEqual(alone.cost);
    const looks = made.occurrences.filter(({ task: id }) => id === "look");
    expect(looks.map(({ day }) => day)).toEqual(alone.occurrences.map(({ day }) => day));
    expect(looks[0]).toMatchObject({ light: true, early: 0, late: 0 });
    expect(made.rounds[0]).toMatchObject({ minutes: 14, tasks: ["look", "a"] });
    expect(made.inPassing).toEqual([]);
  });

  it("else hangs on the earliest before it closes, else is done by itself when it is due", () => {
    const rounds = [36, 38].map((day) => ({ crew: "owner", home: "home", day: on(day) }));
    const late = plan(madeUpInput([light("look")], { lockedRounds: rounds }));
    // Due on 29, closes on 39: the first of the two. The next is due thirty days after that, on no round.
    expect(late.occurrences).toEqual([
      expect.objectContaining({ task: "look", day: on(36), due: on(29), light: true }),
    ]);
    expect(plan(madeUpInput([light("look")])).inPassing).toEqual([
      { task: "look", day: on(29), crew: "owner" },
      { task: "look", day: on(59), crew: "owner" },
    ]);
  });

  it("waits for somebody who is there, and hangs on whoever goes", () => {
    const away = {
      days: { weekdays: [1, 2, 3, 4, 5, 6, 7], except: [{ from: on(20), to: on(31) }] },
    };
    const crews = [{ ...ownerCrew, ...away }, ruben];
    const made = plan(madeUpInput([light("look")], { crews }));
    expect(made.inPassing[0]).toEqual({ task: "look", day: on(32), crew: "owner" });
    const others = plan(
      madeUpInput([light("look", { others: ["ruben"] }), task("b", { crew: "ruben" })], { crews }),
    );
    expect(others.occurrences.find(({ task: id }) => id === "look")).toMatchObject({
      ...{ day: others.rounds[0]!.day, crew: "ruben", light: true },
    });
  });

  it("is a job like any other once somebody pins it", () => {
    const pins = [{ task: "look", n: 1, day: on(24) }];
    const made = plan(madeUpInput([light("look")], { pins }));
    expect(made.occurrences[0]).toMatchObject({ day: on(24), pinned: true });
    expect(made.cost.setup).toBeGreaterThan(0);
  });

  it("goes along when its round is moved", () => {
    const input = madeUpInput([light("look"), task("a")]);
    const view = new PlanModel(input).view([{ task: "a", day: on(25) }]);
    expect(view.occurrences.map(({ task: id, day }) => [id, day])).toEqual([
      ["look", on(25)],
      ["a", on(25)],
    ]);
  });

  it("in made-up plans changes no cost, and each of its chain is there once: on a round or in passing", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), (seed) => {
        const base = { ...madeUpPlan("small", seed), iterations: 60 };
        const tasks = base.tasks.map((each, i) => ({ ...each, light: i % 3 === 0 }));
        const made = plan({ ...base, tasks });
        const heavy = plan({ ...base, tasks: tasks.filter((each) => !each.light) });
        expect(made.cost).toEqual(heavy.cost);
        for (const each of tasks.filter((one) => one.light)) {
          const own = (of: readonly { task: string; day: string }[]) =>
            of.filter(({ task: id }) => id === each.id).map(({ day }) => day);
          const days = [...own(made.occurrences), ...own(made.inPassing)];
          expect(new Set(days).size).toBe(days.length);
          for (const day of own(made.occurrences))
            expect(
              made.rounds.find((round) => round.day === day && round.tasks.includes(each.id)),
            ).toBeDefined();
        }
      }),
      { numRuns: 6 },
    );
  });
});

describe("the parts of a plan", () => {
  it("share no round: one of each owner’s home, one of a technician for all homes", () => {
    const { tasks, ...problem } = problemOf(madeUpPlan("landlord", 1));
    const parts = partsOf({ tasks, ...problem });
    expect(parts).toHaveLength(5);
    expect(parts.flat().toSorted((a, b) => a - b)).toEqual([...tasks.keys()]);
    const crews = parts.map((part) => new Set(part.map((i) => tasks[i]!.crews[0])).size);
    expect(crews).toEqual([1, 1, 1, 1, 1]);
  });

  it("are one where crews stand in for one another, and hold nothing light", () => {
    const of = (extra: Parameters<typeof task>[1], second: typeof extra = {}) =>
      partsOf(
        problemOf(madeUpInput([task("a", extra), task("b", { crew: "ruben", ...second })], both)),
      );
    expect(of({})).toEqual([[0], [1]]);
    expect(of({ others: ["ruben"] })).toEqual([[0, 1]]);
    expect(of({}, { light: true })).toEqual([[0]]);
  });

  it("cost together what the whole costs, also with what was published and what is announced", () => {
    const base = madeUpPlan("landlord", 3);
    const first = plan({ ...base, iterations: 30 });
    const later = {
      ...base,
      iterations: 30,
      previous: first.occurrences.map(({ task: id, day }) => ({
        task: id,
        n: 1,
        day: addDays(day, 1),
      })),
      lockedRounds: [{ crew: "technician", home: "h1", day: first.rounds[3]!.day }],
    };
    const made = plan(later);
    expect(evaluate({ input: later, occurrences: made.occurrences }).cost).toEqual(made.cost);
    expect(made.cost.stability).toBeGreaterThan(0);
  });
});
