import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ContactForm } from "@/features/inventory/contacts/contact-form";
import { ContactList } from "@/features/inventory/contacts/contact-list";
import { saveContact } from "@/features/inventory/contacts/contacts-actions";
import { contactsOf, fieldsOfContact } from "@/features/inventory/contacts/contacts-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Contacts" };

export default async function ContactsPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/contacts">) {
  const { homeId } = await params;
  const { change } = await searchParams;
  const page = await contactsOf(homeId);
  if (!page) notFound();
  const changed = page.snapshot.contacts.find((contact) => contact.id === change);
  return (
    <>
      <h1 className="mb-4 text-[1.75rem]">Contacts</h1>
      <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1fr)_22rem]">
        <ContactList homeId={homeId} rows={page.rows} />
        <section className="border-t-[3px] border-ink pt-3">
          <h2 className="mb-3 text-xl">{changed ? "Change them" : "Add somebody"}</h2>
          <ContactForm
            key={changed?.id ?? `new ${page.rows.length}`}
            action={saveContact.bind(null, homeId, changed?.id ?? null)}
            initial={emptyForm(changed ? fieldsOfContact(changed) : {})}
            isNew={!changed}
          />
        </section>
      </div>
    </>
  );
}
