import "server-only";
import { filterStatus } from "@/presentation/filter-status";
import { agendaNow } from "@/server/snapshots/agendas";
import { partKind } from "@/content/part-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { stintsOf } from "@/core/filters/slot-wear";
import { historyOf } from "@/core/history/record";
import type { FilterSlot, Part, Unit } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";

/** What a label says: of the filter now in a slot, or of a part as it was last seen to. */
export type Label = {
  unit: Unit;
  doneOn: PlainDate | null;
  due: PlainDate | null;
} & ({ kind: "slot"; slot: FilterSlot } | { kind: "part"; part: Part; done: string });

export async function labelOf(homeId: string, partId: string): Promise<Label | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const slot = book.slots.find(({ id }) => id === partId);
  const part = book.parts.find(({ id }) => id === partId);
  const unit = book.units.find(({ id }) => id === (slot ?? part)?.unitId);
  if (!unit) return null;
  if (slot)
    return {
      kind: "slot",
      unit,
      slot,
      doneOn: stintsOf(book, slot).at(-1)?.startedOn ?? null,
      due: filterStatus(book, slot.id, today)?.due ?? null,
    };
  if (!part) return null;
  const job = agendaNow(book, today).find(({ task }) => task.partId === partId);
  const last = historyOf(book, partId).findLast(({ kind }) => kind === "done");
  const done = partKind(part.kind).done;
  return { kind: "part", unit, part, done, doneOn: last?.date ?? null, due: job?.due ?? null };
}
