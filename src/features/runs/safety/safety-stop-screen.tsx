"use client";

import { useState } from "react";
import { keptOffWords, safetyStopTitle, stopSteps } from "@/presentation/run-words";
import type { SafetyStop } from "@/core/runs/run-state";
import type { Contact } from "@/core/inventory/inventory";
import { Button } from "@/ui/button";
import { Callable } from "./callable";
import { SayDialog } from "../guide/say-dialog";

/** Stopped: what to do now, whom to call, and the way back once it is safe. */
export function SafetyStopScreen({
  safetyStop,
  heading,
  contacts,
  rules,
  onSafe,
  onKeepOff,
  onWrong,
}: {
  safetyStop: SafetyStop;
  heading: React.RefObject<HTMLHeadingElement | null>;
  contacts: readonly Contact[];
  rules: string | undefined;
  onSafe: (words: string) => void;
  /** Puts the machine together, and leaves off what feeds it, in these words. */
  onKeepOff: (words: string) => void;
  /** Takes back a reading that was chosen by mistake. */
  onWrong: () => void;
}) {
  const [asking, setAsking] = useState(false);
  const steps = stopSteps(safetyStop);
  const roles = safetyStop.why === "gas" ? ["gas", "technician"] : ["technician", "gas"];
  const callable = roles.flatMap((role) => contacts.filter((each) => each.role === role));
  return (
    <section aria-label="Stop" className="flex flex-col gap-5 text-[1.375rem] leading-snug">
      <div className="border-[6px] border-attention bg-wash p-5">
        <p className="font-display text-[1.25rem] font-bold tracking-wide text-attention-text">
          Stop
        </p>
        <h2
          ref={heading}
          tabIndex={-1}
          className="text-[1.875rem] outline-none wide:text-[2.25rem]"
        >
          {safetyStopTitle(safetyStop)}
        </h2>
        <ol className="mt-3 list-decimal space-y-2 pl-7">
          {steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </div>
      {callable.length > 0 ? (
        <ul className="flex flex-col gap-2">
          {callable.map((contact) => (
            <Callable key={contact.id} contact={contact} />
          ))}
        </ul>
      ) : (
        <p>
          No number is written down. Your gas supplier’s emergency line stands on the meter and on
          every bill.
        </p>
      )}
      {rules && <p className="text-second">Here: {rules}</p>}
      <div className="flex flex-wrap gap-3">
        {safetyStop.why === "reading" && (
          <Button
            weight="strong"
            className="min-h-14 text-[1.1875rem]"
            onClick={() => onKeepOff(keptOffWords(safetyStop))}
          >
            Put it together, leave it off
          </Button>
        )}
        <Button className="min-h-14 text-[1.1875rem]" onClick={() => setAsking(true)}>
          It has been made safe
        </Button>
        <Button weight="quiet" className="min-h-14 text-[1.1875rem]" onClick={onWrong}>
          {safetyStop.why === "reading" ? "I chose the wrong one" : "It was a mistake"}
        </Button>
      </div>
      {asking && (
        <SayDialog
          title="Made safe: by whom, and how?"
          label="Kept with this job"
          missing="Say who made it safe, and how."
          submit="Go on"
          onClose={() => setAsking(false)}
          onSay={(said) => {
            setAsking(false);
            onSafe(said);
          }}
        />
      )}
    </section>
  );
}
