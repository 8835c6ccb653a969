import "server-only";
import { randomUUID } from "node:crypto";
import type { FilterSlot } from "@/core/inventory/inventory";
import type { PlainDate } from "@/core/quantities/plain-date";
import { insertSlot, updateSlot } from "@/db/repositories/parts";
import { createdAt, type OpenHome } from "./home-command";
import { appendReplacement } from "./records";

export type SlotFacts = Omit<FilterSlot, "id" | "unitId">;

/**
 * Enters a filter slot at a unit of this home, with the filter in it where its day is known.
 *
 * @param nth of several entered at once, for their order
 * @returns its id
 */
export async function addSlot(
  home: OpenHome,
  unitId: string,
  facts: SlotFacts,
  fittedOn: PlainDate | undefined,
  nth = 0,
): Promise<string> {
  const slot: FilterSlot = { id: randomUUID(), unitId, ...facts };
  const at = createdAt(home, nth);
  await insertSlot(home.tx, slot, at);
  if (fittedOn) await appendReplacement(home, slot, { date: fittedOn, recordedAt: at });
  return slot.id;
}

/** Changes what is written of a slot; where it is stays, and what its plate says unless that is told anew. */
export const changeSlot = (
  { tx }: OpenHome,
  { id, unitId, identity = {} }: FilterSlot,
  facts: SlotFacts,
): Promise<void> => updateSlot(tx, { identity, ...facts, id, unitId });
