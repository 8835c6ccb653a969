"use client";

import { useState } from "react";
import { PART_KINDS, partKind } from "@/content/part-kinds";
import type { Room } from "@/core/inventory/inventory";
import { SelectField, TextArea, TextField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";
import { AttributeFields } from "../units/unit-fields";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

/** A part of any kind; its attributes follow from the kind. */
export function PartFormView({
  action,
  initial,
  rooms,
  usual,
  today,
  fixedKind,
}: {
  action: Action;
  initial: FormView;
  rooms: Room[];
  /** Kinds that machines of this sort have, first in the list. */
  usual: readonly string[];
  today: string;
  /** A part that is there already keeps its kind. */
  fixedKind?: string;
}) {
  return (
    <Form action={action} initial={initial} submit={fixedKind ? "Save" : "Add it"}>
      {(fields) => <PartFields {...{ fields, rooms, usual, today, fixedKind }} />}
    </Form>
  );
}

function PartFields({
  fields,
  rooms,
  usual,
  today,
  fixedKind,
}: {
  fields: Fields;
  rooms: Room[];
  usual: readonly string[];
  today: string;
  fixedKind: string | undefined;
}) {
  const [kindId, setKindId] = useState(fixedKind ?? fields.value("kind") ?? "");
  const [name, setName] = useState(fields.value("name") ?? "");
  const kind = kindId ? partKind(kindId) : null;
  const inOrder = [
    ...PART_KINDS.filter(({ id }) => usual.includes(id)),
    ...PART_KINDS.filter(({ id }) => !usual.includes(id)),
  ];
  const choose = (id: string) => {
    // A name nobody typed follows the kind.
    if (name === "" || name === kind?.name) setName(id ? partKind(id).name : "");
    setKindId(id);
  };
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-6">
      {!fixedKind && (
        <SelectField
          label="What it is"
          name="kind"
          value={kindId}
          onChange={(event) => choose(event.target.value)}
          options={[
            { value: "", label: "Choose…" },
            ...inOrder.map(({ id, name: words }) => ({ value: id, label: words })),
          ]}
          hint={kind?.care}
          error={fields.error("kind")}
        />
      )}
      <TextField
        label="Name"
        name="name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={fields.error("name")}
      />
      <TextField
        label="Where it is"
        name="place"
        defaultValue={fields.value("place")}
        error={fields.error("place")}
      />
      {rooms.length > 0 && (
        <SelectField
          label="Room"
          name="roomId"
          defaultValue={fields.value("roomId")}
          options={[
            { value: "", label: "where the unit is" },
            ...rooms.map((room) => ({ value: room.id, label: room.name })),
          ]}
        />
      )}
      <AttributeFields
        key={kindId}
        fields={fields}
        attributes={kind?.attributes ?? []}
        today={today}
      />
      <TextArea
        label="Notes"
        name="note"
        rows={3}
        defaultValue={fields.value("note")}
        error={fields.error("note")}
      />
    </div>
  );
}
