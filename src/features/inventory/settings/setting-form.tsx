"use client";

import { ofSingles } from "@/lib/forms";
import { SelectField, TextField, type Option } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

const schema = () => import("./settings-form").then(({ settingForm }) => ofSingles(settingForm));

export function SettingForm({
  action,
  initial,
  places,
  isNew,
}: {
  action: FormAction;
  initial: FormView;
  /** The machines it may be about, and the home. */
  places: readonly Option[];
  isNew: boolean;
}) {
  return (
    <Form {...{ action, initial, schema }} submit={isNew ? "Add it" : "Save"} stays={false}>
      <div className="flex flex-col gap-4 pb-2">
        {isNew ? (
          <SelectField label="Of what" name="place" options={[...places]} />
        ) : (
          <input type="hidden" name="place" value={initial.values["place"]?.[0] ?? ""} />
        )}
        <TextField label="What is set" name="label" hint="“Fan”, “Humidistat”, “Hall valve”" />
        <TextField label="How" name="value" hint="“auto”, “35 %”, “two turns open”" />
      </div>
    </Form>
  );
}
