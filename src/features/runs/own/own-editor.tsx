"use client";

import { useState } from "react";
import { READING_WORDS } from "@/content/reading-words";
import { END_KINDS } from "@/core/runs/loose-ends";
import { ownStepsSchema, type OwnStep, type OwnSteps } from "@/core/runs/own-steps";
import { STEP_KINDS } from "@/core/runs/procedure";
import { QUALIFICATIONS } from "@/core/runs/qualification";
import { READING_KINDS } from "@/core/readings/reading-kinds";
import { OPENS_WORDS, STEP_KIND_WORDS } from "@/presentation/step-words";
import { QUALIFICATION_WORDS } from "@/presentation/task-words";
import { Button } from "@/ui/button";
import { SelectField, TextArea, TextField, type Option } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { ByOrder, useFields } from "@/ui/form-fields";
import { newId } from "@/run-client/new-id";
import { stepField, type OwnContext } from "./own-form";

const KINDS: Option[] = STEP_KINDS.map((value) => ({ value, label: STEP_KIND_WORDS[value] }));
const OPENS: Option[] = [
  { value: "", label: "nothing" },
  ...END_KINDS.map((value) => ({ value, label: OPENS_WORDS[value] })),
];
const ASKS: Option[] = [
  { value: "nothing", label: "nothing more than that it is done" },
  { value: "look", label: "how the filter looks" },
  { value: "words", label: "a few words" },
  { value: "count", label: "a count" },
  { value: "reading", label: "a reading" },
];
const READINGS: Option[] = READING_KINDS.map((value) => ({
  value,
  label: READING_WORDS[value].name,
}));

/** A procedure of one’s own, step by step: in order, what each opens and puts back, asks and warns of. */
export function OwnEditor({
  action,
  initial,
  context,
  jobs,
}: {
  action: FormAction;
  initial: FormView;
  context: OwnContext;
  jobs: readonly Option[];
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() => import("./own-form").then(({ ownForm }) => ownForm(context))}
      submit="Keep it"
    >
      <div className="grid gap-x-10 gap-y-6 wide:grid-cols-[20rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-4">
          <TextField label="What it is called" name="title" />
          <SelectField
            label="Who may do it"
            name="who"
            options={QUALIFICATIONS.map((value) => ({
              value,
              label: QUALIFICATION_WORDS[value].name,
            }))}
          />
          <TextField label="Minutes at work" name="handsOn" inputMode="numeric" />
          <SelectField
            label="For which job"
            name="job"
            options={[...jobs]}
            hint={
              context.basedOn
                ? "Beside every job that the one it is copied from does."
                : "It is offered there as a way to do it."
            }
          />
        </div>
        <Steps />
      </div>
    </Form>
  );
}

const read = (text: string | undefined): OwnSteps => {
  try {
    const parsed = ownStepsSchema.safeParse(JSON.parse(text ?? ""));
    if (parsed.success) return parsed.data;
  } catch {
    // Nothing readable: it begins with one empty step.
  }
  return { steps: [emptyStep()], counts: "" };
};

const emptyStep = (): OwnStep => ({
  id: newId(),
  kind: "clean",
  ...{ title: "", detail: "", caution: "", opens: "", thing: "", dryMinutes: "" },
  ...{ closes: "", waitMinutes: "", asks: "nothing", askedFor: "", isLicensed: false },
});

function Steps() {
  const fields = useFields();
  const [own, setOwn] = useState(() => read(fields.value("steps")));
  const put = (next: OwnSteps) => {
    setOwn(next);
    fields.set("steps", JSON.stringify(next));
  };
  const { steps, counts } = own;
  const change = (i: number, more: Partial<OwnStep>) =>
    put({ ...own, steps: steps.map((step, j) => (i === j ? { ...step, ...more } : step)) });
  const move = (i: number, by: 1 | -1) => {
    const next = [...steps];
    const [step] = next.splice(i, 1);
    next.splice(i + by, 0, step!);
    put({ ...own, steps: next });
  };
  const insert = (i: number) =>
    put({ ...own, steps: [...steps.slice(0, i), emptyStep(), ...steps.slice(i)] });
  const problem = fields.error("steps");
  return (
    <section aria-label="Steps">
      <input type="hidden" name="steps" value={JSON.stringify(own)} readOnly />
      {problem && (
        <p role="alert" className="mb-3 font-medium text-attention-text">
          {problem}
        </p>
      )}
      <ByOrder>
        <ol className="border-t-[3px] border-ink">
          {steps.map((step, i) => (
            <StepRow
              key={step.id}
              {...{ step, steps }}
              at={i}
              counts={step.id === counts}
              error={fields.error(stepField(step.id))}
              onChange={(more) => change(i, more)}
              onCounts={() => put({ ...own, counts: step.id })}
              onUp={i > 0 ? () => move(i, -1) : null}
              onDown={i < steps.length - 1 ? () => move(i, 1) : null}
              onInsert={() => insert(i + 1)}
              onRemove={
                steps.length > 1
                  ? () => put({ ...own, steps: steps.filter((_, j) => i !== j) })
                  : null
              }
            />
          ))}
        </ol>
      </ByOrder>
    </section>
  );
}

function StepRow({
  step,
  steps,
  at,
  counts,
  error,
  onChange,
  onCounts,
  onUp,
  onDown,
  onInsert,
  onRemove,
}: {
  step: OwnStep;
  steps: readonly OwnStep[];
  at: number;
  counts: boolean;
  error: string | undefined;
  onChange: (more: Partial<OwnStep>) => void;
  onCounts: () => void;
  onUp: (() => void) | null;
  onDown: (() => void) | null;
  onInsert: () => void;
  onRemove: (() => void) | null;
}) {
  const { id, title, detail, caution, opens, thing, closes, asks, askedFor } = step;
  const openers = steps.slice(0, at).filter((each) => each.opens !== "");
  const text = (name: keyof OwnStep) => ({
    id: `${id}-${name}`,
    name: `${id}-${name}`,
    value: String(step[name]),
    onChange: (event: { target: { value: string } }) => onChange({ [name]: event.target.value }),
  });
  const asked = ASKS.find(({ value }) => value === asks)!.label;
  const shown = [
    detail,
    caution !== "" && `Take care: ${caution}`,
    asks !== "nothing" && `asks for ${asked}`,
    step.waitMinutes !== "" && `then ${step.waitMinutes} minutes`,
    step.isLicensed && "licensed people alone",
  ].filter(Boolean);
  return (
    <li
      data-step={id}
      data-wrong={error ? true : undefined}
      className="border-b border-rule py-3 data-wrong:border-l-[6px] data-wrong:border-l-attention data-wrong:pl-3"
    >
      <div className="grid grid-cols-[2rem_minmax(0,1fr)] gap-x-2">
        <span className="figures pt-2.5 text-lg text-second">{at + 1}</span>
        <div className="flex min-w-0 flex-col gap-2">
          <TextField label={`Step ${at + 1}`} {...text("title")} error={error} />
          <div className="grid gap-3 wide:grid-cols-3">
            <SelectField label="It" options={KINDS} {...text("kind")} />
            <SelectField label="It leaves open" options={OPENS} {...text("opens")} />
            <SelectField
              label="It puts back"
              options={[
                { value: "", label: "nothing" },
                ...openers.map((each) => ({
                  value: each.id,
                  label: each.thing || each.title || "step without a name",
                })),
              ]}
              {...text("closes")}
              value={openers.some((each) => each.id === closes) ? closes : ""}
            />
          </div>
          {opens !== "" && (
            <div className="grid gap-3 wide:grid-cols-3">
              <TextField
                label="Called"
                {...text("thing")}
                hint={thing === "" ? "“cover”" : undefined}
              />
              {opens === "part-drying" && (
                <TextField
                  label="Minutes to dry, at least"
                  inputMode="numeric"
                  {...text("dryMinutes")}
                />
              )}
            </div>
          )}
          <details>
            <summary className="min-h-11 cursor-pointer py-2 text-second">
              <span className="text-link">How, what it warns of, what it asks</span>
              {shown.length > 0 && `: ${shown.join("; ")}`}
            </summary>
            <div className="grid gap-3 pb-2 wide:grid-cols-2">
              <TextArea label="How" rows={2} {...text("detail")} />
              <TextArea label="Take care" rows={2} {...text("caution")} />
              <SelectField label="It asks for" options={ASKS} {...text("asks")} />
              {asks === "reading" && (
                <SelectField
                  label="Which reading"
                  options={READINGS}
                  {...text("askedFor")}
                  value={askedFor === "" ? READINGS[0]!.value : askedFor}
                />
              )}
              {(asks === "words" || asks === "count") && (
                <TextField label="Of what" {...text("askedFor")} />
              )}
              <TextField label="Then wait, minutes" inputMode="numeric" {...text("waitMinutes")} />
              <label className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  checked={step.isLicensed}
                  onChange={(event) => onChange({ isLicensed: event.target.checked })}
                  className="size-5 accent-ink"
                />
                For a licensed person alone
              </label>
            </div>
          </details>
          <div className="-ml-2 flex flex-wrap items-center gap-x-1">
            <label className="flex min-h-11 items-center gap-2 px-2">
              <input
                type="radio"
                name="counts"
                checked={counts}
                onChange={onCounts}
                className="size-5 accent-ink"
              />
              From here it counts as done
            </label>
            <Press words="Up" of={title} press={onUp} />
            <Press words="Down" of={title} press={onDown} />
            <Press words="Add one below" of={title} press={onInsert} />
            <Press words="Take out" of={title} press={onRemove} />
          </div>
        </div>
      </div>
    </li>
  );
}

const Press = ({ words, of, press }: { words: string; of: string; press: (() => void) | null }) => (
  <Button
    weight="quiet"
    aria-label={`${words}: ${of}`}
    disabled={press === null}
    onClick={() => press?.()}
  >
    {words}
  </Button>
);
