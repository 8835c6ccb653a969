"use client";

import { DayField } from "@/ui/day-field";
import { CheckField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { lastField, NEVER_FIELD } from "./when-last-form";

export type AskedRow = { id: string; words: string; often: string; isSafety: boolean };

/** When each job was last done: a day, a month or a year; empty where nobody knows, all of them with one press. */
export function WhenLastForm({
  action,
  initial,
  rows,
  today,
}: {
  action: FormAction;
  initial: FormView;
  rows: AskedRow[];
  today: string;
}) {
  return (
    <Form {...{ action, initial }} submit="Go on" stays={false}>
      <ul className="max-w-4xl">
        {rows.map(({ id, words, often, isSafety }) => (
          <li
            key={id}
            className="grid items-start gap-x-6 border-t border-rule py-3 wide:grid-cols-[minmax(0,1fr)_14rem_7rem]"
          >
            <div className="min-w-0">
              <p className="font-semibold">{words}</p>
              <p className="text-second">
                {isSafety && "For safety. "}
                Usually {often}.
              </p>
            </div>
            <DayField label="Last done" name={lastField(id)} max={today} mayBeYear />
            <div className="wide:pt-7">
              <CheckField name={NEVER_FIELD} value={id} label="never" />
            </div>
          </li>
        ))}
      </ul>
    </Form>
  );
}
