import type { VACUUM as Vacuum } from "@/core/filters/slot-wear";
import type { CLEAN_DUCTS as CleanDucts } from "@/core/history/duct-cleanings";
import type { REACHED as Reached, ROOF_SAFE as RoofSafe } from "@/core/inventory/reach";
import type {
  DRIFTING_OUT as DriftingOut,
  REPLACE_WHEN as ReplaceWhen,
} from "@/core/readings/capacitor-drift";
import type { LEFT_OPEN as LeftOpen } from "@/core/runs/procedure";
import type { GREY_LOOK as GreyLook } from "@/core/scheduling/schedule";
import type { LOOK as Look, RENEW as Renew } from "@/core/scheduling/task";

/**
 * The keys by which the core recognises what the content speaks of. Their types are the core's own,
 * so that neither side can change one alone.
 */
export const VACUUM: typeof Vacuum = "vacuum";
export const CLEAN_DUCTS: typeof CleanDucts = "clean";
export const REACHED: typeof Reached = "reached";
export const ROOF_SAFE: typeof RoofSafe = "roof-safe";
export const DRIFTING_OUT: typeof DriftingOut = "drifting-out";
export const REPLACE_WHEN: typeof ReplaceWhen = { key: "replace-when", drifting: "drifting" };
export const GREY_LOOK: typeof GreyLook = "grey-look";
export const LOOK: typeof Look = "look";
export const RENEW: typeof Renew = "renew";
export const LEFT_OPEN: typeof LeftOpen = "left-open";
