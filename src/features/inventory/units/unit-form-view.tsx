"use client";

import { useState } from "react";
import { UNIT_KINDS, unitKind } from "@/content/unit-kinds";
import type { Contact, Level, Room } from "@/core/inventory/inventory";
import { FormSection, SelectField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";
import { PapersFields, PlaceFields, PlateFields, ShutOffRows } from "./unit-fields";

type Action = (state: FormView, form: FormData) => Promise<FormView>;
type Home = { levels: Level[]; rooms: Room[]; contacts: Contact[]; today: string };

const KIND_OPTIONS = UNIT_KINDS.map(({ id, name, hint }) => ({
  value: id,
  label: `${name} (${hint})`,
}));

/** Everything that is written down of a unit, on one page. */
export function UnitFormView({
  action,
  initial,
  home,
}: {
  action: Action;
  initial: FormView;
  home: Home;
}) {
  return (
    <Form action={action} initial={initial} submit="Save">
      {(fields) => <UnitFields {...{ fields, home }} />}
    </Form>
  );
}

function UnitFields({ fields, home }: { fields: Fields; home: Home }) {
  const [kindId, setKindId] = useState(fields.value("kind") ?? "");
  const kind = unitKind(kindId);
  return (
    <>
      <FormSection title="What it is">
        <SelectField
          label="Kind"
          name="kind"
          options={KIND_OPTIONS}
          value={kindId}
          onChange={(event) => setKindId(event.target.value)}
          error={fields.error("kind")}
        />
        <PlateFields
          {...{ fields }}
          attributes={kind.attributes}
          asksForCooling={false}
          hasRefrigerant={hasRefrigerant(kindId)}
          today={home.today}
        />
      </FormSection>
      <FormSection title="Where it stands">
        <PlaceFields {...{ fields }} levels={home.levels} rooms={home.rooms} />
      </FormSection>
      <FormSection
        title="How to shut it off"
        intro="In the order in which you do it. It stands on every page of the unit."
      >
        <ShutOffRows fields={fields} usual={kind.shutOffs} />
      </FormSection>
      <FormSection title="Papers and people">
        <PapersFields fields={fields} contacts={home.contacts} />
      </FormSection>
    </>
  );
}

/** Whether the plate of such a machine names a refrigerant. */
export const hasRefrigerant = (kindId: string): boolean =>
  unitKind(kindId).equipment.cools || kindId === "exhaust-air-heater";
