import { useEffect, useRef, type RefObject } from "react";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Grouped } from "./year-drag";

/** Occurrences on a day, as a round or by themselves. */
export type Place = { of: Grouped["of"]; day: PlainDate; isRound?: true | undefined };

/** What a mark, a head or a line of the list is found by, to stand on again. */
export const standsFor = ({ of, day, isRound }: Place) => ({
  "data-of": JSON.stringify(of.map(({ task }) => task)),
  "data-day": day,
  "data-round": isRound,
});

const isFocusLost = (): boolean =>
  document.activeElement === null || document.activeElement === document.body;

/** Takes the focus to what stands for them; false where nothing that can be seen does. */
function standOn({ of, day, isRound }: Place): boolean {
  const task = JSON.stringify(of[0]?.task);
  const found = [...document.querySelectorAll<HTMLElement>(`[data-of][data-day="${day}"]`)].find(
    (each) =>
      each.matches("[data-round]") === (isRound === true) &&
      each.dataset["of"]!.includes(task) &&
      each.checkVisibility(),
  );
  found?.focus();
  return found !== undefined;
}

/**
 * Keeps whoever goes by keys somewhere on the page: what was pressed may be gone from it as it is now. They stand
 * on what they moved, else at the title.
 *
 * @param shown what is on the page; each other one is a page as it is now
 */
export function useKeptFocus(title: RefObject<HTMLElement | null>, shown: unknown) {
  const place = useRef<Place | null>(null);
  const hasActed = useRef(false);
  const stand = () => {
    const isAtTitle = document.activeElement === title.current;
    if (!isFocusLost() && !isAtTitle) return;
    if (!(place.current && standOn(place.current)) && !isAtTitle) title.current?.focus();
  };
  // The page as it is now comes after the answer.
  useEffect(() => {
    if (!hasActed.current) return;
    hasActed.current = false;
    stand();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- it reads refs and the document only
  }, [shown]);
  return {
    /** Something was done; where it was done to something, that stands there from now on. */
    acted: (at: Place | null) => {
      hasActed.current = true;
      place.current = at;
      stand();
    },
    /** Back from a dialog over the page, that was about something. */
    back: (from: Place) => {
      if (!(place.current && standOn(place.current)) && !standOn(from)) title.current?.focus();
    },
    /** Something else is chosen: what was moved before matters no more. */
    forget: () => {
      hasActed.current = false;
      place.current = null;
    },
  };
}
