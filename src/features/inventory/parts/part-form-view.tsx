"use client";

import { PART_KINDS, partKind } from "@/content/part-kinds";
import type { Room } from "@/core/inventory/inventory";
import type { UnitSystem } from "@/core/quantities/length";
import type { PlainDate } from "@/core/quantities/plain-date";
import { SelectField, TextArea, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { useFields } from "@/ui/form-fields";
import { AttributeFields } from "../units/unit-fields";
import { attributeField } from "../units/unit-names";

/** A part of any kind; its attributes follow from the kind. */
export function PartFormView({
  action,
  initial,
  system,
  rooms,
  usual,
  today,
  fixedKind,
}: {
  action: FormAction;
  initial: FormView;
  system: UnitSystem;
  rooms: Room[];
  /** Kinds that machines of this sort have, first in the list. */
  usual: readonly string[];
  today: PlainDate;
  /** A part that is there already keeps its kind. */
  fixedKind?: string;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./part-form").then(({ partForm }) =>
          partForm({ kind: fixedKind, rooms, system, today }),
        )
      }
      submit={fixedKind ? "Save" : "Add it"}
    >
      <PartFields {...{ rooms, usual, today, fixedKind }} />
    </Form>
  );
}

function PartFields({
  rooms,
  usual,
  today,
  fixedKind,
}: {
  rooms: Room[];
  usual: readonly string[];
  today: PlainDate;
  fixedKind: string | undefined;
}) {
  const fields = useFields();
  const chosen = useTypedText("kind");
  const name = useTypedText("name");
  const kindId = fixedKind ?? chosen;
  const kind = kindId ? partKind(kindId) : null;
  const inOrder = [
    ...PART_KINDS.filter(({ id }) => usual.includes(id)),
    ...PART_KINDS.filter(({ id }) => !usual.includes(id)),
  ];
  /** A name nobody typed follows the kind; what it was asked as another kind is let go. */
  const nameAfter = (id: string) => {
    fields.forget((kind?.attributes ?? []).map(({ key }) => attributeField(key)));
    if (name === "" || name === kind?.name) fields.set("name", id ? partKind(id).name : "");
  };
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-6">
      {!fixedKind && (
        <SelectField
          label="What it is"
          name="kind"
          onChange={(event) => nameAfter(event.target.value)}
          options={[
            { value: "", label: "Choose…" },
            ...inOrder.map(({ id, name: words }) => ({ value: id, label: words })),
          ]}
          hint={kind?.care}
        />
      )}
      <TextField label="Name" name="name" />
      <TextField label="Where it is" name="place" />
      {rooms.length > 0 && (
        <SelectField
          label="Room"
          name="roomId"
          options={[
            { value: "", label: "where the unit is" },
            ...rooms.map((room) => ({ value: room.id, label: room.name })),
          ]}
        />
      )}
      <AttributeFields
        key={kindId}

        attributes={kind?.attributes ?? []}
        today={today}
      />
      <TextArea label="Notes" name="note" rows={3} />
    </div>
  );
}
