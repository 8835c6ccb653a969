import { telOf } from "@/presentation/phone";
import { EMERGENCIES } from "@/content/emergencies";
import { CONTACT_ROLE_WORDS, MAIN_WORDS, SHUT_OFF_WORDS } from "@/content/words";
import { isAlarm, isCoAlarm } from "@/core/inventory/alarms";
import { OFF_UNKNOWN, offWords } from "@/presentation/shut-off-words";
import { Link } from "@/ui/link";
import type { EmergencyList, EmergencySheet } from "./emergency-queries";
import { Pictures } from "@/ui/picture";
import { MainForm, MainPicture, NumberForm } from "./number-form-view";
import type { FormAction } from "@/ui/form";

const PAGE = "mx-auto flex min-h-dvh max-w-3xl flex-col gap-5 px-4 pt-4 pb-8 wide:px-8 wide:pt-8";
const BACK =
  "inline-flex min-h-12 items-center self-start text-[1.125rem] text-link underline underline-offset-4";

/** Six plain lines, and nothing else: one press to what is to be done. */
export function EmergencyLines({
  list,
  unitId,
}: {
  list: EmergencyList;
  unitId: string | undefined;
}) {
  return (
    <main className={PAGE}>
      <h1 className="text-[2rem] leading-tight wide:text-[2.5rem]">What is it?</h1>
      <ul className="flex flex-col gap-3">
        {EMERGENCIES.map(({ id, line }) => (
          <li key={id}>
            <Link
              href={`/emergency/${list.homeId}/${id}${unitId ? `?unit=${unitId}` : ""}`}
              className="flex min-h-18 items-center border-l-[10px] border-attention bg-wash px-5 text-[1.5rem] leading-tight font-semibold text-ink no-underline"
            >
              {line}
            </Link>
          </li>
        ))}
      </ul>
      <Link href={`/homes/${list.homeId}`} className={BACK}>
        None of it: back to {list.homeName}
      </Link>
    </main>
  );
}

/** Three short sentences, one number to press, the shut-off that matters; then it is noted. */
export function EmergencySheetView({
  sheet,
  save,
  saveMain,
}: {
  sheet: EmergencySheet;
  /** Keeps the number that was missing. */
  save: FormAction;
  /** Keeps where the main is. */
  saveMain: FormAction;
}) {
  const { emergency, contacts, mains, pictures, unit, homeId, rules } = sheet;
  const [first, ...others] = contacts;
  const main = mains[emergency.shutOff.main];
  const at = unit ? `&unit=${unit.id}` : "";
  return (
    <main className={`${PAGE} text-[1.375rem] leading-snug`}>
      <section aria-label="What to do" className="border-[6px] border-attention bg-wash p-5">
        <h1 className="text-[1.875rem] leading-tight wide:text-[2.25rem]">{emergency.title}</h1>
        <ol className="mt-3 list-decimal space-y-2 pl-7">
          {emergency.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </section>
      <section aria-label="Whom to call" className="flex flex-col gap-2">
        {first ? (
          <>
            <a
              href={telOf(first.phone ?? "")}
              className="flex min-h-18 flex-wrap items-center gap-x-4 bg-ink px-5 py-2 text-ground no-underline"
            >
              <span className="font-semibold">Call {first.name}</span>
              <span className="figures ml-auto text-[1.625rem] font-bold">{first.phone}</span>
            </a>
            {others.map((contact) => (
              <a
                key={contact.id}
                href={telOf(contact.phone ?? "")}
                className="flex min-h-14 flex-wrap items-center gap-x-4 border-2 border-ink px-5 text-[1.1875rem] text-ink no-underline"
              >
                <span>
                  {contact.name}
                  {contact.name !== CONTACT_ROLE_WORDS[contact.role] &&
                    `, ${CONTACT_ROLE_WORDS[contact.role].toLowerCase()}`}
                </span>
                <span className="figures ml-auto font-semibold">{contact.phone}</span>
              </a>
            ))}
          </>
        ) : (
          <>
            <p className="font-semibold">Call {emergency.yours}.</p>
            <NumberForm action={save} label={`Not written down yet: ${emergency.yours}`} />
          </>
        )}
      </section>
      <section
        aria-label="Shut-off"
        className="border-b-[5px] border-amber bg-slate p-4 text-on-slate"
      >
        <h2 className="text-[1.1875rem]">
          {MAIN_WORDS[emergency.shutOff.main]}. {emergency.shutOff.when}
        </h2>
        {main?.place ? (
          <p className="mt-1">
            {main.place}, <strong>{main.offPosition ?? OFF_UNKNOWN}</strong>
          </p>
        ) : (
          <p className="mt-1">
            {pictures.length > 0
              ? "In words nobody wrote it down; in the picture:"
              : "Where it is, nobody wrote down."}
          </p>
        )}
        <div className="mt-2">
          <Pictures pictures={pictures} of={MAIN_WORDS[emergency.shutOff.main]} />
        </div>
        {unit && unit.shutOffs.length > 0 && (
          <>
            <h2 className="mt-3 text-[1.1875rem]">{unit.name}</h2>
            <ol className="list-decimal pl-6">
              {unit.shutOffs.map((off) => (
                <li key={off.id}>
                  {SHUT_OFF_WORDS[off.kind]}: {off.place}, <strong>{offWords(off)}</strong>
                </li>
              ))}
            </ol>
          </>
        )}
      </section>
      {(!main?.place || pictures.length === 0) && (
        <details className="border-2 border-ink px-4 py-2">
          <summary className="min-h-12 cursor-pointer content-center font-semibold">
            {main?.place ? "Add a picture of it" : "Write it down, now or once it is over"}
          </summary>
          {!main?.place && (
            <MainForm
              action={saveMain}
              label={`${MAIN_WORDS[emergency.shutOff.main]}: where it is`}
            />
          )}
          <MainPicture homeId={homeId} main={emergency.shutOff.main} />
        </details>
      )}
      {emergency.unlike && (
        <p className="text-[1.1875rem]">
          {emergency.unlike.words}{" "}
          <Link
            href={`/homes/${homeId}/noticed?sign=${emergency.unlike.sign}${at}`}
            className="text-link underline underline-offset-4"
          >
            It only chirps
          </Link>
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-8">
        <Link
          href={`/homes/${homeId}/noticed?sign=${emergency.sign}${at}`}
          className="inline-flex min-h-14 items-center border-2 border-ink px-5 font-semibold text-ink no-underline"
        >
          Note it, once all are safe
        </Link>
        <Link href={`/emergency/${homeId}${unit ? `?unit=${unit.id}` : ""}`} className={BACK}>
          Something else
        </Link>
        <Link href={`/homes/${homeId}`} className={BACK}>
          Back to {sheet.homeName}
        </Link>
      </div>
      {rules && <p className="text-[1.125rem] text-second">Here: {rules}</p>}
    </main>
  );
}

/** The same where no home is entered yet: what to do, without anybody’s numbers. */
export function EmergencyForAll() {
  return (
    <main className={`${PAGE} text-[1.25rem] leading-snug`}>
      {EMERGENCIES.map(({ id, title, steps, yours }) => (
        <section
          key={id}
          aria-label={title}
          className="border-l-[10px] border-attention bg-wash p-4"
        >
          <h1 className="text-[1.5rem]">{title}</h1>
          <ol className="mt-1 list-decimal pl-7">
            {steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <p className="mt-1 font-semibold">Call {yours}.</p>
        </section>
      ))}
      <Link href="/welcome" className={BACK}>
        Back
      </Link>
    </main>
  );
}

/** At an alarm, and nowhere else: whether it sounds or only chirps, told apart before anything else. */
export function AlarmLines({
  homeId,
  unitId,
  kind,
}: {
  homeId: string;
  unitId: string;
  kind: string;
}) {
  if (!isAlarm(kind)) return null;
  const press =
    "inline-flex min-h-14 items-center px-4 text-lg font-semibold text-ink no-underline border-l-[8px]";
  return (
    <section aria-label="Does it make itself heard?" className="flex flex-wrap gap-3">
      <Link
        href={`/emergency/${homeId}/${isCoAlarm(kind) ? "co" : "fire"}?unit=${unitId}`}
        className={`${press} border-attention bg-wash`}
      >
        It sounds: everybody out
      </Link>
      <Link
        href={`/homes/${homeId}/noticed?sign=alarm:chirps&unit=${unitId}`}
        className={`${press} border-rule bg-surface`}
      >
        It chirps, once a minute
      </Link>
    </section>
  );
}
