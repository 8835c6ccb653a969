"use client";

import { ofSingles } from "@/lib/forms";
import { DayField } from "@/ui/day-field";
import { SelectField, TextArea, TextField, type Option } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { breakdownForm, OTHERWISE, type BreakdownContext } from "./breakdown-form";

/** What happened is enough to begin with; what was found is added when somebody has been there. */
export function BreakdownForm({
  action,
  initial,
  jobs,
  stood,
  ...context
}: Omit<BreakdownContext, "taskIds"> & {
  action: FormAction;
  initial: FormView;
  jobs: readonly Option[];
  stood: readonly string[];
}) {
  const { currency, today } = context;
  const taskIds = jobs.map(({ value }) => value);
  return (
    <Form
      {...{ action, initial }}
      schema={() => Promise.resolve(ofSingles(breakdownForm({ taskIds, ...context })))}
      submit="Save the breakdown"
    >
      <div className="flex flex-col gap-5 pb-6">
        <TextArea label="What happened" name="words" rows={2} />
        <div className="grid gap-4 wide:grid-cols-3">
          <DayField label="When" name="date" max={today} />
          <TextField label="Code on its display" name="code" hint="As it stands there: “E4”." />
          <TextField label="Days without it" name="daysWithout" inputMode="numeric" />
        </div>
        <section
          aria-label="How it stood that day"
          className="border-l-4 border-ink bg-surface px-4 py-2.5"
        >
          <h2 className="text-base">How it stood that day</h2>
          <ul className="list-inside list-[square]">
            {stood.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </section>
        <div className="grid gap-4 wide:grid-cols-2">
          <TextField label="What was found" name="found" />
          <TextField label="Its cause" name="cause" />
        </div>
        <TextField
          label={`What it cost, ${currency}`}
          name="cost"
          inputMode="decimal"
          className="max-w-40"
        />
        <div className="grid gap-4 wide:grid-cols-2">
          <SelectField
            label="What would have prevented it"
            name="prevented"
            options={[
              { value: "", label: "nothing known" },
              ...jobs,
              { value: OTHERWISE, label: "something else" },
            ]}
          />
          <Otherwise />
        </div>
        <SelectField
          label="The job that follows"
          name="follows"
          hint="It is due from that day on."
          options={[{ value: "", label: "none" }, ...jobs]}
        />
      </div>
    </Form>
  );
}

function Otherwise() {
  return useTypedText("prevented") === OTHERWISE ? (
    <TextField label="What would have" name="preventedWords" />
  ) : null;
}
