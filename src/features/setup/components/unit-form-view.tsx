"use client";

import { useState } from "react";
import { UNIT_KINDS, unitKind } from "@/content/unit-kinds";
import { SHUT_OFF_WORDS } from "@/content/words";
import { SHUT_OFF_KINDS, type Level } from "@/core/register/register";
import { Button } from "@/ui/button";
import { CheckField, ChoiceField, FormSection, SelectField, TextField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

const KIND_OPTIONS = [
  { value: "", label: "Choose…" },
  ...UNIT_KINDS.map(({ id, name, hint }) => ({ value: id, label: `${name} (${hint})` })),
];

/** What is on its plate, where it stands, how it runs, how it is shut off. */
export function UnitFormView({
  action,
  initial,
  levels,
  isNew,
}: {
  action: Action;
  initial: FormView;
  levels: Level[];
  isNew: boolean;
}) {
  return (
    <Form action={action} initial={initial} submit={isNew ? "Save, then add its filter" : "Save"}>
      {(fields) => <UnitFields {...{ fields, levels, isNew }} />}
    </Form>
  );
}

function UnitFields({
  fields,
  levels,
  isNew,
}: {
  fields: Fields;
  levels: Level[];
  isNew: boolean;
}) {
  const [kindId, setKindId] = useState(fields.value("kind") ?? "");
  const kind = kindId ? unitKind(kindId) : null;
  const [fanMode, setFanMode] = useState(
    fields.value("fanMode") ?? kind?.equipment.fan.mode ?? "auto",
  );
  const chosen = (value: string) => {
    setKindId(value);
    if (value) setFanMode(unitKind(value).equipment.fan.mode);
  };
  const ticked = (name: "heats" | "cools") =>
    fields.values("kind")[0] === kindId && kindId !== ""
      ? fields.value(name) === "on"
      : (kind?.equipment[name] ?? false);
  return (
    <>
      <FormSection title="What it is">
        <SelectField
          label="Kind"
          name="kind"
          options={KIND_OPTIONS}
          value={kindId}
          onChange={(event) => chosen(event.target.value)}
          error={fields.error("kind")}
        />
        <TextField
          label="Name"
          name="name"
          defaultValue={fields.value("name")}
          hint="As you call it at home: “Cellar furnace”."
          error={fields.error("name")}
        />
        <TextField
          label="Make and model, if you like"
          name="makeModel"
          defaultValue={fields.value("makeModel")}
          hint="On the plate, usually inside its door."
          error={fields.error("makeModel")}
        />
      </FormSection>
      <FormSection title="Where it stands">
        <ChoiceField
          label="Level"
          name="levelId"
          options={levels.map((level) => ({ value: level.id, label: level.name }))}
          defaultValue={fields.value("levelId")}
          error={fields.error("levelId")}
        />
        <TextField
          label="How to get at it"
          name="access"
          defaultValue={fields.value("access")}
          hint="What has to be moved, a ladder, a key. Leave it empty if it is plain to see."
          error={fields.error("access")}
        />
      </FormSection>
      <FormSection
        title="How to shut it off"
        intro="In the order in which you do it. It stands at the top of the unit’s page."
      >
        <ShutOffRows fields={fields} first={kind?.shutOff ?? "switch"} />
      </FormSection>
      <FormSection
        title="How it runs"
        intro="From this and the climate follow the hours it runs each day."
      >
        <div key={kindId}>
          <CheckField name="heats" label="It heats" defaultChecked={ticked("heats")} />
          <CheckField
            name="cools"
            label="It cools"
            hint="with a coil of its own or on top of it"
            defaultChecked={ticked("cools")}
          />
        </div>
        <SelectField
          label="Its fan"
          name="fanMode"
          value={fanMode}
          onChange={(event) => setFanMode(event.target.value)}
          options={[
            { value: "auto", label: "runs with heating and cooling only" },
            { value: "minimum", label: "runs at least some hours every day" },
            { value: "continuous", label: "runs day and night" },
          ]}
          error={fields.error("fanMode")}
        />
        <div hidden={fanMode !== "minimum"}>
          <TextField
            label="At least how many hours a day"
            name="fanHours"
            inputMode="decimal"
            defaultValue={fields.value("fanHours")}
            error={fields.error("fanHours")}
          />
        </div>
      </FormSection>
      {isNew && <p className="pb-4 text-second">Next comes the slot its filter sits in.</p>}
    </>
  );
}

function ShutOffRows({ fields, first }: { fields: Fields; first: string }) {
  const kinds = fields.values("shutOffKind");
  const [rows, setRows] = useState(Math.max(1, kinds.length));
  const options = SHUT_OFF_KINDS.map((kind) => ({ value: kind, label: SHUT_OFF_WORDS[kind].name }));
  return (
    <>
      {Array.from({ length: rows }, (_, i) => (
        <fieldset
          key={`${i} ${kinds.length === 0 ? first : ""}`}
          className="grid gap-4 wide:grid-cols-[11rem_1fr_11rem]"
        >
          <legend className="sr-only">Shut-off {i + 1}</legend>
          <SelectField
            label="What"
            name="shutOffKind"
            id={`shutOffKind-${i}`}
            options={options}
            defaultValue={kinds[i] ?? (i === 0 ? first : "breaker")}
          />
          <TextField
            label="Where"
            name="shutOffPlace"
            id={`shutOffPlace-${i}`}
            defaultValue={fields.values("shutOffPlace")[i]}
          />
          <TextField
            label="Off is"
            name="shutOffPosition"
            id={`shutOffPosition-${i}`}
            placeholder="down"
            defaultValue={fields.values("shutOffPosition")[i]}
          />
        </fieldset>
      ))}
      <Button className="self-start" onClick={() => setRows(rows + 1)}>
        Add another shut-off
      </Button>
    </>
  );
}
