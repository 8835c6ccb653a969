"use client";

import { ofSingles } from "@/lib/forms";
import { TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

export function InstrumentFormView({
  action,
  initial,
  isNew,
}: {
  action: FormAction;
  initial: FormView;
  isNew: boolean;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./instruments-form").then(({ instrumentForm }) => ofSingles(instrumentForm))
      }
      submit={isNew ? "Add the instrument" : "Save"}
      stays={false}
    >
      <div className="flex flex-col gap-4 pb-2">
        <TextField label="Instrument" name="name" hint="“Clamp meter, blue.”" />
        <TextField
          label="Worth knowing of it"
          name="note"
          hint="“New battery May 2026; reads 0.2 K more than the kitchen’s.”"
        />
      </div>
    </Form>
  );
}
