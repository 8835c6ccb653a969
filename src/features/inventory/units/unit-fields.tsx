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
import { attributeField } from "./unit-names";
import { Button } from "@/ui/button";
import { DayField } from "@/ui/day-field";
import { CheckField, ChoiceField, SelectField, TextArea, TextField } from "@/ui/field";
import { useTypedText } from "@/ui/form";
import { ByOrder, useFields } from "@/ui/form-fields";

/** What a kind is asked, each in the field that fits; every one may stay unanswered. */
export function AttributeFields({
  attributes,
  today,
}: {
  attributes: readonly Attribute[];
  today: string;
}) {
  return attributes.map((attribute) => {
    const { label, hint } = attribute;
    const props = { label, hint, name: attributeField(attribute.key) };
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
          <DayField
            key={attribute.key}
            max={attribute.kind === "past-day" ? today : undefined}
            mayBeYear
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
  attributes,
  asksForCooling,
  hasRefrigerant,
  today,
}: {
  attributes: readonly Attribute[];
  asksForCooling: boolean;
  hasRefrigerant: boolean;
  today: string;
}) {
  return (
    <>
      <TextField label="Name" hint="As you call it at home: “The old furnace”." name="name" />
      <div className="grid gap-4 wide:grid-cols-3">
        <TextField label="Make" name="make" />
        <TextField label="Model" name="model" />
        <TextField label="Serial number" name="serial" />
      </div>
      {hasRefrigerant && (
        <TextField
          label="Refrigerant"
          hint="As the plate says it, with its weight if it stands there."
          name="refrigerant"
        />
      )}
      <AttributeFields {...{ attributes, today }} />
      {asksForCooling && (
        <CheckField
          name="cools"
          label="It cools too"
          hint="with a coil on top of it or beside it: its filter works in summer as well"
        />
      )}
      <DayField
        label="In service since"
        max={today}
        hint="A guess is fine; so is a year, or “May 2017”."
        name="fittedOn"
        mayBeYear
      />
    </>
  );
}

export function PlaceFields({
  levels,
  rooms,
}: {
  levels: readonly Level[];
  rooms: readonly Room[];
}) {
  const fields = useFields();
  const level = useTypedText("levelId");
  const here = rooms.filter((room) => room.levelId === level);
  return (
    <>
      <div onChange={() => fields.forget(["roomId"])}>
        <ChoiceField
          label="Level"
          name="levelId"
          options={levels.map((each) => ({ value: each.id, label: each.name }))}
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
          name="roomId"
        />
      )}
      <TextField
        label="How to get at it"
        hint="What has to be moved, a ladder, a key, how far hose and power reach. Empty if it is plain to see."
        name="access"
      />
    </>
  );
}

/** One row a shut-off, in the order in which they are shut; a row without a place is not there. */
export function ShutOffRows({ usual }: { usual: readonly ShutOffKind[] }) {
  const fields = useFields();
  const kinds = fields.values("shutOffKind");
  const [rows, setRows] = useState(Math.max(kinds.length, kinds.length > 0 ? 0 : usual.length, 1));
  // A new row begins with what such machines usually have and this one has not yet.
  const missing = usual.filter((kind) => !kinds.includes(kind));
  return (
    <>
      {Array.from({ length: rows }, (_, i) => (
        <ShutOffRow
          key={i}
          nth={i}
          kind={kinds[i] ?? missing[i - kinds.length] ?? "breaker"}
          place={fields.values("shutOffPlace")[i]}
          position={fields.values("shutOffPosition")[i]}
          problem={(name) => fields.error(`${name}-${i}`)}
        />
      ))}
      <Button className="self-start" onClick={() => setRows(rows + 1)}>
        Add another shut-off
      </Button>
    </>
  );
}

const SHUT_OFFS = SHUT_OFF_KINDS.map((kind) => ({ value: kind, label: SHUT_OFF_WORDS[kind] }));

function ShutOffRow({
  nth,
  kind,
  place,
  position,
  problem,
}: {
  nth: number;
  kind: string;
  place: string | undefined;
  position: string | undefined;
  problem: (name: string) => string | undefined;
}) {
  return (
    <fieldset className="grid gap-4 wide:grid-cols-[10rem_1fr_12rem]">
      <legend className="sr-only">Shut-off {nth + 1}</legend>
      <ByOrder>
        <SelectField
          label="What"
          name="shutOffKind"
          id={`shutOffKind-${nth}`}
          options={SHUT_OFFS}
          defaultValue={kind}
        />
        <TextField
          label="Where"
          name="shutOffPlace"
          id={`shutOffPlace-${nth}`}
          placeholder={nth === 0 ? "left of the door" : undefined}
          defaultValue={place}
          error={problem("shutOffPlace")}
        />
        <TextField
          label="Off is"
          name="shutOffPosition"
          id={`shutOffPosition-${nth}`}
          placeholder="not noted yet"
          defaultValue={position}
          error={problem("shutOffPosition")}
        />
      </ByOrder>
    </fieldset>
  );
}

export function PapersFields({ contacts }: { contacts: readonly Contact[] }) {
  return (
    <>
      <TextField
        label="Where its papers are"
        hint="Manual, bill, commissioning sheet."
        name="papers"
      />
      <div className="grid gap-4 wide:grid-cols-2">
        <DayField label="Warranty ends on" name="warrantyEndsOn" />
        <SelectField
          label="Registered with the maker"
          options={[
            { value: "", label: "not known" },
            { value: "yes", label: "yes" },
            { value: "no", label: "no, not yet" },
          ]}
          name="warrantyRegistered"
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
        name="contactId"
      />
      <TextArea
        label="Notes"
        rows={3}
        hint="How its doors come off, in which order; what nobody else would know."
        name="note"
      />
    </>
  );
}
