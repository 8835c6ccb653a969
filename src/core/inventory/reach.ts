import type { FilterSlot, Unit } from "./inventory";

/** How one gets to a machine, as somebody said it. */
export const REACHES = ["floor", "ladder", "loft", "roof"] as const;
export type Reach = (typeof REACHES)[number];

/** The keys of the answers it hangs on. */
export const REACHED = "reached";
export const ROOF_SAFE = "roof-safe";

/**
 * How one gets to a machine, or to a slot of it: by what is stored. A packaged unit stands on a roof
 * until somebody says otherwise; a grille in a ceiling wants a ladder wherever its machine stands.
 *
 * @example reachOf({ kind: "rooftop", attributes: {} }) // "roof"
 */
export function reachOf(unit: Unit | undefined, slot?: FilterSlot): Reach {
  const said = REACHES.find((each) => each === unit?.attributes[REACHED]);
  const reach = said ?? (unit?.kind === "rooftop" ? "roof" : "floor");
  return reach === "floor" && slot?.slotPlace === "ceiling-grille" ? "ladder" : reach;
}

/**
 * Whether work there is for licensed or building staff: a roof nobody called safely reached.
 *
 * @example isRoofWork({ kind: "rooftop", attributes: {} }) // true
 */
export const isRoofWork = (unit: Unit | undefined): boolean =>
  reachOf(unit) === "roof" && unit?.attributes[ROOF_SAFE] !== "yes";
