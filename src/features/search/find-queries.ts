import { findByWords, findBySize, type FoundRow } from "@/server/snapshots/beside";
import { inSentence } from "@/core/quantities/words";
import "server-only";
import { procedureIn } from "@/content/procedures/library";
import { sizeToBuy, slotTitle } from "@/presentation/slot-words";
import { FIND_PAGES, SYNONYMS } from "@/content/find-pages";
import { SIGN_GROUPS } from "@/content/signs";
import { EMERGENCIES, EMERGENCY_WORDS } from "@/content/emergencies";
import { unitKind } from "@/content/unit-kinds";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import { readSize, type SizeReading } from "@/core/quantities/size";
import { plateWords } from "@/core/inventory/inventory";
import { type HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot, tasksNow } from "@/server/snapshots/snapshot-cache";

/** Sizes typed in the other unit are rounded there: 500 mm for 19 1/2 in. */
const SIZE_TOLERANCE_MM = 7;
const MOST_FOUND = 20;

export type Found = { id: string; group: string; title: string; detail: string; href: string };

/** What a home has that fits what was typed: a size in any notation, or words. */
export async function found(homeId: string, query: string): Promise<Found[]> {
  const snapshot = await homeSnapshot(homeId);
  const text = query.trim().slice(0, 100);
  if (!snapshot || text === "") return [];
  const size = readSize(text, snapshot.home.unitSystem === "us" ? "in" : "mm");
  return size.ok
    ? bySize(snapshot, size)
    : [
        ...emergencies(snapshot, text),
        ...(await byWords(snapshot, text)),
        ...pages(snapshot, text),
        ...signs(snapshot, text),
      ].slice(0, MOST_SHOWN);
}

/** So many fit under a field; what is the home’s own comes before what every home has. */
const MOST_SHOWN = 24;

const lettersOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length >= 2);

/** Whether every word that was typed begins one of these, or a word that means the same. */
function says(typed: readonly string[], words: readonly string[]): boolean {
  const all = words.flatMap(lettersOf);
  const has = (start: string) => all.some((word) => word.startsWith(start));
  return (
    typed.length > 0 &&
    typed.every(
      (each) =>
        has(each) ||
        SYNONYMS.some(
          (alike) =>
            alike.some((word) => word === each || (each.length >= 4 && word.startsWith(each))) &&
            alike.some((word) => all.includes(word)),
        ),
    )
  );
}

/** Pages and settings, by their names and by what else one may call them. */
function pages({ home, units }: HomeSnapshot, text: string): Found[] {
  const typed = lettersOf(text);
  const own = FIND_PAGES.filter(({ title, words }) => says(typed, [title, ...words])).map(
    ({ path, title, detail }): Found => ({
      id: `page ${path}`,
      group: "Pages",
      title,
      detail,
      href: path.startsWith("/") ? path : `/homes/${home.id}${path ? `/${path}` : ""}`,
    }),
  );
  const costs = says(typed, ["costs", "warranty", "budget"])
    ? units.map(({ id, name }): Found => ({
        id: `costs ${id}`,
        group: "Pages",
        title: `${name}: costs`,
        detail: "and its warranty on its own page",
        href: `/homes/${home.id}/units/${id}/costs`,
      }))
    : [];
  return [...own, ...costs.slice(0, MOST_COSTS)];
}
const MOST_COSTS = 6;

/** What one may notice: found by its words, it is noted in one press. */
function signs({ home }: HomeSnapshot, text: string): Found[] {
  const typed = lettersOf(text);
  return SIGN_GROUPS.flatMap(({ name, signs: all }) =>
    all
      .filter(({ words }) => says(typed, [words, name]))
      .map(({ id, words }): Found => ({
        id: `sign ${id}`,
        group: "Did you notice",
        title: words,
        detail: "note it, and see what to do",
        href: `/homes/${home.id}/noticed?sign=${id}`,
      })),
  );
}

/** What cannot wait, before all else: by the words one types in a hurry. */
function emergencies({ home }: HomeSnapshot, text: string): Found[] {
  const typed = text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length >= 2);
  const isMeant = (word: string) =>
    typed.some((each) => word === each || (each.length >= 4 && word.startsWith(each)));
  return EMERGENCIES.filter(({ id }) => EMERGENCY_WORDS[id].some(isMeant)).map(({ id, line }) => ({
    id: `emergency ${id}`,
    group: "Emergency",
    title: line,
    detail: "what to do now, and whom to call",
    href: `/emergency/${home.id}/${id}`,
  }));
}

async function bySize(
  snapshot: HomeSnapshot,
  size: Extract<SizeReading, { ok: true }>,
): Promise<Found[]> {
  const rows = await findBySize(snapshot.home.id, size.mm, SIZE_TOLERANCE_MM);
  return rows.flatMap(({ partId }) => {
    const slot = snapshot.slots.find((each) => each.id === partId);
    const unit = snapshot.units.find((each) => each.id === slot?.unitId);
    if (!slot || !unit) return [];
    return [
      {
        id: `size ${slot.id}`,
        group: "Takes this size",
        title: `${unit.name}: ${inSentence(slotTitle(slot))}`,
        detail: `buy ${sizeToBuy(slot)}`,
        href: `/homes/${snapshot.home.id}/parts/${slot.id}`,
      },
    ];
  });
}

async function byWords(snapshot: HomeSnapshot, text: string): Promise<Found[]> {
  // The index splits words where it stores them at the same signs.
  const words = text.split(/[^\p{L}\p{N}]+/u).filter(Boolean);
  const rows = await findByWords(snapshot.home.id, words, MOST_FOUND);
  return rows.flatMap((row) => toFound(snapshot, row) ?? []);
}

function toFound(snapshot: HomeSnapshot, row: FoundRow): Found | null {
  const home = `/homes/${snapshot.home.id}`;
  const unit = [...snapshot.units, ...snapshot.retired].find((each) => each.id === row.unitId);
  const at = unit ? `${unit.name}${unit.retiredOn ? " (out of service)" : ""}` : "";
  const id = `${row.kind} ${row.refId}`;
  switch (row.kind) {
    case "unit":
      return unit
        ? {
            id,
            group: "Units",
            title: at,
            detail: [unitKind(unit.kind).name, plateWords(unit)].filter(Boolean).join(", "),
            href: `${home}/units/${unit.id}`,
          }
        : null;
    case "part": {
      const slot = [...snapshot.slots, ...snapshot.retiredSlots].find(
        (each) => each.id === row.refId,
      );
      return {
        id,
        group: "Parts",
        title: slot ? slotTitle(slot) : row.title,
        detail: at,
        href: `${home}/parts/${row.refId}`,
      };
    }
    case "note":
      return {
        id,
        group: "Notes",
        title: row.title,
        detail: at,
        href: row.partId ? `${home}/parts/${row.partId}` : `${home}/units/${row.unitId}`,
      };
    case "contact": {
      const contact = snapshot.contacts.find((each) => each.id === row.refId);
      return contact
        ? {
            id,
            group: "Contacts",
            title: contact.name,
            detail: [CONTACT_ROLE_WORDS[contact.role], contact.phone].filter(Boolean).join(", "),
            href: `${home}/contacts`,
          }
        : null;
    }
    case "procedure": {
      const job = procedureIn(snapshot, row.refId);
      return job
        ? {
            id,
            group: "How it is done",
            title: job.title,
            detail: placesOf(snapshot, job.id),
            href: `${home}/procedures/${job.id}`,
          }
        : null;
    }
  }
}

const placesOf = (snapshot: HomeSnapshot, procedureId: string): string => {
  const jobs = tasksNow(snapshot).filter(
    (task) => !task.isOff && task.procedureIds.includes(procedureId),
  );
  return jobs.length === 0
    ? "for nothing here yet"
    : `for ${jobs.length === 1 ? "one job" : `${jobs.length} jobs`} here`;
};
