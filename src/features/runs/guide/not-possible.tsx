"use client";

import { useState } from "react";
import { NOT_POSSIBLE_OPTIONS, notPossibleWords } from "@/presentation/run-words";
import { readPlainDate } from "@/core/quantities/plain-date";
import type { NotPossible } from "@/core/runs/run-event";
import { Button } from "@/ui/button";
import { DayField } from "@/ui/day-field";
import { TextArea } from "@/ui/field";
import { SwatchChoice } from "@/ui/swatch-choice";
import { RunDialog } from "./run-dialogs";

export type Reason = { reason: NotPossible; words: string; until: string };
const FEWEST_LETTERS = 3;

/** That a job is not possible now: why, and when to try again. What is open is closed on the way back. */
export function NotPossibleDialog({
  open,
  tryAgain,
  today,
  onTurnBack,
  onGiveUp,
  onClose,
}: {
  /** How many ends are open. */
  open: number;
  tryAgain: string;
  today: string;
  onTurnBack: (reason: Reason) => void;
  /** Leaves no trace; null once something was opened. */
  onGiveUp: (() => void) | null;
  onClose: () => void;
}) {
  const [reason, setReason] = useState<NotPossible>("out-of-reach");
  const [errors, setErrors] = useState<{ until?: string }>({});
  return (
    <RunDialog title="Not possible now" onClose={onClose}>
      <p className="mt-1">
        {open > 0
          ? "You are led back: everything open is closed again, nothing counts as done, and this is shown before the next time."
          : "Nothing counts as done. It is shown before the next time."}
      </p>
      <form
        className="mt-3 flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          const form = new FormData(event.currentTarget);
          const typed = String(form.get("words") ?? "").trim();
          const words = typed.length < FEWEST_LETTERS ? notPossibleWords(reason) : typed;
          const until = readPlainDate(String(form.get("until") ?? ""));
          const isAhead = until !== null && until >= today;
          setErrors(isAhead ? {} : { until: "Give today or a later day." });
          if (isAhead) onTurnBack({ reason, words, until });
        }}
      >
        <SwatchChoice
          label="What comes nearest"
          name="reason"
          options={NOT_POSSIBLE_OPTIONS}
          chosen={reason}
          onChoose={(value) => setReason(value as NotPossible)}
        />
        <TextArea
          label="In your words, if you like, for the next time"
          name="words"
          rows={2}
          maxLength={300}
        />
        <DayField
          label="Try again on"
          name="until"
          min={today}
          defaultValue={tryAgain}
          error={errors.until}
        />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" weight="strong" className="min-h-14">
            {open > 0 ? "Lead me back" : "Put it off"}
          </Button>
          <Button className="min-h-14" onClick={onClose}>
            Cancel
          </Button>
          {onGiveUp && (
            <Button weight="quiet" className="min-h-14" onClick={onGiveUp}>
              Give this job up
            </Button>
          )}
        </div>
      </form>
    </RunDialog>
  );
}
