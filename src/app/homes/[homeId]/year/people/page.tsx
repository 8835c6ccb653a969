import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { RemoveLink } from "@/features/inventory/trash/remove-link";
import { savePerson } from "@/features/schedule/people/people-actions";
import { PeopleList } from "@/features/schedule/people/people-list";
import { peopleOfHome } from "@/features/schedule/people/people-queries";
import { PersonForm } from "@/features/schedule/people/person-form-view";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Who goes round" };

export default async function PeoplePage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/year/people">) {
  const { homeId } = await params;
  const { change } = await searchParams;
  const page = await peopleOfHome(homeId, typeof change === "string" ? change : undefined);
  if (!page) notFound();
  const { changed } = page;
  return (
    <>
      <Link href={`/homes/${homeId}/year`} className="flex min-h-11 items-center text-link">
        The year
      </Link>
      <h1 className="mb-1 text-[1.75rem]">Who goes round, and when</h1>
      <p className="mb-4 max-w-prose text-second">
        A plan is made for these days. What only a licensed person may do is the technician’s.
        {page.nobody > 0 && ` Nobody here does ${page.nobody} of the jobs.`}
      </p>
      <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1fr)_24rem]">
        <PeopleList
          homeId={homeId}
          rows={page.rows}
          remove={({ id, name }) => (
            <RemoveLink target={{ kind: "person", homeId, id }} name={name} />
          )}
        />
        <section className="border-t-[3px] border-ink pt-3">
          <h2 className="mb-3 text-xl">{changed ? `Change ${changed.name}` : "Add somebody"}</h2>
          <PersonForm
            key={changed?.id ?? `new ${page.rows.length}`}
            action={savePerson.bind(null, homeId, changed?.id ?? null)}
            initial={emptyForm(changed?.fields ?? page.fresh)}
            units={page.units}
            isVisit={changed?.isVisit ?? false}
            isNew={!changed}
          />
        </section>
      </div>
    </>
  );
}
