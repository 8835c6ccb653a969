"use client";

import { inEnglish } from "@/content/english";
import { useEnglish } from "@/ui/english";
import { GRADE_OPTIONS } from "@/presentation/grade-options";
import { DayField } from "@/ui/day-field";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { UnitSystem } from "@/core/quantities/length";
import { unitsFor } from "@/core/readings/reading-units";
import { ofSingles } from "@/lib/forms";
import { useDayOrder } from "@/ui/day-order";
import { isoOf } from "@/ui/day-text";
import { ChoiceField, SelectField, TextArea, TextField, type Option } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { GradeChoice } from "@/ui/grade-choice";

type Common = { action: FormAction; initial: FormView; today: PlainDate };

function Grade({ label }: { label: string }) {
  const english = useEnglish();
  const said = (words: string) => inEnglish(english, words);
  const options = GRADE_OPTIONS.map((each) => ({
    ...each,
    name: said(each.name),
    meaning: said(each.meaning),
  }));
  return <GradeChoice label={label} name="grade" options={options} />;
}

type LookOption = Option & { cleanDropPa: number | undefined; changedOn: readonly PlainDate[] };

/** One press from anywhere: which filter, how it looks. */
export function LookForm({
  action,
  initial,
  today,
  slots,
  system,
}: Common & { slots: readonly LookOption[]; system: UnitSystem }) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./record-forms").then(({ lookForm }) => {
          const known = slots.map(({ value, ...rest }) => ({ id: value, ...rest }));
          return ofSingles(lookForm(known, system, today));
        })
      }
      submit="Save the look"
    >
      <div className="flex flex-col gap-5 pb-6">
        <SelectField label="Which filter" name="slotId" options={slots} />
        <WhichOfTwo slots={slots} />
        <Grade label="How does it look? Hold it to a lamp." />
        <div className="grid max-w-2xl gap-4 wide:grid-cols-2">
          <DayField label="When" name="date" max={today} />
          <TextField
            label={`Or the drop across it, ${unitsFor("filter-drop", system)[0]!.label}`}
            name="drop"
            inputMode="decimal"
            hint="Measured at full speed: it says more than the eye."
          />
        </div>
      </div>
    </Form>
  );
}

/** On the day of a change there were two filters: asked which, where that is so. */
function WhichOfTwo({ slots }: { slots: readonly LookOption[] }) {
  const order = useDayOrder();
  const date = isoOf(useTypedText("date"), order);
  const slotId = useTypedText("slotId", slots[0]?.value);
  const slot = slots.find(({ value }) => value === slotId);
  if (!slot?.changedOn.some((day) => day === date)) return null;
  return (
    <ChoiceField
      label="It was changed that day. Which one did you look at?"
      name="of"
      options={[
        { value: "old", label: "the one that came out" },
        { value: "new", label: "the new one" },
      ]}
    />
  );
}

/** The command also refuses days before the machine was there, which the page does not know. */
const changed = (today: PlainDate) => () =>
  import("./record-forms").then(({ changedForm }) => ofSingles(changedForm(today, undefined)));

/** A change made earlier, without the app. */
export function ChangedForm({ action, initial, today }: Common) {
  return (
    <Form {...{ action, initial }} schema={changed(today)} submit="Save the change">
      <div className="flex flex-col gap-5 pb-6">
        <DayField label="When was it done?" name="date" max={today} />
        <Grade label="How did the old one look, if you remember?" />
        <TextField label="A note" name="words" />
      </div>
    </Form>
  );
}

/** The same entry with another day, grade or note; the old one stays in the record. */
export function CorrectForm({ action, initial, today, isLook }: Common & { isLook: boolean }) {
  return (
    <Form {...{ action, initial }} schema={changed(today)} submit="Save the correction">
      <div className="flex flex-col gap-5 pb-6">
        <DayField label="When" name="date" max={today} />
        {isLook && <Grade label="How it looked" />}
        <TextField label="A note" name="words" />
      </div>
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
  isRenewed = false,
}: Common & {
  done: string;
  currency: string;
  /** The machine is a new one since: its life counts from the day printed on it. */
  isRenewed?: boolean;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("@/lib/done-form").then(({ doneForm }) => ofSingles(doneForm(today, currency)))
      }
      submit="Save it"
      stays={false}
    >
      <div className="flex flex-col gap-5 pb-4">
        <DayField label={`${done} on`} name="date" max={today} />
        {isRenewed && (
          <DayField
            label="The new one was made on"
            name="madeOn"
            max={today}
            mayBeYear
            hint="Printed on its back: month and year will do. Empty where it cannot be read; it is asked again."
          />
        )}
        <TextField
          label="A note"
          name="words"
          hint="What you saw: “green slime, ran clear after two cups”."
        />
        <div className="grid gap-4 wide:grid-cols-2">
          <TextField label="Minutes it took" name="minutes" inputMode="numeric" />
          <TextField label={`What it cost, ${currency}`} name="cost" inputMode="decimal" />
        </div>
      </div>
    </Form>
  );
}

/** Words for the record of a unit, or of one of its parts. */
export function NoteForm({ action, initial, today, parts }: Common & { parts: readonly Option[] }) {
  return (
    <Form
      {...{ action, initial }}
      schema={() => import("./record-forms").then(({ noteForm }) => ofSingles(noteForm(today)))}
      submit="Save the note"
      stays={false}
    >
      <div className="flex flex-col gap-5 pb-4">
        <TextArea label="Note" name="words" rows={4} />
        {parts.length > 0 && (
          <SelectField
            label="About"
            name="partId"
            options={[{ value: "", label: "the whole unit" }, ...parts]}
          />
        )}
        <DayField label="When" name="date" max={today} />
      </div>
    </Form>
  );
}
