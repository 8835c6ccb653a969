import type { HomeSnapshot } from "../history/home-snapshot";
import type { FilterSlot } from "../inventory/inventory";
import { isRound } from "../quantities/size";

const MM2_PER_M2 = 1_000_000;

/**
 * The area that air passes, all filters of the slot together, m²; undefined as long as nobody knows its size.
 *
 * @example faceAreaM2({ filterCount: 2, nominal: { text: "500x500x25", mm: { w: 500, h: 500 } } }) // 0.5
 */
export function faceAreaM2({
  filterCount,
  nominal,
}: Pick<FilterSlot, "filterCount" | "nominal">): number | undefined {
  if (!nominal) return undefined;
  const { text, mm } = nominal;
  // Through a cylinder air comes from all round.
  const width = isRound(text) ? Math.PI * mm.w : mm.w;
  return (filterCount * width * mm.h) / MM2_PER_M2;
}

/**
 * Whether a slot sits in a grille of a room, where only a part of the air goes through.
 *
 * @example isGrille({ slotPlace: "wall-grille" }) // true
 */
export const isGrille = ({ slotPlace }: Pick<FilterSlot, "slotPlace">): boolean =>
  slotPlace === "wall-grille" || slotPlace === "ceiling-grille";

/**
 * Whether two slots of one air stream stand side by side, so that the air parts between them: the grilles
 * of rooms do, and the meshes of heads. What sits in a duct or in the machine stands behind the other.
 */
function isBeside(a: FilterSlot, b: FilterSlot): boolean {
  const isMesh = ({ media }: FilterSlot) => media === "head-mesh";
  return (isGrille(a) && isGrille(b)) || (isMesh(a) && isMesh(b));
}

/**
 * The air that passes a slot, m³/h: all that its system moves on that side, or its part by area where slots
 * stand side by side; undefined where nobody wrote down what the system moves.
 *
 * @example airflowThrough(snapshot([]), slot()) // undefined
 */
export function airflowThrough(
  { slots, units, systems }: Pick<HomeSnapshot, "slots" | "units" | "systems">,
  slot: FilterSlot,
): number | undefined {
  const systemIdOf = (unitId: string) => units.find(({ id }) => id === unitId)?.systemId;
  const systemId = systemIdOf(slot.unitId);
  const total = systems.find(({ id }) => id === systemId)?.airflowM3h;
  if (total === undefined) return undefined;
  const beside = slots.filter(
    (other) =>
      other.id !== slot.id &&
      other.airSide === slot.airSide &&
      isBeside(slot, other) &&
      systemIdOf(other.unitId) === systemId,
  );
  // What nobody has measured is taken to be as large as the one asked about.
  const area = faceAreaM2(slot) ?? 1;
  return (total * area) / beside.reduce((sum, other) => sum + (faceAreaM2(other) ?? area), area);
}
