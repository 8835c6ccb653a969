"use client";

import { useEffect, useEffectEvent, useState } from "react";
import type { Step } from "@/core/runs/procedure";

/** What is said of a step: its caution first. */
export const spokenOf = (step: Step): string =>
  [step.caution && `Take care. ${step.caution}`, step.title, step.detail, step.why]
    .filter(Boolean)
    .map((each) => String(each).replace(/([^.!?])$/, "$1."))
    .join(" ");

/** Reads each step aloud as it comes, with the browser's own voice, while somebody wants it. */
export function useReadAloud(words: string | null): {
  can: boolean;
  isOn: boolean;
  toggle: () => void;
} {
  const [isOn, setOn] = useState(false);
  const [can, setCan] = useState(false);
  const say = useEffectEvent(() => {
    if (!isOn || words === null) return;
    speechSynthesis.cancel();
    speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  });
  // The voice is the browser's: it follows the words, and stops with the page.
  useEffect(() => {
    queueMicrotask(() => setCan("speechSynthesis" in window));
    return () => {
      if ("speechSynthesis" in window) speechSynthesis.cancel();
    };
  }, []);
  useEffect(() => say(), [words, isOn]);
  const toggle = () => {
    if (isOn) speechSynthesis.cancel();
    setOn(!isOn);
  };
  return { can, isOn, toggle };
}
