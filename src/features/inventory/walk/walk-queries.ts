import "server-only";
import { isAlarm } from "@/core/inventory/alarms";
import {
  PAST_LOOKS,
  PAST_TRACES,
  isLikelyAt,
  WALK_FINDS,
  type WalkFind,
} from "@/content/first-walk";
import {
  END_STOP,
  firstWalk,
  MAINS_STOP,
  PAST_STOP,
  walkOn,
  type FirstWalk,
  type WalkOn,
  type WalkPlace,
} from "@/core/inventory/first-walk";
import { MAIN_WORDS } from "@/content/words";
import { MAINS, type FilterSlot, type Main, type Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { plan } from "@/core/planning/plan";
import type { HomeStatus } from "@/core/timeline/home-status";
import { homeYear } from "@/server/snapshots/home-year";
import { firstYear, type FirstYear } from "@/core/planning/first-year";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { capitalised, countWords, inSentence } from "@/core/quantities/words";
import { todayOrder } from "@/core/scheduling/today-order";
import { jobTitle } from "@/presentation/task-words";
import { todayIn } from "@/lib/clock";
import {
  listPhotosOfMains,
  listPhotosOfStop,
  listWalkStops,
  type Photo,
} from "@/server/snapshots/beside";
import {
  homeSnapshot,
  homeStatus,
  scheduleNow,
  shownOnce,
} from "@/server/snapshots/snapshot-cache";
import { fieldsOfHome } from "../homes/setup-queries";
import { ownersOf, placeFieldsOf } from "./walk-form";

export type WalkPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  walk: FirstWalk;
  /** Whether anything of it was done, and whether somebody ended it. */
  isBegun: boolean;
  isEnded: boolean;
  /** Where it goes on: where something was typed and not saved, else behind the stop seen last. */
  on: WalkOn | null;
  /** What was typed at a stop and not saved. */
  typedAt: (stop: string) => Record<string, string[]> | null;
};

export async function walkOf(homeId: string): Promise<WalkPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const stored = await listWalkStops(homeId);
  const seen = new Set(stored.flatMap(({ stop, seenAt }) => (seenAt ? [stop] : [])));
  const walk = firstWalk(snapshot, seen);
  const left = walk.stops.find(
    ({ on }) => "stop" in on && stored.some(({ stop, typed }) => stop === on.stop && typed),
  );
  const [last] = stored
    .filter(({ seenAt, stop }) => seenAt !== null && stop !== END_STOP)
    .sort((a, b) => (a.seenAt! < b.seenAt! ? 1 : -1));
  return {
    snapshot,
    today: todayIn(snapshot.home.timeZone),
    walk,
    on: left?.on ?? walkOn(walk, last?.stop),
    isBegun: stored.length > 0,
    isEnded: seen.has(END_STOP),
    typedAt: (wanted) => stored.find(({ stop }) => stop === wanted)?.typed ?? null,
  };
}

/** The address of what comes next on a walk; of its overview where nothing does. */
export const walkHref = (homeId: string, on: WalkOn | null): string => {
  const home = `/homes/${homeId}`;
  if (!on) return `${home}/walk`;
  return "stop" in on ? `${home}/walk/${on.stop}` : `${home}/units/${on.unitId}/set-up/${on.step}`;
};

/** How a stop or machine is called. */
export function walkWords(on: WalkOn, { snapshot, walk }: Pick<WalkPage, "snapshot" | "walk">) {
  if ("unitId" in on) return snapshot.units.find(({ id }) => id === on.unitId)?.name ?? "";
  if (on.stop === MAINS_STOP) return "The main shut-offs";
  if (on.stop === PAST_STOP) return "What was before";
  const place = walk.places.find(({ key }) => key === on.stop);
  return place ? placeName(place) : "";
}

/** “Kitchen”, or “Ground floor” for the level with what it has beside its rooms. */
export const placeName = ({ level, room }: WalkPlace): string => room?.name ?? level.name;

/** A walk that is under way: how far it is, and where it goes on after a machine or stop. */
export async function walkUnderWay(
  homeId: string,
  after?: string,
): Promise<{ seen: number; total: number; href: string; words: string } | null> {
  const page = await walkOf(homeId);
  if (!page?.isBegun || page.isEnded) return null;
  const { walk } = page;
  const on = after === undefined ? page.on : walkOn(walk, after);
  return {
    seen: walk.seen,
    total: walk.total,
    href: on ? walkHref(homeId, on) : `/homes/${homeId}/walk/${END_STOP}`,
    words: on ? walkWords(on, page) : "",
  };
}

export type AskedFind = WalkFind & { owners: Unit[] };
export type StopPage = WalkPage & {
  stop: string;
  pictures: Photo[];
  /** At the stop of the main shut-offs, the pictures of each. */
  ofMains: Record<Main, Photo[]> | null;
  initial: Record<string, string[]>;
  place: (WalkPlace & { likely: AskedFind[]; others: AskedFind[]; slots: FilterSlot[] }) | null;
};

/** One stop with everything its page shows; null where there is none of that key. */
export async function stopOf(homeId: string, stop: string): Promise<StopPage | null> {
  const page = await walkOf(homeId);
  if (!page) return null;
  const { snapshot, walk, typedAt } = page;
  const place = walk.places.find(({ key }) => key === stop);
  if (!place && stop !== MAINS_STOP && stop !== PAST_STOP) return null;
  const pictures = await listPhotosOfStop(homeId, stop);
  const fresh = place
    ? placeFieldsOf(place, snapshot)
    : stop === MAINS_STOP
      ? fieldsOfHome(snapshot.home, snapshot.contacts)
      : pastFieldsOf(snapshot);
  const ofMains = stop === MAINS_STOP ? await listPhotosOfMains(homeId) : null;
  const common = { ...page, stop, pictures, ofMains, initial: typedAt(stop) ?? fresh };
  if (!place) return { ...common, place: null };
  const asked = WALK_FINDS.filter(
    ({ places }) => places.includes(place.level.place) || place.level.place === "outbuilding",
  ).map((find) => ({ ...find, owners: ownersOf(find, snapshot.units) }));
  const name = place.room?.name ?? place.level.name;
  const at = { levelPlace: place.level.place, name };
  return {
    ...common,
    place: {
      ...place,
      slots: snapshot.slots.filter(({ roomId }) => roomId && roomId === place.room?.id),
      likely: asked.filter((find) => isLikelyAt(find, at)),
      others: asked.filter((find) => !isLikelyAt(find, at)),
    },
  };
}

/** The past as its form shows it: what was said of it already. */
function pastFieldsOf({ drivers }: HomeSnapshot): Record<string, string[]> {
  const movedIn = drivers.find(({ kind, from }) => kind === "moved-in" && from)?.from;
  const traces = tracesOf(drivers);
  const works = drivers.find(({ kind, from }) => kind === "renovation" && from);
  return {
    ...(movedIn ? { movedIn: [movedIn] } : {}),
    ...(traces.length > 0 ? { before: ["others"], trace: traces.map(({ kind }) => kind) } : {}),
    ...(works?.from ? { worksFrom: [works.from], worksTo: [works.to ?? ""] } : {}),
  };
}

/** What those before left behind: what had ended by the day one moved in. */
function tracesOf(drivers: HomeSnapshot["drivers"]): (typeof PAST_TRACES)[number][] {
  const movedIn = drivers.find(({ kind }) => kind === "moved-in")?.from;
  return PAST_TRACES.filter((trace) =>
    drivers.some(
      ({ kind, from, to }) =>
        kind === trace.kind &&
        movedIn !== undefined &&
        (kind === "renovation" ? from !== undefined : to !== undefined && to <= movedIn),
    ),
  );
}

export type PastLook = { href: string; words: string };
export type WalkEnd = WalkPage & {
  counts: { units: number; filters: number; registers: number; alarms: number };
  /** What is not known yet, and where it is said. */
  gaps: { words: string; href: string }[];
  first: { words: string; when: string; href: string }[];
  year: FirstYear;
  past: { whys: string[]; looks: PastLook[] };
};

const MOST_FIRST = 5;
/** Places not seen are named one by one up to so many. */
const MOST_UNSEEN = 3;

/** How a walk ends: what the register holds now, what is due first, a year of it, and what is left to ask. */
export async function walkEndOf(homeId: string): Promise<WalkEnd | null> {
  const page = await walkOf(homeId);
  if (!page) return null;
  const { snapshot, today } = page;
  const { units, slots, registers } = snapshot;
  const status = homeStatus(snapshot, today);
  return {
    ...page,
    counts: {
      units: units.length,
      filters: slots.length,
      registers: registers.length,
      alarms: units.filter(({ kind }) => isAlarm(kind)).length,
    },
    gaps: gapsOf(page),
    first: todayOrder(status.jobs, today)
      .slice(0, MOST_FIRST)
      .map(({ job }) => ({
        words: jobTitle(job),
        when: job.due ?? "",
        href: `/homes/${homeId}/jobs/${job.task.id}`,
      })),
    year: shownOnce(status, "first-year", () => calmYear(status)),
    past: pastLooksOf(snapshot, today),
  };
}

/** A plan good enough to be told at once; the Year’s own searches longer. */
const ITERATIONS = 200;

/** The first year by the plan that counts, else by one made on the spot. */
function calmYear(status: HomeStatus): FirstYear {
  const { model, current, people } = homeYear(status);
  const view = current?.view ?? plan({ ...model.input, iterations: ITERATIONS });
  const technicians = new Set(
    people.flatMap(({ id, kind }) => (kind === "technician" ? [id] : [])),
  );
  return firstYear(status.jobs, view, technicians, status.today);
}

/** The looks at coil and ducts that those before make worth while, until they were taken. */
export function pastLooksOf(snapshot: HomeSnapshot, today: PlainDate): WalkEnd["past"] {
  const { home, drivers } = snapshot;
  const movedIn = drivers.find(({ kind }) => kind === "moved-in")?.from;
  const traces = tracesOf(drivers);
  const looks = scheduleNow(snapshot, today).filter(
    ({ task: { kind, key }, lastDone }) =>
      PAST_LOOKS.some((name) => name === `${kind}:${key}`) &&
      (lastDone === null || (movedIn !== undefined && lastDone < movedIn)),
  );
  return {
    whys: traces.length > 0 && looks.length > 0 ? traces.map(({ why }) => why) : [],
    looks:
      traces.length > 0
        ? looks.map((job) => ({
            href: `/homes/${home.id}/jobs/${job.task.id}/start`,
            words: jobTitle(job),
          }))
        : [],
  };
}

function gapsOf({ snapshot, walk }: WalkPage): WalkEnd["gaps"] {
  const { home, units } = snapshot;
  const unseen = walk.places.filter(({ isSeen }) => !isSeen);
  const to = (path: string) => `/homes/${home.id}/${path}`;
  return [
    ...walk.halfEntered.map(({ id, name, setUpStep }) => ({
      words: `${name} is half entered`,
      href: to(`units/${id}/set-up/${setUpStep ?? "plate"}`),
    })),
    ...MAINS.filter((main) => !home.mains?.[main]).map((main) => ({
      words: `Where is the ${inSentence(MAIN_WORDS[main])}?`,
      href: to(`walk/${MAINS_STOP}`),
    })),
    ...units
      .filter(
        ({ kind, attributes }) =>
          isAlarm(kind) && readPlainDate(attributes["made-on"] ?? "") === null,
      )
      .map(({ id, name }) => ({
        words: `${name}: when was it made?`,
        href: to(`units/${id}/edit`),
      })),
    ...(unseen.length > MOST_UNSEEN
      ? [
          {
            words: `${capitalised(countWords(unseen.length))} places were not seen`,
            href: to("walk"),
          },
        ]
      : unseen.map((place) => ({
          words: `${placeName(place)} was not seen`,
          href: to(`walk/${place.key}`),
        }))),
  ];
}
