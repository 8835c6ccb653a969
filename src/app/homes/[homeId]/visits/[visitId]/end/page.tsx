import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { endVisit, keepEnd } from "@/features/visits/visit-actions";
import { EndForm } from "@/features/visits/visit-forms";
import { HOUSEHOLD, visitEndOf } from "@/features/visits/visit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "The end of a visit" };

export default async function VisitEndPage({
  params,
}: PageProps<"/homes/[homeId]/visits/[visitId]/end">) {
  const { homeId, visitId } = await params;
  const page = await visitEndOf(homeId, visitId, HOUSEHOLD);
  if (!page) notFound();
  return (
    <>
      <p className="text-second">
        <Link
          href={`/homes/${homeId}/visits/${visitId}`}
          className="text-link underline underline-offset-4"
        >
          The visit
        </Link>
      </p>
      <h1 className="mb-4 text-[1.75rem]">How did it end?</h1>
      <EndForm
        action={endVisit.bind(null, homeId, visitId)}
        keep={keepEnd.bind(null, homeId, visitId)}
        initial={emptyForm(page.initial)}
        jobs={page.jobs}
        currency={page.snapshot.home.currency}
      />
    </>
  );
}
