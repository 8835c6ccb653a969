"use client";

import { inEnglish } from "@/content/english";
import { useEnglish } from "@/ui/english";
import { useState, type ReactNode } from "react";
import { READING_WORDS, SEEN_WORDS, VERDICT_WORDS } from "@/content/reading-words";
import { adviceWords } from "@/presentation/reading-advice";
import { emergency } from "@/content/emergencies";
import type { UnitSystem } from "@/core/quantities/length";
import { isWordKind, WORD_KINDS, type ReadingKind } from "@/core/readings/reading-kinds";
import { unitsFor, readingWords } from "@/core/readings/reading-units";
import { judgementOf } from "@/core/history/readings-taken";
import { DayField } from "@/ui/day-field";
import { CheckField, ChoiceField, SelectField, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { useFields } from "@/ui/form-fields";
import { Needle } from "@/ui/needle";
import { isDrawn, SeenSwatch } from "@/ui/seen-swatch";
import { ratedOf, readingFieldsOf, readReading, type ReadingFields } from "@/lib/reading-form";
import type { ReadingChoice } from "./readings-queries";

/** What was measured or seen, judged while it is typed. */
export function ReadingFormView({
  action,
  initial,
  places,
  today,
  system,
  fogLimit,
  conditions,
}: {
  action: FormAction;
  initial: FormView;
  places: readonly ReadingChoice[];
  today: string;
  system: UnitSystem;
  /** Percent, of today. */
  fogLimit: number;
  /** With what it is measured, and while what ran. */
  conditions: ReactNode;
}) {
  const [typed, setTyped] = useState<ReadingFields | null>(null);
  const read = (form: HTMLFormElement | null) => {
    if (!form) return;
    setTyped(readingFieldsOf(new FormData(form)));
  };
  return (
    <div
      onInput={(event) => read((event.target as HTMLElement).closest("form"))}
      onChange={(event) => read((event.target as HTMLElement).closest("form"))}
    >
      <Form action={action} initial={initial} submit="Save the reading" stays={false}>
        <>
          <ReadingFieldsView {...{ places, today, system }} />
          <div className="mt-3 max-w-2xl">{conditions}</div>
          <Judged {...{ typed, system, fogLimit }} />
        </>
      </Form>
    </div>
  );
}

/** What is asked of one kind of reading at one place, and begins anew at another. */
const MEASURED = ["value", "unit", "rated", "ratedMin", "ratedMax", "school", "mode", "word"];

function ReadingFieldsView({
  places,
  today,
  system,
}: {
  places: readonly ReadingChoice[];
  today: string;
  system: UnitSystem;
}) {
  const english = useEnglish();
  const said = (words: string) => inEnglish(english, words);
  const fields = useFields();
  const anew = () => fields.forget(MEASURED);
  const elsewhere = () => fields.forget(["kind", ...MEASURED]);
  const place = useTypedText("place", places[0]?.value);
  const kinds = places.find((each) => each.value === place)?.kinds ?? [];
  const chosen = useTypedText("kind");
  const kind = kinds.find((each) => each === chosen) ?? kinds[0];
  return (
    <div className="flex max-w-2xl flex-col gap-5 pb-2">
      <SelectField label="Where" name="place" options={places} onChange={elsewhere} />
      <SelectField
        // Drawn anew at each place: what is chosen, its hint and its unit are always of one kind.
        key={place}
        label="What was read"
        name="kind"
        options={kinds.map((each) => ({ value: each, label: READING_WORDS[each].name }))}
        onChange={anew}
        hint={kind && said(READING_WORDS[kind].how ?? "")}
      />
      {kind && READING_WORDS[kind].caution && (
        <p className="border-l-4 border-attention bg-wash px-4 py-2.5">
          {READING_WORDS[kind].caution}
        </p>
      )}
      {kind &&
        (isWordKind(kind) ? (
          <ChoiceField
            key={kind}
            label="It is"
            name="word"
            options={Object.keys(WORD_KINDS[kind]).map((value) => ({
              value,
              label: said(SEEN_WORDS[value] ?? value),
              drawing: isDrawn(kind) ? <SeenSwatch kind={kind} seen={value} /> : undefined,
            }))}
          />
        ) : (
          <Measured
            key={`${place} ${kind}`}
            {...{ kind, system }}
            rated={places.find((each) => each.value === place)?.rated[kind] ?? []}
          />
        ))}
      <div className="grid gap-4 wide:grid-cols-2">
        <DayField label="When" name="date" max={today} />
        <TextField label="A note" name="words" />
      </div>
    </div>
  );
}

function Measured({
  kind,
  system,
  rated: before,
}: {
  /** What stood beside the last one there. */
  rated: readonly string[];
  kind: ReadingKind;
  system: UnitSystem;
}) {
  const units = unitsFor(kind, system);
  const rated = ratedOf(kind);
  const words = READING_WORDS[kind].rated ?? "Rated";
  const unit = useTypedText("unit", units[0]?.value);
  const label = units.find(({ value }) => value === unit)?.label ?? units[0]?.label;
  const inUnit = (text: string) => (label ? `${text}, ${label}` : text);
  return (
    <>
      <div className="grid grid-cols-[minmax(0,10rem)_minmax(0,10rem)] items-start gap-4">
        <TextField label="Read" name="value" inputMode="decimal" />
        {units.length > 1 ? (
          <SelectField label="in" name="unit" options={units} />
        ) : (
          <p className="mt-9">{units[0]?.label}</p>
        )}
      </div>
      {rated === "value" && (
        <TextField
          label={inUnit(words)}
          className="max-w-40"
          name="rated"
          inputMode="decimal"
          defaultValue={before[0]}
        />
      )}
      {rated === "band" && (
        <div className="grid grid-cols-[minmax(0,10rem)_minmax(0,10rem)] gap-4">
          <TextField
            label={inUnit(`${words}, from`)}
            name="ratedMin"
            inputMode="decimal"
            defaultValue={before[0]}
          />
          <TextField label="to" name="ratedMax" inputMode="decimal" defaultValue={before[1]} />
        </div>
      )}
      {kind === "capacitor-uf" && (
        <>
          <SelectField
            label="It goes when it is out by more than"
            name="school"
            options={[
              { value: "label", label: "6 %, as most labels say" },
              { value: "general", label: "10 %" },
            ]}
          />
          <div>
            <CheckField name="flags" value="bulged" label="Its top bulges" />
            <CheckField name="flags" value="leaking" label="It leaks oil" />
          </div>
        </>
      )}
      {kind === "thermocouple-mv" && (
        <SelectField
          label="Measured"
          name="mode"
          options={[
            { value: "open", label: "off the valve" },
            { value: "loaded", label: "on the valve, under load" },
          ]}
        />
      )}
      {kind === "closed-registers" && (
        <CheckField name="flags" value="return-shut" label="A return is shut or blocked" />
      )}
    </>
  );
}

/** The verdict on what is being typed, at once. */
function Judged({
  typed,
  system,
  fogLimit,
}: {
  typed: ReadingFields | null;
  system: UnitSystem;
  fogLimit: number;
}) {
  const result = typed && readReading(typed, system, fogLimit);
  if (!result?.ok)
    return (
      <p role="status" className="mt-3 border-l-4 border-rule bg-surface px-4 py-2.5 text-second">
        What it means shows here.
      </p>
    );
  const { kind } = result.taken;
  const judgement = judgementOf(result.taken);
  const { verdict, limit } = judgement;
  if (kind === "co-ppm" && verdict === "stop")
    return (
      <div role="alert" className="mt-3 border-[6px] border-attention bg-wash px-4 py-3 text-lg">
        <p className="font-display text-xl font-bold">{emergency("co")?.title}</p>
        <ol className="mt-1 list-decimal pl-6">
          {emergency("co")?.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </div>
    );
  return (
    <div
      role="status"
      className="mt-3 flex items-start gap-3 border-l-4 border-ink bg-surface px-4 py-2.5"
    >
      <Needle verdict={verdict} />
      <p>
        <strong>{VERDICT_WORDS[verdict]}</strong>
        {verdict !== "sound" && `: ${adviceWords(kind, judgement)}`}
        {verdict === "stop" && kind !== "duct-debris" && ". Don’t run it until it is put right"}
        {limit !== null && (
          <span className="text-second">; the limit is {readingWords(kind, limit, system)}</span>
        )}
        {kind === "relative-humidity" && (
          <span className="text-second">; windows fog over {Math.round(fogLimit)} % today</span>
        )}
        .
      </p>
    </div>
  );
}
