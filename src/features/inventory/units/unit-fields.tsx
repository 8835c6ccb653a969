"use client";

import { useState } from "react";
import { CONTACT_ROLE_WORDS, SHUT_OFF_WORDS } from "@/content/words";
import type { Attribute } from "@/core/inventory/attribute";
import {
  SHUT_OFF_KINDS,
  type Contact,
  type Level,
  type Room,
  type ShutOffKind,
} from "@/core/inventory/inventory";
import { Button } from "@/ui/button";
import { CheckField, ChoiceField, SelectField, TextArea, TextField } from "@/ui/field";
import type { Fields } from "@/ui/form";

/** The props of a text field that stands for itself. */
const own = (fields: Fields, name: string) => ({
  name,
  defaultValue: fields.value(name),
  error: fields.error(name),
});

/** What a kind is asked, each in the field that fits; every one may stay unanswered. */
export function AttributeFields({
  fields,
  attributes,
  today,
}: {
  fields: Fields;
  attributes: readonly Attribute[];
  today: string;
}) {
  return attributes.map((attribute) => {
    const props = {
      label: attribute.label,
      hint: attribute.hint,
      ...own(fields, `q-${attribute.key}`),
    };
    switch (attribute.kind) {
      case "choice":
        return (
          <SelectField
            key={attribute.key}
            options={[{ value: "", label: "not known" }, ...attribute.options]}
            {...props}
          />
        );
      case "yes-no":
        return (
          <ChoiceField
            key={attribute.key}
            options={[
              { value: "yes", label: "yes" },
              { value: "no", label: "no" },
            ]}
            {...props}
          />
        );
      case "day":
      case "past-day":
        return (
          <TextField
            key={attribute.key}
            type="date"
            max={attribute.kind === "past-day" ? today : undefined}
            className="max-w-56"
            {...props}
          />
        );
      case "count":
        return (
          <TextField key={attribute.key} inputMode="numeric" className="max-w-28" {...props} />
        );
      case "length":
        return <TextField key={attribute.key} className="max-w-40" {...props} />;
      case "text":
        return <TextField key={attribute.key} {...props} />;
    }
  });
}

export function PlateFields({
  fields,
  attributes,
  asksForCooling,
  hasRefrigerant,
  today,
}: {
  fields: Fields;
  attributes: readonly Attribute[];
  asksForCooling: boolean;
  hasRefrigerant: boolean;
  today: string;
}) {
  return (
    <>
      <TextField
        label="Name"
        hint="As you call it at home: “Cellar furnace”."
        {...own(fields, "name")}
      />
      <div className="grid gap-4 wide:grid-cols-3">
        <TextField label="Make" {...own(fields, "make")} />
        <TextField label="Model" {...own(fields, "model")} />
        <TextField label="Serial number" {...own(fields, "serial")} />
      </div>
      {hasRefrigerant && (
        <TextField
          label="Refrigerant"
          hint="As the plate says it, with its weight if it stands there."
          {...own(fields, "refrigerant")}
        />
      )}
      <AttributeFields {...{ fields, attributes, today }} />
      {asksForCooling && (
        <CheckField
          name="cools"
          label="It cools too"
          hint="with a coil on top of it or beside it: its filter works in summer as well"
          defaultChecked={fields.value("cools") === "on"}
        />
      )}
      <TextField
        label="In service since"
        type="date"
        max={today}
        className="max-w-56"
        hint="A guess is fine."
        {...own(fields, "fittedOn")}
      />
    </>
  );
}

export function PlaceFields({
  fields,
  levels,
  rooms,
}: {
  fields: Fields;
  levels: readonly Level[];
  rooms: readonly Room[];
}) {
  const [level, setLevel] = useState(fields.value("levelId"));
  const here = rooms.filter((room) => room.levelId === level);
  return (
    <>
      <div onChange={(event) => setLevel((event.target as HTMLInputElement).value)}>
        <ChoiceField
          label="Level"
          name="levelId"
          options={levels.map((each) => ({ value: each.id, label: each.name }))}
          defaultValue={fields.value("levelId")}
          error={fields.error("levelId")}
        />
      </div>
      {here.length > 0 && (
        <SelectField
          key={level}
          label="Room"
          options={[
            { value: "", label: "no room of its own" },
            ...here.map((room) => ({ value: room.id, label: room.name })),
          ]}
          {...own(fields, "roomId")}
        />
      )}
      <TextField
        label="How to get at it"
        hint="What has to be moved, a ladder, a key, how far hose and power reach. Empty if it is plain to see."
        {...own(fields, "access")}
      />
    </>
  );
}

/** One row a shut-off, in the order in which they are shut; a row without a place is not there. */
export function ShutOffRows({ fields, usual }: { fields: Fields; usual: readonly ShutOffKind[] }) {
  const kinds = fields.values("shutOffKind");
  const [rows, setRows] = useState(Math.max(kinds.length, kinds.length > 0 ? 0 : usual.length, 1));
  // A new row begins with what such machines usually have and this one has not yet.
  const missing = usual.filter((kind) => !kinds.includes(kind));
  const options = SHUT_OFF_KINDS.map((kind) => ({ value: kind, label: SHUT_OFF_WORDS[kind] }));
  return (
    <>
      {Array.from({ length: rows }, (_, i) => (
        <ShutOffRow
          key={i}
          {...{ fields, options, i }}
          kind={(kinds[i] as ShutOffKind | undefined) ?? missing[i - kinds.length] ?? "breaker"}
        />
      ))}
      <Button className="self-start" onClick={() => setRows(rows + 1)}>
        Add another shut-off
      </Button>
    </>
  );
}

function ShutOffRow({
  fields,
  options,
  i,
  kind: first,
}: {
  fields: Fields;
  options: { value: string; label: string }[];
  i: number;
  kind: ShutOffKind;
}) {
  const [kind, setKind] = useState(first);
  return (
    <fieldset className="grid gap-4 wide:grid-cols-[10rem_1fr_12rem]">
      <legend className="sr-only">Shut-off {i + 1}</legend>
      <SelectField
        label="What"
        name="shutOffKind"
        id={`shutOffKind-${i}`}
        options={options}
        value={kind}
        onChange={(event) => setKind(event.target.value as ShutOffKind)}
      />
      <TextField
        label="Where"
        name="shutOffPlace"
        id={`shutOffPlace-${i}`}
        placeholder={i === 0 ? "left of the door" : undefined}
        defaultValue={fields.values("shutOffPlace")[i]}
        error={fields.error(`shutOffPlace-${i}`)}
      />
      <TextField
        label="Off is"
        name="shutOffPosition"
        id={`shutOffPosition-${i}`}
        placeholder="not noted yet"
        defaultValue={fields.values("shutOffPosition")[i]}
        error={fields.error(`shutOffPosition-${i}`)}
      />
    </fieldset>
  );
}

export function PapersFields({
  fields,
  contacts,
}: {
  fields: Fields;
  contacts: readonly Contact[];
}) {
  return (
    <>
      <TextField
        label="Where its papers are"
        hint="Manual, bill, commissioning sheet."
        {...own(fields, "papers")}
      />
      <div className="grid gap-4 wide:grid-cols-2">
        <TextField label="Warranty ends on" type="date" {...own(fields, "warrantyEndsOn")} />
        <SelectField
          label="Registered with the maker"
          options={[
            { value: "", label: "not known" },
            { value: "yes", label: "yes" },
            { value: "no", label: "no, not yet" },
          ]}
          {...own(fields, "warrantyRegistered")}
        />
      </div>
      <SelectField
        label="Who services it"
        options={[
          { value: "", label: "nobody yet" },
          ...contacts.map((contact) => ({
            value: contact.id,
            label: `${contact.name} (${CONTACT_ROLE_WORDS[contact.role].toLowerCase()})`,
          })),
        ]}
        {...own(fields, "contactId")}
      />
      <TextArea
        label="Notes"
        rows={3}
        hint="How its doors come off, in which order; what nobody else would know."
        {...own(fields, "note")}
      />
    </>
  );
}
