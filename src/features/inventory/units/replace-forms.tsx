"use client";

import { UNIT_KINDS } from "@/content/unit-kinds";
import { DayField } from "@/ui/day-field";
import { CheckField, SelectField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

type Common = {
  action: FormAction;
  initial: FormView;
  today: string;
};

export function ReplaceForm({
  action,
  initial,
  today,
  parts,
}: Common & { parts: { id: string; name: string }[] }) {
  return (
    <Form action={action} initial={initial} submit="Replace it" stays={false}>
      <div className="flex flex-col gap-5 pb-4">
        <p className="text-second">
          The old one retires with its record. Shut-offs, place and way in go over; check them on
          the new one.
        </p>
        <SelectField
          label="The new one is"
          name="kind"
          options={UNIT_KINDS.map(({ id, name, hint }) => ({
            value: id,
            label: `${name} (${hint})`,
          }))}
        />
        <DayField label="In service since" name="date" id="replaced-on" max={today} mayBeYear />
        {parts.length > 0 && (
          <fieldset className="gap-x-6 wide:grid wide:grid-cols-2">
            <legend className="font-semibold">Stays in the house, with its record</legend>
            {parts.map((part) => (
              <CheckField key={part.id} name="keeps" value={part.id} label={part.name} />
            ))}
          </fieldset>
        )}
      </div>
    </Form>
  );
}

export function RetireForm({ action, initial, today }: Common) {
  return (
    <Form action={action} initial={initial} submit="Take it out of service" stays={false}>
      <div className="flex flex-col gap-5 pb-4">
        <p className="text-second">
          Nothing of it is asked any more. Its record stays to be read, and it can be put back into
          service.
        </p>
        <DayField label="Since" name="date" id="retired-on" max={today} />
      </div>
    </Form>
  );
}
