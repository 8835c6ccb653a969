"use client";

import { telOf } from "@/presentation/phone";
import { Link } from "@/ui/link";
import { useMemo } from "react";
import { CONTACT_ROLE_WORDS } from "@/content/words";
import { Listing, type Column } from "@/ui/listing";
import { RemoveLink } from "../trash/remove-link";
import type { ContactRow } from "./contacts-queries";

export function ContactList({ homeId, rows }: { homeId: string; rows: readonly ContactRow[] }) {
  const columns = useMemo(() => columnsOf(homeId), [homeId]);
  if (rows.length === 0)
    return (
      <p className="text-second">
        Nobody yet. Begin with the gas emergency line: it stands on the sheet of shut-offs.
      </p>
    );
  return (
    <Listing
      label="Contacts"
      name="contacts"
      rows={rows}
      columns={columns}
      words={({ contact, services }) =>
        [...Object.values(contact), CONTACT_ROLE_WORDS[contact.role], services].join(" ")
      }
      cardClass="grid-cols-[minmax(0,1fr)_auto] gap-x-4"
    />
  );
}

const LINK = "flex min-h-11 items-center text-link wide:min-h-0";

const columnsOf = (homeId: string): Column<ContactRow>[] => [
  {
    id: "name",
    heading: "Who",
    sortsBy: ({ contact }) => contact.name,
    cell: ({ contact, services }) => (
      <>
        <strong className="block">{contact.name}</strong>
        {contact.note && <span className="block text-second">{contact.note}</span>}
        {services !== "" && <span className="block text-second">Services {services}.</span>}
      </>
    ),
  },
  {
    id: "role",
    heading: "What they do",
    className: "text-second wide:w-32 max-wide:col-start-1",
    sortsBy: ({ contact }) => CONTACT_ROLE_WORDS[contact.role],
    cell: ({ contact }) => CONTACT_ROLE_WORDS[contact.role],
  },
  {
    id: "reached",
    heading: "Reached at",
    className: "wide:w-[16.5rem] max-wide:col-start-1",
    cell: ({ contact: { phone, email } }) => (
      <>
        {phone && (
          <a href={telOf(phone)} className={`figures ${LINK}`}>
            {phone}
          </a>
        )}
        {email && (
          <a href={`mailto:${email}`} className={`wrap-anywhere ${LINK}`}>
            {email}
          </a>
        )}
      </>
    ),
  },
  {
    id: "deeds",
    heading: "To do",
    isHeadingSaid: false,
    className: "wide:w-40 max-wide:col-start-2 max-wide:row-span-3 max-wide:row-start-1",
    cell: ({ contact: { id, name } }) => (
      <span className="-mt-2.5 flex justify-end">
        <Link
          href={`/homes/${homeId}/contacts?change=${id}`}
          aria-label={`Change: ${name}`}
          className="flex min-h-11 items-center px-2 text-link"
        >
          Change
        </Link>
        <RemoveLink target={{ kind: "contact", homeId, id }} name={name} />
      </span>
    ),
  },
];
