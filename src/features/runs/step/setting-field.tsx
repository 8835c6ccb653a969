import type { Step } from "@/core/runs/procedure";
import type { Setting } from "@/core/inventory/as-it-should-be";
import { Button } from "@/ui/button";
import { TextField } from "@/ui/field";
import { SwatchChoice } from "@/ui/swatch-choice";
import type { Typed } from "./seen";

type Records = Extract<NonNullable<Step["records"]>, { kind: "setting" }>;

/** How something is set; where the sheet of the home knows it, that is one press. */
export function SettingField({
  records,
  typed,
  setTyped,
  kept,
}: {
  records: Records;
  typed: Typed;
  setTyped: (typed: Typed) => void;
  kept: Setting | undefined;
}) {
  const { label, options } = records;
  if (options)
    return (
      <SwatchChoice
        label={label}
        name="setting"
        options={options}
        chosen={typed.word}
        onChoose={(word) => setTyped({ ...typed, word })}
      />
    );
  return (
    <div className="flex flex-col gap-3">
      {kept && typed.said !== kept.value && (
        <Button
          className="min-h-14 self-start text-[1.1875rem]"
          onClick={(event) => {
            setTyped({ ...typed, said: kept.value });
            // Without the focus here the next press of Space goes to the step.
            event.currentTarget.blur();
          }}
        >
          {`As it should be: ${kept.value}`}
        </Button>
      )}
      <TextField
        label={label}
        name="said"
        maxLength={120}
        className="min-h-14"
        value={typed.said ?? ""}
        onChange={(event) => setTyped({ ...typed, said: event.target.value })}
      />
    </div>
  );
}
