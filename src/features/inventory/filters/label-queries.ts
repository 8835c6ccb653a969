import { homeStatus } from "@/server/snapshots/snapshot-cache";
import "server-only";
import { filterSummary } from "@/presentation/filter-status";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { partKind } from "@/content/part-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { installedPeriodsOf } from "@/core/filters/slot-wear";
import type { FilterSlot, Part, Unit } from "@/core/inventory/inventory";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";

/** What a label says: of the filter now in a slot, or of a part as it was last seen to. */
export type Label = {
  unit: Unit;
  doneOn: PlainDate | null;
  due: PlainDate | null;
} & ({ kind: "slot"; slot: FilterSlot; why: string } | { kind: "part"; part: Part; done: string });

export async function labelOf(homeId: string, partId: string): Promise<Label | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const slot = snapshot.slots.find(({ id }) => id === partId);
  const part = snapshot.parts.find(({ id }) => id === partId);
  const unit = snapshot.units.find(({ id }) => id === (slot ?? part)?.unitId);
  if (!unit) return null;
  if (slot) {
    const summary = filterSummary(homeStatus(snapshot, today), slot.id);
    return {
      kind: "slot",
      unit,
      slot,
      doneOn: installedPeriodsOf(snapshot, slot).at(-1)?.startedOn ?? null,
      due: summary?.due ?? null,
      why: summary?.due ? summary.why : "",
    };
  }
  if (!part) return null;
  const job = scheduleNow(snapshot, today).find(({ task }) => task.partId === partId);
  const last = snapshot.history.ofPart(partId).findLast(({ kind }) => kind === "done");
  const done = partKind(part.kind).done;
  return { kind: "part", unit, part, done, doneOn: last?.date ?? null, due: job?.due ?? null };
}
