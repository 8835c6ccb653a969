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
