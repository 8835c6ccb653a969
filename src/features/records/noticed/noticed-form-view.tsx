"use client";

import { Link } from "@/ui/link";
import { SIGN_GROUPS, signOf } from "@/content/signs";
import { verdictOfSign } from "@/core/noticed/sign";
import type { PlainDate } from "@/core/quantities/plain-date";
import { leadNow } from "@/presentation/lead-words";
import { ofSingles } from "@/lib/forms";
import { DayField } from "@/ui/day-field";
import { ChoiceFrame, Radio, SelectField, TextArea, type Option } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { Needle } from "@/ui/needle";

/** One press says what it is; where and when are filled in already where that is known. */
export function NoticedForm({
  action,
  initial,
  homeId,
  units,
  today,
}: {
  action: FormAction;
  initial: FormView;
  homeId: string;
  units: readonly Option[];
  today: PlainDate;
}) {
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./noticed-form").then(({ noticedForm }) =>
          ofSingles(
            noticedForm(
              units.map(({ value }) => value),
              today,
            ),
          ),
        )
      }
      submit="Save it"
    >
      <div className="flex flex-col gap-5 pb-6">
        <AtOnce homeId={homeId} />
        <ChoiceFrame
          label="What comes nearest?"
          name="sign"
          isSaid={false}
          className="grid gap-x-8 gap-y-4 wide:grid-cols-3"
        >
          {SIGN_GROUPS.map(({ name, signs }) => (
            <div key={name}>
              <p className="border-b-2 border-ink pb-0.5 font-semibold">{name}</p>
              {signs.map(({ id, words }) => (
                <label
                  key={id}
                  className="flex min-h-11 cursor-pointer items-center border-b border-rule px-2 has-checked:bg-ink has-checked:text-ground has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-link"
                >
                  <Radio name="sign" value={id} />
                  {words}
                </label>
              ))}
            </div>
          ))}
        </ChoiceFrame>
        <div className="grid max-w-2xl gap-4 wide:grid-cols-2">
          <SelectField
            label="Where"
            name="unitId"
            options={[{ value: "", label: "the house, or not known" }, ...units]}
          />
          <DayField label="When" name="date" max={today} />
        </div>
        <TextArea
          label="In your words"
          name="words"
          rows={2}
          hint="When it comes, when it goes, what was done before."
        />
      </div>
    </Form>
  );
}

/** What is done at once, before anything is written down: in sight wherever one has scrolled to. */
function AtOnce({ homeId }: { homeId: string }) {
  const sign = signOf(useTypedText("sign"));
  const { reading } = sign ?? {};
  const lead = sign
    ? leadNow(reading ? { reading: reading.kind } : { sign: sign.id }, reading?.value ?? sign.id)
    : null;
  const isStop = sign !== undefined && verdictOfSign(sign) === "stop";
  if (!sign || !(isStop || lead?.now)) return null;
  return (
    <div
      role="alert"
      className="flex items-start gap-4 border-l-[6px] border-attention bg-wash p-4"
    >
      <Needle verdict={isStop ? "stop" : "act"} />
      <div>
        <p className="text-lg font-semibold">
          {lead?.now ?? "Leave, touch no switch, and call the gas emergency line from outside."}
        </p>
        {lead && <p>{lead.why}</p>}
        {isStop && (
          <p className="mt-1">
            <Link
              href={`/homes/${homeId}/everybody-out${sign.id === "smell:gas" ? "?of=gas" : ""}`}
              className="inline-flex min-h-11 items-center font-semibold text-link underline underline-offset-4"
            >
              Everybody out: whom to call
            </Link>
          </p>
        )}
      </div>
    </div>
  );
}
