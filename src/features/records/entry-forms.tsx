"use client";

import { GRADE_OPTIONS } from "@/presentation/grade-options";
import { CheckField, SelectField, TextArea, TextField, type Option } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";
import { GradeChoice } from "@/ui/grade-choice";

type Action = (state: FormView, form: FormData) => Promise<FormView>;
type Common = { action: Action; initial: FormView; today: string };

function DayField({ fields, label, today }: { fields: Fields; label: string; today: string }) {
  return (
    <TextField
      label={label}
      name="date"
      type="date"
      max={today}
      className="max-w-56"
      defaultValue={fields.value("date")}
      error={fields.error("date")}
    />
  );
}

function Grade({ fields, label }: { fields: Fields; label: string }) {
  return (
    <GradeChoice
      label={label}
      name="grade"
      options={GRADE_OPTIONS}
      defaultValue={fields.value("grade")}
      error={fields.error("grade")}
    />
  );
}

/** One press from anywhere: which filter, how it looks. */
export function LookForm({
  action,
  initial,
  today,
  slots,
  dropUnit,
}: Common & { slots: readonly Option[]; dropUnit: string }) {
  return (
    <Form action={action} initial={initial} submit="Save the look">
      {(fields) => (
        <div className="flex flex-col gap-5 pb-6">
          <SelectField
            label="Which filter"
            name="slotId"
            options={slots}
            defaultValue={fields.value("slotId")}
            error={fields.error("slotId")}
          />
          <Grade fields={fields} label="How does it look? Hold it to a lamp." />
          <div className="grid max-w-2xl gap-4 wide:grid-cols-2">
            <DayField fields={fields} label="When" today={today} />
            <TextField
              label={`Or the drop across it, ${dropUnit}`}
              name="drop"
              inputMode="decimal"
              hint="Measured at full speed: it says more than the eye."
              defaultValue={fields.value("drop")}
              error={fields.error("drop")}
            />
          </div>
        </div>
      )}
    </Form>
  );
}

/** A change made earlier, without the app. */
export function ChangedForm({ action, initial, today }: Common) {
  return (
    <Form action={action} initial={initial} submit="Save the change">
      {(fields) => (
        <div className="flex flex-col gap-5 pb-6">
          <DayField fields={fields} label="When was it done?" today={today} />
          <Grade fields={fields} label="How did the old one look, if you remember?" />
          <TextField
            label="A note"
            name="words"
            defaultValue={fields.value("words")}
            error={fields.error("words")}
          />
        </div>
      )}
    </Form>
  );
}

/** The same entry with another day, grade or note; the old one stays in the record. */
export function CorrectForm({ action, initial, today, isLook }: Common & { isLook: boolean }) {
  return (
    <Form action={action} initial={initial} submit="Save the correction">
      {(fields) => (
        <div className="flex flex-col gap-5 pb-6">
          <DayField fields={fields} label="When" today={today} />
          {isLook && <Grade fields={fields} label="How it looked" />}
          <TextField
            label="A note"
            name="words"
            defaultValue={fields.value("words")}
            error={fields.error("words")}
          />
        </div>
      )}
    </Form>
  );
}

/** That a part was seen to: cleaned, flushed, measured, whatever its kind asks for. */
export function DoneForm({
  action,
  initial,
  today,
  done,
  currency,
}: Common & { done: string; currency: string }) {
  return (
    <Form action={action} initial={initial} submit="Save it" stays={false}>
      {(fields) => (
        <div className="flex flex-col gap-5 pb-4">
          <DayField fields={fields} label={`${done} on`} today={today} />
          <TextField
            label="A note"
            name="words"
            hint="What you saw: “green slime, ran clear after two cups”."
            defaultValue={fields.value("words")}
            error={fields.error("words")}
          />
          <div className="grid gap-4 wide:grid-cols-2">
            <TextField
              label="Minutes it took"
              name="minutes"
              inputMode="numeric"
              defaultValue={fields.value("minutes")}
              error={fields.error("minutes")}
            />
            <TextField
              label={`What it cost, ${currency}`}
              name="cost"
              inputMode="decimal"
              defaultValue={fields.value("cost")}
              error={fields.error("cost")}
            />
          </div>
        </div>
      )}
    </Form>
  );
}

/** Words for the record of a unit, or of one of its parts. */
export function NoteForm({ action, initial, today, parts }: Common & { parts: readonly Option[] }) {
  return (
    <Form action={action} initial={initial} submit="Save the note" stays={false}>
      {(fields) => (
        <div className="flex flex-col gap-5 pb-4">
          <TextArea
            label="Note"
            name="words"
            rows={4}
            defaultValue={fields.value("words")}
            error={fields.error("words")}
          />
          {parts.length > 0 && (
            <SelectField
              label="About"
              name="partId"
              options={[{ value: "", label: "the whole unit" }, ...parts]}
              defaultValue={fields.value("partId")}
            />
          )}
          <DayField fields={fields} label="When" today={today} />
          <CheckField
            name="brokeDown"
            value="on"
            label="It broke down, or stopped"
            hint="The record then says how its filters and the weather stood that day."
            defaultChecked={fields.value("brokeDown") === "on"}
          />
        </div>
      )}
    </Form>
  );
}
