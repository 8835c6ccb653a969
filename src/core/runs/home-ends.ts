import type { EndEntry, LooseEnds, OpenEnd, Together } from "./loose-ends";
import { withSteadyTimes, safeEnds } from "./loose-ends";
import { endWordsOf } from "./run";
import type { RunJob, RunState } from "./run-state";

/** An end left open somewhere in a home, and where to go to put it right. */
export type HomeEnd = OpenEnd & {
  /** The run it belongs to, while that is going on. */
  runId?: string;
  /** What it is, in the words of its step: “core drying”. */
  label?: string;
  /** Why it stays open, where somebody said so. */
  words?: string;
  blockedBy: string[];
  /** A drying part that has to wait still. */
  isDrying: boolean;
  /** Why it stays as it is, where a stop stands at its machine. */
  stopped?: string;
};

/** Whether an end is of this run: its name begins with the run's. */
const isOf = (end: { id: string }, { job }: Going) => end.id.startsWith(`${job.place.run}:`);

/**
 * The openings and closings of a home. Each list is in the order it was recorded, whatever the clocks
 * of its devices said. A run that goes on again after its finish was taken back has its ends itself.
 */
function logOfHome(recorded: readonly Recorded[], going: readonly Going[]): EndEntry[] {
  // What a run took over from the job before it in a round is that run’s to put back.
  const taken = new Set(
    going.flatMap(({ job }) => job.setting.inRound?.taken.map(({ id }) => id) ?? []),
  );
  const outlived = recorded.filter(
    (entry) => !taken.has(entry.id) && !going.some((run) => isOf(entry, run)),
  );
  return [...withSteadyTimes(outlived), ...going.flatMap((run) => run.state.log)];
}

/**
 * What is open at one unit beside one of its runs: that run must not bring its power back over it.
 *
 * @param now an instant, ISO 8601 with offset, as all times of runs
 * @example openBeside("2026-03-14T12:00:00Z", [], [{ job, state: done }], "run-1") // []
 */
export function openBeside(
  now: string,
  recorded: readonly Recorded[],
  going: readonly Going[],
  runId: string,
): EndEntry[] {
  const others = going.filter(({ job }) => job.place.run !== runId);
  const own = going.find(({ job }) => job.place.run === runId);
  const taken = own?.job.setting.inRound?.taken.map(({ id }) => id) ?? [];
  const log = logOfHome(
    recorded.filter(({ id }) => !id.startsWith(`${runId}:`) && !taken.includes(id)),
    others,
  );
  const open = new Set(safeEnds({ now, log }).open.map(({ id }) => id));
  return log.filter(({ id, action }) => action === "open" && open.has(id));
}

export type HomeEnds = {
  open: HomeEnd[];
  /** Left so for a season: shown at its machine, and nagging nobody. */
  parked: ParkedAtHome[];
  order: string[];
};
export type ParkedAtHome = OpenEnd & { label: string };

type Recorded = EndEntry & { label?: string; words?: string };
type Going = { job: RunJob; state: RunState };

/**
 * What is open in a home: of the runs going on, and what outlived its run; and in which order it is put
 * right, parts before power, gas and water last.
 *
 * @example endsOfHome("2026-03-14T12:00:00Z", [], [{ job, state: done }]).open // []
 */
export function endsOfHome(
  now: string,
  recorded: readonly Recorded[],
  going: readonly Going[],
  together: readonly Together[] = [],
): HomeEnds {
  const ends: LooseEnds = safeEnds({ now, log: logOfHome(recorded, going) }, together);
  const open = ends.open.map((end): HomeEnd => {
    const run = going.find((each) => isOf(end, each));
    const said = recorded.findLast((entry) => entry.id === end.id && entry.action === "open");
    const label = run ? endWordsOf(run.state, run.job.place, end.id) : said?.label;
    return {
      ...end,
      ...(run ? { runId: run.job.place.run } : {}),
      ...(label ? { label } : {}),
      ...(said?.words ? { words: said.words } : {}),
      blockedBy: ends.blocked.filter((block) => block.id === end.id).flatMap((block) => block.by),
      isDrying: ends.blocked.some((block) => block.id === end.id && block.why === "still-drying"),
    };
  });
  const labelled = (id: string) => recorded.findLast((entry) => entry.id === id && entry.label);
  const parked = ends.parked.map((end) => ({ ...end, label: labelled(end.id)?.label ?? "" }));
  return { open, parked, order: ends.order };
}

/** What one thing left open is: all of a run that is going on, or one end that outlived its run. */
export type LeftOpen = {
  id: string;
  unit: string;
  part?: string;
  runId?: string;
  since: string;
  /** Longest open first. */
  ends: HomeEnd[];
  /** What dries, and until when; the last of them where there are several. */
  drying?: HomeEnd & { readyAt: string };
};

/**
 * The loose ends of a home, those of one run together, in the order in which they are put right.
 *
 * @example leftOpenOf({ open: [], order: [] }) // []
 */
export function leftOpenOf({ open, order }: Pick<HomeEnds, "open" | "order">): LeftOpen[] {
  const groups = new Map<string, LeftOpen>();
  for (const id of order) {
    const end = open.find((each) => each.id === id);
    if (!end) continue;
    const key = end.runId ?? end.id;
    const group = groups.get(key) ?? {
      id: key,
      unit: end.unit,
      ...(end.runId ? { runId: end.runId } : {}),
      since: end.since,
      ends: [],
    };
    group.ends = [...group.ends, end].sort((a, b) => (a.since < b.since ? -1 : 1));
    group.since = group.ends[0]!.since;
    // A switch that is off names no part, so the group takes the part of another end that is open with it.
    const part = group.ends.find((each) => each.part)?.part;
    if (part) group.part = part;
    const dries = group.ends.filter(
      (each): each is HomeEnd & { readyAt: string } =>
        each.end === "part-drying" && each.readyAt !== undefined,
    );
    if (dries.length > 0)
      group.drying = dries.reduce((last, each) => (each.readyAt > last.readyAt ? each : last));
    groups.set(key, group);
  }
  return [...groups.values()];
}
