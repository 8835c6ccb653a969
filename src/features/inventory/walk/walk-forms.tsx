"use client";

import { useState } from "react";
import { PAST_TRACES } from "@/content/first-walk";
import { MAIN_WORDS } from "@/content/words";
import { MAINS, type Main } from "@/core/inventory/inventory";
import { DayField } from "@/ui/day-field";
import { CheckField, ChoiceField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { useFields } from "@/ui/form-fields";
import { MainField } from "../homes/main-field";
import type { MainShelves } from "../homes/main-pictures";
import { CallFields } from "../homes/call-fields";

type Common = {
  action: FormAction;
  initial: FormView;
  keep: (form: FormData) => Promise<void>;
};

const WHERE_TO_LOOK: Readonly<Record<Main, string>> = {
  water: "Where the pipe comes in, often low down at the street side.",
  gas: "At the meter. Across the pipe is shut, along it is open. Do not try it: you may not be able to light up again.",
  power: "The large one at the top of the panel. Read its place only.",
};

/** Where the whole house is shut off. */
export function MainsStop({
  action,
  initial,
  keep,
  pictures,
}: Common & {
  /** The pictures of each, and the press for one more. */
  pictures: MainShelves;
}) {
  return (
    <Form
      {...{ action, initial, keep }}
      schema={() =>
        Promise.all([import("../homes/home-form"), import("@/lib/forms")]).then(
          ([{ mainsShape }, { ofSingles }]) => ofSingles(mainsShape),
        )
      }
      submit="Seen, go on"
    >
      <div className="flex flex-col gap-5 pb-6">
        {MAINS.map((main) => (
          <fieldset key={main} className="border-t-[3px] border-ink pt-2">
            <legend className="sr-only">{MAIN_WORDS[main]}</legend>
            <h2 className="text-lg">{MAIN_WORDS[main]}</h2>
            <p className="mb-2 text-second">{WHERE_TO_LOOK[main]}</p>
            <MainField main={main} pictures={pictures[main]} />
          </fieldset>
        ))}
        <fieldset className="border-t-[3px] border-ink pt-2">
          <legend className="sr-only">Whom to call</legend>
          <h2 className="text-lg">Whom to call</h2>
          <p className="mb-2 text-second">
            It stands on the emergency card, to be pressed. The gas number is on the meter or the
            bill.
          </p>
          <CallFields />
        </fieldset>
      </div>
    </Form>
  );
}

/** What those before left in ducts and on the coil. */
export function PastStop({ action, initial, keep, today }: Common & { today: string }) {
  return (
    <Form {...{ action, initial, keep }} submit="Seen, go on">
      <PastFields today={today} />
    </Form>
  );
}

function PastFields({ today }: { today: string }) {
  const fields = useFields();
  const [isTaken, setTaken] = useState(fields.value("before") === "others");
  const [hasWorks, setWorks] = useState(fields.values("trace").includes("renovation"));
  return (
    <div
      className="flex flex-col gap-5 pb-6"
      onChange={(event) => {
        const { name, value, checked } = event.target as unknown as HTMLInputElement;
        if (name === "before") setTaken(value === "others");
        if (name === "trace" && value === "renovation") setWorks(checked);
      }}
    >
      <ChoiceField
        label="Did others live here before you?"
        name="before"
        options={[
          { value: "others", label: "Yes, we took it over" },
          { value: "nobody", label: "No, or too long ago to matter" },
        ]}
      />
      <DayField
        label="Moved in on"
        name="movedIn"
        max={today}
        hint="A guess will do. In the first months filters are looked at more often."
      />
      <fieldset hidden={!isTaken}>
        <legend className="font-semibold">What is known of them</legend>
        {PAST_TRACES.map(({ kind, ask, why }) => (
          <CheckField key={kind} name="trace" value={kind} label={ask} hint={why} />
        ))}
        <div hidden={!hasWorks} className="mt-2 grid gap-4 pl-8 wide:grid-cols-2">
          <DayField label="The work began" name="worksFrom" max={today} />
          <DayField label="and ended" name="worksTo" max={today} hint="Empty while it goes on." />
        </div>
      </fieldset>
    </div>
  );
}
