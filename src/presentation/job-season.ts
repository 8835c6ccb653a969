import { partsOf, type Trigger } from "@/core/scheduling/trigger";

/** When in the year a job is thought of. */
export const JOB_SEASONS = ["any", "before-heating", "winter", "before-cooling", "summer"] as const;
export type JobSeason = (typeof JOB_SEASONS)[number];
export const SEASON_WORDS: Readonly<Record<JobSeason, string>> = {
  any: "all year",
  "before-heating": "before the heating",
  winter: "in winter",
  "before-cooling": "before the cooling",
  summer: "in summer",
};

const OF_ANCHOR: Readonly<Record<string, JobSeason>> = {
  heatingStart: "before-heating",
  leafFall: "before-heating",
  coolingEnd: "before-heating",
  firstFrost: "winter",
  snowFrom: "winter",
  snowTo: "before-cooling",
  lastFrost: "before-cooling",
  heatingEnd: "before-cooling",
  coolingStart: "before-cooling",
  firstWarmDay: "before-cooling",
};
const OF_STRETCH: Readonly<Record<string, JobSeason>> = {
  heating: "winter",
  snow: "winter",
  cooling: "summer",
  growth: "summer",
};

/** The seasons a job belongs to by what calls for it; “any” where no season does. */
export function seasonsOf(triggers: readonly Trigger[]): JobSeason[] {
  const named = triggers.flatMap(partsOf).flatMap((trigger): JobSeason[] => {
    if (trigger.kind === "season") return [OF_ANCHOR[trigger.anchor] ?? "any"];
    if (trigger.kind === "every") return [OF_STRETCH[trigger.within ?? ""] ?? "any"];
    return [];
  });
  const seasons = JOB_SEASONS.filter((season) => named.includes(season));
  return seasons.length > 0 ? seasons : ["any"];
}
