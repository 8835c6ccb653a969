import Link from "next/link";
import type { ReactNode } from "react";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import type { ContactRow } from "./contacts-queries";

export function ContactList({
  homeId,
  rows,
  remove,
}: {
  homeId: string;
  rows: ContactRow[];
  remove: (target: { kind: "contact"; id: string; name: string }) => ReactNode;
}) {
  if (rows.length === 0)
    return (
      <p className="text-second">
        Nobody yet. Begin with the gas emergency line: it stands on the sheet of shut-offs.
      </p>
    );
  return (
    <ul>
      {rows.map(({ contact, units }) => (
        <li
          key={contact.id}
          className="grid items-start gap-x-6 border-t border-rule py-2 wide:grid-cols-[minmax(0,1fr)_auto]"
        >
          <div>
            <p>
              <strong>{contact.name}</strong>
              <span className="text-second">
                , {CONTACT_ROLE_WORDS[contact.role].toLowerCase()}
              </span>
            </p>
            <p className="flex flex-wrap gap-x-4">
              {contact.phone && (
                <a
                  href={`tel:${contact.phone.replace(/\s/g, "")}`}
                  className="figures flex min-h-11 items-center text-link"
                >
                  {contact.phone}
                </a>
              )}
              {contact.email && (
                <a
                  href={`mailto:${contact.email}`}
                  className="flex min-h-11 items-center text-link"
                >
                  {contact.email}
                </a>
              )}
            </p>
            {contact.note && <p className="text-second">{contact.note}</p>}
            {units.length > 0 && (
              <p className="text-second">Services {units.map((unit) => unit.name).join(", ")}.</p>
            )}
          </div>
          <div className="flex">
            <Link
              href={`/homes/${homeId}/contacts?change=${contact.id}`}
              aria-label={`Change: ${contact.name}`}
              className="flex min-h-11 items-center px-2 text-link"
            >
              Change
            </Link>
            {remove({ kind: "contact", id: contact.id, name: contact.name })}
          </div>
        </li>
      ))}
    </ul>
  );
}
