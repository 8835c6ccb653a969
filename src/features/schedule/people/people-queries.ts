import "server-only";
import { whoDoes } from "@/core/planning/home-plan";
import { peopleOf, USUAL_OWNER, type Leaves, type Person } from "@/core/planning/year";
import { dayAndMonth, listWords } from "@/core/quantities/words";
import type { FormFields } from "@/lib/forms";
import { todayIn } from "@/lib/clock";
import { jobFactsOf } from "@/server/snapshots/job-facts";
import { homeSnapshot, tasksNow } from "@/server/snapshots/snapshot-cache";
import { fieldsOfPerson } from "./person-form";

export type PersonRow = {
  id: string;
  name: string;
  isVisit: boolean;
  /** “Saturdays and Sundays, else any day; 2 hours at most”. */
  days: string;
  /** What is left to others, whose machines are theirs, when they are away. */
  more: string[];
  jobs: number;
  /** Somebody has to keep the home. */
  mayGo: boolean;
};

export type PeoplePage = {
  rows: PersonRow[];
  units: { value: string; label: string }[];
  changed: { id: string; name: string; isVisit: boolean; fields: FormFields } | null;
  fresh: FormFields;
  /** Jobs that nobody of the home does. */
  nobody: number;
};

const NAMES = ["Mondays", "Tuesdays", "Wednesdays", "Thursdays", "Fridays", "Saturdays", "Sundays"];
const nameOfDay = (day: number) => NAMES[day - 1]!;

export const LEAVES_WORDS: Record<Leaves, string> = {
  power: "switching machines off",
  outdoors: "work out of doors",
  height: "ladders, roofs and crawl spaces",
};

function daysWords({ weekdays, preferred, mostMinutes }: Person): string {
  const all = weekdays.length === NAMES.length ? "any day" : listWords(weekdays.map(nameOfDay));
  const days =
    preferred.length === 0 || preferred.length === weekdays.length
      ? `${all[0]!.toUpperCase()}${all.slice(1)}`
      : `${listWords(preferred.map(nameOfDay))}, else ${weekdays.length === NAMES.length ? "any day" : "the other days that can be"}`;
  return `${days}; ${mostMinutes} minutes at most`;
}

export async function peopleOfHome(
  homeId: string,
  wanted: string | undefined,
): Promise<PeoplePage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const people = peopleOf(snapshot.year);
  const factsOf = jobFactsOf(snapshot);
  const whose = tasksNow(snapshot)
    .filter(({ isOff }) => !isOff)
    .map((task) => whoDoes(people, task, factsOf(task))?.id ?? null);
  const unitName = (id: string) => snapshot.units.find((unit) => unit.id === id)?.name;
  const owners = people.filter(({ kind }) => kind === "owner");
  const rows = people.map((person): PersonRow => {
    const theirs = person.unitIds.flatMap((id) => unitName(id) ?? []);
    const away = person.away.filter(({ to }) => to >= today);
    return {
      ...{ id: person.id, name: person.name, isVisit: person.kind === "technician" },
      days: daysWords(person),
      more: [
        ...(theirs.length > 0 ? [`Looks after ${listWords(theirs)}.`] : []),
        ...(person.leaves.length > 0
          ? [`Leaves ${listWords(person.leaves.map((each) => LEAVES_WORDS[each]))} to others.`]
          : []),
        ...(away.length > 0
          ? [
              `Away ${listWords(
                away.map(({ from, to }) =>
                  from === to
                    ? dayAndMonth(from, today)
                    : `${dayAndMonth(from, today)} to ${dayAndMonth(to, today)}`,
                ),
              )}.`,
            ]
          : []),
      ],
      jobs: whose.filter((id) => id === person.id).length,
      mayGo: person.kind === "owner" && owners.length > 1,
    };
  });
  const changed = people.find(({ id }) => id === wanted);
  return {
    rows,
    units: snapshot.units.map(({ id, name }) => ({ value: id, label: name })),
    changed: changed
      ? {
          ...{ id: changed.id, name: changed.name, isVisit: changed.kind === "technician" },
          fields: fieldsOfPerson(changed),
        }
      : null,
    fresh: fieldsOfPerson({ ...USUAL_OWNER, name: "" }),
    nobody: whose.filter((id) => id === null).length,
  };
}
