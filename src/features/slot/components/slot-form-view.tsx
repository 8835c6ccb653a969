"use client";

import { useState } from "react";
import { AIR_SIDE_WORDS, DIRECTION_WORDS, MEDIA_WORDS } from "@/content/words";
import { actualSize, readSize, sizeWords } from "@/core/quantities/size";
import { DIRECTIONS } from "@/core/register/register";
import { AIR_SIDES } from "@/core/wear/drivers";
import type { Media } from "@/core/wear/media";
import { CheckField, FormSection, SelectField, TextField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";

type Action = (state: FormView, form: FormData) => Promise<FormView>;

/** The slot a filter sits in: its sizes, its medium and rating, and which way the air goes. */
export function SlotFormView({
  action,
  initial,
  media,
  unit,
  currency,
  today,
  isNew,
}: {
  action: Action;
  initial: FormView;
  media: readonly Media[];
  unit: "in" | "mm";
  currency: string;
  today: string;
  isNew: boolean;
}) {
  const options = <K extends string>(keys: readonly K[], words: Readonly<Record<K, string>>) =>
    keys.map((key) => ({ value: key, label: words[key] }));
  return (
    <Form action={action} initial={initial} submit="Save the slot">
      {(fields) => {
        const text = (name: string) => ({
          name,
          defaultValue: fields.value(name),
          error: fields.error(name),
        });
        return (
          <>
            <FormSection title="The slot">
              <TextField label="Name" {...text("name")} />
              <TextField
                label="Where it is"
                hint="“In the return duct, left of the furnace, behind the sliding plate.”"
                {...text("place")}
              />
            </FormSection>
            <FormSection
              title="Sizes"
              intro="Width × height × depth, as 20x20x1 or 500x500x48 mm. Fractions such as 19 1/2 are fine."
            >
              <SizeFields fields={fields} unit={unit} />
              <TextField
                label="How many filters side by side"
                inputMode="numeric"
                className="max-w-28"
                {...text("filterCount")}
              />
            </FormSection>
            <FormSection title="The filter">
              <SelectField
                label="Medium"
                options={options(media, MEDIA_WORDS)}
                {...text("media")}
              />
              <TextField
                label="Rating, if it has one"
                hint="As printed: MERV 8, G4, M5, ePM10 50."
                {...text("rating")}
              />
              <SelectField
                label="Which air passes it"
                options={options(AIR_SIDES, AIR_SIDE_WORDS)}
                {...text("airSide")}
              />
              <TextField
                label={`Price of one, ${currency}`}
                inputMode="decimal"
                className="max-w-40"
                {...text("price")}
              />
            </FormSection>
            <FormSection
              title="Which way round"
              intro="The arrow on its frame points to the blower, the way the air goes."
            >
              <SelectField
                label="The arrow points"
                options={options(DIRECTIONS, DIRECTION_WORDS)}
                {...text("direction")}
              />
              <TextField
                label="How it is marked"
                hint="“Arrow drawn on the duct.” Leave it empty if nothing shows it."
                {...text("directionMark")}
              />
              <CheckField
                name="indicator"
                label="It has a filter light to reset"
                defaultChecked={fields.value("indicator") === "on"}
              />
            </FormSection>
            {isNew && (
              <FormSection title="The one in it now">
                <TextField
                  label="Fitted on"
                  type="date"
                  max={today}
                  hint="A guess is a good start; empty if you have no idea."
                  className="max-w-56"
                  {...text("fittedOn")}
                />
              </FormSection>
            )}
            <FormSection
              title="The maker’s own figures"
              intro="They beat ours. Leave them empty if you have none."
            >
              <div className="grid gap-4 wide:grid-cols-2">
                <TextField label="Run hours to change" inputMode="numeric" {...text("baseHours")} />
                <TextField
                  label="At the latest after, days"
                  inputMode="numeric"
                  {...text("maxAgeDays")}
                />
              </div>
            </FormSection>
          </>
        );
      }}
    </Form>
  );
}

function SizeFields({ fields, unit }: { fields: Fields; unit: "in" | "mm" }) {
  const [nominal, setNominal] = useState(fields.value("nominal") ?? "");
  const reading = readSize(nominal, unit);
  const real = reading.ok ? actualSize(reading.mm, reading.unit) : null;
  const understood = !reading.ok
    ? "Read it off the old filter’s frame."
    : reading.unit === "in"
      ? `Read as ${sizeWords(reading.mm, "in")}. Really about ${sizeWords(real!, unit)}: the trade makes it half an inch smaller, so that it slides.`
      : `Read as ${sizeWords(reading.mm, "mm")}.`;
  return (
    <>
      <TextField
        label="Printed size"
        name="nominal"
        value={nominal}
        onChange={(event) => setNominal(event.target.value)}
        hint={understood}
        error={fields.error("nominal")}
      />
      <TextField
        label="The filter, measured"
        name="measured"
        defaultValue={fields.value("measured")}
        hint="With a tape, if you can."
        error={fields.error("measured")}
      />
      <TextField
        label="The slot, measured"
        name="opening"
        defaultValue={fields.value("opening")}
        hint="The opening between its guides."
        error={fields.error("opening")}
      />
    </>
  );
}
