import "server-only";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { TechnicianDay } from "@/core/planning/technician-days";
import type { HomeStatus } from "@/core/timeline/home-status";
import { technicianDaysAside } from "@/server/heavy";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords, inSentence, listWords, longDate } from "@/core/quantities/words";
import { todayIn } from "@/lib/clock";
import { StoreTrouble } from "@/lib/store-trouble";
import { listHomes } from "@/server/snapshots/beside";
import { homeYear } from "@/server/snapshots/home-year";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";

export type VisitDay = {
  day: PlainDate;
  minutes: number;
  homes: { id: string; name: string; units: { id: string; name: string; jobs: string[] }[] }[];
  asked: { day: PlainDate; words: string }[];
  /** A visit has that day already. */
  isAgreed: boolean;
  title: string;
  /** To be sent: it asks for three days. */
  text: string;
};

export type TechnicianPage = { today: PlainDate; days: VisitDay[]; to: string; homes: number };

type Worked = { others: readonly HomeStatus[]; days: Promise<TechnicianDay[]> };

/** Worked out once for as long as the homes stand so: whoever asks meanwhile waits for the same. */
function daysOf(statuses: readonly HomeStatus[]): Promise<TechnicianDay[]> {
  const [own, ...others] = statuses as [HomeStatus, ...HomeStatus[]];
  const kept = shownOnce(own, "technician-days", (): { last: Worked | null } => ({ last: null }));
  const isSame =
    kept.last?.others.length === others.length &&
    others.every((each, i) => each === kept.last?.others[i]);
  if (kept.last && isSame) return kept.last.days;
  const inputs = statuses.map((status) => homeYear(status).model.input);
  const days = technicianDaysAside(inputs).then((told) => {
    if (told) return told;
    kept.last = null;
    throw new StoreTrouble("busy", "too many computations wait");
  });
  kept.last = { others, days };
  return days;
}

/** What is a technician’s alone in all homes, bundled into few days. */
export async function technicianPage(homeId: string): Promise<TechnicianPage | null> {
  const own = await homeSnapshot(homeId);
  if (!own) return null;
  const today = todayIn(own.home.timeZone);
  const others = (await listHomes()).filter(({ id }) => id !== homeId);
  const snapshots: HomeSnapshot[] = [own];
  for (const { id } of others) {
    // One that cannot be read has no say in the others’ days.
    const other = await homeSnapshot(id).catch(() => null);
    if (other) snapshots.push(other);
  }
  const statuses = snapshots.map((snapshot) => homeStatus(snapshot, today));
  const days = await daysOf(statuses);
  const shown = days.map(({ day, minutes, homes, asked }): VisitDay => {
    const places = homes.map(({ home, tasks }) => {
      const status = statuses.find(({ snapshot }) => snapshot.home.id === home)!;
      return { ...placesOf(status.snapshot, tasks, status.jobs), id: home };
    });
    const base = {
      ...{ day, minutes: Math.round(minutes), homes: places },
      isAgreed: asked.length === 1,
      asked: asked.map((each) => ({
        day: each.day,
        words: dateWords(each.day, today),
      })),
    };
    return { ...base, title: titleOf(places), text: textOf(base) };
  });
  return {
    ...{ today, days: shown, homes: snapshots.length },
    to: own.contacts.find(({ role, email }) => role === "technician" && email)?.email ?? "",
  };
}

type Place = VisitDay["homes"][number];

function placesOf(
  snapshot: HomeSnapshot,
  tasks: readonly string[],
  jobs: ReturnType<typeof homeStatus>["jobs"],
): Omit<Place, "id"> {
  const units = new Map<string, Place["units"][number]>();
  for (const { task, unit } of jobs) {
    if (!tasks.includes(task.id)) continue;
    const place = units.get(unit?.id ?? "") ?? {
      ...{ id: unit?.id ?? "", name: unit?.name ?? "The whole home", jobs: [] },
    };
    place.jobs.push(task.name);
    units.set(place.id, place);
  }
  return { name: snapshot.home.name, units: [...units.values()] };
}

const titleOf = (homes: readonly Place[]): string =>
  `A day for ${listWords(homes.map(({ name }) => name))}`;

/** The letter: what is to be done where, how long it takes, and which three days would suit. */
function textOf({ homes, asked, minutes }: Pick<VisitDay, "homes" | "asked" | "minutes">): string {
  const days = asked.map(({ day }) => longDate(day));
  const work = homes.map(
    ({ name, units }) =>
      `${name}:\n${units
        .map((unit) => `- ${unit.name}: ${listWords(unit.jobs.map(inSentence))}`)
        .join("\n")}`,
  );
  const wanted =
    days.length === 1
      ? `It is agreed for ${days[0]!}.`
      : `Could you come on one of these days: ${days.slice(0, -1).join(", ")} or ${days.at(-1)!}?`;
  return [
    "Good day,",
    minutes === 0
      ? "we look forward to your visit."
      : `some work here is for a licensed person, about ${minutes} minutes of it, and could be done in one visit.`,
    ...work,
    wanted,
    "Which day suits, and at what time? With kind regards",
  ].join("\n\n");
}
