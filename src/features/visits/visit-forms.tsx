"use client";

import {
  DECISION_WORDS,
  isOfExchanger,
  VISIT_REASON_WORDS,
  VISIT_VERDICT_WORDS,
} from "@/content/visits";
import { DECISIONS, VISIT_REASONS, VISIT_VERDICTS } from "@/core/visits/visit";
import { useState } from "react";
import { newId } from "@/run-client/new-id";
import { PictureFigure, PicturePress } from "@/ui/picture";
import { DayField } from "@/ui/day-field";
import { CheckField, CheckGroup, ChoiceField, SelectField, TextArea, TextField } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";

type Common = { action: FormAction; initial: FormView };
type Keeps = Common & { keep: (form: FormData) => Promise<void> };
type Choice = { value: string; label: string };
type PartChoice = Choice & { kind: string };

const STACK = "flex max-w-3xl flex-col gap-5 pb-6";
const optionsOf = <T extends string>(keys: readonly T[], words: Readonly<Record<T, string>>) =>
  keys.map((value) => ({ value, label: words[value] }));

/** Who comes, when, why, to which machines, and what they are to be asked. */
export function PlanForm({
  action,
  initial,
  contacts,
  units,
  asks,
  isPast,
  today,
}: Common & {
  contacts: Choice[];
  /** Questions that the record suggests. */
  asks: readonly string[];
  units: { id: string; name: string; due: string }[];
  isPast: boolean;
  today: string;
}) {
  return (
    <Form {...{ action, initial }} submit={isPast ? "On to its readings" : "Save the plan"}>
      <div className={STACK}>
        <div className="grid gap-5 wide:grid-cols-2">
          <SelectField
            label="Who"
            name="contactId"
            options={[{ value: "", label: "not known yet" }, ...contacts]}
          />
          <DayField
            label={isPast ? "It was on" : "On"}
            name="on"
            {...(isPast ? { max: today } : {})}
            hint={isPast ? "The day on the paper." : "Empty until a day is agreed."}
          />
        </div>
        <ChoiceField
          label="Why"
          name="reason"
          options={optionsOf(VISIT_REASONS, VISIT_REASON_WORDS)}
        />
        <CheckGroup
          label="Which machines"
          name="unit"
          className="grid gap-x-8 wide:grid-cols-2"
          options={units.map(({ id, name, due }) => ({
            value: id,
            label: name,
            ...(due ? { hint: due } : {}),
          }))}
        />
        {!isPast && (
          <>
            <TextArea label="To ask" name="questions" rows={3} />
            {asks.length > 0 && (
              <CheckGroup
                label="Worth asking too"
                name="ask"
                options={asks.map((ask) => ({ value: ask, label: ask }))}
              />
            )}
          </>
        )}
      </div>
    </Form>
  );
}

/** What was found at a machine, what is advised, for what price, and what the owner decides. */
export function FindingForm({
  action,
  initial,
  parts,
  currency,
  isNew,
  pictures,
}: Common & {
  parts: PartChoice[];
  currency: string;
  isNew: boolean;
  /** Where a picture of it is sent, and what is said with it; none where it has its own already. */
  pictures: { to: string; about: Readonly<Record<string, string>> } | null;
}) {
  return (
    <Form
      {...{ action, initial }}
      submit={isNew ? "Write it down" : "Save the finding"}
      stays={false}
    >
      <FindingFields {...{ parts, currency }} />
      {pictures && <FindingPictures {...pictures} />}
    </Form>
  );
}

/** Pictures taken before the finding is saved: they are kept at once, and hang on it with the form. */
function FindingPictures({ to, about }: { to: string; about: Readonly<Record<string, string>> }) {
  const [taken, setTaken] = useState<string[]>([]);
  return (
    <div className="flex flex-wrap items-center gap-3 pb-3">
      {taken.map((id, i) => (
        <span key={id}>
          <PictureFigure id={id} words={`Of what was found, picture ${i + 1}`} />
          <input type="hidden" name="picture" value={id} />
        </span>
      ))}
      <PicturePress
        {...{ to, about, newId }}
        words="Take a picture of it"
        onTaken={(id) => setTaken((before) => [...before, id])}
      />
    </div>
  );
}

function FindingFields({ parts, currency }: { parts: PartChoice[]; currency: string }) {
  const decision = useTypedText("decision");
  const partId = useTypedText("partId");
  const isExchanger = isOfExchanger({
    words: useTypedText("words"),
    partKind: parts.find(({ value }) => value === partId)?.kind,
  });
  return (
    <div className="flex flex-col gap-4 pb-2">
      <TextField label="Found" name="words" hint="“Inducer bearing dry, hums when cold.”" />
      {parts.length > 0 && (
        <SelectField
          label="At"
          name="partId"
          options={[{ value: "", label: "the whole of it" }, ...parts]}
        />
      )}
      {isExchanger && (
        <div role="alert" className="border-l-[6px] border-attention bg-wash px-4 py-3">
          <p className="font-semibold">
            A stained or cracked heat exchanger is a stop: it does not heat again until it was
            tested.
          </p>
          <CheckField
            name="staysOff"
            value="yes"
            label="Its power is off, and stays off: shown on every page"
          />
        </div>
      )}
      <div className="grid gap-4 wide:grid-cols-[minmax(0,1fr)_9rem]">
        <TextField label="Advised" name="advice" />
        <TextField label={`For, ${currency}`} name="price" inputMode="decimal" />
      </div>
      <ChoiceField
        label="You decide"
        name="decision"
        options={optionsOf(DECISIONS, DECISION_WORDS)}
      />
      <div hidden={decision !== "watch"}>
        <DayField label="Watched until" name="until" hint="Then it stands on Today again." />
      </div>
      <TextField label="In your words" name="because" hint="“After the winter, if it hums then.”" />
    </div>
  );
}

/** How a visit ended: what was done, how the machines were left, what it cost, when the next is. */
export function EndForm({
  action,
  initial,
  keep,
  jobs,
  currency,
}: Keeps & { jobs: (Choice & { isAsked: boolean })[]; currency: string }) {
  const first = jobs.filter(({ isAsked }) => isAsked);
  const rest = jobs.filter(({ isAsked }) => !isAsked);
  return (
    <Form {...{ action, initial, keep }} submit="End the visit">
      <div className={STACK}>
        <fieldset>
          <legend className="text-lg font-semibold">What was really done?</legend>
          <p className="text-second">
            Ask, and tick each. A service does not count for a test nobody ticked: it comes round
            again.
          </p>
          <CheckGroup
            label="By licensed people"
            name="job"
            options={first.map(({ value, label }) => ({ value, label }))}
          />
          <CheckField name="nothing" value="yes" label="Nothing of this" />
          {rest.length > 0 && (
            <details className="border-t border-rule">
              <summary className="flex min-h-12 cursor-pointer items-center font-semibold text-link">
                More that was done
              </summary>
              <div className="grid gap-x-8 wide:grid-cols-2">
                {rest.map(({ value, label }) => (
                  <CheckField key={value} name="job" value={value} label={label} />
                ))}
              </div>
            </details>
          )}
        </fieldset>
        <ChoiceField
          label="The machines were left"
          name="verdict"
          options={optionsOf(VISIT_VERDICTS, VISIT_VERDICT_WORDS)}
        />
        <TextArea label="In their words" name="words" rows={3} />
        <div className="grid gap-5 wide:grid-cols-3">
          <TextField label="Minutes" name="minutes" inputMode="numeric" />
          <TextField label={`Cost, ${currency}`} name="cost" inputMode="decimal" />
          <DayField label="Next appointment" name="nextOn" hint="It is planned at once." />
        </div>
        <TextField label="Signed by" name="signedBy" className="max-w-sm" />
      </div>
    </Form>
  );
}
