import { bringOf, type Procedure, type RunSetting } from "./procedure";

/** A job as a list of what to have is drawn from it. */
export type BringFor = { words: string; procedure: Procedure; setting: RunSetting };
/** A thing, and the jobs that ask for it. */
export type Wanted = { thing: string; jobs: string[] };

const ARTICLE = /^(a|an|the|some) /;
const byUse = (a: Wanted, b: Wanted): number =>
  b.jobs.length - a.jobs.length || (a.thing < b.thing ? -1 : 1);

/**
 * The tools and consumables of many jobs, each thing once, what most jobs ask for first. Of
 * “a vacuum with a soft brush, better two” only the thing itself is named.
 *
 * @example bringList([{ words: "Filter", procedure: job.procedure, setting: job.setting }]).consumables.length > 0 // true
 */
export function bringList(jobs: readonly BringFor[]): { tools: Wanted[]; consumables: Wanted[] } {
  const tools = new Map<string, Set<string>>();
  const consumables = new Map<string, Set<string>>();
  const put = (into: Map<string, Set<string>>, things: readonly string[], words: string) => {
    for (const said of things) {
      const thing = said.replace(ARTICLE, "").split(",")[0]!;
      into.set(thing, (into.get(thing) ?? new Set()).add(words));
    }
  };
  for (const { words, procedure, setting } of jobs) {
    const bring = bringOf(procedure, setting);
    put(tools, bring.tools, words);
    put(consumables, bring.consumables, words);
  }
  const listed = (of: Map<string, Set<string>>): Wanted[] =>
    [...of].map(([thing, names]) => ({ thing, jobs: [...names].sort() })).sort(byUse);
  return { tools: listed(tools), consumables: listed(consumables) };
}
