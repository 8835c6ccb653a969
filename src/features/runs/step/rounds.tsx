import { inEnglish } from "@/content/english";
import { useEnglish } from "@/ui/english";
import { ALARM_STATE_WORDS } from "@/presentation/run-words";
import { READING_WORDS, SEEN_WORDS } from "@/content/reading-words";
import { ALARM_STATES } from "@/core/runs/run-event";
import { WORD_KINDS, type WordReading } from "@/core/readings/reading-kinds";
import { Button } from "@/ui/button";
import { SelectField, TextField, type Option } from "@/ui/field";
import type { SettingAt } from "@/presentation/setting-words";
import type { Typed } from "./seen";

/** Where something may be seen or read in a run. */
export type Places = {
  /** With the machine each sits in. */
  filters: (Option & { unit: string })[];
  machines: Option[];
  /** Some show a figure, others can only be heard. */
  alarms: (Option & { hasDisplay: boolean })[];
};

type Fill = { typed: Typed; setTyped: (typed: Typed) => void };
const NOT_SEEN: Option = { value: "", label: "not looked at" };

/** One press where all is well everywhere; a line for each place where it is not. */
function Rounds({
  all,
  onAll,
  children,
}: {
  all: string;
  onAll: () => void;
  children: React.ReactNode;
}) {
  return (
    <div className="flex flex-col gap-4">
      <Button
        className="min-h-14 self-start text-[1.1875rem]"
        onClick={(event) => {
          onAll();
          // Without the focus here the next press of Space goes to the step.
          event.currentTarget.blur();
        }}
      >
        {all}
      </Button>
      {children}
    </div>
  );
}

/** The same thing seen at every machine of the house. */
export function MachineRounds({
  kind,
  places,
  typed,
  setTyped,
}: Fill & { kind: WordReading; places: Places }) {
  const english = useEnglish();
  const said = (words: string) => inEnglish(english, words);
  const words = Object.keys(WORD_KINDS[kind]);
  const sound = words[0]!;
  const each = typed.each ?? {};
  const options = [
    NOT_SEEN,
    ...words.map((value) => ({ value, label: said(SEEN_WORDS[value] ?? value) })),
  ];
  return (
    <Rounds
      all={`${READING_WORDS[kind].name}: ${SEEN_WORDS[sound]} everywhere`}
      onAll={() =>
        setTyped({
          ...typed,
          each: Object.fromEntries(places.machines.map(({ value }) => [value, sound])),
        })
      }
    >
      <div className="grid gap-3 wide:grid-cols-2">
        {places.machines.map(({ value, label }) => (
          <SelectField
            key={value}
            id={`each-${value}`}
            name={`each-${value}`}
            label={label}
            options={options}
            className="min-h-14"
            value={each[value] ?? ""}
            onChange={(event) =>
              setTyped({ ...typed, each: { ...each, [value]: event.target.value } })
            }
          />
        ))}
      </div>
    </Rounds>
  );
}

/** Each CO alarm: quiet, tested, and what its display reads, if it has one. */
export function AlarmRounds({
  alarms,
  typed,
  setTyped,
  error,
}: Fill & { alarms: Places["alarms"]; error: string | undefined }) {
  const seen = typed.alarms ?? {};
  const change = (id: string, more: { state?: string; ppm?: string }) =>
    setTyped({ ...typed, alarms: { ...seen, [id]: { ...seen[id], ...more } } });
  if (alarms.length === 0)
    return (
      <p>No CO alarm is entered here yet: add each with its date, one on every lived-in level.</p>
    );
  const options = [
    NOT_SEEN,
    ...ALARM_STATES.map((value) => ({ value, label: ALARM_STATE_WORDS[value] })),
  ];
  return (
    <Rounds
      all="All tested: each sounded"
      onAll={() =>
        setTyped({
          ...typed,
          alarms: Object.fromEntries(
            alarms.map(({ value }) => [value, { ...seen[value], state: "tested" }]),
          ),
        })
      }
    >
      {alarms.map(({ value, label, hasDisplay }) => (
        <fieldset key={value} className="grid gap-3 border-t border-rule pt-2 wide:grid-cols-2">
          <SelectField
            id={`alarm-${value}`}
            name={`alarm-${value}`}
            label={label}
            options={options}
            className="min-h-14"
            value={seen[value]?.state ?? ""}
            onChange={(event) => change(value, { state: event.target.value })}
          />
          {hasDisplay ? (
            <TextField
              id={`ppm-${value}`}
              name={`ppm-${value}`}
              label="Its display reads, ppm"
              inputMode="decimal"
              className="figures min-h-14"
              value={seen[value]?.ppm ?? ""}
              onChange={(event) => change(value, { ppm: event.target.value })}
            />
          ) : (
            <p className="self-end pb-3 text-second">No display: silence is no reading.</p>
          )}
        </fieldset>
      ))}
      {error && (
        <p role="alert" className="font-medium text-attention-text">
          {error}
        </p>
      )}
    </Rounds>
  );
}

const SETTING_STATES: Option[] = [
  NOT_SEEN,
  { value: "so", label: "so it is" },
  { value: "put-back", label: "put back to that" },
  { value: "otherwise", label: "otherwise now, and rightly so" },
];

/** Each line of the sheet of how things should be. */
export function SettingRounds({
  settings,
  typed,
  setTyped,
}: Fill & { settings: readonly SettingAt[] }) {
  const each = typed.each ?? {};
  // What is laid by for a season is otherwise meanwhile, and rightly so.
  const inUse = settings.filter(({ isParked }) => !isParked);
  if (inUse.length === 0)
    return <p>Nothing is written down yet: jobs note how things are set as they touch them.</p>;
  return (
    <Rounds
      all="All as it should be"
      onAll={() =>
        setTyped({ ...typed, each: Object.fromEntries(inUse.map(({ id }) => [id, "so"])) })
      }
    >
      <div className="grid gap-3 wide:grid-cols-2">
        {inUse.map(({ id, place, label, value }) => (
          <SelectField
            key={id}
            id={`each-${id}`}
            name={`each-${id}`}
            label={`${place}, ${label.toLowerCase()}: ${value}`}
            options={SETTING_STATES}
            className="min-h-14"
            value={each[id] ?? ""}
            onChange={(event) =>
              setTyped({ ...typed, each: { ...each, [id]: event.target.value } })
            }
          />
        ))}
      </div>
    </Rounds>
  );
}
