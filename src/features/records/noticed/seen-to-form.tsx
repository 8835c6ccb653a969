"use client";

import { DayField } from "@/ui/day-field";
import { TextArea, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

/** Who saw to something that meant stop, and what was found. */
export function SeenToForm({
  action,
  initial,
  today,
}: {
  action: FormAction;
  initial: FormView;
  today: string;
}) {
  return (
    <Form {...{ action, initial }} submit="It was seen to" stays={false}>
      <div className="flex max-w-2xl flex-col gap-5 pb-4">
        <TextField
          label="Who saw to it?"
          name="by"
          hint="The technician’s name; your own only where the manual lets you."
        />
        <TextArea label="What was found, and done about it?" name="found" rows={3} />
        <DayField label="When" name="date" max={today} />
      </div>
    </Form>
  );
}
