"use client";

import { ofSingles } from "@/lib/forms";
import { englishOf, inEnglish } from "@/content/english";
import { MAINS } from "@/core/inventory/inventory";
import { CURRENCIES } from "@/core/quantities/money";
import {
  CheckField,
  CheckGroup,
  ChoiceField,
  FormSection,
  SelectField,
  TextArea,
  TextField,
} from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { LEVEL_CHOICES } from "./home-form";
import { MainField } from "./main-field";
import type { MainShelves } from "./main-pictures";
import { CallFields } from "./call-fields";
import { ClimateFields } from "./climate-fields";
import { TimeZoneField } from "./time-zone-field";

const home = () => import("./home-form").then(({ homeForm }) => ofSingles(homeForm));
const newHome = () => import("./home-form").then(({ newHomeForm }) => newHomeForm);

/** By the names they have in the home’s English, whichever units are chosen above. */
function Levels() {
  const english = englishOf({ unitSystem: useTypedText("unitSystem") === "us" ? "us" : "metric" });
  const options = LEVEL_CHOICES.map(({ key, name }) => ({
    value: key,
    label: inEnglish(english, name),
  }));
  return (
    <CheckGroup
      label="Levels"
      name="levels"
      options={options}
      className="grid grid-cols-2 wide:grid-cols-3"
    />
  );
}

/** A home, its climate, and, for a new one, who lives in it and which levels it has. */
export function HomeFormView({
  action,
  initial,
  isNew,
  pictures,
}: {
  action: FormAction;
  initial: FormView;
  isNew: boolean;
  /** Of the main shut-offs; a home has none before it is there. */
  pictures?: MainShelves;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={isNew ? newHome : home}
      submit={isNew ? "Save, then add a unit" : "Save"}
    >
      <FormSection title="The home">
        <TextField label="What do you call it?" name="name" />
        <div className="grid gap-4 wide:grid-cols-2">
          <SelectField
            label="Currency for prices"
            name="currency"
            options={CURRENCIES.map((code) => ({ value: code, label: code }))}
          />
          <TimeZoneField />
        </div>
        <TextArea
          label="Rules where you live"
          name="localRules"
          rows={3}
          maxLength={400}
          hint="Who may touch gas, refrigerant or wiring; what needs a permit or a yearly check. Shown before such work. It may stay empty."
        />
      </FormSection>
      <FormSection
        title="Its climate"
        intro="How cold a winter gets decides how long the furnace runs, and so how fast its filter fills."
      >
        <ClimateFields />
      </FormSection>
      {!isNew && (
        <FormSection
          title="Capacitors"
          intro="Practitioners differ. It holds for every reading, visit and job of this home."
        >
          <ChoiceField
            label="A capacitor is replaced"
            name="capacitorStrategy"
            options={[
              { value: "label", label: "beyond the tolerance on its label, usually 6 %" },
              { value: "general", label: "beyond 10 %" },
            ]}
          />
        </FormSection>
      )}
      <FormSection
        title="Shutting off the whole house"
        intro="Printed first on the sheet for the cupboard door. Not known? Leave it empty: the first walk asks again."
      >
        {MAINS.map((main) => (
          <div key={main}>
            <MainField main={main} pictures={pictures?.[main]} />
          </div>
        ))}
      </FormSection>
      <FormSection
        title="Whom to call"
        intro="It stands on the emergency card, to be pressed. The gas number is on the meter or the bill."
      >
        <CallFields />
      </FormSection>
      {isNew && (
        <>
          <FormSection title="Who lives there" intro="All of it can be changed, and dated, later.">
            <div className="grid grid-cols-2 gap-4">
              <TextField label="People" name="people" inputMode="numeric" />
              <TextField label="Shedding animals" name="pets" inputMode="numeric" />
            </div>
            <div>
              {[
                { name: "smoking", label: "Someone smokes indoors" },
                { name: "dustyHobby", label: "A workshop or hobby makes dust" },
                { name: "busyRoad", label: "A busy road runs past" },
              ].map(({ name, label }) => (
                <CheckField key={name} name={name} label={label} />
              ))}
            </div>
          </FormSection>
          <FormSection title="Its levels" intro="Where machines can stand.">
            <Levels />
          </FormSection>
        </>
      )}
    </Form>
  );
}
