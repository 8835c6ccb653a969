import { useSyncExternalStore } from "react";

/** How much of the year is in sight: the beam and whatever hangs under it show the same. */
export const ZOOMS = { year: 1, season: 4, month: 11 } as const;
export type Zoom = keyof typeof ZOOMS;
export const ZOOM_NAMES = Object.keys(ZOOMS) as Zoom[];

// It outlives the page that set it, as the beam does.
let zoom: Zoom = "year";
const listeners = new Set<() => void>();

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

export function setZoom(next: Zoom): void {
  zoom = next;
  for (const listener of listeners) listener();
}

export const useZoom = (): Zoom =>
  useSyncExternalStore(
    subscribe,
    () => zoom,
    () => "year",
  );
