/** npm run bench: how long the engine takes on this machine; figures, not verdicts. */
import { JOBS } from "@/content/default-tasks";
import { sluiceHouse } from "../demo/demo-homes";
import { SCHEDULE_DAYS, wearByPart } from "@/core/timeline/home-status";
import { coilStatusOf } from "@/core/filters/coil-wear";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { tasksOf } from "../src/core/scheduling/home-tasks";
import { scheduleOf } from "../src/core/scheduling/schedule";
import { benchCohort } from "./bench-cohort";
import { benchPlans, searchLong } from "./bench-plans";
import { benchPages, benchRun, LONG_RECORD } from "./bench-pages";
import { addDays, plainDate } from "../src/core/quantities/plain-date";
import { lintelOf } from "../src/core/timeline/lintel";
import { filterStatusOf } from "../src/core/filters/filter-status";
import { wear } from "../src/core/filters/wear";
import { wearCauses } from "../src/core/filters/wear-causes";
import { wearInput } from "../src/core/filters/wear-schema";

type Timing = { what: string; medianMs: number; p95Ms: number; wanted: string };

function timed(what: string, runs: number, wanted: string, work: () => unknown): Timing {
  for (let i = 0; i < runs / 5; i++) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  const at = (share: number) => Math.round(1000 * times[Math.floor(share * (runs - 1))]!) / 1000;
  return { what, medianMs: at(0.5), p95Ms: at(0.95), wanted };
}

const today = plainDate("2026-03-14");
const slot = wearInput.parse({
  today,
  fittedOn: "2026-03-14",
  climate: {
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
  },
  equipment: { heats: true, cools: true, fan: { mode: "auto" } },
  slot: { media: "pleated-25", rating: { scheme: "MERV", class: "8" }, airSide: "recirculated" },
  drivers: [
    { kind: "shedding-pets", count: 1 },
    { kind: "people", count: 4 },
    { kind: "dusty-hobby" },
    { kind: "renovation", from: "2026-04-01", to: "2026-05-06" },
    { kind: "busy-road" },
  ],
  looks: [],
});

const causes = { ...slot, belief: { mu: 0.2, sd: 0.2 } };

const house = sluiceHouse(today, new Date("2026-03-14T08:30:00Z")).snapshot;
const filterStatuses = () =>
  house.slots.map((each) => filterStatusOf(house, each, today, () => ""));
const filterStatus = filterStatuses();
const coilStatus = house.parts.flatMap((part) => coilStatusOf(house, part, today) ?? []);
const schedule = scheduleNow(house, today);
let looks = 0;
const look = {
  kind: "look" as const,
  unitId: "cellar-furnace",
  partId: "cellar-filter",
  date: today,
  recordedAt: "2026-03-14T08:00:00.000Z",
  look: { grade: "grey" as const },
};

const engine = () => [
  timed("wear: one slot, three years, 5 drivers", 300, "under 1 ms", () => wear(slot)),
  timed("wear-causes: the same slot, 6 players", 100, "under 10 ms", () => wearCauses(causes)),
  timed(
    "the same with 60 actual days",
    300,
    "under 1 ms",
    (() => {
      const actuals = Array.from({ length: 60 }, (_, i) => ({
        date: addDays(today, -60 + i),
        meanC: -5,
      }));
      const input = { ...slot, fittedOn: addDays(today, -50), actuals };
      return () => wear(input);
    })(),
  ),
  timed("Sluice House: 14 slots, three years of history replayed", 30, "-", filterStatuses),
  timed("its agenda: every job of 20 units, chained two years ahead", 30, "under 50 ms", () => {
    // A record that has grown is another record: nothing is remembered of it.
    const grown = { ...house, history: house.history.with() };
    return scheduleOf(
      grown,
      tasksOf(grown, JOBS),
      wearByPart(filterStatus, coilStatus),
      today,
      addDays(today, SCHEDULE_DAYS),
    );
  }),
  timed("planned again after a look at one filter", 30, "under 50 ms", () => {
    const seen = {
      ...house,
      history: house.history.with({ ...look, id: `look-${++looks}` }),
    };
    return scheduleNow(seen, today);
  }),
  timed("the lintel", 50, "-", () => lintelOf(house, schedule, today)),
];

async function all(): Promise<void> {
  console.table(engine());
  await benchPages(20_000);
  await benchPages(100_000, LONG_RECORD);
  await benchRun();
  benchPlans();
}

// npm run bench -- cohort prints only whether learning pays, npm run bench -- plan only how good plans are,
// npm run bench -- plan-best how good they can be made in minutes.
if (process.argv[2] === "cohort") benchCohort();
else if (process.argv[2] === "plan") benchPlans();
else if (process.argv[2] === "plan-best") searchLong();
else void all();
