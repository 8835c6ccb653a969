import { telOf } from "@/presentation/phone";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import type { Contact } from "@/core/inventory/inventory";

/** Somebody to call, one press away where the device can. */
export function Callable({ contact }: { contact: Contact }) {
  const { name, role, phone } = contact;
  return (
    <li className="flex min-h-14 flex-wrap items-center gap-x-4 border-2 border-ink bg-surface px-4 py-2">
      <span className="grow">
        <strong>{name}</strong>
        <span className="block text-[1.125rem] text-second">{CONTACT_ROLE_WORDS[role]}</span>
      </span>
      {phone ? (
        <a
          href={telOf(phone)}
          className="figures inline-flex min-h-14 items-center font-semibold text-link underline underline-offset-4"
        >
          {phone}
        </a>
      ) : (
        <span className="text-second">no number written down</span>
      )}
    </li>
  );
}
