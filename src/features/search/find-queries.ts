import { findByWords, findBySize, type FoundRow } from "@/server/snapshots/beside";
import { inSentence } from "@/core/quantities/words";
import "server-only";
import { procedureIn } from "@/content/procedures/library";
import { sizeToBuy, slotTitle } from "@/presentation/slot-words";
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
    : [...emergencies(snapshot, text), ...(await byWords(snapshot, text))];
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
