"use client";

import { inEnglish } from "@/content/english";
import { useEnglish } from "@/ui/english";
import { SEEN_WORDS, VERDICT_WORDS } from "@/content/reading-words";
import type { UnitSystem } from "@/core/quantities/length";
import { isWordKind, WORD_KINDS } from "@/core/readings/reading-kinds";
import type { Instrument } from "@/core/readings/conditions";
import type { CapacitorStrategy } from "@/core/readings/judge";
import { judgementOf } from "@/core/history/readings-taken";
import { readReading } from "@/lib/reading-form";
import { adviceWords } from "@/presentation/reading-advice";
import { SelectField, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { Needle } from "@/ui/needle";
import { ConditionFields } from "./condition-fields";
import type { CheckRow } from "./visit-queries";

type Common = { system: UnitSystem; fogLimit: number; school: CapacitorStrategy };

/** The checks of one machine, each beside last time’s and judged as it is typed. */
export function ChecksForm({
  action,
  initial,
  keep,
  rows,
  instruments,
  ...common
}: Common & {
  action: FormAction;
  initial: FormView;
  keep: (form: FormData) => Promise<void>;
  rows: CheckRow[];
  instruments: Instrument[];
}) {
  return (
    <Form {...{ action, initial, keep }} submit="Save, go on">
      <div className="flex flex-col gap-5 pb-6">
        <ConditionFields instruments={instruments} system={common.system} />
        <ol>
          {rows.map((row) => (
            <CheckFields key={row.key} row={row} {...common} />
          ))}
        </ol>
      </div>
    </Form>
  );
}

function CheckFields({ row, ...common }: Common & { row: CheckRow }) {
  const english = useEnglish();
  const said = (words: string) => inEnglish(english, words);
  const { kind, key, name, how, units, rated, ratedWords, before } = row;
  return (
    <li className="border-t border-rule py-3">
      <fieldset>
        <legend className="float-left font-semibold">{name}</legend>
        <div className="flex min-h-6 flex-wrap items-baseline justify-end gap-x-6">
          {before && (
            <p className="figures flex items-center gap-2 text-second">
              <Needle verdict={before.verdict} size={18} />
              {before.words}, {before.when}
            </p>
          )}
        </div>
        {how !== "" && <p className="clear-both text-[0.9375rem] text-second">{said(how)}</p>}
        <div className="clear-both mt-2 grid grid-cols-2 items-start gap-3 wide:grid-cols-4">
          {isWordKind(kind) ? (
            <SelectField
              label="It is"
              name={`word ${key}`}
              className="col-span-2"
              options={[
                { value: "", label: "not looked at" },
                ...Object.keys(WORD_KINDS[kind]).map((value) => ({
                  value,
                  label: said(SEEN_WORDS[value] ?? value),
                })),
              ]}
            />
          ) : (
            <>
              <TextField
                label={`Read, ${units[0]?.label ?? ""}`}
                name={`value ${key}`}
                inputMode="decimal"
              />
              {units.length > 1 && <SelectField label="in" name={`unit ${key}`} options={units} />}
              {rated === "value" && (
                <TextField label={ratedWords} name={`rated ${key}`} inputMode="decimal" />
              )}
              {rated === "band" && (
                <>
                  <TextField label="Plate, from" name={`ratedMin ${key}`} inputMode="decimal" />
                  <TextField label="to" name={`ratedMax ${key}`} inputMode="decimal" />
                </>
              )}
              {kind === "thermocouple-mv" && (
                <SelectField
                  label="Measured"
                  name={`mode ${key}`}
                  options={[
                    { value: "open", label: "off the valve" },
                    { value: "loaded", label: "under load" },
                  ]}
                />
              )}
            </>
          )}
        </div>
        <Judged {...{ row }} {...common} />
      </fieldset>
    </li>
  );
}

/** The verdict on what is being typed, at once. */
function Judged({
  row: { kind, key, units },
  system,
  fogLimit,
  school,
}: Common & { row: CheckRow }) {
  const field = (name: string) => `${name} ${key}`;
  const typed = {
    kind,
    value: useTypedText(field("value")).trim(),
    word: useTypedText(field("word")),
    unit: useTypedText(field("unit"), units[0]?.value),
    rated: useTypedText(field("rated")).trim(),
    ratedMin: useTypedText(field("ratedMin")).trim(),
    ratedMax: useTypedText(field("ratedMax")).trim(),
    school: kind === "capacitor-uf" ? school : "",
    mode: useTypedText(field("mode"), "open"),
    flags: [],
  };
  if (typed.value === "" && typed.word === "") return null;
  const result = readReading(typed, system, fogLimit);
  if (!result.ok) return null;
  const judgement = judgementOf(result.taken);
  const { verdict } = judgement;
  return (
    <p role="status" className="mt-2 flex items-center gap-3">
      <Needle verdict={verdict} size={22} />
      <span>
        <strong>{VERDICT_WORDS[verdict]}</strong>
        {(verdict === "act" || verdict === "stop") && `: ${adviceWords(kind, judgement)}.`}
      </span>
    </p>
  );
}
