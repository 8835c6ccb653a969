"use client";

import { partKind } from "@/content/part-kinds";
import { carriesAir, movesAir, unitKind } from "@/content/unit-kinds";
import type { Level, Room } from "@/core/inventory/inventory";
import { CheckField, SelectField, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { asksForCooling } from "./set-up";
import { hasRefrigerant } from "../units/unit-form-view";
import { PlaceFields, PlateFields, ShutOffRows } from "../units/unit-fields";

type Step = {
  action: FormAction;
  initial: FormView;
  /** Keeps what is typed before it is saved. */
  keep: (form: FormData) => Promise<void>;
  kind: string;
};

const STACK = "flex max-w-3xl flex-col gap-5 pb-6";

export function PlateStep({ action, initial, keep, kind, today }: Step & { today: string }) {
  return (
    <Form {...{ action, initial, keep }} submit="Next">
      <div className={STACK}>
        <PlateFields
          attributes={unitKind(kind).attributes}
          asksForCooling={asksForCooling(kind)}
          hasRefrigerant={hasRefrigerant(kind)}
          today={today}
        />
      </div>
    </Form>
  );
}

export function PlaceStep({
  action,
  initial,
  keep,
  kind,
  levels,
  rooms,
  partners,
}: Step & { levels: Level[]; rooms: Room[]; partners: { value: string; label: string }[] }) {
  return (
    <Form {...{ action, initial, keep }} submit="Next">
      <div className={STACK}>
        <PlaceFields {...{ levels, rooms }} />
        {carriesAir(kind) && partners.length > 0 && (
          <SelectField
            label={movesAir(kind) ? "It moves its air" : "Its air is moved"}
            name="runsWith"
            hint="Machines on the same ducts run together, and their filters share the hours."
            options={[
              { value: "", label: movesAir(kind) ? "on its own" : "by a machine not entered yet" },
              ...partners,
            ]}
          />
        )}
      </div>
    </Form>
  );
}

export function ShutOffStep({ action, initial, keep, kind }: Step) {
  return (
    <Form {...{ action, initial, keep }} submit="Next">
      <div className={STACK}>
        <p className="max-w-prose text-second">
          In the order in which you do it. Leave out what it does not have. A switch inside its door
          does not count: that one only stops the machine while you look.
        </p>
        <ShutOffRows usual={unitKind(kind).shutOffs} />
      </div>
    </Form>
  );
}

export function PartsStep({ action, initial, keep, kind }: Step) {
  const { parts } = unitKind(kind);
  return (
    <Form {...{ action, initial, keep }} submit="Next">
      <fieldset className="max-w-3xl pb-6">
        <legend className="mb-3 text-second">
          Ticked is what such machines usually have. Take out what yours lacks; any other part can
          be added later.
        </legend>
        <ul className="grid gap-x-8 wide:grid-cols-2">
          {parts.map(({ kind: id }) => (
            <li key={id} className="flex items-center gap-3 border-t border-rule">
              <div className="min-h-14 grow leading-snug">
                <CheckField
                  name="part"
                  value={id}
                  label={partKind(id).name}
                  hint={partKind(id).care}
                />
              </div>
              {SEVERAL.includes(id) && (
                <div className="w-24">
                  <TextField
                    label="How many"
                    name={`count-${id}`}
                    inputMode="numeric"
                    defaultValue="1"
                  />
                </div>
              )}
            </li>
          ))}
        </ul>
      </fieldset>
    </Form>
  );
}

/** Parts a machine has several of. */
const SEVERAL = ["radiator", "supply-run", "return-run", "fan", "capacitor"];
