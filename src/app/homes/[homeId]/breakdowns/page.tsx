import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { BreakdownList } from "@/features/records/breakdowns/breakdown-list";
import { breakdownsOf } from "@/features/records/breakdowns/breakdown-queries";
import { LinkButton } from "@/ui/button";

export const metadata: Metadata = { title: "Breakdowns" };

export default async function BreakdownsPage({ params }: PageProps<"/homes/[homeId]/breakdowns">) {
  const { homeId } = await params;
  const page = await breakdownsOf(homeId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-5xl">
      <div className="mb-5 flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-[1.75rem]">Breakdowns</h1>
        <LinkButton weight="strong" href={`/homes/${homeId}/breakdowns/new`}>
          A machine stopped
        </LinkButton>
      </div>
      {page.rows.length === 0 ? (
        <p>None is written down: with luck there was none.</p>
      ) : (
        <BreakdownList homeId={homeId} rows={page.rows} />
      )}
    </div>
  );
}
