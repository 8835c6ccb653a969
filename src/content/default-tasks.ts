import type { Media } from "@/core/filters/media";
import type { JobCatalogue } from "@/core/scheduling/catalogue";
import type { TaskDefinition } from "@/core/scheduling/task";
import type { Trigger } from "@/core/scheduling/trigger";
import { after, BEFORE_HEATING, earliest, every, job, led, onReading } from "./jobs/define";
import { PART_TASKS, PART_TASKS_AT, partTasksByBuild } from "./jobs/part-jobs";
import { UNIT_TASKS } from "./jobs/unit-jobs";
import { GREY_LOOK, LOOK, RENEW, VACUUM } from "./keys";
import type { PartKindId } from "./part-kinds";
import { renewalOf } from "./procedures/library";
import type { UnitKindId } from "./unit-kinds";

/** How soon a filter is looked at once the ducts were cleaned, days. */
const LOOK_AFTER_DUCTS_DAYS = 7;
/** The same once building work has ended. */
const LOOK_AFTER_WORKS_DAYS = 7;
/** How soon after moving in everybody has to find water, gas and power, days. Our choice. */
const SHUT_OFFS_AFTER_MOVING_DAYS = 7;

const HOME_TASKS: readonly TaskDefinition[] = [
  job("walk", "Walk round: listen, look, feel", every(30, "day"), "owner", 5, led("walk-round")),
  job(
    "alarms",
    "Press the test of every alarm",
    earliest(every(1, "month"), BEFORE_HEATING),
    "owner",
    5,
    { safety: true, ...led("test-alarms") },
  ),
  job(
    "shut-offs",
    "Learn your shut-offs",
    earliest(after("moved-in", SHUT_OFFS_AFTER_MOVING_DAYS), every(2, "year")),
    "owner",
    15,
    { safety: true, ...led("learn-shut-offs") },
  ),
];

/** The calendar strategy’s interval where no maker gave one: docs/sources.md#jobs. */
const CALENDAR: Readonly<Record<Media, Trigger>> = {
  "fibreglass-25": every(30, "day"),
  // One to two months of use while it works hardest, three while it idles.
  "pleated-25": earliest(
    every(45, "day", "heating"),
    every(45, "day", "cooling"),
    every(3, "month"),
  ),
  "pleated-50": every(6, "month"),
  "pleated-100": every(1, "year"),
  "pleated-125": every(1, "year"),
  "washable-panel": every(1, "month"),
  "head-mesh": every(2, "week", "inUse"),
  "heater-mesh": every(1, "month", "heating"),
  "portable-mesh": every(2, "week", "inUse"),
  "vent-coarse": every(6, "month"),
  "vent-fine": every(6, "month"),
  "carbon-prefilter": every(120, "day"),
  "hepa-cylinder": every(730, "day"),
  "electrostatic-cell": every(6, "month"),
  "humidifier-panel": every(365, "day"),
};

function renewal(name: string, media: Media, unitKind: string): TaskDefinition {
  const { id, handsOnMinutes, waitingMinutes } = renewalOf(media, unitKind);
  return {
    ...job(RENEW, name, { kind: "wear" }, "owner", handsOnMinutes),
    waiting: waitingMinutes,
    settles: ["indicator-light"],
    ...led(id),
  };
}

/** What is washed and goes back; everything else is changed. */
const WASHED: readonly Media[] = [
  "washable-panel",
  "head-mesh",
  "heater-mesh",
  "portable-mesh",
  "electrostatic-cell",
];

/** The renewal of a filter, by its wear unless somebody goes by another strategy. */
function renewalTask(media: Media, unitKind: string): TaskDefinition {
  if (media === "humidifier-panel") return renewal("Change the water panel", media, unitKind);
  return WASHED.includes(media)
    ? renewal("Clean the filter", media, unitKind)
    : renewal("Change the filter", media, unitKind);
}

/** Vacuumed where it sits a ventilator’s filter lasts its half year. */
const VACUUM_FILTER = job(
  VACUUM,
  "Vacuum the filter",
  every(1, "month"),
  "owner",
  5,
  led("vacuum-vent-filter"),
);

/** When building work ends the dust it raised is in the filter, whatever its hours say. */
const AFTER_WORKS = after("renovation", LOOK_AFTER_WORKS_DAYS);

/** In ducts that were cleaned a new filter fills fast: it is looked at within a week. */
const LOOK_AFTER_DUCTS = job(
  LOOK,
  "Look at the filter",
  earliest(after("duct-cleaning", LOOK_AFTER_DUCTS_DAYS), AFTER_WORKS),
  "owner",
  2,
  { onlyWhen: true, ...led("look-at-filter") },
);

/** Where no ducts are, only the end of building work, or something noticed, asks for a look. */
const LOOK_AFTER_WORKS = job(LOOK, "Look at the filter", AFTER_WORKS, "owner", 2, {
  onlyWhen: true,
  ...led("look-at-filter"),
});

/** A panel that water runs over holds no dust of building: only something noticed asks for a look. */
const LOOK_WHEN_ASKED = job(LOOK, "Look at the filter", after("asked", 0), "owner", 2, {
  onlyWhen: true,
  ...led("look-at-filter"),
});

/**
 * Every job there is by default: at each kind of part and unit, and in a home. Figures are general trade
 * practice: docs/sources.md#jobs. Every one can be changed for its part; a manual comes first.
 */
export const JOBS: JobCatalogue = {
  home: HOME_TASKS,
  unit: (kind) => UNIT_TASKS[kind as UnitKindId] ?? [],
  part: (kind, unitKind, attributes) =>
    partTasksByBuild(kind as PartKindId, attributes) ??
    PART_TASKS_AT[unitKind as UnitKindId]?.[kind as PartKindId] ??
    PART_TASKS[kind as PartKindId] ??
    [],
  renewal: renewalTask,
  besideRenewal: (media) =>
    media === "vent-coarse" || media === "vent-fine" ? [VACUUM_FILTER] : [],
  calendar: (media) => CALENDAR[media],
  look: (everyDays) =>
    job(
      LOOK,
      "Look at the filter",
      earliest(every(everyDays, "day"), AFTER_WORKS),
      "owner",
      2,
      led("look-at-filter"),
    ),
  lookAfterDucts: LOOK_AFTER_DUCTS,
  lookWhenAsked: (media) => (media === "humidifier-panel" ? LOOK_WHEN_ASKED : LOOK_AFTER_WORKS),
  atLight: onReading("indicator-light"),
  atGrey: after(GREY_LOOK, 0),
  soonerBesideLint: {
    key: "polish",
    trigger: earliest(BEFORE_HEATING, every(4, "month", "heating")),
  },
};
