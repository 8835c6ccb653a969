"use client";

import { TextField } from "@/ui/field";
import { Form, type FormAction } from "@/ui/form";
import { ofSingles, emptyForm } from "@/lib/forms";

/** The number that was missing: typed once, pressed from then on. */
export function NumberForm({ action, label }: { action: FormAction; label: string }) {
  return (
    <Form
      action={action}
      initial={emptyForm({})}
      schema={() => import("./number-form").then(({ numberForm }) => ofSingles(numberForm))}
      submit="Keep this number"
      stays={false}
    >
      <TextField
        label={label}
        name="phone"
        type="tel"
        autoComplete="off"
        className="figures min-h-14 text-[1.5rem]"
      />
    </Form>
  );
}

/** Where a main is shut, as long as nobody wrote it down. */
export function MainForm({ action, label }: { action: FormAction; label: string }) {
  return (
    <Form
      action={action}
      initial={emptyForm({})}
      schema={() => import("./number-form").then(({ mainForm }) => ofSingles(mainForm))}
      submit="Keep this"
      stays={false}
    >
      <TextField label={label} name="place" className="min-h-12" />
      <TextField label="Which position is off" name="off" className="min-h-12" />
    </Form>
  );
}
