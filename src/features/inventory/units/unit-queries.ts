import "server-only";
import { agendaNow } from "@/server/snapshots/agendas";
import { renewalOf } from "@/content/procedures/library";
import { reasonWords, standingsOf } from "@/server/snapshots/standings";
import type { PlainDate } from "@/core/quantities/plain-date";
import { bySoonestDue, type TaskStanding } from "@/core/scheduling/schedule";
import { driversOf } from "@/core/filters/slot-wear";
import { historyOf, historyOfUnit } from "@/core/history/record";
import type {
  AirSystem,
  Contact,
  FilterSlot,
  HistoryEvent,
  HomeBook,
  Part,
  Room,
  ScopedDriver,
  Unit,
} from "@/core/inventory/inventory";
import { bySoonestStatus, statusOf, type FilterStatus } from "@/presentation/filter-status";
import type { Standing } from "@/core/filters/filter-status";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import { historyLines, type HistoryLine } from "@/presentation/history-rows";

const MOST_SHOWN = 12;

export type Shown = { lines: HistoryLine[]; total: number };

function shown(
  book: HomeBook,
  events: HistoryEvent[],
  today: PlainDate,
  all: boolean,
  named: boolean,
): Shown {
  const some = all ? events : events.slice(-MOST_SHOWN);
  return { lines: historyLines(book, some, today, named), total: events.length };
}

/** A part that is no filter slot, and when it was last seen to. */
export type PartRow = {
  part: Part;
  lastDone: PlainDate | null;
  /** The soonest of its jobs that has a day. */
  next: TaskStanding | null;
};

export type UnitSheet = {
  book: HomeBook;
  today: PlainDate;
  unit: Unit;
  levelName: string;
  room: Room | undefined;
  system: AirSystem | undefined;
  /** The other machines of its air system. */
  runsWith: Unit[];
  contact: Contact | undefined;
  successor: Unit | undefined;
  predecessor: Unit | undefined;
  /** Its filters, soonest due first. */
  filters: FilterStatus[];
  /** Of a unit out of service: its slots stand for themselves. */
  retiredSlots: FilterSlot[];
  parts: PartRow[];
  history: Shown;
};

const unitOf = (book: HomeBook, unitId: string): Unit | undefined =>
  [...book.units, ...book.retired].find((each) => each.id === unitId);

export async function unitSheetOf(
  homeId: string,
  unitId: string,
  all: boolean,
): Promise<UnitSheet | null> {
  const book = await homeBook(homeId);
  const unit = book && unitOf(book, unitId);
  if (!book || !unit) return null;
  const today = todayIn(book.home.timeZone);
  const parts = book.parts.filter((part) => part.unitId === unit.id);
  return {
    book,
    today,
    unit,
    levelName: book.levels.find((level) => level.id === unit.levelId)?.name ?? "",
    room: book.rooms.find((room) => room.id === unit.roomId),
    system: book.systems.find((system) => system.id === unit.systemId),
    runsWith: book.units.filter((each) => each.id !== unit.id && each.systemId === unit.systemId),
    contact: book.contacts.find((contact) => contact.id === unit.contactId),
    successor: unit.successorId ? unitOf(book, unit.successorId) : undefined,
    predecessor: book.retired.find((each) => each.successorId === unit.id),
    filters: standingsOf(book, today)
      .filter((standing) => standing.unit.id === unit.id)
      .map((standing) => statusOf(book, standing, today))
      .sort(bySoonestStatus),
    retiredSlots: book.retiredSlots.filter((slot) => slot.unitId === unit.id),
    parts: parts.map((part) => ({
      part,
      lastDone: lastDone(book, part.id, today),
      next:
        agendaNow(book, today)
          .filter(({ task, due }) => task.partId === part.id && due !== null)
          .sort(bySoonestDue)[0] ?? null,
    })),
    history: shown(book, historyOfUnit(book, unit.id), today, all, true),
  };
}

/** When what its kind is for was last done; other jobs at the part are told with their own. */
function lastDone(book: HomeBook, partId: string, today: PlainDate): PlainDate | null {
  const main = agendaNow(book, today).find(({ task }) => task.partId === partId);
  if (main) return main.lastDone;
  return historyOf(book, partId).findLast((event) => event.kind === "done")?.date ?? null;
}

type Common = { book: HomeBook; today: PlainDate; unit: Unit; history: Shown };
export type PartSheet =
  | (Common & {
      kind: "slot";
      standing: Standing;
      drivers: { driver: ScopedDriver; words: string }[];
      events: HistoryEvent[];
      /** Its change is led through step by step. */
      /** The verb of the procedure that leads through its renewal, where there is one. */
      guide: string | null;
      status: FilterStatus;
      siblings: FilterStatus[];
    })
  | (Common & { kind: "retired-slot"; slot: FilterSlot })
  | (Common & {
      kind: "part";
      part: Part;
      lastDone: PlainDate | null;
      room: Room | undefined;
      /** The job most done there, if its kind has one. */
      mainJob: string | null;
    });

export async function partSheetOf(
  homeId: string,
  partId: string,
  all: boolean,
): Promise<PartSheet | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const slot = [...book.slots, ...book.retiredSlots].find((each) => each.id === partId);
  const part = book.parts.find((each) => each.id === partId);
  const unit = unitOf(book, (slot ?? part)?.unitId ?? "");
  if (!unit) return null;
  const today = todayIn(book.home.timeZone);
  const events = historyOf(book, partId);
  const common = { book, today, unit, history: shown(book, events, today, all, false) };
  if (part) {
    const room = book.rooms.find((each) => each.id === part.roomId);
    const mainJob = agendaNow(book, today).find(({ task }) => task.partId === part.id)?.task.id;
    return {
      ...{ ...common, kind: "part", part, room },
      lastDone: lastDone(book, part.id, today),
      mainJob: mainJob ?? null,
    };
  }
  if (!slot) return null;
  const siblings = standingsOf(book, today).filter((each) => each.unit.id === unit.id);
  const standing = siblings.find((each) => each.slot.id === slot.id);
  if (!standing) return { ...common, kind: "retired-slot", slot };
  return {
    ...common,
    kind: "slot",
    standing,
    events,
    drivers: driversOf(book, slot).map((driver) => ({ driver, words: reasonWords(driver) })),
    guide: renewalOf(slot.media)?.verb ?? null,
    status: statusOf(book, standing, today),
    siblings: siblings.map((each) => statusOf(book, each, today)),
  };
}

/** A unit by itself or one of its parts, for pages that only have to name it. */
export async function unitHeadOf(
  homeId: string,
  of: { unitId: string } | { partId: string },
): Promise<{ unit: Unit; partName: string | null } | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  if ("unitId" in of) {
    const unit = unitOf(book, of.unitId);
    return unit ? { unit, partName: null } : null;
  }
  const part = [...book.slots, ...book.retiredSlots, ...book.parts].find(
    (each) => each.id === of.partId,
  );
  const unit = part && unitOf(book, part.unitId);
  return unit ? { unit, partName: part.name } : null;
}
