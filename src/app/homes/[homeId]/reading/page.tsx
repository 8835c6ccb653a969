import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { ReadingFormView } from "@/features/records/readings/reading-form-view";
import { noteReading } from "@/features/records/readings/readings-actions";
import { readingPageOf } from "@/features/records/readings/readings-queries";
import { ConditionFields } from "@/features/visits/condition-fields";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Note a reading" };

export default async function ReadingPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/reading">) {
  const { homeId } = await params;
  const { place, kind } = await searchParams;
  const page = await readingPageOf(homeId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <div className="mb-5 flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-[1.75rem]">Note a reading</h1>
        <Link href={`/homes/${homeId}/look`} className="text-link underline underline-offset-4">
          A look at a filter instead
        </Link>
      </div>
      {page.places.length === 0 ? (
        <p>There is nothing to read at yet. Add a unit first.</p>
      ) : (
        <ReadingFormView
          action={noteReading.bind(null, homeId)}
          initial={emptyForm({
            date: [page.today],
            school: [page.snapshot.home.capacitorStrategy ?? "label"],
            ...(typeof place === "string" ? { place: [place] } : {}),
            ...(typeof kind === "string" ? { kind: [kind] } : {}),
          })}
          places={page.places}
          today={page.today}
          fogLimit={page.fogLimit}
          system={page.snapshot.home.unitSystem}
          conditions={
            <ConditionFields
              instruments={page.snapshot.instruments}
              system={page.snapshot.home.unitSystem}
            />
          }
        />
      )}
    </div>
  );
}
