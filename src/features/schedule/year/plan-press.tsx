"use client";

import { useEffect, useRef, useState } from "react";
import { addDays } from "@/core/quantities/plain-date";
import { Button } from "@/ui/button";
import { keepDraft } from "./year-actions";
import type { Planner } from "./use-planner";
import type { YearPage } from "./year-queries";

type Going = { share: number; first: number | null; minutes: number | null };

const HORIZON_DAYS = 365;

/** The button that was pressed is gone: whoever goes by keys stands at what came in its place. */
const takeFocus = (element: HTMLElement | null): void => element?.focus();

/** Plans the year in a worker: how far it is, the best so far, and two ways to end it early. */
export function PlanPress({
  page: { homeId, today, draft, current },
  planner,
  onDraft,
  onEnded,
}: {
  page: YearPage;
  planner: Planner;
  onDraft: () => void;
  /** It is over, whatever came of it. */
  onEnded: () => void;
}) {
  const [going, setGoing] = useState<Going | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const isFirst = !draft && !current;

  const start = async () => {
    setTrouble(null);
    setGoing({ share: 0, first: null, minutes: null });
    try {
      const days = await planner.plan((share, minutes) =>
        setGoing((before) => before && { share, minutes, first: before.first ?? minutes }),
      );
      if (days) {
        const answer = await keepDraft(homeId, {
          madeOn: today,
          horizonEnd: addDays(today, HORIZON_DAYS),
          days,
        });
        if (answer.kind === "done") onDraft();
        else setTrouble("The plan could not be kept. Try again.");
      }
    } catch {
      setTrouble("The app could not be reached; nothing was planned. Try again.");
    }
    setGoing(null);
  };
  // The buttons of the search are gone from the page by then.
  const wasGoing = useRef(false);
  useEffect(() => {
    if (wasGoing.current && !going) onEnded();
    wasGoing.current = going !== null;
  }, [going, onEnded]);

  if (going)
    return (
      <div
        ref={takeFocus}
        tabIndex={-1}
        className="flex flex-wrap items-center gap-3 outline-none"
        role="group"
        aria-label="Planning"
      >
        <div className="min-w-56">
          <progress
            aria-label="Planning the year"
            max={1}
            value={going.share}
            className="h-3 w-full accent-link"
          />
          <p className="figures text-second">
            {Math.round(100 * going.share)} %
            {going.first !== null && going.minutes !== null && going.first - going.minutes >= 1
              ? `, ${Math.round(going.first - going.minutes)} minutes saved so far`
              : ""}
          </p>
        </div>
        <Button onClick={planner.stop}>Take the best so far</Button>
        <Button onClick={planner.cancel}>Cancel</Button>
      </div>
    );
  return (
    <>
      {trouble && (
        <p role="alert" className="text-attention-text">
          {trouble}
        </p>
      )}
      <Button weight={isFirst ? "strong" : "plain"} onClick={() => void start()}>
        {isFirst ? "Plan the year" : "Plan anew"}
      </Button>
    </>
  );
}
