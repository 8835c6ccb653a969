"use client";

import { useState } from "react";
import {
  AIR_SIDE_WORDS,
  DIRECTION_WORDS,
  MEDIA_WORDS,
  SEAT_WORDS,
  SLOT_PLACE_WORDS,
} from "@/content/words";
import { crosswalkWords, fitWords } from "@/presentation/slot-words";
import { SEATS } from "@/core/calculators/filter-fit";
import { readRating } from "@/core/quantities/rating";
import { readSize } from "@/core/quantities/size";
import { unitsFor } from "@/core/readings/reading-units";
import { DIRECTIONS } from "@/core/inventory/directions";
import { SLOT_PLACES, type Room, type Seat } from "@/core/inventory/inventory";
import { crosswalkOfSlot, fitOfSlot } from "@/core/filters/slot-fit";
import { AIR_SIDES } from "@/core/filters/drivers";
import type { Media } from "@/core/filters/media";
import { CheckField, FormSection, SelectField, TextArea, TextField } from "@/ui/field";
import { Form, type Fields, type FormView } from "@/ui/form";
import { SizeField } from "../guided-add/quick-slots-form";

type Action = (state: FormView, form: FormData) => Promise<FormView>;
type Around = {
  media: readonly Media[];
  rooms: readonly Room[];
  unit: "in" | "mm";
  currency: string;
  today: string;
  airflowM3h: number | undefined;
  isNew: boolean;
};

const options = <K extends string>(keys: readonly K[], words: Readonly<Record<K, string>>) =>
  keys.map((key) => ({ value: key, label: words[key] }));

/** The slot a filter sits in: its sizes and fit, its medium and rating, and which way the air goes. */
export function SlotFormView({
  action,
  initial,
  ...context
}: { action: Action; initial: FormView } & Around) {
  return (
    <Form action={action} initial={initial} submit="Save the slot">
      {(fields) => (
        <>
          <FormSection title="The slot">
            <TextField label="Name" {...text(fields, "name")} />
            <SelectField
              label="Where it sits"
              options={options(SLOT_PLACES, SLOT_PLACE_WORDS)}
              {...text(fields, "slotPlace")}
            />
            <TextField
              label="How to find it"
              hint="“Left of the furnace, behind the sliding plate.”"
              {...text(fields, "place")}
            />
            {context.rooms.length > 0 && (
              <SelectField
                label="Room, if it is not at its unit"
                options={[
                  { value: "", label: "at its unit" },
                  ...context.rooms.map((room) => ({ value: room.id, label: room.name })),
                ]}
                {...text(fields, "roomId")}
              />
            )}
          </FormSection>
          <FormSection
            title="Sizes and fit"
            intro="Width × height × depth, in inches or mm. Fractions such as 19 1/2 are fine."
          >
            <SizeAndFit fields={fields} {...context} />
          </FormSection>
          <FormSection title="The filter">
            <FilterFields fields={fields} {...context} />
          </FormSection>
          <FormSection
            title="Which way round"
            intro="The arrow on its frame points to the blower, the way the air goes."
          >
            <SelectField
              label="The arrow points"
              options={options(DIRECTIONS, DIRECTION_WORDS)}
              {...text(fields, "direction")}
            />
            <TextField
              label="How it is marked"
              hint="“Arrow drawn on the duct.” Leave it empty if nothing shows it."
              {...text(fields, "directionMark")}
            />
            <CheckField
              name="indicator"
              label="It has a filter light to reset"
              defaultChecked={fields.value("indicator") === "on"}
            />
            <TextField
              label="How the light is reset"
              hint="“Hold the filter button for three seconds.”"
              {...text(fields, "indicatorReset")}
            />
          </FormSection>
          {context.isNew && (
            <FormSection title="The one in it now">
              <TextField
                label="Fitted on"
                type="date"
                max={context.today}
                hint="A guess is a good start; empty if you have no idea."
                className="max-w-56"
                {...text(fields, "fittedOn")}
              />
            </FormSection>
          )}
          <FormSection
            title="The maker’s own figures"
            intro="They beat ours. Leave them empty if you have none."
          >
            <div className="grid gap-4 wide:grid-cols-2">
              <TextField
                label="Run hours to change"
                inputMode="numeric"
                {...text(fields, "baseHours")}
              />
              <TextField
                label="At the latest after, days"
                inputMode="numeric"
                {...text(fields, "maxAgeDays")}
              />
            </div>
            <TextArea label="Notes" rows={2} {...text(fields, "note")} />
          </FormSection>
        </>
      )}
    </Form>
  );
}

const text = (fields: Fields, name: string) => ({
  name,
  defaultValue: fields.value(name),
  error: fields.error(name),
});

function FilterFields({ fields, media, currency }: { fields: Fields } & Around) {
  const [rating, setRating] = useState(fields.value("rating") ?? "");
  const read = rating === "" ? null : readRating(rating);
  const crosswalk = read && crosswalkOfSlot({ rating: read });
  return (
    <>
      <SelectField
        label="Medium"
        options={options(media, MEDIA_WORDS)}
        hint="Meshes, cells and washable panels are cleaned and go back; the others are thrown away."
        {...text(fields, "media")}
      />
      <TextField
        label="Rating, if it has one"
        name="rating"
        value={rating}
        onChange={(event) => setRating(event.target.value)}
        hint={
          crosswalk
            ? crosswalkWords(crosswalk, read.scheme)
            : "As printed: MERV 8, G4, M5, ePM10 50."
        }
        error={fields.error("rating")}
      />
      <SelectField
        label="Which air passes it"
        options={options(AIR_SIDES, AIR_SIDE_WORDS)}
        {...text(fields, "airSide")}
      />
      <CheckField
        name="cutToSize"
        label="Bought as a sheet and cut to size"
        defaultChecked={fields.value("cutToSize") === "on"}
      />
      <TextField
        label={`Price of one, ${currency}`}
        inputMode="decimal"
        className="max-w-40"
        {...text(fields, "price")}
      />
    </>
  );
}

function SizeAndFit({ fields, unit, media, airflowM3h }: { fields: Fields } & Around) {
  const [sizes, setSizes] = useState({
    nominal: fields.value("nominal") ?? "",
    measured: fields.value("measured") ?? "",
    opening: fields.value("opening") ?? "",
    drop: fields.value("cleanDrop") ?? "",
    count: fields.value("filterCount") ?? "1",
  });
  const [seat, setSeat] = useState((fields.value("seat") ?? "rail") as Seat);
  const set = (name: keyof typeof sizes) => (value: string) =>
    setSizes({ ...sizes, [name]: value });
  const [nominal, measured, opening] = [sizes.nominal, sizes.measured, sizes.opening].map((each) =>
    readSize(each, unit),
  );
  const typed = (reading: typeof nominal, words: string) =>
    reading?.ok ? { text: words, mm: reading.mm } : undefined;
  const pressure = unitsFor("filter-drop", unit === "in" ? "us" : "metric")[0]!;
  const drop = Number(sizes.drop.replace(",", ".")) * pressure.per;
  const fit =
    nominal?.ok && opening?.ok
      ? fitOfSlot(
          {
            nominal: { text: sizes.nominal, mm: nominal.mm, unit: nominal.unit },
            ...(measured?.ok ? { measured: typed(measured, sizes.measured)! } : {}),
            opening: typed(opening, sizes.opening)!,
            seat,
            media: (fields.value("media") as Media | undefined) ?? media[0]!,
            filterCount: Math.max(1, Number(sizes.count) || 1),
            ...(drop > 0 ? { cleanDropPa: drop } : {}),
          },
          airflowM3h === undefined ? undefined : { airflowM3h },
        )
      : null;
  const own = (
    name: "measured" | "opening" | "cleanDrop" | "filterCount",
    key: keyof typeof sizes,
  ) => ({
    name,
    value: sizes[key],
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => set(key)(event.target.value),
    error: fields.error(name),
  });
  return (
    <>
      <SizeField fields={fields} name="nominal" unit={unit} onSize={set("nominal")} />
      <TextField
        label="The filter, measured"
        hint="With a tape, if you can."
        {...own("measured", "measured")}
      />
      <TextField
        label="The slot, measured"
        hint="The opening between its guides."
        {...own("opening", "opening")}
      />
      <SelectField
        label="How the frame is held"
        name="seat"
        value={seat}
        onChange={(event) => setSeat(event.target.value as Seat)}
        options={SEATS.map((value) => ({
          value,
          label: `${SEAT_WORDS[value].name}: ${SEAT_WORDS[value].meaning}`,
        }))}
      />
      <p role="status" className={fit ? "border-l-4 border-ink bg-surface px-4 py-3" : "sr-only"}>
        {fit && fitWords(fit, unit)}
      </p>
      <div className="grid gap-4 wide:grid-cols-2">
        <TextField
          label="How many filters side by side"
          inputMode="numeric"
          className="max-w-28"
          {...own("filterCount", "count")}
        />
        <TextField
          label={`Drop of a clean one, ${pressure.label}`}
          inputMode="decimal"
          className="max-w-28"
          hint="On its box, at the full airflow."
          {...own("cleanDrop", "drop")}
        />
      </div>
    </>
  );
}
