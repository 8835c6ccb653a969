import { HistoryRecord } from "@/core/history/history-record";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homePlan } from "@/core/planning/home-plan";
import { plan } from "@/core/planning/plan";
import { numbered, planLeft } from "@/core/planning/published";
import { NO_YEAR, USUAL_OWNER, type Person, type Year, type YearPlan } from "@/core/planning/year";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { jobFactsOf } from "@/server/snapshots/job-facts";
import { homeStatus } from "@/server/snapshots/snapshot-cache";

/** The plan that counts was published so long ago, days. */
const PUBLISHED_AGO = 30;
const LATE_JOB = "dryer-dryer-duct.brush";
/** Enough for rounds nobody would laugh at, and soon over: a demo starts with it. */
const ITERATIONS = 300;

/** Two of them: the one at weekends, the other on Wednesdays, in the stable. */
const PEOPLE: Person[] = [
  { ...USUAL_OWNER, name: "Hedda", mostMinutes: 120 },
  {
    ...USUAL_OWNER,
    ...{ id: "ruben", name: "Ruben", preferred: [3], mostMinutes: 90, leaves: ["height"] },
    unitIds: ["kiln-furnace", "studio-pump"],
  },
];

function planned(snapshot: HomeSnapshot, today: PlainDate, id: string): YearPlan {
  const status = homeStatus(snapshot, today);
  const { input } = homePlan(status, jobFactsOf(snapshot));
  const { occurrences } = plan({ ...input, iterations: ITERATIONS });
  return {
    ...{ id, version: 1, madeOn: today, horizonEnd: input.horizonEnd },
    days: numbered(occurrences),
  };
}

/** The home as it was known on an earlier day. */
const asOf = (snapshot: HomeSnapshot, day: PlainDate): HomeSnapshot => ({
  ...snapshot,
  history: new HistoryRecord(snapshot.history.entries.filter(({ date }) => date <= day)),
  actuals: snapshot.actuals.filter(({ date }) => date < day),
  visits: snapshot.visits.filter(({ on }) => on !== undefined && on <= day),
  findings: [],
});

/** A year published last month, what was not done of it since, and a draft that mends it. */
export function demoYear(snapshot: HomeSnapshot, today: PlainDate): Year {
  const then = addDays(today, -PUBLISHED_AGO);
  const year = { ...NO_YEAR, people: PEOPLE };
  const published = planned({ ...asOf(snapshot, then), year }, then, "year-published");
  const { jobs } = homeStatus(snapshot, today);
  const { missed } = planLeft(jobs, today, published);
  // Of what was put off since, one job was to be done last month; for the others no day was agreed.
  const isLeftOut = (task: string) =>
    task !== LATE_JOB && missed.some((each) => each.task === task);
  const current = {
    ...published,
    days: published.days.filter(({ task, day }) => !isLeftOut(task) || day > today),
    publishedAt: `${then}T19:00:00Z`,
  };
  const draft = planned({ ...snapshot, year: { ...year, current } }, today, "year-draft");
  return { ...year, current, draft };
}
