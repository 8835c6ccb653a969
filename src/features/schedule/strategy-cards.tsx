"use client";

import { ofSingles } from "@/lib/forms";
import { inEnglish } from "@/content/english";
import { STRATEGY_WORDS } from "@/presentation/task-words";
import { Button } from "@/ui/button";
import { ChoiceField, SelectField, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { WithPreview } from "@/ui/with-preview";
import type { Strategy } from "@/core/scheduling/task";
import type { StrategyCard } from "./strategies";
import { useEnglish } from "@/ui/english";
import { DatesPreview } from "./dates-preview";

const STRATEGIES = Object.entries(STRATEGY_WORDS).map(([value, { name }]) => ({
  value,
  label: name,
}));

const datesSchema = () => import("./job-dates-schema").then(({ jobDatesSchema }) => jobDatesSchema);
const schema = () => import("./jobs-form").then(({ strategyForm }) => ofSingles(strategyForm));

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
  action: FormAction;
  /** Where it is asked what the form would do. */
  preview: string;
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
        <WithPreview url={preview} schema={datesSchema}>
          {(dates) => (
            <Form {...{ action, initial, schema }} submit="Go by this" stays={false}>
              <Choice />
              <DatesPreview dates={dates} />
            </Form>
          )}
        </WithPreview>
      </details>
    </section>
  );
}

function Choice() {
  const strategy = useTypedText("school", "wear") as Strategy;
  return (
    <div className="flex max-w-2xl flex-col gap-4 pb-2">
      <ChoiceField
        label="How it is decided here"
        name="school"
        options={STRATEGIES}
        defaultValue="wear"
        hint={inEnglish(useEnglish(), STRATEGY_WORDS[strategy].hint)}
      />
      <div hidden={strategy !== "calendar"} className="flex gap-4">
        <TextField
          label="Every"
          name="n"
          inputMode="numeric"
          className="max-w-24"
          hint="Empty: as is usual for such a filter."
        />
        <SelectField label="Counted in" name="unit" options={SPANS} />
      </div>
      <div hidden={strategy !== "look"}>
        <TextField
          label="Days between looks"
          name="lookEvery"
          inputMode="numeric"
          className="max-w-24"
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
