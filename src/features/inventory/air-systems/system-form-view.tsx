"use client";

import { useState } from "react";
import { CheckField, FormSection, SelectField, TextField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";

/** Which machines run together, and how: from this and the climate follow their hours. */
export function SystemFormView({
  action,
  initial,
  units,
  movesAir,
  isUs,
}: {
  action: (state: FormView, form: FormData) => Promise<FormView>;
  initial: FormView;
  units: { id: string; name: string }[];
  /** A boiler has water instead: no fan, no air to share. */
  movesAir: boolean;
  isUs: boolean;
}) {
  return (
    <Form action={action} initial={initial} submit="Save">
      {(fields) => (
        <>
          {!movesAir && (
            <FormSection title="How it runs">
              <UnaskedFields fields={fields} />
              <Seasons fields={fields} isUs={isUs} cools={false} />
            </FormSection>
          )}
          {movesAir && (
            <>
              <FormSection
                title="Its machines"
                intro="They move their air together and share its hours."
              >
                <TextField
                  label="Name"
                  name="name"
                  defaultValue={fields.value("name")}
                  error={fields.error("name")}
                />
                <fieldset aria-describedby={fields.error("members") ? "members-error" : undefined}>
                  <legend className="font-semibold">Machines in it</legend>
                  {units.map((unit) => (
                    <CheckField
                      key={unit.id}
                      name="members"
                      value={unit.id}
                      label={unit.name}
                      defaultChecked={fields.values("members").includes(unit.id)}
                    />
                  ))}
                  {fields.error("members") && (
                    <p id="members-error" className="font-medium text-attention-text">
                      {fields.error("members")}
                    </p>
                  )}
                </fieldset>
              </FormSection>
              <FormSection title="How it runs">
                <RunFields fields={fields} isUs={isUs} />
              </FormSection>
            </>
          )}
        </>
      )}
    </Form>
  );
}

/** What a boiler is not asked, handed on as it is. */
function UnaskedFields({ fields }: { fields: Fields }) {
  const names = ["name", "members", "heats", "cools", "fanMode", "fanHours", "fanLevel", "airflow"];
  return names.flatMap((name) =>
    fields
      .values(name)
      .map((value) => <input key={`${name} ${value}`} type="hidden" name={name} value={value} />),
  );
}

/** How much of the year it runs: its share, its bounds, its months. */
function Seasons({ fields, isUs, cools }: { fields: Fields; isUs: boolean; cools: boolean }) {
  const own = (name: string) => ({
    name,
    defaultValue: fields.value(name),
    error: fields.error(name),
  });
  const degree = isUs ? "°F" : "°C";
  return (
    <div className="grid gap-4 wide:grid-cols-2">
      <TextField
        label="Used to, percent"
        inputMode="numeric"
        hint="Less than 100 for a part of the house that is seldom lived in."
        {...own("useShare")}
      />
      <TextField
        label={`Heats below, ${degree}`}
        inputMode="decimal"
        hint="The outdoor mean at which it starts."
        {...own("heatBalance")}
      />
      {cools ? (
        <TextField label={`Cools above, ${degree}`} inputMode="decimal" {...own("coolBalance")} />
      ) : (
        <input type="hidden" name="coolBalance" value={fields.value("coolBalance") ?? ""} />
      )}
      <TextField
        label="In use from"
        placeholder="05-01"
        hint="Month and day; both empty: all year."
        {...own("inUseFrom")}
      />
      <TextField label="… to" placeholder="09-30" {...own("inUseTo")} />
    </div>
  );
}

function RunFields({ fields, isUs }: { fields: Fields; isUs: boolean }) {
  const [fanMode, setFanMode] = useState(fields.value("fanMode") ?? "auto");
  const own = (name: string) => ({
    name,
    defaultValue: fields.value(name),
    error: fields.error(name),
  });
  return (
    <>
      <CheckField name="heats" label="It heats" defaultChecked={fields.value("heats") === "on"} />
      <CheckField name="cools" label="It cools" defaultChecked={fields.value("cools") === "on"} />
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
          inputMode="decimal"
          className="max-w-28"
          {...own("fanHours")}
        />
      </div>
      <div hidden={fanMode !== "continuous"}>
        <TextField
          label="At what part of its full air, percent"
          inputMode="numeric"
          className="max-w-28"
          {...own("fanLevel")}
        />
      </div>
      <TextField
        label={`Air it moves, ${isUs ? "cfm" : "m³/h"}`}
        inputMode="decimal"
        hint="From the plate or a technician’s sheet; it sharpens how filters fit."
        className="max-w-40"
        {...own("airflow")}
      />
      <Seasons fields={fields} isUs={isUs} cools />
    </>
  );
}
