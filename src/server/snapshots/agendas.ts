import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { agendaOf, type TaskStanding } from "@/core/scheduling/schedule";
import type { HomeBook } from "@/core/inventory/inventory";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { standingsOf } from "./standings";

/** Two years of rounds: as far ahead as anybody plans. */
export const AGENDA_DAYS = 730;

const known = new WeakMap<HomeBook, Map<PlainDate, TaskStanding[]>>();

/** Every job of a home today, worked out once as long as nothing under it changes. */
export function agendaNow(book: HomeBook, today: PlainDate): TaskStanding[] {
  const days = known.get(book) ?? new Map<PlainDate, TaskStanding[]>();
  known.set(book, days);
  let agenda = days.get(today);
  if (!agenda) {
    const until = addDays(today, AGENDA_DAYS);
    agenda = agendaOf(book, tasksOf(book), standingsOf(book, today), today, until);
    days.set(today, agenda);
  }
  return agenda;
}
