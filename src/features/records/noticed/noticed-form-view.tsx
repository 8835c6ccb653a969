"use client";

import { inEnglish } from "@/content/english";
import { useEnglish } from "@/ui/english";
import { telOf } from "@/presentation/phone";
import { Link } from "@/ui/link";
import { SIGN_GROUPS, signOf } from "@/content/signs";
import { verdictOfSign } from "@/core/noticed/sign";
import { leadNow } from "@/presentation/lead-words";
import { ofSingles } from "@/lib/forms";
import { DayField } from "@/ui/day-field";
import { ChoiceFrame, Radio, SelectField, TextArea } from "@/ui/field";
import { Form, useTypedText, type FormAction, type FormView } from "@/ui/form";
import { Needle } from "@/ui/needle";
import type { NoticedPage } from "./noticed-queries";

/** One press says what it is; where and when are filled in already where that is known. */
export function NoticedForm({
  action,
  initial,
  homeId,
  page,
}: {
  action: FormAction;
  initial: FormView;
  homeId: string;
  page: NoticedPage;
}) {
  const { units, rooms, today } = page;
  return (
    <Form
      {...{ action, initial }}
      schema={() =>
        import("./noticed-form").then(({ noticedForm }) =>
          ofSingles(
            noticedForm(
              units.map(({ value }) => value),
              rooms.map(({ value }) => value),
              today,
            ),
          ),
        )
      }
      submit="Save it"
    >
      <div className="flex flex-col gap-5 pb-6">
        <AtOnce homeId={homeId} page={page} />
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
        <Where page={page} />
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

/** At which machine; of a room, which room, and what is to heat or cool it. */
function Where({ page: { units, rooms, today } }: { page: NoticedPage }) {
  const isOfRoom = signOf(useTypedText("sign"))?.ofRoom === true;
  return (
    <div className="grid max-w-2xl gap-4 wide:grid-cols-2">
      {isOfRoom && rooms.length > 0 && (
        <SelectField
          label="Which room"
          name="roomId"
          options={[{ value: "", label: "several, or all" }, ...rooms]}
        />
      )}
      <SelectField
        label={isOfRoom ? "What runs for it" : "Where"}
        name="unitId"
        options={[{ value: "", label: "the house, or not known" }, ...units]}
        hint={isOfRoom ? "The machine that heats or cools it, if you know." : undefined}
      />
      <DayField label="When" name="date" max={today} />
    </div>
  );
}

/** What is done at once, before anything is written down: in sight wherever one has scrolled to. */
function AtOnce({ homeId, page }: { homeId: string; page: NoticedPage }) {
  const english = useEnglish();
  const said = (words: string) => inEnglish(english, words);
  const sign = signOf(useTypedText("sign"));
  const unitId = useTypedText("unitId");
  const { reading } = sign ?? {};
  const unit = page.units.find(({ value }) => value === unitId);
  const lead = sign
    ? leadNow(reading ? { reading: reading.kind } : { sign: sign.id }, reading?.value ?? sign.id, {
        kind: unit?.kind,
        isHeatingWeather: page.isHeatingWeather,
      })
    : null;
  const isStop = sign !== undefined && verdictOfSign(sign) === "stop";
  if (!sign || !(isStop || lead?.now)) return null;
  const { technician } = page;
  return (
    <div
      role="alert"
      className="flex items-start gap-4 border-l-[6px] border-attention bg-wash p-4"
    >
      <Needle verdict={isStop ? "stop" : "act"} />
      <div>
        <p className="text-lg font-semibold">{lead?.now ?? "Leave it off until it was seen to."}</p>
        {lead && <p>{said(lead.why)}</p>}
        <p className="mt-1 flex flex-wrap gap-x-6">
          {lead?.emergency && (
            <Link
              href={`/emergency/${homeId}/${lead.emergency}${unit ? `?unit=${unit.value}` : ""}`}
              className={PRESS}
            >
              What to do, and whom to call
            </Link>
          )}
          {(lead?.call || isStop) &&
            (technician?.phone ? (
              <a href={telOf(technician.phone)} className={PRESS}>
                Call {technician.name}, <span className="figures">{technician.phone}</span>
              </a>
            ) : (
              <Link href={`/homes/${homeId}/contacts`} className={PRESS}>
                Write down whom to call
              </Link>
            ))}
        </p>
      </div>
    </div>
  );
}
const PRESS =
  "inline-flex min-h-11 items-center gap-1 font-semibold text-link underline underline-offset-4";
