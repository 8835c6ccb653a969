import "server-only";
import { JOBS } from "@/content/default-tasks";
import { PART_KINDS } from "@/content/part-kinds";
import { englishOf, procedureInEnglish } from "@/content/english";
import { LIBRARY, procedureIn, PROCEDURES } from "@/content/procedures/library";
import { UNIT_KINDS } from "@/content/unit-kinds";
import { MEDIA_KINDS } from "@/core/filters/media";
import type { Qualification } from "@/core/runs/qualification";
import { bringList, type Wanted } from "@/core/runs/bring-list";
import { bringOf, minutesOf, usualVariant, type Procedure } from "@/core/runs/procedure";
import type { TaskDefinition } from "@/core/scheduling/task";
import type { Trigger } from "@/core/scheduling/trigger";
import { inSentence } from "@/core/quantities/words";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { JOB_SEASONS, seasonsOf, type JobSeason } from "@/presentation/job-season";
import { withSize } from "@/presentation/bring-words";
import { slotTitle } from "@/presentation/slot-words";
import { homeSnapshot, tasksNow } from "@/server/snapshots/snapshot-cache";
import { factsOf } from "@/core/runs/place-facts";

export type LibraryRow = {
  id: string;
  title: string;
  who: Qualification;
  handsOn: number;
  waiting: number;
  seasons: JobSeason[];
  tools: string[];
  /** Where it is done in this house; empty where it has no such thing. */
  places: string[];
};
export type LibraryGroup = { name: string; rows: LibraryRow[] };

/** The season an address names; null where it names none. */
export const seasonIn = (text: string | string[] | undefined): JobSeason | null =>
  JOB_SEASONS.find((each) => each === text) ?? null;

const definitions = (): TaskDefinition[] => [
  ...PART_KINDS.flatMap(({ id }) => UNIT_KINDS.flatMap((unit) => JOBS.part(id, unit.id))),
  ...UNIT_KINDS.flatMap(({ id }) => JOBS.unit(id)),
  ...JOBS.home,
  ...MEDIA_KINDS.flatMap((media) =>
    ["", "electrostatic-cleaner"].map((unit) => JOBS.renewal(media, unit)),
  ),
];
/** What calls for each procedure by default; follows from the content alone. */
const defaultTriggers = (): Map<string, Trigger[]> => {
  const all = definitions();
  return new Map(
    PROCEDURES.map(({ id }) => [
      id,
      all.flatMap(({ procedureIds = [], trigger }) => (procedureIds.includes(id) ? trigger : [])),
    ]),
  );
};
const TRIGGERS = defaultTriggers();

/** Every procedure by what it is about, with what is done of it in this house. */
export async function libraryOf(
  homeId: string,
): Promise<{ homeName: string; groups: LibraryGroup[] } | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const jobs = tasksNow(snapshot).filter(({ isOff }) => !isOff);
  const english = englishOf(snapshot.home);
  const rowOf = (written: Procedure): LibraryRow => {
    const each = procedureInEnglish(english, written);
    const variant = usualVariant(each);
    const own = jobs.filter(({ procedureIds }) => procedureIds.includes(each.id));
    const triggers =
      own.length > 0 ? own.map(({ trigger }) => trigger) : (TRIGGERS.get(each.id) ?? []);
    const { tools, consumables } = bringOf(each, { facts: [], variant });
    return {
      id: each.id,
      title: each.title,
      who: each.who,
      ...minutesOf(each, variant),
      seasons: seasonsOf(triggers),
      tools: [...tools, ...consumables],
      places: [...new Set(own.map(({ unitId }) => unitName(snapshot, unitId)))],
    };
  };
  return {
    homeName: snapshot.home.name,
    groups: [
      ...(snapshot.ownProcedures.length > 0
        ? [
            {
              name: "Your own",
              rows: snapshot.ownProcedures.map(({ procedure: own }) => rowOf(own)),
            },
          ]
        : []),
      ...LIBRARY.map(({ name, procedures }) => ({ name, rows: hereFirst(procedures.map(rowOf)) })),
    ],
  };
}

/** What this house has stands before what it has not. */
const hereFirst = (rows: LibraryRow[]): LibraryRow[] => [
  ...rows.filter(({ places }) => places.length > 0),
  ...rows.filter(({ places }) => places.length === 0),
];

const unitName = ({ units }: HomeSnapshot, unitId: string | undefined): string =>
  units.find(({ id }) => id === unitId)?.name ?? "the home";

export type ToolList = {
  homeName: string;
  tools: Wanted[];
  consumables: Wanted[];
  /** Tools that belong to one thing of the house, and where they hang. */
  own: { tool: string; hangs: string; of: string }[];
};

/** What a house needs for all its jobs together. */
export async function toolsOf(homeId: string): Promise<ToolList | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const { units, slots, parts } = snapshot;
  const jobs = tasksNow(snapshot).filter(({ isOff, who }) => !isOff && who !== "licensed");
  const wanted = jobs.flatMap((task) => {
    const found = procedureIn(snapshot, task.procedureIds[0] ?? "");
    if (!found || found.who === "licensed") return [];
    const unit = units.find(({ id }) => id === task.unitId);
    const slot = slots.find(({ id }) => id === task.partId);
    const part = parts.find(({ id }) => id === task.partId);
    const facts = factsOf(snapshot, { unit, slot, part });
    const words = unit ? `${unit.name}: ${inSentence(task.name)}` : task.name;
    return [
      {
        words,
        procedure: withSize(found, slot && slotTitle(slot)),
        setting: { facts, variant: usualVariant(found) },
      },
    ];
  });
  const named = (id: string) => units.find((unit) => unit.id === id)?.name ?? "";
  return {
    homeName: snapshot.home.name,
    ...bringList(wanted),
    own: [...slots, ...parts].flatMap(({ identity, name, unitId }) =>
      identity?.tool
        ? [
            {
              tool: identity.tool,
              hangs: identity.toolHangs ?? "",
              of: `${named(unitId)}, ${inSentence(name)}`,
            },
          ]
        : [],
    ),
  };
}
