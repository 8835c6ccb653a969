/**
 * What the examples in the core's docstrings may name beside the exports of their own file: a small home
 * with one furnace and its filter (`snapshot`, `event`, `look`, `slot`, `unit`, `today`, `day`, and `asked`
 * as what its wear is asked with), the
 * job of changing that filter (`job`, `whole` as its events, `done` as where it then stands); and a job
 * that comes round every week, last done on day 0 (`weekly`).
 */
import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { JOBS } from "@/content/default-tasks";
import { replayRun } from "../src/core/runs/run";
import { wearInput, type WearInput } from "../src/core/filters/wear-schema";
import { filterStatusOf } from "../src/core/filters/filter-status";
import { tasksOfUnit } from "../src/core/scheduling/home-tasks";
import { YearTables } from "../src/core/scheduling/year-tables";
import { HomeStatus } from "../src/core/timeline/home-status";
import { event, snapshot, today } from "../tests/small-home";
import { addDays, plainDate } from "../src/core/quantities/plain-date";
export { planInput };
import { PlanModel } from "../src/core/planning/plan";
import { problemOf } from "../src/core/planning/problem";
import { planInput } from "../src/core/planning/plan-schema";
export { problemOf };
export { evaluateInput } from "../src/core/planning/plan-schema";
import { jobOf, walk, whereOf } from "../tests/run-events";
export { day, event, look, slot, snapshot, today, unit } from "../tests/small-home";

export { JOBS };

/** The change of a panel filter. */
export const job = jobOf(changePanelFilter);
/** Every event of it, from its first step to its last. */
export const whole = walk(job);
/** Where it stands after them. */
export const done = replayRun(job, whole);
/** The furnace’s filter, as the place of the run. */
export const where = whereOf();

/** What the wear of the furnace’s filter is asked with, fitted today. */
export const asked: WearInput = wearInput.parse({
  today,
  fittedOn: today,
  climate: snapshot([]).home.climate,
  equipment: snapshot([]).systems[0]!.equipment,
  slot: { media: "pleated-25", airSide: "recirculated" },
  drivers: [],
  looks: [],
});

/** What comes round every week, last done on the first day of all. */
export const weekly = {
  cadence: { kind: "every", n: 1, unit: "week" },
  lastDone: plainDate("1970-01-01"),
};

/** One task of a home, due every thirty days from yesterday on: what a plan is made of. */
export const smallPlan = {
  today: "2026-03-14",
  horizonEnd: "2026-06-12",
  iterations: 20,
  crews: [
    {
      ...{ id: "owner", kind: "owner", capMinutes: 120, capScope: "home-day" },
      days: { weekdays: [1, 2, 3, 4, 5, 6, 7] },
    },
  ],
  units: [{ id: "furnace", home: "home" }],
  tasks: [
    {
      ...{ id: "filter", unit: "furnace", crew: "owner", handsOn: 10, lastDone: "2026-03-13" },
      windows: {
        from: "2026-03-13",
        ...Object.fromEntries(
          Object.entries({ opens: 20, due: 30, closes: 40 }).map(([key, span]) => [
            key,
            Array.from({ length: 92 }, (_, i) => addDays(plainDate("2026-03-13"), i + span)),
          ]),
        ),
      },
    },
  ],
};

/** The same with what may be asked of it, and its filter on its due day. */
export const smallModel = new PlanModel(planInput.parse(smallPlan));
export const smallDays = [{ task: "filter", day: plainDate("2026-04-12") }];

/** The same as the search reads it. */
export const smallProblem = problemOf(planInput.parse(smallPlan));

/** The small home on its day, its filter fitted forty days before. */
export const smallStatus = new HomeStatus(snapshot([event("fitted", -40)]), today, {
  jobs: JOBS,
  leads: [],
  filterStatus: (home, place, on) => filterStatusOf(home, place, on, () => ""),
  coilStatus: () => null,
  unitTasks: (home, machine) => tasksOfUnit(home, machine, JOBS),
  unitJobs: (status, machine) => status.scheduleOf(tasksOfUnit(status.snapshot, machine, JOBS)),
  years: (climate) => new YearTables(climate),
});
