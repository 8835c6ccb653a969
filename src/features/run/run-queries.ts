import "server-only";
import { standingsOf } from "@/content/standings";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, inSentence } from "@/core/quantities/words";
import type { RunEvent, RunPlace, RunState } from "@/core/procedures/run";
import type { FilterSlot, Home, Unit } from "@/core/register/register";
import type { Standing } from "@/core/register/standing";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import type { Run } from "@/db/repositories/runs";
import { now, todayIn } from "@/lib/clock";
import { placeOf, readRun } from "./run-replay";

export type RunSheet = {
  run: Run;
  home: Home;
  unit: Unit;
  slot: FilterSlot;
  events: RunEvent[];
  state: RunState;
  place: RunPlace;
  today: PlainDate;
  serverNow: string;
  /** After the run: how the slot stands now. */
  standing: Standing;
};

export async function runSheetOf(runId: string): Promise<RunSheet | null> {
  const { db } = await appStore();
  const found = await readRun(db, runId);
  if (!found) return null;
  const { run, events, state } = found;
  const book = await homeBook(run.homeId);
  const unit = book?.units.find((each) => each.id === run.unitId);
  const slot = book?.slots.find((each) => each.id === run.partId);
  if (!book || !unit || !slot) return null;
  const today = todayIn(book.home.timeZone);
  return {
    run,
    home: book.home,
    unit,
    slot,
    events,
    state,
    place: placeOf(run),
    today,
    serverNow: now().toISOString(),
    standing: standingsOf(book, today).find((standing) => standing.slot.id === slot.id)!,
  };
}

export const runTitle = ({ unit, slot }: RunSheet): string =>
  `${unit.name}, ${inSentence(slot.name)}`;

/** As one writes it on a frame: with the year. */
export const todayWords = ({ today }: RunSheet): string =>
  `${dayAndMonth(today, today)} ${today.slice(0, 4)}`;
