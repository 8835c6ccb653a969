"use client";

import { ofSingles } from "@/lib/forms";
import { HOUSEHOLD_WORDS } from "@/content/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, spanWords } from "@/core/quantities/words";
import type { HouseholdKind } from "@/core/inventory/inventory";
import { DayField } from "@/ui/day-field";
import { SelectField, TextField, type Option } from "@/ui/field";
import { WithPreview } from "@/ui/with-preview";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import type { Effect } from "./driver-effects-schema";

const KINDS = Object.entries(HOUSEHOLD_WORDS).map(([value, words]) => ({
  value,
  label: words.name,
}));
const MOST_SHOWN = 5;

const effectsSchema = () =>
  import("./driver-effects-schema").then(({ effectsSchema: schema }) => schema);
const schema = () => import("./household-form").then(({ driverForm }) => ofSingles(driverForm));

/** One thing about the household, and what it does to the due days before it is saved. */
export function DriverFormView({
  action,
  preview,
  initial,
  scopes,
  submit,
  today,
}: {
  action: FormAction;
  /** Where it is asked what the form would do. */
  preview: string;
  initial: FormView;
  scopes: readonly Option[];
  submit: string;
  today: PlainDate;
}) {
  return (
    <WithPreview url={preview} schema={effectsSchema}>
      {(effects) => (
        <Form {...{ action, initial, schema, submit }} stays={false}>
          <>
            <DriverFields {...{ scopes }} />
            <Effects effects={effects} today={today} />
          </>
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

function DriverFields({ scopes }: { scopes: readonly Option[] }) {
  const kind = useTypedText("kind", "people") as HouseholdKind;
  const words = HOUSEHOLD_WORDS[kind];
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-2">
      <SelectField
        label="What"
        name="kind"
        options={KINDS}
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
          name="count"
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
          name="fraction"
        />
      </div>
      <SelectField label="Where it acts" options={scopes} name="scope" />
      <div className="grid gap-4 wide:grid-cols-2">
        <DayField
          label={words.dates === "day" ? "On" : "From"}
          hint={words.dates === "spell" ? "Empty: as long as anyone remembers." : undefined}
          name="from"
        />
        <div hidden={words.dates === "day"}>
          <DayField label="To" hint="Empty: still going on." name="to" />
        </div>
      </div>
      <TextField
        label="Your own word for it"
        hint="“Clay dust”: it stands in the reasons."
        name="label"
      />
    </div>
  );
}
