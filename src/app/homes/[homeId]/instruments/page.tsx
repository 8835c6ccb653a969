import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { InstrumentFormView } from "@/features/visits/instrument-form-view";
import { saveInstrument } from "@/features/visits/instruments-actions";
import { fieldsOfInstrument, visitsOf } from "@/features/visits/visit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Instruments" };

export default async function InstrumentsPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/instruments">) {
  const { homeId } = await params;
  const { change } = await searchParams;
  const page = await visitsOf(homeId);
  if (!page) notFound();
  const { instruments } = page.snapshot;
  const changed = instruments.find(({ id }) => id === change);
  return (
    <>
      <h1 className="text-[1.75rem]">What readings are taken with</h1>
      <p className="mb-4 max-w-prose text-second">
        Two meters never read quite the same. Where it is known which was used, a change of meter is
        shown as a step and never taken for drift.{" "}
        <a
          href={`/api/v1/homes/${homeId}/readings`}
          download
          className="text-link underline underline-offset-4"
        >
          Take all readings away as a table
        </a>
      </p>
      <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1fr)_20rem]">
        {instruments.length === 0 ? (
          <p>None noted yet.</p>
        ) : (
          <ul className="border-t-[3px] border-ink">
            {instruments.map(({ id, name, note }) => (
              <li
                key={id}
                className="flex items-start justify-between gap-4 border-b border-rule py-2"
              >
                <span>
                  <strong>{name}</strong>
                  {note && <span className="block text-second">{note}</span>}
                </span>
                <Link
                  href={`/homes/${homeId}/instruments?change=${id}`}
                  aria-label={`Change: ${name}`}
                  className="flex min-h-11 items-center px-2 text-link"
                >
                  Change
                </Link>
              </li>
            ))}
          </ul>
        )}
        <section className="border-t-[3px] border-ink pt-3">
          <h2 className="mb-3 text-xl">{changed ? "Change it" : "Add one"}</h2>
          <InstrumentFormView
            key={changed?.id ?? `new ${instruments.length}`}
            action={saveInstrument.bind(null, homeId, changed?.id ?? null)}
            initial={emptyForm(changed ? fieldsOfInstrument(changed) : {})}
            isNew={!changed}
          />
        </section>
      </div>
    </>
  );
}
