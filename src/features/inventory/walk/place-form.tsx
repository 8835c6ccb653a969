"use client";

import { useState } from "react";
import type { Media } from "@/core/filters/media";
import { DayField } from "@/ui/day-field";
import { CheckField, SelectField, TextArea, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { useFields } from "@/ui/form-fields";
import { UnitFigure } from "@/ui/unit-figure";
import { SizeChoice } from "../filters/size-choice-fields";

/** Something to look for, as far as its fields need it. */
export type FindRow = {
  id: string;
  name: string;
  hint: string;
  figure: string;
  /** Which fields it has once it is ticked. */
  asks: "nothing" | "made-on" | "filter" | "where";
  /** Of a filter: what it usually is made of there. */
  media?: Media;
  /** The machines it may belong to. */
  owners: { value: string; label: string }[];
  /** What is begun where none of them is the one. */
  orElse: string;
};

type Common = { unit: "in" | "mm"; today: string };

/** What there is to find at a place: tick what is there, go on with a press. */
export function PlaceForm({
  action,
  initial,
  keep,
  likely,
  others,
  asks,
  ...common
}: Common & {
  action: FormAction;
  initial: FormView;
  keep: (form: FormData) => Promise<void>;
  likely: FindRow[];
  others: FindRow[];
  /** Of a room its air and people, of a level its rooms. */
  asks: "air" | "rooms" | "nothing";
}) {
  const wasTicked = others.some(({ id }) => initial.values["find"]?.includes(id));
  return (
    <Form {...{ action, initial, keep }} submit="Seen, go on">
      <div className="flex flex-col gap-6 pb-6">
        {asks === "rooms" && (
          <TextArea
            label="Rooms here"
            name="rooms"
            rows={3}
            hint="One to a line; each becomes a stop of its own. None? Leave it empty."
          />
        )}
        {asks === "air" && (
          <fieldset>
            <legend className="text-lg font-semibold">Air and people</legend>
            <div className="mt-1 grid grid-cols-2 gap-4">
              <TextField label="Registers that blow" name="supply" inputMode="numeric" />
              <TextField label="Grilles that draw" name="return" inputMode="numeric" />
            </div>
            <CheckField name="sleeps" label="Somebody sleeps here" />
          </fieldset>
        )}
        <fieldset>
          <legend className="text-lg font-semibold">What is here?</legend>
          <ul>
            {likely.map((row) => (
              <FindFields key={row.id} {...{ row }} {...common} />
            ))}
          </ul>
          {others.length > 0 && (
            <details open={wasTicked || undefined} className="border-t border-rule">
              <summary className="flex min-h-14 cursor-pointer items-center gap-2 font-semibold text-link">
                Something else
              </summary>
              <ul>
                {others.map((row) => (
                  <FindFields key={row.id} {...{ row }} {...common} />
                ))}
              </ul>
            </details>
          )}
        </fieldset>
      </div>
    </Form>
  );
}

function FindFields({ row, unit, today }: Common & { row: FindRow }) {
  const { id, name, hint, figure, asks, media, owners, orElse } = row;
  const [has, setHas] = useState(useFields().values("find").includes(id));
  const own = (field: string) => `${field}-${id}`;
  const isOwned = asks === "filter" || asks === "where";
  return (
    <li data-has={has || undefined} className="border-t border-rule py-1 data-has:bg-surface">
      <div className="flex items-center gap-3">
        <div className="min-w-0 grow">
          <CheckField
            name="find"
            value={id}
            label={name}
            hint={hint}
            onChange={(event) => setHas(event.target.checked)}
          />
        </div>
        <span className="flex w-11 shrink-0 justify-center">
          <UnitFigure figure={figure} size={44} />
        </span>
      </div>
      {asks !== "nothing" && (
        <div hidden={!has} className="flex flex-col gap-4 pt-1 pb-4 pl-8">
          {asks === "made-on" && (
            <DayField
              label="Made on"
              max={today}
              hint="On its back. Not to be read from here? Leave it empty."
              name={own("made")}
              mayBeYear
            />
          )}
          {asks === "filter" && (
            <>
              <SizeChoice id={id} media={media ?? "pleated-25"} unit={unit} />
              <DayField
                label="It went in on"
                max={today}
                hint="A guess is a good start; the date may be scrawled on its frame."
                name={own("fitted")}
                mayBeYear
              />
            </>
          )}
          {asks === "where" && (
            <TextField
              label="Where"
              name={own("where")}
              hint="“North side, behind the rain barrel.”"
            />
          )}
          {isOwned && owners.length > 0 && (
            <SelectField
              label="It belongs to"
              name={own("unit")}
              defaultValue={owners[0]!.value}
              options={[...owners, { value: "", label: orElse }]}
            />
          )}
          {isOwned && owners.length === 0 && (
            <p className="text-second">{orElse}: it is begun now, to be found later.</p>
          )}
        </div>
      )}
    </li>
  );
}
