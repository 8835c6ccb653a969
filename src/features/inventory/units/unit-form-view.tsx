"use client";

import { UNIT_KINDS, unitKind } from "@/content/unit-kinds";
import { FormSection, SelectField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import type { UnitContext } from "./unit-form";
import { PapersFields, PlaceFields, PlateFields, ShutOffRows } from "./unit-fields";

type Home = Omit<UnitContext, "kind">;

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
  action: FormAction;
  initial: FormView;
  home: Home;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./unit-form").then(({ unitForm }) =>
          unitForm({ ...home, kind: initial.values["kind"]?.[0] ?? "" }),
        )
      }
      submit="Save"
    >
      <UnitFields home={home} />
    </Form>
  );
}

function UnitFields({ home }: { home: Home }) {
  const kindId = useTypedText("kind");
  const kind = unitKind(kindId);
  return (
    <>
      <FormSection title="What it is">
        <SelectField label="Kind" name="kind" options={KIND_OPTIONS} />
        <PlateFields
          attributes={kind.attributes}
          asksForCooling={false}
          hasRefrigerant={hasRefrigerant(kindId)}
          today={home.today}
        />
      </FormSection>
      <FormSection title="Where it stands">
        <PlaceFields levels={home.levels} rooms={home.rooms} />
      </FormSection>
      <FormSection
        title="How to shut it off"
        intro="In the order in which you do it. It stands on every page of the unit."
      >
        <ShutOffRows usual={kind.shutOffs} />
      </FormSection>
      <FormSection title="Papers and people">
        <PapersFields contacts={home.contacts} />
      </FormSection>
    </>
  );
}

/** Whether the plate of such a machine names a refrigerant. */
export const hasRefrigerant = (kindId: string): boolean =>
  unitKind(kindId).equipment.cools || kindId === "exhaust-air-heater";
