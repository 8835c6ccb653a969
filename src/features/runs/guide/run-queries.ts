import "server-only";
import { agendaNow } from "@/server/snapshots/agendas";
import { filterStatus, type FilterStatus } from "@/presentation/filter-status";
import { standingsOf } from "@/server/snapshots/standings";
import { unitKind } from "@/content/unit-kinds";
import { hasDisplay } from "@/core/inventory/alarms";
import { bringOf } from "@/core/runs/procedure";
import type { RunState } from "@/core/runs/run-state";
import { moneyFigure } from "@/core/quantities/money";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, inSentence } from "@/core/quantities/words";
import { bySoonestDue, isPutOff, type TaskStanding } from "@/core/scheduling/schedule";
import type { FilterSlot, HistoryEvent, HomeBook, Part, Unit } from "@/core/inventory/inventory";
import { taskId } from "@/core/scheduling/task";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { listEventsOfRun } from "@/db/repositories/history";
import { listPhotosOfRun, type Photo } from "@/db/repositories/photos";
import type { Run } from "@/db/repositories/runs";
import { now, todayIn } from "@/lib/clock";
import type { RunInput } from "./use-run";
import type { RunWith } from "./run-with";
import { tryAgainOn } from "../prepare/run-facts";
import { openBesideRun, readRun } from "../record/run-replay";

export type RunSheet = {
  run: Run;
  book: HomeBook;
  unit: Unit | undefined;
  part: Part | FilterSlot | undefined;
  slot: FilterSlot | undefined;
  state: RunState;
  input: RunInput;
  today: PlainDate;
  photos: Photo[];
  /** After the run: how its job stands now, and the filter, where it is one. */
  job: TaskStanding | undefined;
  status: FilterStatus | undefined;
  /** What the run wrote and what counts of it. */
  written: HistoryEvent[];
  /** What comes next: at the same machine first. */
  next: TaskStanding | undefined;
};

/** A job this near is offered next, days. */
const NEXT_WITHIN = 30;

export async function runSheetOf(runId: string): Promise<RunSheet | null> {
  const { db } = await appStore();
  const found = await readRun(db, runId);
  const book = found && (await homeBook(found.run.homeId));
  if (!found || !book) return null;
  const { run, job: input, events, state } = found;
  const unit = book.units.find(({ id }) => id === run.unitId);
  const slot = book.slots.find(({ id }) => id === run.partId);
  const part = slot ?? book.parts.find(({ id }) => id === run.partId);
  if ((run.unitId && !unit) || (run.partId && !part)) return null;
  const today = todayIn(book.home.timeZone);
  const place = { unitId: run.unitId ?? undefined, partId: run.partId ?? undefined };
  const agenda = agendaNow(book, today);
  const own = taskId(place, run.taskKey);
  const isOver = run.endedAt !== null;
  const written = isOver ? await listEventsOfRun(db, runId) : [];
  const gone = new Set(book.events.flatMap(({ corrects }) => corrects ?? []));
  return {
    run,
    book,
    unit,
    part,
    slot,
    // A run that ended under an earlier library may no longer replay to its end: ended it is.
    state: isOver && state.status === "going" ? { ...state, status: "finished" } : state,
    input: {
      runId,
      job: input,
      events,
      serverNow: now().toISOString(),
      beside: isOver ? [] : await openBesideRun(db, run.homeId, runId, now()),
    },
    today,
    photos: await listPhotosOfRun(db, runId),
    job: agenda.find(({ task }) => task.id === own),
    status: (slot && filterStatus(book, slot.id, today)) ?? undefined,
    written: written.filter(({ id, kind }) => kind !== "withdrawn" && !gone.has(id)),
    next: nextOf(agenda, own, unit, today),
  };
}

/** The most pressing job after this one that its doer may do: at the same machine, else anywhere. */
function nextOf(
  agenda: readonly TaskStanding[],
  own: string,
  unit: Unit | undefined,
  today: PlainDate,
): TaskStanding | undefined {
  const until = addDays(today, NEXT_WITHIN);
  const near = agenda
    .filter(
      (job) =>
        job.task.id !== own &&
        job.task.who !== "licensed" &&
        job.due !== null &&
        job.due <= until &&
        !isPutOff(job, today),
    )
    .sort(bySoonestDue);
  return near.find((job) => job.unit?.id === unit?.id) ?? near[0];
}

export const runTitle = ({ unit, part, run }: RunSheet): string =>
  unit
    ? [unit.name, part && inSentence(part.name)].filter(Boolean).join(", ")
    : run.procedure.title;

/** As one writes it on a frame: with the year. */
const todayWords = (today: PlainDate): string =>
  `${dayAndMonth(today, today)} ${today.slice(0, 4)}`;

/** What the screen of a run knows beside the run. */
export function runWith(sheet: RunSheet): RunWith {
  const { run, book, unit, slot, today, photos } = sheet;
  const { home } = book;
  const named = (units: readonly Unit[]) =>
    units.map(({ id, name }) => ({ value: id, label: name }));
  const { consumables } = bringOf(run.procedure, { facts: run.facts, variant: run.variant });
  const filters = [...standingsOf(book, today)].sort(
    (a, b) => (b.wear?.percentNow ?? 0) - (a.wear?.percentNow ?? 0),
  );
  return {
    homeId: home.id,
    unit,
    slot,
    title: runTitle(sheet),
    dateToday: todayWords(today),
    today,
    tryAgain: tryAgainOn(today),
    system: home.unitSystem,
    currency: home.currency,
    places: {
      filters: filters.map(({ unit: of, slot: each }) => ({
        value: each.id,
        label: `${of.name}, ${inSentence(each.name)}`,
        unit: of.id,
      })),
      machines: named(
        book.units.filter(({ kind, setUpStep }) => unitKind(kind).runs && !setUpStep),
      ),
      alarms: book.units.flatMap(({ id, name, kind }) =>
        kind === "co-alarm" ? [{ value: id, label: name, hasDisplay: hasDisplay(book, id) }] : [],
      ),
    },
    contacts: book.contacts,
    rules: home.localRules,
    hasGas:
      run.procedure.gas === true || unit?.shutOffs.some(({ kind }) => kind === "gas-cock") === true,
    photos: photos.map(({ id }) => id),
    startedAt: run.startedAt,
    finish: { cost: costOf(slot, home.currency), consumables },
  };
}

const costOf = (slot: FilterSlot | undefined, currency: string): string =>
  slot?.priceMinor === undefined ? "" : moneyFigure(slot.priceMinor * slot.filterCount, currency);
