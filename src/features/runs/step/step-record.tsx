import { inEnglish } from "@/content/english";
import { useEnglish } from "@/ui/english";
import type { ReactNode } from "react";
import { GRADE_OPTIONS } from "@/presentation/grade-options";
import { READING_WORDS, SEEN_WORDS, SUGGESTS, VERDICT_WORDS } from "@/content/reading-words";
import { adviceWords } from "@/presentation/reading-advice";
import type { Step } from "@/core/runs/procedure";
import type { KeptJudgement } from "@/core/readings/judge";
import { isWordKind, WORD_KINDS } from "@/core/readings/reading-kinds";
import { unitsFor } from "@/core/readings/reading-units";
import { readSize } from "@/core/quantities/size";
import type { UnitSystem } from "@/core/quantities/length";
import type { FilterSlot } from "@/core/inventory/inventory";
import { fitOfSlot } from "@/core/filters/slot-fit";
import { fitWords } from "@/presentation/fit-words";
import { Button } from "@/ui/button";
import { SelectField, TextField } from "@/ui/field";
import { GradeChoice } from "@/ui/grade-choice";
import { Needle } from "@/ui/needle";
import { SeenSwatch } from "@/ui/seen-swatch";
import { SwatchChoice } from "@/ui/swatch-choice";
import { DIRECTIONS } from "@/core/inventory/directions";
import { DIRECTION_WORDS } from "@/content/words";
import { FlowArrow } from "@/ui/flow-arrow";
import { leadNow } from "@/presentation/lead-words";
import type { SettingAt } from "@/presentation/setting-words";
import { AlarmRounds, MachineRounds, SettingRounds, type Places } from "./rounds";
import type { RunWith } from "../guide/run-with";
import { WrapSheet } from "./step-bench";
import { SettingField } from "./setting-field";
import { areLeadsReversed, LEADS_REVERSED, ratedOf } from "@/lib/reading-form";
import type { ReadSeen, Typed } from "./seen";

type Props = {
  step: Step;
  typed: Typed;
  setTyped: (typed: Typed) => void;
  read: ReadSeen;
  /** Problems show once somebody tried to go on. */
  tried: boolean;
  places: Places;
  system: UnitSystem;
  slot: FilterSlot | undefined;
  settings: readonly SettingAt[];
  procedureId: string;
  /** By kind of reading: what stood on the plate beside the last one. */
  ratedBefore: RunWith["ratedBefore"];
  /** The jobs of its machine, to tick what was really done. */
  works: RunWith["works"];
  ticks: RunWith["ticks"];
  seenAt: RunWith["seenAt"];
};

/** What a step asks to have seen or measured, judged while it is chosen. */
export default function StepRecord(props: Props) {
  const { step, typed, setTyped, places } = props;
  const { records } = step;
  if (!records) return null;
  const of = records.kind === "look" || records.kind === "reading" ? records.of : undefined;
  const options =
    of === "any-filter"
      ? places.filters
      : of === "any-machine"
        ? places.machines
        : of === "every-co-alarm" && typed.value !== undefined && Number(typed.value) !== 0
          ? places.alarms
          : [];
  return (
    <div className="flex max-w-[44rem] flex-col gap-4">
      {options.length > 1 && (
        <SelectField
          label={of === "every-co-alarm" ? "Which alarm shows it" : "Which one"}
          name="place"
          options={options}
          value={typed.place ?? options[0]?.value}
          onChange={(event) => setTyped({ ...typed, place: event.target.value })}
        />
      )}
      <FormContext {...props} />
    </div>
  );
}

function FormContext(props: Props) {
  const english = useEnglish();
  const said = (words: string) => inEnglish(english, words);
  const { step, typed, setTyped, read, tried, system, slot, places, settings } = props;
  const { records } = step;
  const choose = (word: string) => setTyped({ ...typed, word });
  const problem = (field: "count" | "alarms") =>
    tried && read.kind === "problem" && read.field === field ? read.message : undefined;
  switch (records?.kind) {
    case "filter-choice":
      return (
        <SwatchChoice
          label="Which filter"
          name="place"
          options={places.filters.map(({ value, label }) => ({ value, name: label }))}
          chosen={typed.place}
          onChoose={(place) => setTyped({ ...typed, place })}
        />
      );
    case "direction":
      return (
        <SwatchChoice
          label="The air goes"
          name="direction"
          options={DIRECTIONS.filter((each) => each !== "unknown").map((value) => ({
            value,
            name: DIRECTION_WORDS[value],
            drawing: <FlowArrow direction={value} />,
          }))}
          chosen={typed.word}
          onChoose={choose}
        />
      );
    case "count":
      return (
        <TextField
          label={records.label}
          name="count"
          hint={countHint(records.known, slot)}
          inputMode="numeric"
          className="figures min-h-14 text-[1.5rem]"
          value={typed.count ?? ""}
          onChange={(event) => setTyped({ ...typed, count: event.target.value })}
          error={problem("count")}
        />
      );
    case "words":
      return (
        <TextField
          label={records.label}
          name="said"
          maxLength={300}
          className="min-h-14"
          value={typed.said ?? ""}
          onChange={(event) => setTyped({ ...typed, said: event.target.value })}
        />
      );
    case "setting": {
      const kept = settings.find(
        ({ key, label }) => key === records.key && label === records.label,
      );
      return <SettingField {...{ records, typed, setTyped, kept }} />;
    }
    case "settings":
      return <SettingRounds {...{ settings, typed, setTyped }} />;
    case "across":
      return (
        <WrapSheet {...{ typed, setTyped, slot, system }} error={problemAtValue(read, tried)} />
      );
    case "works":
      return (
        <fieldset>
          <legend className="text-[1.125rem] text-second">
            Tick each that was done, and no other
          </legend>
          {(records.of ? (props.ticks[records.of] ?? []) : props.works).map(
            ({ value, label, hint }) => (
              <CheckBox
                key={value}
                label={label}
                hint={hint}
                checked={(typed.works ?? []).includes(value)}
                onChange={(isDone) => {
                  const rest = (typed.works ?? []).filter((each) => each !== value);
                  setTyped({ ...typed, works: isDone ? [...rest, value] : rest });
                }}
              />
            ),
          )}
        </fieldset>
      );
    case "alarms":
      return (
        <AlarmRounds alarms={places.alarms} {...{ typed, setTyped }} error={problem("alarms")} />
      );
    case undefined:
      return null;
    case "look":
      return (
        <GradeChoice
          label="The nearest picture"
          name="grade"
          options={GRADE_OPTIONS.map((each) => ({
            ...each,
            name: said(each.name),
            meaning: said(each.meaning),
          }))}
          defaultValue={typed.word}
          onChoose={choose}
        />
      );
    case "choice":
      return (
        <>
          <SwatchChoice
            label="What comes nearest"
            name="choice"
            options={records.options}
            chosen={typed.word}
            onChoose={choose}
          />
          <LeadsOn
            at={{ procedure: props.procedureId, step: step.id }}
            place={props.seenAt}
            word={typed.word}
            otherwise={
              <Suggestion
                words={records.options.find(({ value }) => value === typed.word)?.suggests}
              />
            }
          />
        </>
      );
    case "size":
      return <SizeFields {...{ typed, setTyped, read, tried, slot, system }} />;
    case "reading":
      if (isWordKind(records.reading) && records.of === "every-machine")
        return <MachineRounds kind={records.reading} {...{ places, typed, setTyped }} />;
      return isWordKind(records.reading) ? (
        <>
          <SwatchChoice
            label="What comes nearest"
            name={records.reading}
            options={Object.keys(WORD_KINDS[records.reading]).map((value) => ({
              value,
              name: said(SEEN_WORDS[value] ?? value),
              drawing: <SeenSwatch kind={records.reading} seen={value} />,
            }))}
            chosen={typed.word}
            onChoose={choose}
          />
          {read.kind === "seen" && read.judgement && (
            <Verdict
              judgement={read.judgement}
              act={adviceWords(records.reading, read.judgement)}
              words={SUGGESTS[records.reading]?.[typed.word ?? ""]}
            />
          )}
          <LeadsOn
            at={{ reading: records.reading }}
            word={typed.word}
            place={{ ...props.seenAt, ...(records.at ? { partKind: records.at } : {}) }}
          />
        </>
      ) : (
        <Measured
          {...{ step, typed, setTyped, read, tried, system }}
          ratedBefore={props.ratedBefore[records.reading] ?? []}
        />
      );
  }
}

const problemAtValue = (read: ReadSeen, tried: boolean): string | undefined =>
  tried && read.kind === "problem" && read.field === "value" ? read.message : undefined;

/** A box one ticks, as large as a gloved finger. */
function CheckBox({
  label,
  hint,
  checked,
  onChange,
}: {
  label: string;
  hint: string | undefined;
  checked: boolean;
  onChange: (isDone: boolean) => void;
}) {
  return (
    <label className="flex min-h-14 cursor-pointer items-center gap-4 border-b border-rule py-2">
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        className="size-7 shrink-0 accent-ink"
      />
      <span>
        {label}
        {hint && <span className="block text-[1.125rem] text-second">{hint}</span>}
      </span>
    </label>
  );
}

/** What is done at once where this is seen, and why; the jobs it leads to stand at the finish. */
function LeadsOn({
  at,
  word,
  place,
  otherwise = null,
}: {
  at: Parameters<typeof leadNow>[0];
  place: RunWith["seenAt"];
  word: string | undefined;
  /** What is said where nothing leads on. */
  otherwise?: ReactNode;
}) {
  const lead = word === undefined ? null : leadNow(at, word, place);
  if (!lead) return otherwise;
  return (
    <p role="status" className="border-l-[6px] border-attention bg-wash px-4 py-3">
      {lead.now && <strong>{lead.now} </strong>}
      {lead.why}
    </p>
  );
}

/** What the inventory says there should be. */
const countHint = (
  known: "filters" | "heads" | undefined,
  slot: FilterSlot | undefined,
): string | undefined =>
  known === "filters" && slot && slot.filterCount > 1
    ? `${slot.filterCount} by what is written down.`
    : undefined;

function Suggestion({ words }: { words: string | undefined }) {
  return (
    <p role="status" className={words ? "border-l-[6px] border-attention bg-wash px-4 py-3" : ""}>
      {words}
    </p>
  );
}

function Verdict({
  judgement,
  act,
  words,
}: {
  judgement: KeptJudgement;
  act: string;
  words?: string | undefined;
}) {
  const { verdict } = judgement;
  const asked = verdict === "act" || verdict === "stop" ? `: ${act}` : "";
  const said = VERDICT_WORDS[verdict];
  return (
    <div
      role="status"
      data-verdict={verdict}
      className="flex items-start gap-4 border-y-2 border-ink py-3"
    >
      <Needle verdict={verdict} />
      <p>
        <strong>{said.charAt(0).toUpperCase() + said.slice(1)}</strong>
        {asked}. {words}
      </p>
    </div>
  );
}

function Measured({
  step,
  typed,
  setTyped,
  read,
  tried,
  system,
  ratedBefore,
}: Pick<Props, "step" | "typed" | "setTyped" | "read" | "tried" | "system"> & {
  ratedBefore: readonly string[];
}) {
  if (step.records?.kind !== "reading") return null;
  const { reading, difference } = step.records;
  const units = unitsFor(reading, system);
  const unit = units.find(({ value }) => value === typed.unit) ?? units[0];
  const rated = ratedOf(reading);
  const inUnit = (label: string) => (unit?.label ? `${label}, ${unit.label}` : label);
  const error = tried && read.kind === "problem" ? read.message : undefined;
  // What stood on the plate the last time stands there again, until somebody types over it.
  const plate = { rated: ratedBefore[0], ratedMin: ratedBefore[0], ratedMax: ratedBefore[1] };
  const field = (label: string, key: "value" | "second" | "rated" | "ratedMin" | "ratedMax") => (
    <TextField
      label={inUnit(label)}
      name={key}
      inputMode="decimal"
      className="figures min-h-14 text-[1.5rem]"
      value={withPlate(rated, plate, typed)[key] ?? ""}
      onChange={(event) =>
        setTyped({ ...withPlate(rated, plate, typed), [key]: event.target.value })
      }
      error={key === "value" ? error : undefined}
    />
  );
  const printed = READING_WORDS[reading].rated ?? "On its plate";
  return (
    <>
      <div className={difference || rated !== "none" ? "grid gap-4 wide:grid-cols-2" : ""}>
        {field(difference?.[0] ?? READING_WORDS[reading].name, "value")}
        {difference && field(difference[1], "second")}
        {units.length > 1 && !difference && reading === "plate-range" && (
          <SelectField
            label="in"
            name="unit"
            options={units}
            value={unit?.value}
            onChange={(event) => setTyped({ ...typed, unit: event.target.value })}
          />
        )}
        {rated === "value" && field(printed, "rated")}
        {rated === "band" && field("On the plate, from", "ratedMin")}
        {rated === "band" && field("to", "ratedMax")}
      </div>
      {step.records.of === "every-co-alarm" && (
        <Button
          className="min-h-14 text-[1.1875rem]"
          onClick={(event) => {
            setTyped({ ...typed, value: "0" });
            // Without the focus here the next press of Space goes to the step.
            event.currentTarget.blur();
          }}
        >
          Every one reads 0
        </Button>
      )}
      {read.kind === "seen" && read.judgement && (
        <Verdict
          judgement={read.judgement}
          act={adviceWords(reading, read.judgement)}
          words={areLeadsReversed(reading, Number(typed.value)) ? LEADS_REVERSED : undefined}
        />
      )}
    </>
  );
}

/** The fields of a plate as they stand on the screen: typed, else as they were the last time. */
function withPlate(
  rated: ReturnType<typeof ratedOf>,
  before: Pick<Typed, "rated" | "ratedMin" | "ratedMax"> | Record<string, string | undefined>,
  typed: Typed,
): Typed {
  const keys = rated === "value" ? ["rated"] : rated === "band" ? ["ratedMin", "ratedMax"] : [];
  const known = Object.fromEntries(
    keys.flatMap((key) => {
      const text = (before as Record<string, string | undefined>)[key];
      return text === undefined ? [] : [[key, text]];
    }),
  );
  return { ...known, ...typed };
}

/** The opening of a slot, and whether what is bought now fills it. */
function SizeFields({
  typed,
  setTyped,
  read,
  tried,
  slot,
  system,
}: Pick<Props, "typed" | "setTyped" | "read" | "tried" | "slot" | "system">) {
  const error = (field: "opening" | "buy") =>
    tried && read.kind === "problem" && read.field === field ? read.message : undefined;
  const fallback = system === "us" ? "in" : "mm";
  const opening = readSize(typed.opening ?? "", fallback);
  const buy = typed.buy ? readSize(typed.buy, fallback) : null;
  const nominal = buy?.ok ? { text: typed.buy ?? "", mm: buy.mm, unit: buy.unit } : slot?.nominal;
  const fit =
    slot && nominal && opening.ok
      ? fitOfSlot(
          { ...slot, nominal, opening: { text: typed.opening ?? "", mm: opening.mm } },
          undefined,
        )
      : null;
  return (
    <>
      <TextField
        label="The opening: width × height × depth"
        name="opening"
        placeholder="20 1/8 x 20 1/8 x 1 1/8"
        className="figures min-h-14 text-[1.375rem]"
        value={typed.opening ?? ""}
        onChange={(event) => setTyped({ ...typed, opening: event.target.value })}
        error={error("opening")}
        hint="Inches, millimetres or centimetres."
      />
      <TextField
        label="The size to buy next time"
        name="buy"
        placeholder={slot?.nominal?.text}
        className="figures min-h-14 text-[1.375rem]"
        value={typed.buy ?? ""}
        onChange={(event) => setTyped({ ...typed, buy: event.target.value })}
        error={error("buy")}
        hint="Leave it empty if the one written down is right."
      />
      {fit && (
        <p role="status" className="border-y-2 border-ink py-3">
          {nominal?.text}: {fitWords(fit, fallback)}
        </p>
      )}
    </>
  );
}
