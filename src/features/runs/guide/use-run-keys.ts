"use client";

import { useEffect, useEffectEvent } from "react";
import { singleKeys } from "@/ui/single-keys";

/** Space chooses a swatch that is not chosen yet, and presses what it stands on. */
const needsSpace = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.closest("a, button, summary, select") !== null ||
    (target instanceof HTMLInputElement &&
      (target.type === "checkbox" || (target.type === "radio" && !target.checked))));

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest("input:not([type=radio], [type=checkbox]), textarea") !== null;

export type RunKey = "goOn" | "back" | "staysOpen" | "measure" | "photo" | "note" | "emergency";

/** The keys of a run: they say nothing while somebody types, or while something is asked. */
export function useRunKeys(isAsking: boolean, press: (key: RunKey) => void): void {
  const onKey = useEffectEvent((event: KeyboardEvent, key: RunKey) => {
    if (isAsking || isTyping(event.target) || (key === "goOn" && needsSpace(event.target))) return;
    event.preventDefault();
    press(key);
  });
  // Keys belong to the window, which React does not own.
  useEffect(
    () =>
      singleKeys({
        Space: (event) => onKey(event, "goOn"),
        Backspace: (event) => onKey(event, "back"),
        o: (event) => onKey(event, "staysOpen"),
        m: (event) => onKey(event, "measure"),
        p: (event) => onKey(event, "photo"),
        n: (event) => onKey(event, "note"),
        "!": (event) => onKey(event, "emergency"),
        "Shift+!": (event) => onKey(event, "emergency"),
      }),
    [],
  );
}
