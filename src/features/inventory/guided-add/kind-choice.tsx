"use client";

import { UNIT_KINDS } from "@/content/unit-kinds";
import { ChoiceFrame, Radio } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { UnitFigure } from "@/ui/unit-figure";

/** Every kind of machine as a drawn figure; choosing one enters it. */
export function KindChoice({ action, initial }: { action: FormAction; initial: FormView }) {
  return (
    <Form action={action} initial={initial} submit="Go on">
      <ChoiceFrame
        label="Kind of unit"
        name="kind"
        isSaid={false}
        className="grid gap-x-6 wide:grid-cols-3"
      >
        {UNIT_KINDS.map(({ id, name, hint, figure }) => (
          <label
            key={id}
            className="flex min-h-16 items-center gap-4 border-t border-rule px-2 py-2.5 has-checked:border-ink has-checked:bg-ink has-checked:text-ground has-focus-visible:outline-3 has-focus-visible:-outline-offset-2 has-focus-visible:outline-link"
          >
            <Radio name="kind" value={id} />
            <span className="flex w-11 shrink-0 justify-center">
              <UnitFigure figure={figure} size={48} />
            </span>
            <span>
              <span className="block leading-tight font-semibold">{name}</span>
              <span className="block text-[0.9375rem] leading-snug opacity-85">{hint}</span>
            </span>
          </label>
        ))}
      </ChoiceFrame>
    </Form>
  );
}
