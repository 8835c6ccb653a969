import { homeStatus } from "@/server/snapshots/snapshot-cache";
import "server-only";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { renewalOf } from "@/content/procedures/library";
import { coilSheet, reasonWords, filterStatusesOf } from "@/server/snapshots/snapshot-cache";
import type { PlainDate } from "@/core/quantities/plain-date";
import { partKind } from "@/content/part-kinds";
import { agoWords } from "@/core/quantities/words";
import type { DueState } from "@/core/scheduling/due";
import { bySoonestDue, type JobStatus } from "@/core/scheduling/schedule";
import type { CoilSheet, CoilStatus } from "@/core/filters/coil-wear";
import { dueWords, jobFill } from "@/presentation/schedule-words";
import { driversOf } from "@/core/filters/slot-wear";
import type {
  AirSystem,
  Contact,
  FilterSlot,
  Part,
  Room,
  ScopedDriver,
  Unit,
} from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { bySoonestSummary, summaryOf, type FilterSummary } from "@/presentation/filter-status";
import type { FilterStatus } from "@/core/filters/filter-status";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";
import { historyLines, type HistoryLine } from "@/presentation/history-rows";

const MOST_SHOWN = 12;

export type Shown = { lines: HistoryLine[]; total: number };

function shown(
  snapshot: HomeSnapshot,
  events: readonly HistoryEvent[],
  today: PlainDate,
  all: boolean,
  named: boolean,
): Shown {
  const some = all ? events : events.slice(-MOST_SHOWN);
  return { lines: historyLines(snapshot, some, today, named), total: events.length };
}

/** A part that is no filter slot, and when it was last seen to. */
export type PartRow = {
  id: string;
  name: string;
  /** When it was last seen to, or else what it wants. */
  says: string;
  lastDone: PlainDate | null;
  /** Of the soonest of its jobs that has a day; empty and null where none has. */
  due: string;
  dueOn: PlainDate | null;
  state: DueState;
  fill: number | null;
};

export type UnitSheet = {
  snapshot: HomeSnapshot;
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
  filters: FilterSummary[];
  /** Of a unit out of service: its slots stand for themselves. */
  retiredSlots: FilterSlot[];
  parts: PartRow[];
  history: Shown;
};

const unitOf = (snapshot: HomeSnapshot, unitId: string): Unit | undefined =>
  [...snapshot.units, ...snapshot.retired].find((each) => each.id === unitId);

export async function unitSheetOf(
  homeId: string,
  unitId: string,
  all: boolean,
): Promise<UnitSheet | null> {
  const snapshot = await homeSnapshot(homeId);
  const unit = snapshot && unitOf(snapshot, unitId);
  if (!snapshot || !unit) return null;
  const today = todayIn(snapshot.home.timeZone);
  const parts = snapshot.parts.filter((part) => part.unitId === unit.id);
  return {
    snapshot,
    today,
    unit,
    levelName: snapshot.levels.find((level) => level.id === unit.levelId)?.name ?? "",
    room: snapshot.rooms.find((room) => room.id === unit.roomId),
    system: snapshot.systems.find((system) => system.id === unit.systemId),
    runsWith: snapshot.units.filter(
      (each) => each.id !== unit.id && each.systemId === unit.systemId,
    ),
    contact: snapshot.contacts.find((contact) => contact.id === unit.contactId),
    successor: unit.successorId ? unitOf(snapshot, unit.successorId) : undefined,
    predecessor: snapshot.retired.find((each) => each.successorId === unit.id),
    filters: filterStatusesOf(snapshot, today)
      .filter((filterStatus) => filterStatus.unit.id === unit.id)
      .map((filterStatus) => summaryOf(homeStatus(snapshot, today), filterStatus))
      .sort(bySoonestSummary),
    retiredSlots: snapshot.retiredSlots.filter((slot) => slot.unitId === unit.id),
    parts: parts.map((part) => partRow(snapshot, part, today)),
    history: shown(snapshot, snapshot.history.ofUnit(unit.id), today, all, true),
  };
}

function partRow(snapshot: HomeSnapshot, part: Part, today: PlainDate): PartRow {
  const { care, done } = partKind(part.kind);
  const last = lastDone(snapshot, part.id, today);
  const next = scheduleNow(snapshot, today)
    .filter(({ task, due }) => task.partId === part.id && due !== null)
    .sort(bySoonestDue)[0];
  return {
    id: part.id,
    name: part.name,
    says: last ? `${done.toLowerCase()} ${agoWords(last, today)}` : care,
    lastDone: last,
    due: next ? dueWords(next, today) : "",
    dueOn: next?.due ?? null,
    state: next?.state ?? "none",
    fill: next ? jobFill(next, today) : null,
  };
}

/** When what its kind is for was last done; other jobs at the part are told with their own. */
function lastDone(snapshot: HomeSnapshot, partId: string, today: PlainDate): PlainDate | null {
  const main = scheduleNow(snapshot, today).find(({ task }) => task.partId === partId);
  if (main) return main.lastDone;
  return snapshot.history.ofPart(partId).findLast((event) => event.kind === "done")?.date ?? null;
}

type Common = { snapshot: HomeSnapshot; today: PlainDate; unit: Unit; history: Shown };
export type PartSheet =
  | (Common & {
      kind: "slot";
      filterStatus: FilterStatus;
      drivers: { driver: ScopedDriver; words: string }[];
      events: readonly HistoryEvent[];
      /** The verb of the procedure that leads through its renewal. */
      guide: string;
      status: FilterSummary;
      siblings: FilterSummary[];
    })
  | (Common & { kind: "retired-slot"; slot: FilterSlot })
  | (Common & {
      kind: "part";
      part: Part;
      lastDone: PlainDate | null;
      room: Room | undefined;
      /** The job most done there, if its kind has one. */
      mainJob: string | null;
      /** Whether a procedure leads through that. */
      isLed: boolean;
      /** Of a coil: how it wears. */
      coil: CoilOnSheet | null;
    });

/** A coil as its sheet shows it. */
export type CoilOnSheet = {
  status: CoilStatus;
  sheet: CoilSheet;
  /** The job of cleaning it. */
  job: JobStatus | undefined;
  drivers: { driver: ScopedDriver; words: string }[];
};

function coilOnSheet(snapshot: HomeSnapshot, part: Part, today: PlainDate): CoilOnSheet | null {
  const home = homeStatus(snapshot, today);
  const status = home.coils.find((each) => each.part.id === part.id);
  if (!status) return null;
  return {
    status,
    sheet: coilSheet(snapshot, status, today),
    job: home.jobs.find(({ task }) => task.partId === part.id && task.key === "clean"),
    drivers: driversOf(snapshot, part).map((driver) => ({ driver, words: reasonWords(driver) })),
  };
}

export async function partSheetOf(
  homeId: string,
  partId: string,
  all: boolean,
): Promise<PartSheet | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const slot = [...snapshot.slots, ...snapshot.retiredSlots].find((each) => each.id === partId);
  const part = snapshot.parts.find((each) => each.id === partId);
  const unit = unitOf(snapshot, (slot ?? part)?.unitId ?? "");
  if (!unit) return null;
  const today = todayIn(snapshot.home.timeZone);
  const events = snapshot.history.ofPart(partId);
  const common = { snapshot, today, unit, history: shown(snapshot, events, today, all, false) };
  if (part) {
    const room = snapshot.rooms.find((each) => each.id === part.roomId);
    const main = scheduleNow(snapshot, today).find(({ task }) => task.partId === part.id)?.task;
    return {
      ...{ ...common, kind: "part", part, room },
      lastDone: lastDone(snapshot, part.id, today),
      mainJob: main?.id ?? null,
      isLed: (main?.procedureIds.length ?? 0) > 0,
      coil: coilOnSheet(snapshot, part, today),
    };
  }
  if (!slot) return null;
  const siblings = filterStatusesOf(snapshot, today).filter((each) => each.unit.id === unit.id);
  const filterStatus = siblings.find((each) => each.slot.id === slot.id);
  if (!filterStatus) return { ...common, kind: "retired-slot", slot };
  return {
    ...common,
    kind: "slot",
    filterStatus,
    events,
    drivers: driversOf(snapshot, slot).map((driver) => ({ driver, words: reasonWords(driver) })),
    guide: renewalOf(slot.media, unit.kind).verb,
    status: summaryOf(homeStatus(snapshot, today), filterStatus),
    siblings: siblings.map((each) => summaryOf(homeStatus(snapshot, today), each)),
  };
}

/** A unit by itself or one of its parts, for pages that only have to name it. */
export async function unitHeadOf(
  homeId: string,
  of: { unitId: string } | { partId: string },
): Promise<{ unit: Unit; partName: string | null } | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  if ("unitId" in of) {
    const unit = unitOf(snapshot, of.unitId);
    return unit ? { unit, partName: null } : null;
  }
  const part = [...snapshot.slots, ...snapshot.retiredSlots, ...snapshot.parts].find(
    (each) => each.id === of.partId,
  );
  const unit = part && unitOf(snapshot, part.unitId);
  return unit ? { unit, partName: part.name } : null;
}
