"use client";

import { useState } from "react";
import { HOUSEHOLD_WORDS } from "@/content/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, spanWords } from "@/core/quantities/words";
import type { HouseholdKind } from "@/core/inventory/inventory";
import { SelectField, TextField, type Option } from "@/ui/field";
import { WithPreview } from "@/ui/with-preview";
import { Form, type Fields, type FormView } from "@/ui/form";
import type { Effect } from "./driver-effects";

type Action = (state: FormView, form: FormData) => Promise<FormView>;
type Preview = (form: FormData) => Promise<Effect[] | null>;

const KINDS = Object.entries(HOUSEHOLD_WORDS).map(([value, words]) => ({
  value,
  label: words.name,
}));
const MOST_SHOWN = 5;

/** One thing about the household, and what it does to the due days before it is saved. */
export function DriverFormView({
  action,
  preview,
  initial,
  scopes,
  submit,
  today,
}: {
  action: Action;
  preview: Preview;
  initial: FormView;
  scopes: readonly Option[];
  submit: string;
  today: PlainDate;
}) {
  return (
    <WithPreview preview={preview}>
      {(effects) => (
        <Form action={action} initial={initial} submit={submit} stays={false}>
          {(fields) => (
            <>
              <DriverFields {...{ fields, scopes }} />
              <Effects effects={effects} today={today} />
            </>
          )}
        </Form>
      )}
    </WithPreview>
  );
}

function Effects({ effects, today }: { effects: Effect[] | null; today: PlainDate }) {
  return (
    <div role="status" className="mt-3 border-l-4 border-ink bg-surface px-4 py-2.5">
      {effects === null && <p className="text-second">What it changes shows here.</p>}
      {effects?.length === 0 && <p>It moves no due day of the filters now in place.</p>}
      {effects && effects.length > 0 && (
        <>
          <p className="font-semibold">Saved, it would move</p>
          <ul className="figures">
            {effects.slice(0, MOST_SHOWN).map((effect) => (
              <li key={effect.slotId} className="py-0.5">
                {effect.name}: <strong>{spanWords(effect.daysSooner)}</strong>{" "}
                {effect.daysSooner > 0 ? "sooner" : "later"},{" "}
                <span className="text-second">
                  {dayAndMonth(effect.before, today)} to {dayAndMonth(effect.after, today)}
                </span>
              </li>
            ))}
          </ul>
          {effects.length > MOST_SHOWN && (
            <p className="text-second">and {effects.length - MOST_SHOWN} more.</p>
          )}
        </>
      )}
    </div>
  );
}

function DriverFields({ fields, scopes }: { fields: Fields; scopes: readonly Option[] }) {
  const [kind, setKind] = useState((fields.value("kind") ?? "people") as HouseholdKind);
  const words = HOUSEHOLD_WORDS[kind];
  const text = (name: string) => ({
    name,
    defaultValue: fields.value(name),
    error: fields.error(name),
  });
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-2">
      <SelectField
        label="What"
        name="kind"
        options={KINDS}
        value={kind}
        onChange={(event) => setKind(event.target.value as HouseholdKind)}
        error={fields.error("kind")}
        hint={
          kind === "breathing-trouble"
            ? "Filters of the air that is breathed are then due after three quarters of their hours and age."
            : undefined
        }
      />
      <div hidden={!words.counted}>
        <TextField
          label={words.counted ?? "How many"}
          inputMode="numeric"
          className="max-w-28"
          {...text("count")}
        />
      </div>
      <div hidden={!words.share}>
        <TextField
          label={words.share ?? "Percent"}
          hint={
            kind === "away" ? "0 when they are off, about 50 when they are turned down." : undefined
          }
          inputMode="decimal"
          className="max-w-28"
          {...text("fraction")}
        />
      </div>
      <SelectField label="Where it acts" options={scopes} {...text("scope")} />
      <div className="grid gap-4 wide:grid-cols-2">
        <TextField
          label={words.dates === "day" ? "On" : "From"}
          type="date"
          hint={words.dates === "spell" ? "Empty: as long as anyone remembers." : undefined}
          {...text("from")}
        />
        <div hidden={words.dates === "day"}>
          <TextField label="To" type="date" hint="Empty: still going on." {...text("to")} />
        </div>
      </div>
      <TextField
        label="Your own word for it"
        hint="“Clay dust”: it stands in the reasons."
        {...text("label")}
      />
    </div>
  );
}
