"use client";

import { useState } from "react";
import { QUALIFICATION_WORDS, STRETCHES, TURNS } from "@/presentation/task-words";
import { CheckField, SelectField, TextField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";
import { WithPreview } from "@/ui/with-preview";
import type { JobDates } from "./job-dates";
import { DatesPreview } from "./dates-preview";
import { SPANS } from "./strategy-cards";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

const QUALIFICATIONS = Object.entries(QUALIFICATION_WORDS).map(([value, { name, hint }]) => ({
  value,
  label: `${name} (${hint})`,
}));

/** How a job comes round, by whom, how long: everything about it that can be changed. */
export function JobFormView({
  action,
  preview,
  initial,
  usual,
  submit,
}: {
  action: Action;
  preview?: (form: FormData) => Promise<JobDates | null>;
  initial: FormView;
  /** The default, in words; null for a job of one’s own. */
  usual: string | null;
  submit: string;
}) {
  const form = (dates: JobDates | null) => (
    <Form action={action} initial={initial} submit={submit} stays={false}>
      {(fields) => (
        <>
          <JobFields fields={fields} usual={usual} />
          {preview && <DatesPreview dates={dates} />}
        </>
      )}
    </Form>
  );
  return preview ? <WithPreview preview={preview}>{form}</WithPreview> : form(null);
}

function JobFields({ fields, usual }: { fields: Fields; usual: string | null }) {
  const [by, setBy] = useState(fields.value("by") ?? "default");
  const own = (name: string) => ({
    name,
    defaultValue: fields.value(name),
    error: fields.error(name),
  });
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-2">
      <TextField label="What is done" {...own("name")} />
      <SelectField
        label="How it comes round"
        name="by"
        value={by}
        onChange={(event) => setBy(event.target.value)}
        error={fields.error("by")}
        options={[
          ...(usual === null ? [] : [{ value: "default", label: `as usual: ${usual}` }]),
          { value: "every", label: "every so often" },
          { value: "season", label: "by the season" },
          { value: "run-hours", label: "by hours of running" },
        ]}
      />
      <div hidden={by !== "every"} className="grid gap-4 wide:grid-cols-3">
        <TextField label="Every" inputMode="numeric" {...own("n")} />
        <SelectField label="Counted in" options={SPANS} {...own("unit")} />
        <SelectField
          label="Only"
          options={[{ value: "", label: "all year" }, ...STRETCHES]}
          {...own("within")}
        />
      </div>
      <div hidden={by !== "season"} className="grid gap-4 wide:grid-cols-3">
        <SelectField label="When" options={TURNS} {...own("anchor")} />
        <TextField
          label="Days after it"
          hint="Below 0: before it."
          inputMode="numeric"
          {...own("offsetDays")}
        />
      </div>
      <div hidden={by !== "run-hours"}>
        <TextField
          label="Hours of running"
          inputMode="numeric"
          className="max-w-32"
          {...own("hours")}
        />
      </div>
      <SelectField label="Who may do it" options={QUALIFICATIONS} {...own("who")} />
      <div className="grid gap-4 wide:grid-cols-3">
        <TextField label="Minutes at work" inputMode="numeric" {...own("handsOn")} />
        <TextField
          label="Minutes of waiting"
          hint="Drying, dwelling: nobody needs to stay."
          inputMode="numeric"
          {...own("waiting")}
        />
      </div>
      <CheckField
        name="isOff"
        value="on"
        label="Not done here"
        defaultChecked={fields.value("isOff") === "on"}
      />
    </div>
  );
}
