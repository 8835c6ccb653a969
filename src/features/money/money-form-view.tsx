"use client";

import { ofSingles } from "@/lib/forms";
import { TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { moneyForm } from "./money-form";

export function MoneyForm({
  action,
  initial,
  currency,
}: {
  action: FormAction;
  initial: FormView;
  currency: string;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() => Promise.resolve(ofSingles(moneyForm(currency)))}
      submit="Save"
      stays={false}
    >
      <div className="grid gap-4 pb-3 wide:grid-cols-3">
        <TextField label={`It cost, fitted, ${currency}`} name="purchase" inputMode="decimal" />
        <TextField label={`A new one today, ${currency}`} name="replacement" inputMode="decimal" />
        <TextField
          label={`An hour of yours is worth, ${currency}`}
          name="hour"
          inputMode="decimal"
          hint="The same for every machine of this home."
        />
      </div>
    </Form>
  );
}
