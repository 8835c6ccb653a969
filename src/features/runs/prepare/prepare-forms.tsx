"use client";

import { NOT_POSSIBLE_OPTIONS } from "@/presentation/run-words";
import type { PlaceAsk } from "@/core/runs/procedure";
import { CheckField, ChoiceField, TextArea, TextField } from "@/ui/field";
import { Form, type FormView } from "@/ui/form";
import type { Check } from "./prepare-queries";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

/** What has to be so before a job is begun, ticked off, and who does it. */
export function StartForm({
  action,
  initial,
  submit,
  checks,
  asks,
  needsLicence,
}: {
  action: Action;
  initial: FormView;
  submit: string;
  checks: readonly Check[];
  asks: readonly PlaceAsk[];
  needsLicence: boolean;
}) {
  return (
    <Form action={action} initial={initial} submit={submit} stays={false}>
      {(fields) => (
        <>
          {asks.map(({ key, question, hint, options }) => (
            <div key={key} className="mb-4">
              <ChoiceField
                label={question}
                name={`ask-${key}`}
                options={options.map(({ value, name }) => ({ value, label: name }))}
                defaultValue={fields.value(`ask-${key}`)}
                hint={[hint, "Asked once, and remembered."].filter(Boolean).join(" ")}
                error={fields.error(`ask-${key}`)}
              />
            </div>
          ))}
          {checks.length > 0 && (
            <fieldset>
              <legend className="font-display text-xl font-bold">Is it so?</legend>
              {checks.map(({ id, words, hint }) => {
                const error = fields.error(`check-${id}`);
                return (
                  <div key={id} className="border-b border-rule">
                    <CheckField
                      label={words}
                      hint={hint}
                      name={`check-${id}`}
                      defaultChecked={fields.value(`check-${id}`) === "on"}
                      aria-invalid={error ? true : undefined}
                      aria-describedby={error ? `check-${id}-error` : undefined}
                    />
                    {error && (
                      <p
                        id={`check-${id}-error`}
                        className="pb-2 pl-8 font-medium text-attention-text"
                      >
                        {error}
                      </p>
                    )}
                  </div>
                );
              })}
            </fieldset>
          )}
          {needsLicence && (
            <div className="mt-4">
              <ChoiceField
                label="Who does it"
                name="qualification"
                options={[
                  { value: "owner", label: "I do, without a licence" },
                  { value: "licensed", label: "A licensed person, here now" },
                ]}
                defaultValue={fields.value("qualification") ?? "owner"}
                hint="What only a licensed person may do is left to them."
                error={fields.error("qualification")}
              />
            </div>
          )}
        </>
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
  action: Action;
  initial: FormView;
  today: string;
  tryAgain: string;
}) {
  return (
    <details className="mt-2 border-t border-rule">
      <summary className="min-h-11 cursor-pointer py-2.5 text-link">Not possible now</summary>
      <p className="mb-3 text-second">
        It is noted and shown before the next time. Nothing counts as done.
      </p>
      <Form action={action} initial={initial} submit="Put it off" stays={false}>
        {(fields) => (
          <div className="flex max-w-2xl flex-col gap-4 pb-2">
            <ChoiceField
              label="What comes nearest"
              name="reason"
              options={NOT_POSSIBLE_OPTIONS.map(({ value, name }) => ({ value, label: name }))}
              defaultValue={fields.value("reason") ?? "out-of-reach"}
              error={fields.error("reason")}
            />
            <TextArea
              label="In your words, if you like, for the next time"
              name="words"
              rows={2}
              maxLength={300}
              defaultValue={fields.value("words")}
              error={fields.error("words")}
            />
            <TextField
              label="Try again on"
              name="until"
              type="date"
              min={today}
              defaultValue={fields.value("until") ?? tryAgain}
              error={fields.error("until")}
            />
          </div>
        )}
      </Form>
    </details>
  );
}
