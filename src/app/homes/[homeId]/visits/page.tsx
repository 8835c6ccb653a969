import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { VisitList } from "@/features/visits/visits-view";
import { visitListOf } from "@/features/visits/visit-list";
import { LinkButton } from "@/ui/button";

export const metadata: Metadata = { title: "Technician’s visits" };

export default async function VisitsPage({ params }: PageProps<"/homes/[homeId]/visits">) {
  const { homeId } = await params;
  const page = await visitListOf(homeId);
  if (!page) notFound();
  const { rows, open } = page;
  const home = `/homes/${homeId}`;
  return (
    <>
      <div className="mb-5 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-[1.75rem]">Technician’s visits</h1>
        <span className="flex flex-wrap gap-2">
          <LinkButton weight="quiet" href={`${home}/instruments`}>
            Instruments
          </LinkButton>
          <LinkButton href={`${home}/visits/new?past=1`}>Enter one from its paper</LinkButton>
          <LinkButton weight="strong" href={`${home}/visits/new`}>
            Plan a visit
          </LinkButton>
        </span>
      </div>
      {open.length > 0 && (
        <section aria-labelledby="open" className="mb-8">
          <h2 id="open" className="border-b-[3px] border-ink pb-1 text-xl">
            Found, and not put right yet
          </h2>
          <ul>
            {open.map(({ id, visitId, unitName, words, when, isBack }) => (
              <li key={id} className="border-b border-rule">
                <Link
                  href={`${home}/visits/${visitId}#${id}`}
                  className="flex min-h-12 flex-wrap items-center justify-between gap-x-6 py-2 no-underline hover:underline"
                >
                  <span>
                    <strong>{unitName}</strong>: {words}
                  </span>
                  <span
                    data-back={isBack || undefined}
                    className="figures text-second data-back:font-semibold data-back:text-attention-text"
                  >
                    {when}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      {rows.length === 0 ? (
        <p className="max-w-prose">
          No visit yet. Plan the next one: the brief tells the technician what is there, how to
          reach it, what was read before, and which parts to bring.
        </p>
      ) : (
        <VisitList homeId={homeId} rows={rows} />
      )}
    </>
  );
}
