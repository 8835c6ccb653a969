"use client";

import { useState } from "react";
import { DRIVER_WORDS } from "@/content/words";
import type { DriverKind } from "@/core/wear/drivers";
import { SelectField, TextField, type Option } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

const KINDS = Object.entries(DRIVER_WORDS).map(([value, words]) => ({ value, label: words.name }));

export function DriverFormView({
  action,
  initial,
  scopes,
  submit,
}: {
  action: Action;
  initial: FormView;
  scopes: readonly Option[];
  submit: string;
}) {
  return (
    <Form action={action} initial={initial} submit={submit} stays={false}>
      {(fields) => <DriverFields {...{ fields, scopes }} />}
    </Form>
  );
}

function DriverFields({ fields, scopes }: { fields: Fields; scopes: readonly Option[] }) {
  const [kind, setKind] = useState((fields.value("kind") ?? "people") as DriverKind);
  const words = DRIVER_WORDS[kind];
  const text = (name: string) => ({
    name,
    defaultValue: fields.value(name),
    error: fields.error(name),
  });
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-2">
      <SelectField
        label="What"
        name="kind"
        options={KINDS}
        value={kind}
        onChange={(event) => setKind(event.target.value as DriverKind)}
        error={fields.error("kind")}
      />
      <div hidden={!words.counted}>
        <TextField
          label={words.counted ?? "How many"}
          inputMode="numeric"
          className="max-w-28"
          {...text("count")}
        />
      </div>
      <div hidden={kind !== "bypass"}>
        <TextField
          label="Share of the air, percent"
          inputMode="decimal"
          className="max-w-28"
          {...text("fraction")}
        />
      </div>
      <SelectField label="Where it acts" options={scopes} {...text("scope")} />
      <div className="grid gap-4 wide:grid-cols-2">
        <TextField
          label={words.dates === "day" ? "On" : "From"}
          type="date"
          hint={words.dates === "spell" ? "Empty: as long as anyone remembers." : undefined}
          {...text("from")}
        />
        <div hidden={words.dates === "day"}>
          <TextField label="To" type="date" hint="Empty: still going on." {...text("to")} />
        </div>
      </div>
      <TextField
        label="Your own word for it"
        hint="“Clay dust”: it stands in the reasons."
        {...text("label")}
      />
    </div>
  );
}
