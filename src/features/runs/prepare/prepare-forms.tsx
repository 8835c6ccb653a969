"use client";

import { NOT_POSSIBLE_OPTIONS } from "@/presentation/run-words";
import type { PlaceAsk } from "@/core/runs/procedure";
import type { PlainDate } from "@/core/quantities/plain-date";
import { ofSingles } from "@/lib/forms";
import { DayField } from "@/ui/day-field";
import { CheckField, ChoiceField, TextArea } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import type { Check } from "./prepare-queries";

/** What has to be so before a job is begun, ticked off, and who does it. */
export function StartForm({
  action,
  initial,
  submit,
  checks,
  asks,
  needsLicence,
}: {
  action: FormAction;
  initial: FormView;
  submit: string;
  checks: readonly Check[];
  asks: readonly PlaceAsk[];
  needsLicence: boolean;
}) {
  return (
    <Form action={action} initial={initial} submit={submit} stays={false}>
      {asks.map(({ key, question, hint, options }) => (
        <div key={key} className="mb-4">
          <ChoiceField
            label={question}
            name={`ask-${key}`}
            options={options.map(({ value, name }) => ({ value, label: name }))}
            hint={[hint, "Asked once, and remembered."].filter(Boolean).join(" ")}
          />
        </div>
      ))}
      {checks.length > 0 && (
        <fieldset>
          <legend className="font-display text-xl font-bold">Is it so?</legend>
          {checks.map(({ id, words, hint }) => (
            <div key={id} className="border-b border-rule">
              <CheckField label={words} hint={hint} name={`check-${id}`} />
            </div>
          ))}
        </fieldset>
      )}
      {needsLicence && (
        <div className="mt-4">
          <ChoiceField
            label="Who does it"
            name="qualification"
            options={[
              { value: "owner", label: "I do, unlicensed" },
              { value: "licensed", label: "A licensed person, here now" },
            ]}
            defaultValue="owner"
            hint="What only a licensed person may do is left to them."
          />
        </div>
      )}
    </Form>
  );
}

/** An honest no: noted, shown before the next time, and the due day left as it is. */
export function DeferralForm({
  action,
  initial,
  today,
  tryAgain,
}: {
  action: FormAction;
  initial: FormView;
  today: PlainDate;
  tryAgain: string;
}) {
  return (
    <details className="mt-2 border-t border-rule">
      <summary className="min-h-11 cursor-pointer py-2.5 text-link">Not possible now</summary>
      <p className="mb-3 text-second">
        It is noted and shown before the next time. Nothing counts as done.
      </p>
      <Form
        {...{ action, initial }}
        schema={() =>
          import("./deferral-form").then(({ deferralForm }) => ofSingles(deferralForm(today)))
        }
        submit="Put it off"
        stays={false}
      >
        <div className="flex max-w-2xl flex-col gap-4 pb-2">
          <ChoiceField
            label="What comes nearest"
            name="reason"
            options={NOT_POSSIBLE_OPTIONS.map(({ value, name }) => ({ value, label: name }))}
            defaultValue="out-of-reach"
          />
          <TextArea
            label="In your words, if you like, for the next time"
            name="words"
            rows={2}
            maxLength={300}
          />
          <DayField label="Try again on" name="until" min={today} defaultValue={tryAgain} />
        </div>
      </Form>
    </details>
  );
}
