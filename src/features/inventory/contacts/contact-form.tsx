"use client";

import { CONTACT_ROLE_WORDS } from "@/content/words";
import { CONTACT_ROLES } from "@/core/inventory/inventory";
import { SelectField, TextArea, TextField } from "@/ui/field";
import { Form, type FormView } from "@/ui/form";

export function ContactForm({
  action,
  initial,
  isNew,
}: {
  action: (state: FormView, form: FormData) => Promise<FormView>;
  initial: FormView;
  isNew: boolean;
}) {
  return (
    <Form action={action} initial={initial} submit={isNew ? "Add them" : "Save"} stays={false}>
      {(fields) => {
        const own = (name: string) => ({
          name,
          defaultValue: fields.value(name),
          error: fields.error(name),
        });
        return (
          <div className="flex flex-col gap-4 pb-2">
            <TextField label="Name" {...own("name")} />
            <SelectField
              label="What they do"
              options={CONTACT_ROLES.map((value) => ({ value, label: CONTACT_ROLE_WORDS[value] }))}
              {...own("role")}
            />
            <TextField label="Telephone" type="tel" {...own("phone")} />
            <TextField label="E-mail" type="email" {...own("email")} />
            <TextArea label="Notes" rows={2} {...own("note")} />
          </div>
        );
      }}
    </Form>
  );
}
