"use client";

import { ofSingles } from "@/lib/forms";
import { CheckField, CheckGroup, FormSection, SelectField, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { useFields } from "@/ui/form-fields";

/** Which machines run together, and how: from this and the climate follow their hours. */
export function SystemFormView({
  action,
  initial,
  units,
  movesAir,
  isUs,
}: {
  action: FormAction;
  initial: FormView;
  units: { id: string; name: string }[];
  /** A boiler has water instead: no fan, no air to share. */
  movesAir: boolean;
  isUs: boolean;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./system-form").then(({ systemForm }) =>
          ofSingles(systemForm(isUs ? "us" : "metric")),
        )
      }
      submit="Save"
    >
      <>
        {!movesAir && (
          <FormSection title="How it runs">
            <UnaskedFields />
            <Seasons isUs={isUs} cools={false} />
          </FormSection>
        )}
        {movesAir && (
          <>
            <FormSection
              title="Its machines"
              intro="They move their air together and share its hours."
            >
              <TextField label="Name" name="name" />
              <CheckGroup
                label="Machines in it"
                name="members"
                options={units.map(({ id, name }) => ({ value: id, label: name }))}
              />
            </FormSection>
            <FormSection title="How it runs">
              <RunFields isUs={isUs} />
            </FormSection>
          </>
        )}
      </>
    </Form>
  );
}

/** What a boiler is not asked, handed on as it is. */
function UnaskedFields() {
  const fields = useFields();
  const names = ["name", "members", "heats", "cools", "fanMode", "fanHours", "fanLevel", "airflow"];
  return names.flatMap((name) =>
    fields
      .values(name)
      .map((value) => <input key={`${name} ${value}`} type="hidden" name={name} value={value} />),
  );
}

/** How much of the year it runs: its share, its bounds, its months. */
function Seasons({ isUs, cools }: { isUs: boolean; cools: boolean }) {
  const unasked = useFields().value("coolBalance") ?? "";
  const degree = isUs ? "°F" : "°C";
  return (
    <div className="grid gap-4 wide:grid-cols-2">
      <TextField
        label="Used to, percent"
        inputMode="numeric"
        hint="Less than 100 for a part of the house that is seldom lived in."
        name="useShare"
      />
      <TextField
        label={`Heats below, ${degree}`}
        inputMode="decimal"
        hint="The outdoor mean at which it starts."
        name="heatBalance"
      />
      {cools ? (
        <TextField label={`Cools above, ${degree}`} inputMode="decimal" name="coolBalance" />
      ) : (
        <input type="hidden" name="coolBalance" value={unasked} />
      )}
      <TextField
        label="In use from"
        placeholder="05-01"
        hint="Month and day; both empty: all year."
        name="inUseFrom"
      />
      <TextField label="… to" placeholder="09-30" name="inUseTo" />
    </div>
  );
}

function RunFields({ isUs }: { isUs: boolean }) {
  const fanMode = useTypedText("fanMode", "auto");
  return (
    <>
      <CheckField name="heats" label="It heats" />
      <CheckField name="cools" label="It cools" />
      <SelectField
        label="Its fan"
        name="fanMode"
        options={[
          { value: "auto", label: "runs with heating and cooling only" },
          { value: "minimum", label: "runs at least some hours every day" },
          { value: "continuous", label: "runs day and night" },
        ]}
      />
      <div hidden={fanMode !== "minimum"}>
        <TextField
          label="At least how many hours a day"
          inputMode="decimal"
          className="max-w-28"
          name="fanHours"
        />
      </div>
      <div hidden={fanMode !== "continuous"}>
        <TextField
          label="At what part of its full air, percent"
          inputMode="numeric"
          className="max-w-28"
          name="fanLevel"
        />
      </div>
      <TextField
        label={`Air it moves, ${isUs ? "cfm" : "m³/h"}`}
        inputMode="decimal"
        hint="From the plate or a technician’s sheet; it sharpens how filters fit."
        className="max-w-40"
        name="airflow"
      />
      <Seasons isUs={isUs} cools />
    </>
  );
}
