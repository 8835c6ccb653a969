"use client";

import { useEffect, useRef, useState } from "react";
import { leftWords, type RunTime } from "./run-times";

const SECOND_MS = 1000;

/** A phone in a pocket buzzes; a page nobody touched yet may not. */
function callByBuzz(): void {
  if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([200, 100, 200]);
}

/** The time by the server, read every second while somebody looks. */
export function useSeconds(now: () => number): number | null {
  const [at, setAt] = useState<number | null>(null);
  // The clock is outside React.
  useEffect(() => {
    const tick = () => setAt(now());
    queueMicrotask(tick);
    const timer = setInterval(tick, SECOND_MS);
    return () => clearInterval(timer);
  }, [now]);
  return at;
}

/** Times that run by themselves, side by side; each calls once when it is over. */
export function TimeStrip({ times, at }: { times: readonly RunTime[]; at: number | null }) {
  const isOver = (time: RunTime) => at !== null && Date.parse(time.readyAt) <= at;
  const called = useRef(new Set<string>());
  // Only the browser can make a phone vibrate in somebody's pocket.
  useEffect(() => {
    for (const time of times) {
      if (at === null) return;
      const over = Date.parse(time.readyAt) <= at;
      if (over && !called.current.has(time.key)) callByBuzz();
      if (over) called.current.add(time.key);
    }
  }, [times, at]);
  if (times.length === 0) return null;
  return (
    <ul
      aria-label="Times running"
      className="flex flex-wrap gap-x-6 border-b-2 border-ink bg-wash px-4"
    >
      {times.map((time) => (
        <li
          key={time.key}
          data-over={isOver(time) || undefined}
          className="flex min-h-11 items-center gap-3 text-[1.1875rem]"
        >
          <span>{time.words.charAt(0).toUpperCase() + time.words.slice(1)}</span>
          <strong className="figures" role={isOver(time) ? "status" : undefined}>
            {at === null
              ? ""
              : isOver(time)
                ? time.isDrying
                  ? "its time is over"
                  : "time is over"
                : leftWords(time.readyAt, at)}
          </strong>
        </li>
      ))}
    </ul>
  );
}
