"use client";

import { fieldsAt } from "@/presentation/identity-words";
import { DayField } from "@/ui/day-field";
import { ChoiceField, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

const GROUPS = [
  { title: "Who made it", keys: ["make", "model", "serial", "madeOn"] },
  {
    title: "What it takes",
    keys: ["filterNumber", "panelNumber", "sealNumber", "tool", "toolHangs"],
  },
  { title: "Its warranty", keys: ["warrantyEndsOn", "warrantyRegistered"] },
] as const;

/** What a part’s plate says, a few things at a time: a group that is known stays folded. */
export function IdentityFormView({
  action,
  initial,
  kind,
}: {
  action: FormAction;
  initial: FormView;
  /** Of the part: which number it is bought by. */
  kind: string;
}) {
  const fields = fieldsAt({ part: kind });
  const isEmpty = (key: string) => (initial.values[key]?.[0] ?? "") === "";
  const first = GROUPS.findIndex(({ keys }) => keys.every(isEmpty));
  return (
    <Form
      {...{ action, initial }}
      schema={() => import("./identity-form").then(({ identityForm }) => identityForm)}
      submit="Save"
    >
      <div className="flex flex-col pb-4">
        {GROUPS.map(({ title, keys }, i) => {
          const own = fields.filter(({ key }) => (keys as readonly string[]).includes(key));
          const known = own.filter(({ key }) => !isEmpty(key)).length;
          return (
            <details key={title} open={i === Math.max(0, first)} className="border-t border-rule">
              <summary className="flex min-h-12 cursor-pointer items-center gap-3 text-lg font-semibold">
                {title}
                <span className="text-base font-normal text-second">
                  {known === 0 ? "not known yet" : `${known} of ${own.length} known`}
                </span>
              </summary>
              <div className="grid gap-4 pb-5 wide:grid-cols-2">
                {own.map(({ key, label, kind: of, hint }) =>
                  of === "day" ? (
                    <DayField key={key} name={key} label={label} mayBeYear />
                  ) : of === "yes-no" ? (
                    <ChoiceField
                      key={key}
                      name={key}
                      label={label}
                      options={[
                        { value: "yes", label: "yes" },
                        { value: "no", label: "no" },
                      ]}
                    />
                  ) : (
                    <TextField key={key} name={key} label={label} hint={hint} />
                  ),
                )}
              </div>
            </details>
          );
        })}
      </div>
    </Form>
  );
}
