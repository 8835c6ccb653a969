import { SAFETY_STOP_WORDS } from "@/presentation/run-words";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import { LinkButton } from "@/ui/button";
import type { AlarmSheet } from "./alarm-queries";

/** Carbon monoxide, or gas: everybody out, then call. Nothing else is on the page. */
export function EverybodyOut({
  sheet,
  homeHref,
  of,
}: {
  sheet: AlarmSheet;
  homeHref: string;
  of: "co" | "gas";
}) {
  const { title, steps } = SAFETY_STOP_WORDS[of];
  return (
    <section
      aria-label="Stop"
      className="flex max-w-3xl flex-col gap-5 text-[1.375rem] leading-snug"
    >
      <div className="border-[6px] border-attention bg-wash p-5">
        <p className="font-display text-[1.25rem] font-bold tracking-wide text-attention-text">
          Stop
        </p>
        <h1 className="text-[1.875rem] wide:text-[2.25rem]">{title}</h1>
        <ol className="mt-3 list-decimal space-y-2 pl-7">
          {steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </div>
      {sheet.contacts.length > 0 && (
        <ul className="flex flex-col gap-2">
          {sheet.contacts.map((contact) => (
            <li key={contact.id}>
              <a
                href={`tel:${(contact.phone ?? "").replace(/[^\d+]/g, "")}`}
                className="flex min-h-14 flex-wrap items-center gap-x-3 border-2 border-ink bg-surface px-4 text-ink no-underline"
              >
                <strong>{contact.name}</strong>
                <span className="text-second">{CONTACT_ROLE_WORDS[contact.role]}</span>
                <span className="figures ml-auto font-semibold">{contact.phone}</span>
              </a>
            </li>
          ))}
        </ul>
      )}
      {sheet.rules && <p className="text-[1.125rem] text-second">Here: {sheet.rules}</p>}
      <div>
        <LinkButton href={homeHref}>Back, once it has been made safe</LinkButton>
      </div>
    </section>
  );
}
