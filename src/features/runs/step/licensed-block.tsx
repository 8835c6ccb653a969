import type { Contact } from "@/core/inventory/inventory";
import { Callable } from "../safety/callable";

/** A step that is no owner's: whom to call, and that it waits for them. */
export function LicensedBlock({
  contacts,
  rules,
}: {
  contacts: readonly Contact[];
  rules: string | undefined;
}) {
  const technicians = contacts.filter(({ role }) => role === "technician");
  return (
    <section aria-label="Licensed work" className="flex flex-col gap-3 border-2 border-ink p-4">
      <p>
        <strong>Licensed work.</strong> Not yours to do: local rules and the manual leave it to
        people who may. Put the rest back together; it waits for them.
      </p>
      {technicians.length > 0 ? (
        <ul className="flex flex-col gap-2">
          {technicians.map((contact) => (
            <Callable key={contact.id} contact={contact} />
          ))}
        </ul>
      ) : (
        <p className="text-second">
          No technician is written down in this home yet: add one under Contacts.
        </p>
      )}
      {rules && <p className="text-second">Here: {rules}</p>}
    </section>
  );
}
