"use client";

import { useState, type Ref } from "react";
import { minutesAtWork } from "@/core/runs/run";
import type { RunState } from "@/core/runs/run-state";
import { readWhole } from "@/lib/forms";
import { readMoney } from "@/core/quantities/money";
import { CheckField, TextField } from "@/ui/field";

export type FinishStart = {
  /** What it cost the last time, or what its slot says, as one types it. */
  cost: string;
  consumables: string[];
};
export type FinishValues = { minutes?: number; costMinor: number; used: string[] };

const MOST_MINUTES = 6000;

/** The end of a run: that all is back, or what stays open; what it took. */
export function FinishForm({
  ref,
  state,
  heading,
  start,
  currency,
  startedAt,
  onFinish,
}: {
  ref: Ref<HTMLFormElement>;
  state: RunState;
  heading: React.RefObject<HTMLHeadingElement | null>;
  start: FinishStart;
  currency: string;
  startedAt: string;
  onFinish: (values: FinishValues) => void;
}) {
  const [errors, setErrors] = useState<{ minutes?: string; cost?: string }>({});
  const left = state.completed.filter((each) => each.leftOpen !== undefined);
  const { aborted } = state;
  const submit = (form: FormData) => {
    const text = (name: string) => String(form.get(name) ?? "").trim();
    const minutes =
      text("minutes") === "" ? undefined : readWhole(text("minutes"), 0, MOST_MINUTES);
    const cost = text("cost") === "" ? 0 : readMoney(text("cost"), currency);
    const problems = {
      ...(minutes === null ? { minutes: `Whole minutes, 0 to ${MOST_MINUTES}.` } : {}),
      ...(cost === null ? { cost: `Write what it cost in ${currency}, such as 18.50.` } : {}),
    };
    setErrors(problems);
    if (Object.keys(problems).length > 0 || cost === null || minutes === null) return;
    const used = form.getAll("used").map(String);
    onFinish({ ...(minutes === undefined ? {} : { minutes }), costMinor: cost, used });
  };
  return (
    <form
      ref={ref}
      noValidate
      className="flex max-w-[38rem] flex-col gap-4 text-[1.375rem] leading-snug"
      onSubmit={(event) => {
        event.preventDefault();
        submit(new FormData(event.currentTarget));
      }}
    >
      <h2 ref={heading} tabIndex={-1} className="text-[1.875rem] outline-none wide:text-[2.25rem]">
        {left.length > 0
          ? "Something stays open"
          : aborted
            ? "Everything is back, the job is put off"
            : "Everything is back as it was"}
      </h2>
      {left.length === 0 ? (
        <p>
          {aborted
            ? `“${aborted.words}” is shown before the next time. Its due day stays what it was.`
            : "Nothing is left off, open or out."}
        </p>
      ) : (
        <>
          <ul className="flex flex-col gap-2">
            {left.map(({ step, leftOpen }) => (
              <li key={step.id} className="border-l-[6px] border-attention bg-wash px-4 py-3">
                Not done: {step.title.charAt(0).toLowerCase() + step.title.slice(1)}. “{leftOpen}”
              </li>
            ))}
          </ul>
          <p>It stays on every page until it is put right.</p>
        </>
      )}
      {!aborted && (
        <div className="flex flex-col gap-4 border-t-2 border-ink pt-4 text-[1.125rem]">
          <div className="grid grid-cols-2 gap-4">
            <TextField
              label="Minutes at work"
              name="minutes"
              inputMode="numeric"
              className="figures min-h-14"
              defaultValue={String(minutesAtWork(startedAt, state.completed))}
              error={errors.minutes}
            />
            <TextField
              label={`Cost, ${currency}`}
              name="cost"
              inputMode="decimal"
              className="figures min-h-14"
              defaultValue={start.cost}
              error={errors.cost}
            />
          </div>
          {start.consumables.length > 0 && (
            <fieldset>
              <legend className="font-semibold">Used up</legend>
              {start.consumables.map((thing) => (
                <CheckField key={thing} label={thing} name="used" value={thing} defaultChecked />
              ))}
            </fieldset>
          )}
        </div>
      )}
    </form>
  );
}
