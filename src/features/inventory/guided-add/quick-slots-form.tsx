"use client";

import { useState } from "react";
import { inEnglish } from "@/content/english";
import { MEDIA_WORDS, SLOT_PLACE_WORDS } from "@/content/words";
import type { UsualSlot } from "@/content/unit-kinds";
import { SLOT_PLACES } from "@/core/inventory/inventory";
import type { Media } from "@/core/filters/media";
import { DayField } from "@/ui/day-field";
import { CheckField, SelectField } from "@/ui/field";
import { useEnglish } from "@/ui/english";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { useFields } from "@/ui/form-fields";
import { SizeChoice } from "../filters/size-choice-fields";

type SlotToAsk = { nth: number; usual: UsualSlot };

/** The filter slots such a machine usually has: tick what is there, and read the size off the frame. */
export function QuickSlotsForm({
  action,
  initial,
  keep,
  slots,
  media,
  unit,
  today,
}: {
  action: FormAction;
  initial: FormView;
  keep: (form: FormData) => Promise<void>;
  slots: SlotToAsk[];
  media: readonly Media[];
  unit: "in" | "mm";
  today: string;
}) {
  return (
    <Form {...{ action, initial, keep }} submit="Next">
      <div className="flex max-w-3xl flex-col pb-6">
        {slots.length === 0 && <p>Its filter slots are entered already.</p>}
        {slots.map((each) => (
          <QuickSlotFields key={each.nth} {...{ media, unit, today }} {...each} />
        ))}
      </div>
    </Form>
  );
}

function QuickSlotFields({
  nth,
  usual,
  media,
  unit,
  today,
}: SlotToAsk & { media: readonly Media[]; unit: "in" | "mm"; today: string }) {
  const [has, setHas] = useState(useFields().values("has").includes(String(nth)));
  const english = useEnglish();
  const own = (name: string) => `${name}-${nth}`;
  return (
    <fieldset className="border-t-[3px] border-ink pt-2 pb-5">
      <legend className="sr-only">{usual.name}</legend>
      <CheckField
        name="has"
        value={String(nth)}
        label={usual.name}
        hint={has ? undefined : "It may have one: tick it if yours does."}
        onChange={(event) => setHas(event.target.checked)}
      />
      <div hidden={!has} className="mt-2 flex flex-col gap-4">
        <SizeChoice id={nth} media={usual.media} unit={unit} />
        <div className="grid gap-4 wide:grid-cols-2">
          <SelectField
            label="Where it sits"
            options={SLOT_PLACES.map((value) => ({ value, label: SLOT_PLACE_WORDS[value] }))}
            name={own("slotPlace")}
            defaultValue={usual.slotPlace}
          />
          <SelectField
            label="What it is made of"
            options={media.map((value) => ({
              value,
              label: inEnglish(english, MEDIA_WORDS[value]),
            }))}
            name={own("media")}
            defaultValue={usual.media}
          />
        </div>
        <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
          <DayField
            label="The one in it went in on"
            max={today}
            hint="A guess is a good start."
            name={own("fittedOn")}
            mayBeYear
          />
          <div>
            <CheckField name={own("indicator")} label="A light asks for it" />
            <CheckField name={own("cutToSize")} label="Cut to size from a sheet" />
          </div>
        </div>
      </div>
    </fieldset>
  );
}
