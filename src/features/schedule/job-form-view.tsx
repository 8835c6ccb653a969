"use client";

import { ofSingles } from "@/lib/forms";
import { QUALIFICATION_WORDS, STRETCHES, TURNS } from "@/presentation/task-words";
import { CheckField, SelectField, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { WithPreview } from "@/ui/with-preview";
import type { JobDates } from "./job-dates-schema";
import { DatesPreview } from "./dates-preview";
import { SPANS } from "./strategy-cards";

const QUALIFICATIONS = Object.entries(QUALIFICATION_WORDS).map(([value, { name, hint }]) => ({
  value,
  label: `${name} (${hint})`,
}));

const datesSchema = () => import("./job-dates-schema").then(({ jobDatesSchema }) => jobDatesSchema);
const schema = () => import("./jobs-form").then(({ jobForm }) => ofSingles(jobForm));

/** How a job comes round, by whom, how long: everything about it that can be changed. */
export function JobFormView({
  action,
  preview,
  initial,
  usual,
  submit,
}: {
  action: FormAction;
  /** Where it is asked what the form would do; nowhere for a job that is none yet. */
  preview?: string;
  initial: FormView;
  /** The default, in words; null for a job of one’s own. */
  usual: string | null;
  submit: string;
}) {
  const form = (dates: JobDates | null) => (
    <Form {...{ action, initial, schema, submit }} stays={false}>
      <JobFields usual={usual} />
      {preview && <DatesPreview dates={dates} />}
    </Form>
  );
  return preview ? (
    <WithPreview url={preview} schema={datesSchema}>
      {form}
    </WithPreview>
  ) : (
    form(null)
  );
}

function JobFields({ usual }: { usual: string | null }) {
  const by = useTypedText("by", usual === null ? "every" : "default");
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-2">
      <TextField label="What is done" name="name" />
      <SelectField
        label="How it comes round"
        name="by"
        options={[
          ...(usual === null ? [] : [{ value: "default", label: `as usual: ${usual}` }]),
          { value: "every", label: "every so often" },
          { value: "season", label: "by the season" },
          { value: "run-hours", label: "by hours of running" },
        ]}
      />
      <div hidden={by !== "every"} className="grid gap-4 wide:grid-cols-3">
        <TextField label="Every" inputMode="numeric" name="n" />
        <SelectField label="Counted in" options={SPANS} name="unit" />
        <SelectField
          label="Only"
          options={[{ value: "", label: "all year" }, ...STRETCHES]}
          name="within"
        />
      </div>
      <div hidden={by !== "season"} className="grid gap-4 wide:grid-cols-3">
        <SelectField label="When" options={TURNS} name="anchor" />
        <TextField
          label="Days after it"
          hint="Below 0: before it."
          inputMode="numeric"
          name="offsetDays"
        />
      </div>
      <div hidden={by !== "run-hours"}>
        <TextField label="Hours of running" inputMode="numeric" className="max-w-32" name="hours" />
      </div>
      <SelectField label="Who may do it" options={QUALIFICATIONS} name="who" />
      <div className="grid gap-4 wide:grid-cols-3">
        <TextField label="Minutes at work" inputMode="numeric" name="handsOn" />
        <TextField
          label="Minutes of waiting"
          hint="Drying, dwelling: nobody needs to stay."
          inputMode="numeric"
          name="waiting"
        />
      </div>
      <CheckField name="isOff" value="on" label="Not done here" />
    </div>
  );
}
