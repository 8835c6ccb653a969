"use client";

import { STRATEGY_WORDS } from "@/presentation/task-words";
import { Button } from "@/ui/button";
import { ChoiceField, SelectField, TextField } from "@/ui/field";
import { Form, type FormView } from "@/ui/form";
import { WithPreview } from "@/ui/with-preview";
import { useState } from "react";
import type { JobDates } from "./job-dates";
import type { Strategy } from "@/core/scheduling/task";
import type { StrategyCard } from "./strategies";
import { DatesPreview } from "./dates-preview";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

const STRATEGIES = Object.entries(STRATEGY_WORDS).map(([value, { name }]) => ({
  value,
  label: name,
}));

/** The three strategies side by side, which of them governs here, and the way to another. */
export function StrategyCards({
  cards,
  action,
  preview,
  initial,
  forget,
}: {
  cards: readonly StrategyCard[];
  /** Forgets what looks taught; null where they taught nothing yet. */
  forget: (() => Promise<void>) | null;
  action: Action;
  preview: (form: FormData) => Promise<JobDates | null>;
  initial: FormView;
}) {
  return (
    <section aria-labelledby="schools">
      <h2 id="schools" className="sr-only">
        Three ways to decide
      </h2>
      <ul className="grid border-t-2 border-ink wide:grid-cols-3">
        {cards.map((card) => (
          <li
            key={card.strategy}
            data-governs={card.governs || undefined}
            className="border-rule py-2.5 data-governs:-mt-[3px] data-governs:border-t-[6px] data-governs:border-t-ink max-wide:border-b wide:border-l wide:px-4 wide:first:border-l-0 wide:first:pl-0"
          >
            <p>
              <strong>{card.name}</strong>
              {card.governs && <span className="text-second"> governs</span>}
            </p>
            <p className="figures text-lg font-semibold">{card.says}</p>
            <p className="text-[0.9375rem] text-second">{card.why}</p>
          </li>
        ))}
      </ul>
      {forget && (
        <form action={forget} className="-mt-1">
          <Button type="submit" weight="quiet" className="-ml-2">
            Forget what its looks taught
          </Button>
        </form>
      )}
      <details className="group border-b border-rule">
        <summary className="flex min-h-11 cursor-pointer items-center text-link underline underline-offset-4">
          Choose another strategy
        </summary>
        <WithPreview preview={preview}>
          {(dates) => (
            <Form action={action} initial={initial} submit="Go by this" stays={false}>
              {(fields) => (
                <>
                  <Choice
                    strategy={fields.value("school") ?? "wear"}
                    value={fields.value}
                    error={fields.error}
                  />
                  <DatesPreview dates={dates} />
                </>
              )}
            </Form>
          )}
        </WithPreview>
      </details>
    </section>
  );
}

function Choice({
  strategy: first,
  value,
  error,
}: {
  strategy: string;
  value: (name: string) => string | undefined;
  error: (name: string) => string | undefined;
}) {
  const [strategy, setStrategy] = useState(first);
  return (
    <div className="flex max-w-2xl flex-col gap-4 pb-2">
      <div onChange={(event) => setStrategy((event.target as HTMLInputElement).value)}>
        <ChoiceField
          label="How it is decided here"
          name="school"
          options={STRATEGIES}
          defaultValue={first}
          hint={STRATEGY_WORDS[strategy as Strategy].hint}
        />
      </div>
      <div hidden={strategy !== "calendar"} className="flex gap-4">
        <TextField
          label="Every"
          name="n"
          inputMode="numeric"
          className="max-w-24"
          defaultValue={value("n")}
          error={error("n")}
        />
        <SelectField label="Counted in" name="unit" options={SPANS} defaultValue={value("unit")} />
      </div>
      <div hidden={strategy !== "look"}>
        <TextField
          label="Days between looks"
          name="lookEvery"
          inputMode="numeric"
          className="max-w-24"
          defaultValue={value("lookEvery")}
          error={error("lookEvery")}
        />
      </div>
    </div>
  );
}

export const SPANS = [
  { value: "day", label: "days" },
  { value: "week", label: "weeks" },
  { value: "month", label: "months" },
  { value: "year", label: "years" },
];
