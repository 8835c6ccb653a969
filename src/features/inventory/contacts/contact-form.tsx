"use client";

import { ofSingles } from "@/lib/forms";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import { CONTACT_ROLES } from "@/core/inventory/inventory";
import { SelectField, TextArea, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

const schema = () => import("./contacts-form").then(({ contactForm }) => ofSingles(contactForm));

export function ContactForm({
  action,
  initial,
  isNew,
}: {
  action: FormAction;
  initial: FormView;
  isNew: boolean;
}) {
  return (
    <Form {...{ action, initial, schema }} submit={isNew ? "Add them" : "Save"} stays={false}>
      <div className="flex flex-col gap-4 pb-2">
        <TextField label="Name" name="name" />
        <SelectField
          label="What they do"
          name="role"
          options={CONTACT_ROLES.map((value) => ({ value, label: CONTACT_ROLE_WORDS[value] }))}
        />
        <TextField label="Telephone" type="tel" name="phone" />
        <TextField label="E-mail" type="email" name="email" />
        <TextArea label="Notes" rows={2} name="note" />
      </div>
    </Form>
  );
}
