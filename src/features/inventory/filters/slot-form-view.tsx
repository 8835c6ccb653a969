"use client";

import {
  AIR_SIDE_WORDS,
  DIRECTION_WORDS,
  MEDIA_WORDS,
  SEAT_WORDS,
  SLOT_PLACE_WORDS,
} from "@/content/words";
import { inEnglish } from "@/content/english";
import { crosswalkWords, fitWords } from "@/presentation/fit-words";
import { SEATS } from "@/core/calculators/filter-fit";
import { readRating } from "@/core/quantities/rating";
import { readSize } from "@/core/quantities/size";
import { unitsFor } from "@/core/readings/reading-units";
import { DIRECTIONS } from "@/core/inventory/directions";
import { SLOT_PLACES, type Room, type Seat } from "@/core/inventory/inventory";
import { crosswalkOfSlot, fitOfSlot } from "@/core/filters/slot-fit";
import { AIR_SIDES } from "@/core/filters/drivers";
import type { Media } from "@/core/filters/media";
import type { WearInput } from "@/core/filters/wear-schema";
import { useEnglish } from "@/ui/english";
import { DayField } from "@/ui/day-field";
import { ofSingles } from "@/lib/forms";
import type { PlainDate } from "@/core/quantities/plain-date";
import { CheckField, FormSection, SelectField, TextArea, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { CompareFilters } from "./compare-filters";
import { SizeField } from "./size-choice-fields";

type Around = {
  media: readonly Media[];
  rooms: readonly Room[];
  unit: "in" | "mm";
  currency: string;
  today: PlainDate;
  airflowM3h: number | undefined;
  isNew: boolean;
  /** What the wear of the filter there is asked with, and what could sit there instead. */
  compared?: { input: WearInput; media: readonly Media[] } | null;
};

const options = <K extends string>(keys: readonly K[], words: Readonly<Record<K, string>>) =>
  keys.map((key) => ({ value: key, label: words[key] }));

/** The slot a filter sits in: its sizes and fit, its medium and rating, and which way the air goes. */
export function SlotFormView({
  action,
  initial,
  ...context
}: { action: FormAction; initial: FormView } & Around) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./slot-form").then(({ slotForm }) => {
          const { rooms, currency, today } = context;
          const home = { unitSystem: context.unit === "in" ? "us" : "metric", currency } as const;
          return ofSingles(slotForm({ home, rooms }, today));
        })
      }
      submit="Save the slot"
    >
      <FormSection title="The slot">
        <TextField label="Name" name="name" />
        <SelectField
          label="Where it sits"
          options={options(SLOT_PLACES, SLOT_PLACE_WORDS)}
          name="slotPlace"
        />
        <TextField
          label="How to find it"
          hint="“Left of the furnace, behind the sliding plate.”"
          name="place"
        />
        {context.rooms.length > 0 && (
          <SelectField
            label="Room, if it is not at its unit"
            options={[
              { value: "", label: "at its unit" },
              ...context.rooms.map((room) => ({ value: room.id, label: room.name })),
            ]}
            name="roomId"
          />
        )}
      </FormSection>
      <FormSection
        title="Sizes and fit"
        intro="Width × height × depth, in inches or mm. Fractions such as 19 1/2 are fine."
      >
        <SizeAndFit {...context} />
      </FormSection>
      <FormSection title="The filter">
        <FilterFields {...context} />
      </FormSection>
      <FormSection
        title="Which way round"
        intro="The arrow on its frame points to the blower, the way the air goes."
      >
        <SelectField
          label="The arrow points"
          options={options(DIRECTIONS, DIRECTION_WORDS)}
          name="direction"
        />
        <TextField
          label="How it is marked"
          hint="“Arrow drawn on the duct.” Leave it empty if nothing shows it."
          name="directionMark"
        />
        <CheckField name="indicator" label="It has a filter light to reset" />
        <TextField
          label="How the light is reset"
          hint="“Hold the filter button for three seconds.”"
          name="indicatorReset"
        />
      </FormSection>
      {context.isNew && (
        <FormSection title="The one in it now">
          <DayField
            label="Fitted on"
            max={context.today}
            hint="A guess is a good start; empty if you have no idea."
            name="fittedOn"
            mayBeYear
          />
        </FormSection>
      )}
      <FormSection
        title="The maker’s own figures"
        intro="They beat ours. Leave them empty if you have none."
      >
        <div className="grid gap-4 wide:grid-cols-2">
          <TextField label="Run hours to change" inputMode="numeric" name="baseHours" />
          <TextField label="At the latest after, days" inputMode="numeric" name="maxAgeDays" />
        </div>
        <TextArea label="Notes" rows={2} name="note" />
      </FormSection>
    </Form>
  );
}

function FilterFields({ media, currency, compared }: Around) {
  const english = useEnglish();
  const rating = useTypedText("rating");
  const read = rating === "" ? null : readRating(rating);
  const crosswalk = read && crosswalkOfSlot({ rating: read });
  return (
    <>
      <SelectField
        label="Medium"
        options={options(media, MEDIA_WORDS).map(({ value, label }) => ({
          value,
          label: inEnglish(english, label),
        }))}
        hint="Meshes, cells and washable panels are cleaned and go back; the others are thrown away."
        name="media"
      />
      <TextField
        label="Rating, if it has one"
        name="rating"
        hint={
          crosswalk
            ? crosswalkWords(crosswalk, read.scheme)
            : "As printed: MERV 8, G4, M5, ePM10 50."
        }
      />
      <SelectField
        label="Which air passes it"
        options={options(AIR_SIDES, AIR_SIDE_WORDS)}
        name="airSide"
      />
      <CheckField name="cutToSize" label="Bought as a sheet and cut to size" />
      <TextField
        label={`Price of one, ${currency}`}
        inputMode="decimal"
        className="max-w-40"
        name="price"
      />
      {compared && <CompareFilters {...compared} currency={currency} />}
    </>
  );
}

function SizeAndFit({ unit, media, airflowM3h }: Around) {
  const sizes = {
    nominal: useTypedText("nominal"),
    measured: useTypedText("measured"),
    opening: useTypedText("opening"),
  };
  const seat = useTypedText("seat", "rail") as Seat;
  const medium = useTypedText("media") as Media | "";
  const count = useTypedText("filterCount", "1");
  const cleanDrop = useTypedText("cleanDrop");
  const [nominal, measured, opening] = [sizes.nominal, sizes.measured, sizes.opening].map((each) =>
    readSize(each, unit),
  );
  const typed = (reading: typeof nominal, words: string) =>
    reading?.ok ? { text: words, mm: reading.mm } : undefined;
  const pressure = unitsFor("filter-drop", unit === "in" ? "us" : "metric")[0]!;
  const drop = Number(cleanDrop.replace(",", ".")) * pressure.per;
  const fit =
    nominal?.ok && opening?.ok
      ? fitOfSlot(
          {
            nominal: { text: sizes.nominal, mm: nominal.mm, unit: nominal.unit },
            ...(measured?.ok ? { measured: typed(measured, sizes.measured)! } : {}),
            opening: typed(opening, sizes.opening)!,
            seat,
            media: medium || media[0]!,
            filterCount: Math.max(1, Number(count) || 1),
            ...(drop > 0 ? { cleanDropPa: drop } : {}),
          },
          airflowM3h === undefined ? undefined : { airflowM3h },
        )
      : null;
  return (
    <>
      <SizeField name="nominal" unit={unit} />
      <p className="-mt-2 text-second">
        Nothing printed on it, or not known yet? Leave it empty; its number goes under “What is on
        its plate”.
      </p>
      <TextField label="The filter, measured" hint="With a tape, if you can." name="measured" />
      <TextField label="The slot, measured" hint="The opening between its guides." name="opening" />
      <SelectField
        label="How the frame is held"
        name="seat"
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
          name="filterCount"
          defaultValue="1"
        />
        <TextField
          label={`Drop of a clean one, ${pressure.label}`}
          inputMode="decimal"
          className="max-w-28"
          hint="On its box, at the full airflow."
          name="cleanDrop"
        />
      </div>
    </>
  );
}
