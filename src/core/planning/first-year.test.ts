import { at, madeUpJob as job, wednesday as today } from "../../../tests/made-up-job";
import { firstYear } from "./first-year";
import type { PlanView } from "./plan";

const round = (crew: string, day: number, ...tasks: string[]): PlanView["rounds"][number] => ({
  ...{ crew, home: "home", day: at(day), tasks, returns: [], minutes: 20 * tasks.length },
  ...{ poweredDown: [], overCap: 0 },
});
const jobs = ["walk", "alarm", "trap", "coil", "visit"].map((id) => job(id));
const told = (...rounds: PlanView["rounds"]) =>
  firstYear(jobs, { rounds }, new Set(["technician"]), today);
const ids = (some: typeof jobs) => some.map(({ task }) => task.id);

describe("a first year, told from its plan", () => {
  it("has its first rounds one by one, and each job of them once", () => {
    const { rounds, months } = told(
      round("owner", 3, "alarm", "walk"),
      round("owner", 10, "trap"),
      round("owner", 80, "coil"),
    );
    expect(rounds.map(({ day, minutes, jobs: its }) => [day, minutes, ids(its)])).toEqual([
      [at(3), 40, ["alarm", "walk"]],
      [at(10), 20, ["trap"]],
    ]);
    expect(months.map(({ month, minutes, jobs: its }) => [month, minutes, ids(its)])).toEqual([
      ["2026-05-01", 20, ["coil"]],
    ]);
  });

  it("says for what a technician is called first, and leaves out rounds with nothing in them", () => {
    const { technician, rounds } = told(
      round("technician", 5),
      round("technician", 20, "visit"),
      round("technician", 200, "visit"),
      round("owner", 2),
    );
    expect(technician && [technician.day, ids(technician.jobs)]).toEqual([at(20), ["visit"]]);
    expect(rounds).toEqual([]);
  });

  it("says once what comes all the year, and nothing past it", () => {
    const monthly = Array.from({ length: 14 }, (_, i) => round("owner", 4 + 30 * i, "walk"));
    const { always, months } = told(...monthly, round("owner", 130, "trap", "coil"));
    expect(ids(always)).toEqual(["walk"]);
    expect(months.map(({ month, minutes }) => [month, minutes])).toEqual([["2026-07-01", 40]]);
  });
});
