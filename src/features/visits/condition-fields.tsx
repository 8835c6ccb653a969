"use client";

import type { UnitSystem } from "@/core/quantities/length";
import { RUNNING_MODES, type Instrument } from "@/core/readings/conditions";
import { NEW_INSTRUMENT } from "@/lib/conditions-form";
import { RUNNING_WORDS } from "@/content/visits";
import { SelectField, TextField } from "@/ui/field";
import { useTypedText } from "@/ui/form";

/** With what a reading is taken, in which weather, and while what ran: put away until it is wanted. */
export function ConditionFields({
  instruments,
  system,
}: {
  instruments: Instrument[];
  system: UnitSystem;
}) {
  const instrument = useTypedText("instrument");
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-12 cursor-pointer items-center font-semibold text-link">
        Measured with what, and while what ran
      </summary>
      <div className="grid gap-4 pt-1 pb-4 wide:grid-cols-2">
        <SelectField
          label="Instrument"
          name="instrument"
          options={[
            { value: "", label: "not noted" },
            ...instruments.map(({ id, name }) => ({ value: id, label: name })),
            { value: NEW_INSTRUMENT, label: "another one" },
          ]}
          hint="A change of meter is a step that is no drift."
        />
        <div hidden={instrument !== NEW_INSTRUMENT}>
          <TextField label="It is called" name="newInstrument" hint="“Clamp meter, blue.”" />
        </div>
        <TextField
          label={`Outdoors, °${system === "us" ? "F" : "C"}`}
          name="outdoor"
          inputMode="decimal"
        />
        <SelectField
          label="It was"
          name="running"
          options={[
            { value: "", label: "not noted" },
            ...RUNNING_MODES.map((value) => ({ value, label: RUNNING_WORDS[value] })),
          ]}
        />
        <TextField label="For minutes" name="minutesRunning" inputMode="numeric" />
      </div>
    </details>
  );
}
