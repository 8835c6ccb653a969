/**
 * Holds plans against a proven optimum: the same made-up homes as a mixed integer programme, solved by a
 * general solver. `npx tsx scripts/plan-mip.ts [homes] [seconds]`; its figures stand in docs/sources.md. Second
 * errands are left out of both, as the programme would grow by half for them.
 */
import highs from "highs";
import { addDays } from "../src/core/quantities/plain-date";
import { plan } from "../src/core/planning/plan";
import { madeUpPlan } from "../src/core/planning/plan-instances";
import { NO_DAY, problemOf, type Problem } from "../src/core/planning/problem";
import { earlyCost, lateCost, triedDays } from "../src/core/planning/route";
import type { PlanInput } from "../src/core/planning/plan-schema";

const SLACK_DAYS = 21;
const MINUTE = 100;

/** A linear programme, line by line as the solver reads it. */
class Programme {
  readonly objective: string[] = [];
  readonly rows: string[] = [];
  readonly binaries = new Set<string>();

  variable(name: string, cost: number): string {
    if (!this.binaries.has(name)) {
      this.binaries.add(name);
      if (cost > 0) this.objective.push(`+ ${cost} ${name}`);
    }
    return name;
  }
  row(terms: readonly string[], relation: string): void {
    this.rows.push(`r${this.rows.length}: ${terms.join(" ")} ${relation}`);
  }
  text(): string {
    return [
      "Minimize",
      ` cost: ${this.objective.join("\n ")}`,
      "Subject To",
      ...this.rows.map((row) => ` ${row}`),
      "Binary",
      ...[...this.binaries].map((name) => ` ${name}`),
      "End",
    ].join("\n");
  }
}

function programmeOf(problem: Problem): Programme {
  const { tasks, crews, horizon, cost } = problem;
  const programme = new Programme();
  const minutes = new Map<string, string[]>();
  tasks.forEach((task, t) => {
    const days = [...triedDays(problem, task)];
    const crew = crews[task.crews[0]!]!;
    /** By day: the ways in and out of it. */
    const ins = new Map<number, string[]>();
    const outs = new Map<number, string[]>();
    const reached = [task.lastDone];
    for (let k = 0; k < reached.length; k++) {
      const before = reached[k]!;
      const isStart = before === task.lastDone;
      const window = isStart
        ? task.first
        : before > horizon || task.due[before] === NO_DAY
          ? null
          : { opens: task.opens[before]!, due: task.due[before]!, closes: task.closes[before]! };
      outs.set(before, []);
      if (!window || window.due > horizon) {
        outs.get(before)!.push(programme.variable(`e${t}_${isStart ? "s" : before}`, 0));
        continue;
      }
      const last = Math.max(window.due, window.closes === NO_DAY ? window.due : window.closes, 0);
      const within = days.filter(
        (day) => day > before && day >= window.opens && day <= last + SLACK_DAYS,
      );
      const next =
        within.length > 0
          ? within
          : days.filter((day) => day > before && day >= window.opens).slice(0, 1);
      for (const day of next) {
        const price =
          day < window.due
            ? earlyCost(task, before, day, window.due)
            : lateCost(problem, task, day, window.due, window.closes);
        const way = programme.variable(`x${t}_${isStart ? "s" : before}_${day}`, price);
        outs.get(before)!.push(way);
        if (!ins.has(day)) {
          ins.set(day, []);
          reached.push(day);
        }
        ins.get(day)!.push(way);
      }
    }
    programme.row(
      outs.get(task.lastDone)!.map((way) => `+ ${way}`),
      "= 1",
    );
    for (const [day, ways] of ins) {
      programme.row(
        [...ways.map((way) => `+ ${way}`), ...outs.get(day)!.map((way) => `- ${way}`)],
        "= 0",
      );
      const round = programme.variable(
        `y${task.crews[0]}_${task.home}_${day}`,
        crew.isOwner ? cost.setup + (crew.isLiked[day] ? 0 : cost.weekday) : cost.visit,
      );
      programme.row([...ways.map((way) => `+ ${way}`), `- ${round}`], "<= 0");
      if (!crew.isOwner) {
        const call = programme.variable(`z${task.crews[0]}_${day}`, cost.callOut);
        programme.row([`+ ${round}`, `- ${call}`], "<= 0");
      }
      if (task.powerOff) {
        const off = programme.variable(`w${task.crews[0]}_${task.unit}_${day}`, cost.powerDown);
        programme.row([...ways.map((way) => `+ ${way}`), `- ${off}`], "<= 0");
      }
      const scope = `${task.crews[0]} ${crew.isCapOfDay ? "" : task.home} ${day}`;
      const terms = minutes.get(scope) ?? [`${crew.cap}`];
      minutes.set(scope, [...terms, ...ways.map((way) => `+ ${task.handsOn} ${way}`)]);
    }
  });
  for (const [cap, ...terms] of minutes.values()) programme.row(terms, `<= ${cap}`);
  return programme;
}

/** Without second errands, which the programme does not know, and of half a year, which it can prove. */
const HALF_A_YEAR_DAYS = 182;
const provable = (input: PlanInput): PlanInput => ({
  ...input,
  horizonEnd: addDays(input.today, HALF_A_YEAR_DAYS),
  tasks: input.tasks.map((task) => ({ ...task, returns: undefined })),
});

async function main(homes: number, seconds: number): Promise<void> {
  const solver = await highs();
  for (let seed = 1; seed <= homes; seed++) {
    const input = provable(madeUpPlan("small", seed));
    const programme = programmeOf(problemOf(input));
    const begin = performance.now();
    const solved = solver.solve(programme.text(), { time_limit: seconds, mip_rel_gap: 0.0005 });
    const took = (performance.now() - begin) / 1000;
    const made = [500, 2000, 8000].map(
      (iterations) => plan({ ...input, iterations }).cost.total / MINUTE,
    );
    console.log(
      `home ${seed}: ${programme.binaries.size} variables, solver ${(solved.ObjectiveValue / MINUTE).toFixed(2)} (${solved.Status}, ${took.toFixed(0)} s); plans of 500, 2000 and 8000 iterations ${made.join(", ")}`,
    );
  }
}

void main(Number(process.argv[2] ?? 3), Number(process.argv[3] ?? 120));
